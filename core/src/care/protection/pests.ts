import type { Assumed } from '../../assumed/index.ts';
import { addDays, dayOf, type Day } from '../../calendar/index.ts';
import type { Entry } from '../../records/index.ts';
import { troubleCases } from '../hygiene/cases.ts';
import { findCause } from '../trouble/causes/index.ts';

/** A pest or disease that is worth looking for now, before it is there. */
export interface LookOut {
  readonly what: string;
  readonly why:
    | { readonly kind: 'last-year'; readonly on: Day }
    | { readonly kind: 'nearby'; readonly on: Day };
}

/** What was seen nearby is worth looking for as long, days. */
const NEARBY_DAYS = 21;
/** After the day on which it came last year, days. */
const STAY_DAYS = 14;

/**
 * What is worth looking for now: what came about this time last year, from `startAheadDays` before its first record, and what was
 * seen nearby. What is in the garden already this year is not told: it has its own cases.
 *
 * @param containerIds the garden's bags
 */
export function lookOuts(
  containerIds: readonly string[],
  live: readonly Entry[],
  today: Day,
  { startAheadDays }: Pick<Assumed, 'startAheadDays'>,
): readonly LookOut[] {
  const firstBy = new Map<string, Day>();
  const now = new Set<string>();
  const [from, to] = [addDays(today, -365 - STAY_DAYS), addDays(today, -365 + Math.round(startAheadDays))];
  for (const id of containerIds)
    for (const { what, entry } of troubleCases(id, live)) {
      const cause = findCause(what);
      if (!cause?.isPest && !cause?.spreads) continue;
      const day = dayOf(entry.at);
      if (day > addDays(today, -120) && day <= today) now.add(what);
      if (day < addDays(today, -120) && day > addDays(today, -480) && day < (firstBy.get(what) ?? '9'))
        firstBy.set(what, day);
    }
  const found = new Map<string, LookOut>();
  for (const [what, on] of firstBy)
    if (on >= from && on <= to && !now.has(what)) found.set(what, { what, why: { kind: 'last-year', on } });
  for (const e of live) {
    if (e.kind !== 'warned' || dayOf(e.at) > today || dayOf(e.at) < addDays(today, -NEARBY_DAYS)) continue;
    if (!now.has(e.what)) found.set(e.what, { what: e.what, why: { kind: 'nearby', on: dayOf(e.at) } });
  }
  return [...found.values()];
}
