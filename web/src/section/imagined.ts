import { type Occupant, cropOf, habitOf, NO_STAGES, type Crop, type Habit } from '@rundel/core/plants';
import { addDays, dayOf } from '@rundel/core/calendar';
import type { Seedling } from '@rundel/core/records';

/** A planting that is being thought about. */
export interface ImaginedPlanting {
  readonly cropId: string;
  readonly habitId: string;
  readonly varietyName: string;
  /** how its variety grows, where that is known; left out: as is usual for its growth */
  readonly habit?: Habit | undefined;
  readonly plantedOn: string | undefined;
  readonly seedling: Seedling;
  readonly practiceId?: string | undefined;
  /** seed, sown in place */
  readonly isSown?: boolean | undefined;
}

/** A plant that is not there yet, for the drawing. */
export function imaginedOccupant(
  planting: ImaginedPlanting,
  stationId: string,
  position: number,
  now: string,
): Occupant {
  const day = planting.plantedOn ?? dayOf(now);
  const stamps = { createdAt: now, changedAt: now };
  const variety = {
    id: 'var_preview0',
    name: planting.varietyName,
    cropId: planting.cropId,
    habitId: planting.habitId,
    ...stamps,
  };
  const planted = {
    id: 'ent_preview0',
    kind: 'planted' as const,
    at: `${day}T12:00:00.000Z`,
    recordedAt: now,
    containerId: 'con_preview0',
    stationId,
    plantId: `pla_preview${position}`,
    seedling: planting.seedling,
    ...(planting.practiceId ? { practiceId: planting.practiceId } : {}),
    ...(planting.isSown ? { plantingMethodId: 'seed' as const } : {}),
  };
  const crop = cropOf(planting.cropId);
  return {
    stationId,
    position,
    plant: { id: `pla_preview${position}`, varietyId: variety.id, ...stamps },
    variety,
    crop,
    habit: planting.habit ?? habitOf(planting.cropId, planting.habitId),
    planted,
    origin: planted,
    sownOn: planting.isSown ? day : undefined,
    ageFrom: planting.isSown ? addDays(day, Math.round(crop.seedlingWeeks.value * 7)) : day,
    leftBecause: undefined,
    stages: NO_STAGES,
    plantedOn: day,
    clearedOn: undefined,
  };
}

/** Plants that have done all their growth, for a drawing of how big a thing gets. */
export function grownOccupants(crop: Crop, habit: Habit, count: number, now: string): readonly Occupant[] {
  const planting: ImaginedPlanting = {
    cropId: crop.id,
    habitId: habit.id,
    habit,
    varietyName: 'grown',
    plantedOn: addDays(dayOf(now), -Math.round(habit.weeksToFull.high * 7)),
    seedling: { stemMillimetres: 200, ballMillimetres: crop.ball.heightMillimetres },
  };
  return Array.from({ length: count }, (_, i) => imaginedOccupant(planting, `stn_grown00${i}`, i, now));
}
