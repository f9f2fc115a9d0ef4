import { describe, expect, it } from 'vitest';
import { chanceFrom, CLIMATES, hiddenWeather } from '../../hidden/index.ts';
import { ASSUMPTIONS, DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays, completeWeather, defaultNormals, type KnownDay } from '../climate/index.ts';
import { learnForecastSpread } from './forecast-spread.ts';

const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };
const learn = (known: readonly KnownDay[]) => learnForecastSpread(known, SITE, DEFAULT_ASSUMED);
const { demandSpread, filledDemandSpread } = DEFAULT_ASSUMED;

/** Days as usual, but for so many degrees between night and day more or less. */
const usual = (count: number, first = '2026-06-01', wider: (i: number) => number = () => 0): KnownDay[] =>
  completeWeather([], SITE, first, addDays(first, count - 1)).map((d, i) => ({
    day: d.day,
    minCelsius: d.minCelsius - wider(i) / 2,
    maxCelsius: d.maxCelsius + wider(i) / 2,
  }));

describe('how far the days of a site lie from what is usual', () => {
  it('is what is assumed while no days are known, or too few in a row', () => {
    expect(learn([])).toEqual({ filledDemandSpread, windows: 0 });
    const gaps = usual(30).filter((_, i) => i % 3 !== 2);
    expect(learn(gaps)).toEqual({ filledDemandSpread, windows: 0 });
  });

  it('falls towards what a day’s use is in doubt anyway where days come as usual, and never below', () => {
    const [few, many] = [learn(usual(12)), learn(usual(120))];
    expect(many.windows).toBe(40);
    expect(few.filledDemandSpread).toBeLessThan(filledDemandSpread);
    expect(many.filledDemandSpread).toBeLessThan(few.filledDemandSpread);
    expect(many.filledDemandSpread).toBeGreaterThanOrEqual(demandSpread);
  });

  it('rises where spells last, more than where the same days change about', () => {
    const spells = learn(usual(90, '2026-05-01', (i) => (i % 18 < 9 ? 7 : -7)));
    const turns = learn(usual(90, '2026-05-01', (i) => (i % 2 === 0 ? 7 : -7)));
    expect(spells.filledDemandSpread).toBeGreaterThan(turns.filledDemandSpread + 0.02);
  });

  it('is wide, but within its range, where the normals are another climate’s', () => {
    const days = (climate: keyof typeof CLIMATES) =>
      hiddenWeather(chanceFrom(5), '2026-05-01', 120, CLIMATES[climate]);
    const [own, other] = [learn(days('boatyard')), learn(days('hot'))];
    expect(other.filledDemandSpread).toBeGreaterThan(own.filledDemandSpread + 0.1);
    expect(other.filledDemandSpread).toBeLessThanOrEqual(ASSUMPTIONS.filledDemandSpread.high);
  });

  it('makes sums of three days come out as often as stated: 80 % within 1.28 of it', () => {
    const known = hiddenWeather(chanceFrom(9), '2026-05-01', 150, CLIMATES.boatyard);
    const spread = learn(known.slice(0, 90)).filledDemandSpread;
    const ofWeather = Math.sqrt(spread ** 2 - demandSpread ** 2);
    const rest = known.slice(90);
    let within = 0;
    for (let i = 0; i + 3 <= rest.length; i += 3) {
      const window = rest.slice(i, i + 3);
      const first = window[0]?.day ?? '';
      const came = completeWeather(window, SITE, first, addDays(first, 2));
      const expected = completeWeather([], SITE, first, addDays(first, 2));
      const sum = (days: typeof came) => days.reduce((s, d) => s + d.etoMillimetres, 0);
      const sd =
        ofWeather * Math.sqrt(expected.reduce((s, d) => s + Math.max(d.etoMillimetres, 3.5) ** 2, 0));
      if (Math.abs(sum(came) - sum(expected)) <= 1.28 * sd) within += 1;
    }
    expect(within / 20).toBeGreaterThanOrEqual(0.7);
    expect(within / 20).toBeLessThanOrEqual(1);
  });

  it('takes the later of two notes of a day, in whatever order days come', () => {
    const days = usual(60, '2026-06-01', (i) => (i % 9 < 4 ? 5 : -3));
    const wild = days.map((d) => ({ ...d, maxCelsius: d.maxCelsius + 9 }));
    expect(learn([...wild, ...days])).toEqual(learn(days));
    expect(learn([...days].reverse())).toEqual(learn(days));
  });
});
