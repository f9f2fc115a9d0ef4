import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOfYear, daysBetween, isRoundDay, type Day } from '../calendar/index.ts';
import { daylightHours, shareOfDay, type WeatherDay } from '../climate/index.ts';
import { chanceFrom, type Chance } from '../statistics/index.ts';
import {
  afterGain,
  afterRefill,
  bagDepletion,
  dayOfBag,
  demandIn,
  MOST_SPREAD,
  type DayOfBag,
  type Range,
  type WaterBag,
} from '../water/index.ts';
import { drawInitialStates, HELPED } from './survival.ts';
import type { AwayBag } from './plan.ts';
import type { Rounds } from './time-away.ts';
import { drawWeathers, type Climate } from './weathers.ts';

/** A bag that is watered on rounds, and the last day that is asked about. */
export interface RoundBag extends AwayBag {
  readonly until: Day;
}

/** Days of a month, or of what is left of it, on which a bag gets too dry to live well. */
export interface DryMonth {
  /** year and month, `YYYY-MM` */
  readonly month: string;
  /** how many of its days were looked at */
  readonly days: number;
  /** mean, with the 10 % and 90 % points */
  readonly dryDays: Range;
  /** share of futures with one such day or more */
  readonly chance: number;
}

/** Futures for each bag, and the weathers that they share. */
const FUTURES = 60;

/**
 * What somebody's rounds leave dry, month by month: every bag is watered until it runs through on every round, and a day
 * counts on which it gets below the point at which a plant suffers for good. Rounds between the same two hours, the
 * weather drawn from what is known of the place, each bag's use as far as that is known.
 *
 * @param from the first day; each bag goes on to its own last one
 * @param seed the same seed gives the same answer
 * @returns for each bag its months in order; the same bags in the same order
 * @see docs/model.md, 9. Going away
 */
export function dryDaysByMonth(
  bags: readonly RoundBag[],
  rounds: Rounds,
  climate: Climate,
  from: Day,
  seed: number,
  assumed: Assumed,
): readonly { readonly containerId: string; readonly months: readonly DryMonth[] }[] {
  const last = bags.reduce((latest, { until }) => (until > latest ? until : latest), from);
  const days = Array.from({ length: daysBetween(from, last) + 1 }, (_, d) => addDays(from, d));
  const weathers = drawWeathers(days, FUTURES, climate, seed, assumed);
  const cuts = days.map((day) => shareCuts(day, rounds, climate.model.site.latitudeDegrees));
  return bags.map((away, b) => {
    const chance = chanceFrom(seed + 1000 + b);
    const own = days.filter((day) => day <= away.until);
    const starts = drawInitialStates(away.belief, chance, FUTURES, false);
    const daysOfBag = own.map((day) => dayOfBag(away.bag, day, away.assumed));
    const futures = weathers.map((weather, n) =>
      dryDaysOf(
        away,
        { use: starts.use[n] as number, water: starts.water[n] as number },
        daysOfBag,
        weather,
        cuts,
        chance,
      ),
    );
    return { containerId: away.containerId, months: monthsOf(own, futures) };
  });
}

/** A stretch of a day between rounds: its share of the day's demand and hours, and whether a round ends it. */
interface Stretch {
  readonly ofDemand: number;
  readonly ofDay: number;
  readonly isRound: boolean;
}

/** A day cut at the hours of its rounds. */
function shareCuts(day: Day, rounds: Rounds, latitudeDegrees: number): readonly Stretch[] {
  const hours = isRoundDay(day, rounds.days) ? [...rounds.hours].sort((a, b) => a - b) : [];
  const daylight = daylightHours(latitudeDegrees, dayOfYear(day));
  return [...hours, 24].map((to, i) => {
    const from = hours[i - 1] ?? 0;
    return {
      ofDemand: shareOfDay(from, to, daylight),
      ofDay: (to - from) / 24,
      isRound: i < hours.length,
    };
  });
}

/** Follows one bag through one future; for each day whether it got too dry. */
function dryDaysOf(
  { bag, assumed }: AwayBag,
  start: { readonly use: number; readonly water: number },
  daysOfBag: readonly DayOfBag[],
  weather: readonly WeatherDay[],
  cuts: readonly (readonly Stretch[])[],
  chance: Chance,
): readonly boolean[] {
  const taw = bag.availableLitres;
  const depletion = bagDepletion(bag);
  const { room, catching, perDay, startShare } = storesOf(bag);
  let water = start.water;
  let stored = startShare;
  return daysOfBag.map((dayOfBag, d) => {
    const day = demandIn(weather[d] as WeatherDay, dayOfBag, assumed);
    const spread = Math.min(MOST_SPREAD, assumed.demandSpread * day.doubt);
    const off = Math.max(0.05, 1 + spread * chance.normal());
    const asked = ((day.transpirationLitres * start.use + day.evaporationLitres) * off) / taw;
    const gain = (day.rainLitres + day.dripLitres) / taw;
    let isDry = false;
    for (const { ofDemand, ofDay, isRound } of cuts[d] as readonly Stretch[]) {
      const refilled = afterRefill(
        water,
        asked * ofDemand,
        perDay * dayOfBag.rooted * ofDay,
        stored,
        depletion,
      );
      stored -= refilled.released;
      const gained = afterGain(refilled.w, gain * ofDay, assumed);
      water = gained.w;
      stored = Math.min(room, stored + Math.min(gained.drained, Math.max(0, catching - stored)));
      if (water < assumed.survivalPoint) isDry = true;
      if (isRound) {
        water = Math.max(water, HELPED);
        stored = room;
      }
    }
    return isDry;
  });
}

/** A bag's stores together, as shares of its available water. */
function storesOf({ stores, availableLitres: taw }: WaterBag) {
  const sum = (of: (store: WaterBag['stores'][number]) => number) =>
    stores.reduce((total, store) => total + of(store), 0);
  return {
    room: sum(({ litres }) => litres) / taw,
    catching: sum(({ litres, catchesDrained }) => (catchesDrained ? litres : 0)) / taw,
    perDay: sum(({ perDay }) => perDay),
    startShare: sum(({ litres, startShare }) => litres * startShare) / taw,
  };
}

/** Each future's dry days counted by month. */
function monthsOf(days: readonly Day[], futures: readonly (readonly boolean[])[]): readonly DryMonth[] {
  return [...new Set(days.map((day) => day.slice(0, 7)))].map((month) => {
    const within = days.flatMap((day, d) => (day.startsWith(month) ? [d] : []));
    const counts = futures
      .map((isDry) => within.reduce((sum, d) => sum + Number(isDry[d]), 0))
      .sort((a, b) => a - b);
    const at = (share: number) => counts[Math.floor(share * (counts.length - 1))] ?? 0;
    return {
      month,
      days: within.length,
      dryDays: {
        low: at(0.1),
        likely: counts.reduce((sum, count) => sum + count, 0) / counts.length,
        high: at(0.9),
      },
      chance: counts.filter((count) => count > 0).length / counts.length,
    };
  });
}
