import type { Good } from '@rundel/core/records';
import type { ShoppingLine, ShoppingList } from '@rundel/core/stock';
import Papa from 'papaparse';
import { goodAmount, goodName } from '../../../text/goods-text.ts';
import type { Money, Shown } from '../../../store/index.ts';
import { findGood } from '@rundel/core/products';

/** What a pack is called in a list: its own name, or its amount. */
export interface NamedPack {
  readonly id: string;
  readonly goodId: string;
  readonly amount: number;
  readonly name?: string | undefined;
}

/** "2 × 60 L, 1 × 20 L"; empty when nothing is bought. */
export function packsWords(
  line: ShoppingLine,
  packs: readonly NamedPack[],
  goods: readonly Good[],
  shown: Shown,
): string {
  if (line.plan.kind !== 'packs' && line.plan.kind !== 'unpriced') return '';
  const good = findGood(line.goodId, goods);
  return line.plan.cover.packs
    .map(({ id, count }) => {
      const pack = packs.find((p) => p.id === id);
      const size = pack ? goodAmount(good, pack.amount, shown) : '?';
      return `${count} × ${pack?.name ? `${pack.name}, ${size}` : size}`;
    })
    .join(', ');
}

/** A list as plain text, to be sent or pasted. */
export function listAsText(
  list: ShoppingList,
  packs: readonly NamedPack[],
  goods: readonly Good[],
  shown: Shown,
  money: Money,
): string {
  const lines = list.lines
    .filter((line) => line.plan.kind !== 'enough')
    .map((line) => {
      const good = findGood(line.goodId, goods);
      const what = `${goodName(line.goodId, goods)}: ${goodAmount(good, line.toBuy, shown)}`;
      const how = packsWords(line, packs, goods, shown);
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
  goods: readonly Good[],
  shown: Shown,
): string {
  return Papa.unparse(
    list.lines.map((line) => {
      const cover = line.plan.kind === 'packs' || line.plan.kind === 'unpriced' ? line.plan.cover : undefined;
      return {
        good: goodName(line.goodId, goods),
        unit: findGood(line.goodId, goods)?.unit ?? 'piece',
        need: round(line.need),
        from_shed: round(line.fromShed),
        to_buy: round(line.toBuy),
        packs: packsWords(line, packs, goods, shown),
        price: line.plan.kind === 'packs' ? line.plan.cover.price.toFixed(2) : '',
        left_over: cover ? round(cover.over) : '',
      };
    }),
  );
}

const round = (value: number) => Math.round(value * 1000) / 1000;
