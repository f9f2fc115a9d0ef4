import {
  grewFrom,
  growthOf,
  heightNow,
  levelOf,
  plantingOf,
  plantingTaskOf,
  STATIONS_SPAN,
  type BagProperties,
} from '@rundel/core/garden-state';
import { type Occupant, habitFigures } from '@rundel/core/plants';
import { heightOfLitres, litresBelow, outline } from '@rundel/core/bags';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import type { CompanionSize, Entry, Container } from '@rundel/core/records';
import { plantingMethodOf, type PlantingPlan } from '@rundel/core/planting';
import type { Range } from '@rundel/core/water';
import { trainingOf, type Training } from './training.ts';

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
  /** the surface that its stem comes out of: the mix, or the top of what fills a collar */
  readonly surface: number;
  /** laid along a trench: its length, its depth and the bend's radius */
  readonly trench?: { readonly length: number; readonly depth: number; readonly bend: number };
  /** a bottomless pot on the bag: half its width, from and to */
  readonly collar?: { readonly half: number; readonly from: number; readonly to: number };
  readonly ball: { readonly height: number; readonly width: number };
  readonly graftMillimetres: number | undefined;
  readonly seed: number;
  readonly training: Training;
  /** 0 seedling to 1 in full bearing: what hangs on it */
  readonly age: number;
  readonly isBearing: boolean;
}

/** A bag in section, ready to be drawn: everything to scale, in mm. */
export interface Scene {
  readonly outline: readonly { readonly z: number; readonly half: number }[];
  readonly heightMillimetres: number;
  readonly halfWidest: number;
  readonly wall: BagProperties['kind']['wall'];
  /** closed at the top, planted through slits */
  readonly isClosed: boolean;
  readonly drainage: BagProperties['kind']['drainage']['by'];
  /** drain holes above the base; 0: in the base */
  readonly holeMillimetres: number;
  /** what stands under the mix; heights are counted from the lowest mix, so this lies below 0 */
  readonly under: BagProperties['real']['under'];
  /** how full that is believed to be; left out: not known */
  readonly level?: Range | undefined;
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
  /** what stands beside the crop now, by its size */
  readonly beside: CompanionSize;
  /** its top above the lowest mix */
  readonly support: { readonly kind: Container['support']['kind']; readonly heightMillimetres: number };
  /** the lowest mix above the ground */
  readonly floorMillimetres: number;
  /** highest thing in the drawing */
  readonly top: number;
}

/** Height at which a share of the mix below a level stands, by volume. */
function heightOfShare(properties: BagProperties, level: number, share: number): number {
  const { solid } = properties.real;
  const whole = litresBelow(solid, Math.min(level, solid.heightMillimetres));
  const found = heightOfLitres(solid, Math.min(1, Math.max(0, share)) * whole);
  return found.kind === 'stands-at' ? Math.min(found.millimetres, level) : level;
}

/** Where the layers of a fill lie: their shares are of the volume, so that heights follow from the shape. */
function layersOf(properties: BagProperties): Scene['layers'] {
  let below = 0;
  return properties.layers.map(({ name, share }) => {
    const from = heightOfShare(properties, properties.fill.mixMillimetres, below);
    below += share;
    return { name, from, to: heightOfShare(properties, properties.fill.mixMillimetres, below) };
  });
}

/** A number from an id, the same every time: a plant keeps its own look. */
function seedOf(id: string): number {
  let hash = 2166136261;
  for (const letter of id) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return hash >>> 0;
}

/** Where a plant's stem runs below the surface, and what was set on the bag for it. */
function undergroundOf(
  occupant: Occupant,
  container: { readonly stations: readonly unknown[] },
  properties: BagProperties,
  practiceId: string,
): Pick<ScenePlant, 'trench' | 'collar'> & { readonly surface: number | undefined } {
  const { plantingMethodId, seedling } = occupant.planted;
  if (plantingMethodId !== 'trench' && plantingMethodId !== 'collar') return { surface: undefined };
  const { crop, habit, planted } = occupant;
  const practice = planted.practiceId ?? practiceId;
  const task = plantingTaskOf(properties, container.stations.length, practice, crop, habit, seedling);
  const outcome = plantingMethodOf(plantingMethodId).plan(task);
  return outcome.kind === 'planned' ? geometryOf(outcome.plan, properties) : { surface: undefined };
}

/** What of a plan is drawn beside stem and ball. */
function geometryOf(plan: PlantingPlan, properties: BagProperties): ReturnType<typeof undergroundOf> {
  const { trench, collar, levelMillimetres, hole } = plan;
  const seat = properties.fill.mixMillimetres - properties.assumed.collarSeat;
  return {
    surface: collar ? levelMillimetres : undefined,
    ...(trench
      ? {
          trench: {
            length: trench.lengthMillimetres,
            depth: hole.depthMillimetres,
            bend: trench.bendRadiusMillimetres,
          },
        }
      : {}),
    ...(collar
      ? { collar: { half: collar.widthMillimetres / 2, from: seat, to: seat + collar.heightMillimetres } }
      : {}),
  };
}

/** A lying stem's ball and tip share the length about the station: the tip stands at its outer end. */
function tipOf(x: number, trench: ScenePlant['trench']): number {
  return trench ? x + ((x > 0 ? 1 : -1) * trench.length) / 2 : x;
}

/** A scene with its plants put in by a plan that is being thought about, at the level that the plan asks for. */
export function withPlan(scene: Scene, plan: PlantingPlan, properties: BagProperties): Scene {
  const mixTop = plan.collar ? scene.mixTop : plan.levelMillimetres;
  const { surface = mixTop, ...under } = geometryOf(plan, properties);
  const heightMillimetres = plan.stem.aboveMillimetres;
  const plants = scene.plants.map(({ trench: _, collar: __, ...bare }): ScenePlant => ({
    ...bare,
    ...under,
    x: tipOf(bare.x, under.trench),
    surface,
    heightMillimetres,
    buriedMillimetres: plan.stem.buriedMillimetres,
    isHeightMeasured: true,
  }));
  return {
    ...scene,
    mixTop,
    mulchTop: plan.topUps.length > 0 ? mixTop : Math.max(mixTop, scene.mulchTop),
    plants,
    top: Math.max(scene.top, surface + heightMillimetres),
  };
}

/** Passing tenants stand there from their day to their day. */
function besideOn(companions: Container['companions'], today: string): CompanionSize {
  if (!companions || (companions.from ?? '') > today || (companions.until ?? '9') < today) return 'none';
  return companions.size;
}

/** Whether fruit hangs on a plant, where the grower has seen it or has not; undefined: by its age. */
function bears({ stages: { seen, notYet } }: Occupant): boolean | undefined {
  if (seen.set ?? seen.ripe) return true;
  return (notYet.set ?? notYet.flowers) ? false : undefined;
}

/**
 * The scene of a bag: its body, who stands in it and how tall by now, its support and its water.
 *
 * @param water shares of available water; left out for a bag that is being planned
 * @param live the garden's live entries: measured heights and top-ups are read from them
 */
export function sceneOf(
  container: Pick<Container, 'support' | 'holeMillimetres'> &
    Partial<Pick<Container, 'companions'>> & { readonly stations: readonly unknown[] },
  properties: BagProperties,
  occupants: readonly Occupant[],
  water: Range | undefined,
  now: string,
  settings: { readonly depthPracticeId: string; readonly assumptions: Readonly<Record<string, number>> },
  live: readonly Entry[] = [],
): Scene {
  const { ring, under, solid } = properties.real;
  const points = outline(solid, 24, ring?.bagTopMillimetres);
  const halfWidest = Math.max(...points.map((p) => p.half), (under?.widthMillimetres ?? 0) / 2);
  const mixTop = levelOf(properties, occupants, live);
  const { fill } = properties;
  const mulchMillimetres = fill.mulchTopMillimetres - fill.mixMillimetres;
  const floorMillimetres = under?.heightMillimetres ?? 0;
  const count = container.stations.length;
  const placeOf = (position: number) =>
    ((position + 0.5) / count - 0.5) * 2 * halfWidest * (count > 1 ? STATIONS_SPAN : 1);
  const plants = occupants.map((occupant): ScenePlant => {
    const planting = plantingOf(occupant, properties, settings.depthPracticeId);
    const figures = habitFigures(occupant.crop.id, occupant.habit, settings.assumptions);
    const { surface = mixTop, ...under } = undergroundOf(
      occupant,
      container,
      properties,
      settings.depthPracticeId,
    );
    const grown = Math.max(0, daysBetween(occupant.ageFrom, dayOf(now)));
    const risen = mixTop - (occupant.planted.levelMillimetres ?? mixTop);
    const height = heightNow(
      growthOf(occupant, properties, live, settings),
      Math.max(0, daysBetween(grewFrom(occupant), dayOf(now))),
      risen,
      occupant.planted.isGuessed,
    );
    return {
      x: tipOf(placeOf(occupant.position), under.trench),
      crop: occupant.crop.id,
      fruit: occupant.crop.fruit,
      heightMillimetres: height.likely,
      isHeightMeasured: height.isMeasured,
      buriedMillimetres: (planting?.buriedMillimetres ?? 0) + risen,
      surface,
      ...under,
      ball: { height: occupant.planted.seedling.ballMillimetres, width: occupant.crop.ball.widthMillimetres },
      graftMillimetres: occupant.planted.seedling.graftMillimetres,
      seed: seedOf(occupant.plant.id),
      training: trainingOf(occupant.habit, occupant.plant.leaders, height.likely),
      age: Math.min(1, grown / (figures.weeksToFull * 7)),
      isBearing: bears(occupant) ?? grown > figures.weeksToFull * 7 * 0.55,
    };
  });
  const tallest = Math.max(0, ...plants.map((p) => p.surface + p.heightMillimetres));
  const support = {
    kind: container.support.kind,
    heightMillimetres: Math.max(0, container.support.heightMillimetres - floorMillimetres),
  };
  return {
    outline: points,
    heightMillimetres: solid.heightMillimetres,
    halfWidest,
    wall: properties.kind.wall,
    isClosed: properties.kind.isClosed || ring !== undefined,
    drainage: properties.kind.drainage.by,
    holeMillimetres: properties.kind.drainage.canBeRaised ? (container.holeMillimetres ?? 0) : 0,
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
    layers: layersOf(properties),
    // what is not filled yet is empty, and no mulch
    mulchTop: Math.min(solid.heightMillimetres, mixTop + mulchMillimetres),
    water: water && {
      share: water,
      low: heightOfShare(properties, mixTop, water.low),
      likely: heightOfShare(properties, mixTop, water.likely),
      high: heightOfShare(properties, mixTop, water.high),
    },
    plants,
    beside: besideOn(container.companions, dayOf(now)),
    support,
    top: Math.max(
      solid.heightMillimetres,
      tallest,
      support.heightMillimetres,
      (under?.pipeMillimetres ?? 0) - floorMillimetres,
    ),
  };
}
