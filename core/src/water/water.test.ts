import { normalBelow } from '../statistics/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { completeWeather, type KnownDay } from '../climate/index.ts';
import {
  afterGain,
  afterLoss,
  availableLitres,
  Belief,
  bagDepletion,
  chanceOfCheck,
  demandOfDay,
  mulchFactor,
  runFilter,
  timelineOf,
  waterBalance,
  type WaterBag,
  type WaterEvent,
} from './index.ts';
import { at, watering, check, ONE_BAG, SITE, steps } from '../../test/one-bag.ts';

const bag = ONE_BAG;

describe('capacity and demand', () => {
  it('a shallow bag holds more for its litres than a deep one', () => {
    const mix = { capacity: 0.56, unavailable: 0.28 };
    expect(availableLitres(mix, 30, 150, DEFAULT_ASSUMED)).toBeGreaterThan(
      availableLitres(mix, 30, 300, DEFAULT_ASSUMED),
    );
    expect(availableLitres(mix, 30, 300, DEFAULT_ASSUMED)).toBeCloseTo(8.4, 10);
  });

  it('mulch halves evaporation at 25 mm and leaves a fifth at 75', () => {
    expect(mulchFactor(0, 25)).toBe(1);
    expect(mulchFactor(25, 25)).toBe(0.5);
    expect(mulchFactor(75, 25)).toBeCloseTo(0.2, 2);
  });

  it('demand is Kc × ETo × canopy, in litres, and rain only falls outdoors', () => {
    const [day] = completeWeather(
      [{ day: '2026-07-16', minCelsius: 13, maxCelsius: 29, rainMillimetres: 10 }],
      SITE,
      '2026-07-16',
      '2026-07-16',
      DEFAULT_ASSUMED,
    );
    if (!day) throw new Error('one day was asked for');
    const open = demandOfDay({ ...bag, underCover: false }, day, DEFAULT_ASSUMED);
    // 67 days of 70: canopy 0.6 × grown share 0.878; by hand 1.15 × 5.8… mm × 0.527 m²
    expect(open.transpirationLitres / (1.15 * day.etoMillimetres)).toBeCloseTo(0.527, 2);
    expect(open.rainLitres).toBeCloseTo(10 * 0.11 * 0.35, 10);
    const covered = demandOfDay(bag, day, DEFAULT_ASSUMED);
    expect(covered.rainLitres).toBe(0);
    // under glass it goes by the sun that comes through
    expect(covered.transpirationLitres / (1.15 * day.coverMillimetres * 0.65)).toBeCloseTo(0.527, 2);
  });

  it('a plant drinks from its planting to the day it was cleared', () => {
    const [day] = completeWeather([], SITE, '2026-07-16', '2026-07-16', DEFAULT_ASSUMED);
    if (!day) throw new Error('one day was asked for');
    const with_ = (plant: Partial<WaterBag['plants'][number]>) =>
      demandOfDay({ ...bag, plants: bag.plants.map((p) => ({ ...p, ...plant })) }, day, DEFAULT_ASSUMED)
        .transpirationLitres;
    expect(with_({ plantedOn: '2026-07-17' })).toBe(0);
    expect(with_({ clearedOn: '2026-07-16' })).toBe(0);
    expect(with_({ clearedOn: '2026-07-17' })).toBeGreaterThan(0);
  });

  it('the thirstiest plant sets the depletion of a bag', () => {
    expect(bagDepletion({ ...bag, plants: [] })).toBe(0.4);
    const pepper = { ...(bag.plants[0] as WaterBag['plants'][number]), depletion: 0.3 };
    expect(bagDepletion({ ...bag, plants: [...bag.plants, pepper] })).toBe(0.3);
  });
});

describe('stress and run-through', () => {
  it('a loss in one step equals the same loss in many', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0.2, max: 0.6, noNaN: true }),
        (w, x, p) => {
          let slow = w;
          for (let i = 0; i < 10; i++) slow = afterLoss(slow, x / 10, p);
          expect(slow).toBeCloseTo(afterLoss(w, x, p), 10);
        },
      ),
    );
  });

  it('water never goes below zero or above full, and what does not stay has drained', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (w, x) => {
          expect(afterLoss(w, x, 0.4)).toBeGreaterThanOrEqual(0);
          const gain = afterGain(w, x, { dryBelow: 0.25, dryKeeps: 0.6 });
          expect(gain.w).toBeLessThanOrEqual(1);
          expect(gain.w - w + gain.drained).toBeCloseTo(x, 12);
        },
      ),
    );
  });
});

describe('the water balance', () => {
  const anyEvents = fc.array(
    fc.record({
      day: fc.integer({ min: 1, max: 16 }),
      hour: fc.integer({ min: 8, max: 17 }),
      litres: fc.double({ min: 0.1, max: 12, noNaN: true }),
    }),
    { maxLength: 30 },
  );

  it('conserves mass to a billionth of a litre, over any run of drinks, rain and weather', () => {
    fc.assert(
      fc.property(
        anyEvents,
        fc.boolean(),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (waterings, underCover, start, use) => {
          const events = waterings.map(({ day, hour, litres }, i): WaterEvent => ({
            ...(watering(
              `2026-07-${String(day).padStart(2, '0')}`,
              litres,
              `${String(hour).padStart(2, '0')}:10`,
            ) as WaterEvent & { kind: 'watering' }),
            id: `ent_${i}`,
          }));
          const outside = { ...bag, underCover };
          const weather = completeWeather([], SITE, '2026-07-01', '2026-07-16', DEFAULT_ASSUMED);
          const all = timelineOf(
            outside,
            weather,
            51,
            DEFAULT_ASSUMED,
          )(events, at('2026-07-01', '08:00'), at('2026-07-16', '18:00'));
          const days = waterBalance(outside, all, start, '2026-07-01', use, DEFAULT_ASSUMED);
          let litres = start;
          for (const d of days) {
            expect(d.startLitres).toBeCloseTo(litres, 12);
            const end =
              d.startLitres +
              d.wateringLitres +
              d.rainLitres -
              d.usedLitres -
              d.evaporatedLitres -
              d.drainedLitres;
            expect(Math.abs(end - d.endLitres)).toBeLessThan(1e-9);
            expect(d.endLitres).toBeGreaterThanOrEqual(0);
            expect(d.endLitres).toBeLessThanOrEqual(bag.availableLitres + 1e-12);
            litres = d.endLitres;
          }
          const poured = events.reduce((sum, e) => sum + (e.kind === 'watering' ? e.litres : 0), 0);
          expect(days.reduce((sum, d) => sum + d.wateringLitres, 0)).toBeCloseTo(poured, 9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('does not depend on how the day is cut by looks', () => {
    const plain = waterBalance(bag, steps([]), 6, '2026-07-01', undefined, DEFAULT_ASSUMED);
    const cut = waterBalance(
      bag,
      steps([check('2026-07-02', 3, '11:00'), check('2026-07-02', 3, '15:00')]),
      6,
      '2026-07-01',
      undefined,
      DEFAULT_ASSUMED,
    );
    expect(cut.at(-1)?.endLitres).toBeCloseTo(plain.at(-1)?.endLitres ?? 0, 10);
  });

  it('hotter days leave less water', () => {
    const heat = Array.from({ length: 16 }, (_, i) => ({
      day: `2026-07-${String(i + 1).padStart(2, '0')}`,
      minCelsius: 16,
      maxCelsius: 33,
    }));
    const end = (known: readonly KnownDay[]) =>
      waterBalance(
        bag,
        steps([], at('2026-07-04', '18:00'), known),
        8,
        '2026-07-01',
        undefined,
        DEFAULT_ASSUMED,
      ).at(-1)?.endLitres ?? 0;
    expect(end(heat)).toBeLessThan(end([]));
  });
});

describe('checks', () => {
  it('the grades of a method share out all chances', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (w) => {
        const noise = DEFAULT_ASSUMED;
        const sum = (method: 'finger' | 'lift', count: number) =>
          Array.from({ length: count }, (_, i) => chanceOfCheck({ method, grade: i + 1 }, w, noise)).reduce(
            (a, b) => a + b,
            0,
          );
        expect(sum('finger', 5)).toBeCloseTo(1, 4);
        expect(sum('lift', 3)).toBeCloseTo(1, 4);
      }),
    );
  });

  it('the normal distribution is the tabled one', () => {
    expect(normalBelow(0)).toBeCloseTo(0.5, 6);
    expect(normalBelow(1.281552)).toBeCloseTo(0.9, 5);
    expect(normalBelow(-1.644854)).toBeCloseTo(0.05, 5);
  });
});

describe('the filter', () => {
  it('moves keep mass and mean', () => {
    const belief = Belief.prior({ mean: 0.7, sd: 0.05 }, 0.2);
    const before = belief.meanWater();
    belief.watering(0.1, 0.01, { dryBelow: 0.25, dryKeeps: 0.6 });
    expect(belief.meanWater()).toBeCloseTo(before + 0.1, 3);
    expect(belief.chanceBelow(1)).toBeCloseTo(1, 8);
  });

  it('follows the plain balance when it is told to doubt nothing', () => {
    const sure = {
      ...DEFAULT_ASSUMED,
      useSpread: 0.01,
      useDrift: 0,
      demandSpread: 0.001,
      filledDemandSpread: 0.001,
      measuredWatering: 0.001,
    };
    const events = [
      watering('2026-07-01', 8, '08:01', true),
      watering('2026-07-03', 3),
      watering('2026-07-05', 3),
    ];
    const all = steps(events, at('2026-07-06', '18:00'));
    const { estimate } = runFilter(bag, all, sure);
    const plain = waterBalance(bag, all, 8, '2026-07-01', undefined, DEFAULT_ASSUMED).at(-1)?.endLitres ?? 0;
    expect(Math.abs(estimate.litres.likely - plain)).toBeLessThan(0.35);
  });

  it('a wet look never lowers the water and a dry one never raises it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 14 }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        (day, litres) => {
          const date = `2026-07-${String(day).padStart(2, '0')}`;
          const until = at(date, '18:30');
          const without = runFilter(bag, steps([watering('2026-07-01', litres)], until), DEFAULT_ASSUMED)
            .estimate.share.likely;
          const wet = runFilter(
            bag,
            steps([watering('2026-07-01', litres), check(date, 5)], until),
            DEFAULT_ASSUMED,
          ).estimate.share.likely;
          const dry = runFilter(
            bag,
            steps([watering('2026-07-01', litres), check(date, 1)], until),
            DEFAULT_ASSUMED,
          ).estimate.share.likely;
          expect(wet).toBeGreaterThanOrEqual(without - 1e-5);
          expect(dry).toBeLessThanOrEqual(without + 1e-5);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('learns a thirsty bag from looks that come out drier than expected', () => {
    const events = [4, 6, 8, 10, 12].flatMap((d) => {
      const date = `2026-07-${String(d).padStart(2, '0')}`;
      return [check(date, 1), watering(date, 9, '18:05', true)];
    });
    const thirsty = runFilter(bag, steps(events), DEFAULT_ASSUMED).estimate.useMultiplier;
    const modest = runFilter(
      bag,
      steps(
        events.map((e) =>
          e.kind === 'check' ? { ...e, check: { method: 'finger', grade: 4 } as const } : e,
        ),
      ),
      DEFAULT_ASSUMED,
    ).estimate.useMultiplier;
    expect(thirsty.likely).toBeGreaterThan(1.15);
    expect(modest.likely).toBeLessThan(thirsty.likely / 1.5);
  });

  it('its range narrows at a look and widens with time', () => {
    const width = (e: readonly WaterEvent[], until: string) => {
      const { share } = runFilter(bag, steps(e, until), DEFAULT_ASSUMED).estimate;
      return share.high - share.low;
    };
    const before = width([], at('2026-07-02', '18:30'));
    const after = width([check('2026-07-02', 4)], at('2026-07-02', '18:30'));
    // within a day: later on, a bag that is surely dry is known better again
    const later = width([check('2026-07-02', 4)], at('2026-07-03', '18:30'));
    expect(after).toBeLessThan(before);
    expect(later).toBeGreaterThan(after);
  });

  it('records how each entry moved it', () => {
    const { moves } = runFilter(
      bag,
      steps([check('2026-07-03', 2), watering('2026-07-03', 5)]),
      DEFAULT_ASSUMED,
    ).estimate;
    expect(moves.map((m) => m.kind)).toEqual(['check', 'watering']);
    expect(moves[1]?.afterLitres).toBeGreaterThan((moves[1]?.beforeLitres ?? 0) + 3);
  });

  it('gives the same answer whatever order the entries come in', () => {
    const events = [check('2026-07-03', 2), watering('2026-07-03', 5), check('2026-07-05', 3)];
    expect(runFilter(bag, steps([...events].reverse()), DEFAULT_ASSUMED).estimate).toEqual(
      runFilter(bag, steps(events), DEFAULT_ASSUMED).estimate,
    );
  });
});
