import { bagNames } from '../commands/index.ts';
import { numbersIn, readDate, type CsvTable } from '../csv/index.ts';
import type { Container, Draft, Entry, Garden, LiveEntries } from '../records/index.ts';
import type { UnitSystem } from '../units/index.ts';
import type { DiaryMapping } from './mapping.ts';
import { bagsCalled, readRow, type RowContext } from './row.ts';
import { COLUMNS_READ, type DiaryTable } from './tables.ts';

/** What a file came to, before anything of it is stored. */
export interface DiaryReading {
  readonly drafts: readonly Draft[];
  /** rows that are in the diary already: same bag, same moment, same amount */
  readonly known: number;
  /** rows that cannot be taken, with their line in the file and why */
  readonly refused: readonly { readonly line: number; readonly problem: string }[];
  /** what its bags are called that have no such name in the garden, as it stands there */
  readonly strangeBags: readonly string[];
  /** rows that name several bags and are taken */
  readonly ofSeveral: number;
}

/**
 * Reads a table into drafts of entries; every row is read or refused by itself, and what is in the diary already is left out, so
 * that the same file read twice changes nothing.
 *
 * @param now local time with its offset; what is later is refused
 * @param bagOf the ids of bags that the table calls by other names, by those names
 */
export function readDiaryTable(
  table: DiaryTable,
  csv: CsvTable,
  mapping: DiaryMapping,
  garden: Pick<Garden, 'containers' | 'places' | 'products' | 'measures'>,
  live: LiveEntries,
  {
    system,
    now,
    bagOf = {},
  }: {
    readonly system: UnitSystem;
    readonly now: string;
    readonly bagOf?: Readonly<Record<string, string>>;
  },
): DiaryReading {
  const byLabel = new Map<string, Pick<Container, 'id'> | 'several'>();
  for (const container of garden.containers) {
    if (container.binnedAt) continue;
    const label = container.label.toLowerCase();
    byLabel.set(label, byLabel.has(label) ? 'several' : container);
  }
  const strange = new Map<string, string>();
  const inUse = new Set([...garden.containers].flatMap(({ id, binnedAt }) => (binnedAt ? [] : [id])));
  const called = new Map(
    Object.entries(bagOf).flatMap(([name, id]) =>
      inUse.has(id) ? [[name.toLowerCase(), { id }] as const] : [],
    ),
  );
  const placeNames = new Map(garden.places.map(({ id, name }) => [id as string, name]));
  const cells = csv.rows.flatMap((row) =>
    COLUMNS_READ[table].map((id) => row[mapping.columns[id] ?? ''] ?? ''),
  );
  const context: Omit<RowContext, 'year'> = {
    table,
    mapping,
    garden,
    // a name that is known here is that bag, whatever else was said of it
    byLabel: new Map([...called, ...byLabel]),
    named: bagNames(
      garden.containers.flatMap(({ id, label, placeId, binnedAt }) =>
        binnedAt ? [] : [{ containerId: id, label, placeName: placeNames.get(placeId) ?? '', names: [] }],
      ),
    ),
    numbers: numbersIn(cells, csv.delimiter),
    system,
    now,
  };
  const known = new Set(live.map(keyOf));
  const drafts: Draft[] = [];
  const refused: { line: number; problem: string }[] = [];
  let same = 0;
  let ofSeveral = 0;
  const yearOf = (row: CsvTable['rows'][number]) =>
    readDate(row[mapping.columns.day ?? ''] ?? '', mapping.dateOrder)?.slice(0, 4);
  // a notebook says the year once, and then the days
  let year = csv.rows.map(yearOf).find((said) => said !== undefined) ?? now.slice(0, 4);
  csv.rows.forEach((row, i) => {
    year = yearOf(row) ?? year;
    const name = (row[mapping.columns.bag ?? ''] ?? '').trim();
    const isStrange = name !== '' && bagsCalled(name, { byLabel, named: context.named }) === undefined;
    if (isStrange && !strange.has(name.toLowerCase())) strange.set(name.toLowerCase(), name);
    const read = readRow(row, { ...context, year });
    // the headings are the first line
    if (typeof read === 'string') refused.push({ line: i + 2, problem: read });
    else if (read.every((draft) => known.has(keyOf(draft)))) same += 1;
    else {
      drafts.push(...read.filter((draft) => !known.has(keyOf(draft))));
      if (read.length > 1) ofSeveral += 1;
    }
  });
  return { drafts, known: same, refused, strangeBags: [...strange.values()], ofSeveral };
}

/** What makes two rows of a table the same: bag, minute, and what is said. */
function keyOf(entry: Draft | Entry): string {
  const round = (value: number | undefined) => (value === undefined ? '' : value.toPrecision(4));
  const at = `${entry.kind} ${'containerId' in entry ? (entry.containerId ?? '') : ''} ${entry.at.slice(0, 16)}`;
  if (entry.kind === 'picking') return `${at} ${round(entry.kilograms)} ${entry.count ?? ''}`;
  if (entry.kind === 'watering') return `${at} ${round(entry.litres)}`;
  if (entry.kind === 'check') return `${at} ${JSON.stringify(entry.check)}`;
  return entry.kind === 'fed'
    ? `${at} ${entry.productId} ${round(entry.amount)} ${entry.unit}`
    : `${at} ${JSON.stringify(entry)}`;
}
