import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { weekdayOf, addDays } from '../calendar/index.ts';
import { completeWeather, defaultNormals, type WeatherDay } from '../climate/index.ts';
import {
  afterLoss,
  afterRefill,
  dripOfDay,
  demandOfDay,
  litresADay,
  litresAWeek,
  proposeDrip,
  runFilter,
  storeOf,
  STORE_KINDS,
  timelineOf,
  waterBalance,
  type DripSetting,
  type WaterBag,
  type WaterEvent,
} from './index.ts';
import { skyOn } from './demand.ts';

const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };
const FIRST = '2026-07-01';
const LAST = '2026-07-12';
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

const plain: WaterBag = {
  availableLitres: 8,
  topSquareMetres: 0.11,
  breathingSquareMetres: 0,
  mulchMillimetres: 20,
  underCover: false,
  shade: 0,
  stores: [],
  drips: [],
  plants: [
    {
      plantedOn: '2026-05-01',
      kc: 1.15,
      depletion: 0.4,
      figures: { fullHeightMillimetres: 2000, canopySquareMetres: 0.5, weeksToFull: 10 },
    },
  ],
};
const with12 = (kind: (typeof STORE_KINDS)[number], litres = 12): WaterBag => ({
  ...plain,
  stores: [storeOf(kind, litres, DEFAULT_ASSUMED)],
});

const at = (day: number, hour: string) => `2026-07-${String(day).padStart(2, '0')}T${hour}:00.000+01:00`;
const watering = (day: number, litres: number, into: 'top' | 'store', ranThrough = false): WaterEvent => ({
  kind: 'watering',
  id: `ent_${day}${into}`,
  at: at(day, '18:05'),
  litres,
  isMeasured: true,
  ranThrough,
  into,
});

function stepsOf(bag: WaterBag, events: readonly WaterEvent[] = [], to = at(12, '18:30')) {
  const weather = completeWeather([], SITE, FIRST, LAST, DEFAULT_ASSUMED);
  return timelineOf(bag, weather, 51, DEFAULT_ASSUMED)(events, at(1, '08:00'), to);
}

const endOf = (bag: WaterBag, events: readonly WaterEvent[] = [], to?: string) =>
  runFilter(bag, stepsOf(bag, events, to), DEFAULT_ASSUMED).estimate;

describe('a mix that stores refill', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });

  it('what they gave counts as used: more than the mix alone could give', () => {
    const filled = [watering(1, 6, 'top', true), watering(1, 40, 'store', true)];
    const over = endOf(with12('reservoir', 40), filled).usedSinceLitres;
    const alone = endOf(plain, filled.slice(0, 1)).usedSinceLitres;
    // its own water and a little rain
    expect(alone).toBeLessThan(9);
    expect(over).toBeGreaterThan(1.5 * alone);
  });

  it('ends no drier than without them, no wetter than full, and gets no more than they hold', () => {
    fc.assert(
      fc.property(
        share,
        share,
        fc.double({ min: 0, max: 20, noNaN: true }),
        share,
        (w, x, refillRate, stored) => {
          const after = afterRefill(w, x, refillRate, stored, 0.4);
          expect(after.released).toBeGreaterThanOrEqual(0);
          expect(after.released).toBeLessThanOrEqual(stored + 1e-12);
          expect(after.w).toBeGreaterThanOrEqual(afterLoss(w, x, 0.4) - 1e-12);
          expect(after.w).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
    );
  });

  it('stays near the rest of use and refilling, by hand: 1 − use ÷ pull', () => {
    // 0.3 of its water a day against six times the deficit a day: 1 − 0.3 / 6
    let w = 0.5;
    for (let day = 0; day < 5; day++) w = afterRefill(w, 0.3, 6, 10, 0.4).w;
    expect(w).toBeCloseTo(0.95, 3);
  });

  it('the plain balance conserves mix and stores to a billionth of a litre, for every kind of store', () => {
    const anyWaterings = fc.array(
      fc.record({
        day: fc.integer({ min: 1, max: 12 }),
        litres: fc.double({ min: 0.1, max: 15, noNaN: true }),
        into: fc.constantFrom('top' as const, 'store' as const),
        isPouredOut: fc.boolean(),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(fc.subarray([...STORE_KINDS]), anyWaterings, (kinds, waterings) => {
        const bag = { ...plain, stores: kinds.map((kind) => storeOf(kind, 6, DEFAULT_ASSUMED)) };
        const events = waterings.flatMap((d, i) => {
          const poured = { ...watering(d.day, d.litres, d.into), id: `ent_${i}` };
          const out = { kind: 'emptied' as const, id: `ent_${i}-out`, at: poured.at };
          return d.isPouredOut ? [poured, out] : [poured];
        });
        for (const d of waterBalance(bag, stepsOf(bag, events), 5, FIRST, undefined, DEFAULT_ASSUMED)) {
          const mix =
            d.startLitres +
            d.wateringLitres +
            d.rainLitres +
            d.dripLitres +
            d.fromStoresLitres -
            d.usedLitres -
            d.evaporatedLitres -
            d.drainedLitres;
          const stores =
            d.storesStartLitres + d.filledLitres + d.caughtLitres - d.fromStoresLitres - d.spiltLitres;
          expect(Math.abs(mix - d.endLitres)).toBeLessThan(1e-9);
          expect(Math.abs(stores - d.storesEndLitres)).toBeLessThan(1e-9);
          expect(d.storesEndLitres).toBeGreaterThanOrEqual(-1e-12);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('the filter with stores', () => {
  it('keeps a bag with a reservoir moist while a plain one goes dry, and empties the reservoir', () => {
    const events = [watering(1, 9, 'top', true), watering(1, 12, 'store', true)];
    const [alone, kept] = [
      endOf(plain, events, at(5, '18:00')),
      endOf(with12('reservoir'), events, at(5, '18:00')),
    ];
    expect(kept.share.likely).toBeGreaterThan(alone.share.likely + 0.3);
    expect(kept.stores[0]?.likely).toBeLessThan(0.6);
    expect(alone.stores).toEqual([]);
  });

  it('pours a drum out before what goes in at the same moment, and is then sure of it', () => {
    const bag = with12('reservoir');
    const full = watering(1, 12, 'store', true);
    const fresh = { ...watering(3, 4, 'store'), at: at(3, '09:00') };
    const emptied = { kind: 'emptied' as const, id: 'z', at: fresh.at };
    const now = at(3, '09:00');
    const [topped, anew] = [endOf(bag, [full, fresh], now), endOf(bag, [full, fresh, emptied], now)];
    expect(topped.stores[0]?.likely).toBeGreaterThan(0.5);
    expect(anew.stores[0]?.likely).toBeCloseTo(4 / 12, 6);
    expect((anew.stores[0]?.high ?? 1) - (anew.stores[0]?.low ?? 0)).toBeLessThan(0.1);
    expect(anew.share).toEqual(topped.share);
  });

  it('agrees with the plain balance when it is told to doubt nothing', () => {
    const bag = with12('clay-pots', 3);
    const sure = {
      ...DEFAULT_ASSUMED,
      useSpread: 0.01,
      useDrift: 0,
      demandSpread: 0.001,
      filledDemandSpread: 0.001,
      measuredWatering: 0.001,
    };
    const events = [
      { ...watering(1, 9, 'top', true), at: at(1, '08:01') },
      { ...watering(1, 3, 'store', true), at: at(1, '08:02') },
    ];
    const steps = stepsOf(bag, events, at(4, '18:00'));
    const { estimate } = runFilter(bag, steps, sure);
    const end = waterBalance(bag, steps, 8, FIRST, undefined, DEFAULT_ASSUMED).at(-1);
    expect(Math.abs(estimate.litres.likely - (end?.endLitres ?? 0))).toBeLessThan(0.4);
    expect(Math.abs((estimate.stores[0]?.likely ?? 0) * 3 - (end?.storesEndLitres ?? 0))).toBeLessThan(0.4);
  });

  it('a level that was seen sets the level, and one lower than expected says that the bag is thirsty', () => {
    const bag = with12('reservoir');
    const filled = [watering(1, 9, 'top', true), watering(1, 12, 'store', true)];
    const seen = (share: number): WaterEvent => ({
      kind: 'check',
      id: 'ent_level',
      at: at(4, '18:00'),
      check: { method: 'level', share },
    });
    const [low, high] = [0.1, 0.9].map((share) => endOf(bag, [...filled, seen(share)], at(4, '18:10')));
    expect(low?.stores[0]?.likely).toBeLessThan((high?.stores[0]?.likely ?? 0) - 0.3);
    expect(low?.useMultiplier.likely).toBeGreaterThan((high?.useMultiplier.likely ?? 9) * 1.2);
  });

  it('a reservoir gives next to nothing while roots are not down', () => {
    const young = { ...with12('reservoir'), plants: plain.plants.map((p) => ({ ...p, plantedOn: FIRST })) };
    const grown = with12('reservoir');
    const events = [watering(1, 12, 'store', true)];
    const left = (bag: WaterBag) => endOf(bag, events, at(3, '18:00')).stores[0]?.likely ?? 0;
    expect(left(young)).toBeGreaterThan(left(grown));
  });

  it('a saucer catches what runs through and gives it back', () => {
    const events = [watering(2, 14, 'top', true)];
    const [without, saucer] = [
      endOf(plain, events, at(4, '18:00')),
      endOf(with12('saucer', 2), events, at(4, '18:00')),
    ];
    expect(saucer.share.likely).toBeGreaterThan(without.share.likely + 0.05);
  });
});

describe('drip', () => {
  const setting: DripSetting = {
    emitters: 2,
    litresPerHourEach: 2,
    minutes: 15,
    timesADay: 3,
    weekdays: EVERY_DAY,
  };

  it('by hand: two emitters of 2 L/h for a quarter of an hour three times a day are 3 L', () => {
    expect(litresADay(setting)).toBeCloseTo(3, 12);
    expect(dripOfDay([{ from: FIRST, setting, loss: 0.1 }], '2026-07-03').dryLitres).toBeCloseTo(2.7, 12);
  });

  it('runs from the day it was set, on its weekdays, until it is turned off', () => {
    // 2026-07-06 is a Monday
    expect(weekdayOf('2026-07-06')).toBe(1);
    expect(weekdayOf('2026-07-12')).toBe(7);
    const spells = [
      { from: '2026-07-03', setting: { ...setting, weekdays: [1] }, loss: 0 },
      { from: '2026-07-10', setting: undefined, loss: 0 },
    ];
    const days = Array.from({ length: 12 }, (_, i) => addDays(FIRST, i));
    expect(days.filter((day) => dripOfDay(spells, day).dryLitres > 0)).toEqual(['2026-07-06']);
  });

  it('leaves a bag wetter', () => {
    const dripped = { ...plain, drips: [{ from: FIRST, setting, loss: 0.1 }] };
    expect(endOf(dripped).share.likely).toBeGreaterThan(endOf(plain).share.likely + 0.2);
  });

  it('a proposal brings what is wanted within a tenth, in runs that the mix can take up', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 6, noNaN: true }),
        fc.integer({ min: 1, max: 6 }),
        fc.double({ min: 1, max: 4, noNaN: true }),
        (wanted, emitters, litresPerHourEach) => {
          const proposal = proposeDrip(wanted, 12, { emitters, litresPerHourEach, loss: 0.1 });
          if (proposal.emittersWanted !== undefined) return;
          expect(proposal.timesADay).toBeLessThanOrEqual(4);
          const minuteLitres = (emitters * litresPerHourEach * proposal.timesADay) / 60;
          expect(Math.abs(proposal.litresADay * 0.9 - wanted)).toBeLessThan(0.05 * wanted + minuteLitres);
        },
      ),
    );
  });

  it('brings the most that it can where the emitters are too few, and says how many would do', () => {
    const few = { emitters: 1, litresPerHourEach: 1, loss: 0 };
    const proposal = proposeDrip(9, 12, few);
    expect(proposal).toMatchObject({ minutes: 30, timesADay: 4, litresADay: 2, emittersWanted: 5 });
    expect(proposal).toMatchObject({ broughtLitresAWeek: 14, wantedLitresAWeek: 63 });
    expect(proposeDrip(9, 40, { ...few, emitters: 5 }).emittersWanted).toBeUndefined();
  });

  it('adds up lines, by emitters or by the metre, each on its own days', () => {
    const hose = { ...setting, metres: 1.5, litresPerHourEach: 4, minutes: 10, timesADay: 1, weekdays: [1] };
    const both = { ...setting, weekdays: [1, 2], further: [hose] };
    expect(litresAWeek(both)).toBeCloseTo(2 * 3 + 1, 12);
    const spells = [{ from: FIRST, setting: both, loss: 0 }];
    // 2026-07-06 is a Monday
    expect(['2026-07-06', '2026-07-07', '2026-07-08'].map((d) => dripOfDay(spells, d).dryLitres)).toEqual([
      4, 3, 0,
    ]);
  });

  it('stays off on wet days where it has a sensor', () => {
    const both = { ...setting, isOffInRain: true, further: [{ ...setting, minutes: 5 }] };
    const spells = [{ from: FIRST, setting: both, loss: 0 }];
    expect(dripOfDay(spells, '2026-07-06')).toEqual({ dryLitres: 4, wetLitres: 1 });
    const bag = { ...plain, drips: spells };
    const [weather] = completeWeather([], SITE, '2026-07-06', '2026-07-06', DEFAULT_ASSUMED);
    const on = (rainMillimetres: number) =>
      demandOfDay(bag, { ...(weather as WeatherDay), rainMillimetres }, DEFAULT_ASSUMED).dripLitres;
    expect([on(0), on(2.9), on(3), on(12)]).toEqual([4, 4, 1, 1]);
  });
});

describe('cloth over a bag', () => {
  const cloth = { shade: 0.45, from: '2026-07-03', until: '2026-07-05' };
  const bag = { ...plain, shade: 0.2, cloths: [cloth, { shade: 0.5, from: '2026-07-05' }] };
  const lightOn = (day: string) => 1 - skyOn(bag, day).shade;

  it('leaves so much of the light, from a day to a day, on top of what always is', () => {
    expect(1 - skyOn({ ...plain, cloths: [cloth] }, '2026-07-04').shade).toBeCloseTo(0.55, 12);
    expect(lightOn('2026-07-02')).toBeCloseTo(0.8, 12);
    expect(lightOn('2026-07-03')).toBeCloseTo(0.8 * 0.55, 12);
    expect(lightOn('2026-07-05')).toBeCloseTo(0.8 * 0.55 * 0.5, 12);
    expect(lightOn('2026-07-06')).toBeCloseTo(0.8 * 0.5, 12);
  });

  it('takes less of the demand than of the sun in the open, and all of it under glass', () => {
    const [weather] = completeWeather([], SITE, '2026-07-04', '2026-07-04', DEFAULT_ASSUMED);
    const use = (of: WaterBag) => demandOfDay(of, weather as WeatherDay, DEFAULT_ASSUMED).transpirationLitres;
    const shaded = (of: WaterBag) => use({ ...of, cloths: [cloth] }) / use(of);
    expect(shaded(plain)).toBeCloseTo(1 - DEFAULT_ASSUMED.shadeEffect * 0.45, 9);
    expect(shaded({ ...plain, underCover: true })).toBeCloseTo(0.55, 9);
  });
});
