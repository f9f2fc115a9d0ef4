import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { completeWeather, filledShare } from '../climate/index.ts';
import { entrySchema, liveEntries, type Draft, type Entry, type EntryOf } from '../records/index.ts';
import { gannetSlip } from '../../demo/index.ts';
import { siteOf } from './bag-state.ts';
import { warmthOf } from './feeding.ts';
import { knownWeather, weatherAnew, weatherAsked } from './known-weather.ts';
import { isBeforeColdNight } from './stops.ts';

const DAY = '2026-07-16';
const EVENING = `${DAY}T19:00:00.000+01:00`;

/** A day's weather by what was put down, one after another. */
type Said = readonly Partial<EntryOf<'weather'>>[];
function entries(...said: Said): readonly Entry[] {
  return said.map((parts, i) =>
    entrySchema.parse({
      kind: 'weather',
      day: DAY,
      source: 'typed',
      at: EVENING,
      id: `ent_weather${i}`,
      recordedAt: `${DAY}T19:0${i}:00.000+01:00`,
      ...parts,
    }),
  );
}
const known = (...said: Said) => knownWeather(liveEntries(entries(...said)))[0];

describe('what several entries say of one day', () => {
  it('is put together, the latest word on each part', () => {
    expect(
      known({ rainMillimetres: 12 }, { minCelsius: 8, maxCelsius: 21 }, { maxCelsius: 23 }),
    ).toMatchObject({
      rainMillimetres: 12,
      minCelsius: 8,
      maxCelsius: 23,
      leadDays: 0,
    });
  });

  it('of two that cannot both be the later is believed', () => {
    const day = known({ minCelsius: 14, maxCelsius: 18 }, { maxCelsius: 12 });
    expect(day).toMatchObject({ maxCelsius: 12 });
    expect(day?.minCelsius).toBeUndefined();
  });

  it('rain that was measured leaves the degrees foretold', () => {
    const foretold = {
      at: '2026-07-14T19:00:00.000+01:00',
      minCelsius: 9,
      maxCelsius: 20,
      rainMillimetres: 1,
    };
    expect(known(foretold, { rainMillimetres: 9 })).toMatchObject({ leadDays: 2, rainMillimetres: 9 });
    expect(known(foretold, { minCelsius: 7 })).toMatchObject({ leadDays: 0, minCelsius: 7, maxCelsius: 20 });
  });

  it('is nothing where nothing is said', () => {
    expect(() => entries({})).toThrow(/Nothing is said of this day/);
    expect(() => entries({ minCelsius: 5, maxCelsius: 4 })).toThrow(/cannot be colder/);
  });
});

describe('a day that is told anew', () => {
  const put = (before: readonly Entry[], drafts: readonly Draft[]): readonly Entry[] =>
    liveEntries([
      ...before,
      ...drafts.map((draft, i) =>
        entrySchema.parse({ ...draft, id: `ent_anew000${i}`, recordedAt: `${DAY}T20:00:00.000+01:00` }),
      ),
    ]);

  it('takes the place of all that was said, and keeps what a station knew beside it', () => {
    const before = entries(
      { source: 'station', minCelsius: 8, maxCelsius: 20, humidityPercent: 70, sunHours: 6 },
      { rainMillimetres: 12 },
    );
    const after = put(before, weatherAnew(liveEntries(before), DAY, { minCelsius: 6 }, EVENING));
    expect(after.filter((e) => e.kind === 'weather')).toHaveLength(1);
    const [day] = knownWeather(after);
    expect(day).toMatchObject({ minCelsius: 6, humidityPercent: 70, sunHours: 6 });
    expect(day?.maxCelsius).toBeUndefined();
    expect(day?.rainMillimetres).toBeUndefined();
  });

  it('with nothing is taken away, all of it', () => {
    const before = entries({ minCelsius: 8 }, { rainMillimetres: 12 });
    expect(knownWeather(put(before, weatherAnew(liveEntries(before), DAY, {}, EVENING)))).toEqual([]);
  });
});

describe('the day that is asked for', () => {
  const asked = (...said: Said) => weatherAsked(entries(...said), DAY);
  const yesterday = { day: '2026-07-15', at: '2026-07-15T20:00:00.000+01:00' };

  it('is yesterday, and then today, until something is told of it', () => {
    expect(asked()).toBe('2026-07-15');
    expect(asked({ ...yesterday, rainMillimetres: 3 })).toBe(DAY);
    expect(asked({ ...yesterday, rainMillimetres: 3 }, { rainMillimetres: 0 })).toBeUndefined();
  });

  it('is asked for its degrees where they are noted, and though it was foretold', () => {
    const rain = { rainMillimetres: 3 };
    expect(asked({ ...yesterday, minCelsius: 9 }, rain)).toBe(DAY);
    expect(asked({ ...yesterday, minCelsius: 9 }, rain, { maxCelsius: 20 })).toBeUndefined();
    expect(asked({ ...yesterday, minCelsius: 9 }, { at: yesterday.at, minCelsius: 8, maxCelsius: 20 })).toBe(
      DAY,
    );
  });
});

describe('half a day', () => {
  const garden = gannetSlip(3);
  const site = siteOf(garden.settings);
  const dayOf = (...said: Said) => {
    const [day] = completeWeather(knownWeather(entries(...said)), site, DAY, DAY, DEFAULT_ASSUMED);
    if (!day) throw new Error('a day was asked for');
    return day;
  };

  it('counts for what it says, and is doubted for the rest', () => {
    const none = completeWeather([], site, DAY, DAY, DEFAULT_ASSUMED)[0];
    const rain = dayOf({ rainMillimetres: 12 });
    expect(rain).toMatchObject({ rainMillimetres: 12, etoMillimetres: none?.etoMillimetres });
    expect([filledShare(rain), filledShare(dayOf({ maxCelsius: 33 }))]).toEqual([1, 0.5]);
    expect(filledShare(dayOf({ minCelsius: 15, maxCelsius: 33 }))).toBe(0);
    // a hot day draws more, and its night is likely mild as well
    expect(dayOf({ maxCelsius: 33 }).etoMillimetres).toBeGreaterThan(none?.etoMillimetres ?? 99);
    expect(dayOf({ maxCelsius: 33 }).minCelsius).toBeGreaterThan(none?.minCelsius ?? 99);
    // and never on the wrong side of what is known
    expect(dayOf({ minCelsius: 40 }).maxCelsius).toBeGreaterThan(40);
  });

  it('warms the mix by what is known of it', () => {
    const usual = warmthOf([], garden.settings)(DAY);
    expect(warmthOf(entries({ maxCelsius: 36 }), garden.settings)(DAY)).toBeGreaterThan(usual + 3);
    expect(warmthOf(entries({ rainMillimetres: 3 }), garden.settings)(DAY)).toBe(usual);
  });

  it('a cold night alone is enough to hold water back before it', () => {
    const before = '2026-07-15T18:00:00.000+01:00';
    expect(isBeforeColdNight(entries({ minCelsius: 3 }), 8, before)).toBe(true);
    expect(isBeforeColdNight(entries({ maxCelsius: 12 }), 8, before)).toBe(false);
  });
});
