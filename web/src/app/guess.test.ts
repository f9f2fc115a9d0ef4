import { describe, expect, it } from 'vitest';
import { readTowns } from '../store/towns.ts';
import { guessFrom } from './guess.ts';

const TOWNS = readTowns({
  'Europe/London': [
    ['London', 'GB', 51.5],
    ['Leeds', 'GB', 53.8],
  ],
  'America/Chicago': [['Chicago', 'US', 41.8]],
  'Pacific/Auckland': [['Auckland', 'NZ', -36.9]],
  'Europe/Zurich': [['Zurich', 'CH', 47.4]],
});

describe('what is guessed of a newcomer', () => {
  it.each([
    ['Europe/London', 'London', 'metric', '£', 'sea'],
    ['America/Chicago', 'Chicago', 'us', '$', 'inland'],
    ['Pacific/Auckland', 'Auckland', 'metric', '$', 'sea'],
    ['Europe/Zurich', 'Zurich', 'metric', 'Fr', 'between'],
  ] as const)('%s: the largest town, units, money and seasons', (zone, town, units, currency, seasonsId) => {
    // who reads English may live anywhere: where one is counts for more
    expect(guessFrom(zone, 'en-GB', TOWNS)).toMatchObject({
      town: { name: town },
      units,
      currency,
      seasonsId,
    });
  });

  it('without the list goes by the language, and by the middle of where people grow', () => {
    expect(guessFrom('America/Chicago', 'en-US', [])).toMatchObject({
      town: undefined,
      latitudeDegrees: 45,
      units: 'us',
      currency: '$',
    });
    expect(guessFrom('Etc/UTC', 'de', [])).toMatchObject({ units: 'metric', currency: '€' });
  });
});

describe('the list of towns', () => {
  it('keeps a province where there is one, and refuses what is no list', () => {
    expect(readTowns({ 'America/Chicago': [['Springfield', 'US', 39.8, 'Illinois']] })).toEqual([
      {
        name: 'Springfield',
        country: 'US',
        latitudeDegrees: 39.8,
        province: 'Illinois',
        timeZone: 'America/Chicago',
      },
    ]);
    expect(() => readTowns({ 'Europe/London': [['London']] })).toThrow();
  });
});
