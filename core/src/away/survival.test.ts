import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays } from '../calendar/index.ts';
import { type WeatherDay } from '../climate/index.ts';
import { chanceFrom } from '../statistics/index.ts';
import {
  afterGain,
  afterRefill,
  Belief,
  demandOfDay,
  FilterRun,
  storeOf,
  type StoreKind,
  type WaterBag,
} from '../water/index.ts';
import {
  sampleNoise,
  drawInitialStates,
  survivalOf,
  type DayPart,
  type DaysAway,
  type InitialStates,
} from './index.ts';

const FIRST = '2026-07-16';
const DRAWS = 60;
/** Left at noon, back in the evening. */
const PARTS = [
  { ofDemand: 0.5, ofDay: 0.5 },
  { ofDemand: 1, ofDay: 1 },
  { ofDemand: 1, ofDay: 1 },
  { ofDemand: 1, ofDay: 1 },
  { ofDemand: 0.9, ofDay: 0.75 },
];

/** Millimetres of ETo and rain of each day, in order. */
const weatherOf = (days: readonly (readonly [eto: number, rain: number])[]): readonly WeatherDay[] =>
  days.map(([etoMillimetres, rainMillimetres], d) => ({
    day: addDays(FIRST, d),
    etoMillimetres,
    coverMillimetres: 0.8 * etoMillimetres,
    rainMillimetres,
    minCelsius: 13,
    maxCelsius: 24,
    by: 'hargreaves',
    filled: { min: true, max: true, rain: true },
  }));

const bagWith = (availableLitres: number, stores: readonly StoreKind[]): WaterBag => ({
  availableLitres,
  topSquareMetres: 0.1,
  breathingSquareMetres: 0.2,
  mulchMillimetres: 20,
  underCover: false,
  shade: 0,
  stores: stores.map((kind) => storeOf(kind, 4, DEFAULT_ASSUMED)),
  drips: [],
  plants: [
    {
      plantedOn: '2026-05-01',
      kc: 1.15,
      depletion: 0.4,
      figures: { fullHeightMillimetres: 2000, canopySquareMetres: 0.4, weeksToFull: 10 },
    },
  ],
});

/** What becomes of one draw, a day at a time and with nothing but shares of available water. */
function oneByOne(
  bag: WaterBag,
  starts: InitialStates,
  away: DaysAway,
  visits: readonly number[],
  n: number,
) {
  const weather = away.weathers[n % away.weathers.length] as readonly WeatherDay[];
  const taw = bag.availableLitres;
  const room = bag.stores.reduce((sum, s) => sum + s.litres, 0) / taw;
  const catching = bag.stores.filter((s) => s.catchesDrained).reduce((sum, s) => sum + s.litres, 0) / taw;
  let water = starts.water[n] as number;
  let stored = bag.stores.reduce((sum, s) => sum + s.litres * (away.isSoaked ? 1 : s.startShare), 0) / taw;
  let driedOn = Infinity;
  const poured: number[] = [];
  weather.forEach((known, d) => {
    const day = demandOfDay(bag, known, DEFAULT_ASSUMED);
    const off = Math.min(0.55, DEFAULT_ASSUMED.demandSpread * day.doubt);
    const noise = away.noise[n * weather.length + d] as number;
    const { ofDemand, ofDay } = PARTS[d] as DayPart;
    const asked = (day.transpirationLitres * (starts.use[n] as number) + day.evaporationLitres) * ofDemand;
    const refillRate = bag.stores.reduce((sum, s) => sum + s.perDay, 0) * day.rooted * ofDay;
    const after = afterRefill(
      water,
      (asked * Math.max(0.05, 1 + off * noise)) / taw,
      refillRate,
      stored,
      0.4,
    );
    stored -= after.released;
    const gained = afterGain(after.w, (day.rainLitres * ofDay) / taw, DEFAULT_ASSUMED);
    water = gained.w;
    stored = Math.min(room, stored + Math.min(gained.drained, Math.max(0, catching - stored)));
    if (water < DEFAULT_ASSUMED.survivalPoint) driedOn = Math.min(driedOn, d);
    const visit = visits.indexOf(d);
    if (visit < 0 || away.missed(n, visit)) return;
    poured.push((Math.max(0, 0.97 - water) + room - stored) * taw);
    water = Math.max(water, 0.97);
    stored = room;
  });
  return { driedOn, poured };
}

const days = fc.array(
  fc.tuple(fc.double({ min: 0.5, max: 9, noNaN: true }), fc.constantFrom(0, 0, 0, 2, 30)),
  {
    minLength: 5,
    maxLength: 5,
  },
);
const cases = fc.record({
  weathers: fc.array(days, { minLength: 1, maxLength: 4 }),
  litres: fc.double({ min: 2, max: 20, noNaN: true }),
  stores: fc.subarray<StoreKind>(['reservoir', 'clay-pots', 'saucer']),
  visits: fc.subarray([1, 3]),
  isSoaked: fc.boolean(),
  seed: fc.nat(1000),
});

describe('survival of the days away', () => {
  it('is what a plain account of each draw comes to, with rain, stores and a helper who may not come', () => {
    fc.assert(
      fc.property(cases, ({ weathers, litres, stores, visits, isSoaked, seed }) => {
        const bag = bagWith(litres, stores);
        const away: DaysAway = {
          parts: PARTS,
          weathers: weathers.map(weatherOf),
          noise: sampleNoise(chanceFrom(seed), DRAWS, 5),
          isSoaked,
          missed: (draw, visit) => (draw + visit) % 7 === 0,
        };
        const starts = drawInitialStates(
          FilterRun.start(bag, DEFAULT_ASSUMED).belief,
          chanceFrom(seed),
          DRAWS,
          isSoaked,
        );
        const plain = Array.from({ length: DRAWS }, (_, n) => oneByOne(bag, starts, away, visits, n));
        const found = survivalOf(bag, starts, away, visits, DEFAULT_ASSUMED);
        found.dryBy.forEach((share, d) =>
          expect(share).toBeCloseTo(plain.filter(({ driedOn }) => driedOn <= d).length / DRAWS, 9),
        );
        expect(found.survives).toBeCloseTo(1 - (found.dryBy.at(-1) ?? 0), 9);
        if (visits.length > 0) {
          const litresPoured = plain.flatMap(({ poured }) => poured).reduce((sum, l) => sum + l, 0);
          const told = found.visitLitres.reduce(
            (sum, { likely }, v) => sum + likely * plain.filter((_, n) => !away.missed(n, v)).length,
            0,
          );
          // a bag with next to nothing left is taken as having that little
          expect(told / DRAWS).toBeCloseTo(litresPoured / DRAWS, 2);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('draws of bags that stay behind', () => {
  const belief = Belief.prior({ mean: 0.6, sd: 0.15 }, 0.5);
  const mean = (list: Float64Array) => list.reduce((sum, x) => sum + x, 0) / list.length;

  it('stand for the belief, and so do the first of them', () => {
    const { use, water } = drawInitialStates(belief, chanceFrom(3), 1000, false);
    expect(mean(water)).toBeCloseTo(belief.meanWater(), 1);
    for (const first of [100, 200, 1000]) {
      const logs = use.slice(0, first).map(Math.log).sort();
      expect(logs[Math.floor(first / 2)]).toBeCloseTo(0, 1);
      expect(logs[Math.floor(first * 0.841)]).toBeGreaterThan(0.42);
      expect(logs[Math.floor(first * 0.841)]).toBeLessThan(0.58);
    }
  });

  it('of soaked bags are nearly full', () => {
    const { water } = drawInitialStates(belief, chanceFrom(3), 200, true);
    expect(Math.min(...water)).toBeGreaterThanOrEqual(0.9);
    expect(Math.max(...water)).toBeLessThanOrEqual(1);
  });
});
