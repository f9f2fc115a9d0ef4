import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import {
  entriesAt,
  entriesOfKind,
  rowById,
  type Container,
  type Entry,
  type EntryOf,
  type Garden,
  type LeavingReason,
  type Plant,
  type Variety,
} from '../records/index.ts';
import type { Crop, Habit } from './crops/crop.ts';
import { cropOf } from './crops/index.ts';
import { stagesSeen, type StagesSeen } from './stages.ts';
import { habitOfVariety, type PlantAge } from './varieties.ts';

/** A plant in a station, from its planting to the day it left. */
export interface Occupant extends PlantAge {
  readonly stationId: string;
  /** place of the station in its container, from 0 */
  readonly position: number;
  readonly plant: Plant;
  readonly variety: Variety;
  readonly crop: Crop;
  /** how it grows: as its variety does, where that is known */
  readonly habit: Habit;
  readonly planted: EntryOf<'planted'>;
  /** its first planting, in another bag, if it was moved from there; else the same as `planted` */
  readonly origin: EntryOf<'planted'>;
  /** the day it came into this container */
  readonly plantedOn: Day;
  readonly clearedOn: Day | undefined;
  /** why it left; left out: its time was over, or it is there */
  readonly leftBecause: LeavingReason | undefined;
  readonly stages: StagesSeen;
}

const isSeed = (planted: EntryOf<'planted'>) => planted.plantingMethodId === 'seed';

/** When a plant was sown, and the day from which it is as old as a young plant that was planted then. */
function ageOf(
  origin: EntryOf<'planted'>,
  crop: Crop,
  batchSownOn: Day | undefined,
  up: Day | undefined,
): PlantAge {
  const day = dayOf(origin.at);
  if (!isSeed(origin)) return { sownOn: batchSownOn, ageFrom: day };
  const { low, high } = crop.sowing.daysToEmerge;
  // it came up sooner or later than usual: all that follows moves with it
  const late = up === undefined ? 0 : daysBetween(day, up) - Math.round((low + high) / 2);
  return { sownOn: day, ageFrom: addDays(day, Math.round(crop.seedlingWeeks.value * 7) + late) };
}

/** The records by which a plant is known. */
type PlantsOfGarden = Pick<Garden, 'plants' | 'varieties'> & Partial<Pick<Garden, 'batches'>>;

/**
 * Who has stood in a container, by its diary, oldest first. A station's plant leaves by a `cleared` entry or by the next
 * planting in the same station. A plant that was moved here from another bag keeps its age.
 *
 * @param live the garden's live entries, oldest first
 */
export function occupantsOf(
  container: Container,
  live: readonly Entry[],
  garden: PlantsOfGarden,
): readonly Occupant[] {
  return described(plantedIn(container, live, garden), container, live, garden);
}

/** Who stands in a container now: as {@link occupantsOf} without those who are gone, about whom nothing is asked. */
export function occupantsNow(
  container: Container,
  live: readonly Entry[],
  garden: PlantsOfGarden,
): readonly Occupant[] {
  const present = plantedIn(container, live, garden).filter((o) => o.clearedOn === undefined);
  return described(present, container, live, garden);
}

/** A planting that names a plant that is known, and how long it lasted. */
interface Planted {
  readonly position: number;
  readonly plant: Plant;
  readonly variety: Variety;
  readonly planted: EntryOf<'planted'>;
  readonly clearedOn: Day | undefined;
  readonly leftBecause: LeavingReason | undefined;
}

function plantedIn(container: Container, live: readonly Entry[], garden: PlantsOfGarden): readonly Planted[] {
  const found: Planted[] = [];
  const leave = (stationId: string, clearedOn: Day, leftBecause: LeavingReason | undefined) => {
    const at = found.findLastIndex((o) => o.planted.stationId === stationId && o.clearedOn === undefined);
    const occupant = found[at];
    if (occupant) found[at] = { ...occupant, clearedOn, leftBecause };
  };
  const here = entriesAt(live, container.id);
  for (const entry of here) {
    if (entry.kind === 'cleared') leave(entry.stationId, dayOf(entry.at), entry.why);
    if (entry.kind !== 'planted') continue;
    const position = container.stations.findIndex((s) => s.id === entry.stationId);
    const plant = rowById(garden.plants, entry.plantId);
    const variety = rowById(garden.varieties, plant?.varietyId);
    if (position < 0 || !plant || !variety) continue;
    leave(entry.stationId, dayOf(entry.at), 'replaced');
    found.push({ position, plant, variety, planted: entry, clearedOn: undefined, leftBecause: undefined });
  }
  return found;
}

function described(
  found: readonly Planted[],
  container: Container,
  live: readonly Entry[],
  garden: PlantsOfGarden,
): readonly Occupant[] {
  const here = entriesAt(live, container.id);
  return found
    .map(({ position, plant, variety, planted, clearedOn, leftBecause }): Occupant => {
      const crop = cropOf(variety.cropId);
      const { stationId, plantId } = planted;
      const origin = firstPlanting(planted, live);
      const plantedOn = dayOf(planted.at);
      const stages = stagesSeen(here, { stationId, plantId }, plantedOn, clearedOn);
      const batch = plant.batchId && garden.batches?.find((b) => b.id === plant.batchId);
      const age = ageOf(origin, crop, batch ? batch.sownOn : undefined, stages.seen.up);
      const habit = habitOfVariety(variety, age);
      return {
        ...{ stationId, position, plant, variety, crop, habit, planted, origin, plantedOn, clearedOn },
        ...{ leftBecause, stages },
        ...age,
      };
    })
    .sort((a, b) =>
      a.plantedOn < b.plantedOn ? -1 : a.plantedOn > b.plantedOn ? 1 : a.position - b.position,
    );
}

/** The planting that a plant's age is counted from: in the bag that it was moved from, if it was. */
function firstPlanting(planted: EntryOf<'planted'>, live: readonly Entry[]): EntryOf<'planted'> {
  if (!planted.isMoved) return planted;
  const first = entriesOfKind(live, 'planted').find((e) => e.plantId === planted.plantId && !e.isMoved);
  return first ?? planted;
}

/** Days since the youngest plant that still stands went in; undefined for an empty container. */
export function daysSinceLastPlanting(occupants: readonly Occupant[], today: Day): number | undefined {
  const ages = occupants.filter((o) => o.clearedOn === undefined).map((o) => daysBetween(o.plantedOn, today));
  return ages.length === 0 ? undefined : Math.min(...ages);
}
