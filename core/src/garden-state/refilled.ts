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
  const back = new Map<string, Filled>();
  for (const container of containers) {
    const last = entriesOfKind(before, 'filled').findLast((e) => e.containerId === container.id);
    if (last?.mixBefore && !left.has(last.id) && isStill(container, last))
      back.set(container.id, last.mixBefore);
  }
  return back;
}

/** Whether a bag still holds what a filling brought: one mix throughout, its uppermost. */
function isStill(container: Container, filling: EntryOf<'filled'>): boolean {
  return container.layers === undefined && container.mixId === filling.layers.at(-1)?.mixId;
}
