import { dayOf, momentOf, offsetMinutesOf, type Day } from '../calendar/index.ts';
import { entriesAt, type Draft, type Entry, type EntryOf } from '../records/index.ts';

/** When a drip that is set as ever gave nothing: a pump that failed, a tap that was shut. */
export interface StoodStill {
  readonly from: Day;
  /** the first day on which it ran again; undefined: it has not yet */
  readonly until: Day | undefined;
}

/**
 * What to put down of bags whose drip stood still for a while: it was off from a day on, and from another on as it had been set. A bag
 * that had none then is left out.
 *
 * @param live the entries that count, oldest first
 * @param now local time with its offset; nothing of it is put down later
 */
export function dripStoodStill(
  containerIds: readonly string[],
  { from, until }: StoodStill,
  live: readonly Entry[],
  now: string,
): readonly Draft<'drip'>[] {
  return containerIds.flatMap((containerId) => {
    const drips = entriesAt(live, containerId).filter((e) => e.kind === 'drip');
    if (settingOn(drips, from) === undefined) return [];
    const off: Draft<'drip'> = { kind: 'drip', containerId, at: momentOn(from, drips, now) };
    const setting = until === undefined ? undefined : settingOn(drips, until);
    // it still stands, or was turned off meanwhile
    if (until === undefined || setting === undefined) return [off];
    return [off, { kind: 'drip', containerId, at: momentOn(until, drips, now), setting }];
  });
}

const settingOn = (drips: readonly EntryOf<'drip'>[], day: Day) =>
  drips.findLast(({ at }) => dayOf(at) <= day)?.setting;

const MINUTE_MS = 60_000;

/** Noon of a day, or a moment after it was last set on it: of a day the last word counts. */
function momentOn(day: Day, drips: readonly EntryOf<'drip'>[], now: string): string {
  const set = drips.filter(({ at }) => dayOf(at) === day).map(({ at }) => Date.parse(at) + MINUTE_MS);
  const offset = offsetMinutesOf(now);
  const noon = Date.parse(`${day}T12:00:00.000Z`) - offset * MINUTE_MS;
  return momentOf(Math.min(Date.parse(now), Math.max(noon, ...set)), offset);
}

/** Why it cannot have been so, in a sentence; undefined: it can. */
export function stoodStillProblem({ from, until }: StoodStill, today: Day): string | undefined {
  if (from > today) return 'That day is still to come.';
  if (until !== undefined && until <= from) return 'It ran again on a later day than the first without it.';
  return until !== undefined && until > today ? 'That day is still to come.' : undefined;
}
