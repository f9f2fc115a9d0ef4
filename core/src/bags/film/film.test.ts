import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { liningStrip, piecesFrom, rolledDiameter, sheetFor } from './rolled.ts';
import { flatOf, planSleeves, type SleeveOrder } from './sleeves.ts';

const tube: SleeveOrder = {
  film: 'tube',
  filmWidthMillimetres: 400,
  flatMillimetres: 400,
  stripMillimetres: 500,
  seamMillimetres: 20,
  isBaseSealed: false,
  count: 6,
  rimMillimetres: 100,
};
const flat: SleeveOrder = { ...tube, film: 'flat', filmWidthMillimetres: 2000, flatMillimetres: 480 };

function planned(order: SleeveOrder) {
  const result = planSleeves(order);
  if (result.kind === 'refused') throw new Error(JSON.stringify(result.problems));
  return result.plan;
}

describe('sleeves from a tube of film', () => {
  it('by hand: 40 cm flat is 25.46 cm across and holds 20.37 L to 40 cm', () => {
    const plan = planned(tube);
    expect(plan.diameterMillimetres).toBeCloseTo(254.65, 2);
    expect(plan.litres).toBeCloseTo((Math.PI / 4) * 2.5465 ** 2 * 4, 2);
    expect(plan).toMatchObject({ across: 1, rows: 6, filmLengthMillimetres: 3000 });
    expect(plan.wasteShare).toBeCloseTo(0, 12);
  });

  it('a sealed base takes its seam and half the width of the base', () => {
    const plan = planned({ ...tube, isBaseSealed: true });
    expect(plan.standingMillimetres).toBeCloseTo(500 - 20 - 400 / Math.PI, 9);
    expect(plan.litres).toBeLessThan(planned(tube).litres);
  });

  it('says how high the mix that was meant for it will stand, or what is left over', () => {
    const hoped = planned({ ...tube, hopedLitres: 15 }).hoped;
    expect(hoped?.kind === 'stands-at' && hoped.millimetres).toBeCloseTo(15e6 / (Math.PI * 127.324 ** 2), 1);
    const over = planned({ ...tube, hopedLitres: 40 }).hoped;
    expect(over?.kind === 'overflows' && over.litresOver).toBeCloseTo(40 - 25.4648, 3);
  });
});

describe('sleeves from flat film', () => {
  it('by hand: two of 98 cm across two metres, six in three rows, a fiftieth wasted', () => {
    const plan = planned(flat);
    expect(plan).toMatchObject({ across: 2, rows: 3, pieceMillimetres: 980, filmLengthMillimetres: 1500 });
    expect(plan.wasteShare).toBeCloseTo(0.02, 12);
  });

  it('never cuts more than there is, and always enough', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 900 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 40 }),
        (flatMillimetres, count, seamMillimetres) => {
          const result = planSleeves({ ...flat, flatMillimetres, count, seamMillimetres });
          if (result.kind === 'refused') return;
          const { across, rows, pieceMillimetres, wasteShare } = result.plan;
          expect(across * pieceMillimetres).toBeLessThanOrEqual(2000 + 1e-6);
          expect(across * rows).toBeGreaterThanOrEqual(count);
          expect(across * (rows - 1)).toBeLessThan(count);
          expect(wasteShare).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
});

describe('orders that do not work out', () => {
  it.each([
    [{ ...flat, seamMillimetres: -5 }, 'seamMillimetres', 'less than nothing'],
    [{ ...flat, flatMillimetres: 1000 }, 'flatMillimetres', 'wider than the film'],
    [{ ...flat, flatMillimetres: NaN }, 'flatMillimetres', 'laid flat'],
    [{ ...tube, filmWidthMillimetres: 0 }, 'filmWidthMillimetres', 'width'],
    [{ ...tube, stripMillimetres: NaN }, 'stripMillimetres', 'length'],
    [{ ...tube, stripMillimetres: 110 }, 'stripMillimetres', 'nothing is left'],
    [{ ...tube, count: 2.5 }, 'count', 'whole number'],
    [{ ...tube, rimMillimetres: -1 }, 'rimMillimetres', 'less than nothing'],
  ] as const)('%o: a message at %s', (order, field, description) => {
    const result = planSleeves(order);
    const problem = result.kind === 'refused' ? result.problems.find((p) => p.field === field) : undefined;
    expect(problem?.message).toContain(description);
  });
});

describe('rings, cages and linings', () => {
  it('a sheet and its diameter are inverse', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 2000 }), fc.integer({ min: 0, max: 60 }), (d, overlap) => {
        expect(rolledDiameter(sheetFor(d, overlap), overlap)).toBeCloseTo(d, 9);
      }),
    );
  });

  it('pieces are laid the way that gives more', () => {
    const cut = piecesFrom(
      { lengthMillimetres: 1000, widthMillimetres: 500 },
      { lengthMillimetres: 300, widthMillimetres: 120 },
      14,
    );
    // along: 3 × 4 = 12; across: 8 × 1 = 8
    expect(cut).toMatchObject({ perSheet: 12, sheets: 2 });
    expect(() =>
      piecesFrom(
        { lengthMillimetres: 100, widthMillimetres: 50 },
        { lengthMillimetres: 300, widthMillimetres: 120 },
        1,
      ),
    ).toThrow(/pieces/);
  });

  it('a lining goes round the rim and down the cup', () => {
    expect(liningStrip(75, 80, 10).lengthMillimetres).toBeCloseTo(75 * Math.PI + 10, 9);
    expect(() => rolledDiameter(100, 95)).toThrow(/overlap/);
  });
});

describe('several sleeves across a tube', () => {
  const order = {
    film: 'tube',
    filmWidthMillimetres: 1000,
    flatMillimetres: 0,
    stripMillimetres: 700,
    seamMillimetres: 20,
    isBaseSealed: false,
    count: 24,
    rimMillimetres: 50,
  } as const;

  it('share its width less a seam at either side of each cut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), (sideBySide) => {
        const flat = flatOf({ ...order, sideBySide });
        expect(flat * sideBySide + 2 * (sideBySide - 1) * 20).toBeCloseTo(1000, 9);
        const { plan } = planSleeves({ ...order, sideBySide });
        expect(plan).toMatchObject({ across: sideBySide, rows: Math.ceil(24 / sideBySide) });
      }),
    );
  });

  it('are a whole number, and as wide as a sleeve can be', () => {
    const problems = (sideBySide: number) => planSleeves({ ...order, sideBySide });
    expect(problems(1.5)).toMatchObject({ kind: 'refused', problems: [{ field: 'sideBySide' }] });
    expect(problems(12)).toMatchObject({ kind: 'refused', problems: [{ field: 'filmWidthMillimetres' }] });
  });
});
