import { ChoiceButton } from '../../ui/ChoiceButton.tsx';
import { seenStore } from '../../text/bag-text.ts';
import type { Bag } from '../../store/index.ts';
import type { GradedWay } from './GradeButtons.tsx';

/** Every way of looking: those with grades, and those that take a number or none. */
export type Way = GradedWay | 'wilted' | 'scale' | 'probe';

const WAYS: readonly { readonly id: Way; readonly words: string }[] = [
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
export function usualWay(bag: Bag): GradedWay {
  const age = bag.water?.daysSincePlanting ?? 0;
  return hasSeenStore(bag) && age >= bag.body.assumed.establishingDays ? 'level' : 'finger';
}

/** Another way of looking than the one on the buttons. */
export function WayButton({
  bag,
  way,
  onWay,
}: {
  readonly bag: Bag;
  readonly way: GradedWay;
  onWay(way: Way): void;
}) {
  const choices = WAYS.filter((w) => w.id !== way && (w.id !== 'level' || hasSeenStore(bag)));
  return (
    <ChoiceButton
      variant="outlined"
      choices={choices}
      onChoose={onWay}
      sx={{ minHeight: 56, lineHeight: 1.2 }}
    >
      Other look
    </ChoiceButton>
  );
}
