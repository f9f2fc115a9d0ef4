import { resolveAssumed } from '../assumed/index.ts';
import { liveEntries, type Container, type Entry, type Garden } from '../records/index.ts';
import { Belief, forecastWater } from '../water/index.ts';
import { waterCase, waterSetting, type WaterSetting } from './bag-state.ts';
import type { FilterMemory } from './filter-memory.ts';
import type { BagProperties } from './properties.ts';

/** What could be done to a bag that dries too fast. */
export type BagChange =
  | { readonly kind: 'mulch'; readonly mulchMillimetres: number }
  /** as many times the mix */
  | { readonly kind: 'bigger'; readonly times: number }
  /** share of the sun that is taken */
  | { readonly kind: 'shade'; readonly share: number }
  | { readonly kind: 'saucer'; readonly litres: number };

/** How long a bag that was just watered through would keep: as it is, and under each change that it could have. */
export interface WhatIf {
  /** hours until it wants water; undefined: beyond the rounds that are looked at */
  readonly asItIs: number | undefined;
  readonly changes: readonly { readonly change: BagChange; readonly hours: number | undefined }[];
}

/** Mulch that does most of what mulch can, mm. */
const THICK_MULCH = 75;
const BIGGER = 1.5;
const HALF_SHADE = 0.5;
/** A saucer worth having, as a share of the water that the plant can use. */
const SAUCER_SHARE = 0.25;
/** A small plant in a cool May keeps a full bag for weeks: further than the rounds that are planned. */
const ROUNDS_AHEAD = 60;

/** The changes that would make a difference to a bag: none that it has already. */
function changesFor(container: Container, properties: BagProperties, shade: number): readonly BagChange[] {
  const changes: BagChange[] = [];
  if (container.mulchMillimetres < THICK_MULCH - 10 && !properties.kind.isClosed)
    changes.push({ kind: 'mulch', mulchMillimetres: THICK_MULCH });
  changes.push({ kind: 'bigger', times: BIGGER });
  if (shade < HALF_SHADE) changes.push({ kind: 'shade', share: HALF_SHADE });
  if ((container.stores ?? []).length === 0 && properties.real.under === undefined)
    changes.push({ kind: 'saucer', litres: SAUCER_SHARE * properties.availableLitres });
  return changes;
}

/** A garden in which a bag has been changed. */
function changed(garden: Garden, container: Container, properties: BagProperties, change: BagChange): Garden {
  const inPlaceOf = (next: Container): Garden => ({
    ...garden,
    containers: garden.containers.map((c) => (c.id === container.id ? next : c)),
  });
  switch (change.kind) {
    case 'mulch':
      return inPlaceOf({ ...container, mulchMillimetres: change.mulchMillimetres });
    case 'bigger': {
      const litres = (properties.real.litres.likely / properties.assumed.labelTruth) * change.times;
      return inPlaceOf({ ...container, size: { by: 'label', litres: Math.min(1000, litres) } });
    }
    case 'shade':
      return {
        ...garden,
        places: garden.places.map((p) => (p.id === container.placeId ? { ...p, shade: change.share } : p)),
      };
    case 'saucer':
      return inPlaceOf({
        ...container,
        stores: [...(container.stores ?? []), { kind: 'saucer', litres: change.litres }],
      });
  }
}

/**
 * How long a bag would keep once it is watered through, as it is and under each change that it could have.
 *
 * Only the days to come are another's: what the diary has taught of this bag's use holds under every change, for it is the same
 * plant. A run of the whole diary under the change would explain the change away as another use.
 *
 * @param now local time with offset
 * @throws RundelError or ZodError when the container's record does not make sense
 */
export function whatIf(
  garden: Garden,
  container: Container,
  now: string,
  live: readonly Entry[] = liveEntries(garden.entries),
  memory?: FilterMemory,
): WhatIf {
  const { belief, properties } = waterCase(garden, container, now, live, memory);
  const place = garden.places.find((p) => p.id === container.placeId);
  const assumed = resolveAssumed(garden.settings.assumptions);
  const hoursIn = (setting: WaterSetting) =>
    forecastWater(wateredThrough(belief, setting), setting.bag, setting.spans, assumed).hoursToRefill.likely;
  return {
    asItIs: hoursIn(waterSetting(garden, container, now, live, ROUNDS_AHEAD)),
    changes: changesFor(container, properties, place?.shade ?? 0).map((change) => {
      const other = changed(garden, container, properties, change);
      const record = other.containers.find((c) => c.id === container.id) ?? container;
      return { change, hours: hoursIn(waterSetting(other, record, now, live, ROUNDS_AHEAD)) };
    }),
  };
}

/** A bag just watered through, with what is known of its use; what catches water has caught its fill. */
function wateredThrough(belief: Belief, { bag }: WaterSetting): Belief {
  const stores = bag.stores.map((store) => ({
    full: store.litres / bag.availableLitres,
    catchesDrained: store.catchesDrained,
    startShare: store.catchesDrained ? 1 : store.startShare,
  }));
  return Belief.wateredThrough(belief, stores);
}
