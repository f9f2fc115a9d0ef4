import type { Habit } from '@rundel/core/plants';

/** How a plant is trained, as it is drawn: where its leaders stand at the top, mm from its stem, and where they part. */
export interface Training {
  /** offsets of the leaders at the top; one leader stands at 0 */
  readonly tops: readonly number[];
  /** share of the height at which they part */
  readonly fork: number;
  /** leaders that go up strings of their own draw apart at once; a bush opens all the way up */
  readonly form: 'leader' | 'bush';
}

/** Between two leaders that are led up side by side, mm. */
const APART = 180;

/**
 * The form of a plant: as many leaders as the grower trains it to, or as its habit grows: one for what climbs, a branching
 * bush for the rest.
 */
export function trainingOf(
  habit: Pick<Habit, 'id'>,
  leaders: number | undefined,
  heightMillimetres: number,
): Training {
  const isBush = habit.id === 'bush' || habit.id === 'dwarf';
  if (leaders === undefined && isBush && heightMillimetres > 250) {
    const half = Math.min(160, heightMillimetres * 0.2);
    return { tops: [-half, 0, half], fork: 0.22, form: 'bush' };
  }
  const count = heightMillimetres < 250 ? 1 : (leaders ?? 1);
  return {
    tops: Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * APART),
    fork: 0.12,
    form: 'leader',
  };
}

/** How far along to its top a leader has drawn aside, at a share of the height. */
export function asideAt({ fork, form }: Training, share: number): number {
  const t = Math.min(1, Math.max(0, (share - fork) / (1 - fork)));
  return form === 'bush' ? t : Math.min(1, t * 2.6);
}
