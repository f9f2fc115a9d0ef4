import type { FeedAmount, FeedUnit, Product } from '@rundel/core/records';
import { trimmed } from '@rundel/core/units';
import { midSentence } from './text.ts';

export const UNIT_WORDS: Record<FeedUnit, readonly [one: string, many: string]> = {
  gram: ['g', 'g'],
  millilitre: ['mL', 'mL'],
  litre: ['L', 'L'],
  spoon: ['spoon', 'spoons'],
  teaspoon: ['teaspoon', 'teaspoons'],
  handful: ['handful', 'handfuls'],
  piece: ['piece', 'pieces'],
};

/** "45 mL", "3 spoons", "1.2 kg" */
export function feedAmountWords({ amount, unit }: FeedAmount): string {
  if (unit === 'gram' && amount >= 1000) return `${trimmed(amount / 1000, 2)}\u00a0kg`;
  if (unit === 'millilitre' && amount >= 1000) return `${trimmed(amount / 1000, 2)}\u00a0L`;
  const number = trimmed(amount, amount >= 20 ? 0 : amount >= 2 ? 1 : 2);
  return `${number}\u00a0${UNIT_WORDS[unit][number === '1' ? 0 : 1]}`;
}

/** A product's name within a sentence; its label stays on one line. */
export function feedName(product: Pick<Product, 'name'>): string {
  return midSentence(product.name).replaceAll('-', '-\u2060');
}
