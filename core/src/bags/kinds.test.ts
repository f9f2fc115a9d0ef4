import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { againstClass, nearestClass, tradeClassLitres } from './trade-class.ts';
import { TRADE_CLASS_NAMES } from '../records/index.ts';
import { CONTAINER_KINDS, containerKind } from './kinds/index.ts';
import { dimensionsSchema } from './kinds/dimensions-schema.ts';
import type { Dimensions } from './kinds/kind.ts';
import { fillOf } from './fill.ts';
import { heightOfLitres, litresBelow } from './solid.ts';
import { nominalGallons, realSize } from './size.ts';
import { reserveLitres } from './reserve.ts';

/** One measured container of each kind, and its litres by hand. */
const BY_HAND: readonly (readonly [
  kindId: string,
  size: Record<string, number>,
  stations: number,
  litres: number,
])[] = [
  // straight: π × 20² × 30 cm
  ['round-fabric', { rim: 400, base: 400, height: 300 }, 1, 37.699],
  // tapered: π × 30 / 12 × (40² + 40 × 30 + 30²) cm³
  ['round-fabric', { rim: 400, base: 300, height: 300 }, 1, 29.06],
  ['square-fabric', { length: 330, width: 330, height: 300 }, 1, 32.67],
  ['bucket', { rim: 300, base: 240, height: 280 }, 1, 16.098],
  ['rigid-pot', { rim: 320, base: 240, height: 300 }, 1, 18.598],
  ['trough', { length: 1000, width: 280, height: 260 }, 3, 72.8],
  ['bed', { length: 1800, width: 900, height: 250 }, 6, 405],
  // laid flat 40 cm: 80 cm round, π (80 / 2π)² = 509.3 cm², by 35 cm
  ['film-sleeve', { flat: 400, height: 350 }, 1, 17.825],
  ['open-sleeve', { flat: 400, height: 350 }, 1, 17.825],
  // its sealed base takes 45 / π = 14.32 cm of the 60: (90² / 4π) cm² × 45.68 cm
  ['refuse-bag', { flat: 450, height: 600 }, 1, 29.442],
  // half way from the box 40 × 20 = 800 cm² to the circle of 120 cm round, 1145.9 cm²: 972.96 × 30 cm
  ['shopping-bag', { length: 400, width: 200, height: 300 }, 1, 29.189],
  // mix above the reservoir: 60 × 30 × (32 − 8) cm
  ['reservoir', { length: 600, width: 300, height: 320, reservoir: 80, pipe: 380 }, 2, 43.2],
  ['net-cup', { rim: 150, base: 110, height: 140, channel: 80 }, 1, 1.8735],
  // slab with half-round edges: straight 77 × 26 × 11, four half edges, corners (4/3 r³ × 4, r = 5.5)
  ['pillow', { length: 880, width: 370, height: 110 }, 3, 22.022 + 9.788 + 0.8873],
  // the same with two rings of 20 cm, 15 cm of each above the bag: 2 × π × 10² × 15
  [
    'ring-pillow',
    { length: 880, width: 370, height: 110, ring: 200, ringHeight: 200, sunk: 50 },
    2,
    22.022 + 9.788 + 0.8873 + 9.4248,
  ],
];

const inMillimetres = (size: Record<string, number>): Dimensions =>
  Object.fromEntries(Object.entries(size).map(([key, value]) => [`${key}Millimetres`, value]));

describe('every kind of container', () => {
  it.each(BY_HAND)(
    '%s of %o with %d stations holds what was worked out by hand',
    (kindId, size, stations, litres) => {
      const real = realSize(
        kindId,
        { by: 'measured', dimensions: inMillimetres(size) },
        DEFAULT_ASSUMED,
        stations,
      );
      expect(real.litres.likely).toBeCloseTo(litres, 2);
    },
  );

  it('is among those worked out by hand', () => {
    expect(new Set(BY_HAND.map(([id]) => id))).toEqual(new Set(CONTAINER_KINDS.map((k) => k.id)));
  });

  it.each(CONTAINER_KINDS.map((k) => [k.id, k] as const))(
    '%s: litres and height are inverse, and its likely size is one that its form takes',
    (id, kind) => {
      fc.assert(
        fc.property(
          fc.double({ min: 12, max: 80, noNaN: true }),
          fc.double({ min: 0.02, max: 1, noNaN: true }),
          (litres, share) => {
            const real = realSize(id, { by: 'label', litres }, DEFAULT_ASSUMED, kind.stations.usual);
            const whole = litresBelow(real.solid);
            expect(whole).toBeCloseTo(real.litres.likely, 6);
            const places = heightOfLitres(real.solid, whole * share);
            expect(places.kind === 'stands-at' && litresBelow(real.solid, places.millimetres)).toBeCloseTo(
              whole * share,
              4,
            );
            if (id !== 'net-cup' && id !== 'bed')
              expect(dimensionsSchema(kind).safeParse(real.dimensions).success).toBe(true);
          },
        ),
        { numRuns: 25 },
      );
    },
  );

  it.each(CONTAINER_KINDS.map((k) => [k.id, k] as const))(
    '%s: more headroom never raises the fill',
    (id, kind) => {
      fc.assert(
        fc.property(fc.integer({ min: 20, max: 50 }), fc.integer({ min: 0, max: 60 }), (headroom, more) => {
          const { solid } = realSize(id, { by: 'label', litres: 40 }, DEFAULT_ASSUMED, kind.stations.usual);
          const fill = (head: number) =>
            fillOf(solid, { headroomMillimetres: head, mulchMillimetres: 25, settling: 0.1 });
          expect(fill(headroom + more).mixLitres).toBeLessThanOrEqual(fill(headroom).mixLitres + 1e-9);
        }),
        { numRuns: 25 },
      );
    },
  );

  it('says where water leaves, how long it lasts and what it weighs', () => {
    for (const kind of CONTAINER_KINDS) {
      expect(kind.drainage.description.length).toBeGreaterThan(20);
      expect(kind.seasons.low).toBeLessThanOrEqual(kind.seasons.value);
      expect(kind.emptyKilogramsPerLitre.value).toBeLessThan(kind.emptyKilogramsPerLitre.high);
    }
    expect(CONTAINER_KINDS.filter((k) => k.holdsCane).map((k) => k.id)).not.toContain('pillow');
  });
});

describe('what does not fit together', () => {
  it.each([
    [
      'ring-pillow',
      { length: 880, width: 370, height: 110, ring: 200, ringHeight: 200, sunk: 150 },
      'sunk',
      'deeper than its bag',
    ],
    [
      'ring-pillow',
      { length: 880, width: 370, height: 110, ring: 200, ringHeight: 100, sunk: 105 },
      'sunk',
      'nothing of it',
    ],
    [
      'ring-pillow',
      { length: 880, width: 300, height: 110, ring: 400, ringHeight: 200, sunk: 50 },
      'ring',
      'wider than the bag',
    ],
    [
      'reservoir',
      { length: 600, width: 300, height: 320, reservoir: 250, pipe: 380 },
      'reservoir',
      'no room',
    ],
    [
      'reservoir',
      { length: 600, width: 300, height: 320, reservoir: 80, pipe: 70 },
      'pipe',
      'inside the reservoir',
    ],
    ['refuse-bag', { flat: 900, height: 320 }, 'height', 'would not stand'],
  ])('%s %o: a message at %s', (kindId, size, field, description) => {
    const issue = dimensionsSchema(containerKind(kindId)).safeParse(inMillimetres(size)).error?.issues[0];
    expect(issue?.path).toEqual([`${field}Millimetres`]);
    expect(issue?.message).toContain(description);
  });
});

describe('reservoirs and raised holes', () => {
  it('a reservoir holds its box less the feet of mix that stand in it', () => {
    const { under } = realSize(
      'reservoir',
      {
        by: 'measured',
        dimensions: inMillimetres({ length: 600, width: 300, height: 320, reservoir: 80, pipe: 380 }),
      },
      DEFAULT_ASSUMED,
    );
    expect(under).toMatchObject({ kind: 'reservoir', heightMillimetres: 80, pipeMillimetres: 380 });
    expect(under?.litres).toBeCloseTo(14.4 * 0.85, 6);
  });

  it('a planter by its label has the litres of water that it gives, and as much mix as without them', () => {
    const planter = (reservoirLitres?: number) =>
      realSize(
        'reservoir',
        { by: 'label', litres: 45, ...(reservoirLitres === undefined ? {} : { reservoirLitres }) },
        DEFAULT_ASSUMED,
      );
    const [plain, said] = [planter(), planter(11)];
    expect(said.under?.litres).toBeCloseTo(11, 9);
    expect(said.litres).toEqual(plain.litres);
    const { reservoirMillimetres, heightMillimetres, pipeMillimetres } = said.dimensions;
    expect(pipeMillimetres).toBeGreaterThan(heightMillimetres ?? 0);
    expect(reservoirMillimetres).toBeLessThan((plain.dimensions['reservoirMillimetres'] ?? 0) * 1.5);
  });

  it('holes higher up keep more, and none below the base', () => {
    const { solid } = realSize('bucket', { by: 'label', litres: 20 }, DEFAULT_ASSUMED);
    expect(reserveLitres(solid, 0, 0.15)).toBe(0);
    expect(reserveLitres(solid, 60, 0.15)).toBeGreaterThan(reserveLitres(solid, 30, 0.15));
    expect(() => reserveLitres(solid, 900, 0.15)).toThrow(/holeMillimetres/);
  });
});

describe('trade classes', () => {
  it('the middle of each class is nearest to itself', () => {
    for (const name of TRADE_CLASS_NAMES) {
      const { low, high } = tradeClassLitres(name);
      expect(nearestClass((low + high) / 2)).toBe(name);
      expect(againstClass((low + high) / 2, name)).toMatchObject({ kind: 'inside', litresOff: 0 });
      expect(againstClass(high + 1, name)).toMatchObject({ kind: 'above' });
      expect(againstClass(high + 1, name).litresOff).toBeCloseTo(1, 9);
      expect(againstClass(low - 2, name)).toMatchObject({ kind: 'below' });
    }
  });

  it('a size is spoken of by its class, its label, or the nearest class', () => {
    const dimensions = inMillimetres({ rim: 400, base: 400, height: 300 });
    expect(nominalGallons({ by: 'measured', dimensions, class: '#15' }, 37.7)).toBe(15);
    expect(nominalGallons({ by: 'measured', dimensions }, 37.7)).toBe(10);
    expect(nominalGallons({ by: 'label', litres: 38 }, 33)).toBeCloseTo(10.04, 2);
  });
});
