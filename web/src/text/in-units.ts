import type { UnitFormat } from '../store/index.ts';

/**
 * Words of core with the temperatures in them in the grower's units: "{32 °C}" is a temperature, "{5 degrees}" a difference.
 */
export function inUnits(words: string, unitFormat: UnitFormat): string {
  return words
    .replace(/\{(-?\d+) °C\}/g, (_, celsius: string) => unitFormat.show(Number(celsius), 'temperature'))
    .replace(/\{(\d+) degrees\}/g, (_, celsius: string) => degreesBetween(Number(celsius), unitFormat));
}

/** A difference of temperatures, which has no freezing point. */
export function degreesBetween(celsius: number, { system }: UnitFormat): string {
  return system === 'us' ? `${Math.round(celsius * 1.8)} °F` : `${Math.round(celsius)} °C`;
}

/** Metres per second to the unit in which the grower hears of wind. */
export const windUnit = ({
  system,
}: UnitFormat): { readonly symbol: string; readonly perMetreSecond: number } =>
  system === 'metric' ? { symbol: 'm/s', perMetreSecond: 1 } : { symbol: 'mph', perMetreSecond: 2.236_94 };

export function windWords(metresPerSecond: number, unitFormat: UnitFormat): string {
  const { symbol, perMetreSecond } = windUnit(unitFormat);
  return `${Math.round(metresPerSecond * perMetreSecond)} ${symbol}`;
}
