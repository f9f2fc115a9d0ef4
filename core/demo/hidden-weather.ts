import { addDays, dayOfYear } from '../src/climate/index.ts';
import type { Chance } from './chance.ts';

/** A day as it really was at the boatyard; the diary gets to know most of it. */
export interface HiddenDay {
  readonly day: string;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres: number;
  /** 0 overcast to 1 clear */
  readonly clearness: number;
}

/** Weather that hangs together from day to day: cloud persists, clear days swing further, the last week turns hot. */
export function hiddenWeather(chance: Chance, first: string, count: number): readonly HiddenDay[] {
  let clearness = 0.5;
  let anomaly = 0;
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(first, i);
    const heat = Math.max(0, i - (count - 6)) * 1.1;
    clearness = Math.min(1, Math.max(0.05, 0.55 * clearness + 0.24 + 0.22 * chance.normal() + heat * 0.03));
    anomaly = 0.65 * anomaly + 1.6 * chance.normal();
    const mean = 10.3 + 7 * Math.cos(((dayOfYear(day) - 205) / 365) * 2 * Math.PI) + anomaly + heat;
    const half = 2.5 + 4.2 * clearness;
    const isWet = heat === 0 && chance.next() < 0.42 - 0.35 * clearness;
    const tenth = (x: number) => Math.round(x * 10) / 10;
    return {
      day,
      minCelsius: tenth(mean - half),
      maxCelsius: tenth(mean + half),
      rainMillimetres: isWet ? tenth(-5 * Math.log(1 - chance.next())) : 0,
      clearness,
    };
  });
}
