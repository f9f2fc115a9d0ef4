import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays, type Day } from '../calendar/index.ts';
import { chanceFrom } from '../statistics/index.ts';
import { bagForecast, expectedOn, totalForecast, untoldDays, type Bearer, type DayYield } from './bearing.ts';

const bearer: Bearer = { first: '2026-07-01', end: '2026-09-30', isOneFlush: false, kilogramsAWeek: 0.7 };
const days = (from: Day, count: number) => Array.from({ length: count }, (_, i) => addDays(from, i));
const on = (day: Day, of: Bearer = bearer, celsius = 18) => expectedOn(of, day, celsius, DEFAULT_ASSUMED);

describe('what a plant is expected to give', () => {
  it('is nothing before its first fruit and after its end, and a seventh of a week in full bearing', () => {
    expect(on('2026-06-30')).toBe(0);
    expect(on('2026-10-01')).toBe(0);
    expect(on('2026-08-01')).toBeCloseTo(0.1, 10);
  });

  it('rises from the first fruit on, and falls with the cold', () => {
    expect(on('2026-07-02')).toBeLessThan(on('2026-07-08'));
    expect(on('2026-08-01', bearer, 12)).toBeLessThan(on('2026-08-01', bearer, 15));
    expect(on('2026-08-01', bearer, 4)).toBeGreaterThan(0);
  });

  it('of a single flush rises and falls, and comes to about as much as its weeks', () => {
    const flush: Bearer = { ...bearer, isOneFlush: true, end: '2026-07-28' };
    const sum = days('2026-07-01', 28).reduce((all, day) => all + on(day, flush), 0);
    expect(sum).toBeCloseTo(4 * 0.7 * 0.955, 2);
    expect(on('2026-07-14', flush)).toBeGreaterThan(on('2026-07-02', flush));
    expect(on('2026-07-14', flush)).toBeGreaterThan(on('2026-07-27', flush));
  });
});

const forecast = (
  picked: readonly DayYield[],
  today: Day,
  span: readonly [Day, Day] = [addDays(today, 1), addDays(today, 7)],
) => bagForecast((day) => on(day), 0.7, picked, bearer.first, today, span, DEFAULT_ASSUMED);

describe('what a bag will give', () => {
  it('is what is usual until it has shown otherwise', () => {
    expect(forecast([], '2026-06-20', ['2026-08-01', '2026-08-07']).mean).toBeCloseTo(0.7, 6);
  });

  it('goes by what was picked, the last weeks more than the first', () => {
    const steady = (kilograms: number, from: Day, count: number) =>
      days(from, count)
        .filter((_, i) => i % 3 === 0)
        .map((day) => ({ day, kilograms }));
    const today = '2026-08-10';
    const double = forecast(steady(0.6, '2026-07-13', 29), today).mean;
    const half = forecast(steady(0.15, '2026-07-13', 29), today).mean;
    expect(double).toBeGreaterThan(1);
    expect(half).toBeLessThan(0.5);
    const better = [...steady(0.15, '2026-07-13', 15), ...steady(0.6, '2026-07-28', 13)];
    const worse = [...steady(0.6, '2026-07-13', 15), ...steady(0.15, '2026-07-28', 13)];
    expect(forecast(better, today).mean).toBeGreaterThan(forecast(worse, today).mean);
  });

  it('learns nothing from what was picked and not weighed', () => {
    const today = '2026-08-10';
    const weighed = days('2026-07-04', 36)
      .filter((_, i) => i % 3 === 0)
      .map((day) => ({ day, kilograms: 0.5 }));
    const [last] = weighed.slice(-1);
    const without = (change: (each: DayYield) => readonly DayYield[]) =>
      forecast(
        weighed.flatMap((each) => (each === last ? change(each) : [each])),
        today,
      ).mean;
    const known = forecast(weighed, today).mean;
    const untold = without(({ day }) => [{ day, kilograms: 0, isUnmeasured: true }]);
    const forgotten = without(() => []);
    // as if it had borne nothing it would be taken for much less
    expect(forgotten).toBeLessThan(0.95 * known);
    expect(Math.abs(untold - known)).toBeLessThan(0.35 * (known - forgotten));
  });

  it('of untold days are those since the picking before, and of a first one all since it could be picked', () => {
    const untold = (picked: readonly DayYield[]) =>
      days('2026-07-01', 8).filter(untoldDays(picked, '2026-07-02'));
    expect(untold([{ day: '2026-07-04', kilograms: 0, isUnmeasured: true }])).toEqual([
      '2026-07-02',
      '2026-07-03',
      '2026-07-04',
    ]);
    // a day of which a part was weighed is not known either
    expect(
      untold([
        { day: '2026-07-06', kilograms: 1 },
        { day: '2026-07-06', kilograms: 0, isUnmeasured: true },
        { day: '2026-07-04', kilograms: 1 },
      ]),
    ).toEqual(['2026-07-05', '2026-07-06']);
    expect(untold([{ day: '2026-07-04', kilograms: 1 }])).toEqual([]);
  });

  it('is less in doubt the longer it has borne', () => {
    const doubt = (today: Day) => {
      const picked = days(bearer.first, 60)
        .filter((day) => day <= today)
        .map((day) => ({ day, kilograms: on(day) }));
      const { mean, variance } = forecast(picked, today);
      return Math.sqrt(variance) / mean;
    };
    expect(doubt('2026-08-10')).toBeLessThan(doubt('2026-07-05'));
  });

  it('holds nine times in ten where bags bear by the model', () => {
    const chance = chanceFrom(12);
    const rounds = 400;
    const today = '2026-07-28';
    let held = 0;
    for (let i = 0; i < rounds; i++) {
      const times = chance.gamma(1 / DEFAULT_ASSUMED.yieldSpread ** 2, DEFAULT_ASSUMED.yieldSpread ** 2);
      const lump = DEFAULT_ASSUMED.pickingLump * 0.7;
      const given = days('2026-07-01', 40).map((day) => ({
        day,
        kilograms: chance.gamma((times * on(day)) / lump, lump),
      }));
      const { mean, variance } = forecast(given, today, [addDays(today, 1), addDays(today, 7)]);
      const { low, high } = totalForecast([{ mean, variance }], { weatherOfYield: 0 });
      const got = given.reduce(
        (sum, d) => sum + (d.day > today && d.day <= addDays(today, 7) ? d.kilograms : 0),
        0,
      );
      if (got >= low && got <= high) held += 1;
    }
    expect(held / rounds).toBeGreaterThan(0.84);
    expect(held / rounds).toBeLessThan(0.97);
  });
});

describe('forecasts together', () => {
  it('are surer than each alone, and no surer than the weather', () => {
    const part = { mean: 1, variance: 0.25 };
    const width = (count: number, weatherOfYield: number) => {
      const { low, likely, high } = totalForecast(
        Array.from({ length: count }, () => part),
        { weatherOfYield },
      );
      return (high - low) / likely;
    };
    expect(width(16, 0)).toBeLessThan(width(1, 0) / 3);
    expect(width(100, 0.25)).toBeGreaterThan(0.7);
  });
});
