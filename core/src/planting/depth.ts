import type { Assumed } from '../assumed/index.ts';
import { RundelError } from '../errors/index.ts';
import { DEPTH_PRACTICES, type DepthPractice } from './practices.ts';
import { leafHeights } from './seedling.ts';
import { type Seedling } from '../records/index.ts';

/** What decided the depth: the practice's crown, the graft, the leaves, the bag, or that the crop wants its old level. */
export type DepthLimit = 'crown' | 'graft' | 'seed-leaves' | 'bag' | 'level';

/** An upright planting, every length in mm. `buried + above = stem` always. */
export interface UprightPlanting {
  /** stem below the surface of the settled mix */
  readonly buriedMillimetres: number;
  /** plant above that surface */
  readonly aboveMillimetres: number;
  /** hole to dig: buried stem and root ball */
  readonly holeMillimetres: number;
  /** loose mix left below the root ball for roots to go into */
  readonly belowBallMillimetres: number;
  /** leaf joints to clear, from below: those under the surface or so close that they would lie on it */
  readonly stripLeaves: number;
  /** height of the first leaf that stays, above the surface; undefined when every joint is cleared but the tip */
  readonly firstLeafMillimetres: number | undefined;
  readonly limit: DepthLimit;
}

export type DepthAdvice =
  | {
      readonly kind: 'upright';
      readonly planting: UprightPlanting;
      readonly practice: DepthPractice | undefined;
    }
  | {
      readonly kind: 'does-not-fit';
      readonly practice: DepthPractice | undefined;
      /** what the practice asks for and what the bag has, mm: the number that stands in the way */
      readonly wantedHoleMillimetres: number;
      readonly mixMillimetres: number;
      /** mix that would be needed for the practice's depth, mm */
      readonly neededMixMillimetres: number;
      /** as deep as it goes upright; undefined when even the root ball is deeper than the mix */
      readonly instead: UprightPlanting | undefined;
    };

/** The place a seedling goes to. */
export interface PlantingPlace {
  /** how the crop takes a buried stem */
  readonly depth: 'stem-roots' | 'level';
  /** settled mix in the bag, mm */
  readonly mixMillimetres: number;
  readonly practiceId?: string;
}

/**
 * How deep to plant a seedling, upright.
 *
 * Method (handbook 5, model §5): crops that stay level are planted with nothing buried. Tomatoes are buried as far
 * as the practice's crown allows and never so far that a graft comes within its margin of the surface; leaves that
 * would be under the mix or lie on it are stripped. Where the bag is too shallow for that, the result says so
 * and carries the deepest planting that does go in.
 *
 * @throws RundelError when the mix is not 20–1200 mm deep
 * @see docs/model.md, 3. Planting
 * @example
 * planUpright({ stemMillimetres: 300, ballMillimetres: 80 }, { depth: 'stem-roots', mixMillimetres: 350 }, DEFAULT_ASSUMED).planting.buriedMillimetres
 * // => 200
 */
export function planUpright(seedling: Seedling, place: PlantingPlace, assumed: Assumed): DepthAdvice {
  const { mixMillimetres } = place;
  if (!(mixMillimetres >= 20 && mixMillimetres <= 1200)) {
    throw new RundelError('out-of-range', 'mixMillimetres', mixMillimetres, 'from 20 to 1200');
  }
  const practice = place.depth === 'level' ? undefined : practiceOf(place.practiceId ?? 'first-leaves');
  const below = practice?.below === 'none' ? 0 : assumed.mixBelowBall;
  const wanted = practice ? wantedDepth(seedling, practice, assumed) : { buried: 0, limit: 'level' as const };
  const roomForStem = mixMillimetres - below - seedling.ballMillimetres;
  const reached = Math.min(wanted.buried, roomForStem);
  const isWhole = reached === wanted.buried;
  // the practice of the bottom takes whatever the bag gives: there the bag may decide without anything "not fitting"
  if (reached >= 0 && (isWhole || practice?.below === 'none')) {
    const limit = isWhole ? wanted.limit : 'bag';
    return {
      kind: 'upright',
      practice,
      planting: upright(seedling, reached, limit, mixMillimetres, assumed),
    };
  }
  // as a last resort the ball gives up the loose mix below it and stands on the base
  const instead = reached < 0 && seedling.ballMillimetres <= mixMillimetres ? 0 : reached;
  return {
    kind: 'does-not-fit',
    practice,
    wantedHoleMillimetres: wanted.buried + seedling.ballMillimetres,
    mixMillimetres,
    neededMixMillimetres: wanted.buried + seedling.ballMillimetres + below,
    instead: instead >= 0 ? upright(seedling, instead, 'bag', mixMillimetres, assumed) : undefined,
  };
}

/**
 * The planting that results from a depth the grower chose instead, whatever any practice says.
 * A depth outside what stem and bag allow is pulled to the nearest that does.
 */
export function plantingAtDepth(
  seedling: Seedling,
  buriedMillimetres: number,
  mixMillimetres: number,
  assumed: Assumed,
): UprightPlanting {
  const most = Math.min(seedling.stemMillimetres, mixMillimetres - seedling.ballMillimetres);
  const buried = Math.max(0, Math.min(buriedMillimetres, most));
  return upright(seedling, buried, 'bag', mixMillimetres, assumed);
}

/** A practice of depth by its id; one that is not known here is taken for the first. */
export function practiceOf(id: string): DepthPractice {
  return DEPTH_PRACTICES.find((s) => s.id === id) ?? (DEPTH_PRACTICES[0] as DepthPractice);
}

/** The stem of a seedling at a buried length: what stays above and which leaves go. `buried + above = stem`. */
export type StemFigures = Pick<
  UprightPlanting,
  'buriedMillimetres' | 'aboveMillimetres' | 'stripLeaves' | 'firstLeafMillimetres' | 'limit'
>;

/** The deepest that a practice's crown and a graft allow, before leaves and bag have their say. */
export function wantedDepth(
  seedling: Seedling,
  practice: DepthPractice,
  assumed: Assumed,
): { readonly buried: number; readonly limit: 'crown' | 'graft' | 'seed-leaves' } {
  const byCrown = Math.max(0, deepestByCrown(seedling, practice, assumed));
  const byGraft =
    seedling.graftMillimetres === undefined
      ? Infinity
      : Math.max(0, seedling.graftMillimetres - assumed.graftMargin);
  if (byGraft < byCrown) return { buried: byGraft, limit: 'graft' };
  return { buried: byCrown, limit: practice.crown.leave === 'seed-leaves' ? 'seed-leaves' : 'crown' };
}

function deepestByCrown(seedling: Seedling, practice: DepthPractice, assumed: Assumed): number {
  const stem = seedling.stemMillimetres;
  switch (practice.crown.leave) {
    case 'all':
      return 0;
    case 'share':
      return stem - Math.max(stem * assumed.crownShare, assumed.crownLeast);
    case 'least':
      return stem - assumed.crownLeast;
    case 'seed-leaves':
      return seedling.seedLeafMillimetres ?? (leafHeights(seedling, assumed.bareStemShare)[0] ?? stem) / 2;
    case 'top-and-one-leaf': {
      const leaves = leafHeights(seedling, assumed.bareStemShare);
      // the tip counts as the last joint, so the one good leaf is the one before it
      return (leaves.at(-2) ?? stem) - assumed.leafClearance;
    }
  }
}

/** The stem's own figures, whatever way it goes under. */
export function stemFigures(
  seedling: Seedling,
  buried: number,
  limit: DepthLimit,
  assumed: Assumed,
): StemFigures {
  const leaves = leafHeights(seedling, assumed.bareStemShare);
  const clear = limit === 'level' ? 0 : buried + assumed.leafClearance;
  // half a millimetre of grace: a leaf exactly at the clearance stays
  const staying = leaves.filter((height) => height >= clear - 0.5);
  return {
    buriedMillimetres: buried,
    aboveMillimetres: seedling.stemMillimetres - buried,
    stripLeaves: leaves.length - staying.length,
    firstLeafMillimetres: staying[0] === undefined ? undefined : staying[0] - buried,
    limit,
  };
}

function upright(
  seedling: Seedling,
  buried: number,
  limit: DepthLimit,
  mixMillimetres: number,
  assumed: Assumed,
): UprightPlanting {
  return {
    ...stemFigures(seedling, buried, limit, assumed),
    holeMillimetres: buried + seedling.ballMillimetres,
    belowBallMillimetres: Math.max(0, mixMillimetres - buried - seedling.ballMillimetres),
  };
}
