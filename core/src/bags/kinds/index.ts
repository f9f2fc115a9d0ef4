import { RundelError } from '../../errors/index.ts';
import { bucket, pillow, roundFabric, squareFabric } from './containers.ts';
import type { ContainerKind } from './kind.ts';

/** Every kind of container, in the order in which forms offer them. */
export const CONTAINER_KINDS: readonly ContainerKind[] = [roundFabric, squareFabric, pillow, bucket];

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
