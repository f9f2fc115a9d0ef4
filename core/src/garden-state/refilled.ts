import { entriesOfKind, type Container, type EntryOf, type LiveEntries } from '../records/index.ts';

/** What a container is filled with. */
export type Filled = Pick<Container, 'mixId' | 'layers'>;

/**
 * Mixes of bags whose filling is taken away: what was in them before it. A bag that was filled again since, or whose mix was
 * changed by hand since, keeps what it has.
 *
 * @returns mixes by the ids of bags, only of those that hold another than their record says
 */
export function mixesBack(
  containers: readonly Container[],
  before: LiveEntries,
  after: LiveEntries,
): ReadonlyMap<string, Filled> {
  const left = new Set(entriesOfKind(after, 'filled').map(({ id }) => id));
  // in order of time: of each bag the last one stays
  const last = new Map(entriesOfKind(before, 'filled').map((filling) => [filling.containerId, filling]));
  return new Map(
    containers.flatMap((container) => {
      const filling = last.get(container.id);
      return filling?.mixBefore && !left.has(filling.id) && isStill(container, filling)
        ? [[container.id, filling.mixBefore] as const]
        : [];
    }),
  );
}

/** Whether a bag still holds what a filling brought: one mix throughout, its uppermost. */
function isStill(container: Container, filling: EntryOf<'filled'>): boolean {
  return container.layers === undefined && container.mixId === filling.layers.at(-1)?.mixId;
}
