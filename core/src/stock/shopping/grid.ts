import type { OfferedPack } from './cover.ts';

/** Amounts are whole thousandths (millilitres, grams, millimetres) in nearly every shop. */
const PER_UNIT = 1000;

/** Cells that are worth filling; finer grids are left to the search. */
const MOST_CELLS = 400_000;

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);

/**
 * The cheapest cover by dynamic programming over multiples of the packs' common measure: how cheaply, and with how
 * little over, each amount can be covered, from nothing up to the need.
 *
 * @returns how many of each pack; undefined when the packs have no common measure coarse enough
 * @see docs/model.md, 2. Mixes, shopping, load
 */
export function coverOnGrid(need: number, packs: readonly OfferedPack[]): readonly number[] | undefined {
  const whole = packs.map((pack) => Math.round(pack.amount * PER_UNIT));
  if (whole.some((amount, i) => Math.abs(amount - (packs[i]?.amount ?? 0) * PER_UNIT) > 1e-6))
    return undefined;
  const step = whole.reduce(greatestCommonDivisor, 0);
  const cells = Math.ceil((need * PER_UNIT - 1e-6) / step);
  if (cells * packs.length > MOST_CELLS) return undefined;
  // flat arrays and plain loops: this is the one place where a shopping list takes time
  const sizes = Int32Array.from(whole, (amount) => amount / step);
  const prices = Float64Array.from(packs, (pack) => pack.price);
  const price = new Float64Array(cells + 1);
  const covered = new Float64Array(cells + 1);
  const chosen = new Int32Array(cells + 1);
  for (let cell = 1; cell <= cells; cell++) {
    let bestPrice = Infinity;
    let bestCovered = Infinity;
    for (let i = 0; i < sizes.length; i++) {
      const size = sizes[i] as number;
      const before = cell > size ? cell - size : 0;
      const cost = (price[before] as number) + (prices[i] as number);
      if (cost > bestPrice + 1e-9) continue;
      const amount = (covered[before] as number) + size;
      if (cost < bestPrice - 1e-9 || amount < bestCovered) {
        bestPrice = cost;
        bestCovered = amount;
        chosen[cell] = i;
      }
    }
    price[cell] = bestPrice;
    covered[cell] = bestCovered;
  }
  const counts = packs.map(() => 0);
  for (let cell = cells; cell > 0;) {
    const i = chosen[cell] as number;
    counts[i] = (counts[i] as number) + 1;
    cell = Math.max(0, cell - (sizes[i] as number));
  }
  return counts;
}
