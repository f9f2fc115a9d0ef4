import { within } from '../../errors/index.ts';
import { coverOnGrid } from './grid.ts';
import { coverBySearch } from './search.ts';

/** A pack on offer. */
export interface OfferedPack {
  readonly id: string;
  /** litres, kilograms, pieces or metres; above 0 */
  readonly amount: number;
  readonly price: number;
}

/** The cheapest set of packs that covers a need. */
export interface Cover {
  readonly packs: readonly { readonly id: string; readonly count: number }[];
  readonly price: number;
  readonly amount: number;
  /** what is left over */
  readonly over: number;
}

/** Most searches end sooner than this; those that do not are quicker on a grid. */
const QUICK_STEPS = 1500;

/** Dominated packs are of no use: another gives as much for less (for the same, the one with less left over counts). */
function worthwhile(packs: readonly OfferedPack[]): readonly OfferedPack[] {
  return packs
    .filter(
      (a, i) =>
        !packs.some(
          (b, j) =>
            i !== j &&
            ((b.amount >= a.amount && b.price < a.price) ||
              (b.amount === a.amount && b.price === a.price && j < i)),
        ),
    )
    .sort((a, b) => a.price / a.amount - b.price / b.amount || b.amount - a.amount);
}

/**
 * The cheapest set of packs that covers a need; of equally cheap ones the one with less left over. Exact: a
 * search that proves its bound, or where that would take long dynamic programming over the packs' common measure.
 *
 * @param need in the packs' unit, 0 or more
 * @returns undefined when no pack is on offer
 * @throws RundelError when the need or a pack is not a number above 0
 * @see docs/model.md, 2. Mixes, shopping, load
 * @example
 * cheapestCover(100, [{ id: 'small', amount: 20, price: 4 }, { id: 'large', amount: 60, price: 9 }])
 * // => { packs: [{ id: 'large', count: 1 }, { id: 'small', count: 2 }], price: 17, amount: 100, over: 0 }
 */
export function cheapestCover(need: number, packs: readonly OfferedPack[]): Cover | undefined {
  within('need', need, 0, 1e9);
  for (const pack of packs) {
    within(`amount of pack ${pack.id}`, pack.amount, Number.MIN_VALUE, 1e9);
    within(`price of pack ${pack.id}`, pack.price, 0, 1e9);
  }
  if (packs.length === 0) return undefined;
  const offered = worthwhile(packs);
  const counts =
    coverBySearch(need, offered, QUICK_STEPS) ??
    coverOnGrid(need, offered) ??
    coverBySearch(need, offered) ??
    [];
  const sum = (of: 'amount' | 'price') =>
    offered.reduce((total, pack, i) => total + pack[of] * (counts[i] ?? 0), 0);
  const amount = sum('amount');
  return {
    packs: offered.flatMap((pack, i) => (counts[i] ? [{ id: pack.id, count: counts[i] }] : [])),
    price: sum('price'),
    amount,
    over: Math.max(0, amount - need),
  };
}
