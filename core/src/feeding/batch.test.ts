import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED, resolveAssumed } from '../assumed/index.ts';
import type { Entry, EntryOf } from '../records/index.ts';
import { findProduct } from '../products/index.ts';
import { batchOf, daysLeft, slopeOf, solutionCourse, teasOf, type BatchNeed } from './index.ts';

const need = (containerId: string, waterLitres: number, more: Partial<BatchNeed> = {}): BatchNeed => ({
  containerId,
  waterLitres,
  plants: 1,
  mixLitres: 30,
  productId: 'tomato-liquid',
  dose: { amount: 4, unit: 'millilitre', per: 'litre' },
  ...more,
});

describe('a batch, can by can', () => {
  it('three bags out of 9 L cans by hand: the second bag is shared, 1.2 L is made up to 1.5', () => {
    const [part] = batchOf([need('con_a', 4), need('con_b', 3.2), need('con_c', 3)], 9);
    expect(part).toMatchObject({ kind: 'in-water', litres: 10.2, amount: 42 });
    if (part?.kind !== 'in-water') throw new Error('in water');
    expect(part.cans.map((c) => [c.litres, c.amount])).toEqual([
      [9, 36],
      [1.5, 6],
    ]);
    expect(part.cans[0]?.pours.map((p) => p.containerId)).toEqual(['con_a', 'con_b', 'con_c']);
    expect(part.cans[1]?.pours).toHaveLength(1);
    expect(part.leftoverLitres).toBeCloseTo(0.3, 9);
  });

  it('a drum is made up full, and what the bags do not take is left over', () => {
    const [part] = batchOf([need('con_a', 4), need('con_b', 3.2)], 120, true);
    expect(part).toMatchObject({ litres: 7.2, amount: 480, cans: [{ litres: 120, amount: 480 }] });
    expect(part?.kind === 'in-water' && part.leftoverLitres).toBeCloseTo(112.8, 9);
  });

  it('dry feeds are by the bag, the plant or the litre of mix, and need no can', () => {
    const spoon = { amount: 3, unit: 'spoon', per: 'bag' } as const;
    const grains = { amount: 3, unit: 'gram', per: 'mix-litre' } as const;
    const [dry, slow] = batchOf(
      [
        need('con_a', 0, { productId: 'casts', dose: spoon }),
        need('con_b', 0, { productId: 'slow-release', dose: grains }),
      ],
      9,
    );
    expect(dry).toMatchObject({ kind: 'dry', amount: 3 });
    expect(slow).toMatchObject({ kind: 'dry', bags: [{ containerId: 'con_b', amount: 90 }] });
  });

  it('refuses a can of no size', () => {
    expect(() => batchOf([need('con_a', 1)], 0)).toThrow(/canLitres/);
    expect(() => batchOf([need('con_a', 1)], 5001)).toThrow(/canLitres/);
  });

  it('pours every bag its drink, never more than a can holds, and wastes less than half a litre of each', () => {
    const litres = fc.double({ min: 0.1, max: 12, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(litres, { minLength: 1, maxLength: 20 }),
        fc.constantFrom(1.5, 5, 9, 10),
        (all, can) => {
          const [part] = batchOf(
            all.map((l, i) => need(`con_${i}`, l)),
            can,
          );
          if (part?.kind !== 'in-water') throw new Error('in water');
          all.forEach((l, i) => {
            const got = part.cans
              .flatMap((c) => c.pours)
              .filter((p) => p.containerId === `con_${i}`)
              .reduce((sum, p) => sum + p.litres, 0);
            expect(got).toBeCloseTo(l, 9);
          });
          for (const c of part.cans) {
            expect(c.litres).toBeLessThanOrEqual(can);
            expect(c.pours.reduce((sum, p) => sum + p.litres, 0)).toBeLessThanOrEqual(c.litres + 1e-9);
          }
          expect(part.leftoverLitres).toBeLessThan(0.5 * part.cans.length);
        },
      ),
    );
  });
});

const entry = <K extends Entry['kind']>(kind: K, day: string, more: Partial<EntryOf<K>>, id = 'ent_aaaaaa') =>
  ({ id, kind, at: `${day}T09:00:00.000+01:00`, recordedAt: `${day}T09:00:00.000+01:00`, ...more }) as Entry;

describe('a tub of tea', () => {
  const started = entry('tea', '2026-06-01', { productId: 'weed-tea', litres: 20 });
  const tend = (day: string, what: 'stirred' | 'strained' | 'emptied', litres?: number) =>
    entry('tea-tended', day, { teaId: 'ent_aaaaaa', what, ...(litres ? { litres } : {}) }, `ent_${what}`);
  const tea = (live: readonly Entry[], today: string) => teasOf(live, findProduct, today)[0];

  it('steeps, is stirred every three days, and is ready after three weeks', () => {
    expect(tea([started], '2026-06-02')).toMatchObject({
      state: 'steeping',
      stirOn: '2026-06-04',
      grams: 2000,
    });
    expect(tea([started, tend('2026-06-05', 'stirred')], '2026-06-06')?.stirOn).toBe('2026-06-08');
    expect(tea([started], '2026-06-22')).toMatchObject({
      state: 'ready',
      readyFrom: '2026-06-22',
      stirOn: undefined,
    });
  });

  it('is strained, poured out feed by feed, and empty when it is said to be', () => {
    const strained = tend('2026-06-24', 'strained', 16);
    const fed = entry(
      'fed',
      '2026-06-25',
      { containerId: 'con_abcdef', productId: 'weed-tea', amount: 500, unit: 'millilitre' },
      'ent_fed001',
    );
    expect(tea([started, strained, fed], '2026-06-26')).toMatchObject({
      state: 'strained',
      leftLitres: 15.5,
    });
    expect(tea([started, strained, tend('2026-07-01', 'emptied')], '2026-07-02')?.state).toBe('emptied');
  });
});

describe('a drum of nutrient', () => {
  const reading = (day: string, ecMillisiemens: number, ph?: number) =>
    entry('solution', day, {
      containerId: 'con_abcdef',
      what: 'reading',
      ecMillisiemens,
      ...(ph ? { ph } : {}),
    }) as EntryOf<'solution'>;
  const changed = (day: string) =>
    entry('solution', day, { containerId: 'con_abcdef', what: 'changed', litres: 30 }) as EntryOf<'solution'>;

  it('a line through readings by hand: 2.0, 2.1, 2.3 on days 0, 1, 3 rises 0.1 a day', () => {
    expect(
      slopeOf([
        [0, 2],
        [1, 2.1],
        [3, 2.3],
      ]),
    ).toBeCloseTo(0.1, 9);
    expect(slopeOf([[0, 2]])).toBeUndefined();
    expect(
      slopeOf([
        [2, 2],
        [2, 3],
      ]),
    ).toBeUndefined();
  });

  it('only readings since the last change count', () => {
    const course = solutionCourse(
      [reading('2026-06-01', 4), changed('2026-06-10'), reading('2026-06-10', 2), reading('2026-06-14', 1.6)],
      DEFAULT_ASSUMED,
    );
    expect(course).toMatchObject({ changedOn: '2026-06-10', description: ['ec-falling'] });
    expect(course.ec?.perDay).toBeCloseTo(-0.1, 9);
  });

  it('says what is off, the pressing first', () => {
    expect(
      solutionCourse([reading('2026-06-10', 3.8, 7.4), reading('2026-06-12', 4.1, 7.5)], DEFAULT_ASSUMED)
        .description,
    ).toEqual(['ec-high', 'ph-high', 'ec-rising']);
  });

  it('judges a trend by its error: two readings a day apart that differ by what a meter is off say nothing', () => {
    const little = [reading('2026-06-10', 2), reading('2026-06-11', 2.1)];
    expect(solutionCourse(little, DEFAULT_ASSUMED)).toMatchObject({ ec: { isSure: false }, description: [] });
    const week = [0, 2, 4, 6].map((n) => reading(`2026-06-${10 + n}`, 2 + 0.1 * n));
    expect(solutionCourse(week, DEFAULT_ASSUMED)).toMatchObject({
      ec: { isSure: true },
      description: ['ec-rising'],
    });
    // by hand: noise / √Σ(x − x̄)² with days 0, 2, 4, 6
    expect(solutionCourse(week, DEFAULT_ASSUMED).ec?.sd).toBeCloseTo(
      DEFAULT_ASSUMED.ecNoise / Math.sqrt(20),
      12,
    );
  });

  it.each([
    ['no solution has', [reading('2026-06-10', 2), reading('2026-06-12', 19)], 'out-of-span'],
    [
      'a stuck meter shows',
      [reading('2026-06-10', 2.31), reading('2026-06-12', 2.31), reading('2026-06-14', 2.31)],
      'frozen',
    ],
    ['jumps with nothing poured in', [reading('2026-06-10', 2), reading('2026-06-11', 3.6)], 'jump'],
  ] as const)('sets aside what %s, and goes by the others', (_, readings, fault) => {
    const course = solutionCourse(readings, DEFAULT_ASSUMED);
    expect(course.setAside).toMatchObject([{ what: 'ec', fault }]);
    expect(course.readings).toHaveLength(readings.length - 1);
    expect(course.description).not.toContain('ec-high');
    expect(course.description).not.toContain('ec-rising');
  });

  it('takes a jump for what it is where something was poured in, and keeps a pH beside a wild EC', () => {
    const poured = [
      reading('2026-06-10', 2),
      { ...changed('2026-06-11'), what: 'topped-up' as const },
      reading('2026-06-11', 3.2),
    ];
    expect(solutionCourse(poured, DEFAULT_ASSUMED).setAside).toEqual([]);
    const wild = solutionCourse([reading('2026-06-10', 15, 6.2)], DEFAULT_ASSUMED);
    expect(wild.readings).toEqual([{ day: '2026-06-10', ecMillisiemens: undefined, ph: 6.2 }]);
  });

  it('is off beyond what the grower takes for usual', () => {
    const readings = [reading('2026-06-10', 2.9, 6), reading('2026-06-12', 2.9, 6)];
    expect(solutionCourse(readings, DEFAULT_ASSUMED).description).toEqual(['ec-steady']);
    const strict = resolveAssumed({ solutionMost: 2.6, solutionAlkaline: 6.3, solutionAcid: 6 });
    expect(solutionCourse(readings, strict).description).toEqual(['ec-high', 'ec-steady']);
  });

  it('lasts as long as it is drunk', () => {
    expect(daysLeft(30, 0)).toBeUndefined();
    expect(daysLeft(30, 5)).toBe(6);
  });
});
