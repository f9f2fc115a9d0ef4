import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drainedKilograms, floorLoad, weightsOf } from './weight.ts';

const bag = {
  mixLitres: 40,
  dryKilogramsPerLitre: 0.35,
  capacity: 0.56,
  emptyKilograms: 0.6,
  storedLitres: 0,
  canopySquareMetres: 0.6,
  supportKilograms: 1.8,
};

describe('weight', () => {
  it('a forty-litre bag of wet mix weighs what two people should lift', () => {
    const kg = drainedKilograms(bag);
    expect(kg).toBeGreaterThan(35);
    expect(kg).toBeLessThan(40);
  });

  it('goes up from dry to drained to laden, and by a kilogram for each litre stored', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (mixLitres, storedLitres) => {
          const w = weightsOf({ ...bag, mixLitres, storedLitres }, DEFAULT_ASSUMED);
          expect(w.dry).toBeLessThan(w.drained);
          expect(w.drained).toBeLessThan(w.laden);
          expect(w.drained - weightsOf({ ...bag, mixLitres }, DEFAULT_ASSUMED).drained).toBeCloseTo(
            storedLitres,
            9,
          );
        },
      ),
    );
  });
});

describe('floor load', () => {
  it('says what is left below a limit and what is too much above it', () => {
    expect(floorLoad(300, 2, 200)).toMatchObject({ kind: 'within', kilogramsLeft: 100 });
    expect(floorLoad(500, 2, 200)).toMatchObject({ kind: 'beyond', share: 1.25, kilogramsLeft: -100 });
    expect(floorLoad(500, 2)).toEqual({ kind: 'no-limit', kilogramsPerSquareMetre: 250 });
  });

  it('needs an area', () => {
    expect(() => floorLoad(500, 0, 200)).toThrow(/squareMetres/);
  });
});
