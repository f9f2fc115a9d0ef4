import type { Day } from './calendar.ts';

/** A growing season: a calendar year, or in the south from July to June, so that a summer is never cut in two. */
export interface GrowingSeason {
  /** in which it begins */
  readonly year: number;
  readonly from: Day;
  readonly to: Day;
}

/**
 * The season that begins in a year.
 *
 * @param latitudeDegrees negative in the south
 * @example
 * growingSeason(2026, -33)
 * // => { year: 2026, from: '2026-07-01', to: '2027-06-30' }
 */
export function growingSeason(year: number, latitudeDegrees: number): GrowingSeason {
  return latitudeDegrees >= 0
    ? { year, from: `${year}-01-01`, to: `${year}-12-31` }
    : { year, from: `${year}-07-01`, to: `${year + 1}-06-30` };
}

/**
 * The year in which the season of a day begins.
 *
 * @example
 * seasonYearOf('2027-02-03', -33)
 * // => 2026
 * @example
 * seasonYearOf('2027-02-03', 51)
 * // => 2027
 */
export function seasonYearOf(day: Day, latitudeDegrees: number): number {
  const year = Number(day.slice(0, 4));
  return latitudeDegrees < 0 && day.slice(5) < '07-01' ? year - 1 : year;
}

/**
 * What a season is called.
 *
 * @example
 * seasonName(2026, -33)
 * // => '2026/27'
 */
export function seasonName(year: number, latitudeDegrees: number): string {
  return latitudeDegrees >= 0 ? String(year) : `${year}/${String((year + 1) % 100).padStart(2, '0')}`;
}
