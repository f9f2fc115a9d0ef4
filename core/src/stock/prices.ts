import { dayOf } from '../calendar/index.ts';
import type { Entry } from '../records/index.ts';

/** A price seen or paid, per unit of the product (litre, kilogram, piece, metre). */
export interface PricePoint {
  readonly at: string;
  readonly amount: number;
  readonly price: number;
  readonly perUnit: number;
  readonly isPaid: boolean;
}

/** When a product is cheap, by what was seen and paid. */
export interface PriceLog {
  readonly productId: string;
  /** oldest first */
  readonly points: readonly PricePoint[];
  /** middle price per unit */
  readonly usualPerUnit: number;
  readonly latest: PricePoint;
  /** the month (1–12) with the lowest middle price, when two months or more are on record */
  readonly cheapestMonth: { readonly month: number; readonly perUnit: number } | undefined;
}

function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return sorted.length % 2 === 1
    ? (sorted[Math.floor(half)] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
}

/** Every good's prices in the diary: what was paid, and what was only seen. */
export function priceLogs(live: readonly Entry[]): readonly PriceLog[] {
  const byProduct = new Map<string, PricePoint[]>();
  for (const entry of live) {
    if (entry.kind !== 'priced' && entry.kind !== 'bought') continue;
    const price = entry.kind === 'priced' ? entry.price : entry.paid;
    if (price === undefined) continue;
    const point = {
      at: entry.at,
      amount: entry.amount,
      price,
      perUnit: price / entry.amount,
      isPaid: entry.kind === 'bought',
    };
    byProduct.set(entry.productId, [...(byProduct.get(entry.productId) ?? []), point]);
  }
  return [...byProduct].map(([productId, points]) => ({
    productId,
    points,
    usualPerUnit: middle(points.map((p) => p.perUnit)),
    latest: points.at(-1) as PricePoint,
    cheapestMonth: cheapestMonth(points),
  }));
}

function cheapestMonth(points: readonly PricePoint[]): PriceLog['cheapestMonth'] {
  const byMonth = new Map<number, number[]>();
  for (const { at, perUnit } of points) {
    const month = Number(dayOf(at).slice(5, 7));
    byMonth.set(month, [...(byMonth.get(month) ?? []), perUnit]);
  }
  if (byMonth.size < 2) return undefined;
  return [...byMonth]
    .map(([month, prices]) => ({ month, perUnit: middle(prices) }))
    .reduce((best, each) => (each.perUnit < best.perUnit ? each : best));
}
