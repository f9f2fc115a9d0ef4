import { afterGain, afterLoss } from './stress.ts';

/** Cells along relative available water (0 to 1) and along the log of the use multiplier. */
export const WATER_CELLS = 40;
export const USE_CELLS = 25;

const LOG_USE_REACH = 1.5;
const LOG_USE_STEP = (2 * LOG_USE_REACH) / (USE_CELLS - 1);

/** Relative available water at the middle of each cell. */
export const WATER_MIDDLES: readonly number[] = Array.from(
  { length: WATER_CELLS },
  (_, i) => (i + 0.5) / WATER_CELLS,
);
/** The use multiplier of each column. */
export const USE_MULTIPLIERS: readonly number[] = Array.from({ length: USE_CELLS }, (_, j) =>
  Math.exp(-LOG_USE_REACH + j * LOG_USE_STEP),
);

/** Mass below this is let go and the rest made whole: a thousand such cells would be a thousandth of the belief. */
const NOTHING = 1e-6;
/** A row or column with less than this of the whole is let go. */
const NEXT_TO_NOTHING = 1e-9;
const DENORMAL_AHEAD = 1e-15;

/** Three points that stand for a normal variable: mean and variance are exact (Gauss–Hermite). */
const POINTS = [
  { z: -Math.sqrt(3), weight: 1 / 6 },
  { z: 0, weight: 2 / 3 },
  { z: Math.sqrt(3), weight: 1 / 6 },
] as const;

/**
 * What is believed of one bag: a distribution over (relative available water, use multiplier) on a grid.
 *
 * The one mutable thing in core, for speed: a run owns its belief and hands out plain summaries of it. Cells are
 * stored water-major (`mass[water * USE_CELLS + use]`), so that what does not depend on use works along whole rows,
 * and always sum to 1. A move puts each cell's mass at its new place by splitting it between the two nearest cells,
 * which keeps both mass and mean.
 */
export class Belief {
  private mass: Float64Array = new Float64Array(WATER_CELLS * USE_CELLS);
  private spare: Float64Array = new Float64Array(WATER_CELLS * USE_CELLS);
  private marginal: Float64Array | undefined;
  /** the rows and columns in which there is any mass, both ends included: what lies outside is nothing */
  private rowLow = 0;
  private rowHigh = WATER_CELLS - 1;
  private columnLow = 0;
  private columnHigh = USE_CELLS - 1;

  /** A normal prior over water (cut to 0–1) and a log-normal one over use. */
  static prior(water: { readonly mean: number; readonly sd: number }, logUseSd: number): Belief {
    const belief = new Belief();
    for (let i = 0; i < WATER_CELLS; i++) {
      const z = ((WATER_MIDDLES[i] as number) - water.mean) / water.sd;
      for (let j = 0; j < USE_CELLS; j++) {
        const logUse = -LOG_USE_REACH + j * LOG_USE_STEP;
        belief.mass[i * USE_CELLS + j] = Math.exp(-(z * z) / 2 - (logUse / logUseSd) ** 2 / 2);
      }
    }
    belief.normalise();
    return belief;
  }

  copy(): Belief {
    const other = new Belief();
    other.mass.set(this.mass);
    other.rowLow = this.rowLow;
    other.rowHigh = this.rowHigh;
    other.columnLow = this.columnLow;
    other.columnHigh = this.columnHigh;
    other.marginal = this.marginal;
    return other;
  }

  /**
   * Time passes: each column loses its own use, with the doubt of the day's demand, and gains rain.
   *
   * @param transpiration unstressed use over the step as a share of available water, at multiplier 1
   * @param evaporation the same, for what does not depend on the plant
   * @param spread sd of the loss as a share of it; at most 0.55 is used, so that no point turns negative
   */
  use(
    transpiration: number,
    evaporation: number,
    rain: number,
    depletion: number,
    spread: number,
    drift: number,
  ): void {
    const isStill = transpiration + evaporation + rain < 1e-9;
    if (!isStill) this.lose(transpiration, evaporation, rain, lossTable(depletion), Math.min(0.55, spread));
    if (drift > 0) this.driftUse(drift);
    if (!isStill || drift > 0) this.normalise();
  }

  private lose(transpiration: number, evaporation: number, rain: number, table: LossTable, sd: number): void {
    const { mass, spare, rowLow, rowHigh } = this;
    const { start, values } = table;
    spare.fill(0);
    // a whole column loses the same: each of its points is one shift along the table
    for (let j = this.columnLow; j <= this.columnHigh; j++) {
      const asked = (transpiration * (USE_MULTIPLIERS[j] as number) + evaporation) * TABLE_DENSITY;
      for (let p = 0; p < POINTS.length; p++) {
        const { z, weight } = POINTS[p] as (typeof POINTS)[number];
        const shift = asked * (1 + z * sd);
        for (let i = rowLow; i <= rowHigh; i++) {
          const whole = mass[i * USE_CELLS + j] as number;
          if (whole < NOTHING) continue;
          const here = whole * weight;
          // afterLoss by look-up and `placeOf`, both written out: this is the hot loop
          const moved = (start[i] as number) + shift;
          const at = moved < TABLE_STEPS ? moved : TABLE_STEPS;
          const below = at | 0;
          const value = values[below] as number;
          const left = value + ((values[below + 1] as number) - value) * (at - below) + rain;
          const middle = (left < 1 ? left : 1) * WATER_CELLS - 0.5;
          const place = middle > 0 ? (middle < WATER_CELLS - 1 ? middle : WATER_CELLS - 1) : 0;
          const lower = place | 0;
          const upper = here * (place - lower);
          const to = lower * USE_CELLS + j;
          spare[to] = (spare[to] as number) + here - upper;
          if (upper > 0) spare[to + USE_CELLS] = (spare[to + USE_CELLS] as number) + upper;
        }
      }
    }
    this.swap();
    // mass has moved down by the loss and up by the rain: its new bounds are found when it is made whole
    this.rowLow = 0;
    this.rowHigh = WATER_CELLS - 1;
  }

  /** A drink of a doubtful amount, as shares of available water. */
  drink(amount: number, sd: number, mix: { readonly dryBelow: number; readonly dryKeeps: number }): void {
    const { mass, spare, columnLow, columnHigh } = this;
    const rows = this.waterMarginal();
    spare.fill(0);
    let lowest = WATER_CELLS - 1;
    for (let i = this.rowLow; i <= this.rowHigh; i++) {
      const inRow = rows[i] as number;
      if (inRow < NOTHING) continue;
      const row = i * USE_CELLS;
      for (const { z, weight } of POINTS) {
        const place = placeOf(afterGain(WATER_MIDDLES[i] as number, Math.max(0, amount + z * sd), mix).w);
        const lower = place | 0;
        const toUpper = weight * (place - lower);
        const toLower = weight - toUpper;
        const to = lower * USE_CELLS;
        if (lower < lowest) lowest = lower;
        for (let j = columnLow; j <= columnHigh; j++)
          spare[to + j] = (spare[to + j] as number) + (mass[row + j] as number) * toLower;
        if (toUpper === 0) continue;
        const above = to + USE_CELLS;
        for (let j = columnLow; j <= columnHigh; j++)
          spare[above + j] = (spare[above + j] as number) + (mass[row + j] as number) * toUpper;
      }
    }
    this.swap();
    this.rowLow = lowest;
    this.rowHigh = WATER_CELLS - 1;
    this.normalise();
  }

  /** Something was seen: every cell is weighted by how likely that is at its water. */
  observe(chance: (w: number) => number): void {
    const { mass } = this;
    for (let i = this.rowLow; i <= this.rowHigh; i++) {
      const row = i * USE_CELLS;
      const likely = chance(WATER_MIDDLES[i] as number);
      for (let j = this.columnLow; j <= this.columnHigh; j++)
        mass[row + j] = (mass[row + j] as number) * likely;
    }
    this.normalise();
  }

  /**
   * Trusts what is believed of the water less: a share of each column's mass is spread evenly over the whole bag. What is
   * believed of the use stays.
   *
   * @param share 0 (nothing changes) to 1 (nothing is known of the water)
   */
  loosen(share: number): void {
    const { mass } = this;
    for (let j = this.columnLow; j <= this.columnHigh; j++) {
      let column = 0;
      for (let i = this.rowLow; i <= this.rowHigh; i++) column += mass[i * USE_CELLS + j] as number;
      const even = (share * column) / WATER_CELLS;
      for (let i = 0; i < WATER_CELLS; i++)
        mass[i * USE_CELLS + j] = (1 - share) * (mass[i * USE_CELLS + j] as number) + even;
    }
    this.rowLow = 0;
    this.rowHigh = WATER_CELLS - 1;
    this.normalise();
  }

  /** Mean relative available water. */
  meanWater(): number {
    const marginal = this.waterMarginal();
    let sum = 0;
    for (let i = 0; i < WATER_CELLS; i++) sum += (marginal[i] as number) * (WATER_MIDDLES[i] as number);
    return sum;
  }

  /** Chance that relative available water is below a level. */
  chanceBelow(level: number): number {
    const edge = level * WATER_CELLS;
    const marginal = this.waterMarginal();
    let sum = 0;
    for (let i = 0; i < WATER_CELLS; i++) sum += (marginal[i] as number) * Math.min(1, Math.max(0, edge - i));
    return sum;
  }

  /** Relative available water at given chances (ascending), straight within cells. */
  waterQuantiles(chances: readonly number[]): readonly number[] {
    const marginal = this.waterMarginal();
    return chances.map((chance) => {
      let sum = 0;
      for (let i = 0; i < WATER_CELLS; i++) {
        const p = marginal[i] as number;
        if (sum + p >= chance) return (i + (p > 0 ? (chance - sum) / p : 0)) / WATER_CELLS;
        sum += p;
      }
      return 1;
    });
  }

  /** The use multiplier at given chances, straight in its log between columns. */
  useQuantiles(chances: readonly number[]): readonly number[] {
    const columns = Array.from({ length: USE_CELLS }, (_, j) => {
      let sum = 0;
      for (let i = 0; i < WATER_CELLS; i++) sum += this.mass[i * USE_CELLS + j] as number;
      return sum;
    });
    return chances.map((chance) => {
      let sum = 0;
      for (let j = 0; j < USE_CELLS; j++) {
        const p = columns[j] as number;
        if (sum + p >= chance) {
          const inside = p > 0 ? (chance - sum) / p - 0.5 : 0;
          return Math.exp(-LOG_USE_REACH + (j + inside) * LOG_USE_STEP);
        }
        sum += p;
      }
      return Math.exp(LOG_USE_REACH);
    });
  }

  /** Mass by water alone, as the last normalisation found it. */
  private waterMarginal(): Float64Array {
    return this.marginal ?? NO_MARGINAL;
  }

  /** Use wanders: a three-point step along its log with the variance asked for. */
  private driftUse(sd: number): void {
    const side = Math.min(1 / 3, sd ** 2 / (2 * LOG_USE_STEP ** 2));
    const { mass, spare, rowLow, rowHigh } = this;
    // mass reaches one column further on each side
    const low = Math.max(0, this.columnLow - 1);
    const high = Math.min(USE_CELLS - 1, this.columnHigh + 1);
    for (let i = rowLow; i <= rowHigh; i++) {
      const row = i * USE_CELLS;
      let before = mass[row + low] as number;
      for (let j = low; j <= high; j++) {
        const here = mass[row + j] as number;
        const after = j < high ? (mass[row + j + 1] as number) : here;
        spare[row + j] = here + side * (before + after - 2 * here);
        before = here;
      }
    }
    this.columnLow = low;
    this.columnHigh = high;
    this.swap();
    // what the other page holds outside of these rows is of an earlier day
    this.clearOutside();
  }

  private swap(): void {
    [this.mass, this.spare] = [this.spare, this.mass];
  }

  /** Makes what lies outside of the bounds nothing. */
  private clearOutside(): void {
    const { mass, rowLow, rowHigh, columnLow, columnHigh } = this;
    mass.fill(0, 0, rowLow * USE_CELLS);
    mass.fill(0, (rowHigh + 1) * USE_CELLS);
    for (let i = rowLow; i <= rowHigh; i++) {
      const row = i * USE_CELLS;
      for (let j = 0; j < columnLow; j++) mass[row + j] = 0;
      for (let j = columnHigh + 1; j < USE_CELLS; j++) mass[row + j] = 0;
    }
  }

  /** Makes the mass whole again and finds where it lies: rows and columns with next to nothing are let go. */
  private normalise(): void {
    const { mass, columnLow, columnHigh } = this;
    rowSums.fill(0);
    columnSums.fill(0);
    let sum = 0;
    for (let i = this.rowLow; i <= this.rowHigh; i++) {
      const row = i * USE_CELLS;
      let inRow = 0;
      for (let j = columnLow; j <= columnHigh; j++) {
        const here = mass[row + j] as number;
        inRow += here;
        columnSums[j] = (columnSums[j] as number) + here;
      }
      rowSums[i] = inRow;
      sum += inRow;
    }
    if (!(sum > 0)) return;
    const least = sum * NEXT_TO_NOTHING;
    while (this.rowLow < this.rowHigh && (rowSums[this.rowLow] as number) < least) this.rowLow++;
    while (this.rowHigh > this.rowLow && (rowSums[this.rowHigh] as number) < least) this.rowHigh--;
    while (this.columnLow < this.columnHigh && (columnSums[this.columnLow] as number) < least)
      this.columnLow++;
    while (this.columnHigh > this.columnLow && (columnSums[this.columnHigh] as number) < least)
      this.columnHigh--;
    this.clearOutside();
    const whole = 1 / sum;
    const marginal = new Float64Array(WATER_CELLS);
    for (let i = this.rowLow; i <= this.rowHigh; i++) {
      marginal[i] = (rowSums[i] as number) * whole;
      const row = i * USE_CELLS;
      for (let j = this.columnLow; j <= this.columnHigh; j++) {
        const share = (mass[row + j] as number) * whole;
        // left to shrink it would become denormal, and every sum with it many times slower
        mass[row + j] = share < DENORMAL_AHEAD ? 0 : share;
      }
    }
    this.marginal = marginal;
  }
}

const NO_MARGINAL = new Float64Array(WATER_CELLS);

/** Sums of the last normalisation, by row and column; made once, since it runs at every step. */
const rowSums = new Float64Array(WATER_CELLS);
const columnSums = new Float64Array(USE_CELLS);

/** Where water lies along the cells: whole part the lower of the two nearest, rest the share of the upper. */
function placeOf(w: number): number {
  return Math.min(WATER_CELLS - 1, Math.max(0, w * WATER_CELLS - 0.5));
}

/** Losses by look-up, for one depletion share. */
interface LossTable {
  /** where each cell's middle stands in the table */
  readonly start: Float64Array;
  /** relative available water after an unstressed loss from full, `TABLE_DENSITY` points to a loss of 1 */
  readonly values: Float64Array;
}

const TABLE_DENSITY = 512;
const TABLE_STEPS = 4 * TABLE_DENSITY;
const tables = new Map<number, LossTable>();

/**
 * Along u(w) = w above the stress threshold and threshold × (1 + ln(w / threshold)) below it, every loss is a plain
 * shift. So a loss is one addition and one look-up, straight between points: within 1e-6 of {@link afterLoss}. A loss
 * of four times what the bag holds is the end of the table: what is left by then is below 0.1 %.
 */
function lossTable(depletion: number): LossTable {
  const found = tables.get(depletion);
  if (found) return found;
  const threshold = 1 - depletion;
  const shifted = WATER_MIDDLES.map((w) => (w >= threshold ? w : threshold * (1 + Math.log(w / threshold))));
  const table = {
    start: Float64Array.from(shifted, (u) => (1 - u) * TABLE_DENSITY),
    values: Float64Array.from({ length: TABLE_STEPS + 2 }, (_, n) =>
      afterLoss(1, n / TABLE_DENSITY, depletion),
    ),
  };
  tables.set(depletion, table);
  return table;
}
