import { entriesOfKind, type Container, type EntryOf, type LiveEntries } from '../records/index.ts';

type Move = EntryOf<'moved'>;

const isBy = (move: Move, at: string) => Date.parse(move.at) <= Date.parse(at);

/**
 * Where a bag stood at a moment: where the last move before it brought it, else from where the first after it took it, else where
 * it stands.
 *
 * @param moves of the bag, oldest first
 */
export function placeAt({ placeId }: Pick<Container, 'placeId'>, moves: readonly Move[], at: string): string {
  return moves.findLast((move) => isBy(move, at))?.toPlaceId ?? moves[0]?.fromPlaceId ?? placeId;
}

/** The moves of a bag, oldest first. */
export function movesOf(containerId: string, live: LiveEntries): readonly Move[] {
  return entriesOfKind(live, 'moved').filter((move) => move.containerId === containerId);
}

/**
 * Where bags stand whose moves are others than they were: one was put down, with a later one there already or not, or corrected, or
 * taken away. A bag without any move left stands where it was before the first.
 *
 * @returns places by the ids of bags, only of those that have come to stand elsewhere
 */
export function carriedTo(
  containers: readonly Container[],
  before: LiveEntries,
  after: LiveEntries,
): ReadonlyMap<string, string> {
  const [known, now] = [entriesOfKind(before, 'moved'), entriesOfKind(after, 'moved')];
  const other = [...known.filter((e) => !now.includes(e)), ...now.filter((e) => !known.includes(e))];
  const touched = new Set(other.map(({ containerId }) => containerId));
  return new Map(
    containers.flatMap((container) => {
      if (!touched.has(container.id)) return [];
      const place =
        movesOf(container.id, after).at(-1)?.toPlaceId ?? movesOf(container.id, before)[0]?.fromPlaceId;
      return place === undefined || place === container.placeId ? [] : [[container.id, place] as const];
    }),
  );
}
