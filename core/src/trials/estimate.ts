import type { Assumed } from '../assumed/index.ts';
import { groupedBy, studentBelow, studentQuantile } from '../statistics/index.ts';
import { choleskySolve } from './solve.ts';

/** What bags beside each other share, and what would otherwise be taken for the difference. */
export type BlockFactor = 'variety' | 'season' | 'place';

/** One bag, or one plant, in one season, with what it gave. */
export interface Observation {
  /** the bag or plant: the same one in two seasons is not two */
  readonly unitId: string;
  readonly treatmentId: string;
  readonly variety: string;
  readonly season: string;
  readonly place: string;
  /** logarithm of what it gave, or days */
  readonly value: number;
}

/** How unlike bags are that had the same, by what else the garden knows. */
export interface KnownSpread {
  readonly sd: number;
  /** degrees of freedom behind it; 0: nothing is known */
  readonly df: number;
}

/** The difference of one treatment from another, on the scale of the observations. */
export interface Difference {
  /** as the bags have it */
  readonly raw: number;
  /** drawn towards no difference */
  readonly likely: number;
  /** nine in ten */
  readonly low: number;
  readonly high: number;
  readonly standardError: number;
  readonly df: number;
  /** how unlike bags are that had the same */
  readonly spread: number;
  /** chance that the true one is above none */
  readonly chanceAbove: number;
  /** it would come by luck alone less than once in twenty */
  readonly isReal: boolean;
  /** what was different besides, and cannot be told apart from it */
  readonly confoundedBy: readonly BlockFactor[];
  /** bags or plants on either side, each once however many seasons it stood */
  readonly units: readonly [number, number];
}

/** How much is known before the first bag: what the shrinkage and the spread start from. */
export type TrialAssumed = Pick<
  Assumed,
  | 'bagSpread'
  | 'bagSpreadWorth'
  | 'effectSpread'
  | 'sameBagShare'
  | 'placeSpread'
  | 'seasonSpread'
  | 'varietySpread'
>;

/** From the most that can be taken out to nothing; a variety is the last to be let go. */
const BLOCKINGS: readonly (readonly BlockFactor[])[] = [
  ['variety', 'season', 'place'],
  ['variety', 'season'],
  ['variety', 'place'],
  ['season', 'place'],
  ['variety'],
  ['season'],
  ['place'],
  [],
];

/** What is called real would come by luck alone so often. */
export const REAL_LEVEL = 0.05;

/** With so many degrees of freedom from earlier seasons the prior is twice as wide (in variance) as with very many. */
const PRIOR_DF = 4;

/** The garden's own spread counts as no more than so many degrees of freedom: seasons differ. */
const MOST_KNOWN = 20;

/**
 * The difference between two treatments, with place, season and variety taken out: generalised least squares with a mean for each
 * block, in which bags that come again in another season are partly the same bag. The spread is pooled with what the garden
 * knows of its bags from other seasons, and the estimate drawn towards no difference the more such seasons there were.
 *
 * @param observations of all treatments of a trial; those of others help to know the spread
 * @returns undefined where one side has nothing
 * @see docs/model.md, 16. Trials
 */
export function differenceOf(
  observations: readonly Observation[],
  [from, to]: readonly [string, string],
  known: KnownSpread,
  assumed: TrialAssumed,
): Difference | undefined {
  const sideOf = (id: string) => observations.filter((o) => o.treatmentId === id);
  const [a, b] = [sideOf(from), sideOf(to)];
  if (a.length === 0 || b.length === 0) return undefined;
  const blocking =
    BLOCKINGS.find((factors) => areConnected(observations, factors, from, to)) ??
    ([] as readonly BlockFactor[]);
  const fit = leastSquares(observations, blocking, from, to, assumed.sameBagShare);
  const pooled = pooledSpread(fit, known, assumed);
  const confoundedBy = (['variety', 'season', 'place'] as const).filter(
    (factor) => !blocking.includes(factor) && levelsOf([...a, ...b], factor).length > 1,
  );
  const outside = confoundedBy.reduce(
    (sum, factor) =>
      sum +
      SPREAD_OF[factor](assumed) ** 2 * (1 / levelsOf(a, factor).length + 1 / levelsOf(b, factor).length),
    0,
  );
  const standardError = Math.sqrt(pooled.variance * fit.unitVariance + outside);
  const { df } = pooled;
  // a normal prior about no difference, as wide as earlier seasons leave it: where there were none, nothing is drawn anywhere
  const prior = assumed.effectSpread ** 2 * (1 + PRIOR_DF / known.df);
  const trust = known.df === 0 ? 1 : prior / (prior + standardError ** 2);
  const likely = trust * fit.difference;
  const half = studentQuantile(0.95, df) * Math.sqrt(trust) * standardError;
  const t = fit.difference / standardError;
  return {
    raw: fit.difference,
    likely,
    low: likely - half,
    high: likely + half,
    standardError,
    df,
    spread: Math.sqrt(pooled.variance),
    chanceAbove: studentBelow(likely / (Math.sqrt(trust) * standardError), df),
    isReal: 2 * (1 - studentBelow(Math.abs(t), df)) < REAL_LEVEL,
    confoundedBy,
    units: [new Set(a.map((o) => o.unitId)).size, new Set(b.map((o) => o.unitId)).size],
  };
}

const SPREAD_OF: Readonly<Record<BlockFactor, (assumed: TrialAssumed) => number>> = {
  place: (assumed) => assumed.placeSpread,
  season: (assumed) => assumed.seasonSpread,
  variety: (assumed) => assumed.varietySpread,
};

const levelsOf = (observations: readonly Observation[], factor: BlockFactor) => [
  ...new Set(observations.map((o) => o[factor])),
];

const blockOf = (o: Observation, factors: readonly BlockFactor[]) => factors.map((f) => o[f]).join('\n');

/** Whether two treatments can be compared within blocks: some block holds both, or a chain of blocks leads from one to the other. */
function areConnected(
  observations: readonly Observation[],
  factors: readonly BlockFactor[],
  from: string,
  to: string,
): boolean {
  const reached = new Set([from]);
  const blocks = new Map<string, Set<string>>();
  for (const o of observations) {
    const key = blockOf(o, factors);
    blocks.set(key, (blocks.get(key) ?? new Set()).add(o.treatmentId));
  }
  for (let grew = true; grew;) {
    grew = false;
    for (const treatments of blocks.values()) {
      if (![...treatments].some((id) => reached.has(id))) continue;
      for (const id of treatments) {
        if (reached.has(id)) continue;
        reached.add(id);
        grew = true;
      }
    }
  }
  return reached.has(to);
}

interface Fit {
  readonly difference: number;
  /** variance of the difference for a spread of 1 */
  readonly unitVariance: number;
  readonly residualSquares: number;
  readonly df: number;
}

/**
 * Generalised least squares with a mean for each block and an effect for each treatment but the first.
 *
 * @param sameBag share of the spread that a bag keeps from season to season: the correlation of its values
 */
function leastSquares(
  observations: readonly Observation[],
  factors: readonly BlockFactor[],
  from: string,
  to: string,
  sameBag: number,
): Fit {
  const blocks = [...new Set(observations.map((o) => blockOf(o, factors)))];
  const treatments = [...new Set(observations.map((o) => o.treatmentId))].filter((id) => id !== from);
  const size = blocks.length + treatments.length;
  const rowOf = (o: Observation): readonly number[] => {
    const at = treatments.indexOf(o.treatmentId);
    const block = blocks.indexOf(blockOf(o, factors));
    return at < 0 ? [block] : [block, blocks.length + at];
  };
  const gram = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const right = new Array<number>(size).fill(0);
  const byUnit = groupedBy(observations, (o) => `${o.unitId}`);
  const rows = [...byUnit.values()].map((values) => values.map((o) => ({ o, columns: rowOf(o) })));
  for (const unit of rows) {
    // the inverse of a matrix with 1 on its diagonal and the same share everywhere else
    const share = unit.length > 1 ? sameBag : 0;
    const own = 1 / (1 - share);
    const common = (share / (1 + (unit.length - 1) * share)) * own;
    for (const [i, first] of unit.entries()) {
      for (const [j, second] of unit.entries()) {
        const weight = (i === j ? own : 0) - common;
        for (const p of first.columns) {
          right[p] = (right[p] ?? 0) + weight * second.o.value;
          for (const q of second.columns) {
            const line = gram[p] as number[];
            line[q] = (line[q] ?? 0) + weight;
          }
        }
      }
    }
  }
  const { solve, rank } = choleskySolve(gram);
  const found = solve(right);
  const wanted = new Array<number>(size).fill(0);
  wanted[blocks.length + treatments.indexOf(to)] = 1;
  const variance = solve(wanted)[blocks.length + treatments.indexOf(to)] ?? 0;
  let residualSquares = 0;
  for (const unit of rows) {
    const share = unit.length > 1 ? sameBag : 0;
    const own = 1 / (1 - share);
    const common = (share / (1 + (unit.length - 1) * share)) * own;
    const residuals = unit.map(({ o, columns }) =>
      columns.reduce((left, column) => left - (found[column] ?? 0), o.value),
    );
    const sum = residuals.reduce((total, r) => total + r, 0);
    residualSquares += own * residuals.reduce((total, r) => total + r * r, 0) - common * sum * sum;
  }
  return {
    difference: found[blocks.length + treatments.indexOf(to)] ?? 0,
    unitVariance: variance,
    residualSquares: Math.max(0, residualSquares),
    df: observations.length - rank,
  };
}

/** The spread by the trial's own bags and by the garden's others, each by what it is worth; for want of both, the usual one. */
function pooledSpread(
  { residualSquares, df }: Pick<Fit, 'residualSquares' | 'df'>,
  known: KnownSpread,
  assumed: TrialAssumed,
): { readonly variance: number; readonly df: number } {
  const knownDf = Math.min(MOST_KNOWN, known.df);
  // what is usual fills up what is missing: where bags tell of themselves it would only stand in their way
  const usualDf = Math.max(0, assumed.bagSpreadWorth - df - knownDf);
  const total = df + knownDf + usualDf;
  const squares = residualSquares + knownDf * known.sd ** 2 + usualDf * assumed.bagSpread ** 2;
  return { variance: squares / total, df: total };
}

/**
 * How unlike bags are that had the same variety at the same place in the same season.
 *
 * @returns with 0 degrees of freedom where no two such bags are known
 */
export function spreadOf(observations: readonly Observation[]): KnownSpread {
  const groups = groupedBy(
    observations,
    (o) => `${blockOf(o, ['variety', 'season', 'place'])}\n${o.treatmentId}`,
  );
  let squares = 0;
  let df = 0;
  for (const group of groups.values()) {
    const mean = group.reduce((sum, o) => sum + o.value, 0) / group.length;
    squares += group.reduce((sum, o) => sum + (o.value - mean) ** 2, 0);
    df += group.length - 1;
  }
  return { sd: df === 0 ? 0 : Math.sqrt(squares / df), df };
}
