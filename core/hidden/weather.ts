import { addDays, dayOfYear } from '../src/calendar/index.ts';
import type { Chance } from '../src/statistics/index.ts';

/** A day as it really was; a diary gets to know most of it. */
export interface HiddenDay {
  readonly day: string;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres: number;
  /** 0 overcast to 1 clear */
  readonly clearness: number;
}

/** What a place's weather is like. */
export interface HiddenClimate {
  readonly meanCelsius: number;
  /** how much warmer high summer is than the mean */
  readonly swingCelsius: number;
  /** usual clearness, 0 to 1 */
  readonly clearness: number;
  /** chance of rain on an overcast day, and mm on a wet day */
  readonly wetChance: number;
  readonly wetMillimetres: number;
}

/** The boatyard at 51° N, and the two climates of the season test. */
export const CLIMATES = {
  boatyard: { meanCelsius: 10.3, swingCelsius: 7, clearness: 0.53, wetChance: 0.42, wetMillimetres: 5 },
  coolWet: { meanCelsius: 9.5, swingCelsius: 6.5, clearness: 0.48, wetChance: 0.55, wetMillimetres: 6 },
  hot: { meanCelsius: 17, swingCelsius: 9, clearness: 0.78, wetChance: 0.2, wetMillimetres: 8 },
} as const satisfies Record<string, HiddenClimate>;

/**
 * Weather that hangs together from day to day: cloud persists, clear days swing further, and the last days turn hot where
 * that is asked for.
 */
export function hiddenWeather(
  chance: Chance,
  first: string,
  count: number,
  climate: HiddenClimate = CLIMATES.boatyard,
  hotDays = 0,
): readonly HiddenDay[] {
  let clearness = climate.clearness;
  let anomaly = 0;
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(first, i);
    const heat = Math.max(0, i - (count - hotDays)) * 1.1;
    const cloud = 0.55 * clearness + 0.45 * climate.clearness + 0.22 * chance.normal() + heat * 0.03;
    clearness = Math.min(1, Math.max(0.05, cloud));
    anomaly = 0.65 * anomaly + 1.6 * chance.normal();
    const season = Math.cos(((dayOfYear(day) - 205) / 365) * 2 * Math.PI);
    const mean = climate.meanCelsius + climate.swingCelsius * season + anomaly + heat;
    const half = 2.5 + 4.2 * clearness;
    const isWet = heat === 0 && chance.next() < climate.wetChance * (1 - 0.83 * clearness);
    const tenth = (x: number) => Math.round(x * 10) / 10;
    return {
      day,
      minCelsius: tenth(mean - half),
      maxCelsius: tenth(mean + half),
      rainMillimetres: isWet ? tenth(-climate.wetMillimetres * Math.log(1 - chance.next())) : 0,
      clearness,
    };
  });
}
