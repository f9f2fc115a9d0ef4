import fc from 'fast-check';
import { DEFAULT_ASSUMED, resolveAssumed } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import { addDays, dayOfYear, daysBetween, isDay } from '../calendar/index.ts';
import { completeWeather } from './weather.ts';
import { daylightHours, extraterrestrialRadiation, shareOfDay } from './sun.ts';
import { defaultNormals, normalOfDay } from './normals.ts';
import { hargreavesSamani } from './hargreaves.ts';

describe('sun, against FAO-56', () => {
  it('Example 8: Ra at 20° S on 3 September is 32.2 MJ/m²/d', () => {
    expect(extraterrestrialRadiation(-20, 246)).toBeCloseTo(32.2, 1);
  });

  it('Example 9: 11.7 hours of daylight there', () => {
    expect(daylightHours(-20, 246)).toBeCloseTo(11.7, 1);
  });

  it.each([
    // FAO-56 annex 2, table 2.6: Ra on the 15th of the month, MJ/m²/d
    [50, 196, 40.5],
    [50, 15, 9.0],
    [30, 196, 40.2],
    [0, 15, 36.2],
    [-40, 15, 43.1],
  ])('annex table: latitude %d, day %d', (latitude, day, ra) => {
    expect(Math.abs(extraterrestrialRadiation(latitude, day) - ra)).toBeLessThan(0.6);
  });

  it('days and nights make 24 hours over the hemispheres', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 65 }), fc.integer({ min: 1, max: 365 }), (latitude, day) => {
        expect(daylightHours(latitude, day) + daylightHours(-latitude, day)).toBeCloseTo(24, 9);
      }),
    );
  });

  it('the shares of a day sum to one, and night has none', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 24, noNaN: true }),
        fc.double({ min: 8, max: 17, noNaN: true }),
        (cut, daylight) => {
          expect(shareOfDay(0, cut, daylight) + shareOfDay(cut, 24, daylight)).toBeCloseTo(1, 12);
        },
      ),
    );
    expect(shareOfDay(0, 4, 14)).toBe(0);
    expect(shareOfDay(20, 24, 14)).toBe(0);
  });

  it('refuses latitudes without a daily sunset', () => {
    expect(() => extraterrestrialRadiation(80, 170)).toThrow(/latitudeDegrees: 80/);
  });
});

describe('Hargreaves–Samani', () => {
  it('FAO-56 Example 20: Lyon in July, 5.0 mm/d', () => {
    const eto = hargreavesSamani({
      minCelsius: 14.8,
      maxCelsius: 26.6,
      latitudeDegrees: 45.72,
      dayOfYear: 196,
    });
    expect(eto).toBeCloseTo(5.0, 1);
  });

  it('is equation 52 term by term', () => {
    const ra = extraterrestrialRadiation(51, 197) * 0.408;
    const eto = hargreavesSamani({ minCelsius: 13, maxCelsius: 29, latitudeDegrees: 51, dayOfYear: 197 });
    expect(eto).toBeCloseTo(0.0023 * (21 + 17.8) * 4 * ra, 10);
  });

  it('is never negative and refuses a night warmer than its day', () => {
    expect(hargreavesSamani({ minCelsius: -35, maxCelsius: -25, latitudeDegrees: 60, dayOfYear: 15 })).toBe(
      0,
    );
    expect(() =>
      hargreavesSamani({ minCelsius: 20, maxCelsius: 15, latitudeDegrees: 51, dayOfYear: 197 }),
    ).toThrow();
  });
});

describe('calendar', () => {
  it('counts days over leap years and months', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(daysBetween('2026-07-16', '2027-07-16')).toBe(365);
    expect(dayOfYear('2028-12-31')).toBe(366);
  });

  it.each(['2026-02-30', '2026-13-01', 'yesterday', '2026-1-1', ''])('"%s" is not a day', (text) => {
    expect(isDay(text)).toBe(false);
  });
});

describe('normals and gaps', () => {
  it('have warm summers on both halves of the earth and no seasons at the equator', () => {
    const north = defaultNormals(51).map((m) => m.maxCelsius);
    const south = defaultNormals(-35).map((m) => m.maxCelsius);
    expect(north.indexOf(Math.max(...north))).toBeGreaterThanOrEqual(6);
    expect(south.indexOf(Math.max(...south))).toBeLessThanOrEqual(1);
    const level = defaultNormals(0).map((m) => m.maxCelsius);
    expect(Math.max(...level) - Math.min(...level)).toBeCloseTo(0, 9);
  });

  it('run without a jump over the turn of the year', () => {
    const normals = defaultNormals(51);
    const before = normalOfDay(normals, '2026-12-31').minCelsius;
    const after = normalOfDay(normals, '2027-01-01').minCelsius;
    expect(Math.abs(after - before)).toBeLessThan(0.2);
  });

  it('fill what is missing and mark it, day by day', () => {
    const site = { latitudeDegrees: 51, normals: defaultNormals(51) };
    const known = [
      { day: '2026-07-02', minCelsius: 12, maxCelsius: 30, rainMillimetres: 0 },
      { day: '2026-07-03', minCelsius: 12, maxCelsius: 31 },
      { day: '2026-07-03', minCelsius: 13, maxCelsius: 29 },
    ];
    const days = completeWeather(known, site, '2026-07-01', '2026-07-03', DEFAULT_ASSUMED);
    expect(days.map((d) => d.filled.min && d.filled.max)).toEqual([true, false, false]);
    expect(days.map((d) => d.filled.rain)).toEqual([true, false, true]);
    // of two words on one day the later counts
    expect(days[2]).toMatchObject({ minCelsius: 13, maxCelsius: 29 });
    expect(days[1]?.etoMillimetres).toBeGreaterThan(days[0]?.etoMillimetres ?? 0);
  });

  it('ask for more under glass the warmer a closed house gets, and for no more outside', () => {
    const site = { latitudeDegrees: 51, normals: defaultNormals(51) };
    const dayWith = (own: Partial<Record<string, number>>) =>
      completeWeather([], site, '2026-07-01', '2026-07-01', resolveAssumed(own))[0];
    const [cool, hot] = [dayWith({ warmerByDay: 3 }), dayWith({ warmerByDay: 11 })];
    expect(hot?.coverMillimetres).toBeGreaterThan(cool?.coverMillimetres ?? Infinity);
    expect(hot?.etoMillimetres).toBe(cool?.etoMillimetres);
  });

  it('give nothing for a span that ends before it starts', () => {
    const site = { latitudeDegrees: 51, normals: defaultNormals(51) };
    expect(completeWeather([], site, '2026-07-03', '2026-07-01', DEFAULT_ASSUMED)).toEqual([]);
  });
});
