import type { BagBody, Occupant } from '@rundel/core/bag-state';
import { outline } from '@rundel/core/bags';
import { heightOfLitres } from '@rundel/core/bags';
import { dayOf, daysBetween } from '@rundel/core/climate';
import { expectedHeightMillimetres, habitFigures } from '@rundel/core/crops';
import type { Container } from '@rundel/core/garden';
import { planUpright, type UprightPlanting } from '@rundel/core/planting';
import type { Range } from '@rundel/core/water';

/** One plant in the section; lengths in mm, heights above the ground that the bag stands on. */
export interface ScenePlant {
  /** along the section, from the bag's middle */
  readonly x: number;
  readonly crop: string;
  readonly fruit: 'red' | 'green' | 'dark' | 'long-green';
  /** above the mix */
  readonly heightMillimetres: number;
  readonly isHeightMeasured: boolean;
  readonly buriedMillimetres: number;
  readonly ball: { readonly height: number; readonly width: number };
  readonly graftMillimetres: number | undefined;
  readonly seed: number;
  /** 0 seedling to 1 in full bearing: what hangs on it */
  readonly age: number;
  readonly isBearing: boolean;
}

/** A bag in section, ready to be drawn: everything to scale, in mm. */
export interface Scene {
  readonly outline: readonly { readonly z: number; readonly half: number }[];
  readonly heightMillimetres: number;
  readonly halfWidest: number;
  readonly wall: BagBody['kind']['wall'];
  /** closed at the top, planted through slits */
  readonly isClosed: boolean;
  readonly drainage: BagBody['kind']['drainage']['by'];
  /** drain holes above the base; 0: in the base */
  readonly holeMillimetres: number;
  /** what stands under the mix; heights are counted from the lowest mix, so this lies below 0 */
  readonly under: BagBody['real']['under'];
  /** bottomless rings in the top, by where they stand along the section */
  readonly rings: readonly {
    readonly x: number;
    readonly half: number;
    readonly from: number;
    readonly to: number;
  }[];
  readonly mixTop: number;
  /** layers of different mixes from the base upwards, by the heights between which they lie; empty for one mix */
  readonly layers: readonly { readonly name: string; readonly from: number; readonly to: number }[];
  readonly mulchTop: number;
  /** heights at which the share of available water would stand, with the shares */
  readonly water:
    | { readonly share: Range; readonly low: number; readonly likely: number; readonly high: number }
    | undefined;
  readonly plants: readonly ScenePlant[];
  /** its top above the lowest mix */
  readonly support: { readonly kind: Container['support']['kind']; readonly heightMillimetres: number };
  /** the lowest mix above the ground */
  readonly floorMillimetres: number;
  /** highest thing in the drawing */
  readonly top: number;
}

/** Height at which a share of the mix stands, by volume. */
function levelOf(body: BagBody, share: number): number {
  const level = heightOfLitres(body.real.solid, Math.min(1, Math.max(0, share)) * body.fill.mixLitres);
  return level.kind === 'stands-at'
    ? Math.min(level.millimetres, body.fill.mixMillimetres)
    : body.fill.mixMillimetres;
}

/** Where the layers of a fill lie: their shares are of the volume, so that heights follow from the shape. */
function layersOf(body: BagBody): Scene['layers'] {
  let below = 0;
  return body.layers.map(({ name, share }) => {
    const from = levelOf(body, below);
    below += share;
    return { name, from, to: levelOf(body, below) };
  });
}

/** A number from an id, the same every time: a plant keeps its own look. */
function seedOf(id: string): number {
  let hash = 2166136261;
  for (const letter of id) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return hash >>> 0;
}

/** How a plant that stands in a bag was put there: as recorded, or as the school in use would have it. */
export function plantingOf(occupant: Occupant, body: BagBody, schoolId: string): UprightPlanting | undefined {
  const advice = planUpright(
    occupant.planted.seedling,
    {
      depth: occupant.crop.depth,
      mixMillimetres: body.fill.mixMillimetres,
      schoolId: occupant.planted.schoolId ?? schoolId,
    },
    body.assumed,
  );
  const planned = advice.kind === 'upright' ? advice.planting : advice.instead;
  const buried = occupant.planted.buriedMillimetres;
  if (buried === undefined || !planned) return planned;
  const { stemMillimetres, ballMillimetres } = occupant.planted.seedling;
  return {
    ...planned,
    buriedMillimetres: buried,
    aboveMillimetres: stemMillimetres - buried,
    holeMillimetres: buried + ballMillimetres,
    belowBallMillimetres: Math.max(0, body.fill.mixMillimetres - buried - ballMillimetres),
  };
}

/**
 * The scene of a bag: its body, who stands in it and how tall by now, its support and its water.
 *
 * @param water shares of available water; left out for a bag that is being planned
 */
export function sceneOf(
  container: Pick<Container, 'support' | 'holeMillimetres'> & { readonly stations: readonly unknown[] },
  body: BagBody,
  occupants: readonly Occupant[],
  water: Range | undefined,
  now: string,
  settings: { readonly depthSchoolId: string; readonly assumptions: Readonly<Record<string, number>> },
): Scene {
  const { ring, under, solid } = body.real;
  const points = outline(solid, 24, ring?.bagTopMillimetres);
  const halfWidest = Math.max(...points.map((p) => p.half), (under?.widthMillimetres ?? 0) / 2);
  const mixTop = body.fill.mixMillimetres;
  const floorMillimetres = under?.heightMillimetres ?? 0;
  const count = container.stations.length;
  const placeOf = (position: number) =>
    ((position + 0.5) / count - 0.5) * 2 * halfWidest * (count > 1 ? 0.92 : 1);
  const plants = occupants.map((occupant): ScenePlant => {
    const planting = plantingOf(occupant, body, settings.depthSchoolId);
    const figures = habitFigures(occupant.crop.id, occupant.habit, settings.assumptions);
    const days = Math.max(0, daysBetween(occupant.plantedOn, dayOf(now)));
    const start = planting?.aboveMillimetres ?? occupant.planted.seedling.stemMillimetres;
    return {
      x: placeOf(occupant.position),
      crop: occupant.crop.id,
      fruit: occupant.crop.fruit,
      heightMillimetres: expectedHeightMillimetres(figures, start, days),
      isHeightMeasured: days === 0,
      buriedMillimetres: planting?.buriedMillimetres ?? 0,
      ball: { height: occupant.planted.seedling.ballMillimetres, width: occupant.crop.ball.widthMillimetres },
      graftMillimetres: occupant.planted.seedling.graftMillimetres,
      seed: seedOf(occupant.plant.id),
      age: Math.min(1, days / (figures.weeksToFull * 7)),
      isBearing: days > figures.weeksToFull * 7 * 0.55,
    };
  });
  const tallest = Math.max(0, ...plants.map((p) => mixTop + p.heightMillimetres));
  const support = {
    kind: container.support.kind,
    heightMillimetres: Math.max(0, container.support.heightMillimetres - floorMillimetres),
  };
  return {
    outline: points,
    heightMillimetres: solid.heightMillimetres,
    halfWidest,
    wall: body.kind.wall,
    isClosed: body.kind.isClosed || ring !== undefined,
    drainage: body.kind.drainage.by,
    holeMillimetres: body.kind.drainage.canBeRaised ? (container.holeMillimetres ?? 0) : 0,
    under,
    rings: ring
      ? container.stations.map((_, i) => ({
          x: placeOf(i),
          half: ring.widthMillimetres / 2,
          from: ring.fromMillimetres,
          to: ring.toMillimetres,
        }))
      : [],
    floorMillimetres,
    mixTop,
    layers: layersOf(body),
    mulchTop: body.fill.mulchTopMillimetres,
    water: water && {
      share: water,
      low: levelOf(body, water.low),
      likely: levelOf(body, water.likely),
      high: levelOf(body, water.high),
    },
    plants,
    support,
    top: Math.max(
      solid.heightMillimetres,
      tallest,
      support.heightMillimetres,
      (under?.pipeMillimetres ?? 0) - floorMillimetres,
    ),
  };
}
