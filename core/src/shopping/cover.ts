import { within } from '../errors/index.ts';

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

/** Amounts are compared with this slack, so that three packs of 0.1 cover 0.3. */
const SLACK = 1e-9;

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
 * The cheapest set of packs that covers a need; of equally cheap ones the one with less left over. Exact: a depth-first
 * search over counts, the best price per unit first, that leaves a branch as soon as even the best price per unit of
 * the packs still to be tried could not beat what was found, and never works out the same remainder twice.
 *
 * @param need in the packs' unit, 0 or more
 * @returns undefined when no pack is on offer
 * @throws RundelError when the need or a pack is not a number above 0
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
  const ratios = offered.map((pack) => pack.price / pack.amount);
  let best: { price: number; amount: number; counts: readonly number[] } | undefined;
  const counts = offered.map(() => 0);
  // cheapest way in which each remainder was reached at each pack: a dearer one need not be followed again
  const reached = offered.map(() => new Map<number, number>());

  const isBetter = (price: number, amount: number) =>
    !best || price < best.price - SLACK || (price < best.price + SLACK && amount < best.amount - SLACK);

  const search = (at: number, covered: number, price: number): void => {
    if (covered >= need - SLACK) {
      if (isBetter(price, covered)) best = { price, amount: covered, counts: [...counts] };
      return;
    }
    const pack = offered[at];
    const ratio = ratios[at];
    if (!pack || ratio === undefined) return;
    if (best && price + (need - covered) * ratio > best.price + SLACK) return;
    const key = Math.round(covered * 1e6);
    const before = reached[at]?.get(key);
    if (before !== undefined && before <= price + SLACK) return;
    reached[at]?.set(key, price);
    const most = Math.ceil((need - covered) / pack.amount - SLACK);
    const nextRatio = ratios[at + 1];
    for (let count = most; count >= 0; count--) {
      const amount = covered + count * pack.amount;
      const cost = price + count * pack.price;
      // every pack fewer leaves more to the dearer ones: once that cannot win, still fewer cannot either
      if (amount < need - SLACK && best) {
        if (nextRatio === undefined || cost + (need - amount) * nextRatio > best.price + SLACK) break;
      }
      counts[at] = count;
      search(at + 1, amount, cost);
    }
    counts[at] = 0;
  };
  search(0, 0, 0);
  if (!best) return undefined;
  const { price, amount, counts: chosen } = best;
  return {
    packs: offered.flatMap((pack, i) => (chosen[i] ? [{ id: pack.id, count: chosen[i] }] : [])),
    price,
    amount,
    over: Math.max(0, amount - need),
  };
}
