import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../statistics/index.ts';
import { addDays } from '../calendar/index.ts';
import { defaultNormals, normalOfDay } from './normals.ts';
import { drawWeather, fitWeather } from './generator.ts';
import { type WarmthKnown } from './weather.ts';

const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** Julys of many years. */
function julys(years: number, seed: number, model = fitWeather([], SITE, 3.5)): readonly WarmthKnown[] {
  const chance = chanceFrom(seed);
  return Array.from({ length: years }, (_, y) => drawWeather(model, chance, `${2000 + y}-07-01`, 31)).flat();
}

describe('the weather generator', () => {
  it('without any record draws what the normals say: means, rain and its days', () => {
    const drawn = julys(80, 3);
    const normal = normalOfDay(SITE.normals, '2026-07-16');
    expect(mean(drawn.map((d) => d.minCelsius))).toBeCloseTo(normal.minCelsius, 0);
    expect(mean(drawn.map((d) => d.maxCelsius))).toBeCloseTo(normal.maxCelsius, 0);
    expect(mean(drawn.map((d) => d.rainMillimetres ?? 0)) * 30.4).toBeGreaterThan(50);
    expect(mean(drawn.map((d) => d.rainMillimetres ?? 0)) * 30.4).toBeLessThan(70);
    for (const day of drawn) expect(day.minCelsius).toBeLessThan(day.maxCelsius);
  });

  it('hangs together: a warm day follows a warm one, a wet day a wet one', () => {
    const drawn = julys(120, 4);
    const pairs = drawn.slice(1).flatMap((day, i) => {
      const before = drawn[i] as WarmthKnown;
      return day.day === addDays(before.day, 1) ? [{ before, day }] : [];
    });
    const centre = mean(drawn.map((d) => d.maxCelsius));
    const covariance = mean(pairs.map((p) => (p.before.maxCelsius - centre) * (p.day.maxCelsius - centre)));
    const variance = mean(drawn.map((d) => (d.maxCelsius - centre) ** 2));
    expect(covariance / variance).toBeGreaterThan(0.45);
    expect(covariance / variance).toBeLessThan(0.8);
    const isWet = (d: WarmthKnown) => (d.rainMillimetres ?? 0) > 0.3;
    const after = (wet: boolean) =>
      mean(pairs.filter((p) => isWet(p.before) === wet).map((p) => (isWet(p.day) ? 1 : 0)));
    expect(after(true)).toBeGreaterThan(after(false) + 0.2);
  });

  it('gives the same days for the same seed, and others for another', () => {
    expect(julys(2, 9)).toEqual(julys(2, 9));
    expect(julys(2, 9)).not.toEqual(julys(2, 10));
  });

  it('fitted to a record finds its rain, its spread and its wet spells again', () => {
    const truth = fitWeather([], SITE, 2);
    const months = truth.months.map((m) => ({
      ...m,
      wetAfterWet: 0.85,
      wetAfterDry: 0.1,
      rainShape: 1.2,
      rainScaleMillimetres: 6,
    }));
    const record = julys(60, 12, { ...truth, months });
    const fitted = fitWeather(record, SITE, 3.5);
    const july = fitted.months[6];
    expect(fitted.fittedDays).toBe(60 * 31);
    expect(july?.wetAfterWet).toBeCloseTo(0.85, 1);
    expect(july?.wetAfterDry).toBeCloseTo(0.1, 1);
    expect((july?.rainShape ?? 0) * (july?.rainScaleMillimetres ?? 0)).toBeGreaterThan(6);
    expect((july?.rainShape ?? 0) * (july?.rainScaleMillimetres ?? 0)).toBeLessThan(8.5);
    expect(july?.spreadCelsius.max).toBeCloseTo(2, 0);
    // a month without a record keeps the site's own normals
    expect(fitted.months[0]).toEqual(fitWeather([], SITE, 3.5).months[0]);
  });

  it('learns rain from a gauge alone, and leaves the degrees as usual', () => {
    const record = julys(60, 12, fitWeather([], SITE, 2));
    const gauge = record.map(({ day, rainMillimetres }) => ({ day, rainMillimetres }));
    const [whole, rainOnly, usual] = [record, gauge, []].map((days) => fitWeather(days, SITE, 3.5).months[6]);
    expect(rainOnly).toMatchObject({
      rainScaleMillimetres: whole?.rainScaleMillimetres,
      wetAfterWet: whole?.wetAfterWet,
      spreadCelsius: usual?.spreadCelsius,
      dry: usual?.dry,
    });
    expect(whole?.spreadCelsius).not.toEqual(usual?.spreadCelsius);
  });

  it('goes on from the last day that is known', () => {
    const model = fitWeather([], SITE, 3.5);
    const after = (maxCelsius: number) =>
      mean(
        Array.from({ length: 200 }, (_, i) => {
          const before = { day: '2026-07-15', minCelsius: maxCelsius - 11, maxCelsius, rainMillimetres: 0 };
          return drawWeather(model, chanceFrom(i), '2026-07-16', 1, before)[0]?.maxCelsius ?? 0;
        }),
      );
    expect(after(33)).toBeGreaterThan(after(19) + 4);
  });
});

describe('gamma draws', () => {
  it.each([
    [0.5, 8],
    [2.5, 3],
  ])('of shape %d and scale %d have its mean and variance', (shape, scale) => {
    const chance = chanceFrom(21);
    const draws = Array.from({ length: 20_000 }, () => chance.gamma(shape, scale));
    expect(mean(draws) / (shape * scale)).toBeCloseTo(1, 1);
    expect(mean(draws.map((x) => (x - shape * scale) ** 2)) / (shape * scale ** 2)).toBeCloseTo(1, 0);
    expect(Math.min(...draws)).toBeGreaterThanOrEqual(0);
  });
});
