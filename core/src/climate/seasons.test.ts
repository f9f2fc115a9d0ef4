import { describe, expect, it } from 'vitest';
import { defaultNormals } from './normals.ts';
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
  ] as const)('%s comes out within five degrees', (_, latitude, id, january, july) => {
    expect(Math.abs(meanOf(latitude, id, 0) - january)).toBeLessThan(5);
    expect(Math.abs(meanOf(latitude, id, 6) - july)).toBeLessThan(5);
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
    expect(usualSeasons('AT', 'Europe/Vienna')).toBe('between');
    expect(usualSeasons('GB', 'Europe/London')).toBe('sea');
  });
});
