import type { Entry, EntryOf, Product } from '../records/index.ts';
import { findProduct, gramsOf, litresOf, type Scoops } from '../products/index.ts';
import { ingredientLitres, findMix, type Recipe } from '../mixes/index.ts';
import type { Assumed } from '../assumed/index.ts';

/** One movement of a product in the shed, in the product's own unit. */
export interface StockMove {
  readonly entryId: string;
  readonly at: string;
  readonly productId: string;
  readonly kind: 'bought' | 'used' | 'filled' | 'fed' | 'counted';
  /** added (bought) or taken (used, filled, fed); what a count changed it by */
  readonly change: number;
}

/** What is left of a product, and how it came to that. */
export interface Stock {
  readonly productId: string;
  /** below 0 when more was used than was ever put in: it wants counting */
  readonly left: number;
  /** the day of the last move */
  readonly lastAt: string;
  readonly moves: readonly StockMove[];
  /** purchases that are still (partly) there, oldest first: the oldest is used first */
  readonly lots: readonly { readonly boughtAt: string; readonly left: number }[];
}

/**
 * What a filling took from the shed: litres of each ingredient, kilograms of each amendment and of the lime in its mix.

 */
export function takenByFilling(
  entry: Pick<EntryOf<'filled'>, 'layers' | 'amendments'>,
  own: readonly Recipe[],
  assumed: Assumed,
): ReadonlyMap<string, number> {
  const taken = new Map<string, number>();
  const take = (productId: string, amount: number) =>
    taken.set(productId, (taken.get(productId) ?? 0) + amount);
  for (const { mixId, litres } of entry.layers) {
    const mix = findMix(mixId, own);
    // what an unknown mix was made of cannot be told
    if (!mix) continue;
    for (const need of ingredientLitres(mix, litres, assumed)) take(need.ingredientId, need.litres);
    if (mix.limeGramsPerLitre > 0) take('lime', (mix.limeGramsPerLitre * litres) / 1000);
  }
  for (const { productId, grams } of entry.amendments) take(productId, grams / 1000);
  return taken;
}

/**
 * What a feed took from the shed, in its product's own unit; undefined where it cannot be told (a volume of something that
 * is counted by weight and has no density).
 *
 * @see docs/model.md, 2. Mixes, shopping, load
 * @example
 * takenByFeed({ productId: 'tomato-liquid', amount: 45, unit: 'millilitre' }, [], metricScoops)
 * // => 0.045
 */
export function takenByFeed(
  fed: Pick<EntryOf<'fed'>, 'productId' | 'amount' | 'unit'>,
  products: readonly Product[],
  scoops: Scoops,
): number | undefined {
  const product = findProduct(fed.productId, products);
  if (!product) return undefined;
  if (product.unit === 'piece') return fed.unit === 'piece' ? fed.amount : undefined;
  if (product.unit === 'litre') {
    const litres = litresOf(fed, scoops);
    if (litres !== undefined) return litres;
  }
  const grams = gramsOf(fed, product, scoops);
  if (grams === undefined) return undefined;
  if (product.unit !== 'litre') return grams / 1000;
  return product.kilogramsPerLitre === undefined ? undefined : grams / 1000 / product.kilogramsPerLitre;
}

/** What the shed is worked out with beside the diary: the grower's own mixes, products, measures and numbers. */
export interface StockContext {
  readonly mixes: readonly Recipe[];
  readonly products: readonly Product[];
  readonly scoops: Scoops;
  readonly assumed: Assumed;
}

function movesOf(entry: Entry, { mixes, products, scoops, assumed }: StockContext): readonly StockMove[] {
  const base = { entryId: entry.id, at: entry.at };
  if (entry.kind === 'bought')
    return [{ ...base, kind: 'bought', productId: entry.productId, change: entry.amount }];
  if (entry.kind === 'used')
    return [{ ...base, kind: 'used', productId: entry.productId, change: -entry.amount }];
  if (entry.kind === 'counted')
    return [{ ...base, kind: 'counted', productId: entry.productId, change: entry.amount }];
  if (entry.kind === 'fed') {
    const taken = takenByFeed(entry, products, scoops);
    return taken === undefined ? [] : [{ ...base, kind: 'fed', productId: entry.productId, change: -taken }];
  }
  if (entry.kind !== 'filled') return [];
  return [...takenByFilling(entry, mixes, assumed)].map(([productId, amount]) => ({
    ...base,
    kind: 'filled' as const,
    productId,
    change: -amount,
  }));
}

/**
 * The shed by its diary: bought puts in, used, filled and fed take out (the oldest purchase first), a count sets it right.
 * Goods that were never in the shed are left out: a filling alone does not make a debt.
 *
 * @param live the garden's live entries, oldest first
 */
export function stockOf(live: readonly Entry[], context: StockContext): readonly Stock[] {
  const byProduct = new Map<string, StockMove[]>();
  for (const entry of live) {
    for (const move of movesOf(entry, context)) {
      const moves = byProduct.get(move.productId);
      if (moves) moves.push(move);
      else if (move.kind === 'bought' || move.kind === 'counted') byProduct.set(move.productId, [move]);
    }
  }
  return [...byProduct].map(([productId, moves]) => reckoned(productId, moves));
}

function reckoned(productId: string, raw: readonly StockMove[]): Stock {
  let left = 0;
  let lots: { boughtAt: string; left: number }[] = [];
  const moves = raw.map((move): StockMove => {
    const change = move.kind === 'counted' ? move.change - left : move.change;
    if (change > 0) lots.push({ boughtAt: move.at, left: change });
    else lots = without(lots, -change);
    left += change;
    return { ...move, change };
  });
  return { productId, left, lastAt: raw.at(-1)?.at ?? '', moves, lots };
}

/** Takes an amount out of lots, the oldest first. */
function without(
  lots: readonly { readonly boughtAt: string; readonly left: number }[],
  amount: number,
): { boughtAt: string; left: number }[] {
  let rest = amount;
  const kept: { boughtAt: string; left: number }[] = [];
  for (const lot of lots) {
    const taken = Math.min(lot.left, rest);
    rest -= taken;
    if (lot.left - taken > 1e-9) kept.push({ ...lot, left: lot.left - taken });
  }
  return kept;
}
