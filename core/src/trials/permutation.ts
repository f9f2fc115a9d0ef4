import { groupedBy, type Chance } from '../statistics/index.ts';
import { differenceOf, type KnownSpread, type Observation, type TrialAssumed } from './estimate.ts';

/** Shuffles are drawn at the most so often. */
const MOST_SHUFFLES = 400;

/**
 * How often chance alone gives as large a difference: which bag had what is shuffled among the bags of a place, a bag keeping what it
 * had through its seasons. With two bags a side at one place it can never be less than one in three, and is a check, not the answer.
 *
 * @returns share of the shuffles with at least as large a difference; undefined where one side has nothing
 */
export function shuffledShare(
  observations: readonly Observation[],
  treatments: readonly [string, string],
  known: KnownSpread,
  chance: Chance,
  assumed: TrialAssumed,
): number | undefined {
  const pair = observations.filter((o) => treatments.includes(o.treatmentId));
  const seen = differenceOf(pair, treatments, known, assumed);
  if (!seen) return undefined;
  const units = [...groupedBy(pair, (o) => o.unitId)].map(([unitId, rows]) => ({
    unitId,
    place: rows[0]?.place ?? '',
    treatmentId: rows[0]?.treatmentId ?? '',
  }));
  const byPlace = [...groupedBy(units, (u) => u.place).values()];
  let asLarge = 0;
  for (let i = 0; i < MOST_SHUFFLES; i++) {
    const given = new Map<string, string>();
    for (const group of byPlace) {
      const had = shuffled(
        group.map((u) => u.treatmentId),
        chance,
      );
      group.forEach((u, at) => given.set(u.unitId, had[at] ?? u.treatmentId));
    }
    const again = differenceOf(
      pair.map((o) => ({ ...o, treatmentId: given.get(o.unitId) ?? o.treatmentId })),
      treatments,
      known,
      assumed,
    );
    if (again && Math.abs(again.raw) >= Math.abs(seen.raw) - 1e-9) asLarge += 1;
  }
  return asLarge / MOST_SHUFFLES;
}

/** Rows in an order of chance (Fisher & Yates). */
export function shuffled<T>(rows: readonly T[], chance: Chance): readonly T[] {
  const order = [...rows];
  for (let i = order.length - 1; i > 0; i--) {
    const at = Math.floor(chance.next() * (i + 1));
    [order[i], order[at]] = [order[at] as T, order[i] as T];
  }
  return order;
}

/**
 * Who gets what, by lot: at each place the treatments are dealt round, so that each has as many there as can be.
 *
 * @returns a treatment for each unit, in the order in which they were given
 * @example
 * dealFairly([{ place: 'deck' }, { place: 'deck' }], ['a'], { next: () => 0 })
 * // => ['a', 'a']
 */
export function dealFairly(
  units: readonly { readonly place: string }[],
  treatments: readonly string[],
  chance: Pick<Chance, 'next'>,
): readonly string[] {
  const dealt = new Array<string>(units.length).fill('');
  const indexed = units.map(({ place }, i) => ({ place, i }));
  let turn = Math.floor(chance.next() * treatments.length);
  for (const group of groupedBy(indexed, (u) => u.place).values())
    for (const { i } of shuffled(group, chance as Chance)) {
      dealt[i] = treatments[turn % treatments.length] ?? '';
      turn += 1;
    }
  return dealt;
}
