import type { Draft, Entry } from '@rundel/core/records';
import type { StationDay } from '../../store/devices.ts';
import { sortDays } from './weather-csv.ts';

/** What the station knows and nobody noted, of whole days or of parts of them, each dated to its own evening. */
export function stationDrafts(
  days: readonly StationDay[],
  live: readonly Entry[],
  today: string,
  momentOn: (day: string) => string,
): Draft<'weather'>[] {
  const { fresh, more } = sortDays(
    days.filter(({ minCelsius, maxCelsius }) => minCelsius <= maxCelsius),
    live,
    today,
  );
  // a day of which degrees and rain were noted is whole
  const gaps = more.filter((day) =>
    [day.minCelsius, day.maxCelsius, day.rainMillimetres].some((x) => x !== undefined),
  );
  return [...fresh, ...gaps].map((day) => ({
    kind: 'weather',
    at: momentOn(day.day),
    source: 'station',
    ...day,
  }));
}
