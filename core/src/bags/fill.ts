import { within } from '../errors/index.ts';
import { litresBelow, type Solid } from './solid.ts';

/** How a container is filled: where the mix ends and what it amounts to, once settled. */
export interface Fill {
  /** height of the settled mix above the base, mm */
  readonly mixMillimetres: number;
  /** settled mix, L */
  readonly mixLitres: number;
  /** loose mix to put in so that it settles there, L */
  readonly looseLitres: number;
  /** top of the mulch above the base, mm */
  readonly mulchTopMillimetres: number;
}

/**
 * Fills a container to below its rim: headroom, then mulch, then mix, which settles.
 * A container too shallow for headroom and mulch keeps at least half of its height for mix.
 *
 * @param settling share of its volume that loose mix loses at the first watering, 0 to 0.3
 * @throws RundelError when headroom or mulch is negative or over 500 mm
 * @see docs/model.md, 1. Bags
 * @example
 * fillOf(solid300, { headroomMillimetres: 30, mulchMillimetres: 50, settling: 0.1 }).mixMillimetres
 * // => 220
 */
export function fillOf(
  solid: Solid,
  how: { readonly headroomMillimetres: number; readonly mulchMillimetres: number; readonly settling: number },
): Fill {
  const headroom = within('headroomMillimetres', how.headroomMillimetres, 0, 500);
  const mulch = within('mulchMillimetres', how.mulchMillimetres, 0, 500);
  const settling = within('settling', how.settling, 0, 0.3);
  const height = solid.heightMillimetres;
  const mixMillimetres = Math.max(height / 2, height - headroom - mulch);
  const mixLitres = litresBelow(solid, mixMillimetres);
  return {
    mixMillimetres,
    mixLitres,
    looseLitres: mixLitres / (1 - settling),
    mulchTopMillimetres: Math.min(height, mixMillimetres + mulch),
  };
}
