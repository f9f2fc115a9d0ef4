import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { chanceFrom, type Chance } from '../statistics/index.ts';
import {
  dealFairly,
  differenceOf,
  planPower,
  powerTable,
  shuffledShare,
  spreadOf,
  type KnownSpread,
  type Observation,
} from './index.ts';

const NOTHING_KNOWN: KnownSpread = { sd: 0, df: 0 };
const row = (
  unitId: string,
  treatmentId: string,
  value: number,
  more: Partial<Observation> = {},
): Observation => ({ unitId, treatmentId, value, variety: 'v', season: '2026', place: 'deck', ...more });

const compare = (rows: readonly Observation[], known = NOTHING_KNOWN) =>
  differenceOf(rows, ['a', 'b'], known, DEFAULT_ASSUMED);

describe('a difference', () => {
  it('of two groups of three is that of a pooled t test, worked by hand', () => {
    const rows = [1, 2, 3].flatMap((v, i) => [row(`a${i}`, 'a', v), row(`b${i}`, 'b', v + 2)]);
    const found = compare(rows);
    // variance 1 in each group, so that the error is the root of 2/3
    expect(found?.raw).toBeCloseTo(2, 10);
    expect(found?.standardError).toBeCloseTo(Math.sqrt(2 / 3), 8);
    expect(found?.df).toBe(4);
    expect(found?.low).toBeCloseTo(2 - 2.1318 * Math.sqrt(2 / 3), 3);
    expect(found?.isReal).toBe(false);
  });

  it('is not moved by a place that lifts both sides alike', () => {
    const rows = [0.1, 0.4, 0.2, 0.5].map((v, i) => row(`u${i}`, i % 2 ? 'b' : 'a', v));
    const lifted = rows.map((r, i) => (i < 2 ? { ...r, place: 'yard', value: r.value + 5 } : r));
    const flat = rows.map((r, i) => (i < 2 ? { ...r, place: 'yard' } : r));
    expect(compare(lifted)?.raw).toBeCloseTo(compare(flat)?.raw ?? NaN, 10);
    expect(compare(lifted)?.standardError).toBeCloseTo(compare(flat)?.standardError ?? NaN, 10);
  });

  it('says what stands in its way, and is wider for it, where each had a place of its own', () => {
    const together = [0.1, 0.2, 0.5, 0.6].map((v, i) => row(`u${i}`, i < 2 ? 'a' : 'b', v));
    const apart = together.map((r) => ({ ...r, place: r.treatmentId }));
    expect(compare(together)?.confoundedBy).toEqual([]);
    expect(compare(apart)?.confoundedBy).toEqual(['place']);
    expect(compare(apart)?.standardError).toBeGreaterThan((compare(together)?.standardError ?? 0) + 0.2);
  });

  it('of one each has a range, by what bags usually do, and of none each there is nothing', () => {
    const one = compare([row('u1', 'a', 0), row('u2', 'b', Math.log(1.5))]);
    expect(one?.units).toEqual([1, 1]);
    expect(one?.isReal).toBe(false);
    expect((one?.high ?? 0) - (one?.low ?? 0)).toBeGreaterThan(2);
    expect(compare([row('u1', 'a', 0)])).toBeUndefined();
  });

  it('counts a bag that comes again as less than two', () => {
    const first = [0, 0.3, 0.1, 0.6].map((v, i) => row(`u${i}`, i % 2 ? 'b' : 'a', v));
    const again = first.map((r) => ({ ...r, season: '2027', value: r.value + 1 }));
    const others = again.map((r) => ({ ...r, unitId: `${r.unitId} other` }));
    const same = compare([...first, ...again]);
    const new_ = compare([...first, ...others]);
    expect(same?.units).toEqual([2, 2]);
    expect(new_?.units).toEqual([4, 4]);
    expect(same?.raw).toBeCloseTo(new_?.raw ?? NaN, 8);
  });

  it('is drawn towards none by earlier seasons alone, and the more the fewer bags there are', () => {
    const of = (n: number) =>
      Array.from({ length: 2 * n }, (_, i) =>
        row(`u${i}`, i % 2 ? 'b' : 'a', (i % 2 ? 0.5 : 0) + (i % 4 < 2 ? 0.3 : -0.3)),
      );
    const known = { sd: 0.35, df: 12 };
    expect(compare(of(2))?.likely).toBeCloseTo(compare(of(2))?.raw ?? NaN, 10);
    const drawn = (n: number) => (compare(of(n), known)?.likely ?? 0) / (compare(of(n), known)?.raw ?? 1);
    expect(drawn(2)).toBeLessThan(drawn(8));
    expect(drawn(8)).toBeLessThan(1);
    expect(drawn(2)).toBeGreaterThan(0.6);
  });

  it('between the second and the third of three leans on the spread of all', () => {
    const rows = [0, 0.2, 1, 1.2, 2, 2.2].map((v, i) =>
      row(`u${i}`, ['a', 'b', 'c'][Math.floor(i / 2)] ?? '', v),
    );
    const found = differenceOf(rows, ['b', 'c'], NOTHING_KNOWN, DEFAULT_ASSUMED);
    expect(found?.raw).toBeCloseTo(1, 10);
    expect(found?.df).toBe(3);
  });
});

describe('the spread of a garden', () => {
  it('is that of bags that had the same at the same place, and nothing where no two did', () => {
    const rows = [row('u1', 'x', 1), row('u2', 'x', 2), row('u3', 'x', 9, { place: 'yard' })];
    expect(spreadOf(rows)).toEqual({ sd: Math.sqrt(0.5), df: 1 });
    expect(spreadOf([row('u1', 'x', 1)])).toEqual({ sd: 0, df: 0 });
  });
});

/** A garden with a trial in it: bags unlike by `sd`, partly the same from season to season, perhaps at two places. */
interface Case {
  readonly perSide: number;
  readonly sd: number;
  readonly seasons: number;
  readonly placeEffect: number;
  readonly earlier: number;
}

function simulated(chance: Chance, of: Case, effect: number) {
  const grown = (name: string, bags: number, years: readonly number[], treatmentOf: (i: number) => string) =>
    Array.from({ length: bags }, (_, i) => {
      const again = of.seasons > 1 ? 0.3 : 0;
      const own = chance.normal() * of.sd * Math.sqrt(again);
      const place = Math.floor(i / 2) % 2;
      const treatmentId = treatmentOf(i);
      return years.map((year) =>
        row(
          `${name}${i}`,
          treatmentId,
          own +
            chance.normal() * of.sd * Math.sqrt(1 - again) +
            0.3 * year +
            (of.placeEffect > 0 ? of.placeEffect * place : 0) +
            (treatmentId === 'b' ? effect : 0),
          { season: String(year), place: of.placeEffect > 0 ? String(place) : 'deck' },
        ),
      );
    }).flat();
  const years = Array.from({ length: of.seasons }, (_, i) => i + 1);
  return {
    rows: grown('u', 2 * of.perSide, years, (i) => (i % 2 ? 'b' : 'a')),
    known: of.earlier > 0 ? spreadOf(grown('e', of.earlier, [0], () => 'x')) : NOTHING_KNOWN,
  };
}

/** A plain blocked t test: each bag's mean over its seasons, places taken out, nothing known besides. */
function isRealByBlockedTTest(rows: readonly Observation[]): boolean {
  const units = new Map<string, Observation[]>();
  for (const r of rows) units.set(r.unitId, [...(units.get(r.unitId) ?? []), r]);
  const means = [...units.values()].map((own) => ({
    ...(own[0] as Observation),
    season: 'all',
    value: own.reduce((sum, r) => sum + r.value, 0) / own.length,
  }));
  return compare(means)?.isReal ?? false;
}

const CASES: readonly Case[] = [2, 4, 8].flatMap((perSide) =>
  [0.25, 0.35, 0.45].flatMap((sd) =>
    [1, 2].flatMap((seasons) =>
      [0, 0.4].flatMap((placeEffect) =>
        [0, 10].map((earlier) => ({ perSide, sd, seasons, placeEffect, earlier })),
      ),
    ),
  ),
);
const ROUNDS = 60;

describe('simulated trials', () => {
  const effects = [0, Math.log(1.2), Math.log(1.5)];
  const found = CASES.map((of, at) => {
    const chance = chanceFrom(1000 + at);
    return {
      of,
      by: effects.map((effect) => {
        const tally = { covered: 0, real: 0, byTTest: 0 };
        for (let i = 0; i < ROUNDS; i++) {
          const { rows, known } = simulated(chance, of, effect);
          const difference = compare(rows, known);
          if (!difference) throw new Error('each side has bags');
          if (difference.low <= effect && effect <= difference.high) tally.covered += 1;
          if (difference.isReal) tally.real += 1;
          if (isRealByBlockedTTest(rows)) tally.byTTest += 1;
        }
        return tally;
      }),
    };
  });
  type Count = (typeof found)[number]['by'][number];
  const share = (cases: typeof found, of: (count: Count) => number, effect?: number) => {
    const counts = cases.flatMap(({ by }) => (effect === undefined ? by : [by[effect] as Count]));
    return counts.reduce((sum, count) => sum + of(count), 0) / (counts.length * ROUNDS);
  };
  const groups: readonly (readonly [string, (of: Case) => boolean])[] = [
    ...[2, 4, 8].map((n) => [`${n} bags a side`, (of: Case) => of.perSide === n] as const),
    ...[0.25, 0.35, 0.45].map((sd) => [`a spread of ${sd}`, (of: Case) => of.sd === sd] as const),
    ...[1, 2].map((n) => [`${n} season(s)`, (of: Case) => of.seasons === n] as const),
    ['an effect of place', (of) => of.placeEffect > 0],
    ['no effect of place', (of) => of.placeEffect === 0],
    ['no earlier season', (of) => of.earlier === 0],
    ['an earlier season', (of) => of.earlier > 0],
  ];

  it.each(groups)(
    'with %s: ranges hold, luck is seldom called real, and power is no less than a t test’s',
    (_, is) => {
      const cases = found.filter(({ of }) => is(of));
      const covered = share(cases, (c) => c.covered);
      expect(covered).toBeGreaterThanOrEqual(0.86);
      expect(covered).toBeLessThanOrEqual(0.94);
      expect(share(cases, (c) => c.real, 0)).toBeLessThanOrEqual(0.06);
      for (const effect of [1, 2])
        expect(share(cases, (c) => c.real, effect)).toBeGreaterThanOrEqual(
          share(cases, (c) => c.byTTest, effect) - 0.005,
        );
    },
  );

  it('where a season is known before, few bags find far more than they would alone', () => {
    const few = found.filter(({ of }) => of.perSide === 2 && of.earlier > 0);
    expect(share(few, (c) => c.real, 2)).toBeGreaterThan(1.3 * share(few, (c) => c.byTTest, 2));
  });
});

describe('what a plan would find', () => {
  const spread = { sd: 0.35, df: 8 };

  it('grows with bags, with seasons and with the difference, and shrinks with the spread', () => {
    const power = (perSide: number, seasons: number, times: number, sd = 0.35) =>
      planPower({ perSide, seasons }, times, { sd, df: 8 }, DEFAULT_ASSUMED);
    expect(power(8, 1, 1.2)).toBeGreaterThan(power(4, 1, 1.2));
    expect(power(4, 2, 1.2)).toBeGreaterThan(power(4, 1, 1.2));
    expect(power(4, 1, 1.5)).toBeGreaterThan(power(4, 1, 1.2));
    expect(power(4, 1, 1.2, 0.25)).toBeGreaterThan(power(4, 1, 1.2));
    // eight each over two seasons: a fifth about one time in three, a half four times in five
    expect(power(8, 2, 1.2)).toBeGreaterThan(0.2);
    expect(power(8, 2, 1.2)).toBeLessThan(0.45);
    expect(power(8, 2, 1.5)).toBeGreaterThan(0.75);
  });

  it('is what simulated trials find', () => {
    const chance = chanceFrom(77);
    const of: Case = { perSide: 6, sd: 0.35, seasons: 1, placeEffect: 0, earlier: 0 };
    let real = 0;
    const rounds = 1500;
    for (let i = 0; i < rounds; i++)
      if (compare(simulated(chance, of, Math.log(1.5)).rows)?.isReal) real += 1;
    const said = planPower({ perSide: 6, seasons: 1 }, 1.5, { sd: 0.35, df: 1 }, DEFAULT_ASSUMED);
    expect(Math.abs(said - real / rounds)).toBeLessThan(0.05);
  });

  it('of one each with nothing known is next to nothing', () => {
    const [one] = powerTable(NOTHING_KNOWN, DEFAULT_ASSUMED);
    expect(one).toMatchObject({ perSide: 1, seasons: 1, ofFifth: 0, ofHalf: 0 });
    expect(powerTable(spread, DEFAULT_ASSUMED)).toHaveLength(16);
  });
});

describe('shuffling', () => {
  it('can never be sure with two bags a side, and is nearly sure of a gulf with five', () => {
    const of = (n: number, gap: number) =>
      Array.from({ length: 2 * n }, (_, i) => row(`u${i}`, i % 2 ? 'b' : 'a', (i % 2) * gap + i / 100));
    const share = (n: number, gap: number) =>
      shuffledShare(of(n, gap), ['a', 'b'], NOTHING_KNOWN, chanceFrom(3), DEFAULT_ASSUMED) ?? NaN;
    expect(share(2, 9)).toBeGreaterThan(0.2);
    expect(share(5, 9)).toBeLessThan(0.03);
    expect(share(5, 0)).toBeGreaterThan(0.3);
  });
});

describe('dealing by lot', () => {
  it('gives each place as many of each as can be, and other bags with another lot', () => {
    const units = [...Array<string>(4).fill('deck'), ...Array<string>(5).fill('yard')].map((place) => ({
      place,
    }));
    const lots = [1, 2, 3, 4, 5].map((seed) => dealFairly(units, ['a', 'b'], chanceFrom(seed)));
    for (const lot of lots) {
      const count = (from: number, to: number, id: string) =>
        lot.slice(from, to).filter((x) => x === id).length;
      expect(count(0, 4, 'a')).toBe(2);
      expect(Math.abs(count(4, 9, 'a') - count(4, 9, 'b'))).toBe(1);
    }
    expect(new Set(lots.map((lot) => lot.join(''))).size).toBeGreaterThan(2);
  });
});
