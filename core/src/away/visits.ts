import type { Chance } from '../statistics/index.ts';
import type { Visits } from './survival.ts';

/** A helper is not asked for more visits than this. */
const MOST_VISITS = 14;

/**
 * Choices of visits: none, and for every longest time between visits the fewest that keep to it. Where as many visits can
 * cut the time more evenly, the more even ones stand.
 *
 * @param days every day of the time away, those of leaving and of coming back among them
 */
export function visitChoices(days: readonly string[], helperDays: readonly string[]): readonly Visits[] {
  const possible = days.flatMap((day, d) => (helperDays.includes(day) ? [d] : []));
  const byCount = new Map<number, Visits>();
  for (let gap = Math.max(1, days.length - 1); gap >= 1; gap--) {
    const visits = fewestVisits(possible, days.length, gap);
    if (visits && visits.length <= MOST_VISITS) byCount.set(visits.length, visits);
  }
  return [...byCount.values()];
}

/** The fewest visits with no more than `gap` days between them, leaving and coming back, each as early as that allows. */
function fewestVisits(possible: readonly number[], count: number, gap: number): Visits | undefined {
  const visits: number[] = [];
  let until = count - 1;
  while (until > gap) {
    const soonest = until - gap;
    const at = possible.find((d) => d >= soonest && d < until);
    if (at === undefined) return undefined;
    visits.unshift(at);
    until = at;
  }
  return visits;
}

/** Whether a helper fails to come, the same for all bags of a draw; `missChance` from 0 to 1. */
export function missedVisits(
  chance: Chance,
  draws: number,
  missChance: number,
): (draw: number, visit: number) => boolean {
  const table = Array.from({ length: draws * MOST_VISITS }, () => chance.next() < missChance);
  return (draw, visit) => table[draw * MOST_VISITS + visit] ?? false;
}
