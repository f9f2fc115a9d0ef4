import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import {
  containerKind,
  drainedKilograms,
  fillOf,
  realSize,
  sideSquareMetres,
  type ContainerKind,
  type Fill,
  type RealSize,
} from '../bags/index.ts';
import { habitFigures } from '../crops/index.ts';
import type { Container, Settings, Stand } from '../garden/index.ts';
import { mixOf, type Mix } from '../mixes/index.ts';
import { availableLitres, type WaterBag } from '../water/index.ts';
import type { Occupant } from './occupants.ts';

/** What a container is, worked out: shape, fill, mix, weight and the numbers in use for it. */
export interface BagBody {
  readonly kind: ContainerKind;
  readonly real: RealSize;
  readonly fill: Fill;
  readonly mix: Mix;
  readonly availableLitres: number;
  readonly drainedKilograms: number;
  readonly assumed: Assumed;
}

/**
 * A container's body from its record.
 *
 * @throws RundelError when its kind or mix is unknown, ZodError when its measures do not suit its kind
 */
export function bodyOf(
  container: Pick<Container, 'kindId' | 'size' | 'mixId' | 'mulchMillimetres' | 'assumptions'>,
  settings: Pick<Settings, 'assumptions'>,
): BagBody {
  const assumed = resolveAssumed({ ...settings.assumptions, ...container.assumptions });
  const kind = containerKind(container.kindId);
  const mix = mixOf(container.mixId);
  const real = realSize(container.kindId, container.size, assumed);
  const fill = fillOf(real.solid, {
    headroomMillimetres: kind.id === 'pillow' ? 0 : assumed.headroom,
    mulchMillimetres: container.mulchMillimetres,
    settling: mix.settling,
  });
  return {
    kind,
    real,
    fill,
    mix,
    assumed,
    availableLitres: availableLitres(mix, fill.mixLitres, fill.mixMillimetres, assumed),
    drainedKilograms: drainedKilograms({
      mixLitres: fill.mixLitres,
      dryKilogramsPerLitre: mix.dryKilogramsPerLitre,
      capacity: mix.capacity,
      emptyKilograms: real.litres.likely * assumed.emptyBagWeight,
    }),
  };
}

/** The same container as the water model sees it. */
export function waterBagOf(
  container: Pick<Container, 'mulchMillimetres'>,
  body: BagBody,
  stand: Pick<Stand, 'cover'>,
  occupants: readonly Occupant[],
  settings: Pick<Settings, 'assumptions'>,
): WaterBag {
  const { solid } = body.real;
  return {
    availableLitres: body.availableLitres,
    // film lies over a pillow bag's top but for the planting holes, about a tenth of it
    topSquareMetres:
      (solid.areaAt(Math.min(body.fill.mixMillimetres, solid.heightMillimetres / 2)) / 1e6) *
      (body.kind.wall === 'film' ? 0.1 : 1),
    breathingSquareMetres:
      body.kind.wall === 'fabric' ? sideSquareMetres(solid, body.fill.mixMillimetres) : 0,
    mulchMillimetres: container.mulchMillimetres,
    underCover: stand.cover === 'glass',
    plants: occupants.map((o) => ({
      plantedOn: o.plantedOn,
      clearedOn: o.clearedOn,
      kc: o.crop.kcMid,
      depletion: o.crop.depletion,
      figures: habitFigures(o.crop.id, o.habit, settings.assumptions),
    })),
  };
}
