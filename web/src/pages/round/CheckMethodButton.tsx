import { ChoiceButton } from '../../ui/ChoiceButton.tsx';
import { seenStore } from '../../text/bag-text.ts';
import type { Bag } from '../../store/index.ts';
import type { GradedMethod } from './GradeButtons.tsx';

/** Every check method: those with grades, and those that take a number or none. */
export type CheckMethod = GradedMethod | 'wilted' | 'scale' | 'probe';

const CHECK_METHODS: readonly { readonly id: CheckMethod; readonly label: string }[] = [
  { id: 'finger', label: 'By finger' },
  { id: 'lift', label: 'By lifting it' },
  { id: 'level', label: 'By the level of its reservoir' },
  { id: 'scale', label: 'On a scale…' },
  { id: 'probe', label: 'With a probe…' },
  { id: 'wilted', label: 'Wilted' },
];

const hasSeenStore = (bag: Bag) => seenStore(bag.water) !== undefined;

/**
 * How a bag is checked unless the grower chooses otherwise: one with a reservoir or a channel by its level once its roots
 * are down, all others by finger.
 */
export function usualCheckMethod(bag: Bag): GradedMethod {
  return hasSeenStore(bag) && !bag.water?.isEstablishing ? 'level' : 'finger';
}

/** Another check method than the one on the buttons. */
export function CheckMethodButton({
  bag,
  checkMethod,
  onMethod,
}: {
  readonly bag: Bag;
  readonly checkMethod: GradedMethod;
  onMethod(checkMethod: CheckMethod): void;
}) {
  const choices = CHECK_METHODS.filter(
    (w) => w.id !== checkMethod && (w.id !== 'level' || hasSeenStore(bag)),
  );
  return (
    <ChoiceButton
      variant="outlined"
      choices={choices}
      onChoose={onMethod}
      sx={{ minHeight: 56, lineHeight: 1.2 }}
    >
      Other check
    </ChoiceButton>
  );
}
