import { cropOf, habitOf } from './crops/index.ts';
import { type Crop, type Habit } from './crops/crop.ts';
import { daysBetween, dayOf, type Day } from '../calendar/index.ts';
import {
  entriesAt,
  type Entry,
  type EntryOf,
  type Container,
  type Plant,
  type Variety,
  type Garden,
} from '../records/index.ts';

/** A plant in a station, from its planting to the day it was cleared. */
export interface Occupant {
  readonly stationId: string;
  /** place of the station in its container, from 0 */
  readonly position: number;
  readonly plant: Plant;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly habit: Habit;
  readonly planted: EntryOf<'planted'>;
  readonly plantedOn: Day;
  readonly clearedOn: Day | undefined;
}

/**
 * Who has stood in a container, by its diary, oldest first. A station's plant is cleared by a `cleared` entry or
 * by the next planting in the same station.
 *
 * @param live the garden's live entries, oldest first
 */
export function occupantsOf(
  container: Container,
  live: readonly Entry[],
  garden: Pick<Garden, 'plants' | 'varieties'>,
): readonly Occupant[] {
  const found: Occupant[] = [];
  const leave = (stationId: string, day: Day) => {
    const at = found.findLastIndex((o) => o.stationId === stationId && o.clearedOn === undefined);
    const occupant = found[at];
    if (occupant) found[at] = { ...occupant, clearedOn: day };
  };
  for (const entry of entriesAt(live, container.id)) {
    if (entry.kind === 'cleared') leave(entry.stationId, dayOf(entry.at));
    if (entry.kind !== 'planted') continue;
    const position = container.stations.findIndex((s) => s.id === entry.stationId);
    const plant = garden.plants.find((p) => p.id === entry.plantId);
    const variety = garden.varieties.find((v) => v.id === plant?.varietyId);
    if (position < 0 || !plant || !variety) continue;
    leave(entry.stationId, dayOf(entry.at));
    const crop = cropOf(variety.cropId);
    found.push({
      stationId: entry.stationId,
      position,
      plant,
      variety,
      crop,
      habit: habitOf(crop.id, variety.habitId),
      planted: entry,
      plantedOn: dayOf(entry.at),
      clearedOn: undefined,
    });
  }
  return found.sort((a, b) =>
    a.plantedOn < b.plantedOn ? -1 : a.plantedOn > b.plantedOn ? 1 : a.position - b.position,
  );
}

/** Days since the youngest plant that still stands went in; undefined for an empty container. */
export function daysSinceLastPlanting(occupants: readonly Occupant[], today: Day): number | undefined {
  const ages = occupants.filter((o) => o.clearedOn === undefined).map((o) => daysBetween(o.plantedOn, today));
  return ages.length === 0 ? undefined : Math.min(...ages);
}
