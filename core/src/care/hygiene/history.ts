import { dayOf, seasonYearOf } from '../../calendar/index.ts';
import type { Occupant } from '../../plants/index.ts';
import { entriesAt, type Entry, type EntryOf } from '../../records/index.ts';
import { troubleCases, type TroubleCase } from './cases.ts';

/** One year of a bag: what went in, what was amiss, how it was filled and cleaned. */
export interface BagYear {
  readonly year: number;
  readonly occupants: readonly Occupant[];
  readonly troubles: readonly TroubleCase[];
  readonly cleanings: readonly EntryOf<'cleaned'>[];
  readonly fillings: readonly EntryOf<'filled'>[];
}

/**
 * A bag across the years, the latest first. A plant is told in the year in which it went in.
 *
 * @param occupants all that ever stood in it
 */
export function bagHistory(
  containerId: string,
  occupants: readonly Occupant[],
  live: readonly Entry[],
  latitudeDegrees: number,
): readonly BagYear[] {
  const here = entriesAt(live, containerId);
  const troubles = troubleCases(containerId, live);
  const yearOf = (at: string) => seasonYearOf(dayOf(at), latitudeDegrees);
  const years = new Set([
    ...occupants.map((o) => yearOf(o.plantedOn)),
    ...troubles.map((t) => yearOf(t.entry.at)),
    ...here.flatMap((e) => (e.kind === 'cleaned' || e.kind === 'filled' ? [yearOf(e.at)] : [])),
  ]);
  return [...years]
    .sort((a, b) => b - a)
    .map((year) => ({
      year,
      occupants: occupants.filter((o) => yearOf(o.plantedOn) === year),
      troubles: troubles.filter((t) => yearOf(t.entry.at) === year),
      cleanings: here.filter((e): e is EntryOf<'cleaned'> => e.kind === 'cleaned' && yearOf(e.at) === year),
      fillings: here.filter((e): e is EntryOf<'filled'> => e.kind === 'filled' && yearOf(e.at) === year),
    }));
}
