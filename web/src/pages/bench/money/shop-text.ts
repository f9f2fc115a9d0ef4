import type { Product } from '@rundel/core/records';
import type { ShoppingLine, ShoppingList } from '@rundel/core/stock';
import { writeCsv } from '@rundel/core/csv';
import { productAmount, productName } from '../../../text/product-text.ts';
import type { Money, UnitFormat } from '../../../store/index.ts';
import { findProduct } from '@rundel/core/products';

/** What a pack is called in a list: its own name, or its amount. */
export interface NamedPack {
  readonly id: string;
  readonly productId: string;
  readonly amount: number;
  readonly name?: string | undefined;
}

/** "2 × 60 L, 1 × 20 L"; empty when nothing is bought. */
export function packsWords(
  line: ShoppingLine,
  packs: readonly NamedPack[],
  products: readonly Product[],
  unitFormat: UnitFormat,
): string {
  if (line.plan.kind !== 'packs' && line.plan.kind !== 'unpriced') return '';
  const product = findProduct(line.productId, products);
  return line.plan.cover.packs
    .map(({ id, count }) => {
      const pack = packs.find((p) => p.id === id);
      const size = pack ? productAmount(product, pack.amount, unitFormat) : '?';
      return `${count} × ${pack?.name ? `${pack.name}, ${size}` : size}`;
    })
    .join(', ');
}

/** A list as plain text, to be sent or pasted. */
export function listAsText(
  list: ShoppingList,
  packs: readonly NamedPack[],
  products: readonly Product[],
  unitFormat: UnitFormat,
  money: Money,
): string {
  const lines = list.lines
    .filter((line) => line.plan.kind !== 'enough')
    .map((line) => {
      const product = findProduct(line.productId, products);
      const what = `${productName(line.productId, products)}: ${productAmount(product, line.toBuy, unitFormat)}`;
      const how = packsWords(line, packs, products, unitFormat);
      const price =
        line.plan.kind === 'packs' ? `, ${money.show(line.plan.cover.price)}` : ', price not known';
      return how === '' ? `${what} (by the amount)` : `${what} → ${how}${price}`;
    });
  const isPriced = list.lines.some((line) => line.plan.kind === 'packs');
  const sum = `In all ${money.show(list.price)}${list.unpriced.length > 0 ? ', without what has no price' : ''}`;
  return [...lines, '', isPriced ? sum : 'No price is known yet'].join('\n');
}

/** A list as CSV, amounts in SI units so that another program can read it. */
export function listAsCsv(
  list: ShoppingList,
  packs: readonly NamedPack[],
  products: readonly Product[],
  unitFormat: UnitFormat,
): string {
  const columns = ['product', 'unit', 'need', 'from_shed', 'to_buy', 'packs', 'price', 'left_over'];
  return writeCsv(
    columns,
    list.lines.map((line) => {
      const cover = line.plan.kind === 'packs' || line.plan.kind === 'unpriced' ? line.plan.cover : undefined;
      return [
        productName(line.productId, products),
        findProduct(line.productId, products)?.unit ?? 'piece',
        round(line.need),
        round(line.fromShed),
        round(line.toBuy),
        packsWords(line, packs, products, unitFormat),
        line.plan.kind === 'packs' ? line.plan.cover.price.toFixed(2) : '',
        cover ? round(cover.over) : '',
      ];
    }),
  );
}

const round = (value: number) => Math.round(value * 1000) / 1000;
