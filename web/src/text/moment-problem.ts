import { addDays, dayOf, isDay } from '@rundel/core/calendar';
import type { Entry } from '@rundel/core/records';

/** What may happen at a bag before anything stands in it; a watering only a while before, as it is filled. */
const BEFORE_PLANTING: readonly Entry['kind'][] = [
  'planted',
  'note',
  'filled',
  'tended',
  'moved',
  'supported',
  // what it held before it came into this garden's diary, and how it was cleaned
  'trouble',
  'followed-up',
  'cleaned',
  // of a season before: that nothing stood there is asked about, and not refused
  'picking',
];
const WATERED_BEFORE_DAYS = 30;

/**
 * What is wrong with the time given to an entry, or undefined: it must be a time that exists, not in the future,
 * and not before the bag was planted (for a planting: not after what was already done at the bag's plant).
 */
export function momentProblem(
  at: string,
  entry: {
    readonly kind: Entry['kind'];
    /** of one that is corrected */
    readonly id?: string;
    readonly containerId?: string | undefined;
  },
  live: readonly Entry[],
  now: string,
): string | undefined {
  if (!isDay(at.slice(0, 10)) || !Number.isFinite(Date.parse(at)))
    return 'This is not a whole date and time.';
  if (Date.parse(at) > Date.parse(now)) return 'That is in the future.';
  if (entry.containerId === undefined) return undefined;
  const plantings = live.filter(
    (e) => e.kind === 'planted' && e.containerId === entry.containerId && e.id !== entry.id,
  );
  const first = plantings.reduce((earliest, e) => Math.min(earliest, Date.parse(e.at)), Infinity);
  if (BEFORE_PLANTING.includes(entry.kind) || first === Infinity) return undefined;
  const planted = dayOf(plantings.find((e) => Date.parse(e.at) === first)?.at ?? at);
  const earliest = entry.kind === 'watering' ? addDays(planted, -WATERED_BEFORE_DAYS) : planted;
  return dayOf(at) < earliest ? 'That is before anything was planted in this bag.' : undefined;
}
