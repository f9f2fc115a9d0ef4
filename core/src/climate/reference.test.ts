import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  meanSaturation,
  psychrometricConstant,
  saturationPressure,
  saturationSlope,
  vapourPressure,
} from './air.ts';
import { penmanMonteith, windAtTwoMetres, type ReferenceDay } from './penman-monteith.ts';
import { growingDegreeDays, priestleyTaylor } from './priestley-taylor.ts';
import { netRadiation, solarRadiation } from './radiation.ts';

const bangkok: ReferenceDay = {
  minCelsius: 25.6,
  maxCelsius: 34.8,
  latitudeDegrees: 13.73,
  dayOfYear: 105,
  sunHours: 8.5,
  vapourKilopascals: 2.85,
  windMetresPerSecond: 2,
  altitudeMetres: 2,
  soilMegajoules: 0.14,
};
// Example 18: RHmax 84 and RHmin 63 give ea = 1.409 by eq 17; wind of 10 km/h at 10 m
const brussels: ReferenceDay = {
  minCelsius: 12.3,
  maxCelsius: 21.5,
  latitudeDegrees: 50.8,
  dayOfYear: 187,
  sunHours: 9.25,
  vapourKilopascals: 1.409,
  windMetresPerSecond: windAtTwoMetres(10 / 3.6, 10),
  altitudeMetres: 100,
};

describe('FAO-56, its own examples', () => {
  it('Examples 2 to 5: pressure, saturation, vapour', () => {
    expect(psychrometricConstant(1800)).toBeCloseTo(0.054, 3);
    expect(saturationPressure(24.5)).toBeCloseTo(3.075, 2);
    expect(saturationPressure(15)).toBeCloseTo(1.705, 2);
    expect(meanSaturation(15, 24.5)).toBeCloseTo(2.39, 2);
    expect(saturationSlope(30.2)).toBeCloseTo(0.246, 3);
  });

  it('Examples 10 to 12 and 15: radiation', () => {
    const rio = { minCelsius: 19.1, maxCelsius: 25.1, latitudeDegrees: -22.9, dayOfYear: 135, sunHours: 7.1 };
    expect(solarRadiation(rio)).toBeCloseTo(14.5, 1);
    expect(netRadiation(rio, 2.1, 0)).toBeCloseTo(7.6, 1);
    const lyon = { minCelsius: 14.8, maxCelsius: 26.6, latitudeDegrees: 45.72, dayOfYear: 196 };
    expect(Math.abs(solarRadiation(lyon) - 22.3)).toBeLessThan(0.15);
  });

  it('Example 14: wind at 2 m', () => {
    expect(windAtTwoMetres(3.2, 10)).toBeCloseTo(2.4, 1);
  });

  it('Example 17: Bangkok in April, 5.72 mm', () => {
    expect(penmanMonteith(bangkok)).toBeCloseTo(5.72, 1);
  });

  it('Example 18: Brussels on 6 July, 3.88 mm', () => {
    expect(penmanMonteith(brussels)).toBeCloseTo(3.88, 1);
  });
});

describe('the reference equation, always', () => {
  const days = fc.record({
    minCelsius: fc.integer({ min: -5, max: 20 }),
    span: fc.integer({ min: 2, max: 18 }),
    sunHours: fc.double({ min: 0, max: 12, noNaN: true }),
    humidityPercent: fc.integer({ min: 20, max: 100 }),
    windMetresPerSecond: fc.double({ min: 0, max: 8, noNaN: true }),
    // in the growing season: under a low sun a clear sky may cost more by long waves than it brings
    dayOfYear: fc.integer({ min: 120, max: 240 }),
  });
  const dayOf = ({ span, ...rest }: { span: number; minCelsius: number }) => ({
    ...rest,
    maxCelsius: rest.minCelsius + span,
    latitudeDegrees: 51,
  });

  it('is never below zero, and more sun never lowers it', () => {
    fc.assert(
      fc.property(days, fc.double({ min: 0.1, max: 4, noNaN: true }), (raw, more) => {
        const day = dayOf(raw) as ReferenceDay;
        const eto = penmanMonteith(day);
        expect(eto).toBeGreaterThanOrEqual(0);
        expect(penmanMonteith({ ...day, sunHours: (day.sunHours ?? 0) + more })).toBeGreaterThanOrEqual(
          eto - 1e-9,
        );
      }),
    );
  });

  it('drier air never lowers it where there is wind', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: 1, max: 15 }), (raw, drier) => {
        const day = dayOf(raw) as ReferenceDay;
        const humidityPercent = Math.max(5, (day.humidityPercent ?? 50) - drier);
        // drier air also sends more long waves out: in a calm that may cost more than the dryness brings
        const windy = { ...day, windMetresPerSecond: 2 + (day.windMetresPerSecond ?? 0) };
        expect(penmanMonteith({ ...windy, humidityPercent })).toBeGreaterThanOrEqual(
          penmanMonteith(windy) - 1e-9,
        );
      }),
    );
  });

  it('fills in what is missing: usual wind, a dew point at the minimum, sun by the span', () => {
    const bare = { minCelsius: 12, maxCelsius: 24, latitudeDegrees: 51, dayOfYear: 190 };
    const spelt = {
      ...bare,
      windMetresPerSecond: 2,
      vapourKilopascals: vapourPressure(12, 24, undefined),
      altitudeMetres: 0,
    };
    expect(penmanMonteith(bare)).toBe(penmanMonteith(spelt));
    expect(penmanMonteith(bare)).toBeGreaterThan(2.5);
    expect(penmanMonteith(bare)).toBeLessThan(6);
  });

  it('refuses what no day has', () => {
    expect(() => penmanMonteith({ ...bangkok, maxCelsius: 20 })).toThrow(/maxCelsius/);
    expect(() => penmanMonteith({ ...bangkok, sunHours: 30 })).toThrow(/sunHours/);
    expect(() => penmanMonteith({ ...bangkok, windMetresPerSecond: -1 })).toThrow(/wind/);
    expect(() => vapourPressure(10, 20, 140)).toThrow(/humidity/);
  });
});

describe('under cover and over the season', () => {
  it('goes by the sun: a dull day asks for less than a bright one', () => {
    const day = { minCelsius: 12, maxCelsius: 22, latitudeDegrees: 51, dayOfYear: 190 };
    const dull = priestleyTaylor({ ...day, sunHours: 1 }, 20);
    const bright = priestleyTaylor({ ...day, sunHours: 14 }, 20);
    expect(bright).toBeGreaterThan(2 * dull);
    // glass that lets 0.65 through asks for rather less than the open on the same day
    expect(0.65 * bright).toBeLessThan(1.1 * penmanMonteith({ ...day, sunHours: 14 }));
  });

  it('counts degree days between base and ceiling', () => {
    expect(growingDegreeDays(8, 24)).toBe(7);
    expect(growingDegreeDays(2, 9)).toBe(0);
    expect(growingDegreeDays(20, 38)).toBe(15);
    expect(growingDegreeDays(12, 22, 12)).toBe(5);
  });
});
