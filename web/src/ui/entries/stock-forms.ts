import { findMix } from '@rundel/core/mixes';
import { findProduct } from '@rundel/core/products';
import type { EntryKind, EntryOf, Product } from '@rundel/core/records';
import { productUnitSymbol, readProductAmount } from '../../text/product-amount.ts';
import { productAmount } from '../../text/product-text.ts';
import { midSentence } from '../../text/text.ts';
import { SPENT_WORDS } from '../../text/cost-text.ts';
import {
  amountField,
  choiceField,
  numberField,
  timeField,
  optionsOf,
  priceField,
  rowField,
  type Field,
} from '../form/index.ts';
import { entryForm, type EntryContext } from './entry-form.ts';

/** A product as far as an id tells: one that nobody knows any more is counted in pieces. */
export function productNamed(productId: string, own: readonly Product[]): Product {
  return findProduct(productId, own) ?? { id: productId, name: productId, kind: 'other', unit: 'piece' };
}

/** An amount of a product in its own unit. */
export function productAmountField(
  product: Pick<Product, 'unit'>,
  words: {
    readonly label: string;
    readonly help?: string;
    readonly low?: number;
    readonly missing?: string;
  },
): Field<number> {
  const low = words.low ?? 0.001;
  return {
    label: words.label,
    help: words.help,
    input: { kind: 'number', unit: ({ unitFormat }) => productUnitSymbol(product, unitFormat.system) },
    read(text, { unitFormat }) {
      if (text.trim() === '' && words.missing) return { ok: false, problem: words.missing };
      const read = readProductAmount(text, product, unitFormat.system, { low });
      return read.ok ? { ok: true, value: read.value.siValue } : read;
    },
    write: (value, { unitFormat }) => productAmount(product, value, unitFormat),
  };
}

type Stocked = Extract<EntryKind, 'bought' | 'used' | 'counted' | 'priced'>;

/** How each act in the shed asks for its amount. */
export const STOCK_AMOUNT: Readonly<Record<Stocked, string>> = {
  bought: 'How much came in',
  used: 'How much went out',
  counted: 'How much is there',
  priced: 'In a pack of',
};

const productOf = ({ garden }: EntryContext, entry: EntryOf<Stocked> | undefined) =>
  productNamed(entry?.productId ?? '', garden.products);

const amountOfProduct = (product: Product, kind: Stocked) =>
  productAmountField(product, { label: STOCK_AMOUNT[kind], ...(kind === 'counted' ? { low: 0 } : {}) });

export const boughtFields = (product: Product) => ({
  amount: amountOfProduct(product, 'bought'),
  paid: priceField({ label: 'Paid for it', help: 'Empty if it was given to you.' }),
});

export const pricedFields = (product: Product) => ({
  amount: amountOfProduct(product, 'priced'),
  price: priceField({ label: 'Price', missing: 'What did it cost?' }),
});

export const countedFields = (product: Product, kind: 'used' | 'counted') => ({
  amount: amountOfProduct(product, kind),
});

export const boughtForm = entryForm<'bought'>()({
  fields: (context, entry) => boughtFields(productOf(context, entry)),
  start: ({ amount, paid }) => ({ values: { amount, paid } }),
  facts: ({ amount, paid }) => ({ amount, paid }),
});

export const pricedForm = entryForm<'priced'>()({
  fields: (context, entry) => pricedFields(productOf(context, entry)),
  start: ({ amount, price }) => ({ values: { amount, price } }),
  facts: ({ amount, price }) => ({ amount, price: price ?? 0 }),
});

export const usedForm = entryForm<'used'>()({
  fields: (context, entry) => countedFields(productOf(context, entry), 'used'),
  start: ({ amount }) => ({ values: { amount } }),
  facts: ({ amount }) => ({ amount }),
});

export const countedForm = entryForm<'counted'>()({
  fields: (context, entry) => countedFields(productOf(context, entry), 'counted'),
  start: ({ amount }) => ({ values: { amount } }),
  facts: ({ amount }) => ({ amount }),
});

/** Over how many seasons a price is spread. */
export const seasonsField = (label: string, help: string) =>
  numberField({ label, help, low: 1, high: 30, isOptional: true, problem: 'From 1 to 30 seasons.' });

export const spentForm = entryForm<'spent'>()({
  fields: () => ({
    on: choiceField({ label: 'On what', options: optionsOf(SPENT_WORDS) }),
    price: priceField({ label: 'How much', missing: 'How much was it?' }),
    seasons: seasonsField('Seasons that it lasts', 'Empty: this one. A drip line may last five.'),
  }),
  start: ({ on, price, seasons }) => ({ values: { on, price, seasons } }),
  facts: ({ on, price, seasons }) => ({ on, price: price ?? 0, seasons }),
});

/** Where work was done, if that is of interest. */
const DURING_WORDS = { round: 'on the round', bench: 'at the bench' } as const;

export const workedForm = entryForm<'worked'>()({
  fields: () => ({
    minutes: timeField({
      label: 'Minutes',
      in: 'minute',
      help: 'As "40", "1 h 20" or "1½ h".',
      low: 1,
      high: 1440,
      problem: 'Minutes from 1 to 1440, or hours as "1 h 20".',
    }),
    during: rowField({ label: 'Where', options: optionsOf(DURING_WORDS) }),
  }),
  start: ({ minutes, during }) => ({ values: { minutes, during } }),
  facts: ({ minutes, during }) => ({ minutes, during }),
});

/** What went into a bag as it was filled: the litres of each mix, what stayed, and the grams of what was worked in. */
export const filledForm = entryForm<'filled'>()({
  fields({ garden }, entry) {
    const fields: Record<string, Field<number>> = {};
    entry?.layers.forEach(({ mixId }, i) => {
      const name = findMix(mixId, garden.mixes)?.name ?? 'mix';
      fields[`layer${i}`] = amountField({
        label: `Loose ${midSentence(name)}`,
        purpose: 'bag',
        low: 0.1,
        high: 5000,
      });
    });
    fields['kept'] = amountField({ label: 'Old mix that stayed', purpose: 'bag', low: 0, high: 5000 });
    entry?.amendments.forEach(({ productId }, i) => {
      const { name } = productNamed(productId, garden.products);
      fields[`amendment${i}`] = numberField({
        label: name,
        unit: 'g',
        low: 0.1,
        high: 100_000,
        problem: 'Grams, as 120.',
      });
    });
    return fields;
  },
  start: ({ layers, keptLitres, amendments }) => ({
    values: {
      ...Object.fromEntries(layers.map(({ litres }, i) => [`layer${i}`, litres])),
      kept: keptLitres,
      ...Object.fromEntries(amendments.map(({ grams }, i) => [`amendment${i}`, grams])),
    },
  }),
  facts: (values, _, entry) =>
    entry
      ? {
          layers: entry.layers.map((layer, i) => ({ ...layer, litres: values[`layer${i}`] ?? layer.litres })),
          keptLitres: values['kept'] ?? entry.keptLitres,
          amendments: entry.amendments.map((a, i) => ({ ...a, grams: values[`amendment${i}`] ?? a.grams })),
        }
      : {},
});
