import type { Assumed } from '../../assumed/index.ts';
import { classBeside, type Crop, type Habit } from '../../plants/index.ts';
import { demandOfDay, type Range, type WaterBag } from '../../water/index.ts';
import { EXCEPTIONS, type ExceptionId, type SizingPractice } from './practices.ts';

/** How a nominal size suits a plant. `roomy` and `works` are remarks, never refusals; so is the rest. */
export type Fit = 'too-small' | 'borderline' | 'works' | 'easy' | 'roomy';

/** The sizes to choose from, nominal US gallons, after exceptions. */
export interface SizeSpan {
  readonly borderline: number;
  readonly from: number;
  readonly ease: number;
  readonly most: number;
  /** what the chosen practice recommends */
  readonly recommended: { readonly low: number; readonly high: number };
}

/**
 * The span of sizes for a habit: one class smaller where an exception holds (several do not add up).
 *
 * @see docs/model.md, 3. Planting
 * @example
 * spanFor(tallTomato, [], 'even').recommended
 * // => { low: 7, high: 20 }
 */
export function spanFor(
  habit: Pick<Habit, 'bagSizes'>,
  exceptions: readonly ExceptionId[] = [],
  practice: SizingPractice['id'] = 'even',
): SizeSpan {
  const isDown = exceptions.some((id) => EXCEPTIONS.some((e) => e.id === id));
  const moved = (gallons: number) => classBeside(gallons, isDown ? -1 : 0);
  const span = {
    borderline: moved(habit.bagSizes.borderline),
    from: moved(habit.bagSizes.from),
    ease: moved(habit.bagSizes.ease),
    most: habit.bagSizes.most,
  };
  const recommended = {
    even: { low: span.from, high: span.most },
    bigger: { low: span.ease, high: span.most },
    smaller: { low: span.from, high: span.ease },
  }[practice];
  return { ...span, recommended };
}

/**
 * How a nominal size fits a span, for one plant.
 *
 * @example
 * fitOf(5, spanFor(tallTomato))
 * // => 'borderline'
 */
export function fitOf(nominalGallons: number, span: SizeSpan): Fit {
  // a label of 38 L is 10.04 gal, one of 18 L is 4.8: a little either way is the same size to a grower
  const size = nominalGallons * 1.07;
  if (size < span.borderline) return 'too-small';
  if (size < span.from) return 'borderline';
  if (size < span.ease) return 'works';
  return nominalGallons * 0.95 > span.most ? 'roomy' : 'easy';
}

/**
 * Plants of a habit that a bag has room for: as many as would each have a working size; one at the least.
 *
 * @example
 * plantsFor(10, { bagSizes: { borderline: 3, from: 5, ease: 7, most: 10 } })
 * // => 2
 */
export function plantsFor(nominalGallons: number, habit: Pick<Habit, 'bagSizes'>): number {
  return Math.max(1, Math.floor((nominalGallons * 1.07) / habit.bagSizes.from));
}

/** A companion flower takes up water and feed too: it wants a nominal 10 US gallons or more, and the crop off centre. */
export const COMPANION_GALLONS = 10;

/**
 * Plants for a pillow bag: three, or two for bigger plants and small bags.
 *
 * @param realLitres what the bag really holds
 * @example
 * pillowStations(40, { canopySquareMetres: 0.3 }, DEFAULT_ASSUMED)
 * // => 3
 */
export function pillowStations(
  realLitres: number,
  plant: { readonly canopySquareMetres: number },
  assumed: Assumed,
): number {
  const each = assumed.pillowPerPlant * (plant.canopySquareMetres >= 0.4 ? 1.25 : 1);
  return Math.min(4, Math.max(1, Math.floor(realLitres / each + 0.01)));
}

/** What a hot day asks of a bag with grown plants. */
export interface HotDay {
  readonly usedLitres: Range;
  /** what it can give before it wants water, L */
  readonly givesLitres: number;
  /** waterings a day that it would want */
  readonly waterings: Range;
}

/** Ends of the 10–90 % range of a log-normal spread, in standard deviations. */
const TENTH = 1.2816;

/**
 * A hot day in high summer for a bag with grown plants: what they use by FAO-56 (Kc × ETo × canopy, and evaporation),
 * what the bag gives between full and the refill point, and so how many waterings the day wants.
 *
 * @param bag its plants are taken as grown, whenever they were planted
 */
export function hotDay(bag: Omit<WaterBag, 'plants'>, plants: readonly Plant[], assumed: Assumed): HotDay {
  const day = '2000-07-01';
  const { transpirationLitres, evaporationLitres } = demandOfDay(
    withGrown(bag, plants),
    {
      day,
      minCelsius: 17,
      maxCelsius: 31,
      rainMillimetres: 0,
      etoMillimetres: assumed.hotDay,
      coverMillimetres: assumed.hotDay * assumed.sunOnHotDay,
      by: 'hargreaves',
      filled: { min: false, max: false, rain: false },
    },
    assumed,
  );
  const likely = transpirationLitres + evaporationLitres;
  const spread = Math.exp(TENTH * assumed.demandSpread);
  const usedLitres = { low: likely / spread, likely, high: likely * spread };
  const givesLitres = bag.availableLitres * (1 - assumed.refillPoint);
  return {
    usedLitres,
    givesLitres,
    waterings: {
      low: usedLitres.low / givesLitres,
      likely: likely / givesLitres,
      high: usedLitres.high / givesLitres,
    },
  };
}

/** A bag with plants that are grown, whenever it is looked at. */
export function withGrown(bag: Omit<WaterBag, 'plants'>, plants: readonly Plant[]): WaterBag {
  return {
    ...bag,
    plants: plants.map(({ crop, canopySquareMetres }) => ({
      plantedOn: LONG_AGO,
      kc: crop.kcMid,
      depletion: crop.depletion,
      figures: { fullHeightMillimetres: 0, canopySquareMetres, weeksToFull: 10 },
    })),
  };
}

const LONG_AGO = '1990-01-01';

/** A plant that is grown, as far as sizing goes. */
export interface Plant {
  readonly crop: Pick<Crop, 'kcMid' | 'depletion'>;
  readonly canopySquareMetres: number;
}

/**
 * Whether so many rounds a day keep a bag through a hot day: surely, on most such days, or not.
 *
 * @example
 * keptBy({ low: 0.6, likely: 0.9, high: 1.3 }, 1)
 * // => 'mostly'
 */
export function keptBy(waterings: Range, roundsPerDay: number): 'kept' | 'mostly' | 'not-kept' {
  if (waterings.high <= roundsPerDay) return 'kept';
  return waterings.likely <= roundsPerDay ? 'mostly' : 'not-kept';
}
