import type { Draft } from '@rundel/core/records';
import type { StationDay } from '../../store/devices.ts';

/** The station's days as entries: only those of which nothing is known, each dated to its own evening. */
export function stationDrafts(
  days: readonly StationDay[],
  known: ReadonlySet<string>,
  momentOn: (day: string) => string,
): Draft<'weather'>[] {
  return days
    .filter(({ day, minCelsius, maxCelsius }) => !known.has(day) && minCelsius <= maxCelsius)
    .map((day) => ({ kind: 'weather', at: momentOn(day.day), source: 'station', ...day }));
}
