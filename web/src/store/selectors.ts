import type { Occupant } from '@rundel/core/plants';
import type { Garden, Container, Measure, Place } from '@rundel/core/records';
import { inWalkingOrder } from '@rundel/core/round';

/** Places that are not in the bin, in the order of the walk. */
export function placesInUse(garden: Garden): readonly Place[] {
  return garden.places.filter((s) => !s.binnedAt).sort((a, b) => a.order - b.order);
}

/** Containers that are not in the bin, in the order of the walk. */
export function containersInUse(garden: Garden): readonly Container[] {
  const places = placesInUse(garden);
  return inWalkingOrder(
    garden.containers.filter((c) => !c.binnedAt),
    places,
  );
}

/** What a bag is called besides its label: its plants' own names or varieties, or that it is empty. */
export function nameOfBag(occupants: readonly Occupant[]): string {
  const names = [...new Set(occupants.map((o) => o.plant.name ?? o.variety.name))];
  if (names.length === 0) return 'empty';
  const first = names[0] ?? '';
  if (names.length === 1) return occupants.length > 1 ? `${first} ×${occupants.length}` : first;
  return `${first} and ${names.slice(1).join(', ')}`;
}

/** The grower's own measures that are not in the bin: an amount may be counted in any of them. */
export function measuresInUse(garden: Garden): readonly Measure[] {
  return garden.measures.filter((m) => !m.binnedAt);
}

/** The measure in which waterings are proposed: the grower's choice, or a plain litre until one is measured. */
export function wateringMeasure(
  garden: Garden,
): Pick<Measure, 'kind' | 'litres' | 'name'> & { readonly id?: string } {
  const measures = measuresInUse(garden).filter((m) => m.kind !== 'handful');
  const chosen = measures.find((m) => m.id === garden.settings.wateringMeasureId) ?? measures[0];
  return chosen ?? { kind: 'can', litres: 1, name: 'litre' };
}
