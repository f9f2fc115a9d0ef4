import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { defaultNormals, fitWeather, type KnownDay } from '../climate/index.ts';
import { drawWeathers } from './weathers.ts';

const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };
const DAYS = ['2026-07-17', '2026-07-18'];
const drawn = (known: readonly KnownDay[], assumed = DEFAULT_ASSUMED) =>
  drawWeathers(DAYS, 40, { model: fitWeather([], SITE, 3.5), known }, 7, assumed).map(([, second]) => second);
const spread = (values: readonly (number | undefined)[]) =>
  Math.max(...values.map((x) => x ?? NaN)) - Math.min(...values.map((x) => x ?? NaN));

describe('weathers that are drawn about what is foretold', () => {
  it('keep what was said of a day, and draw the rest of it', () => {
    const hot = drawn([{ day: '2026-07-18', maxCelsius: 35 }]);
    expect(new Set(hot.map((day) => day?.maxCelsius))).toEqual(new Set([35]));
    expect(spread(hot.map((day) => day?.minCelsius))).toBeGreaterThan(3);
    expect(hot.every((day) => (day?.minCelsius ?? 99) < 35)).toBe(true);
    const wet = drawn([{ day: '2026-07-18', rainMillimetres: 20 }]);
    expect(new Set(wet.map((day) => day?.rainMillimetres))).toEqual(new Set([20]));
    expect(spread(wet.map((day) => day?.maxCelsius))).toBeGreaterThan(3);
  });

  it('are corrected by what is usual here as far as they are drawn', () => {
    const times = (known: readonly KnownDay[]) => {
      const [plain, more] = [1, 1.44].map(
        (usualEto) => drawn(known, { ...DEFAULT_ASSUMED, usualEto })[0]?.etoMillimetres ?? NaN,
      );
      return (more ?? NaN) / (plain ?? NaN);
    };
    expect(times([])).toBeCloseTo(1.44, 6);
    expect(times([{ day: '2026-07-18', maxCelsius: 30 }])).toBeCloseTo(1.2, 6);
    expect(times([{ day: '2026-07-18', minCelsius: 15, maxCelsius: 30 }])).toBeCloseTo(1, 6);
  });
});
