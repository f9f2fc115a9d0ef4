/**
 * The loops over the cells of one belief, and where they work: its mass is brought to `mass`, and what an operation needs
 * is written to the other places before it. All columns from `low` to `high` are taken, both included; what lies outside
 * holds nothing. Shapes and meaning as in {@link Belief}.
 */
export interface CellWork {
  /** `mass[use * WATER_CELLS + water]` */
  readonly mass: Float64Array;
  /** mass by water alone, as {@link wander}, {@link weigh}, {@link scale} and {@link pour} leave it */
  readonly marginal: Float64Array;
  /** for {@link weigh}: one for each water */
  readonly weights: Float64Array;
  /** for {@link lose}: the edges of the cells on the scale of losses, and where on it water must lie to end below each */
  readonly edges: Float64Array;
  readonly targets: Float64Array;
  /**
   * for {@link pour}, see `planWatering`: cells with `brims[i]` 1 go to the uppermost; of the others each point p takes its
   * weight of the mass to cell `lowers[3 i + p]`, but a share `uppers[3 i + p]` of that to the one above it
   */
  readonly brims: Int32Array;
  readonly lowers: Int32Array;
  readonly uppers: Float64Array;
  /** the first and the last column that {@link trim} left */
  readonly reach: Int32Array;

  /** Each column loses `transpiration` × its use + `evaporation`, spread evenly over ± `halfShare` of that. */
  lose(low: number, high: number, transpiration: number, evaporation: number, halfShare: number): void;
  /** Each column gives `side` (0 to 1/3) of its mass to each neighbour; at both ends it stays. */
  wander(low: number, high: number, side: number): void;
  /** Weights every cell by its water. */
  weigh(low: number, high: number): void;
  /** Takes every cell `times`. */
  scale(low: number, high: number, times: number): void;
  /** Lets go of outer columns with less than `least`: each gives what it holds to the next one inwards, so that the whole stays. */
  trim(low: number, high: number, least: number): void;
  /** Moves mass by the planned moves. */
  pour(low: number, high: number): void;
}
