import { propertiesOf, storesOf, waterBagOf } from '../src/garden-state/index.ts';
import { occupantsOf, habitFigures, habitOf } from '../src/plants/index.ts';
import { type Garden, liveEntries, type Container } from '../src/records/index.ts';
import { HiddenBag, type Chance } from '../hidden/index.ts';
import { litresADay, type WaterStore } from '../src/water/index.ts';
import { VARIETIES, type PlannedBag } from './gannet-slip-plan.ts';

/** What this grower pours by feel, in quarter cans. */
export function wantedLitres(grade: number, garden: Garden, container: Container, canLitres: number): number {
  const { availableLitres } = propertiesOf(container, garden);
  const share = grade === 1 ? 0.95 : grade === 2 ? 0.75 : 0.5;
  return Math.max(0.25, Math.round((availableLitres * share) / canLitres / 0.25) * 0.25) * canLitres;
}

/** The bag as it really is, not quite what its label and mix suggest, and the store that stands by it. */
export function hiddenBagOf(
  chance: Chance,
  garden: Garden,
  container: Container,
  planned: PlannedBag,
): { readonly bag: HiddenBag; readonly store: WaterStore | undefined; readonly fullKilograms: number } {
  const properties = propertiesOf(container, garden);
  const place = garden.places.find((s) => s.id === container.placeId);
  const variety = VARIETIES.find((v) => v.name === planned.varietyName);
  if (!place || !variety) throw new Error(`the plan of bag ${planned.label} names what is not there`);
  const figures = habitFigures(variety.cropId, habitOf(variety.cropId, variety.habitId));
  const seen = waterBagOf(
    container,
    properties,
    place,
    occupantsOf(container, liveEntries(garden.entries), garden),
    garden.settings,
  );
  // the real bag is not quite the one that its label and mix suggest
  const size = properties.availableLitres * (0.85 + 0.3 * chance.next());
  const store = storesOf(container, properties)[0];
  const bag = new HiddenBag(chance, {
    availableLitres: size,
    canopySquareMetres: figures.canopySquareMetres * planned.plants,
    weeksToFull: figures.weeksToFull,
    isCovered: place.cover === 'glass',
    openSquareMetres: seen.topSquareMetres,
    breathes: properties.kind.wall === 'fabric',
    ...(store
      ? { store: { litres: store.litres, perHour: store.perDay / 30, catchesDrained: store.catchesDrained } }
      : {}),
    ...(planned.drip ? { dripLitresADay: litresADay(planned.drip) * 0.85 } : {}),
  });
  return { bag, store, fullKilograms: properties.drainedKilograms };
}
