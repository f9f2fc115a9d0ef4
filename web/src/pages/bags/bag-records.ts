import type { Container, Place, Size } from '@rundel/core/records';
import { newId, type RecordChange } from '../../store/index.ts';

/** What the form gives when everything in it reads. */
export interface BagFormResult {
  readonly label: string;
  readonly kindId: string;
  readonly size: Size;
  readonly mixId: string;
  readonly layers?: Container['layers'];
  readonly mulchMillimetres: number;
  readonly fill?: Container['fill'];
  readonly settling?: number;
  readonly rounding?: number;
  readonly hasNoHoles?: boolean;
  readonly holeMillimetres?: number;
  readonly stores?: Container['stores'];
  readonly wells?: Container['wells'];
  readonly shade?: number;
  readonly shadeFrom?: string;
  readonly shadeUntil?: string;
  readonly companions?: Container['companions'];
  readonly price?: number;
  readonly seasons?: number;
  readonly sizeException?: Container['sizeException'];
  readonly place:
    | { readonly kind: 'known'; readonly id: string }
    | { readonly kind: 'new'; readonly name: string; readonly cover: Place['cover'] };
  readonly stations: number;
  readonly support: Container['support'];
  readonly furtherSupports?: Container['furtherSupports'];
}

/** The records of new bags, all made up alike, with their new place if they need one. */
export function newBagRecords(
  result: BagFormResult,
  labels: readonly string[],
  counts: { readonly places: number; readonly containers: number },
  now: string,
): { readonly containers: readonly Container[]; readonly changes: readonly RecordChange[] } {
  const stamps = { createdAt: now, changedAt: now };
  const { place, stations, label: _, ...make } = result;
  const placeId = place.kind === 'known' ? place.id : newId('place');
  const containers = labels.map((label, i): Container => ({
    ...make,
    id: newId('container'),
    label,
    placeId,
    stations: Array.from({ length: stations }, () => ({ id: newId('station') })),
    order: counts.containers + i,
    ...stamps,
  }));
  const changes: RecordChange[] = containers.map((after) => ({
    table: 'containers',
    before: undefined,
    after,
  }));
  if (place.kind === 'new') {
    const after = { id: placeId, name: place.name, cover: place.cover, order: counts.places, ...stamps };
    changes.unshift({ table: 'places', before: undefined, after });
  }
  return { containers, changes };
}
