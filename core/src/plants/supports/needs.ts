import type { Assumed } from '../../assumed/index.ts';
import { within } from '../../errors/index.ts';
import { soldLength } from './owned.ts';
import type { SupportKindId } from '../../records/index.ts';

/** How a string holds the foot of a stem: knotted under the root ball at planting, or in a loose loop. */
export type StringTail = 'under-ball' | 'loop';

/** One plant to be held up; heights above the ground, mm. */
export interface HeldPlant {
  readonly kindId: SupportKindId;
  /** top of the support, the wire for a string */
  readonly topMillimetres: number;
  readonly mixTopMillimetres: number;
  readonly leaders: number;
  readonly buriedMillimetres: number;
  readonly ballMillimetres: number;
}

/** The longest length of each kind of cane that is sold, mm. */
const SHORT_CANE = 900;

/** What is wanted of a product, in its own unit, and how it came to that. */
export interface SupportNeed {
  readonly productId: string;
  readonly amount: number;
  /** of it from the shed */
  readonly fromShed: number;
  readonly toBuy: number;
  /** of these, the longest is this long, mm; for string and canes */
  readonly lengthMillimetres?: number;
}

/**
 * String for one leader, mm: from the wire to the mix, its tail under the ball or its loop at the foot, what goes round the
 * stem, and the knots (model §7).
 *
 * @throws RundelError when the wire is not above the mix
 * @see docs/model.md, 4. Supports
 * @example
 * stringMillimetres({ topMillimetres: 2000, mixTopMillimetres: 300, buriedMillimetres: 150, ballMillimetres: 90 }, 'loop', DEFAULT_ASSUMED)
 * // => 2605
 */
export function stringMillimetres(plant: StringedPlant, tail: StringTail, assumed: Assumed): number {
  const { straight, winding, foot, knots } = stringParts(plant, tail, assumed);
  return Math.round(straight + winding + foot + knots);
}

type StringedPlant = Pick<
  HeldPlant,
  'topMillimetres' | 'mixTopMillimetres' | 'buriedMillimetres' | 'ballMillimetres'
>;

/** A string part by part, mm: from the wire to the mix, what goes round the stem, its loop or its tail under the ball, its knots. */
export function stringParts(plant: StringedPlant, tail: StringTail, assumed: Assumed) {
  within('topMillimetres', plant.topMillimetres, plant.mixTopMillimetres + 1, 6000);
  const straight = plant.topMillimetres - plant.mixTopMillimetres;
  return {
    straight,
    winding: straight * assumed.windingAllowance,
    // under the ball: down beside the stem, under it and up its other side
    foot: tail === 'loop' ? assumed.baseLoop : plant.buriedMillimetres + 2 * plant.ballMillimetres,
    knots: assumed.stringKnots,
  };
}

/** What one plant takes, by good. */
function takenBy(
  plant: HeldPlant,
  tail: StringTail,
  assumed: Assumed,
): readonly (readonly [string, number, number?])[] {
  const { kindId, leaders } = plant;
  const above = Math.max(0, plant.topMillimetres - plant.mixTopMillimetres);
  const cane = soldLength(above + assumed.caneFoot);
  const caneProduct = cane <= SHORT_CANE ? 'cane-short' : 'cane-long';
  const ties = Math.max(1, Math.ceil(above / assumed.tieEvery));
  switch (kindId) {
    case 'none':
    case 'planter-frame':
      return [];
    case 'string': {
      if (above <= 0) return [];
      const each = stringMillimetres(plant, tail, assumed);
      return [['string', (each * leaders) / 1000, each]];
    }
    case 'stake':
      return [
        [caneProduct, leaders, cane],
        ['cane-caps', leaders],
        ['ties', ties * leaders],
      ];
    case 'canes':
      return [
        [caneProduct, 3, cane],
        ['cane-caps', 3],
        ['ties', ties + 1],
      ];
    case 'triangle':
      return [
        ['cane-short', 3, cane],
        ['cane-caps', 3],
      ];
    case 'cage':
      return [['cage', 1]];
    case 'two-cages':
      return [
        ['cage', 2],
        ['cane-long', 1, cane],
        ['cane-caps', 1],
        ['ties', 4],
      ];
    case 'tower':
      return [['tower', 1]];
    case 'frame':
      return [
        ['bag-frame', 1],
        ['ties', ties * leaders],
      ];
  }
}

/**
 * What all plants together take of string, canes, caps, ties, cages, towers and frames; the shed's stock goes first.
 * String comes in whole metres; a frame serves all the plants of its bag, so pass it with one of them only.
 *
 * @param stock by good, in the product's own unit
 */
export function supportNeeds(
  plants: readonly HeldPlant[],
  tail: StringTail,
  stock: ReadonlyMap<string, number>,
  assumed: Assumed,
): readonly SupportNeed[] {
  const sums = new Map<string, { amount: number; length: number | undefined }>();
  for (const plant of plants) {
    for (const [productId, amount, length] of takenBy(plant, tail, assumed)) {
      const sum = sums.get(productId) ?? { amount: 0, length: undefined };
      const longest = length === undefined ? sum.length : Math.max(length, sum.length ?? 0);
      sums.set(productId, { amount: sum.amount + amount, length: longest });
    }
  }
  return [...sums].map(([productId, { amount: exact, length }]) => {
    const amount = Math.ceil(exact - 1e-9);
    const fromShed = Math.min(amount, Math.max(0, Math.floor(stock.get(productId) ?? 0)));
    return {
      productId,
      amount,
      fromShed,
      toBuy: amount - fromShed,
      ...(length === undefined ? {} : { lengthMillimetres: length }),
    };
  });
}

/**
 * What a wire bears at the peak of the crop, kg: leaf cover × weight a square metre, and the same with the margin for wet
 * leaves and wind. A caution, not a design: who hangs it up asks someone who knows the house.
 *
 * @param canopySquareMetres of all plants on it together, grown
 * @example
 * wireLoad(1.2, DEFAULT_ASSUMED)
 * // ≈> { kilograms: 8.4, withMargin: 16.8 }
 */
export function wireLoad(
  canopySquareMetres: number,
  assumed: Assumed,
): { readonly kilograms: number; readonly withMargin: number } {
  const kilograms = within('canopySquareMetres', canopySquareMetres, 0, 1000) * assumed.plantWeight;
  return { kilograms, withMargin: kilograms * assumed.wireSafety };
}
