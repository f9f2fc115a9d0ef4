import type { UnitSystem } from '@rundel/core/units';
import { readAmount } from './amount-text.ts';

/** One day's weather as typed. */
export interface WeatherTexts {
  readonly min: string;
  readonly max: string;
  readonly rain: string;
}

export type WeatherReading =
  | {
      readonly kind: 'read';
      readonly weather: {
        readonly minCelsius: number;
        readonly maxCelsius: number;
        readonly rainMillimetres?: number;
      };
    }
  | { readonly kind: 'refused'; readonly problems: Partial<WeatherTexts> };

/** Reads a day's weather in the grower's units; rain may be left out. What is wrong is said for each field. */
export function readWeather(texts: WeatherTexts, system: UnitSystem): WeatherReading {
  const min = readAmount(texts.min, { purpose: 'temperature', system, low: -40, high: 45 });
  const max = readAmount(texts.max, { purpose: 'temperature', system, low: -30, high: 55 });
  const rain = readAmount(texts.rain, { purpose: 'rain', system, low: 0, high: 500, isOptional: true });
  if (min.kind !== 'given' || max.kind !== 'given' || rain.kind === 'refused') {
    const problems = {
      ...(min.kind === 'refused' ? { min: min.problem } : {}),
      ...(max.kind === 'refused' ? { max: max.problem } : {}),
      ...(rain.kind === 'refused' ? { rain: rain.problem } : {}),
    };
    return { kind: 'refused', problems };
  }
  if (min.siValue > max.siValue) {
    return { kind: 'refused', problems: { max: 'The warmest cannot be colder than the coldest.' } };
  }
  const rainMillimetres = rain.kind === 'given' ? { rainMillimetres: rain.siValue } : {};
  return { kind: 'read', weather: { minCelsius: min.siValue, maxCelsius: max.siValue, ...rainMillimetres } };
}
