import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import { entriesAt, type Entry, type EntryOf } from '../records/index.ts';

/** So far back missed rounds are looked for, days. */
const DAYS_BACK = 21;
/** A gap so many times a bag's usual one was a missed round, if the bag was then found dry. */
const LONGER = 1.5;

/** A day on which bags were found dry because nobody had come when they wanted it. */
export interface MissedRound {
  readonly day: Day;
  readonly containerIds: readonly string[];
}

/**
 * Rounds of the last three weeks that were likely missed: bags that were found dry after longer than they usually go between two
 * visits. A bag that is merely seldom looked at, and found well, counts for nothing.
 *
 * @param live the garden's live entries, oldest first
 */
export function missedRounds(
  containerIds: readonly string[],
  live: readonly Entry[],
  today: Day,
): readonly MissedRound[] {
  const from = addDays(today, -DAYS_BACK);
  const byDay = new Map<Day, string[]>();
  for (const containerId of containerIds) {
    const visits = entriesAt(live, containerId).filter(
      (e) => (e.kind === 'check' || e.kind === 'watering') && dayOf(e.at) >= from && dayOf(e.at) <= today,
    );
    const days = [...new Set(visits.map((e) => dayOf(e.at)))];
    const gaps = days.slice(1).map((day, i) => ({ day, days: daysBetween(days[i] as Day, day) }));
    const usual = medianOf(gaps.map((gap) => gap.days));
    for (const gap of gaps) {
      if (usual === undefined || gap.days <= LONGER * usual || gap.days < 2) continue;
      if (!visits.some((e) => e.kind === 'check' && dayOf(e.at) === gap.day && foundDry(e))) continue;
      byDay.set(gap.day, [...(byDay.get(gap.day) ?? []), containerId]);
    }
  }
  return [...byDay].sort(([a], [b]) => (a < b ? -1 : 1)).map(([day, ids]) => ({ day, containerIds: ids }));
}

/** The middle of several numbers; of fewer than three nothing is usual. */
function medianOf(numbers: readonly number[]): number | undefined {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted.length < 3 ? undefined : sorted[Math.floor((sorted.length - 1) / 2)];
}

function foundDry({ check }: EntryOf<'check'>): boolean {
  if (check.method === 'wilted') return true;
  if (check.method === 'finger') return check.grade <= 2;
  return check.method === 'lift' && check.grade === 1;
}
