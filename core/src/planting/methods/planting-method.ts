import type { Assumed } from '../../assumed/index.ts';
import type { Ring, Solid } from '../../bags/index.ts';
import type { Crop, HeightBelief, Reaching } from '../../plants/index.ts';
import type { StemFigures } from '../depth.ts';
import type { Seedling, PlantingMethodId } from '../../records/index.ts';

/** The place that a seedling goes to: the bag as far as planting is concerned, and the practice in use. */
export interface PlantingSite {
  readonly solid: Solid;
  /** settled mix, mm above the lowest mix */
  readonly mixMillimetres: number;
  /** share of its volume that loose mix loses at the first watering */
  readonly settling: number;
  /** length of mix along the bag that is this plant's own, mm */
  readonly runMillimetres: number;
  /** sides that can be rolled down while the bag is part-filled */
  readonly canBeRolled: boolean;
  readonly ring: Ring | undefined;
  /** air between the bottom of a net and the nutrient, mm; undefined when it is no net-cup bag */
  readonly netGapMillimetres: number | undefined;
  readonly practiceId: string;
}

export interface PlantingTask {
  readonly seedling: Seedling;
  readonly crop: Crop;
  readonly site: PlantingSite;
  /** how the plant will grow, from a height above the mix in mm */
  growthFrom(aboveMillimetres: number): HeightBelief;
  readonly assumed: Assumed;
}

/** Mix that is added later as the plant grows. */
export interface TopUp {
  /** settled level after it, mm */
  readonly toMillimetres: number;
  /** loose mix, L */
  readonly litres: number;
  /** days after planting at which the plant is tall enough */
  readonly when: Reaching;
}

/** How a plant goes in, all lengths in mm. `stem.buried + stem.above = stem length` in every way. */
export interface PlantingPlan {
  readonly plantingMethodId: PlantingMethodId;
  readonly stem: StemFigures;
  /** depth and width of the hole, or of the trench across; 0 where nothing is dug */
  readonly hole: { readonly depthMillimetres: number; readonly widthMillimetres: number };
  /** loose mix under the ball */
  readonly belowBallMillimetres: number;
  /** settled level of the mix at planting; lower than the bag's own when it is topped up later */
  readonly levelMillimetres: number;
  /** loose mix that goes back round the ball, L */
  readonly backfillLitres: number;
  /** how far the surface sinks at the first watering if all of the mix is fresh and loose */
  readonly sinksMillimetres: number;
  readonly trench?: {
    readonly lengthMillimetres: number;
    readonly bendRadiusMillimetres: number;
    /** where the tip comes out, from the end where the ball lies */
    readonly tipMillimetres: number;
    /** how steeply it comes out; it rights itself in days */
    readonly tipDegrees: number;
  };
  readonly collar?: {
    readonly heightMillimetres: number;
    readonly widthMillimetres: number;
    /** loose mix inside it, L */
    readonly litres: number;
  };
  /** mix to put in before planting where it is filled low: in all places together, loose and once it has settled, L */
  readonly firstFill?: { readonly looseLitres: number; readonly settledLitres: number };
  readonly topUps: readonly TopUp[];
  readonly net?: { readonly rootsReach: boolean; readonly gapMillimetres: number };
  readonly seed?: Crop['sowing'];
}

/** What could be changed so that it would work. */
export type Remedy =
  | 'deeper-bag'
  | 'longer-bag'
  | 'less-mulch'
  | 'trench'
  | 'collar'
  | 'low-start'
  | 'upright'
  | 'gentler-practice'
  | 'wait'
  | 'rolling-bag';

/** Why a way is closed: the number that stands in the way, and what would change it. Nothing is planned then. */
export interface Obstacle {
  readonly places:
    | 'mix-too-shallow'
    | 'ball-too-tall'
    | 'stem-too-short'
    | 'run-too-short'
    | 'graft-too-low'
    | 'collar-too-tall'
    | 'nothing-to-gain'
    | 'wrong-crop'
    | 'wrong-bag';
  readonly hasMillimetres?: number;
  readonly needsMillimetres?: number;
  readonly remedies: readonly Remedy[];
}

export type PlantingOutcome =
  | { readonly kind: 'planned'; readonly plan: PlantingPlan }
  | { readonly kind: 'cannot'; readonly plantingMethodId: PlantingMethodId; readonly obstacle: Obstacle };

/** A planting method as data. To add one: write it in a file beside this one and list it in `ways/index.ts`. */
export interface PlantingMethod {
  readonly id: PlantingMethodId;
  readonly name: string;
  readonly description: string;
  plan(task: PlantingTask): PlantingOutcome;
}
