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
const NEXT_TO_NOTHING = 1e-15;

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
    const { mass, spare } = this;
    const { start, values } = table;
    spare.fill(0);
    for (let i = 0; i < WATER_CELLS; i++) {
      const row = i * USE_CELLS;
      const from = start[i] as number;
      for (let j = 0; j < USE_CELLS; j++) {
        const here = mass[row + j] as number;
        if (here < NOTHING) continue;
        const asked = (transpiration * (USE_MULTIPLIERS[j] as number) + evaporation) * TABLE_DENSITY;
        for (let p = 0; p < POINTS.length; p++) {
          const { z, weight } = POINTS[p] as (typeof POINTS)[number];
          // afterLoss by look-up and `placeOf`, both written out: this is the hot loop
          const at = Math.min(TABLE_STEPS, from + asked * (1 + z * sd));
          const below = at | 0;
          const value = values[below] as number;
          const left = value + ((values[below + 1] as number) - value) * (at - below) + rain;
          const place = Math.min(WATER_CELLS - 1, Math.max(0, (left < 1 ? left : 1) * WATER_CELLS - 0.5));
          const lower = place | 0;
          const upper = here * weight * (place - lower);
          const to = lower * USE_CELLS + j;
          spare[to] = (spare[to] as number) + here * weight - upper;
          if (upper > 0) spare[to + USE_CELLS] = (spare[to + USE_CELLS] as number) + upper;
        }
      }
    }
    this.swap();
  }

  /** A drink of a doubtful amount, as shares of available water. */
  drink(amount: number, sd: number, mix: { readonly dryBelow: number; readonly dryKeeps: number }): void {
    const { mass, spare } = this;
    const rows = this.waterMarginal();
    spare.fill(0);
    for (let i = 0; i < WATER_CELLS; i++) {
      if ((rows[i] as number) < NOTHING) continue;
      const row = i * USE_CELLS;
      for (const { z, weight } of POINTS) {
        const place = placeOf(afterGain(WATER_MIDDLES[i] as number, Math.max(0, amount + z * sd), mix).w);
        const lower = Math.floor(place);
        const toUpper = weight * (place - lower);
        const to = lower * USE_CELLS;
        for (let j = 0; j < USE_CELLS; j++) {
          spare[to + j] = (spare[to + j] as number) + (mass[row + j] as number) * (weight - toUpper);
        }
        if (toUpper === 0) continue;
        for (let j = 0; j < USE_CELLS; j++) {
          spare[to + USE_CELLS + j] =
            (spare[to + USE_CELLS + j] as number) + (mass[row + j] as number) * toUpper;
        }
      }
    }
    this.swap();
    this.normalise();
  }

  /** Something was seen: every cell is weighted by how likely that is at its water. */
  observe(chance: (w: number) => number): void {
    const { mass } = this;
    for (let i = 0; i < WATER_CELLS; i++) {
      const row = i * USE_CELLS;
      const likely = chance(WATER_MIDDLES[i] as number);
      for (let j = 0; j < USE_CELLS; j++) mass[row + j] = (mass[row + j] as number) * likely;
    }
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

  /** Mass by water alone; worked out once after each change. */
  private waterMarginal(): Float64Array {
    if (this.marginal) return this.marginal;
    const { mass } = this;
    const marginal = new Float64Array(WATER_CELLS);
    for (let i = 0; i < WATER_CELLS; i++) {
      const row = i * USE_CELLS;
      let sum = 0;
      for (let j = 0; j < USE_CELLS; j++) sum += mass[row + j] as number;
      marginal[i] = sum;
    }
    this.marginal = marginal;
    return marginal;
  }

  /** Use wanders: a three-point step along its log with the variance asked for. */
  private driftUse(sd: number): void {
    const side = Math.min(1 / 3, sd ** 2 / (2 * LOG_USE_STEP ** 2));
    const { mass, spare } = this;
    for (let i = 0; i < WATER_CELLS; i++) {
      const row = i * USE_CELLS;
      let before = mass[row] as number;
      for (let j = 0; j < USE_CELLS; j++) {
        const here = mass[row + j] as number;
        const after = j + 1 < USE_CELLS ? (mass[row + j + 1] as number) : here;
        spare[row + j] = here + side * (before + after - 2 * here);
        before = here;
      }
    }
    this.swap();
  }

  private swap(): void {
    [this.mass, this.spare] = [this.spare, this.mass];
  }

  private normalise(): void {
    this.marginal = undefined;
    const { mass } = this;
    let sum = 0;
    for (let at = 0; at < mass.length; at++) sum += mass[at] as number;
    if (!(sum > 0)) return;
    const whole = 1 / sum;
    // what is next to nothing is made nothing: left to shrink it becomes denormal, and every sum with it many times slower
    for (let at = 0; at < mass.length; at++) {
      const share = (mass[at] as number) * whole;
      mass[at] = share < NEXT_TO_NOTHING ? 0 : share;
    }
  }
}

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
