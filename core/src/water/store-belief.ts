import { POINTS, USE_CELLS, WATER_MIDDLES } from './grid.ts';
import { afterRefill, draw } from './stores.ts';

/** A store as a belief keeps it: what it holds when full, as a share of the bag's available water. */
export interface StoreShare {
  readonly full: number;
  readonly catchesDrained: boolean;
  readonly startShare: number;
}

/** What a column's stores gave and caught over a stretch, shares of available water. */
interface StoreChange {
  readonly released: number;
  readonly drained: number;
}

/** Before anybody has looked a level is taken with this doubt, as a share of the full store; pouring to the brim leaves little. */
const START_SD = 0.3;
const BRIM_SD = 0.03;
/** Doubt of what a store gave, as a share of it. */
const GIVEN_SD = 0.15;

/**
 * What is believed of a bag's stores: for each use multiplier what they hold. A thirsty bag has emptied its store further,
 * so that seeing the level says something of the use. About that a common doubt for each store.
 */
export class StoreBelief {
  private constructor(
    private readonly shares: readonly StoreShare[],
    /** held[store][column], shares of available water */
    private readonly levels: readonly Float64Array[],
    private readonly variance: number[],
  ) {}

  static start(shares: readonly StoreShare[]): StoreBelief {
    return new StoreBelief(
      shares,
      shares.map(({ full, startShare }) => new Float64Array(USE_CELLS).fill(full * startShare)),
      shares.map(({ full }) => (START_SD * full) ** 2),
    );
  }

  get count(): number {
    return this.shares.length;
  }

  copy(): StoreBelief {
    if (this.count === 0) return this;
    return new StoreBelief(
      this.shares,
      this.levels.map((level) => level.slice()),
      [...this.variance],
    );
  }

  /** Whether any store gives anything over a stretch. */
  refillRates(refillRates: readonly number[]): boolean {
    return refillRates.some((refillRate) => refillRate > 0) && this.count > 0;
  }

  stored(j: number): number {
    return this.levels.reduce((sum, level) => sum + (level[j] as number), 0);
  }

  /** How hard the stores that hold anything refill a column. */
  refillRate(j: number, refillRates: readonly number[]): number {
    return this.levels.reduce(
      (sum, level, s) => sum + ((level[j] as number) > 1e-9 ? (refillRates[s] ?? 0) : 0),
      0,
    );
  }

  /** What the stores give a column over a stretch, and what runs through to them, before anything is moved. */
  releasedTo(
    j: number,
    column: {
      readonly shares: Float64Array;
      readonly total: number;
      readonly losses: readonly number[];
      /** how hard the stores refill, for each of the losses */
      readonly rates: readonly number[];
      readonly gain: number;
      readonly depletion: number;
    },
  ): StoreChange {
    const stored = this.stored(j);
    let released = 0;
    let drained = 0;
    for (let i = 0; i < column.shares.length; i++) {
      const share = (column.shares[i] as number) / column.total;
      if (share < 1e-9) continue;
      const w = WATER_MIDDLES[i] as number;
      POINTS.forEach(({ weight }, p) => {
        const loss = column.losses[p] as number;
        const refilled = afterRefill(w, loss, column.rates[p] as number, stored, column.depletion);
        released += share * weight * refilled.released;
        drained += share * weight * Math.max(0, refilled.w + column.gain - 1);
      });
    }
    return { released, drained };
  }

  /** Moves a column's stores by what {@link releasedTo} found. */
  move(j: number, change: StoreChange, refillRates: readonly number[]): void {
    const levels = this.levels.map((level) => level[j] as number);
    draw(levels, refillRates, change.released);
    levels.forEach((level, s) => {
      (this.levels[s] as Float64Array)[j] = level;
    });
    if (change.drained > 0) this.catch(j, change.drained);
  }

  /** What the stores gave in the mean is itself in doubt. */
  doubt(released: number): void {
    this.shares.forEach(({ full }, s) => {
      const more = (this.variance[s] as number) + (GIVEN_SD * released) ** 2;
      this.variance[s] = Math.min((START_SD * full) ** 2, more);
    });
  }

  /** What ran through a column is caught by the stores that stand under it, as far as they have room. */
  catch(j: number, drained: number): void {
    let left = drained;
    this.shares.forEach(({ full, catchesDrained }, s) => {
      if (!catchesDrained || left <= 0) return;
      const level = this.levels[s] as Float64Array;
      const caught = Math.min(left, full - (level[j] as number));
      level[j] = (level[j] as number) + caught;
      left -= caught;
    });
  }

  /** Water poured into a store, as a share of available water; what finds no room runs over. */
  fill(s: number, amount: number, toTheBrim: boolean): void {
    const { full } = this.shares[s] as StoreShare;
    const level = this.levels[s] as Float64Array;
    for (let j = 0; j < USE_CELLS; j++)
      level[j] = toTheBrim ? full : Math.min(full, (level[j] as number) + amount);
    const isFull = toTheBrim || level.every((stored) => stored >= full - 1e-9);
    if (isFull) this.variance[s] = (BRIM_SD * full) ** 2;
  }

  /** A store was poured out. */
  empty(s: number): void {
    (this.levels[s] as Float64Array).fill(0);
    this.variance[s] = (BRIM_SD * (this.shares[s] as StoreShare).full) ** 2;
  }

  /** The weight of a column when a level is seen; its store moves towards it. */
  see(s: number, j: number, share: number, sd: number): number {
    const { full } = this.shares[s] as StoreShare;
    const level = this.levels[s] as Float64Array;
    const own = this.variance[s] as number;
    const noise = (sd * full) ** 2;
    const off = share * full - (level[j] as number);
    level[j] = Math.min(full, Math.max(0, (level[j] as number) + (own / (own + noise)) * off));
    return Math.exp(-(off ** 2) / (2 * (own + noise))) + 1e-6;
  }

  /** After every column has seen it, the doubt of the level is less. */
  seen(s: number, sd: number): void {
    const noise = (sd * (this.shares[s] as StoreShare).full) ** 2;
    const own = this.variance[s] as number;
    this.variance[s] = (own * noise) / (own + noise);
  }

  /** Use wanders between columns and takes what the stores hold along. */
  wander(low: number, high: number, side: number, massOf: (j: number) => number): void {
    const masses = Array.from({ length: USE_CELLS }, (_, j) => massOf(j));
    for (const level of this.levels) {
      const before = level.slice();
      for (let j = low; j <= high; j++) {
        const part = (k: number, weight: number) =>
          k < low || k > high
            ? [0, 0]
            : [weight * (masses[k] as number), weight * (masses[k] as number) * (before[k] as number)];
        const parts = [part(j, 1 - 2 * side), part(j - 1, side), part(j + 1, side)];
        const mass = parts.reduce((sum, [m]) => sum + (m as number), 0);
        const stored = parts.reduce((sum, [, h]) => sum + (h as number), 0);
        level[j] = mass > 0 ? stored / mass : (before[j] as number);
      }
    }
  }

  /** The share of a store that is full: mean over the columns, and sd. */
  level(s: number, massOf: (j: number) => number): { readonly mean: number; readonly sd: number } {
    const { full } = this.shares[s] as StoreShare;
    const level = this.levels[s] as Float64Array;
    let mean = 0;
    let square = 0;
    for (let j = 0; j < USE_CELLS; j++) {
      const mass = massOf(j);
      mean += mass * (level[j] as number);
      square += mass * (level[j] as number) ** 2;
    }
    const variance = Math.max(0, square - mean ** 2) + (this.variance[s] as number);
    return { mean: mean / full, sd: Math.sqrt(variance) / full };
  }

  /** What each store holds at a use multiplier, shares of available water. */
  levelsAt(j: number): readonly number[] {
    return this.levels.map((level) => level[j] as number);
  }
}
