import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import { habitOf } from '../crops/index.ts';
import { dayOnCurve, heightOnCurve } from './curve.ts';
import { daysToReach, growthPerDay, heightBelief, heightOn } from './height.ts';

const tall = habitOf('tomato', 'tall');

/** A stream of draws in 0..1 from a seed. */
function drawsOf(seed: number): () => number {
  let state = (seed * 2654435761 + 12345) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
}

function gaussOf(draw: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(draw())) * Math.cos(2 * Math.PI * draw());
}

describe('the curve of height', () => {
  it('starts where the plant was planted and passes nine tenths at its weeks', () => {
    const curve = { startMillimetres: 250, fullMillimetres: 2100, weeksToFull: 11 };
    expect(heightOnCurve(curve, 0)).toBeCloseTo(250, 9);
    expect(heightOnCurve(curve, 77)).toBeCloseTo(0.9 * 2100, 6);
  });

  it('only ever grows, and its inverse is its inverse', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 600 }),
        fc.integer({ min: 700, max: 3000 }),
        fc.double({ min: 5, max: 15, noNaN: true }),
        fc.integer({ min: 1, max: 120 }),
        (startMillimetres, fullMillimetres, weeksToFull, day) => {
          const curve = { startMillimetres, fullMillimetres, weeksToFull };
          const height = heightOnCurve(curve, day);
          expect(heightOnCurve(curve, day + 1)).toBeGreaterThanOrEqual(height);
          const back = dayOnCurve(curve, height);
          if (back !== undefined) expect(back).toBeCloseTo(day, 4);
        },
      ),
    );
  });

  it('never reaches what is above its end', () => {
    expect(
      dayOnCurve({ startMillimetres: 200, fullMillimetres: 1000, weeksToFull: 8 }, 1100),
    ).toBeUndefined();
  });
});

describe('growth from recorded heights', () => {
  it('a record narrows the band, and pulls it towards itself', () => {
    const before = heightOn(heightBelief(tall, 200, [], 0.08, DEFAULT_ASSUMED), 40);
    const short = heightOn(
      heightBelief(tall, 200, [{ days: 30, millimetres: 450 }], 0.08, DEFAULT_ASSUMED),
      40,
    );
    expect(short.likely).toBeLessThan(before.likely);
    expect(short.high - short.low).toBeLessThan(before.high - before.low);
  });

  it('a taller record never means a later wire', () => {
    fc.assert(
      fc.property(fc.integer({ min: 350, max: 1200 }), fc.integer({ min: 20, max: 300 }), (height, more) => {
        const when = (millimetres: number) => {
          const reach = daysToReach(
            heightBelief(tall, 200, [{ days: 35, millimetres }], 0.08, DEFAULT_ASSUMED),
            1800,
          );
          return reach.kind === 'reaches' ? reach.likely : Infinity;
        };
        expect(when(height + more)).toBeLessThanOrEqual(when(height) + 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('holds the true wire date inside its band in at least four of five synthetic plants', () => {
    let inside = 0;
    let counted = 0;
    for (let seed = 1; seed <= 150; seed++) {
      const draw = drawsOf(seed);
      const gauss = gaussOf(draw);
      const full = 2300 * Math.exp(0.12 * gauss());
      const weeks = 11 * Math.exp(0.13 * gauss());
      const start = 150 + 150 * draw();
      const curve = { startMillimetres: start, fullMillimetres: full, weeksToFull: weeks };
      // the truth is not the model: each day's growth wanders with the weather
      const heights = [start];
      let mood = 0;
      for (let day = 1; day < 200; day++) {
        mood = 0.9 * mood + 0.15 * gauss();
        const step = heightOnCurve(curve, day) - heightOnCurve(curve, day - 1);
        heights.push((heights.at(-1) as number) + step * Math.exp(mood));
      }
      const wire = heights.findIndex((height) => height >= 1750);
      if (wire < 0) continue;
      const records = [14, 21, 28, 35].map((days) => ({
        days,
        millimetres: (heights[days] as number) * (1 + 0.04 * gauss()),
      }));
      const reach = daysToReach(
        heightBelief(tall, start, records, DEFAULT_ASSUMED.heightNoise, DEFAULT_ASSUMED),
        1750,
      );
      counted += 1;
      if (reach.kind === 'reaches' && reach.low <= wire && wire <= (reach.high ?? Infinity)) inside += 1;
    }
    expect(counted).toBeGreaterThan(80);
    expect(inside / counted).toBeGreaterThanOrEqual(0.8);
  });

  it('says that a dwarf hardly ever gets to a high wire', () => {
    const dwarf = heightBelief(habitOf('tomato', 'dwarf'), 150, [], 0.08, DEFAULT_ASSUMED);
    const reach = daysToReach(dwarf, 2000);
    expect(reach.kind).toBe('unlikely');
    expect(reach.chance).toBeLessThan(0.05);
  });

  it('grows fastest in the middle of its time', () => {
    const belief = heightBelief(tall, 200, [], 0.08, DEFAULT_ASSUMED);
    const [early, middle, late] = [0, 35, 110].map((day) => growthPerDay(belief, day));
    expect(middle).toBeGreaterThan(early as number);
    expect(middle).toBeGreaterThan(late as number);
  });

  it('refuses a start that is not a height', () => {
    expect(() => heightBelief(tall, 0, [], 0.08, DEFAULT_ASSUMED)).toThrow(/startMillimetres/);
  });
});
