import type { OwnedSupport, SupportKindId, SupportThing } from '../../records/index.ts';

/** What each support is made of, by how many for one plant with one leader. */
const MADE_OF: Partial<
  Record<SupportKindId, { readonly things: readonly SupportThing[]; readonly count: number }>
> = {
  stake: { things: ['stake', 'cane'], count: 1 },
  canes: { things: ['cane', 'stake'], count: 3 },
  triangle: { things: ['cane'], count: 3 },
  cage: { things: ['cage'], count: 1 },
  'two-cages': { things: ['cage'], count: 2 },
  tower: { things: ['tower'], count: 1 },
  frame: { things: ['frame'], count: 1 },
};

/** A support as it stands at a bag: of what, and how high above the mix, mm. */
export interface StandingSupport {
  readonly kindId: SupportKindId;
  readonly aboveMillimetres: number;
  /** plants, or leaders, that it is for */
  readonly times: number;
}

/** A support that can be made of what the grower owns and has free. */
export interface OwnedChoice {
  readonly thing: SupportThing;
  readonly lengthMillimetres: number;
  /** how many of that length are free */
  readonly free: number;
  /** how high it holds above the mix, mm */
  readonly holdsMillimetres: number;
}

/** How high something of a length holds above the mix: canes and stakes have a foot in it. */
export function heldBy(kindId: SupportKindId, length: number, footMillimetres: number): number {
  if (kindId === 'cage' || kindId === 'tower' || kindId === 'frame') return length;
  // the upper cage stands on the lower, upside down
  if (kindId === 'two-cages') return length * 1.8;
  return Math.max(0, length - footMillimetres);
}

/**
 * What is owned and not in use, by length: what stands at bags takes the shortest that is long enough for it, or the longest that
 * there is.
 *
 * @param footMillimetres of a cane or stake in the mix
 * @example
 * freeOf([{ thing: 'cane', lengthMillimetres: 1200, count: 4 }], [{ kindId: 'canes', aboveMillimetres: 900, times: 1 }], 250)
 * // => [{ thing: 'cane', lengthMillimetres: 1200, count: 1 }]
 */
export function freeOf(
  owned: readonly OwnedSupport[],
  standing: readonly StandingSupport[],
  footMillimetres: number,
): readonly OwnedSupport[] {
  const left = owned.map((o) => ({ ...o })).sort((a, b) => a.lengthMillimetres - b.lengthMillimetres);
  for (const { kindId, aboveMillimetres, times } of standing) {
    const made = MADE_OF[kindId];
    if (!made) continue;
    let needed = made.count * times;
    for (const thing of made.things) {
      const own = left.filter((o) => o.thing === thing);
      const long = own.filter(
        (o) => heldBy(kindId, o.lengthMillimetres, footMillimetres) >= aboveMillimetres - 1,
      );
      // what is long enough first, the shortest of it; then the longest of the rest
      for (const each of [...long, ...own.filter((o) => !long.includes(o)).reverse()]) {
        const taken = Math.min(needed, each.count);
        each.count -= taken;
        needed -= taken;
      }
    }
  }
  return left;
}

/**
 * The best of what is free for each kind of support: the shortest that holds the plant, else the longest.
 *
 * @param heightMillimetres that the plant is expected to reach above the mix
 */
export function ownedChoices(
  free: readonly OwnedSupport[],
  heightMillimetres: number,
  times: number,
  footMillimetres: number,
): ReadonlyMap<SupportKindId, OwnedChoice> {
  const choices = new Map<SupportKindId, OwnedChoice>();
  for (const [kindId, made] of Object.entries(MADE_OF) as [
    SupportKindId,
    NonNullable<(typeof MADE_OF)[SupportKindId]>,
  ][]) {
    const enough = free.filter((o) => made.things.includes(o.thing) && o.count >= made.count * times);
    const held = enough
      .map(({ thing, lengthMillimetres, count }) => ({
        thing,
        lengthMillimetres,
        free: count,
        holdsMillimetres: heldBy(kindId, lengthMillimetres, footMillimetres),
      }))
      .sort((a, b) => a.holdsMillimetres - b.holdsMillimetres);
    const best = held.find((h) => h.holdsMillimetres >= heightMillimetres * 0.9) ?? held.at(-1);
    if (best) choices.set(kindId, best);
  }
  return choices;
}

/** Lengths in which canes are sold, mm. */
const SOLD = [600, 900, 1200, 1500, 1800, 2100, 2400];

/**
 * The cane to ask for: the shortest that is sold and long enough, or the longest that there is.
 *
 * @example
 * soldLength(1310)
 * // => 1500
 */
export function soldLength(millimetres: number): number {
  return SOLD.find((length) => length >= millimetres) ?? (SOLD.at(-1) as number);
}
