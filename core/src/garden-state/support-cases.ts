import type { BagView } from './bag-view.ts';
import { grewFrom, growthOf } from './growth.ts';
import { plantingOf } from './growth.ts';
import type { BagProperties } from './properties.ts';
import {
  type Occupant,
  daysToReach,
  heightOn,
  type Reaching,
  canopySquareMetres,
  habitFigures,
  freeOf,
  ownedChoices,
  rankSupports,
  type StandingSupport,
  supportOf,
  type HeldPlant,
  type RankedSupport,
} from '../plants/index.ts';
import type { SupportKindId, Entry, Settings } from '../records/index.ts';

/** Days after which a plant's height is taken as its last. */
const GROWN_DAYS = 140;

/** What one of each support takes from the shed; the shed has it when all of it is there. */
const TAKES: Partial<Record<SupportKindId, readonly (readonly [string, number])[]>> = {
  string: [['string', 3]],
  stake: [['cane-long', 1]],
  canes: [['cane-long', 3]],
  triangle: [['cane-short', 3]],
  cage: [['cage', 1]],
  'two-cages': [['cage', 2]],
  tower: [['tower', 1]],
  frame: [['bag-frame', 1]],
};

/** Kinds of support that the shed has the making of. */
export function supportsInShed(stock: ReadonlyMap<string, number>): readonly SupportKindId[] {
  return (Object.keys(TAKES) as SupportKindId[]).filter((id) =>
    TAKES[id]?.every(([productId, amount]) => (stock.get(productId) ?? 0) >= amount),
  );
}

/** Top of the mix above the ground, mm. */
export function mixTopOf(properties: BagProperties): number {
  return properties.fill.mixMillimetres + (properties.real.under?.heightMillimetres ?? 0);
}

/** The supports that stand at a bag, as what they are made of counts. */
export function standingAt(bag: BagView): readonly StandingSupport[] {
  const { support, furtherSupports = [] } = bag.container;
  return [support, ...furtherSupports].map(({ kind, heightMillimetres }) => ({
    kindId: kind,
    aboveMillimetres: Math.max(0, heightMillimetres - mixTopOf(bag.properties)),
    times: kind === 'canes' || kind === 'frame' ? 1 : Math.max(1, bag.occupants.length),
  }));
}

/**
 * The supports for a bag's plants, ranked: what the grower owns and has free comes first while it is high enough.
 *
 * @param others the garden's bags: what stands at them is not free
 */
export function rankedFor(
  bag: BagView,
  occupant: Occupant,
  live: readonly Entry[],
  settings: Settings,
  stock: ReadonlyMap<string, number>,
  others: readonly BagView[] = [],
): readonly RankedSupport[] {
  const { belief } = growthOf(occupant, bag.properties, live, settings);
  const height = heightOn(belief, GROWN_DAYS);
  const foot = bag.properties.assumed.caneFoot;
  const standing = others.filter((other) => other.container.id !== bag.container.id).flatMap(standingAt);
  const free = freeOf(settings.ownedSupports ?? [], standing, foot);
  const times = Math.max(1, bag.occupants.length);
  return rankSupports({
    owned: ownedChoices(free, height.likely, times, foot),
    height,
    grows: occupant.habit.id === 'tall' || occupant.habit.id === 'climbing' ? 'leader' : 'bush',
    holdsCane: bag.properties.kind.holdsCane,
    liesFlat: bag.properties.kind.isClosed,
    hasOwnFrame: bag.properties.kind.id === 'reservoir',
    wireMillimetres: bag.place?.wireMillimetres,
    mixTopMillimetres: mixTopOf(bag.properties),
    inShed: supportsInShed(stock),
  });
}

/** The height above the ground that a support would have at a bag: as the bag has it, or as far as it usually goes. */
export function topFor(bag: BagView, ranked: RankedSupport): number {
  const { kind, heightMillimetres } = bag.container.support;
  if (kind === ranked.kind.id && heightMillimetres > 0) return heightMillimetres;
  if (ranked.kind.id === 'none') return 0;
  return Math.round((mixTopOf(bag.properties) + ranked.holdsMillimetres) / 10) * 10;
}

/** A bag's plants as what is to be held up by the support that the bag has. */
export function heldPlants(bag: BagView, settings: Settings): readonly HeldPlant[] {
  const { support, furtherSupports = [] } = bag.container;
  return [support, ...furtherSupports].flatMap(({ kind, heightMillimetres }) => {
    const perBag = kind === 'frame' || kind === 'planter-frame' || kind === 'canes';
    return bag.occupants.slice(0, perBag ? 1 : undefined).map((occupant) => ({
      kindId: kind,
      topMillimetres: heightMillimetres,
      mixTopMillimetres: mixTopOf(bag.properties),
      leaders: occupant.plant.leaders ?? 1,
      buriedMillimetres:
        plantingOf(occupant, bag.properties, settings.depthPracticeId)?.buriedMillimetres ?? 0,
      ballMillimetres: occupant.planted.seedling.ballMillimetres,
    }));
  });
}

/** When the tallest of a bag's plants grows out at the top of its support; undefined for a bag without one. */
export function outgrownOf(
  bag: BagView,
  live: readonly Entry[],
  settings: Settings,
): { readonly when: Reaching; readonly plantedOn: string } | undefined {
  const { kind, heightMillimetres } = bag.container.support;
  const [occupant] = bag.occupants;
  if (!occupant || supportOf(kind).footing === 'nowhere') return undefined;
  const { belief } = growthOf(occupant, bag.properties, live, settings);
  const above = Math.max(1, heightMillimetres - mixTopOf(bag.properties));
  return { when: daysToReach(belief, above), plantedOn: grewFrom(occupant) };
}

/** Grown leaf cover of the plants on strings, m². */
export function stringCanopy(bags: readonly BagView[], settings: Settings): number {
  return bags
    .filter((b) => b.container.support.kind === 'string')
    .flatMap((b) => b.occupants)
    .reduce((sum, o) => {
      const figures = habitFigures(o.crop.id, o.habit, settings.assumptions);
      return sum + canopySquareMetres(figures, figures.weeksToFull * 7);
    }, 0);
}
