import { within } from '../errors/index.ts';
import type { FillLevel } from '../records/index.ts';
import { heightOfLitres, litresBelow, type Solid } from './solid.ts';

/** How a container is filled: where the mix ends and what it amounts to, once settled. */
export interface Fill {
  /** height of the settled mix above the base, mm */
  readonly mixMillimetres: number;
  /** settled mix, L */
  readonly mixLitres: number;
  /** loose mix to put in so that it settles there, L; as it was said where the grower said it */
  readonly looseLitres: number;
  /** top of the mulch above the base, mm */
  readonly mulchTopMillimetres: number;
  /** empty between mulch and rim, mm */
  readonly freeMillimetres: number;
  /** share of the mix that a usual fill would have, 0 to 1: less for a bag that is rolled down or part filled */
  readonly filledShare: number;
  /** loose mix that was said and does not go in once it has settled, L */
  readonly overLitres: number;
}

/** What a fill goes by. */
export interface FillBy {
  /** free below the rim by usage; counts where the grower says nothing else */
  readonly headroomMillimetres: number;
  readonly mulchMillimetres: number;
  /** share of its volume that loose mix loses at the first watering, 0 to 0.5 */
  readonly settling: number;
  /** how far the grower says that it is filled */
  readonly level?: FillLevel | undefined;
}

/** Settled mix lower than this is no mix, mm. */
const LEAST_MIX = 20;

/**
 * Fills a container to below its rim: headroom, then mulch, then mix, which settles. A container too shallow for headroom and mulch
 * keeps at least half of its height for mix. What the grower says of its fill goes first: the space left free, the level that the
 * settled mix stands at, or the loose mix that went in.
 *
 * @throws RundelError when headroom or mulch is negative or out of its range
 * @see docs/model.md, 1. Bags
 * @example
 * fillOf(solid300, { headroomMillimetres: 30, mulchMillimetres: 50, settling: 0.1 }).mixMillimetres
 * // => 220
 */
export function fillOf(solid: Solid, how: FillBy): Fill {
  const headroom = within('headroomMillimetres', how.headroomMillimetres, 0, 500);
  const mulch = within('mulchMillimetres', how.mulchMillimetres, 0, 500);
  const settling = within('settling', how.settling, 0, 0.5);
  const height = solid.heightMillimetres;
  const usual = Math.max(height / 2, height - headroom - mulch);
  const { level } = how;
  const { mixMillimetres, overLitres } = levelOf(solid, level, usual, mulch, settling);
  const mixLitres = litresBelow(solid, mixMillimetres);
  const mulchTopMillimetres = Math.min(height, mixMillimetres + mulch);
  return {
    mixMillimetres,
    mixLitres,
    looseLitres: level?.by === 'loose' ? level.looseLitres : mixLitres / (1 - settling),
    mulchTopMillimetres,
    freeMillimetres: height - mulchTopMillimetres,
    filledShare: Math.min(1, mixLitres / litresBelow(solid, usual)),
    overLitres,
  };
}

function levelOf(
  solid: Solid,
  level: FillLevel | undefined,
  usual: number,
  mulch: number,
  settling: number,
): { readonly mixMillimetres: number; readonly overLitres: number } {
  const height = solid.heightMillimetres;
  const clamped = (mm: number) => ({
    mixMillimetres: Math.min(height, Math.max(LEAST_MIX, mm)),
    overLitres: 0,
  });
  if (!level) return { mixMillimetres: usual, overLitres: 0 };
  if (level.by === 'rim') return clamped(height - level.headroomMillimetres - mulch);
  if (level.by === 'level') return clamped(level.mixMillimetres);
  const found = heightOfLitres(solid, level.looseLitres * (1 - settling));
  if (found.kind === 'stands-at') return clamped(found.millimetres);
  return { mixMillimetres: height, overLitres: found.litresOver };
}
