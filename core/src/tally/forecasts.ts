import { resolveAssumed } from '../assumed/index.ts';
import { addDays, dayOf, growingSeason, type Day } from '../calendar/index.ts';
import { warmthOf } from '../garden-state/index.ts';
import { totalForecast, type YieldForecast } from '../pickings/index.ts';
import type { TallyContext } from './context.ts';
import { foreteller, learntYields, mondayOf, standsOf, type DatesMemory } from './stands.ts';

/** How last season's forecasts came out, a week at a time. */
export interface ForecastCheck {
  readonly year: number;
  readonly weeks: readonly ({
    readonly from: Day;
    readonly picked: number;
    readonly lastWeek: number;
  } & YieldForecast)[];
  /** mean error of a week's total, kg: of the forecast, and of "the same as last week" */
  readonly error: number;
  readonly errorOfLastWeek: number;
  /** the same for single bags */
  readonly bagError: number;
  readonly bagErrorOfLastWeek: number;
  /** weeks that lay within what was stated, share */
  readonly held: number;
}

/** Of fewer pickings it cannot be said how good a forecast was. */
const LEAST_PICKINGS = 12;

/**
 * A past season's forecasts, made anew a week at a time by what was known at each, beside what was picked and beside "the same as
 * last week".
 *
 * @returns undefined where there was too little to check, fewer than four weeks
 */
export function checkForecasts(context: TallyContext, year: number, today: Day): ForecastCheck | undefined {
  const { garden } = context;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const season = growingSeason(year, garden.settings.latitudeDegrees);
  const inSeason = context.pickings.filter((p) => {
    const day = dayOf(p.at);
    return day >= season.from && day <= season.to && day <= today;
  });
  const days = inSeason.map((p) => dayOf(p.at)).sort();
  const [firstDay] = days;
  const lastDay = days.at(-1);
  if (firstDay === undefined || lastDay === undefined || inSeason.length < LEAST_PICKINGS) return undefined;
  const learnt = learntYields(context, year, assumed);
  // the weather of a week to come is not known: it is taken as usual
  const warm = warmthOf([], garden.settings);
  /** weeks of which not all was weighed: what they gave is not known */
  const untold = new Set<string>();
  const byWeek = new Map<string, number>();
  const add = (key: string, kilograms: number) => byWeek.set(key, (byWeek.get(key) ?? 0) + kilograms);
  for (const p of inSeason) {
    const monday = mondayOf(dayOf(p.at));
    add(monday, p.kilograms);
    add(`${p.containerId} ${monday}`, p.kilograms);
    if (p.isUnmeasured) untold.add(monday).add(`${p.containerId} ${monday}`);
  }
  const sumOf = (containerId: string | undefined, monday: Day) =>
    byWeek.get(containerId === undefined ? monday : `${containerId} ${monday}`) ?? 0;
  const weeks: ForecastCheck['weeks'][number][] = [];
  const bagErrors: number[] = [];
  const dates: DatesMemory = new Map();
  const bagNaive: number[] = [];
  for (
    let monday = addDays(mondayOf(firstDay), 7);
    addDays(monday, 6) <= lastDay;
    monday = addDays(monday, 7)
  ) {
    const asOf = addDays(monday, -1);
    const sunday = addDays(monday, 6);
    const stands = standsOf(context, season, asOf, learnt, dates);
    const parts = stands.map((stand) => foreteller(stand, asOf, warm, assumed)(monday, sunday));
    const isUntold = (key: string) =>
      untold.has(`${key}${monday}`) || untold.has(`${key}${addDays(monday, -7)}`);
    for (const [i, { container }] of stands.entries()) {
      if (isUntold(`${container.id} `)) continue;
      const got = sumOf(container.id, monday);
      const before = sumOf(container.id, addDays(monday, -7));
      if (got === 0 && before === 0) continue;
      bagErrors.push(Math.abs(got - (parts[i]?.mean ?? 0)));
      bagNaive.push(Math.abs(got - before));
    }
    if (isUntold('')) continue;
    weeks.push({
      from: monday,
      picked: sumOf(undefined, monday),
      lastWeek: sumOf(undefined, addDays(monday, -7)),
      ...totalForecast(parts, assumed),
    });
  }
  if (weeks.length < 4) return undefined;
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  return {
    year,
    weeks,
    error: mean(weeks.map((w) => Math.abs(w.likely - w.picked))),
    errorOfLastWeek: mean(weeks.map((w) => Math.abs(w.lastWeek - w.picked))),
    bagError: mean(bagErrors),
    bagErrorOfLastWeek: mean(bagNaive),
    held: mean(weeks.map((w) => (w.picked >= w.low && w.picked <= w.high ? 1 : 0))),
  };
}
