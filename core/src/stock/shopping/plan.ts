import type { Assumed } from '../../assumed/index.ts';
import { ingredientLitres, type Mix } from '../../mixes/index.ts';
import { cheapestCover, type Cover } from './cover.ts';

/** A bag to fill, as far as shopping goes. */
export interface BagToFill {
  readonly mix: Pick<Mix, 'shares' | 'limeGramsPerLitre'>;
  /** new loose mix that it takes, L */
  readonly looseLitres: number;
  /** kilograms of each amendment, by good */
  readonly amendments?: ReadonlyMap<string, number>;
}

/** So much of a product is wanted, in its own unit. */
export type Needs = ReadonlyMap<string, number>;

/** What a set of bags takes in all: litres of ingredients, kilograms of amendments and lime. */
export function needsOf(bags: readonly BagToFill[], assumed: Assumed): Needs {
  const needs = new Map<string, number>();
  const add = (productId: string, amount: number) => {
    if (amount > 0) needs.set(productId, (needs.get(productId) ?? 0) + amount);
  };
  for (const { mix, looseLitres, amendments } of bags) {
    for (const { ingredientId, litres } of ingredientLitres(mix, looseLitres, assumed))
      add(ingredientId, litres);
    add('lime', (mix.limeGramsPerLitre * looseLitres) / 1000);
    for (const [productId, kilograms] of amendments ?? []) add(productId, kilograms);
  }
  return needs;
}

/** A pack of a product, its price perhaps unknown. */
export interface KnownPack {
  readonly id: string;
  readonly productId: string;
  readonly amount: number;
  readonly price?: number | undefined;
}

/** One line of a shopping list. */
export interface ShoppingLine {
  readonly productId: string;
  readonly need: number;
  /** taken from the shed first */
  readonly fromShed: number;
  readonly toBuy: number;
  readonly plan:
    | { readonly kind: 'enough' }
    | { readonly kind: 'packs'; readonly cover: Cover }
    /** packs are known but no price, so the fewest litres over are bought */
    | { readonly kind: 'unpriced'; readonly cover: Cover }
    | { readonly kind: 'no-packs' };
}

export interface ShoppingList {
  readonly lines: readonly ShoppingLine[];
  /** of the lines with prices */
  readonly price: number;
  /** products whose price is not known: the price above leaves them out */
  readonly unpriced: readonly string[];
}

/**
 * A shopping list: what the shed has is used first, and the rest is bought in the cheapest packs that cover it.
 * Where no pack has a price the packs with the least left over are proposed; where no pack is known, the amount alone.
 *
 * @param stock what the shed has of each product, in its own unit; a stock below nothing counts as none
 * @see docs/model.md, 2. Mixes, shopping, load
 */
export function shoppingList(
  needs: Needs,
  packs: readonly KnownPack[],
  stock: Needs = new Map(),
): ShoppingList {
  const lines = [...needs].map(([productId, need]): ShoppingLine => {
    const fromShed = Math.min(need, Math.max(0, stock.get(productId) ?? 0));
    const toBuy = need - fromShed;
    const own = packs.filter((p) => p.productId === productId);
    return { productId, need, fromShed, toBuy, plan: planOf(toBuy, own) };
  });
  return {
    lines,
    price: lines.reduce((sum, { plan }) => sum + (plan.kind === 'packs' ? plan.cover.price : 0), 0),
    unpriced: lines
      .filter(({ plan }) => plan.kind === 'unpriced' || plan.kind === 'no-packs')
      .map((l) => l.productId),
  };
}

function planOf(toBuy: number, packs: readonly KnownPack[]): ShoppingLine['plan'] {
  if (toBuy <= 1e-9) return { kind: 'enough' };
  const priced = packs.flatMap((p) => (p.price === undefined ? [] : [{ ...p, price: p.price }]));
  const cover = cheapestCover(toBuy, priced);
  if (cover) return { kind: 'packs', cover };
  // without prices a pack costs what is in it: the cover with least left over is then the cheapest
  const bare = cheapestCover(
    toBuy,
    packs.map((p) => ({ ...p, price: p.amount })),
  );
  return bare ? { kind: 'unpriced', cover: { ...bare, price: 0 } } : { kind: 'no-packs' };
}
