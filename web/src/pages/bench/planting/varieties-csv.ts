import { namedColumns, numbersIn, readCsv, writeCsv } from '@rundel/core/csv';
import { CROPS, type KnownVariety } from '@rundel/core/plants';
import { varietySchema } from '@rundel/core/records';

const COLUMNS = [
  'name',
  'crop',
  'growth',
  'bears',
  'days_from',
  'days_to_ripe_low',
  'days_to_ripe_high',
  'days_to_green_low',
  'days_to_green_high',
  'height_cm',
  'fruit_g',
  'colour',
  'use',
  'grafted',
  'seed',
  'seed_year',
  'seed_amount',
  'germination_percent',
  'grow_again',
  'set_to_ripe_low',
  'set_to_ripe_high',
  'keeps_months',
  'note',
] as const;
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>;

/** Varieties as a table that any spreadsheet opens. */
export function varietiesAsCsv(varieties: readonly KnownVariety[]): string {
  const data = varieties.map((v) => {
    const crop = CROPS.find((c) => c.id === v.cropId);
    const row: Row = {
      name: v.name,
      crop: crop?.id ?? v.cropId,
      growth: v.habitId,
      bears: v.bearing ?? '',
      days_from: v.daysToRipe?.from ?? v.daysToGreen?.from ?? '',
      days_to_ripe_low: v.daysToRipe?.low ?? '',
      days_to_ripe_high: v.daysToRipe?.high ?? '',
      days_to_green_low: v.daysToGreen?.low ?? '',
      days_to_green_high: v.daysToGreen?.high ?? '',
      height_cm: v.heightMillimetres === undefined ? '' : v.heightMillimetres / 10,
      fruit_g: v.fruitGrams ?? '',
      colour: v.colour ?? '',
      use: v.use ?? '',
      grafted: v.isGrafted ? 'yes' : '',
      seed: v.seed?.source ?? '',
      seed_year: v.seed?.year ?? '',
      seed_amount: v.seed?.amount ?? '',
      germination_percent: v.seed?.germination === undefined ? '' : Math.round(v.seed.germination * 100),
      grow_again: v.growAgain ?? '',
      set_to_ripe_low: v.setToRipe?.low ?? '',
      set_to_ripe_high: v.setToRipe?.high ?? '',
      keeps_months: v.keepsMonths ?? '',
      note: v.note ?? '',
    };
    return COLUMNS.map((column) => row[column] ?? '');
  });
  return writeCsv(COLUMNS, data);
}

/** What a file of varieties gave: those that read, and why the others did not. */
export interface VarietiesReading {
  readonly varieties: readonly KnownVariety[];
  readonly refused: readonly { readonly line: number; readonly name: string; readonly problem: string }[];
}

/** What is missing of a record, for checking the facts alone. */
const STAMPS = {
  id: 'var_aaaaaaaaaaaa',
  createdAt: '2026-01-01T12:00:00.000+00:00',
  changedAt: '2026-01-01T12:00:00.000+00:00',
};

/** Reads a table of varieties; a row that does not make sense is told with its line and is not taken. */
export function readVarietiesCsv(text: string): VarietiesReading {
  const table = namedColumns(readCsv(text));
  const missing = ['name', 'crop'].filter((column) => !table.headings.includes(column));
  if (missing.length > 0)
    return {
      varieties: [],
      refused: [{ line: 1, name: '', problem: `The table has no column ${missing.join(', ')}.` }],
    };
  const varieties: KnownVariety[] = [];
  const refused: VarietiesReading['refused'][number][] = [];
  const numbers = numbersIn(table.rows.flatMap(Object.values), table.delimiter);
  table.rows.forEach((row, i) => {
    const read = readRow(row, numbers);
    if (typeof read === 'string')
      refused.push({ line: i + 2, name: (row['name'] ?? '').trim(), problem: read });
    else varieties.push(read);
  });
  return { varieties, refused };
}

function readRow(
  row: Readonly<Record<string, string>>,
  numbers: (cell: string) => number | undefined,
): KnownVariety | string {
  const text = (key: (typeof COLUMNS)[number]) => (row[key] ?? '').trim();
  const number = (key: (typeof COLUMNS)[number]) => {
    const given = text(key);
    return given === '' ? undefined : (numbers(given) ?? NaN);
  };
  const some = (key: string, value: unknown) => (value === undefined || value === '' ? {} : { [key]: value });
  const name = text('name');
  if (name === '') return 'It has no name.';
  const crop = CROPS.find((c) => [c.id, c.name.toLowerCase()].includes(text('crop').toLowerCase()));
  if (!crop) return `Its crop is none of ${CROPS.map((c) => c.id).join(', ')}.`;
  const said = text('growth').toLowerCase();
  const habit =
    said === '' ? crop.habits[0] : crop.habits.find((h) => [h.id, h.name.toLowerCase()].includes(said));
  if (!habit) return `Its growth is none of ${crop.habits.map((h) => h.id).join(', ')}.`;
  const from = text('days_from') || 'planting';
  const low = number('days_to_ripe_low');
  const green = number('days_to_green_low');
  const fromSet = number('set_to_ripe_low');
  const height = number('height_cm');
  const germination = number('germination_percent');
  const seed = {
    ...some('source', text('seed')),
    ...some('year', number('seed_year')),
    ...some('amount', text('seed_amount')),
    ...some('germination', germination === undefined ? undefined : germination / 100),
  };
  const facts = {
    name,
    cropId: crop.id,
    habitId: habit.id,
    ...some('bearing', text('bears')),
    ...some(
      'daysToRipe',
      low === undefined ? undefined : { low, high: number('days_to_ripe_high') ?? low, from },
    ),
    ...some(
      'daysToGreen',
      green === undefined ? undefined : { low: green, high: number('days_to_green_high') ?? green, from },
    ),
    ...some('heightMillimetres', height === undefined ? undefined : height * 10),
    ...some('fruitGrams', number('fruit_g')),
    ...some('colour', text('colour')),
    ...some('use', text('use')),
    ...(['yes', '1', 'true'].includes(text('grafted').toLowerCase()) ? { isGrafted: true } : {}),
    ...(Object.keys(seed).length > 0 ? { seed } : {}),
    ...some('growAgain', text('grow_again')),
    ...some(
      'setToRipe',
      fromSet === undefined ? undefined : { low: fromSet, high: number('set_to_ripe_high') ?? fromSet },
    ),
    ...some('keepsMonths', number('keeps_months')),
    ...some('note', text('note')),
  };
  const checked = varietySchema.safeParse({ ...STAMPS, ...facts });
  if (checked.success) return facts as KnownVariety;
  const issue = checked.error.issues[0];
  return `${issue?.path.join('.') ?? 'It'}: ${issue?.message ?? 'does not read'}.`;
}
