import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays, type Day } from '../calendar/index.ts';
import { CROPS, habitFigures } from '../plants/index.ts';
import {
  baseUsedUp,
  LEANINGS,
  ledgerOf,
  releasedShare,
  runLedger,
  wantedOn,
  yieldFactor,
  type FedPlant,
  type LedgerCase,
  type LedgerSource,
} from './index.ts';
import { addElements, ELEMENTS, elementsBy, elementsIn, NO_ELEMENTS } from '../products/index.ts';

const FROM = '2026-05-20';
const tomato: FedPlant = {
  cropId: 'tomato',
  plantedOn: FROM,
  clearedOn: undefined,
  canopySquareMetres: 0.6,
  weeksToFull: 11,
  fruitFrom: '2026-06-24',
  fruitTo: '2026-10-01',
  yieldFactor: 1,
};
const source = (more: Partial<LedgerSource> = {}): LedgerSource => ({
  id: 'a',
  day: FROM,
  kind: 'mix',
  brings: elementsIn(36, { n: 14, p2o5: 16, k2o: 18 }),
  months: 1.25,
  ...more,
});
const bag = (more: Partial<LedgerCase> = {}): LedgerCase => ({
  from: FROM,
  to: '2026-09-30',
  sources: [source()],
  drainedOn: () => 0,
  wantedOn: (day) => wantedOn(tomato, day, DEFAULT_ASSUMED),
  warmthOn: () => 20,
  ...more,
});

describe('what a plant wants', () => {
  it('a tall tomato of a season takes what is published for a kilogram of fruit: 2 to 3.2 g N, 3.3 to 4.7 g K', () => {
    let total = NO_ELEMENTS;
    for (let n = 0; n < 150; n++)
      total = addElements(total, wantedOn(tomato, addDays(FROM, n), DEFAULT_ASSUMED));
    const kilograms = DEFAULT_ASSUMED.cropPerCover * tomato.canopySquareMetres;
    expect(total.n / kilograms).toBeGreaterThan(2);
    expect(total.n / kilograms).toBeLessThan(3.2);
    expect(total.k / kilograms).toBeGreaterThan(3.3);
    expect(total.k / kilograms).toBeLessThan(4.7);
    expect(total.p / kilograms).toBeGreaterThan(0.3);
    expect(total.p / kilograms).toBeLessThan(0.6);
  });

  it('is nothing before it is planted, after it is cleared, and never below nothing', () => {
    expect(wantedOn(tomato, '2026-05-19', DEFAULT_ASSUMED)).toEqual(NO_ELEMENTS);
    expect(wantedOn({ ...tomato, clearedOn: '2026-07-01' }, '2026-07-01', DEFAULT_ASSUMED)).toEqual(
      NO_ELEMENTS,
    );
    for (const crop of CROPS)
      for (const habit of crop.habits) {
        const plant = { ...tomato, cropId: crop.id, ...habitFigures(crop.id, habit) };
        for (let n = 0; n < 120; n += 10)
          for (const e of ELEMENTS)
            expect(wantedOn(plant, addDays(FROM, n), DEFAULT_ASSUMED)[e]).toBeGreaterThanOrEqual(0);
      }
  });

  it('pickings pull the expected crop, a little at first', () => {
    expect(yieldFactor(0, 0, 0.6)).toBe(1);
    expect(yieldFactor(0.5, 0, 0.6)).toBeGreaterThan(1);
    expect(yieldFactor(8, 4, 0.6)).toBeGreaterThan(yieldFactor(0.8, 0.4, 0.6));
    expect(yieldFactor(0, 3, 0.6)).toBeLessThan(0.5);
  });
});

describe('slow release', () => {
  it('has given four fifths when the label’s months are over at 20 °C', () => {
    const left = (1 - releasedShare(3, 20, DEFAULT_ASSUMED)) ** (3 * 30.4);
    expect(1 - left).toBeCloseTo(0.8, 9);
  });

  it('is twice as quick ten degrees warmer', () => {
    const pace = (celsius: number) => -Math.log(1 - releasedShare(3, celsius, DEFAULT_ASSUMED));
    expect(pace(30) / pace(20)).toBeCloseTo(DEFAULT_ASSUMED.releaseQ10, 9);
  });
});

describe('the ledger', () => {
  const grams = fc.double({ min: 0, max: 20, noNaN: true });
  const sources = fc.array(
    fc.record({
      id: fc.constant('x'),
      day: fc.integer({ min: -5, max: 100 }).map((n) => addDays(FROM, n)),
      kind: fc.constantFrom('mix', 'amendment', 'feed', 'water'),
      brings: fc.tuple(grams, grams, grams, grams, grams).map(([n, p, k, ca, mg]) => ({ n, p, k, ca, mg })),
      months: fc.option(fc.double({ min: 0.1, max: 30, noNaN: true }), { nil: undefined }),
    }),
    { maxLength: 10 },
  );
  const drain = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 7, maxLength: 7 });
  const dayNumber = (day: Day) => Math.round(Date.parse(day) / 86_400_000);

  it('conserves mass to 1e-9: offered = held + dissolved + washed + taken, each day, each leaning', () => {
    fc.assert(
      fc.property(
        sources,
        drain,
        fc.double({ min: -5, max: 45, noNaN: true }),
        fc.constantFrom(...LEANINGS),
        (all, drained, celsius, leaning) => {
          const run = runLedger(
            bag({
              sources: all as LedgerSource[],
              drainedOn: (day) => drained[dayNumber(day) % 7] ?? 0,
              warmthOn: () => celsius,
            }),
            leaning,
            DEFAULT_ASSUMED,
          );
          for (const { offered, held, dissolved, washed, taken } of run)
            for (const e of ELEMENTS) {
              expect(Math.abs(offered[e] - held[e] - dissolved[e] - washed[e] - taken[e])).toBeLessThan(1e-9);
              expect(Math.min(held[e], dissolved[e], washed[e], taken[e])).toBeGreaterThanOrEqual(0);
            }
          const last = run.at(-1);
          const total = all
            .filter((s) => s.day <= '2026-09-30')
            .reduce((sum, s) => addElements(sum, s.brings), NO_ELEMENTS);
          for (const e of ELEMENTS) expect(last?.offered[e]).toBeCloseTo(total[e], 9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('a feed of quick nitrogen is there the same day; what runs through takes its share of it', () => {
    const brings = { ...NO_ELEMENTS, n: 2 };
    const [first] = runLedger(
      bag({
        sources: [source({ brings, months: undefined })],
        drainedOn: () => 0.5,
        wantedOn: () => NO_ELEMENTS,
      }),
      undefined,
      DEFAULT_ASSUMED,
    );
    expect(first?.washed.n).toBeCloseTo(2 * 0.5 * DEFAULT_ASSUMED.washN, 9);
    expect(first?.dissolved.n).toBeCloseTo(2 - 2 * 0.5 * DEFAULT_ASSUMED.washN, 9);
  });

  it('what a bought mix brings lasts a tall tomato weeks and not months; twice the mix lasts longer', () => {
    const small = baseUsedUp(bag(), FROM, DEFAULT_ASSUMED);
    const large = baseUsedUp(
      bag({ sources: [source({ brings: elementsBy((e) => source().brings[e] * 2) })] }),
      FROM,
      DEFAULT_ASSUMED,
    );
    expect(small.likely && small.likely > '2026-06-15').toBe(true);
    expect(small.likely && small.likely < '2026-08-10').toBe(true);
    expect((large.likely ?? '9') > (small.likely ?? '')).toBe(true);
    expect((small.low ?? '') <= (small.likely ?? '') && (small.likely ?? '') <= (small.high ?? '9')).toBe(
      true,
    );
  });

  it('does not count feeds to what the bag was filled with', () => {
    const fed = [source(), source({ id: 'f', kind: 'feed', day: '2026-06-10', months: undefined })];
    expect(baseUsedUp(bag({ sources: fed }), FROM, DEFAULT_ASSUMED)).toEqual(
      baseUsedUp(bag(), FROM, DEFAULT_ASSUMED),
    );
  });

  it('says short, fine and over, and is sure when all three runs agree', () => {
    const verdict = (sources_: readonly LedgerSource[], today: Day) =>
      ledgerOf(bag({ sources: sources_ }), today, 20, DEFAULT_ASSUMED).verdicts.find(
        (v) => v.element === 'n',
      );
    expect(verdict([source()], '2026-06-01')?.status).toBe('fine');
    expect(verdict([source()], '2026-08-20')).toMatchObject({ status: 'short', isSure: true });
    const glut = source({ brings: { ...NO_ELEMENTS, n: 30 }, months: undefined });
    expect(verdict([glut], '2026-06-01')).toMatchObject({ status: 'over', isSure: true });
    expect(verdict([glut], '2026-06-01')?.milligramsPerLitre.likely).toBeGreaterThan(300);
  });
});
