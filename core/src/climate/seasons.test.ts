import { describe, expect, it } from 'vitest';
import { defaultNormals, type MonthNormal } from './normals.ts';
import { SEASONS, seasonsOf, usualSeasons } from './seasons.ts';

/** Mean of a month, °C; January is 0. */
const meanOf = (latitude: number, id: (typeof SEASONS)[number]['id'], month: number) => {
  const normal = defaultNormals(latitude, id)[month];
  return ((normal?.minCelsius ?? NaN) + (normal?.maxCelsius ?? NaN)) / 2;
};

describe('how far winter and summer are apart', () => {
  // means of January and July 1991 to 2020, as weather services publish them, to a degree
  it.each([
    ['London', 51.5, 'sea', 6, 19],
    ['Vienna', 48.2, 'between', 1, 21],
    ['Berlin', 52.5, 'between', 1, 20],
    ['Chicago', 41.9, 'inland', -4, 24],
    ['Toronto', 43.7, 'inland', -4, 22],
    ['New York', 40.7, 'inland', 1, 25],
    ['Athens', 38, 'hot-dry', 10, 29],
    ['Seville', 37.4, 'hot-dry', 11, 28],
    ['Sacramento', 38.6, 'hot-dry', 8, 24],
    ['Atlanta', 33.7, 'hot-humid', 7, 27],
    ['Tokyo', 35.7, 'hot-humid', 5, 26],
    ['Denver', 39.7, 'high', 0, 24],
  ] as const)('%s comes out within five degrees', (_, latitude, id, january, july) => {
    expect(Math.abs(meanOf(latitude, id, 0) - january)).toBeLessThan(5);
    expect(Math.abs(meanOf(latitude, id, 6) - july)).toBeLessThan(5);
  });

  // mean coldest and warmest of a July day there, and its rain
  it.each([
    ['Sacramento', 38.6, 'hot-dry', 16, 34, 0],
    ['Madrid', 40.4, 'hot-dry', 19, 33, 10],
    ['Atlanta', 33.7, 'hot-humid', 22, 32, 120],
    ['Denver', 39.7, 'high', 15, 32, 55],
  ] as const)('a July day in %s, with its nights and rain', (_, latitude, id, night, day, rain) => {
    const july = defaultNormals(latitude, id)[6] as MonthNormal;
    expect(Math.abs(july.minCelsius - night)).toBeLessThan(4);
    expect(Math.abs(july.maxCelsius - day)).toBeLessThan(4);
    expect(Math.abs(july.rainMillimetres - rain)).toBeLessThan(25);
  });

  it('rain is never less than none, wherever it is', () => {
    for (const { id } of SEASONS)
      for (let latitude = -66; latitude <= 66; latitude += 3)
        for (const month of defaultNormals(latitude, id)) {
          expect(month.rainMillimetres).toBeGreaterThanOrEqual(0);
          expect(month.maxCelsius).toBeGreaterThan(month.minCelsius);
        }
  });

  it('a town inland has frost where the same latitude by the sea has hardly any', () => {
    const coldest = (id: 'sea' | 'inland') => Math.min(...defaultNormals(41.9, id).map((m) => m.minCelsius));
    expect(coldest('sea')).toBeGreaterThan(5);
    expect(coldest('inland')).toBeLessThan(0);
  });

  it('left out is by the sea, and so is an id that nobody knows', () => {
    expect(defaultNormals(51)).toEqual(defaultNormals(51, 'sea'));
    expect(seasonsOf('moon')).toBe(SEASONS[0]);
  });

  it('is guessed from a country, and from its coast', () => {
    expect(usualSeasons('US', 'America/Chicago')).toBe('inland');
    expect(usualSeasons('US', 'America/Los_Angeles')).toBe('sea');
    expect(usualSeasons('US', 'America/Denver')).toBe('high');
    expect(usualSeasons('ES', 'Europe/Madrid')).toBe('hot-dry');
    expect(usualSeasons('AT', 'Europe/Vienna')).toBe('between');
    expect(usualSeasons('GB', 'Europe/London')).toBe('sea');
  });
});
