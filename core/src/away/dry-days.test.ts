import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { defaultNormals, fitWeather } from '../climate/index.ts';
import { FilterRun, type WaterBag } from '../water/index.ts';
import { dryDaysByMonth, withoutRounds, type Rounds } from './index.ts';

const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };
const climate = { model: fitWeather([], SITE, 3.5), known: [] };
const bag = (availableLitres: number, more: Partial<WaterBag> = {}): WaterBag => ({
  availableLitres,
  topSquareMetres: 0.1,
  breathingSquareMetres: 0.2,
  mulchMillimetres: 20,
  underCover: false,
  shade: 0,
  stores: [],
  drips: [],
  plants: [
    {
      plantedOn: '2026-03-01',
      kc: 1.15,
      depletion: 0.4,
      figures: { fullHeightMillimetres: 2000, canopySquareMetres: 0.5, weeksToFull: 10 },
    },
  ],
  ...more,
});
const daily: Rounds = { hours: [8], days: undefined };
const weekends: Rounds = { hours: [9], days: { by: 'weekdays', weekdays: [6, 7] } };

function monthsOf(water: WaterBag, rounds: Rounds, until = '2026-09-30') {
  const belief = FilterRun.start(water, DEFAULT_ASSUMED).belief;
  const asked = [{ containerId: 'con_1', bag: water, belief, assumed: DEFAULT_ASSUMED, until }];
  const [own] = dryDaysByMonth(asked, rounds, climate, '2026-06-10', 7, DEFAULT_ASSUMED);
  return own?.months ?? [];
}
const dry = (months: ReturnType<typeof monthsOf>) =>
  months.reduce((sum, { dryDays }) => sum + dryDays.likely, 0);

describe('what rounds leave dry', () => {
  it('has a line for each month, with as many days as are asked about', () => {
    const months = monthsOf(bag(8), daily);
    expect(months.map(({ month, days }) => [month, days])).toEqual([
      ['2026-06', 21],
      ['2026-07', 31],
      ['2026-08', 31],
      ['2026-09', 30],
    ]);
    for (const { days, dryDays, chance } of months) {
      expect(dryDays.low).toBeLessThanOrEqual(dryDays.high);
      expect(dryDays.likely).toBeLessThanOrEqual(days);
      expect(chance === 0).toBe(dryDays.likely === 0);
    }
  });

  it('a small bag lasts from day to day and not from weekend to weekend; July is worse than September', () => {
    const often = monthsOf(bag(8), daily);
    const seldom = monthsOf(bag(8), weekends);
    expect(dry(often)).toBeLessThan(2);
    expect(dry(seldom)).toBeGreaterThan(20);
    expect(seldom[1]?.dryDays.likely).toBeGreaterThan((seldom[3]?.dryDays.likely ?? 99) + 3);
  });

  it('never has more dry days with more water, with shade or with one more round', () => {
    const base = dry(monthsOf(bag(8), weekends));
    expect(dry(monthsOf(bag(16), weekends))).toBeLessThan(base);
    expect(dry(monthsOf(bag(8, { shade: 0.5 }), weekends))).toBeLessThan(base);
    expect(dry(monthsOf(bag(8), { hours: [9], days: { by: 'weekdays', weekdays: [3, 6, 7] } }))).toBeLessThan(
      base,
    );
  });

  it('an empty bag dries by its top alone, and nothing is asked after its last day', () => {
    const months = monthsOf(bag(8, { plants: [] }), weekends, '2026-06-20');
    expect(months.map(({ days }) => days)).toEqual([11]);
    expect(dry(months)).toBeLessThan(1);
  });
});

describe('the time without rounds', () => {
  const away = { leaveOn: '2026-07-15', leaveHour: 7, backOn: '2026-07-16', backHour: 21.5 };

  it('is as it was said where there are rounds every day', () => {
    expect(withoutRounds(away, daily, '2026-07-14T12:00:00.000+01:00')).toEqual({
      ...away,
      isFromNow: false,
    });
  });

  it('starts now where the last round before it is over', () => {
    expect(withoutRounds(away, weekends, '2026-07-14T12:00:00.000+01:00')).toEqual({
      leaveOn: '2026-07-14',
      leaveHour: 12,
      backOn: '2026-07-18',
      backHour: 9,
      isFromNow: true,
    });
  });
});
