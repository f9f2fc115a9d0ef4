import { dayOf } from '../calendar/index.ts';
import { writeCsv } from '../csv/index.ts';
import { productOf } from './products.ts';
import type { EntryOf, Garden, LiveEntries } from '../records/index.ts';
import { FINGER_GRADES, LIFT_GRADES } from '../water/index.ts';

/** What of the diary goes out as a table and comes in as one. */
export const DIARY_TABLES = ['pickings', 'checks', 'waterings', 'feeds'] as const;
export type DiaryTable = (typeof DIARY_TABLES)[number];

/** What a column holds. Units are in the names; a file of somebody else's may have them otherwise, and that is asked. */
export const COLUMNS = {
  pickings: [
    'bag',
    'day',
    'time',
    'kilograms',
    'count',
    'unmeasured',
    'ripeness',
    'use',
    'price',
    'who',
    'note',
  ],
  checks: ['bag', 'day', 'time', 'found', 'who', 'note'],
  waterings: ['bag', 'day', 'time', 'litres', 'through', 'who', 'note'],
  feeds: ['bag', 'day', 'time', 'product', 'amount', 'unit', 'litres', 'who', 'note'],
} as const satisfies Readonly<Record<DiaryTable, readonly string[]>>;

export type ColumnId = (typeof COLUMNS)[DiaryTable][number] | 'ounces';

/** What a table of somebody else's may hold beside those: "1 lb 4 oz" in two columns. */
export const COLUMNS_READ: Readonly<Record<DiaryTable, readonly ColumnId[]>> = {
  ...COLUMNS,
  pickings: COLUMNS.pickings.flatMap((id): readonly ColumnId[] =>
    id === 'kilograms' ? [id, 'ounces'] : [id],
  ),
};

type Cell = string | number | undefined;

/**
 * A table of the diary as CSV, oldest first: bags by their labels, amounts in kilograms and litres.
 *
 * @param live the garden's live entries, oldest first
 */
export function writeDiaryTable(
  table: DiaryTable,
  garden: Pick<Garden, 'containers' | 'products'>,
  live: LiveEntries,
): string {
  const labels = new Map(garden.containers.map(({ id, label }) => [id as string, label]));
  const head = (entry: { readonly containerId: string; readonly at: string }): readonly Cell[] => [
    labels.get(entry.containerId) ?? entry.containerId,
    dayOf(entry.at),
    entry.at.slice(11, 16),
  ];
  const rows = live.flatMap((e): readonly (readonly Cell[])[] => {
    if (table === 'pickings' && e.kind === 'picking')
      return [
        [
          ...head(e),
          e.kilograms === undefined ? undefined : rounded(e.kilograms),
          e.count,
          e.isUnmeasured ? 'yes' : undefined,
          e.stage,
          e.use,
          e.soldFor,
          e.who,
          e.note,
        ],
      ];
    if (table === 'waterings' && e.kind === 'watering')
      return [[...head(e), rounded(e.litres), e.ranThrough ? 'yes' : undefined, e.who, e.note]];
    if (table === 'checks' && e.kind === 'check') return [[...head(e), foundText(e.check), e.who, e.note]];
    if (table === 'feeds' && e.kind === 'fed') {
      const name = productOf(e.productId, garden.products)?.name ?? e.productId;
      const litres = e.litres === undefined ? undefined : rounded(e.litres);
      return [[...head(e), name, rounded(e.amount), e.unit, litres, e.who, e.note]];
    }
    return [];
  });
  return writeCsv(COLUMNS[table], rows);
}

/** Nobody weighs or pours finer than this: a tenth of a gram, of a millilitre. */
const rounded = (value: number) => Math.round(value * 1e4) / 1e4;

/** What a check found, in words that are read again. */
export function foundText(check: EntryOf<'check'>['check']): string {
  switch (check.method) {
    case 'finger':
      return FINGER_GRADES[check.grade - 1] ?? '';
    case 'lift':
      return LIFT_GRADES[check.grade - 1] ?? '';
    case 'level':
      return `level ${Math.round(check.share * 100)}`;
    case 'wilted':
      return 'wilted';
    case 'scale':
      return `${check.kilograms} kg`;
    case 'probe':
      return `${check.reading} %`;
  }
}
