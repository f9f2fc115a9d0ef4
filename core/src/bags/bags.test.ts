import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTAINER_KINDS, containerKind } from './kinds/index.ts';
import { dimensionsSchema } from './kinds/dimensions-schema.ts';
import { fillOf } from './fill.ts';
import { heightOfLitres, litresBelow, outline, sideSquareMetres, type Solid } from './solid.ts';
import { pillowSolid } from './kinds/pillow.ts';
import { nominalGallons, realSize } from './size.ts';
import { sizeSchema, TRADE_CLASS_NAMES } from '../records/index.ts';
import { roundSolid } from './kinds/round.ts';
import { boxSolid } from './kinds/box.ts';
import { tradeClassLitres, TRADE_CLASSES } from './trade-class.ts';

const solids = fc.oneof(
  fc
    .record({
      rim: fc.integer({ min: 150, max: 600 }),
      base: fc.integer({ min: 150, max: 600 }),
      height: fc.integer({ min: 100, max: 600 }),
    })
    .map((s) => roundSolid({ rimMillimetres: s.rim, baseMillimetres: s.base, heightMillimetres: s.height })),
  fc
    .record({
      length: fc.integer({ min: 500, max: 1200 }),
      width: fc.integer({ min: 300, max: 500 }),
      height: fc.integer({ min: 80, max: 300 }),
    })
    .map((s) =>
      pillowSolid({ lengthMillimetres: s.length, widthMillimetres: s.width, heightMillimetres: s.height }),
    ),
  fc
    .record({ side: fc.integer({ min: 100, max: 900 }), height: fc.integer({ min: 100, max: 600 }) })
    .map((s) =>
      boxSolid({ lengthMillimetres: s.side, widthMillimetres: s.side, heightMillimetres: s.height }),
    ),
);

/** The slow, obvious way: slices. */
function litresBySlices(solid: Solid, z: number): number {
  const slices = 4000;
  let sum = 0;
  for (let i = 0; i < slices; i++) sum += solid.areaAt(((i + 0.5) * z) / slices);
  return (sum * z) / slices / 1e6;
}

describe('solids', () => {
  it('agree with hand-computed volumes', () => {
    // cylinder 40 cm × 30 cm: π × 20² × 30 = 37 699 cm³
    const cylinder = roundSolid({ rimMillimetres: 400, baseMillimetres: 400, heightMillimetres: 300 });
    expect(litresBelow(cylinder)).toBeCloseTo(37.699, 3);
    // frustum 30/24 × 28: π × 28 / 12 × (30² + 30 × 24 + 24²) = 16 098 cm³
    const frustum = roundSolid({ rimMillimetres: 300, baseMillimetres: 240, heightMillimetres: 280 });
    expect(litresBelow(frustum)).toBeCloseTo(16.0975, 3);
    expect(
      litresBelow(boxSolid({ lengthMillimetres: 400, widthMillimetres: 300, heightMillimetres: 250 })),
    ).toBeCloseTo(30, 10);
    // pillow as wide as high and as long: a slab of nothing, i.e. a sphere-like lens with square plan 4s²: 4 × 4/3 r³
    const ball = pillowSolid({ lengthMillimetres: 200, widthMillimetres: 200, heightMillimetres: 200 });
    expect(litresBelow(ball)).toBeCloseTo((4 * (4 / 3) * 100 ** 3) / 1e6, 6);
  });

  it('closed forms equal slices', () => {
    fc.assert(
      fc.property(solids, fc.double({ min: 0.05, max: 1, noNaN: true }), (solid, share) => {
        const z = solid.heightMillimetres * share;
        expect(litresBelow(solid, z)).toBeCloseTo(litresBySlices(solid, z), 2);
      }),
      { numRuns: 40 },
    );
  });

  it('height of litres is the inverse of litres below a height', () => {
    fc.assert(
      fc.property(solids, fc.double({ min: 0, max: 1, noNaN: true }), (solid, share) => {
        const z = solid.heightMillimetres * share;
        const found = heightOfLitres(solid, litresBelow(solid, z));
        expect(found.kind).toBe('stands-at');
        if (found.kind === 'stands-at') expect(found.millimetres).toBeCloseTo(z, 2);
      }),
    );
  });

  it('says what does not go in', () => {
    const box = boxSolid({ lengthMillimetres: 100, widthMillimetres: 100, heightMillimetres: 100 });
    expect(heightOfLitres(box, 1.5)).toEqual({ kind: 'overflows', litresOver: 0.5 });
  });

  it('sides of a cylinder are its circumference times its height', () => {
    const cylinder = roundSolid({ rimMillimetres: 400, baseMillimetres: 400, heightMillimetres: 300 });
    expect(sideSquareMetres(cylinder, 300)).toBeCloseTo(Math.PI * 0.4 * 0.3, 8);
  });

  it('draw their outline from base to rim', () => {
    const points = outline(
      roundSolid({ rimMillimetres: 300, baseMillimetres: 200, heightMillimetres: 250 }),
      2,
    );
    expect(points).toEqual([
      { z: 0, half: 100 },
      { z: 125, half: 125 },
      { z: 250, half: 150 },
    ]);
  });

  it('refuse a height above the rim', () => {
    const box = boxSolid({ lengthMillimetres: 100, widthMillimetres: 100, heightMillimetres: 100 });
    expect(() => litresBelow(box, 101)).toThrow(/zMillimetres: 101/);
  });
});

describe('sizes', () => {
  it('a likely shape holds exactly the litres that it was made for, for every kind', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CONTAINER_KINDS.filter((k) => k.id !== 'ring-pillow')),
        fc.double({ min: 5, max: 100, noNaN: true }),
        (kind, litres) => {
          const real = realSize(kind.id, { by: 'label', litres }, DEFAULT_ASSUMED);
          expect(litresBelow(real.solid)).toBeCloseTo(litres * 0.87, 6);
          expect(real.litres.low).toBeLessThan(real.litres.likely);
          expect(real.litres.likely).toBeLessThan(litres);
        },
      ),
    );
  });

  it('trade classes are the published cubic inches', () => {
    expect(TRADE_CLASSES['#5']).toEqual({ lowCubicInches: 785, highCubicInches: 1242 });
    expect(tradeClassLitres('#20').high).toBeCloseTo(5152 * 0.016387064, 8);
    // the gallons in a class's name are never in the bag, but for #1 and #20
    const named = (name: string) => Number(name.slice(1)) * 3.785412;
    const short = TRADE_CLASS_NAMES.filter((name) => tradeClassLitres(name).low < named(name));
    expect(short).toHaveLength(7);
  });

  it('a measured bag is taken at its word, with a little doubt', () => {
    const dimensions = { rimMillimetres: 400, baseMillimetres: 400, heightMillimetres: 300 };
    const real = realSize('round-fabric', { by: 'measured', dimensions }, DEFAULT_ASSUMED);
    expect(real.litres.likely).toBeCloseTo(37.699, 3);
    expect(real.shape).toBe('measured');
  });

  it.each([
    ['round-fabric', { rimMillimetres: 400, baseMillimetres: 400 }, 'heightMillimetres'],
    [
      'round-fabric',
      { rimMillimetres: -400, baseMillimetres: 400, heightMillimetres: 300 },
      'rimMillimetres',
    ],
    ['bucket', { rimMillimetres: 200, baseMillimetres: 300, heightMillimetres: 300 }, 'baseMillimetres'],
    [
      'pillow',
      { lengthMillimetres: 900, widthMillimetres: 200, heightMillimetres: 300 },
      'heightMillimetres',
    ],
    [
      'square-fabric',
      { lengthMillimetres: 0, widthMillimetres: 300, heightMillimetres: 300 },
      'lengthMillimetres',
    ],
  ])('%s refuses %o at the field %s', (kindId, dimensions, field) => {
    const result = dimensionsSchema(containerKind(kindId)).safeParse(dimensions);
    expect(result.success).toBe(false);
    expect(result.error?.issues[0]?.path).toEqual([field]);
  });

  it.each([
    { by: 'label', litres: 0 },
    { by: 'label', litres: -3 },
    { by: 'label', litres: 1e6 },
    { by: 'class', class: '#4' },
  ])('refuses %o', (size) => {
    expect(sizeSchema.safeParse(size).success).toBe(false);
  });

  it('names the kinds there are when asked for another', () => {
    expect(() => containerKind('hammock')).toThrow(/hammock.*round-fabric/);
  });
});

describe('filling', () => {
  it('more headroom or mulch never raises the fill', () => {
    fc.assert(
      fc.property(
        solids,
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 0, max: 60 }),
        (solid, mulch, more) => {
          const less = fillOf(solid, {
            headroomMillimetres: 30 + more,
            mulchMillimetres: mulch,
            settling: 0.1,
          });
          const base = fillOf(solid, { headroomMillimetres: 30, mulchMillimetres: mulch, settling: 0.1 });
          expect(less.mixLitres).toBeLessThanOrEqual(base.mixLitres + 1e-9);
          expect(base.looseLitres * 0.9).toBeCloseTo(base.mixLitres, 8);
        },
      ),
    );
  });

  const usual = { headroomMillimetres: 30, mulchMillimetres: 25, settling: 0.1 };

  it('is what the grower says: free below the rim, a level, or the loose mix that went in', () => {
    fc.assert(
      fc.property(solids, fc.double({ min: 0.1, max: 0.9, noNaN: true }), (solid, share) => {
        const free = solid.heightMillimetres * share * 0.5;
        const rim = fillOf(solid, { ...usual, level: { by: 'rim', headroomMillimetres: free } });
        // mulch and the least that counts as mix are left
        expect(rim.freeMillimetres).toBeCloseTo(Math.min(free, solid.heightMillimetres - 25 - 20), 4);
        const level = fillOf(solid, {
          ...usual,
          level: { by: 'level', mixMillimetres: solid.heightMillimetres * share },
        });
        expect(level.mixMillimetres).toBeCloseTo(Math.max(20, solid.heightMillimetres * share), 6);
        // the same mix put in by its loose litres stands at the same level
        const loose = fillOf(solid, { ...usual, level: { by: 'loose', looseLitres: level.looseLitres } });
        expect(loose.mixMillimetres).toBeCloseTo(level.mixMillimetres, 4);
        expect(loose.looseLitres).toBe(level.looseLitres);
        expect(loose.overLitres).toBe(0);
      }),
    );
  });

  it('says what does not go in, once it has settled', () => {
    const solid = boxOf(300);
    const heaped = fillOf(solid, { ...usual, level: { by: 'loose', looseLitres: 40 } });
    expect(heaped.mixMillimetres).toBe(300);
    // 40 L settle to 36, and a cube of 30 cm holds 27
    expect(heaped.overLitres).toBeCloseTo(9, 6);
  });

  it('of half the mix is half filled', () => {
    const solid = boxOf(300);
    const whole = fillOf(solid, usual);
    const half = fillOf(solid, { ...usual, level: { by: 'loose', looseLitres: whole.looseLitres / 2 } });
    expect(half.filledShare).toBeCloseTo(0.5, 6);
    expect(half.mixLitres).toBeCloseTo(whole.mixLitres / 2, 6);
  });
});

/** A cube of mm by mm by mm. */
function boxOf(side: number) {
  return boxSolid({ lengthMillimetres: side, widthMillimetres: side, heightMillimetres: side });
}

describe('what a large bag is called by', () => {
  it('is what it holds, and not the largest class', () => {
    const measured = { by: 'measured', dimensions: {} } as const;
    expect(nominalGallons(measured, 240)).toBeCloseTo(63.4, 1);
    expect(nominalGallons(measured, 38)).toBe(10);
    expect(nominalGallons({ by: 'class', class: '#20' }, 240)).toBe(20);
  });
});
