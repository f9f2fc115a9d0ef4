import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, type Day } from '../calendar/index.ts';
import { cropOf, habitOfPlanned, type Crop, type Habit, type Occupant } from '../plants/index.ts';
import { entriesAt, type Entry, type Plan, type Variety } from '../records/index.ts';
import { datesFrom, type DaySpan, type PlantingDates, type PlantStory, type TimingPlace } from './windows.ts';

/** A stretch of a crop's year. */
export type BandKind = 'sow' | 'harden' | 'grow' | 'flower' | 'pick' | 'clear';

export interface Band extends DaySpan {
  readonly kind: BandKind;
  /** it happened, by the diary; otherwise it is expected */
  readonly isPast: boolean;
}

/** One crop in one bag over the year: planted, or planned. */
export interface CropYear {
  readonly id: string;
  readonly containerId: string;
  readonly name: string;
  readonly crop: Crop;
  readonly habit: Habit;
  readonly status: 'planted' | 'planned';
  /** undefined for what is planted */
  readonly plan: Plan | undefined;
  readonly plantOn: Day;
  readonly dates: PlantingDates;
  readonly bands: readonly Band[];
  readonly supportOn: Day | undefined;
}

interface YearContext {
  readonly place: TimingPlace;
  readonly supportDays: { readonly fromDays: number; readonly toDays: number };
  readonly today: Day;
  readonly assumed: Assumed;
}

function bandsOf(
  dates: PlantingDates,
  today: Day,
  pickedFrom: Day | undefined,
  clearedOn: Day | undefined,
): Band[] {
  const end = clearedOn ?? dates.clear;
  const pickFrom = pickedFrom ?? dates.picking.from;
  const flowersFrom = dates.firstFlowers.from < pickFrom ? dates.firstFlowers.from : pickFrom;
  const spans: readonly (readonly [BandKind, Day, Day])[] = [
    ['sow', dates.sow.from, dates.sow.to],
    ...(dates.harden ? [['harden', dates.harden.from, dates.harden.to] as const] : []),
    ['grow', dates.plantOn, flowersFrom],
    ['flower', flowersFrom, pickFrom],
    ['pick', pickFrom, end],
    ['clear', end, addDays(end, 2)],
  ];
  return spans
    .filter(([, from, to]) => from <= to && (from <= end || from === end))
    .map(([kind, from, to]) => ({ kind, from, to, isPast: to <= today }));
}

/** The year of a plant that stands or stood in a bag: what happened by the diary, what is to come by its kind. */
export function yearOfOccupant(
  occupant: Occupant,
  live: readonly Entry[],
  { place, supportDays, today, assumed }: YearContext,
): CropYear {
  const { crop, habit, planted } = occupant;
  const dates = datesFrom(occupant.plantedOn, crop, habit, place, supportDays, assumed, storyOf(occupant));
  const here = entriesAt(live, planted.containerId).filter(
    (e) =>
      dayOf(e.at) >= occupant.plantedOn &&
      (occupant.clearedOn === undefined || dayOf(e.at) <= occupant.clearedOn),
  );
  const supported = here.find((e) => e.kind === 'supported' && e.supportId !== 'triangle');
  return {
    id: planted.id,
    containerId: planted.containerId,
    name: occupant.plant.name ?? occupant.variety.name,
    crop,
    habit,
    status: 'planted',
    plan: undefined,
    plantOn: occupant.plantedOn,
    dates,
    bands: bandsOf(dates, today, occupant.stages.seen.ripe, occupant.clearedOn),
    supportOn: supported ? dayOf(supported.at) : undefined,
  };
}

/** A plant's story as the season counts it. */
export function storyOf({ ageFrom, sownOn, stages, planted, variety }: Occupant): PlantStory {
  const { setToRipe } = variety;
  return {
    ...{ ageFrom, sownOn, stages, isSown: planted.plantingMethodId === 'seed' },
    ...(setToRipe ? { setToRipe } : {}),
  };
}

/**
 * The year of something that is planned, as if it were planted on its day (or on another that is being tried).
 *
 * @param varieties the garden's: what is planned grows as its variety does
 */
export function yearOfPlan(
  plan: Plan,
  varieties: readonly Variety[],
  { place, supportDays, today, assumed }: YearContext,
  plantOn: Day = plan.plantOn,
): CropYear {
  const crop = cropOf(plan.cropId);
  const habit = habitOfPlanned(varieties, plan);
  const dates = datesFrom(plantOn, crop, habit, place, supportDays, assumed, {
    isSown: plan.isSown ?? false,
  });
  return {
    id: plan.id,
    containerId: plan.containerId,
    name: plan.plantName ?? plan.varietyName ?? crop.name,
    crop,
    habit,
    status: 'planned',
    plan,
    plantOn,
    dates,
    bands: bandsOf(dates, today, undefined, undefined),
    supportOn: undefined,
  };
}

/** Plants that would stand in a bag's way: those still there on a day that something else is to go in. */
export function inTheWay(year: CropYear, others: readonly CropYear[]): readonly CropYear[] {
  // a relay is meant to stand beside them
  if (year.plan?.isRelay) return [];
  return others.filter(
    (other) =>
      other.id !== year.id &&
      other.containerId === year.containerId &&
      other.plantOn < year.plantOn &&
      (other.bands.find((b) => b.kind === 'clear')?.from ?? other.dates.clear) > year.plantOn,
  );
}

/** A plan is kept when the same crop went into its bag about then, days. */
const ABOUT_THEN_DAYS = 30;

/** Whether a plan was carried out: the same crop stands or stood in its bag from about its day. */
export function isCarriedOut(plan: Plan, occupants: readonly Occupant[]): boolean {
  return occupants.some(
    (o) =>
      o.planted.containerId === plan.containerId &&
      o.crop.id === plan.cropId &&
      (plan.isDayOpen
        ? o.plantedOn >= dayOf(plan.createdAt)
        : o.plantedOn >= addDays(plan.plantOn, -ABOUT_THEN_DAYS) &&
          o.plantedOn <= addDays(plan.plantOn, ABOUT_THEN_DAYS)),
  );
}
