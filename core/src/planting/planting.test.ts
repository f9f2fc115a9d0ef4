import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { DEPTH_PRACTICES } from './practices.ts';
import { planUpright, plantingAtDepth } from './depth.ts';
import { seedlingSchema, type Seedling } from '../records/index.ts';

const seedling: Seedling = {
  stemMillimetres: 340,
  ballMillimetres: 90,
  leafMillimetres: [60, 110, 160, 205, 250, 290, 330],
  seedLeafMillimetres: 35,
};
const deep = { depth: 'stem-roots', mixMillimetres: 500 } as const;

describe('planting depth, worked by hand', () => {
  it('leaves a third above, under the first leaf that stays', () => {
    const advice = planUpright(seedling, deep, DEFAULT_ASSUMED);
    // a third of 340 is 113; 340 − 113 = 227; the first leaf above that is at 250, and 250 − 20 = 230 clears it
    expect(advice.kind).toBe('upright');
    if (advice.kind !== 'upright') return;
    expect(advice.planting.buriedMillimetres).toBeCloseTo(226.67, 1);
    expect(advice.planting.holeMillimetres).toBeCloseTo(316.67, 1);
    expect(advice.planting.stripLeaves).toBe(4);
    expect(advice.planting.limit).toBe('crown');
  });

  it('keeps a graft above the mix, whatever the school', () => {
    for (const practice of DEPTH_PRACTICES) {
      const advice = planUpright(
        { ...seedling, graftMillimetres: 60 },
        { ...deep, practiceId: practice.id },
        DEFAULT_ASSUMED,
      );
      if (advice.kind !== 'upright') throw new Error('expected it to fit');
      expect(advice.planting.buriedMillimetres).toBeLessThanOrEqual(60 - DEFAULT_ASSUMED.graftMargin);
    }
  });

  it.each(['pepper', 'aubergine', 'cucumber'])('%s stays level', () => {
    const advice = planUpright(seedling, { depth: 'level', mixMillimetres: 250 }, DEFAULT_ASSUMED);
    expect(advice).toMatchObject({
      kind: 'upright',
      planting: {
        buriedMillimetres: 0,
        aboveMillimetres: 340,
        holeMillimetres: 90,
        stripLeaves: 0,
        limit: 'level',
      },
    });
  });

  it('the seed-leaf school goes just that deep', () => {
    const advice = planUpright(seedling, { ...deep, practiceId: 'seed-leaves' }, DEFAULT_ASSUMED);
    expect(advice).toMatchObject({
      planting: { buriedMillimetres: 35, stripLeaves: 0, limit: 'seed-leaves' },
    });
  });

  it('the top-and-one school leaves the tip and one leaf', () => {
    const advice = planUpright(seedling, { ...deep, practiceId: 'top-and-one' }, DEFAULT_ASSUMED);
    // the joints end 250, 290, 330: 290 stays as the one leaf, 20 mm clear
    expect(advice).toMatchObject({ planting: { buriedMillimetres: 270, stripLeaves: 5 } });
  });

  it('the bottom school stands the ball on the base when the bag decides', () => {
    const advice = planUpright(
      seedling,
      { depth: 'stem-roots', mixMillimetres: 250, practiceId: 'bottom' },
      DEFAULT_ASSUMED,
    );
    expect(advice).toMatchObject({ kind: 'upright', planting: { belowBallMillimetres: 0, limit: 'bag' } });
    if (advice.kind === 'upright') expect(advice.planting.buriedMillimetres).toBe(160);
  });

  it('says which number stands in the way when the school does not fit', () => {
    const advice = planUpright(seedling, { depth: 'stem-roots', mixMillimetres: 220 }, DEFAULT_ASSUMED);
    expect(advice.kind).toBe('does-not-fit');
    if (advice.kind !== 'does-not-fit') return;
    expect(advice.mixMillimetres).toBe(220);
    expect(advice.neededMixMillimetres).toBeCloseTo(336.67, 1);
    expect(advice.instead?.buriedMillimetres).toBe(110);
  });

  it('has nothing to offer when the ball is deeper than the mix', () => {
    const advice = planUpright(
      { ...seedling, ballMillimetres: 130 },
      { depth: 'level', mixMillimetres: 100 },
      DEFAULT_ASSUMED,
    );
    expect(advice).toMatchObject({ kind: 'does-not-fit', instead: undefined });
  });

  it('takes a practice that nobody has heard of for the usual one, and refuses a bag without mix', () => {
    const usual = planUpright(seedling, { ...deep, practiceId: 'first-leaves' }, DEFAULT_ASSUMED);
    expect(planUpright(seedling, { ...deep, practiceId: 'upside-down' }, DEFAULT_ASSUMED)).toEqual(usual);
    expect(() => planUpright(seedling, { ...deep, mixMillimetres: 0 }, DEFAULT_ASSUMED)).toThrow(
      /mixMillimetres/,
    );
  });
});

describe('planting depth, always', () => {
  const seedlings = fc
    .record({
      stem: fc.integer({ min: 60, max: 900 }),
      ball: fc.integer({ min: 40, max: 150 }),
      graft: fc.option(fc.integer({ min: 20, max: 55 }), { nil: undefined }),
    })
    .map(({ stem, ball, graft }): Seedling => ({
      stemMillimetres: stem,
      ballMillimetres: ball,
      ...(graft === undefined ? {} : { graftMillimetres: graft }),
    }));
  const practices = fc.constantFrom(...DEPTH_PRACTICES.map((s) => s.id));

  it('buried and above make the stem, nothing is above a graft, and the ball stays in the mix', () => {
    fc.assert(
      fc.property(
        seedlings,
        practices,
        fc.integer({ min: 160, max: 600 }),
        (plant, practiceId, mixMillimetres) => {
          const advice = planUpright(
            plant,
            { depth: 'stem-roots', mixMillimetres, practiceId },
            DEFAULT_ASSUMED,
          );
          const planting = advice.kind === 'upright' ? advice.planting : advice.instead;
          if (!planting) return;
          expect(planting.buriedMillimetres + planting.aboveMillimetres).toBeCloseTo(
            plant.stemMillimetres,
            9,
          );
          expect(planting.buriedMillimetres).toBeGreaterThanOrEqual(0);
          expect(planting.holeMillimetres).toBeLessThanOrEqual(mixMillimetres + 1e-9);
          if (plant.graftMillimetres !== undefined) {
            expect(planting.buriedMillimetres).toBeLessThanOrEqual(Math.max(0, plant.graftMillimetres - 25));
          }
        },
      ),
    );
  });

  it('the first-leaves school never leaves less crown than it says', () => {
    fc.assert(
      fc.property(seedlings, (plant) => {
        const advice = planUpright(plant, { depth: 'stem-roots', mixMillimetres: 1200 }, DEFAULT_ASSUMED);
        if (advice.kind !== 'upright') return;
        const least = Math.min(plant.stemMillimetres, Math.max(plant.stemMillimetres / 3, 100));
        expect(advice.planting.aboveMillimetres).toBeGreaterThanOrEqual(least - 1e-9);
      }),
    );
  });

  it('a deeper bag never means a shallower planting', () => {
    fc.assert(
      fc.property(seedlings, practices, fc.integer({ min: 160, max: 500 }), (plant, practiceId, mix) => {
        const depthIn = (mixMillimetres: number) => {
          const advice = planUpright(
            plant,
            { depth: 'stem-roots', mixMillimetres, practiceId },
            DEFAULT_ASSUMED,
          );
          return (advice.kind === 'upright' ? advice.planting : advice.instead)?.buriedMillimetres ?? -1;
        };
        expect(depthIn(mix + 40)).toBeGreaterThanOrEqual(depthIn(mix) - 1e-9);
      }),
    );
  });

  it("the grower's own depth is held to what stem and bag allow", () => {
    expect(plantingAtDepth(seedling, 9999, 300, DEFAULT_ASSUMED).buriedMillimetres).toBe(210);
    expect(plantingAtDepth(seedling, -5, 300, DEFAULT_ASSUMED).buriedMillimetres).toBe(0);
  });
});

describe('seedlings as measured', () => {
  it.each([
    [{ stemMillimetres: 100, ballMillimetres: 80, graftMillimetres: 120 }, 'graftMillimetres'],
    [{ stemMillimetres: 100, ballMillimetres: 80, leafMillimetres: [40, 140] }, 'leafMillimetres'],
    [{ stemMillimetres: 100, ballMillimetres: 80, seedLeafMillimetres: 100 }, 'seedLeafMillimetres'],
    [{ stemMillimetres: 0, ballMillimetres: 80 }, 'stemMillimetres'],
  ])('refuses %o at %s', (plant, field) => {
    expect(seedlingSchema.safeParse(plant).error?.issues[0]?.path[0]).toBe(field);
  });
});
