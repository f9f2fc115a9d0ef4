import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  fillingOf,
  FILLING_PRACTICES,
  ingredientLitres,
  INGREDIENTS,
  ingredientOf,
  mixFrom,
  MIXES,
  mixOf,
  reuseOf,
} from './index.ts';
import { layersSchema, recipePartsSchema } from '../records/index.ts';

const parts = fc
  .uniqueArray(
    fc.record({
      ingredientId: fc.constantFrom(...INGREDIENTS.map((i) => i.id)),
      parts: fc.double({ min: 0.1, max: 20, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6, selector: (p) => p.ingredientId },
  )
  .map((list) => ({ id: 'mix_try000', name: 'try', parts: list }));

describe('ingredients', () => {
  it.each(INGREDIENTS.map((i) => [i.id, i] as const))(
    '%s: water, air and solid fit into its volume',
    (_, i) => {
      expect(i.unavailable).toBeLessThan(i.capacity);
      expect(i.capacity + i.air).toBeLessThan(1);
      expect(i.dryKilogramsPerLitre).toBeGreaterThan(0);
    },
  );
});

describe('mixes from recipes', () => {
  it('each figure lies between those of the parts, whatever the parts', () => {
    fc.assert(
      fc.property(parts, (recipe) => {
        const mix = mixFrom(recipe);
        for (const figure of [
          'capacity',
          'unavailable',
          'air',
          'dryKilogramsPerLitre',
          'settling',
        ] as const) {
          const of = recipe.parts.map((p) => ingredientOf(p.ingredientId)[figure]);
          expect(mix[figure]).toBeGreaterThanOrEqual(Math.min(...of) - 1e-12);
          expect(mix[figure]).toBeLessThanOrEqual(Math.max(...of) + 1e-12);
        }
        expect(mix.shares.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 12);
      }),
    );
  });

  it('count parts and not litres: twice of everything is the same mix', () => {
    fc.assert(
      fc.property(parts, (recipe) => {
        const twice = { ...recipe, parts: recipe.parts.map((p) => ({ ...p, parts: p.parts * 2 })) };
        expect(mixFrom(twice).capacity).toBeCloseTo(mixFrom(recipe).capacity, 12);
      }),
    );
  });

  it('know what is peat-free and what is organic', () => {
    expect(mixOf('peat-perlite')).toMatchObject({
      isPeatFree: false,
      isOrganic: false,
      limeGramsPerLitre: 3,
    });
    expect(mixOf('manured')).toMatchObject({ isPeatFree: true, isOrganic: true });
    expect(MIXES.filter((m) => m.isPeatFree).length).toBeGreaterThan(3);
  });

  it('a grower’s own mix goes before a starting one, and parts of nothing are refused', () => {
    const own = { id: 'bought', name: 'Mine', parts: [{ ingredientId: 'coir', parts: 1 }] };
    expect(mixOf('bought', [own]).name).toBe('Mine');
    expect(() => mixFrom({ ...own, parts: [] })).toThrow(/parts of Mine/);
    expect(() => mixFrom({ ...own, parts: [{ ingredientId: 'gravel', parts: 1 }] })).toThrow(/gravel/);
    expect(recipePartsSchema.safeParse([{ ingredientId: 'coir', parts: 0 }]).success).toBe(false);
    expect(recipePartsSchema.safeParse([]).success).toBe(false);
  });
});

describe('layers', () => {
  it('average what they are made of by their share', () => {
    const layers = [
      { mixId: 'loam-compost', share: 0.25 },
      { mixId: 'bought', share: 0.75 },
    ];
    const mix = fillingOf({ mixId: 'bought', layers });
    expect(mix.capacity).toBeCloseTo(
      0.25 * mixOf('loam-compost').capacity + 0.75 * mixOf('bought').capacity,
      12,
    );
    expect(mix.name).toBe('Bought potting mix over loam and home compost');
    expect(mix.isPeatFree).toBe(false);
    expect(mix.shares.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 12);
  });

  it('must fill the bag', () => {
    const two = (a: number, b: number) =>
      layersSchema.safeParse([
        { mixId: 'bought', share: a },
        { mixId: 'bark-coir', share: b },
      ]);
    expect(two(0.4, 0.6).success).toBe(true);
    expect(two(0.4, 0.4).success).toBe(false);
  });
});

describe('needs', () => {
  it('several parts lose volume, one does not', () => {
    const needs = ingredientLitres(mixOf('third-each'), 46, DEFAULT_ASSUMED);
    expect(needs.map((n) => n.litres)).toEqual(Array(3).fill(expect.closeTo(46 / 3 / 0.92, 9)));
    expect(ingredientLitres(mixOf('bought'), 46, DEFAULT_ASSUMED)[0]?.litres).toBe(46);
  });

  it('old mix and new make the whole, and old mix gets feed and lime', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 0.7, noNaN: true }),
        (litres, share) => {
          const plan = reuseOf(litres, share, undefined, DEFAULT_ASSUMED);
          expect(plan.kind === 'refresh' && plan.keptLitres + plan.newLitres).toBeCloseTo(litres, 9);
        },
      ),
    );
  });

  it('old mix of a sick bag is refused with the reason, new mix never', () => {
    const trouble = { description: 'Root rot', day: '2026-08-02' };
    const plan = reuseOf(40, 0.5, trouble, DEFAULT_ASSUMED);
    expect(plan).toEqual({ kind: 'refused', trouble });
    expect(reuseOf(40, 0, trouble, DEFAULT_ASSUMED).kind).toBe('refresh');
  });

  it('both schools of filling warn of dust and say how much water', () => {
    for (const practice of FILLING_PRACTICES) {
      const steps = practice.steps('6 L');
      expect(steps[0]).toMatch(/dust/);
      expect(steps.join(' ')).toContain('6 L');
    }
  });
});
