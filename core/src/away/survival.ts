import type { Assumed } from '../assumed/index.ts';
import { daysBetween, type WeatherDay } from '../climate/index.ts';
import type { Chance } from '../statistics/index.ts';
import {
  afterGain,
  afterRefill,
  bagDepletion,
  demandOfDay,
  type Belief,
  type WaterBag,
} from '../water/index.ts';

/** One possible bag at the hour of leaving: what it uses and holds. */
export interface Start {
  readonly use: number;
  /** relative available water */
  readonly water: number;
  /** how far each day's demand is off, as standard normals */
  readonly luck: Float64Array;
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

/** Below this share of available water a plant in a bag suffers for good; above it, it hangs at worst and comes back. */
export const SURVIVAL_POINT = 0.08;

/** How full a bag is when it was watered until it ran through, give or take. */
const SOAKED = { least: 0.9, most: 1 };

/**
 * Draws bags as they may stand at the hour of leaving: use from what is believed of them, water from the belief when they
 * are left as they are and from a good soak when they are soaked.
 */
export function drawStarts(
  belief: Belief,
  chance: Chance,
  draws: number,
  days: number,
  isSoaked: boolean,
): readonly Start[] {
  const draw = belief.drawer();
  return Array.from({ length: draws }, (_, i) => {
    // stratified in the use, which decides most
    const { use, water } = draw((i + chance.next()) / draws, chance.next());
    const soaked = isSoaked ? SOAKED.least + (SOAKED.most - SOAKED.least) * chance.next() : water;
    const luck = new Float64Array(days);
    for (let d = 0; d < days; d++) luck[d] = chance.normal();
    return { use, water: soaked, luck };
  });
}

/** The demand of one possible weather on a bag by day, worked out once for all of its draws with that weather. */
function demandsOf(bag: WaterBag, weather: readonly WeatherDay[], assumed: Assumed) {
  const days = weather.map((day) => demandOfDay(bag, day, assumed));
  return {
    transpiration: Float64Array.from(days, (day) => day.transpirationLitres),
    evaporation: Float64Array.from(days, (day) => day.evaporationLitres),
    spread: Float64Array.from(days, (day) => Math.min(0.55, assumed.demandSpread * day.doubt)),
    gain: Float64Array.from(days, (day) => (day.rainLitres + day.dripLitres) / bag.availableLitres),
    rooted: Float64Array.from(days, (day) => day.rooted),
  };
}

/**
 * Takes a bag through the days away under every draw.
 *
 * @param weathers possible weathers, each of as many days; draw i goes with weather i modulo their number
 * @param missChance chance that a helper does not come on a day
 */
export function survivalOf(
  bag: WaterBag,
  starts: readonly Start[],
  weathers: readonly (readonly WeatherDay[])[],
  visits: Visits,
  assumed: Assumed,
  isSoaked: boolean,
  missed: (draw: number, visit: number) => boolean,
): Survival {
  const days = weathers[0]?.length ?? 0;
  const demands = weathers.map((weather) => demandsOf(bag, weather, assumed));
  const depletion = bagDepletion(bag);
  const taw = bag.availableLitres;
  const pull = bag.stores.reduce((sum, store) => sum + store.perDay, 0);
  const room = bag.stores.reduce((sum, store) => sum + store.litres, 0) / taw;
  const catching = bag.stores.filter((s) => s.catchesDrained).reduce((sum, s) => sum + s.litres, 0) / taw;
  const full = bag.stores.reduce((sum, s) => sum + s.litres * (isSoaked ? 1 : s.startShare), 0) / taw;
  const dryBy = new Array<number>(days).fill(0);
  const poured = visits.map(() => [] as number[]);
  let survived = 0;
  let used = 0;
  const visitOn = Int32Array.from({ length: days }, (_, d) => visits.indexOf(d));
  starts.forEach((start, n) => {
    const demand = demands[n % demands.length];
    if (!demand) return;
    const { transpiration, evaporation, spread, gain, rooted } = demand;
    const { use, luck } = start;
    let water = start.water;
    let held = full;
    let isDry = false;
    for (let d = 0; d < days; d++) {
      const asked = (transpiration[d] as number) * use + (evaporation[d] as number);
      const loss = (asked * Math.max(0.05, 1 + (spread[d] as number) * (luck[d] as number))) / taw;
      used += loss * taw;
      const refilled = afterRefill(water, loss, pull * (rooted[d] as number), held, depletion);
      water = refilled.w;
      held -= refilled.given;
      if ((gain[d] as number) > 0) {
        const gained = afterGain(water, gain[d] as number, assumed);
        water = gained.w;
        held = Math.min(room, held + Math.min(gained.drained, Math.max(0, catching - held)));
      }
      if (water < SURVIVAL_POINT) isDry = true;
      if (isDry) dryBy[d] = (dryBy[d] as number) + 1;
      const visit = visitOn[d] as number;
      if (visit >= 0 && !missed(n, visit)) {
        // a helper pours until it runs through, and tops up what stands beside it
        (poured[visit] as number[]).push((Math.max(0, 0.97 - water) + (room - held)) * taw);
        water = Math.max(water, 0.97);
        held = room;
      }
    }
    if (!isDry) survived += 1;
  });
  return {
    survives: survived / Math.max(1, starts.length),
    dryBy: dryBy.map((count) => count / Math.max(1, starts.length)),
    visitLitres: poured.map((litres) => {
      const sorted = litres.sort((a, b) => a - b);
      const mean = sorted.reduce((sum, x) => sum + x, 0) / Math.max(1, sorted.length);
      return { likely: mean, high: sorted[Math.floor(sorted.length * 0.9)] ?? mean };
    }),
    usePerDayLitres: used / Math.max(1, starts.length * days),
  };
}

/** Whole days from leaving to coming back, at least 1. */
export function daysAway(leaveOn: string, backOn: string): number {
  return Math.max(1, daysBetween(leaveOn, backOn));
}
