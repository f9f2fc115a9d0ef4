import { daysBetween, type Day } from '../calendar/index.ts';
import type { Variety } from '../records/index.ts';
import type { Assumption } from '../assumed/index.ts';
import { classBeside } from './crops/bag-sizes.ts';
import { cropOf, habitOf } from './crops/index.ts';
import { varietiesIn, type KnownVariety } from './starter-varieties.ts';
import { prior, sizes, type BagSizes, type Crop, type Habit } from './crops/crop.ts';

/** What a variety says of itself, as far as it is known. */
export type VarietyFacts = Pick<Variety, 'cropId' | 'habitId'> &
  Partial<
    Pick<Variety, 'name' | 'bearing' | 'daysToRipe' | 'daysToGreen' | 'heightMillimetres' | 'isGrafted'>
  >;

/** When a plant was sown and when it was, or would be, a usual young plant that is just planted. */
export interface PlantAge {
  readonly sownOn: Day | undefined;
  readonly ageFrom: Day;
}

const REASON = 'What you know of the variety.';

/** A full-sized green fruit is there this long before a ripe one, days (*assumed*). */
const GREEN_BEFORE_RIPE: Readonly<Record<string, number>> = {
  tomato: 20,
  pepper: 25,
  aubergine: 0,
  cucumber: 0,
};

/** Weeks of picking by how long a variety bears, whatever its growth. */
const WEEKS_OF: Readonly<Record<NonNullable<Variety['bearing']>, Assumption>> = {
  'one-flush': prior(4, 3, 6, 'weeks', REASON),
  'all-season': prior(12, 8, 16, 'weeks', REASON),
};

/** Days from the day that a plant's age is counted from to a crop that its packet counts from sowing or planting. */
function daysFromAge(
  days: NonNullable<Variety['daysToRipe']>,
  crop: Crop,
  age: PlantAge | undefined,
): Assumption {
  const before =
    days.from === 'planting'
      ? 0
      : age?.sownOn === undefined
        ? Math.round(crop.seedlingWeeks.value * 7)
        : daysBetween(age.sownOn, age.ageFrom);
  const least = (value: number) => Math.max(10, Math.round(value - before));
  const middle = (days.low + days.high) / 2;
  // one number on a packet is not known to the day
  const doubt = days.low === days.high ? 0.1 : 0;
  return prior(least(middle), least(days.low * (1 - doubt)), least(days.high * (1 + doubt)), 'days', REASON);
}

/**
 * How a variety grows: its crop's habit, with what the grower knows of it in place of what is usual.
 *
 * @param age of the plant, where its packet counts from sowing and the day is known
 * @see docs/model.md, 4. Supports
 * @example
 * habitOfVariety({ cropId: 'tomato', habitId: 'bush', heightMillimetres: 600 }).fullHeightMillimetres.value
 * // => 600
 */
export function habitOfVariety(variety: VarietyFacts, age?: PlantAge): Habit {
  const crop = cropOf(variety.cropId);
  const usual = habitOf(variety.cropId, variety.habitId);
  const { heightMillimetres: height, bearing, daysToRipe, daysToGreen } = variety;
  const ripe = daysToRipe && daysFromAge(daysToRipe, crop, age);
  const green = daysToGreen && daysFromAge(daysToGreen, crop, age);
  const known: Habit['known'] = [
    ...(height === undefined ? [] : ['fullHeightMillimetres' as const]),
    ...(ripe ? ['daysToPicking' as const] : []),
    ...(green ? ['daysToGreen' as const] : []),
    ...(bearing === undefined || bearing === usual.bearing ? [] : ['weeksOfPicking' as const]),
  ];
  if (known.length === 0) return usual;
  const others = usual.fullHeightMillimetres;
  return {
    ...usual,
    known,
    ...(bearing === undefined || bearing === usual.bearing
      ? {}
      : { bearing, weeksOfPicking: WEEKS_OF[bearing] }),
    ...(height === undefined
      ? {}
      : {
          // a known height is known better than a habit's, and the crown grows with it
          fullHeightMillimetres: prior(height, height * 0.85, height * 1.2, 'mm', REASON),
          canopySquareMetres: scaled(usual.canopySquareMetres, clamp(height / others.value, 0.4, 1.8)),
          bagSizes: sizesByHeight(usual, height),
        }),
    ...(ripe ? { daysToPicking: ripe } : {}),
    ...(green ? { daysToGreen: green } : ripe ? { daysToGreen: undefined } : {}),
  };
}

/**
 * Sizes of bag for a plant of a known height: as usual for its growth while it stays in the usual range, and a class smaller or
 * bigger for one that does not (*assumed*).
 */
function sizesByHeight({ fullHeightMillimetres: usual, bagSizes }: Habit, height: number): BagSizes {
  const steps = height < usual.low ? -1 : height > usual.high ? 1 : 0;
  const { borderline, from, ease, most } = bagSizes;
  const moved = (gallons: number) => classBeside(gallons, steps);
  return sizes(moved(borderline), moved(from), moved(ease), moved(most));
}

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

const scaled = (a: Assumption, times: number): Assumption => ({
  ...a,
  value: a.value * times,
  low: a.low * times,
  high: a.high * times,
});

/**
 * Days from planting to the first full-sized fruit that is still green: the variety's own, or so long before its first ripe one.
 *
 * @example
 * daysToGreenOf('tomato', habitOfVariety({ cropId: 'tomato', habitId: 'bush' }))
 * // => 42
 */
export function daysToGreenOf(cropId: string, habit: Habit): number {
  return habit.daysToGreen?.value ?? habit.daysToPicking.value - (GREEN_BEFORE_RIPE[cropId] ?? 0);
}

/** The variety of a name among some, with the crop and growth that were said for it. */
export function varietyNamed<V extends KnownVariety>(
  varieties: readonly V[],
  what: { readonly varietyName?: string | undefined; readonly cropId: string; readonly habitId?: string },
): V | undefined {
  const name = what.varietyName?.trim().toLocaleLowerCase();
  if (!name) return undefined;
  const same = varieties.filter((v) => v.cropId === what.cropId && v.name.toLocaleLowerCase() === name);
  return same.find((v) => v.habitId === what.habitId) ?? same[0];
}

/** How what is planned would grow: by its variety, where that is known, else as its crop and growth usually do. */
export function habitOfPlanned(
  varieties: readonly Variety[],
  what: { readonly varietyName?: string | undefined; readonly cropId: string; readonly habitId: string },
): Habit {
  const variety = varietyNamed(varietiesIn(varieties), what);
  return habitOfVariety(variety ? { ...variety, habitId: what.habitId } : what);
}
