import { namedColumns, numbersIn, readCsv, writeCsv } from '@rundel/core/csv';
import { feedProblems } from '@rundel/core/products';
import {
  type OwnProduct,
  type Pack,
  FEED_FORMS,
  FEED_UNITS,
  feedFactsSchema,
  isGivenInWater,
  nutrientLabelSchema,
  type FeedForm,
  type Product,
} from '@rundel/core/records';
import { FEED_PROBLEM_WORDS } from '../../../text/feed-text.ts';

/** A product as it stands in a file, without an id. */
export type FileFeed = Pick<OwnProduct, 'name' | 'kind' | 'unit'> &
  Partial<Pick<OwnProduct, 'label' | 'kilogramsPerLitre' | 'isOrganic' | 'feed'>> & {
    /** a pack that was given with it, in the product's unit */
    readonly pack: { readonly amount: number; readonly price: number } | undefined;
  };

const COLUMNS = [
  'name',
  'form',
  'n',
  'p2o5',
  'k2o',
  'ca',
  'mg',
  'kg_per_litre',
  'dose',
  'dose_unit',
  'dose_per',
  'days_between',
  'months',
  'grams_each',
  'partner',
  'organic',
  'pack_amount',
  'pack_price',
] as const;
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>;

/** The products as a table that any spreadsheet opens. */
export function feedsAsCsv(products: readonly Product[], packs: readonly Pack[]): string {
  return writeCsv(
    COLUMNS,
    products.flatMap((product) => {
      const { feed, label } = product;
      if (!feed) return [];
      const pack = packs.find((p) => p.productId === product.id && !p.binnedAt && p.price !== undefined);
      const row: Row = {
        name: product.name,
        form: feed.form,
        n: label?.n ?? '',
        p2o5: label?.p2o5 ?? '',
        k2o: label?.k2o ?? '',
        ca: label?.ca ?? '',
        mg: label?.mg ?? '',
        kg_per_litre: product.kilogramsPerLitre ?? '',
        dose: feed.dose.amount,
        dose_unit: feed.dose.unit,
        dose_per: feed.dose.per,
        days_between: feed.intervalDays ?? '',
        months: feed.months ?? '',
        grams_each: feed.gramsEach ?? '',
        partner: products.find((g) => g.id === feed.partnerId)?.name ?? '',
        organic: product.isOrganic ? 'yes' : '',
        pack_amount: pack?.amount ?? '',
        pack_price: pack?.price ?? '',
      };
      return [COLUMNS.map((column) => row[column] ?? '')];
    }),
  );
}

/** What a file of products gave: those that read, and why the others did not. */
export interface FeedsReading {
  readonly feeds: readonly FileFeed[];
  readonly refused: readonly { readonly line: number; readonly name: string; readonly problem: string }[];
}

/** In what unit the shed counts a form. */
export function shedUnit(form: FeedForm): Product['unit'] {
  if (form === 'spike') return 'piece';
  return isGivenInWater(form) && form !== 'soluble' ? 'litre' : 'kilogram';
}

/**
 * Reads a table of products; a row that does not make sense is told with its line and is not taken.
 *
 * @param known products that the other part of a two-part nutrient may name
 */
export function readFeedsCsv(
  text: string,
  known: readonly Pick<Product, 'id' | 'name'>[] = [],
): FeedsReading {
  const table = namedColumns(readCsv(text));
  const missing = ['name', 'form', 'dose', 'dose_unit', 'dose_per'].filter(
    (column) => !table.headings.includes(column),
  );
  if (missing.length > 0)
    return {
      feeds: [],
      refused: [{ line: 1, name: '', problem: `The table has no column ${missing.join(', ')}.` }],
    };
  const feeds: FileFeed[] = [];
  const refused: FeedsReading['refused'][number][] = [];
  const numbers = numbersIn(table.rows.flatMap(Object.values), table.delimiter);
  table.rows.forEach((row, i) => {
    const line = i + 2;
    const name = (row['name'] ?? '').trim();
    const read = readRow(row, name, known, numbers);
    if (typeof read === 'string') refused.push({ line, name, problem: read });
    else feeds.push(read);
  });
  return { feeds, refused };
}

function readRow(
  row: Readonly<Record<string, string>>,
  name: string,
  known: readonly Pick<Product, 'id' | 'name'>[],
  numbers: (cell: string) => number | undefined,
): FileFeed | string {
  const partner = known.find((g) => g.name === (row['partner'] ?? '').trim());
  if (name === '' || name.length > 60) return 'It has no name, or one of more than 60 letters.';
  const form = FEED_FORMS.find((f) => f === row['form']?.trim());
  if (!form) return `Its form is none of ${FEED_FORMS.join(', ')}.`;
  const unit = FEED_UNITS.find((u) => u === row['dose_unit']?.trim());
  if (!unit) return `Its dose_unit is none of ${FEED_UNITS.join(', ')}.`;
  const number = (key: string) => {
    const given = (row[key] ?? '').trim();
    return given === '' ? undefined : (numbers(given) ?? NaN);
  };
  const optional = (key: string, as: string) => {
    const value = number(key);
    return value === undefined ? {} : { [as]: value };
  };
  const feed = feedFactsSchema.safeParse({
    form,
    dose: { amount: number('dose'), unit, per: row['dose_per']?.trim() },
    ...optional('days_between', 'intervalDays'),
    ...optional('months', 'months'),
    ...optional('grams_each', 'gramsEach'),
    ...(form === 'two-part' && partner ? { partnerId: partner.id } : {}),
  });
  if (!feed.success) return 'Its dose, days_between, months or grams_each do not read.';
  const hasLabel = ['n', 'p2o5', 'k2o', 'ca', 'mg'].some((key) => number(key) !== undefined);
  const label = nutrientLabelSchema.safeParse({
    n: number('n') ?? 0,
    p2o5: number('p2o5') ?? 0,
    k2o: number('k2o') ?? 0,
    ...optional('ca', 'ca'),
    ...optional('mg', 'mg'),
  });
  if (hasLabel && !label.success) return 'Its label is not of percentages from 0 to 100, and 100 in all.';
  const kilogramsPerLitre = number('kg_per_litre');
  if (kilogramsPerLitre !== undefined && !(kilogramsPerLitre > 0 && kilogramsPerLitre <= 5))
    return 'Its kg_per_litre is not between 0 and 5.';
  const product = {
    ...(hasLabel && label.success ? { label: label.data } : {}),
    ...(kilogramsPerLitre === undefined ? {} : { kilogramsPerLitre }),
    feed: feed.data,
  };
  const fatal = feedProblems(product).find(({ isFatal }) => isFatal);
  if (fatal) return FEED_PROBLEM_WORDS[fatal.code];
  const [amount, price] = [number('pack_amount'), number('pack_price')];
  const isOrganic = /^(yes|true|1)$/i.test((row['organic'] ?? '').trim());
  return {
    name,
    kind: 'feed',
    unit: shedUnit(form),
    ...(isOrganic ? { isOrganic } : {}),
    ...product,
    pack: amount && amount > 0 && price !== undefined && price >= 0 ? { amount, price } : undefined,
  };
}
