import { type Crop, type Habit, heightBelief } from '../plants/index.ts';
import type { PlantingSite, PlantingTask } from '../planting/index.ts';
import type { Seedling } from '../records/index.ts';
import type { BagProperties } from './properties.ts';

/** Several stations share this much of a bag's length: its ends round off. */
export const STATIONS_SPAN = 0.92;

/** Half of a channel's depth is air, as a rule. */
const AIR_IN_CHANNEL = 0.5;

/**
 * A bag as a place to plant in.
 *
 * @param stations how many plants it is meant for: each has its share of the length
 */
export function plantingSiteOf(
  properties: BagProperties,
  stations: number,
  practiceId: string,
): PlantingSite {
  const { kind, real, fill, settling } = properties;
  const widest = real.solid.widthAt(Math.max(0, fill.mixMillimetres - 60));
  return {
    solid: real.solid,
    mixMillimetres: fill.mixMillimetres,
    settling,
    runMillimetres: (widest * (stations > 1 ? STATIONS_SPAN : 1)) / Math.max(1, stations),
    canBeRolled:
      !kind.isClosed && real.ring === undefined && (kind.wall === 'fabric' || kind.wall === 'film'),
    ring: real.ring,
    netGapMillimetres:
      real.under?.kind === 'channel' ? real.under.heightMillimetres * AIR_IN_CHANNEL : undefined,
    practiceId,
  };
}

/** Everything that the planting methods are worked out from, for one seedling in one bag. */
export function plantingTaskOf(
  properties: BagProperties,
  stations: number,
  practiceId: string,
  crop: Crop,
  habit: Habit,
  seedling: Seedling,
): PlantingTask {
  return {
    seedling,
    crop,
    site: plantingSiteOf(properties, stations, practiceId),
    growthFrom: (above) =>
      heightBelief(habit, Math.max(1, above), [], properties.assumed.heightNoise, properties.assumed),
    assumed: properties.assumed,
  };
}
