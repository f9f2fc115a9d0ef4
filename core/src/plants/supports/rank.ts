import type { HeightRange } from '../growth/height.ts';
import { SUPPORTS, type SupportKind } from './kinds.ts';
import type { OwnedChoice } from './owned.ts';
import { type SupportKindId } from '../../records/index.ts';

/** The plant, bag and place that a support is wanted for. */
export interface SupportCase {
  /** height above the mix when it is done, mm */
  readonly height: HeightRange;
  readonly grows: 'leader' | 'bush';
  /** a stake stands up in the bag's mix */
  readonly holdsCane: boolean;
  /** it lies flat: a frame can go under it */
  readonly liesFlat: boolean;
  readonly hasOwnFrame: boolean;
  /** above the ground, mm; undefined: there is no wire */
  readonly wireMillimetres: number | undefined;
  /** top of the mix above the ground, mm */
  readonly mixTopMillimetres: number;
  /** kinds for which the shed has what is needed */
  readonly inShed: readonly SupportKindId[];
  /** what the grower owns and has free, by the kind that it makes */
  readonly owned?: ReadonlyMap<SupportKindId, OwnedChoice>;
}

/** Why a support stands where it does in the order. */
export type SupportReason =
  | { readonly because: 'no-wire' | 'cannot-hold-cane' | 'not-flat' | 'no-frame-of-its-own' }
  | {
      readonly because: 'wire-below-bag';
      readonly wireMillimetres: number;
      readonly mixTopMillimetres: number;
    }
  | { readonly because: 'owned'; readonly owned: OwnedChoice }
  | { readonly because: 'too-short'; readonly holdsMillimetres: number; readonly heightMillimetres: number }
  | { readonly because: 'high-enough'; readonly holdsMillimetres: number; readonly heightMillimetres: number }
  | {
      readonly because: 'suits-growth' | 'wrong-growth' | 'in-shed' | 'little-work' | 'for-now' | 'too-much';
    };

export interface RankedSupport {
  readonly kind: SupportKind;
  readonly fit: 'product' | 'fair' | 'cannot';
  /** 0 to 1; what the order goes by */
  readonly score: number;
  /** the height above the mix that it would hold here, mm */
  readonly holdsMillimetres: number;
  readonly reasons: readonly SupportReason[];
}

/** Holding nine tenths of the height is holding it: the top leans out by itself. */
const ENOUGH = 0.9;

/**
 * Whether a support needs mix that holds a cane up. A cage's legs stand in shallow mix where a cane falls over, but
 * taller things do not.
 * @see docs/model.md, 4. Supports
 */
export function needsFirmMix(kind: SupportKind): boolean {
  return kind.footing === 'in-mix' && kind.id !== 'cage' && kind.id !== 'triangle';
}

/** Reasons that close a support for a bag; they name what stands in the way. */
function obstacleOf(kind: SupportKind, c: SupportCase): SupportReason | undefined {
  if (kind.id === 'string') {
    const wire = c.wireMillimetres;
    if (wire === undefined) return { because: 'no-wire' };
    if (wire <= c.mixTopMillimetres + 300)
      return { because: 'wire-below-bag', wireMillimetres: wire, mixTopMillimetres: c.mixTopMillimetres };
  }
  if (kind.id === 'planter-frame') return c.hasOwnFrame ? undefined : { because: 'no-frame-of-its-own' };
  if (kind.id === 'frame') return c.liesFlat ? undefined : { because: 'not-flat' };
  return needsFirmMix(kind) && !c.holdsCane ? { because: 'cannot-hold-cane' } : undefined;
}

/**
 * Supports for a plant in a bag in a place, the fittest first, each with its reasons. What cannot be done here comes last
 * and says why. A judgement (*assumed* weights: height half, way of growing three tenths, work and shed a tenth each; what is there
 * already and high enough goes before what has to be got).
 *
 * @example
 * rankSupports({ height: { low: 1700, likely: 2000, high: 2400 }, grows: 'leader', holdsCane: true, liesFlat: false, hasOwnFrame: false, wireMillimetres: 2200, mixTopMillimetres: 350, inShed: [] })[0].kind.id
 * // => 'string'
 */
export function rankSupports(c: SupportCase): readonly RankedSupport[] {
  return SUPPORTS.map((kind): RankedSupport => {
    const owned = c.owned?.get(kind.id);
    const holds =
      kind.id === 'string' && c.wireMillimetres !== undefined
        ? c.wireMillimetres - c.mixTopMillimetres
        : (owned?.holdsMillimetres ?? kind.holdsMillimetres.high);
    const obstacle = obstacleOf(kind, c);
    if (obstacle) return { kind, fit: 'cannot', score: 0, holdsMillimetres: holds, reasons: [obstacle] };
    const reach = holds / c.height.likely;
    const isTooMuch =
      (owned ? owned.holdsMillimetres * 0.6 : kind.holdsMillimetres.low) > c.height.high * 1.1;
    const suits = kind.suits === 'either' ? 0.7 : kind.suits === c.grows ? 1 : 0.1;
    const inShed = c.inShed.includes(kind.id);
    const sum =
      0.5 * Math.min(1, reach / ENOUGH) ** 2 * (isTooMuch ? 0.6 : 1) +
      0.3 * suits +
      0.1 * (1 - kind.work / 3) +
      0.1 * (inShed ? 1 : 0) +
      // what is there comes first while it is high enough: the planter's own frame, what the grower owns
      (reach >= ENOUGH && !kind.isForNow ? (kind.id === 'planter-frame' ? 0.6 : owned ? 0.4 : 0) : 0) -
      (kind.isForNow ? 0.3 : 0);
    // what is only for now still comes before what is closed
    const score = Math.max(0.01, sum);
    const heights = { holdsMillimetres: holds, heightMillimetres: c.height.likely };
    const reasons: SupportReason[] = [
      reach >= ENOUGH ? { because: 'high-enough', ...heights } : { because: 'too-short', ...heights },
    ];
    if (kind.isForNow) reasons.push({ because: 'for-now' });
    else if (isTooMuch) reasons.push({ because: 'too-much' });
    if (suits === 1) reasons.push({ because: 'suits-growth' });
    if (suits === 0.1) reasons.push({ because: 'wrong-growth' });
    if (owned) reasons.push({ because: 'owned', owned });
    else if (inShed) reasons.push({ because: 'in-shed' });
    if (kind.work === 1) reasons.push({ because: 'little-work' });
    return {
      kind,
      fit: score >= 0.6 && reach >= 0.75 ? 'product' : 'fair',
      score,
      holdsMillimetres: holds,
      reasons,
    };
  }).sort((a, b) => b.score - a.score);
}
