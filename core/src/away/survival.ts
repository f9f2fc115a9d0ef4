import type { Assumed } from '../assumed/index.ts';
import { type WeatherDay } from '../climate/index.ts';
import type { Chance } from '../statistics/index.ts';
import {
  afterGain,
  afterRefill,
  bagDepletion,
  dayOfBag,
  demandIn,
  fromLossScale,
  lossScale,
  MOST_SPREAD,
  onLossScale,
  type Belief,
  type DayOfBag,
  type WaterBag,
} from '../water/index.ts';

/** Possible bags at the hour of leaving, draw by draw: what each uses and holds. */
export interface InitialStates {
  /** use multipliers */
  readonly use: Float64Array;
  /** relative available water */
  readonly water: Float64Array;
}

/** Helper visits as numbers of days from leaving, in the order in which they come. */
export type Visits = readonly number[];

/** What became of a bag over all draws. */
export interface Survival {
  /** share of draws in which it was never too dry to live well */
  readonly survives: number;
  /** for each evening away: share of draws in which it had been too dry by then */
  readonly dryBy: readonly number[];
  /** litres that it takes at each visit, mean and the 90 % point, its store included */
  readonly visitLitres: readonly { readonly likely: number; readonly high: number }[];
  readonly usePerDayLitres: number;
}

/** How full somebody leaves it, who pours until it runs through. */
export const HELPED = 0.97;

/** How full a bag is when it was watered until it ran through, give or take. */
const SOAKED = { least: 0.9, most: 1 };

/** Draws that follow one another by this part of the whole lie evenly, however many of them are taken. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Draws bags as they may stand at the hour of leaving: use from what is believed of them, water from the belief when they
 * are left as they are and from a product soak when they are soaked. Any number of the first draws stands for the whole.
 */
export function drawInitialStates(
  belief: Belief,
  chance: Chance,
  draws: number,
  isSoaked: boolean,
): InitialStates {
  const draw = belief.drawer();
  const starts = { use: new Float64Array(draws), water: new Float64Array(draws) };
  // evenly over the use, which decides most
  const first = chance.next();
  for (let n = 0; n < draws; n++) {
    const { use, water } = draw((first + n * GOLDEN) % 1, chance.next());
    starts.use[n] = use;
    starts.water[n] = isSoaked ? SOAKED.least + (SOAKED.most - SOAKED.least) * chance.next() : water;
  }
  return starts;
}

/** How far each day's demand is off in each draw, as standard normals: `luck[draw * days + day]`. */
export function sampleNoise(chance: Chance, draws: number, days: number): Float64Array {
  return Float64Array.from({ length: draws * days }, () => chance.normal());
}

/** How much of a day falls into the time away: of what the day asks for, and of its hours; both 0 to 1. */
export interface DayPart {
  readonly ofDemand: number;
  readonly ofDay: number;
}

/** Less than this of a day's demand is as good as none: what divides by it would have no end. */
const LEAST_OF_A_DAY = 0.01;

/** The demand on a bag by day, as shares of its available water; filled anew for each weather, which is faster than a list. */
class DemandByDay {
  readonly transpiration: Float64Array;
  readonly evaporation: Float64Array;
  readonly spread: Float64Array;
  readonly gain: Float64Array;

  constructor(
    private readonly bag: WaterBag,
    private readonly daysOfBag: readonly DayOfBag[],
    private readonly parts: readonly DayPart[],
    private readonly assumed: Assumed,
  ) {
    const days = daysOfBag.length;
    this.transpiration = new Float64Array(days);
    this.evaporation = new Float64Array(days);
    this.spread = new Float64Array(days);
    this.gain = new Float64Array(days);
  }

  fill(weather: readonly WeatherDay[]): void {
    const taw = this.bag.availableLitres;
    this.daysOfBag.forEach((dayOfBag, d) => {
      const day = demandIn(weather[d] as WeatherDay, dayOfBag, this.assumed);
      const { ofDemand, ofDay } = this.parts[d] as DayPart;
      this.transpiration[d] = (day.transpirationLitres * ofDemand) / taw;
      this.evaporation[d] = (day.evaporationLitres * ofDemand) / taw;
      this.spread[d] = Math.min(MOST_SPREAD, this.assumed.demandSpread * day.doubt);
      this.gain[d] = ((day.rainLitres + day.dripLitres) * ofDay) / taw;
    });
  }
}

/** What is asked of the days away, the same for every bag. */
export interface DaysAway {
  /** how much of each day nobody is there */
  readonly parts: readonly DayPart[];
  /** possible weathers, each of as many days; draw n goes with weather n modulo their number */
  readonly weathers: readonly (readonly WeatherDay[])[];
  /** see {@link sampleNoise}, for as many draws as there are starts */
  readonly noise: Float64Array;
  /** whether all bags are watered until they run through before leaving */
  readonly isSoaked: boolean;
  /** whether the helper fails to come on a visit */
  readonly missed: (draw: number, visit: number) => boolean;
}

/**
 * Takes a bag through the days away under the first draws of its starts.
 *
 * Between rain, drip and what stores give, a bag's water is kept on the scale of losses, where a day is one subtraction.
 */
export function survivalOf(
  bag: WaterBag,
  starts: InitialStates,
  away: DaysAway,
  visits: Visits,
  assumed: Assumed,
  draws: number = starts.use.length,
): Survival {
  const { parts, weathers, noise, isSoaked, missed } = away;
  const daysOfBag = (weathers[0] ?? []).map(({ day }) => dayOfBag(bag, day, assumed));
  const days = daysOfBag.length;
  const depletion = bagDepletion(bag);
  const { threshold } = lossScale(depletion);
  const taw = bag.availableLitres;
  const refillRate = bag.stores.reduce((sum, store) => sum + store.perDay, 0);
  const room = bag.stores.reduce((sum, store) => sum + store.litres, 0) / taw;
  const catching = bag.stores.filter((s) => s.catchesDrained).reduce((sum, s) => sum + s.litres, 0) / taw;
  const full = bag.stores.reduce((sum, s) => sum + s.litres * (isSoaked ? 1 : s.startShare), 0) / taw;
  const [tooDry, watered] = [onLossScale(assumed.survivalPoint, threshold), onLossScale(HELPED, threshold)];
  const driedOn = new Float64Array(days);
  const poured = visits.map(() => [] as number[]);
  const visitOn = Int32Array.from({ length: days }, (_, d) => visits.indexOf(d));
  const demand = new DemandByDay(bag, daysOfBag, parts, assumed);
  const { transpiration, evaporation, spread, gain } = demand;
  const refillRates = Float64Array.from(
    daysOfBag,
    ({ rooted }, d) => refillRate * rooted * (parts[d] as DayPart).ofDay,
  );
  const wholeDays = Math.max(
    parts.reduce((sum, { ofDemand }) => sum + ofDemand, 0),
    LEAST_OF_A_DAY,
  );
  let used = 0;
  weathers.forEach((weather, w) => {
    demand.fill(weather);
    for (let n = w; n < draws; n += weathers.length) {
      const use = starts.use[n] as number;
      let place = onLossScale(starts.water[n] as number, threshold);
      let stored = full;
      let isDry = false;
      for (let d = 0; d < days; d++) {
        const off = (spread[d] as number) * (noise[n * days + d] as number);
        const asked = (transpiration[d] as number) * use + (evaporation[d] as number);
        const loss = asked * Math.max(0.05, 1 + off);
        used += loss;
        if (stored > 0) {
          const before = fromLossScale(place, threshold);
          const refilled = afterRefill(before, loss, refillRates[d] as number, stored, depletion);
          place = onLossScale(refilled.w, threshold);
          stored -= refilled.released;
        } else place -= loss;
        if ((gain[d] as number) > 0) {
          const gained = afterGain(fromLossScale(place, threshold), gain[d] as number, assumed);
          place = onLossScale(gained.w, threshold);
          stored = Math.min(room, stored + Math.min(gained.drained, Math.max(0, catching - stored)));
        }
        if (!isDry && place < tooDry) {
          isDry = true;
          driedOn[d] = (driedOn[d] as number) + 1;
        }
        const visit = visitOn[d] as number;
        if (visit >= 0 && !missed(n, visit)) {
          // a helper pours until it runs through, and tops up what stands beside it
          const lacking = Math.max(0, HELPED - fromLossScale(place, threshold));
          (poured[visit] as number[]).push((lacking + (room - stored)) * taw);
          place = Math.max(place, watered);
          stored = room;
        }
      }
    }
  });
  let dry = 0;
  const dryBy = Array.from(driedOn, (count) => (dry += count) / Math.max(1, draws));
  return {
    survives: 1 - dry / Math.max(1, draws),
    dryBy,
    visitLitres: poured.map((litres) => {
      const sorted = litres.sort((a, b) => a - b);
      const mean = sorted.reduce((sum, x) => sum + x, 0) / Math.max(1, sorted.length);
      return { likely: mean, high: sorted[Math.floor(sorted.length * 0.9)] ?? mean };
    }),
    usePerDayLitres: (used * taw) / (Math.max(1, draws) * wholeDays),
  };
}
