import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cropOf } from '../plants/index.ts';
import {
  DEPTH_PRACTICES,
  planWith,
  PLANTING_METHODS,
  plantingMethodOf,
  plantingMethodsFor,
  type PlantingOutcome,
  type PlantingPlan,
} from '../planting/index.ts';
import { type Seedling, type PlantingMethodId } from '../records/index.ts';
import { propertiesOf } from './properties.ts';
import { plantingTaskOf } from './planting-site.ts';

const settings = { assumptions: {} };
const tomato = cropOf('tomato');
const tall = tomato.habits[0] as (typeof tomato.habits)[number];

function taskIn(
  kindId: string,
  litres: number,
  seedling: Seedling,
  { practiceId = 'first-leaves', cropId = 'tomato', stations = 1, mulch = 0 } = {},
) {
  const record = {
    kindId,
    size: { by: 'label' as const, litres },
    mixId: 'bought',
    mulchMillimetres: mulch,
    stations: Array.from({ length: stations }),
  };
  const crop = cropOf(cropId);
  const habit = crop.habits[0] ?? tall;
  return plantingTaskOf(
    propertiesOf(record, { settings, mixes: [] }),
    stations,
    practiceId,
    crop,
    habit,
    seedling,
  );
}

function planned(outcome: PlantingOutcome): PlantingPlan {
  if (outcome.kind !== 'planned') throw new Error(`cannot: ${outcome.obstacle.places}`);
  return outcome.plan;
}

const leggy: Seedling = { stemMillimetres: 400, ballMillimetres: 90 };

describe('ways of planting, worked by hand', () => {
  it('upright: a hole as deep as stem and ball, and wide enough for a hand', () => {
    const task = taskIn('round-fabric', 57, { stemMillimetres: 240, ballMillimetres: 80 });
    const plan = planned(plantingMethodOf('upright').plan(task));
    const { settling } = task.site;
    // 140 of 240 go under: at least 100 stay, 80 of ball below; the ball is 90 across, and 40 are left on each side
    expect(plan.hole).toEqual({ depthMillimetres: expect.closeTo(220, 6), widthMillimetres: 170 });
    // hole π/4 × 1.7² × 2.2 dm = 4.994 L less the ball π/4 × 0.9² × 0.8 = 0.509 L, made loose again
    expect(plan.backfillLitres).toBeCloseTo((4.9935 - 0.5089) / (1 - settling), 2);
  });

  it('trench: ball, flat stem and a bend no tighter than 80 mm add up to its length', () => {
    const task = taskIn('pillow', 50, leggy, { stations: 1 });
    const plan = planned(plantingMethodOf('trench').plan(task));
    // axis 30 + 45 = 75 mm deep; comes out at acos(1 − 75/80) = 86.4°, with 80 × 1.508 = 120.7 mm of stem in the bend
    expect(plan.trench?.tipDegrees).toBeCloseTo(86.42, 1);
    // 400 − 133.3 = 266.7 go under, 146.0 of it flat; 90 + 146.0 + 80 × sin 86.4° = 315.9
    expect(plan.stem.buriedMillimetres).toBeCloseTo(266.67, 1);
    expect(plan.trench?.lengthMillimetres).toBeCloseTo(315.9, 0);
    expect(plan.hole.depthMillimetres).toBe(120);
  });

  it('collar: as high as the mix lacks, with a lip and pressed in', () => {
    const task = taskIn('pillow', 50, { stemMillimetres: 240, ballMillimetres: 80 });
    const plan = planned(plantingMethodOf('collar').plan(task));
    const lacks = 140 + 80 + 20 - task.site.mixMillimetres;
    expect(plan.collar?.heightMillimetres).toBeCloseTo(lacks + 20 + 25, 6);
    expect(plan.levelMillimetres).toBeCloseTo(240, 6);
    // π/4 × 2² dm² × what lacks in dm
    expect((plan.collar?.litres ?? 0) * (1 - task.site.settling)).toBeCloseTo((Math.PI * lacks) / 100, 6);
  });

  it('the neck kept dry: its own pot on the bag, nothing of the stem covered', () => {
    const plan = planned(
      plantingMethodsFor(taskIn('pillow', 50, leggy, { practiceId: 'neck-dry' }))[0] as PlantingOutcome,
    );
    expect(plan).toMatchObject({
      plantingMethodId: 'collar',
      stem: { buriedMillimetres: 0, aboveMillimetres: 400, stripLeaves: 0 },
      collar: { heightMillimetres: 110 },
    });
  });

  it('ring: a third of its mix first, the rest in top-ups', () => {
    const task = taskIn('ring-pillow', 60, { stemMillimetres: 140, ballMillimetres: 70 });
    const plan = planned(plantingMethodsFor(task)[0] as PlantingOutcome);
    const { ring, mixMillimetres } = task.site;
    const from = ring?.fromMillimetres ?? 0;
    expect(plan.plantingMethodId).toBe('ring');
    expect(plan.levelMillimetres).toBeCloseTo(from + (mixMillimetres - from) / 3, 6);
    expect(plan.topUps.at(-1)?.toMillimetres).toBeCloseTo(mixMillimetres, 6);
  });

  it('low and topped up: half of the mix now, the rest in dated steps', () => {
    const task = taskIn('round-fabric', 76, { stemMillimetres: 150, ballMillimetres: 80 });
    const plan = planned(plantingMethodOf('low-start').plan(task));
    expect(plan.levelMillimetres).toBeCloseTo(task.site.mixMillimetres / 2, 6);
    // each step is no thicker than 80 mm
    expect(plan.topUps).toHaveLength(Math.ceil(task.site.mixMillimetres / 2 / 80));
    const days = plan.topUps.map((t) => (t.when.kind === 'reaches' ? t.when.likely : NaN));
    expect([...days].sort((a, b) => a - b)).toEqual(days);
    expect(days[0]).toBeGreaterThan(0);
  });

  it.each(['pepper', 'aubergine', 'cucumber'])('%s has no way but level, or seed', (cropId) => {
    const plantingMethods = plantingMethodsFor(taskIn('round-fabric', 57, leggy, { cropId }));
    expect(
      plantingMethods.map((o) => (o.kind === 'planned' ? o.plan.plantingMethodId : o.plantingMethodId)),
    ).toEqual(['upright', 'seed']);
    expect(planned(plantingMethods[0] as PlantingOutcome).stem).toMatchObject({
      buriedMillimetres: 0,
      stripLeaves: 0,
    });
  });

  it('seed: at its own depth, a few to a station', () => {
    const plan = planned(
      plantingMethodOf('seed').plan(taskIn('round-fabric', 20, leggy, { cropId: 'cucumber' })),
    );
    expect(plan.hole.depthMillimetres).toBe(20);
    expect(plan.seed).toMatchObject({ perStation: 2, mixCelsius: 18 });
  });

  it('net cup: says whether the roots reach the nutrient', () => {
    const short = taskIn('net-cup', 3, { stemMillimetres: 150, ballMillimetres: 60 }, { cropId: 'pepper' });
    const plan = planned(plantingMethodsFor(short)[0] as PlantingOutcome);
    expect(plan.plantingMethodId).toBe('net-cup');
    expect(plan.net).toEqual({ rootsReach: false, gapMillimetres: 40 });
    const long = taskIn('net-cup', 3, { stemMillimetres: 150, ballMillimetres: 300 }, { cropId: 'pepper' });
    expect(planned(plantingMethodOf('net-cup').plan(long)).net?.rootsReach).toBe(true);
  });
});

describe('what cannot be done names the number that stands in the way', () => {
  const obstacleOf = (id: PlantingMethodId, ...args: Parameters<typeof taskIn>) => {
    const outcome = plantingMethodOf(id).plan(taskIn(...args));
    if (outcome.kind !== 'cannot') throw new Error('expected it not to work');
    return outcome.obstacle;
  };

  it('upright in a pillow bag: the mix is too shallow, a trench or a collar would do', () => {
    const obstacle = obstacleOf('upright', 'pillow', 50, leggy);
    expect(obstacle.places).toBe('mix-too-shallow');
    expect(obstacle.needsMillimetres).toBeCloseTo(266.67 + 90 + 20, 1);
    expect(obstacle.remedies).toEqual(expect.arrayContaining(['trench', 'collar']));
  });

  it('a ball taller than the bag', () => {
    const obstacle = obstacleOf('upright', 'pillow', 30, { stemMillimetres: 300, ballMillimetres: 300 });
    expect(obstacle.places).toBe('ball-too-tall');
  });

  it('a trench: a stem shorter than the bend', () => {
    const obstacle = obstacleOf('trench', 'pillow', 50, { stemMillimetres: 150, ballMillimetres: 80 });
    expect(obstacle).toMatchObject({ places: 'stem-too-short', hasMillimetres: 50 });
    expect(obstacle.remedies).toContain('wait');
  });

  it('a trench in a bag too narrow for ball and bend', () => {
    expect(obstacleOf('trench', 'rigid-pot', 3, leggy).places).toBe('run-too-short');
  });

  it('top-ups that would bury a graft', () => {
    const grafted = { stemMillimetres: 200, ballMillimetres: 80, graftMillimetres: 60 };
    expect(obstacleOf('low-start', 'round-fabric', 76, grafted)).toMatchObject({
      places: 'graft-too-low',
      hasMillimetres: 60,
    });
  });

  it('a rigid pot does not roll, and an ordinary bag has no ring or net', () => {
    expect(obstacleOf('low-start', 'rigid-pot', 40, leggy).places).toBe('wrong-bag');
    expect(obstacleOf('ring', 'round-fabric', 40, leggy).places).toBe('wrong-bag');
    expect(obstacleOf('net-cup', 'round-fabric', 40, leggy).places).toBe('wrong-bag');
  });

  it('a collar where the mix is deep enough gains nothing', () => {
    expect(
      obstacleOf('collar', 'round-fabric', 76, { stemMillimetres: 150, ballMillimetres: 80 }).places,
    ).toBe('nothing-to-gain');
  });
});

describe('every way, always', () => {
  const tasks = fc
    .record({
      kindId: fc.constantFrom('round-fabric', 'pillow', 'bucket', 'ring-pillow', 'trough', 'refuse-bag'),
      litres: fc.integer({ min: 12, max: 90 }),
      stem: fc.integer({ min: 80, max: 900 }),
      ball: fc.integer({ min: 40, max: 140 }),
      graft: fc.option(fc.integer({ min: 20, max: 70 }), { nil: undefined }),
      practiceId: fc.constantFrom(...DEPTH_PRACTICES.map((s) => s.id)),
    })
    .map(({ kindId, litres, stem, ball, graft, practiceId }) => {
      const seedling: Seedling = {
        stemMillimetres: stem,
        ballMillimetres: ball,
        ...(graft === undefined ? {} : { graftMillimetres: graft }),
      };
      return taskIn(kindId, litres, seedling, { practiceId });
    });
  const plantingMethods = fc.constantFrom(...PLANTING_METHODS.filter((w) => w.id !== 'seed'));

  it('buried and above make the stem; a graft stays out of the mix, top-ups and all; the ball stays in', () => {
    fc.assert(
      fc.property(tasks, plantingMethods, (task, plantingMethod) => {
        const outcome = plantingMethod.plan(task);
        if (outcome.kind !== 'planned') return;
        const { stem, topUps, levelMillimetres, belowBallMillimetres } = outcome.plan;
        const { seedling, site } = task;
        expect(stem.buriedMillimetres + stem.aboveMillimetres).toBeCloseTo(seedling.stemMillimetres, 6);
        expect(belowBallMillimetres).toBeGreaterThanOrEqual(0);
        const missing = topUps.length > 0 ? site.mixMillimetres - levelMillimetres : 0;
        if (seedling.graftMillimetres !== undefined)
          expect(stem.buriedMillimetres + missing).toBeLessThanOrEqual(
            Math.max(0, seedling.graftMillimetres - 25) + 1e-6,
          );
      }),
      { numRuns: 150 },
    );
  });

  it('never leaves less crown than the school asks', () => {
    fc.assert(
      fc.property(tasks, plantingMethods, (task, plantingMethod) => {
        const outcome = plantingMethod.plan(task);
        if (outcome.kind !== 'planned' || task.site.practiceId !== 'first-leaves') return;
        const { stemMillimetres } = task.seedling;
        const least = Math.min(stemMillimetres, Math.max(stemMillimetres / 3, 100));
        expect(outcome.plan.stem.aboveMillimetres).toBeGreaterThanOrEqual(least - 1e-6);
      }),
      { numRuns: 150 },
    );
  });

  it('the litres of the top-ups sum to the fill that is missing', () => {
    fc.assert(
      fc.property(
        tasks,
        fc.constantFrom(plantingMethodOf('low-start'), plantingMethodOf('ring')),
        (task, plantingMethod) => {
          const outcome = plantingMethod.plan(task);
          if (outcome.kind !== 'planned') return;
          const { topUps, levelMillimetres } = outcome.plan;
          const { solid, mixMillimetres, settling } = task.site;
          const missing =
            (solid.volumeBelow(mixMillimetres) - solid.volumeBelow(levelMillimetres)) / 1e6 / (1 - settling);
          expect(topUps.reduce((sum, t) => sum + t.litres, 0)).toBeCloseTo(missing, 6);
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe("a planting moved by the grower's own hand", () => {
  const seedling: Seedling = { stemMillimetres: 300, ballMillimetres: 80 };

  it('follows the planting line, and says so when the ball stands on the base', () => {
    const task = taskIn('round-fabric', 57, seedling);
    const { outcome, remarks } = planWith(plantingMethodOf('upright'), task, { buriedMillimetres: 120 });
    expect(planned(outcome).stem).toMatchObject({ buriedMillimetres: 120, aboveMillimetres: 180 });
    expect(remarks).toEqual([]);
    const deepest = planWith(plantingMethodOf('upright'), task, { buriedMillimetres: 9999 });
    expect(deepest.remarks).toContain('ball-on-base');
  });

  it('remarks on a graft that would go under, and lets it stand', () => {
    const task = taskIn('round-fabric', 57, { ...seedling, graftMillimetres: 60 });
    const { outcome, remarks } = planWith(plantingMethodOf('upright'), task, { buriedMillimetres: 100 });
    expect(planned(outcome).stem.buriedMillimetres).toBe(100);
    expect(remarks).toContain('graft-under');
  });

  it('a lower level means more to top up, and the litres still sum to what is missing', () => {
    const task = taskIn('round-fabric', 90, seedling);
    const { mixMillimetres, solid, settling } = task.site;
    for (const level of [mixMillimetres * 0.7, mixMillimetres * 0.85]) {
      const plan = planned(
        planWith(plantingMethodOf('low-start'), task, { levelMillimetres: level }).outcome,
      );
      expect(plan.levelMillimetres).toBeCloseTo(level, 6);
      const missing = (solid.volumeBelow(mixMillimetres) - solid.volumeBelow(level)) / 1e6 / (1 - settling);
      expect(plan.topUps.reduce((sum, t) => sum + t.litres, 0)).toBeCloseTo(missing, 6);
    }
  });

  it('a planted line that is moved in a part-filled bag is followed, and the top-ups come sooner or later with it', () => {
    const small: Seedling = { stemMillimetres: 240, ballMillimetres: 70 };
    const task = taskIn('round-fabric', 90, small);
    const firstDay = (buriedMillimetres?: number) => {
      const own = buriedMillimetres === undefined ? {} : { buriedMillimetres };
      const plan = planned(planWith(plantingMethodOf('low-start'), task, own).outcome);
      const { when } = plan.topUps[0] ?? { when: { kind: 'unlikely' as const } };
      return { plan, day: when.kind === 'reaches' ? when.likely : NaN };
    };
    const shallow = firstDay(40);
    expect(shallow.plan.stem).toMatchObject({ buriedMillimetres: 40, aboveMillimetres: 200 });
    expect(shallow.plan.levelMillimetres).toBeCloseTo(firstDay().plan.levelMillimetres, 6);
    expect(shallow.day).toBeLessThan(firstDay(120).day);
  });

  it('a taller collar buries more', () => {
    const task = taskIn('pillow', 50, seedling);
    const buried = (collarMillimetres: number) =>
      planned(planWith(plantingMethodOf('collar'), task, { collarMillimetres }).outcome).stem
        .buriedMillimetres;
    expect(buried(220) - buried(160)).toBeCloseTo(60, 6);
  });
});
