import { daysBetween } from '../calendar/index.ts';
import { learntRipeDays, ripeDays, trussesOf, type RipeDays } from '../care/index.ts';
import { occupantsOf } from '../plants/index.ts';
import { entriesAt, entriesOfKind, type Entry, type Garden, type Variety } from '../records/index.ts';

/** A truss is picked over about so many days: its middle fruit was ripe half of them before the last came off. */
const PICKED_OVER_DAYS = 8;
/** Fewer days than this part of what is usual, or more than so many times it, are no ripening: something was noted late. */
const CREDIBLE = { least: 0.6, most: 1.6 };

/**
 * Days from set to ripe that this garden has shown, by variety: a plant's first set to its first ripe fruit, and each truss from
 * its set until it was all picked.
 */
export function setToRipeSeen(
  garden: Garden,
  live: readonly Entry[],
): ReadonlyMap<string, readonly number[]> {
  const seen = new Map<string, number[]>();
  const told = new Set([
    ...entriesOfKind(live, 'truss').flatMap((e) => (e.stage === 'flowering' ? [] : [e.containerId])),
    ...entriesOfKind(live, 'stage').flatMap((e) => (e.stage === 'set' ? [e.containerId] : [])),
  ]);
  for (const container of garden.containers) {
    if (!told.has(container.id)) continue;
    const here = entriesAt(live, container.id);
    for (const { plant, crop, variety, stages } of occupantsOf(container, live, garden)) {
      const usual = ripeDays(crop.id, variety);
      const add = (days: number) => {
        if (days < CREDIBLE.least * usual.low || days > CREDIBLE.most * usual.high) return;
        seen.set(variety.id, [...(seen.get(variety.id) ?? []), days]);
      };
      const { set, ripe } = stages.seen;
      const trusses = trussesOf(here, plant.id);
      // a first ripe fruit is of the first set, whether its truss was logged or only seen
      if (set !== undefined && ripe !== undefined) add(daysBetween(set, ripe));
      for (const { setOn, pickedOn } of trusses)
        if (setOn !== undefined && pickedOn !== undefined && setOn !== set)
          add(daysBetween(setOn, pickedOn) - PICKED_OVER_DAYS / 2);
    }
  }
  return seen;
}

/** Days from set to ripe by the id of a variety, as far as the diary tells. */
export type LearntRipening = Readonly<Record<string, Pick<RipeDays, 'low' | 'high'>>>;

/** What the garden's own trusses say of its varieties, drawn towards what is usual; none for one of which the grower said it. */
export function learntRipening(garden: Garden, live: readonly Entry[]): LearntRipening {
  const seen = setToRipeSeen(garden, live);
  return Object.fromEntries(
    garden.varieties.flatMap((variety) => {
      const own = seen.get(variety.id);
      if (!own || variety.setToRipe) return [];
      const { low, high } = learntRipeDays(ripeDays(variety.cropId, variety), own);
      return [[variety.id, { low, high }]];
    }),
  );
}

/** Varieties with what was learnt of them. */
export function taughtVarieties(varieties: readonly Variety[], learnt: LearntRipening): readonly Variety[] {
  return varieties.map((variety) => {
    const setToRipe = learnt[variety.id];
    return setToRipe ? { ...variety, setToRipe } : variety;
  });
}
