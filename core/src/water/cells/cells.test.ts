import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import { lossScale, USE_CELLS, USE_MULTIPLIERS, WATER_CELLS, WATER_MIDDLES } from '../grid.ts';
import { afterGain, afterLoss } from '../stress.ts';
import { compiledCells } from './compiled.ts';
import { drainedFrom, planWatering } from './watering-moves.ts';
import { plainCells } from './plain.ts';
import type { CellWork } from './work.ts';

const MIX = { dryBelow: DEFAULT_ASSUMED.dryBelow, dryKeeps: DEFAULT_ASSUMED.dryKeeps };
const LOW = 3;
const HIGH = 9;
/** The column whose use is as expected. */
const USUAL = (USE_CELLS - 1) / 2;

const sum = (cells: ArrayLike<number>) => Array.from(cells).reduce((a, b) => a + b, 0);
/** The largest difference between two lists: an expectation for each of a thousand cells takes longer than what it checks. */
const farthest = (a: ArrayLike<number>, b: ArrayLike<number>) =>
  Array.from(a).reduce((most, p, n) => Math.max(most, Math.abs(p - (b[n] as number))), 0);
const meanOf = (cells: Float64Array) =>
  cells.reduce((m, p, i) => m + p * (WATER_MIDDLES[i] as number), 0) / sum(cells);
const columnOf = (work: CellWork, j: number) => work.mass.slice(j * WATER_CELLS, (j + 1) * WATER_CELLS);

/** The compiled loops; here they run. */
function compiled(): CellWork {
  const work = compiledCells();
  if (!work) throw new Error('The compiled loops do not run here.');
  return work;
}

/** Mass of columns LOW to HIGH: as much as will, but some. */
const masses = fc
  .array(fc.oneof(fc.constant(0), fc.double({ min: 0, max: 1, noNaN: true })), {
    minLength: (HIGH - LOW + 1) * WATER_CELLS,
    maxLength: (HIGH - LOW + 1) * WATER_CELLS,
  })
  .filter((cells) => cells.some((p) => p > 0.01))
  .map((cells) => Float64Array.from(cells));

function lay(work: CellWork, cells: Float64Array): void {
  work.mass.fill(0);
  work.mass.set(cells, LOW * WATER_CELLS);
}

/** All of the mass in one cell. */
function layAt(work: CellWork, j: number, cell: number): void {
  work.mass.fill(0);
  work.mass[j * WATER_CELLS + cell] = 1;
}

function setLosses(work: CellWork, depletion: number, gain = 0): void {
  const { edges, threshold } = lossScale(depletion);
  work.edges.set(edges);
  for (let e = 0; e <= WATER_CELLS; e++) {
    const w = e / WATER_CELLS - gain;
    const start = w >= threshold ? w : threshold * (1 + Math.log(Math.max(5e-4, w) / threshold));
    work.targets[e] = gain === 0 ? (edges[e] as number) : w > 0 ? start : -Infinity;
  }
}

const amounts = fc.double({ min: 0, max: 3, noNaN: true });
const sds = fc.double({ min: 0, max: 0.5, noNaN: true });
const sides = fc.double({ min: 0, max: 1 / 3, noNaN: true });
const losses = fc.record({
  transpiration: fc.double({ min: 0, max: 0.8, noNaN: true }),
  evaporation: fc.double({ min: 0, max: 0.1, noNaN: true }),
  halfShare: fc.oneof(fc.constant(0), fc.double({ min: 0.01, max: 0.95, noNaN: true })),
  depletion: fc.constantFrom(0.3, 0.4, 0.5),
  gain: fc.constantFrom(0, 0.03, 0.2),
});

const kinds: [string, () => CellWork][] = [
  ['plain', plainCells],
  ['compiled', compiled],
];

describe.each(kinds)('the loops over cells, %s', (_, made) => {
  const work = made();

  describe('a watering', () => {
    const poured = (j: number, cell: number, amount: number) => {
      layAt(work, j, cell);
      planWatering(work, amount, 0, MIX);
      work.pour(LOW, HIGH);
      return columnOf(work, j);
    };

    it('keeps all of the mass, wherever it was and however much is poured, and sums it by water', () => {
      fc.assert(
        fc.property(masses, amounts, sds, (cells, amount, sd) => {
          lay(work, cells);
          planWatering(work, amount, sd, MIX);
          work.pour(LOW, HIGH);
          expect(sum(work.mass)).toBeCloseTo(sum(cells), 9);
          expect(sum(work.marginal)).toBeCloseTo(sum(cells), 9);
          expect(Math.min(...work.mass)).toBeGreaterThanOrEqual(0);
        }),
      );
    });

    it('puts on what is poured, as far as there is room', () => {
      for (const cell of [4, 12, 20, 30]) {
        const { w } = afterGain(WATER_MIDDLES[cell] as number, 0.2, MIX);
        expect(meanOf(poured(5, cell, 0.2))).toBeCloseTo(Math.min(w, WATER_MIDDLES.at(-1) as number), 9);
      }
      expect(poured(5, 10, 3)[WATER_CELLS - 1]).toBeCloseTo(1, 9);
    });
  });

  describe('a loss', () => {
    it('takes of a cell what the closed form takes, within a tenth of a cell, by the use of its column', () => {
      setLosses(work, 0.4);
      for (const j of [USUAL - 4, USUAL, USUAL + 3])
        for (const cell of [8, 15, 25, 35])
          for (const asked of [0.02, 0.1, 0.2]) {
            layAt(work, j, cell);
            work.lose(j, j, asked, 0.01, 0);
            expect(sum(work.mass)).toBeCloseTo(1, 9);
            const lost = asked * (USE_MULTIPLIERS[j] as number) + 0.01;
            const expected = afterLoss(WATER_MIDDLES[cell] as number, lost, 0.4);
            expect(Math.abs(meanOf(columnOf(work, j)) - expected)).toBeLessThan(0.1 / WATER_CELLS + 0.002);
          }
    });

    it('keeps the mass of every column, and never raises its mean without rain', () => {
      fc.assert(
        fc.property(masses, losses, (cells, { transpiration, evaporation, halfShare, depletion }) => {
          lay(work, cells);
          setLosses(work, depletion);
          const before = Array.from({ length: USE_CELLS }, (_, j) => columnOf(work, j));
          work.lose(LOW, HIGH, transpiration, evaporation, halfShare);
          for (let j = LOW; j <= HIGH; j++) {
            const [was, is] = [before[j] as Float64Array, columnOf(work, j)];
            expect(sum(is)).toBeCloseTo(sum(was), 12);
            if (sum(was) > 0.01) expect(meanOf(is)).toBeLessThanOrEqual(meanOf(was) + 1e-6);
          }
        }),
        { numRuns: 60 },
      );
    });
  });

  describe('use that wanders', () => {
    it('keeps the mass of every water, and sums it on the way', () => {
      fc.assert(
        fc.property(masses, sides, (cells, side) => {
          lay(work, cells);
          const byWater = (i: number) =>
            sum(Array.from({ length: USE_CELLS }, (_, j) => work.mass[j * WATER_CELLS + i] as number));
          const before = Array.from({ length: WATER_CELLS }, (_, i) => byWater(i));
          work.wander(LOW, HIGH, side);
          const after = Array.from({ length: WATER_CELLS }, (_, i) => byWater(i));
          expect(farthest(after, before)).toBeLessThan(1e-9);
          expect(farthest(work.marginal, before)).toBeLessThan(1e-9);
        }),
        { numRuns: 40 },
      );
    });

    it('spreads a column evenly to both sides, and leaves what lies outside at nothing', () => {
      layAt(work, 6, 10);
      work.wander(LOW, HIGH, 0.2);
      const cells = [5, 6, 7].map((j) => work.mass[j * WATER_CELLS + 10]);
      expect(cells[0]).toBeCloseTo(0.2, 12);
      expect(cells[1]).toBeCloseTo(0.6, 12);
      expect(cells[2]).toBeCloseTo(0.2, 12);
      expect(sum(work.mass)).toBeCloseTo(1, 12);
    });
  });

  describe('columns with next to nothing', () => {
    const columnMass = (j: number) => sum(columnOf(work, j));

    it('give it to the next ones inwards; the rest stays where it is', () => {
      fc.assert(
        fc.property(
          fc.array(fc.constantFrom(0, 1e-8, 3e-7, 2e-6, 0.2), { minLength: 7, maxLength: 7 }),
          fc.integer({ min: 0, max: WATER_CELLS - 1 }),
          (held, cell) => {
            work.mass.fill(0);
            held.forEach((p, n) => (work.mass[(LOW + n) * WATER_CELLS + cell] = p));
            work.trim(LOW, HIGH, 1e-6);
            const [from, to] = work.reach as unknown as [number, number];
            expect(from).toBeLessThanOrEqual(to);
            for (const end of from < to ? [from, to] : [])
              expect(columnMass(end)).toBeGreaterThanOrEqual(1e-6);
            for (let j = LOW; j <= HIGH; j++)
              if (j < from || j > to) expect(columnMass(j)).toBe(0);
              else if (j > from && j < to) expect(columnMass(j)).toBe(held[j - LOW]);
            expect(sum(work.mass)).toBeCloseTo(sum(held), 12);
          },
        ),
      );
    });

    it('let nothing go where every column holds enough', () => {
      work.mass.fill(0);
      for (let j = LOW; j <= HIGH; j++) work.mass[j * WATER_CELLS + 3] = 0.1;
      const before = work.mass.slice();
      work.trim(LOW, HIGH, 1e-6);
      expect([...work.reach]).toEqual([LOW, HIGH]);
      expect(work.mass).toEqual(before);
    });
  });

  describe('something seen', () => {
    it('weights every cell by its water, and sums the mass by water on the way', () => {
      fc.assert(
        fc.property(masses, fc.integer({ min: 0, max: WATER_CELLS - 1 }), (cells, near) => {
          lay(work, cells);
          work.weights.set(WATER_MIDDLES.map((_, i) => Math.exp(-Math.abs(i - near) / 4)));
          const weighted = work.mass.map((p, n) => p * (work.weights[n % WATER_CELLS] as number));
          work.weigh(LOW, HIGH);
          expect(farthest(work.mass, weighted)).toBeLessThan(1e-12);
          const byWater = WATER_MIDDLES.map((_, i) => sum(weighted.filter((__, n) => n % WATER_CELLS === i)));
          expect(farthest(work.marginal, byWater)).toBeLessThan(1e-9);
        }),
        { numRuns: 30 },
      );
    });
  });
});

describe('what runs through', () => {
  it('is what was poured less what stayed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: WATER_CELLS - 1 }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (cell, amount) => {
          const work = plainCells();
          layAt(work, 0, cell);
          planWatering(work, amount, 0, MIX);
          const { w, drained } = afterGain(WATER_MIDDLES[cell] as number, amount, MIX);
          expect(drainedFrom(work.mass, 0)).toBeCloseTo(drained, 9);
          expect(w - (WATER_MIDDLES[cell] as number) + drained).toBeCloseTo(amount, 9);
        },
      ),
    );
  });

  it('is nothing of an empty column', () => {
    planWatering(plainCells(), 2, 0.1, MIX);
    expect(drainedFrom(new Float64Array(WATER_CELLS), 0)).toBe(0);
  });
});

describe('the compiled loops', () => {
  it('give what the plain ones give, move by move', () => {
    const [plain, fast] = [plainCells(), compiled()];
    /**
     * Both do the same from the same. What is too little to keep may stay in either of two cells, and a loss that is all but
     * sure is a difference of nearly equal areas.
     */
    const same = (act: (work: CellWork) => void) => {
      fast.mass.set(plain.mass);
      [plain, fast].forEach(act);
      expect(farthest(plain.mass, fast.mass)).toBeLessThan(1e-7);
    };
    fc.assert(
      fc.property(masses, losses, sides, amounts, sds, (cells, loss, side, amount, sd) => {
        lay(
          plain,
          cells.map((p) => p / sum(cells)),
        );
        same((work) => {
          setLosses(work, loss.depletion, loss.gain);
          work.lose(LOW, HIGH, loss.transpiration, loss.evaporation, loss.halfShare);
        });
        same((work) => work.wander(LOW, HIGH, side));
        same((work) => {
          work.weights.set(WATER_MIDDLES.map((w) => Math.exp(-(((w - amount / 3) / 0.2) ** 2)) + 1e-4));
          work.weigh(LOW, HIGH);
        });
        same((work) => {
          planWatering(work, amount, sd, MIX);
          work.pour(LOW, HIGH);
        });
        expect(farthest(plain.marginal, fast.marginal)).toBeLessThan(1e-7);
      }),
    );
  });

  it('are what their source compiles to', async () => {
    const { compiledModule } = await import('../../../kernel/compile.ts');
    const { COMPILED_CODE } = await import('./compiled-code.ts');
    expect(await compiledModule()).toContain(COMPILED_CODE);
  });
});
