import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import {
  containerKind,
  nominalGallons,
  reserveLitres,
  fillOf,
  realSize,
  sideSquareMetres,
  type ContainerKind,
  type Fill,
  type RealSize,
  drainedKilograms,
} from '../bags/index.ts';
import {
  COMPANION_COVER,
  COMPANION_DEPLETION,
  COMPANION_KC,
  COMPANION_WEEKS_TO_FULL,
  habitFigures,
  type Occupant,
} from '../plants/index.ts';
import type { Container, Settings, Place, Garden } from '../records/index.ts';
import { fillingOf, namedLayers, type Mix, type NamedLayer } from '../mixes/index.ts';
import {
  availableLitres,
  storeOf,
  type Cloth,
  type DripSpell,
  type WaterBag,
  type WaterStore,
} from '../water/index.ts';

/** What a container is, worked out: shape, fill, mix, weight and the numbers in use for it. */
export interface BagProperties {
  readonly kind: ContainerKind;
  readonly real: RealSize;
  /** what growers would call its size, US gallons */
  readonly nominalGallons: number;
  readonly fill: Fill;
  /** share of its volume that its mix loses as it settles: the grower's word, or the mix's usual */
  readonly settling: number;
  readonly mix: Mix;
  /** from the base upwards; empty when one mix fills it */
  readonly layers: readonly NamedLayer[];
  readonly availableLitres: number;
  /** water kept below raised drain holes, L */
  readonly reserveLitres: number;
  readonly emptyKilograms: number;
  readonly drainedKilograms: number;
  readonly assumed: Assumed;
}

/** What a body is worked out from; a bag that is only being thought of has these too. */
export type PropertiesRecord = Pick<Container, 'kindId' | 'size' | 'mixId' | 'mulchMillimetres'> &
  Partial<
    Pick<
      Container,
      'assumptions' | 'layers' | 'holeMillimetres' | 'fill' | 'settling' | 'rounding' | 'hasNoHoles'
    >
  > & {
    readonly stations: readonly unknown[];
  };

/**
 * A container's body from its record.
 *
 * @throws RundelError when its kind or mix is unknown, ZodError when its measures do not suit its kind
 */
export function propertiesOf(
  container: PropertiesRecord,
  garden: Pick<Garden, 'mixes'> & { readonly settings: Pick<Settings, 'assumptions'> },
): BagProperties {
  const assumed = resolveAssumed({
    ...garden.settings.assumptions,
    ...container.assumptions,
    ...(container.rounding === undefined ? {} : { softRounding: container.rounding }),
  });
  const kind = containerKind(container.kindId);
  const mix = fillingOf(container, garden.mixes);
  const real = realSize(container.kindId, container.size, assumed, container.stations.length);
  const settling = container.settling ?? mix.settling;
  const fill = fillOf(real.solid, {
    headroomMillimetres: kind.isClosed ? 0 : assumed.headroom,
    mulchMillimetres: container.mulchMillimetres,
    settling,
    level: container.fill,
  });
  const emptyKilograms = real.litres.likely * kind.emptyKilogramsPerLitre.value;
  // without holes what runs through stays, up to the top of the mix
  const hole = container.hasNoHoles
    ? fill.mixMillimetres
    : kind.drainage.canBeRaised
      ? Math.min(container.holeMillimetres ?? 0, fill.mixMillimetres)
      : 0;
  return {
    kind,
    real,
    nominalGallons: nominalGallons(container.size, real.litres.likely),
    fill,
    settling,
    mix,
    layers: namedLayers(container.layers, garden.mixes),
    assumed,
    availableLitres: availableLitres(mix, fill.mixLitres, fill.mixMillimetres, assumed),
    reserveLitres: reserveLitres(real.solid, hole, mix.air),
    emptyKilograms,
    drainedKilograms: drainedKilograms({
      mixLitres: fill.mixLitres,
      dryKilogramsPerLitre: mix.dryKilogramsPerLitre,
      capacity: mix.capacity,
      emptyKilograms,
    }),
  };
}

/**
 * The same container with its mix at another level: one that was planted low and is filled as the plant grows holds the water and
 * the weight of what is in it, and not of what it will be.
 */
export function atLevel(properties: BagProperties, mixMillimetres: number): BagProperties {
  const { fill, mix, real, assumed, emptyKilograms } = properties;
  if (mixMillimetres >= fill.mixMillimetres - 1) return properties;
  const low = fillOf(real.solid, {
    headroomMillimetres: 0,
    mulchMillimetres: Math.min(500, fill.mulchTopMillimetres - fill.mixMillimetres),
    settling: properties.settling,
    level: { by: 'level', mixMillimetres },
  });
  return {
    ...properties,
    fill: low,
    availableLitres: availableLitres(mix, low.mixLitres, low.mixMillimetres, assumed),
    drainedKilograms: drainedKilograms({
      mixLitres: low.mixLitres,
      dryKilogramsPerLitre: mix.dryKilogramsPerLitre,
      capacity: mix.capacity,
      emptyKilograms,
    }),
  };
}

/** What the diary adds to a container for the water model: drip settings, and each plant's size for its age. */
export interface WaterHistory {
  readonly drips: readonly DripSpell[];
  /** where it stood before it was moved to where it is now */
  readonly earlier?: WaterBag['earlier'];
  sizeOf(occupant: Occupant): number;
}

const NO_HISTORY: WaterHistory = { drips: [], sizeOf: () => 1 };

/** The same container as the water model sees it. */
export function waterBagOf(
  container: Pick<Container, 'mulchMillimetres'> &
    Partial<Pick<Container, 'stores' | 'companions' | 'shade' | 'shadeFrom' | 'shadeUntil'>>,
  properties: BagProperties,
  place: Pick<Place, 'cover' | 'shade' | 'shadeFrom' | 'shadeUntil'>,
  occupants: readonly Occupant[],
  settings: Pick<Settings, 'assumptions'>,
  history: WaterHistory = NO_HISTORY,
): WaterBag {
  const { solid } = properties.real;
  return {
    availableLitres: properties.availableLitres,
    // a closed bag's film lies over its top but for the planting holes, about a tenth of it
    topSquareMetres:
      (solid.areaAt(Math.min(properties.fill.mixMillimetres, solid.heightMillimetres / 2)) / 1e6) *
      (properties.kind.isClosed ? 0.1 : 1),
    breathingSquareMetres:
      properties.kind.wall === 'fabric' ? sideSquareMetres(solid, properties.fill.mixMillimetres) : 0,
    mulchMillimetres: container.mulchMillimetres,
    underCover: place.cover !== 'open',
    shade: isForDays(place) ? 0 : (place.shade ?? 0),
    cloths: [...(isForDays(place) ? [clothOf(place)] : []), ...(container.shade ? [clothOf(container)] : [])],
    earlier: history.earlier,
    stores: storesOf(container, properties),
    drips: history.drips,
    plants: [
      ...occupants.map((o) => ({
        plantedOn: o.plantedOn,
        ageFrom: o.ageFrom,
        rootedFrom: o.stages.seen.rooted,
        clearedOn: o.clearedOn,
        kc: o.crop.kcMid,
        depletion: o.crop.depletion,
        figures: habitFigures(o.crop.id, o.habit, settings.assumptions),
        size: history.sizeOf(o),
      })),
      ...companionsOf(container, occupants),
    ],
  };
}

type Shading = Pick<Place, 'shade' | 'shadeFrom' | 'shadeUntil'>;

/** Whether a place is shaded for some days and not always. */
const isForDays = ({ shade, shadeFrom, shadeUntil }: Shading) =>
  (shade ?? 0) > 0 && (shadeFrom !== undefined || shadeUntil !== undefined);

const clothOf = ({ shade = 0, shadeFrom, shadeUntil }: Shading): Cloth => ({
  shade,
  from: shadeFrom,
  until: shadeUntil,
});

/** What stands beside the crop, from the planting of the eldest that is still there. */
function companionsOf(
  { companions }: Partial<Pick<Container, 'companions'>>,
  occupants: readonly Occupant[],
): WaterBag['plants'] {
  const eldest = occupants.find((o) => o.clearedOn === undefined);
  if (!companions || !eldest) return [];
  return [
    {
      plantedOn: companions.from ?? eldest.plantedOn,
      clearedOn: companions.until,
      kc: COMPANION_KC,
      depletion: COMPANION_DEPLETION,
      figures: {
        fullHeightMillimetres: 300,
        canopySquareMetres: COMPANION_COVER[companions.size],
        weeksToFull: COMPANION_WEEKS_TO_FULL,
      },
    },
  ];
}

/** A channel under a bag runs on past it; without a drum to count, it is taken to hold this much for each bag, L. */
const CHANNEL_LITRES = 10;

/** The stores of a container: those that belong to its kind first, then what was put beside it. */
export function storesOf(
  container: Partial<Pick<Container, 'stores'>>,
  properties: BagProperties,
): readonly WaterStore[] {
  const { kind, assumed, real } = properties;
  const stores: WaterStore[] = [];
  const { under } = real;
  // a drum with a float keeps the channel full: together they are one store
  const drum = container.stores?.find(({ kind: added }) => added === 'drum');
  const fed = under?.litres === undefined ? drum : undefined;
  if (under) stores.push(storeOf(under.kind, under.litres ?? fed?.litres ?? CHANNEL_LITRES, assumed));
  if (properties.reserveLitres > 0.05) stores.push(storeOf('reserve', properties.reserveLitres, assumed));
  if (kind.drainage.by === 'open-base' && !under) {
    const footprint = real.solid.areaAt(0) / 1e6;
    stores.push(storeOf('soil', footprint * assumed.soilStore, assumed));
  }
  for (const { kind: added, litres } of container.stores ?? [])
    if (!(under && fed && added === 'drum')) stores.push(storeOf(added, litres, assumed));
  return stores;
}
