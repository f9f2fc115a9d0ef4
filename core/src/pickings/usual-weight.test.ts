import { describe, expect, it } from 'vitest';
import { cropOf } from '../plants/index.ts';
import type { EntryOf, Variety } from '../records/index.ts';
import { usualFruit, weighedPickings } from './usual-weight.ts';

const stamp = '2026-05-01T10:00:00.000+01:00';
const tomato = cropOf('tomato');
const variety = (id: string, fruitGrams?: number): Variety => ({
  id: `var_${id}`,
  name: id,
  cropId: 'tomato',
  habitId: 'tall',
  createdAt: stamp,
  changedAt: stamp,
  ...(fruitGrams === undefined ? {} : { fruitGrams }),
});
const picking = (n: number, facts: Partial<EntryOf<'picking'>>): EntryOf<'picking'> => ({
  kind: 'picking',
  id: `ent_weight0${n}`,
  at: stamp,
  recordedAt: stamp,
  containerId: 'con_weight01',
  ...facts,
});

describe('what one fruit usually weighs', () => {
  it('is the crop’s, the variety’s where it is known, and the grower’s own the more often it was weighed', () => {
    expect(usualFruit(tomato, undefined, [])).toMatchObject({ by: 'crop', weighings: 0 });
    expect(usualFruit(tomato, variety('plum', 40), [])).toEqual({
      kilograms: 0.04,
      by: 'variety',
      weighings: 0,
    });
    const weighed = (times: number) =>
      usualFruit(
        tomato,
        variety('plum', 40),
        Array.from({ length: times }, () => ({ kilograms: 0.6, count: 10 })),
      );
    expect(weighed(1).kilograms).toBeGreaterThan(0.04);
    expect(weighed(2).kilograms).toBeCloseTo(0.05, 12);
    expect(weighed(40).kilograms).toBeCloseTo(0.06, 2);
    expect(weighed(40).by).toBe('own-scale');
  });
});

describe('pickings with a weight each', () => {
  const plum = variety('plum', 50);
  const all = [
    picking(1, { kilograms: 0.5, count: 10 }),
    picking(2, { count: 4 }),
    picking(3, { kilograms: 0.3 }),
    picking(4, { count: 4, containerId: 'con_nobody01' }),
  ];
  const weighed = weighedPickings(all, ({ containerId }) =>
    containerId === 'con_weight01' ? { crop: tomato, variety: plum } : undefined,
  );

  it('a count alone is worth its usual weight, and is marked; a weight stays as it was weighed', () => {
    expect(weighed.map((p) => p.isByCount)).toEqual([undefined, true, undefined, true]);
    expect(weighed[1]?.kilograms).toBeCloseTo(4 * 0.05, 12);
    expect([weighed[0]?.kilograms, weighed[2]?.kilograms]).toEqual([0.5, 0.3]);
  });

  it('of what nobody knows the plant of nothing is reckoned', () => {
    expect(weighed[3]?.kilograms).toBe(0);
  });

  it('of what nobody weighed or counted no weight is made up', () => {
    const [untold] = weighedPickings([picking(5, { isUnmeasured: true })], () => ({
      crop: tomato,
      variety: plum,
    }));
    expect(untold).toMatchObject({ kilograms: 0, isUnmeasured: true });
    expect(untold).not.toHaveProperty('isByCount');
  });
});
