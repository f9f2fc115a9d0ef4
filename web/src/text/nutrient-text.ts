import { asOxides, gramsOf, litresOf, type Elements, type Scoops } from '@rundel/core/products';
import type { FeedAmount, Product } from '@rundel/core/records';
import { trimmed } from '@rundel/core/units';
import type { UnitFormat } from '../store/index.ts';
import { feedAmountWords } from './feed-amount-text.ts';
import { grams } from './product-text.ts';

/** An amount as the grower counts it, and what that is in volume and by weight: "12 spoons (177 mL, 142 g)". */
export function amountText(
  amount: FeedAmount,
  product: Pick<Product, 'kilogramsPerLitre' | 'feed'>,
  scoops: Scoops,
  unitFormat: UnitFormat,
): string {
  const litres = litresOf(amount, scoops);
  const weight = gramsOf(amount, product, scoops);
  const isVolume = amount.unit === 'millilitre' || amount.unit === 'litre';
  const beside = [
    litres === undefined || isVolume ? '' : feedAmountWords({ amount: litres * 1000, unit: 'millilitre' }),
    weight === undefined || amount.unit === 'gram' ? '' : grams(weight, unitFormat),
  ].filter(Boolean);
  return `${feedAmountWords(amount)}${beside.length > 0 ? ` (${beside.join(', ')})` : ''}`;
}

const g = (amount: number) => `${trimmed(amount, amount < 10 ? 1 : 0)}\u00a0g`;

/** What so much brings, as labels count it and as plants do: "N 4 g, P₂O₅ 3 g (P 1.3 g), K₂O 8 g (K 6.6 g), Ca 2 g". */
export function nutrientText(brings: Elements): string {
  const label = asOxides(brings);
  const parts = [
    { amount: brings.n, words: `N ${g(brings.n)}` },
    { amount: brings.p, words: `P₂O₅ ${g(label.p2o5)} (P ${g(brings.p)})` },
    { amount: brings.k, words: `K₂O ${g(label.k2o)} (K ${g(brings.k)})` },
    { amount: brings.ca, words: `Ca ${g(brings.ca)}` },
    { amount: brings.mg, words: `Mg ${g(brings.mg)}` },
  ].filter(({ amount }) => amount > 0.05);
  return parts.length === 0 ? 'next to no nutrients' : parts.map(({ words }) => words).join(', ');
}
