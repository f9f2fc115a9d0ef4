import {
  LOG_USE_REACH,
  LOG_USE_STEP,
  lossScale,
  placesOfChances,
  onLossScale,
  POINTS,
  USE_CELLS,
  USE_MULTIPLIERS,
  WATER_CELLS,
  WATER_MIDDLES,
  type LossScale,
} from './grid.ts';
import { CELLS, drainedFrom, planWatering, refillColumn } from './cells/index.ts';
import { sampler, type BeliefSampler } from './sampler.ts';
import { StoreBelief, type StoreShare } from './store-belief.ts';

/** A column with less than this of the whole is let go. */
const NEXT_TO_NOTHING = 1e-5;

/** No loss turns negative up to this sd, as a share of it. */
export const MOST_SPREAD = 0.55;

/** Time that passes over a bag: what it asks for and brings, as shares of available water. */
export interface StepInput {
  /** unstressed use at multiplier 1 */
  readonly transpiration: number;
  /** what does not depend on the plant */
  readonly evaporation: number;
  /** rain and drip */
  readonly gain: number;
  /** sd of the loss as a share of it; at most {@link MOST_SPREAD} is used */
  readonly spread: number;
  /** sd of the wandering of the log of use over it */
  readonly drift: number;
  /** refilling by each store over it: share of the deficit a day × days */
  readonly refillRates: readonly number[];
  /** sd of the log of how hard they refill; left out: it is known */
  readonly refillSpread?: number;
}

/**
 * What is believed of one bag: a distribution over (relative available water, use multiplier) on a grid, and what its
 * stores hold for each use multiplier.
 *
 * The one mutable thing in core, for speed: a run owns its belief and hands out plain summaries of it. Cells are
 * stored column by column (`mass[use * WATER_CELLS + water]`) and always sum to 1. One belief at a time lies where the
 * loops work; the others keep their cells to themselves until they are asked something.
 *
 * Time moves a column by its cumulative distribution: along the scale of losses every loss is a shift, so that the
 * chance of ending below an edge is the chance of having been below edge + loss, averaged over a loss that is spread
 * evenly about its mean (with the variance asked for). That is two check-ups an edge, exact for mass within cells.
 */
export class Belief {
  /** its cells while it is not the one at work */
  private readonly kept = new Float64Array(WATER_CELLS * USE_CELLS);
  /** mass by water alone, while it holds */
  private readonly byWater = new Float64Array(WATER_CELLS);
  private isSummed = false;
  /** the columns in which there is any mass, both ends included: what lies outside is nothing */
  /** of the losses that it was last taken over: a bag's is always the same */
  private scale: LossScale | undefined;
  private columnLow = 0;
  private columnHigh = USE_CELLS - 1;

  private constructor(readonly stores: StoreBelief) {}

  /** A normal prior over water (cut to 0–1) and a log-normal one over use. */
  static prior(
    water: { readonly mean: number; readonly sd: number },
    logUseSd: number,
    stores: readonly StoreShare[] = [],
  ): Belief {
    const belief = new Belief(StoreBelief.start(stores));
    const mass = Belief.bring(belief);
    let sum = 0;
    for (let j = 0; j < USE_CELLS; j++) {
      const logUse = -LOG_USE_REACH + j * LOG_USE_STEP;
      for (let i = 0; i < WATER_CELLS; i++) {
        const z = ((WATER_MIDDLES[i] as number) - water.mean) / water.sd;
        const here = Math.exp(-(z * z) / 2 - (logUse / logUseSd) ** 2 / 2);
        mass[j * WATER_CELLS + i] = here;
        sum += here;
      }
    }
    CELLS.scale(0, USE_CELLS - 1, 1 / sum);
    belief.summed();
    return belief;
  }

  /** A bag that was just watered through, with what another belief knows of the use; nothing else of that one is taken. */
  static wateredThrough(useOf: Belief, stores: readonly StoreShare[] = []): Belief {
    const columns = Array.from({ length: USE_CELLS }, (_, j) => useOf.columnMass(j));
    const belief = new Belief(StoreBelief.start(stores));
    const mass = Belief.bring(belief);
    mass.fill(0);
    columns.forEach((chance, j) => {
      mass[(j + 1) * WATER_CELLS - 1] = chance;
    });
    CELLS.scale(0, USE_CELLS - 1, 1);
    belief.summed();
    return belief;
  }

  copy(): Belief {
    const other = new Belief(this.stores.copy());
    other.kept.set(Belief.atWork === this ? CELLS.mass : this.kept);
    other.columnLow = this.columnLow;
    other.columnHigh = this.columnHigh;
    copyInto(other.byWater, this.byWater);
    other.isSummed = this.isSummed;
    other.scale = this.scale;
    return other;
  }

  /** The belief whose cells lie where the loops work. */
  private static atWork: Belief | undefined;

  /** A belief's cells, brought to where the loops work. */
  private static bring(belief: Belief): Float64Array {
    if (Belief.atWork !== belief) {
      Belief.atWork?.kept.set(CELLS.mass);
      CELLS.mass.set(belief.kept);
      Belief.atWork = belief;
    }
    return CELLS.mass;
  }

  /** Time passes: each column loses its own use, with the doubt of the demand, is refilled by its stores, and gains rain. */
  advance(input: StepInput, depletion: number): void {
    const { transpiration, evaporation, gain, drift } = input;
    const isStill = transpiration + evaporation + gain < 1e-9 && !this.stores.refillRates(input.refillRates);
    this.isSummed = false;
    if (!isStill) this.lose(input, depletion);
    if (drift > 0) this.driftUse(drift);
  }

  private lose(input: StepInput, depletion: number): void {
    if (this.scale?.threshold !== 1 - depletion) this.scale = lossScale(depletion);
    const { scale } = this;
    const { transpiration, evaporation, gain } = input;
    const spread = Math.min(MOST_SPREAD, input.spread);
    const mass = Belief.bring(this);
    const { targets } = CELLS;
    copyInto(CELLS.edges, scale.edges);
    if (gain === 0) copyInto(targets, scale.edges);
    else
      for (let e = 1; e < WATER_CELLS; e++) {
        const w = e / WATER_CELLS - gain;
        targets[e] = w > 0 ? onLossScale(w, scale.threshold) : -Infinity;
      }
    if (this.stores.count === 0) {
      CELLS.lose(this.columnLow, this.columnHigh, transpiration, evaporation, spread * ROOT_THREE);
      return;
    }
    let released = 0;
    for (let j = this.columnLow; j <= this.columnHigh; j++) {
      const asked = transpiration * (USE_MULTIPLIERS[j] as number) + evaporation;
      released += this.loseWithStores(mass, j, asked, input, depletion, scale);
    }
    this.stores.doubt(released);
  }

  /** One column loses what is asked while stores refill the mix. Returns what they gave it, weighted by its mass. */
  private loseWithStores(
    mass: Float64Array,
    j: number,
    asked: number,
    input: StepInput,
    depletion: number,
    scale: LossScale,
  ): number {
    const { stores } = this;
    const { gain, refillRates } = input;
    const spread = Math.min(MOST_SPREAD, input.spread);
    const column = mass.subarray(j * WATER_CELLS, (j + 1) * WATER_CELLS);
    const total = this.columnMass(j);
    if (total === 0) return 0;
    const losses = POINTS.map(({ z }) => asked * (1 + z * spread));
    const [stored, refillRate] = [stores.stored(j), stores.refillRate(j, refillRates)];
    // what asks most is taken with what is refilled least, so that one set of points stands for both doubts
    const rates = POINTS.map(({ z }) => refillRate * Math.exp(-z * (input.refillSpread ?? 0)));
    const change = stores.releasedTo(j, { shares: column, total, losses, rates, gain, depletion });
    refillColumn(mass, j * WATER_CELLS, CELLS.targets, { losses, refillRates: rates, stored, gain }, scale);
    stores.move(j, change, refillRates);
    return change.released * total;
  }

  /** A watering of a doubtful amount, as shares of available water; what runs through goes to the stores that catch it. */
  watering(amount: number, sd: number, mix: { readonly dryBelow: number; readonly dryKeeps: number }): void {
    const mass = Belief.bring(this);
    planWatering(CELLS, amount, sd, mix);
    if (this.stores.count > 0)
      for (let j = this.columnLow; j <= this.columnHigh; j++)
        this.stores.catch(j, drainedFrom(mass, j * WATER_CELLS));
    CELLS.pour(this.columnLow, this.columnHigh);
    this.summed();
  }

  /**
   * Something was seen: every cell is weighted by how likely that is at its water (see `weightsBy`). What cannot have been
   * seen at any water that is believed in changes nothing.
   */
  observe(weights: Float64Array): void {
    const left = this.chanceOf(weights);
    if (left === 0) return;
    Belief.bring(this);
    // the mass is whole again by the weights themselves
    for (let i = 0; i < WATER_CELLS; i++) CELLS.weights[i] = (weights[i] as number) / left;
    CELLS.weigh(this.columnLow, this.columnHigh);
    this.summed();
    this.trim();
  }

  /** How likely something was to be seen, by its weights for each water. */
  chanceOf(weights: Float64Array): number {
    const marginal = this.waterMarginal();
    let sum = 0;
    for (let i = 0; i < WATER_CELLS; i++) sum += (marginal[i] as number) * (weights[i] as number);
    return sum;
  }

  /** A store's level (`share` full, 0 to 1) was seen: columns whose store would stand elsewhere lose weight, and all move to it. */
  observeLevel(store: number, share: number, sd: number): void {
    const mass = Belief.bring(this);
    let sum = 0;
    for (let j = this.columnLow; j <= this.columnHigh; j++) {
      const weight = this.stores.see(store, j, share, sd);
      for (let i = 0; i < WATER_CELLS; i++) {
        const here = (mass[j * WATER_CELLS + i] as number) * weight;
        mass[j * WATER_CELLS + i] = here;
        sum += here;
      }
    }
    this.stores.seen(store, sd);
    CELLS.scale(this.columnLow, this.columnHigh, 1 / sum);
    this.summed();
    this.trim();
  }

  /**
   * Trusts what is believed of the water less: a share of each column's mass is spread evenly over the whole bag. What is
   * believed of the use stays.
   *
   * @param share 0 (nothing changes) to 1 (nothing is known of the water)
   */
  flatten(share: number): void {
    const mass = Belief.bring(this);
    for (let j = this.columnLow; j <= this.columnHigh; j++) {
      const even = (share * this.columnMass(j)) / WATER_CELLS;
      for (let i = 0; i < WATER_CELLS; i++)
        mass[j * WATER_CELLS + i] = (1 - share) * (mass[j * WATER_CELLS + i] as number) + even;
    }
    this.isSummed = false;
  }

  /** Mean relative available water. */
  meanWater(): number {
    return this.moments().mean;
  }

  /** Relative available water: mean and standard deviation. */
  moments(): { readonly mean: number; readonly sd: number } {
    const marginal = this.waterMarginal();
    let mean = 0;
    let square = 0;
    for (let i = 0; i < WATER_CELLS; i++) {
      const w = WATER_MIDDLES[i] as number;
      const part = (marginal[i] as number) * w;
      mean += part;
      square += part * w;
    }
    return { mean, sd: Math.sqrt(Math.max(0, square - mean * mean)) };
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
  waterQuantiles(wanted: readonly number[]): readonly number[] {
    const places = placesOfChances(this.waterMarginal(), wanted);
    for (let n = 0; n < places.length; n++) places[n] = Math.min(1, (places[n] as number) / WATER_CELLS);
    return places;
  }

  /** The use multiplier at given chances (ascending), straight in its log between columns. */
  useQuantiles(wanted: readonly number[]): readonly number[] {
    const columns = Array.from({ length: USE_CELLS }, (_, j) => this.columnMass(j));
    return placesOfChances(columns, wanted).map((place) =>
      Math.exp(-LOG_USE_REACH + (place - 0.5) * LOG_USE_STEP),
    );
  }

  /** The share of each store that is full, weighted over the columns: mean and sd. */
  levelOf(store: number): { readonly mean: number; readonly sd: number } {
    return this.stores.level(store, (j) => this.columnMass(j));
  }

  /**
   * Draws from the belief, each by two even numbers. What all draws have in common is summed once; the belief must not be
   * taken further between them.
   */
  drawer(): BeliefSampler {
    const mass = Belief.bring(this).slice();
    const columns = Float64Array.from({ length: USE_CELLS }, (_, j) => this.columnMass(j));
    return sampler(mass, columns, this.columnLow, this.columnHigh);
  }

  private columnMass(j: number): number {
    const mass = Belief.bring(this);
    const stop = (j + 1) * WATER_CELLS;
    let sum = 0;
    for (let n = j * WATER_CELLS; n < stop; n++) sum += mass[n] as number;
    return sum;
  }

  /** Mass by water alone. */
  private waterMarginal(): Float64Array {
    if (!this.isSummed) {
      Belief.bring(this);
      CELLS.scale(this.columnLow, this.columnHigh, 1);
      this.summed();
    }
    return this.byWater;
  }

  /** Use wanders: a three-point step along its log with the variance asked for. */
  private driftUse(sd: number): void {
    const side = Math.min(1 / 3, sd ** 2 / (2 * LOG_USE_STEP ** 2));
    Belief.bring(this);
    // mass reaches one column further on each side
    this.columnLow = Math.max(0, this.columnLow - 1);
    this.columnHigh = Math.min(USE_CELLS - 1, this.columnHigh + 1);
    if (this.stores.count > 0)
      this.stores.wander(this.columnLow, this.columnHigh, side, (j) => this.columnMass(j));
    CELLS.wander(this.columnLow, this.columnHigh, side);
    this.summed();
    this.trim();
  }

  /** Keeps the mass by water that the loops summed on their way. */
  private summed(): void {
    copyInto(this.byWater, CELLS.marginal);
    this.isSummed = true;
  }

  /** Lets go of outer columns with next to nothing. */
  private trim(): void {
    CELLS.trim(this.columnLow, this.columnHigh, NEXT_TO_NOTHING);
    this.columnLow = CELLS.reach[0] as number;
    this.columnHigh = CELLS.reach[1] as number;
  }
}

const ROOT_THREE = Math.sqrt(3);

/** A short list into another: asking the platform for it costs more than the loop. */
function copyInto(to: Float64Array, from: Float64Array): void {
  for (let i = 0; i < from.length; i++) to[i] = from[i] as number;
}
