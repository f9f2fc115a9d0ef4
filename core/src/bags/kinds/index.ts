import { RundelError } from '../../errors/index.ts';
import { roundFabric, squareFabric } from './fabric.ts';
import { filmSleeve, openSleeve, pillow, refuseBag, shoppingBag } from './film.ts';
import type { ContainerKind } from './kind.ts';
import { bed, bucket, netCupBag, reservoirPlanter, rigidPot, trough } from './rigid.ts';
import { ringInPillow } from './ring-in-pillow.ts';

/** Every kind of container, in the order in which forms offer them. */
export const CONTAINER_KINDS: readonly ContainerKind[] = [
  roundFabric,
  squareFabric,
  pillow,
  bucket,
  rigidPot,
  ringInPillow,
  trough,
  reservoirPlanter,
  filmSleeve,
  openSleeve,
  shoppingBag,
  refuseBag,
  bed,
  netCupBag,
];

/**
 * The kind with an id.
 *
 * @throws RundelError `unknown-name`
 */
export function containerKind(id: string): ContainerKind {
  const kind = CONTAINER_KINDS.find((k) => k.id === id);
  if (!kind) {
    throw new RundelError('unknown-name', 'container kind', id, CONTAINER_KINDS.map((k) => k.id).join(', '));
  }
  return kind;
}
