import type { Assumed } from '../assumed/index.ts';
import { addDays, daysBetween, type Day } from '../calendar/index.ts';
import { gammaQuantile } from '../statistics/index.ts';

/** A planting as far as its yield is foretold. */
export interface Bearer {
  /** first ripe fruit: seen, or reckoned */
  readonly first: Day;
  /** the last day on which it bears */
  readonly end: Day;
  readonly isOneFlush: boolean;
  /** of all its plants in a week of full bearing, kg: usual, or as earlier seasons have it */
  readonly kilogramsAWeek: number;
}

/** What was picked from a bag on a day, kg. */
export interface DayYield {
  readonly day: Day;
  readonly kilograms: number;
  /** nobody weighed or counted it */
  readonly isUnmeasured?: boolean | undefined;
}

/**
 * Days of whose fruit nothing is known, since it was picked and nobody weighed it: from the picking before, up to and with that day.
 *
 * @param picked in any order
 * @param first from when on it could have been picked
 * @example
 * ['2026-07-07', '2026-07-08', '2026-07-10', '2026-07-11'].map(
 *   untoldDays([{ day: '2026-07-07', kilograms: 1 }, { day: '2026-07-10', kilograms: 0, isUnmeasured: true }], '2026-07-01'),
 * )
 * // => [false, true, true, false]
 */
export function untoldDays(picked: readonly DayYield[], first: Day): (day: Day) => boolean {
  if (!picked.some(({ isUnmeasured }) => isUnmeasured)) return () => false;
  const unmeasured = new Set(picked.flatMap(({ day, isUnmeasured }) => (isUnmeasured ? [day] : [])));
  const days = [...new Set(picked.map(({ day }) => day))].sort();
  const spans = days.flatMap((day, i) =>
    unmeasured.has(day) ? [{ after: days[i - 1] ?? addDays(first, -1), to: day }] : [],
  );
  return (day) => spans.some(({ after, to }) => day > after && day <= to);
}

/** Nine times in ten it is between low and high. */
export interface YieldForecast {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** A forecast with what is needed to add it to others. */
interface Moments {
  readonly mean: number;
  /** doubt of its own, kg² */
  readonly variance: number;
}

type BearingAssumed = Pick<
  Assumed,
  | 'bearingRampDays'
  | 'ripensFromCelsius'
  | 'ripensFullyCelsius'
  | 'yieldSpread'
  | 'pickingLump'
  | 'yieldMemoryDays'
  | 'weatherOfYield'
>;

/**
 * Fruit that a planting is expected to give on a day if it does as usual, kg: from its first fruit it rises to full bearing and
 * holds it while it is warm enough to ripen; a single flush rises and falls.
 *
 * @param celsius mean temperature of the day where it stands
 */
export function expectedOn(bearer: Bearer, day: Day, celsius: number, assumed: BearingAssumed): number {
  if (day < bearer.first || day > bearer.end) return 0;
  const age = daysBetween(bearer.first, day);
  const length = daysBetween(bearer.first, bearer.end) + 1;
  const swell = bearer.isOneFlush
    ? 1.5 * Math.sin((Math.PI * (age + 0.5)) / length)
    : Math.min(1, (age + 3) / assumed.bearingRampDays);
  const { ripensFromCelsius: from, ripensFullyCelsius: fully } = assumed;
  const warm = Math.min(1, Math.max(0.05, (celsius - from) / (fully - from)));
  return (bearer.kilogramsAWeek / 7) * swell * warm;
}

/** No season is longer than this, days. */
const LONGEST_DAYS = 400;

/**
 * What a bag will give between two days. It bears some multiple of what is usual; that multiple is drawn from a gamma prior and
 * learns from what was picked, the last weeks more than the first. What was picked and not weighed says neither that it bore much nor
 * that it bore little.
 *
 * @param expected kg on a day if it does as usual
 * @param picked what it has given, in any order
 * @param first from when on it could have been picked
 * @param today what was picked up to and with this day is known
 */
export function bagForecast(
  expected: (day: Day) => number,
  weekly: number,
  picked: readonly DayYield[],
  first: Day,
  today: Day,
  [from, to]: readonly [Day, Day],
  assumed: BearingAssumed,
): Moments {
  const fade = Math.LN2 / assumed.yieldMemoryDays;
  // who has given nothing yet may only be late: it counts against a bag from its first fruit on
  let seen = 0;
  const isUntold = untoldDays(picked, first);
  for (let day = first, i = 0; day <= today && i < LONGEST_DAYS; day = addDays(day, 1), i++)
    if (!isUntold(day)) seen += expected(day) * Math.exp(-fade * daysBetween(day, today));
  let got = 0;
  for (const { day, kilograms } of picked)
    if (day <= today && day >= first && !isUntold(day))
      got += kilograms * Math.exp(-fade * daysBetween(day, today));
  const lump = Math.max(1e-6, assumed.pickingLump * weekly);
  const shape = 1 / assumed.yieldSpread ** 2 + got / lump;
  const rate = 1 / assumed.yieldSpread ** 2 + seen / lump;
  const times = shape / rate;
  let coming = 0;
  for (let day = from, i = 0; day <= to && i < LONGEST_DAYS; day = addDays(day, 1), i++)
    coming += expected(day);
  const mean = times * coming;
  return { mean, variance: mean ** 2 / shape + lump * mean };
}

/**
 * Forecasts added up: each bag has its luck, and the weather is all bags' alike.
 *
 * @example
 * totalForecast([], { weatherOfYield: 0.2 })
 * // => { low: 0, likely: 0, high: 0 }
 */
export function totalForecast(
  parts: readonly Moments[],
  assumed: Pick<Assumed, 'weatherOfYield'>,
): YieldForecast {
  const mean = parts.reduce((sum, part) => sum + part.mean, 0);
  if (mean <= 0) return { low: 0, likely: 0, high: 0 };
  const variance = parts.reduce((sum, part) => sum + part.variance, 0) + (assumed.weatherOfYield * mean) ** 2;
  const shape = mean ** 2 / variance;
  return {
    low: gammaQuantile(0.05, shape, mean / shape),
    likely: mean,
    high: gammaQuantile(0.95, shape, mean / shape),
  };
}

export type { Moments as ForecastPart };
