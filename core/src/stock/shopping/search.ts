import type { OfferedPack } from './cover.ts';

/** Amounts and prices are compared with this slack, so that three packs of 0.1 cover 0.3. */
const SLACK = 1e-9;

/**
 * The cheapest cover by a depth-first search over counts, for packs of whatever sizes. It leaves a branch as soon as
 * even the best price per unit of the packs still to be tried could not beat what was found, and never works out the
 * same remainder twice.
 *
 * @param packs the best price per unit first
 * @param mostSteps gives up after so many
 * @returns how many of each pack; undefined when it gave up
 * @see docs/model.md, 2. Mixes, shopping, load
 */
export function coverBySearch(
  need: number,
  packs: readonly OfferedPack[],
  mostSteps = Infinity,
): readonly number[] | undefined {
  let steps = 0;
  const ratios = packs.map((pack) => pack.price / pack.amount);
  let best: { price: number; amount: number; counts: readonly number[] } | undefined;
  const counts = packs.map(() => 0);
  // cheapest way in which each remainder was reached at each pack: a dearer one need not be followed again
  const reached = packs.map(() => new Map<number, number>());

  const isBetter = (price: number, amount: number) =>
    !best || price < best.price - SLACK || (price < best.price + SLACK && amount < best.amount - SLACK);

  const search = (at: number, covered: number, price: number): void => {
    steps += 1;
    if (steps > mostSteps) return;
    if (covered >= need - SLACK) {
      if (isBetter(price, covered)) best = { price, amount: covered, counts: [...counts] };
      return;
    }
    const pack = packs[at];
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
  return steps > mostSteps ? undefined : (best?.counts ?? counts);
}
