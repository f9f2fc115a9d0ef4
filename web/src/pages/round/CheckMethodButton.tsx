import { ChoiceButton } from '../../ui/ChoiceButton.tsx';
import { seenStore } from '../../text/bag-text.ts';
import type { Bag } from '../../store/index.ts';
import type { GradedMethod } from './GradeButtons.tsx';

/** Every way of looking: those with grades, and those that take a number or none. */
export type CheckMethod = GradedMethod | 'wilted' | 'scale' | 'probe';

const CHECK_METHODS: readonly { readonly id: CheckMethod; readonly words: string }[] = [
  { id: 'finger', words: 'By finger' },
  { id: 'lift', words: 'By lifting it' },
  { id: 'level', words: 'By the level of its store' },
  { id: 'scale', words: 'On a scale…' },
  { id: 'probe', words: 'With a probe…' },
  { id: 'wilted', words: 'It hangs its leaves' },
];

const hasSeenStore = (bag: Bag) => seenStore(bag.water) !== undefined;

/**
 * How a bag is looked at unless the grower chooses otherwise: one with a reservoir or a channel by its level once its roots
 * are down, all others by finger.
 */
export function usualCheckMethod(bag: Bag): GradedMethod {
  const age = bag.water?.daysSincePlanting ?? 0;
  return hasSeenStore(bag) && age >= bag.body.assumed.establishingDays ? 'level' : 'finger';
}

/** Another way of looking than the one on the buttons. */
export function CheckMethodButton({
  bag,
  checkMethod,
  onMethod,
}: {
  readonly bag: Bag;
  readonly checkMethod: GradedMethod;
  onMethod(checkMethod: CheckMethod): void;
}) {
  const choices = CHECK_METHODS.filter((w) => w.id !== checkMethod && (w.id !== 'level' || hasSeenStore(bag)));
  return (
    <ChoiceButton
      variant="outlined"
      choices={choices}
      onChoose={onMethod}
      sx={{ minHeight: 56, lineHeight: 1.2 }}
    >
      Other look
    </ChoiceButton>
  );
}
