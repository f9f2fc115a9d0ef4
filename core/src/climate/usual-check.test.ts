import { describe, expect, it } from 'vitest';
import { resolveAssumed } from '../assumed/index.ts';
import { addDays, type Day } from '../calendar/index.ts';
import { checkUsual } from './usual-check.ts';
import { defaultNormals, normalOfDay } from './normals.ts';
import { SEASONS } from './seasons.ts';
import type { WarmthKnown } from './weather.ts';

const LATITUDE = 38;
const site = { latitudeDegrees: LATITUDE, normals: defaultNormals(LATITUDE, 'sea') };
const ASSUMED = resolveAssumed({});
const usualDays = (id: (typeof SEASONS)[number]['id'], count: number): readonly WarmthKnown[] =>
  Array.from({ length: count }, (_, i) => {
    const day = addDays('2026-06-01' as Day, i);
    const { minCelsius, maxCelsius } = normalOfDay(defaultNormals(LATITUDE, id), day);
    return { day, minCelsius, maxCelsius };
  });

describe('noted days beside usual months', () => {
  it.each(SEASONS.map(({ id }) => id))('those of %s are known by their nights and days', (id) => {
    expect(checkUsual(usualDays(id, 60), site, ASSUMED)?.nearest).toBe(id);
  });

  it('as usual is once, and a hot dry summer asks for a good deal more', () => {
    expect(checkUsual(usualDays('sea', 30), site, ASSUMED)?.times).toBeCloseTo(1, 9);
    expect(checkUsual(usualDays('hot-dry', 30), site, ASSUMED)?.times).toBeGreaterThan(1.25);
  });

  it('says nothing of a few days, and forecasts do not count', () => {
    expect(checkUsual(usualDays('hot-dry', 13), site, ASSUMED)).toBeUndefined();
    const foretold = usualDays('hot-dry', 30).map((each, i) => ({ ...each, leadDays: i < 13 ? 0 : 3 }));
    expect(checkUsual(foretold, site, ASSUMED)).toBeUndefined();
  });

  it('of two notes of one day the later counts', () => {
    const days = usualDays('sea', 20);
    const wrong = days.map((each) => ({ ...each, maxCelsius: each.maxCelsius + 8 }));
    expect(checkUsual([...wrong, ...days], site, ASSUMED)).toEqual(checkUsual(days, site, ASSUMED));
  });
});
