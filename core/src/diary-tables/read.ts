import { dayOf, momentAt } from '../calendar/index.ts';
import * as z from '../schema/index.ts';
import { findingOf, readBags, type NamedBag } from '../commands/index.ts';
import { guessDateOrder, numbersIn, readDate, type CsvTable, type DateOrder } from '../csv/index.ts';
import {
  FEED_UNITS,
  entrySchema,
  sharedAmong,
  type Container,
  type Draft,
  type Entry,
  type Garden,
  type LiveEntries,
} from '../records/index.ts';
import {
  parseAmount,
  parseMeasured,
  parseNumber,
  fieldUnit,
  toSi,
  unitNamed,
  UNITS,
  type UnitName,
  type UnitSystem,
} from '../units/index.ts';
import { productOf } from './products.ts';
import { COLUMNS, type ColumnId, type DiaryTable } from './tables.ts';

/** Which column of a file holds what, and how it is written. */
export interface DiaryMapping {
  /** headings by what they hold; '' or left out: it is not in the file */
  readonly columns: Readonly<Partial<Record<ColumnId, string>>>;
  readonly dateOrder: DateOrder;
  /** of a number without a unit */
  readonly unit: UnitName;
  /** what a row that names several bags says: of each of them, or of all together */
  readonly several: 'each' | 'together';
}

/** What each column may be called. */
const HINTS: Readonly<Record<ColumnId, RegExp>> = {
  bag: /\b(bag|pot|container|label|plant)\b|^(sack|beutel|topf|nr)$/i,
  day: /date|day|datum|tag|when/i,
  time: /time|hour|clock|uhr/i,
  kilograms: /kilo|weight|\bkg\b|\bg\b|gram|pound|\blbs?\b|\boz\b|gewicht/i,
  count: /count|number|fruits?|pieces|how many|anzahl/i,
  unmeasured: /unmeasured|not weighed|unweighed/i,
  found: /found|grade|felt|moist|check|finding/i,
  litres: /lit(re|er)|\bl\b|\bml\b|water|gal|volume/i,
  product: /product|feed|fertili[sz]er|name/i,
  amount: /amount|dose|quantity|how much/i,
  unit: /unit/i,
  who: /\bwho\b|\bby\b|person|helper/i,
  note: /note|remark|comment/i,
};

/** What a row cannot do without; of weight and count one. */
const NEEDED: Readonly<Record<DiaryTable, readonly ColumnId[]>> = {
  pickings: ['bag', 'day'],
  checks: ['bag', 'day', 'found'],
  waterings: ['bag', 'day', 'litres'],
  feeds: ['bag', 'day', 'product', 'amount'],
};

/** Units that a table's bare numbers may be in. */
export const TABLE_UNITS: Readonly<Record<DiaryTable, readonly UnitName[]>> = {
  pickings: ['kilogram', 'gram', 'pound', 'ounce'],
  checks: ['kilogram'],
  waterings: ['litre', 'millilitre', 'usGallon', 'imperialGallon'],
  feeds: ['gram'],
};

/** What bare numbers of a table are in where nothing tells: a bag on a scale and a feed are read in one unit alone. */
const usualUnit = (table: DiaryTable, system: UnitSystem): UnitName =>
  table === 'pickings'
    ? fieldUnit(system, 'crop')
    : table === 'waterings'
      ? fieldUnit(system, 'water')
      : (TABLE_UNITS[table][0] as UnitName);

/** In the order in which growers of each system write the parts of a date. */
const DATE_ORDERS: Readonly<Record<UnitSystem, readonly DateOrder[]>> = {
  metric: ['ymd', 'dmy', 'mdy'],
  uk: ['ymd', 'dmy', 'mdy'],
  us: ['ymd', 'mdy', 'dmy'],
};

/** A first guess at the columns of a file, by their headings, by what stands in them, and by how its grower writes. */
export function guessDiaryMapping(
  table: DiaryTable,
  { headings, rows }: CsvTable,
  { system, now }: { readonly system: UnitSystem; readonly now: string },
): DiaryMapping {
  const taken = new Set<string>();
  const columns = Object.fromEntries(
    COLUMNS[table].map((id) => {
      const heading =
        headings.find((h) => !taken.has(h) && h.toLowerCase() === id) ??
        headings.find((h) => !taken.has(h) && HINTS[id].test(h));
      if (heading !== undefined) taken.add(heading);
      return [id, heading ?? ''];
    }),
  ) as Partial<Record<ColumnId, string>>;
  const measured = columns[table === 'waterings' ? 'litres' : 'kilograms'] ?? '';
  const named =
    /\b(g|grams?|kg|kilos?|kilograms?|lbs?|oz|ml|l|lit(?:re|er)s?|gal|gallons?|pounds?|ounces?)\b/i.exec(
      measured,
    )?.[1];
  const unit = named === undefined ? undefined : unitNamed(named, system);
  return {
    columns,
    dateOrder: guessDateOrder(
      rows.map((row) => row[columns.day ?? ''] ?? ''),
      DATE_ORDERS[system],
      dayOf(now),
    ),
    unit: unit && TABLE_UNITS[table].includes(unit) ? unit : usualUnit(table, system),
    // one bowl is weighed once, and a can is poured on each
    several: table === 'pickings' ? 'together' : 'each',
  };
}

/** Whether a mapping has all that a row cannot do without. */
export function isWholeMapping(table: DiaryTable, { columns }: DiaryMapping): boolean {
  const has = (id: ColumnId) => (columns[id] ?? '') !== '';
  return NEEDED[table].every(has) && (table !== 'pickings' || has('kilograms') || has('count'));
}

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

interface RowContext {
  readonly table: DiaryTable;
  readonly mapping: DiaryMapping;
  readonly garden: Pick<Garden, 'products' | 'measures'>;
  readonly byLabel: ReadonlyMap<string, Pick<Container, 'id'> | 'several'>;
  readonly named: readonly NamedBag[];
  readonly numbers: (cell: string) => number | undefined;
  readonly system: UnitSystem;
  readonly now: string;
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
  const cells = csv.rows.flatMap((row) => COLUMNS[table].map((id) => row[mapping.columns[id] ?? ''] ?? ''));
  const context: RowContext = {
    table,
    mapping,
    garden,
    // a name that is known here is that bag, whatever else was said of it
    byLabel: new Map([...called, ...byLabel]),
    named: garden.containers.flatMap(({ id, label, placeId, binnedAt }) =>
      binnedAt ? [] : [{ containerId: id, label, placeName: placeNames.get(placeId) ?? '', names: [] }],
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
  csv.rows.forEach((row, i) => {
    const name = (row[mapping.columns.bag ?? ''] ?? '').trim();
    const isStrange = name !== '' && bagsCalled(name, { byLabel, named: context.named }) === undefined;
    if (isStrange && !strange.has(name.toLowerCase())) strange.set(name.toLowerCase(), name);
    const read = readRow(row, context);
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

/** The bag of a name, in any letters and with "bag" before it or not. */
function bagCalled(
  name: string,
  byLabel: RowContext['byLabel'],
): Pick<Container, 'id'> | 'several' | undefined {
  const label = name.toLowerCase();
  return byLabel.get(label) ?? byLabel.get(label.replace(/^(bag|pot)\s+/, ''));
}

/** The bags that a cell names: one by its label, or several by theirs, by a row, by a place, or all of them. */
function bagsCalled(
  name: string,
  { byLabel, named }: Pick<RowContext, 'byLabel' | 'named'>,
): readonly Pick<Container, 'id'>[] | 'several' | undefined {
  const one = bagCalled(name, byLabel);
  if (one !== undefined) return one === 'several' ? one : [one];
  const { bags, rest } = readBags(name.toLowerCase().replace(/[+/&;]/g, ' '), named);
  const isWhole = rest
    .split(/[\s,]+/)
    .every((word) => word === '' || /^(and|bags?|pots?|the|in|on)$/.test(word));
  return isWhole && bags.length > 0
    ? bags.map(({ containerId }) => ({ id: containerId as Container['id'] }))
    : undefined;
}

/** A row as the entries of the bags that it names, or what is wrong with it. */
function readRow(row: Readonly<Record<string, string>>, context: RowContext): readonly Draft[] | string {
  const { table, mapping, garden, numbers, system, now } = context;
  const cell = (id: ColumnId) => (row[mapping.columns[id] ?? ''] ?? '').trim();
  const label = cell('bag').toLowerCase();
  const bags = label === '' ? undefined : bagsCalled(label, context);
  if (bags === undefined)
    return label === '' ? 'It names no bag.' : `There is no bag called “${cell('bag')}”.`;
  if (bags === 'several') return `Several bags are called “${cell('bag')}”.`;
  const day = readDate(cell('day'), mapping.dateOrder);
  if (day === undefined) return `“${cell('day')}” is not a date.`;
  const hour = hourIn(cell('time'));
  if (hour === undefined) return `“${cell('time')}” is not a time of day.`;
  const at = day === dayOf(now) && cell('time') === '' ? now : momentAt(day, hour, now);
  if (Date.parse(at) > Date.parse(now)) return `${day} is in the future.`;
  const note = cell('note');
  const who = cell('who');
  const base = { at, ...(who === '' ? {} : { who }), ...(note === '' ? {} : { note }) };
  const inUse = garden.measures.filter(({ binnedAt }) => !binnedAt);
  const amount = (id: ColumnId, fallback: UnitName) => amountIn(cell(id), numbers, fallback, system);
  const facts = factsOf(table, cell, amount, context);
  if (typeof facts === 'string') return facts;
  const isShared = bags.length > 1 && mapping.several === 'together';
  const parts = isShared ? sharedAmong(facts, bags.length) : bags.map(() => facts);
  const drafts = bags.map(({ id }, i) => ({ ...base, containerId: id, ...parts[i] }) as unknown as Draft);
  const checked = z
    .array(entrySchema)
    .safeParse(drafts.map((draft) => ({ ...draft, id: 'ent_checking', recordedAt: now })));
  if (checked.success) return drafts;
  const issue = checked.error.issues[0];
  return `${String(issue?.path.at(-1) ?? 'It')}: ${(issue?.message ?? 'does not read').replace(/\.$/, '')}.`;

  function factsOf(
    of: DiaryTable,
    text: typeof cell,
    read: typeof amount,
    { mapping: { unit } }: RowContext,
  ): object | string {
    if (of === 'pickings') {
      const kilograms = text('kilograms') === '' ? undefined : read('kilograms', unit);
      const count = text('count') === '' ? undefined : numbers(text('count'));
      const isUnmeasured =
        UNMEASURED.test(text('kilograms')) || /^(y|yes|x|true|1)$/i.test(text('unmeasured'));
      if (isUnmeasured && count === undefined && !(kilograms !== undefined && kilograms > 0))
        return { kind: 'picking', isUnmeasured };
      if (text('kilograms') !== '' && kilograms === undefined && !isUnmeasured)
        return `“${text('kilograms')}” is not a weight.`;
      if (text('count') !== '' && (count === undefined || !Number.isInteger(count)))
        return `“${text('count')}” is not a number of fruits.`;
      if (kilograms === undefined && count === undefined)
        return 'It has neither a weight nor a count; with “?” for its weight it is taken as not weighed.';
      return { kind: 'picking', ...some('kilograms', kilograms), ...some('count', count) };
    }
    if (of === 'waterings') {
      // in the grower's own cans, as they would type it
      const litres = parseMeasured(text('litres'), inUse) ?? read('litres', unit);
      if (litres === undefined) return `“${text('litres')}” is not an amount of water.`;
      return { kind: 'watering', litres, isMeasured: true, ranThrough: false };
    }
    if (of === 'checks') {
      const found = foundIn(text('found'), system);
      return found ? { kind: 'check', check: found } : `“${text('found')}” says nothing of how the bag was.`;
    }
    const product = productOf(text('product'), garden.products);
    if (!product) return `There is no product called “${text('product')}”.`;
    const given = numbers(text('amount'));
    if (given === undefined) return `“${text('amount')}” is not an amount.`;
    const said = text('unit').toLowerCase().replace(/s$/, '');
    const feedUnit =
      FEED_UNITS.find((u) => u === said || SHORT_UNITS[said] === u) ?? (said === '' ? 'gram' : undefined);
    if (!feedUnit) return `Its unit is none of ${FEED_UNITS.join(', ')}.`;
    const litres = text('litres') === '' ? undefined : read('litres', 'litre');
    return { kind: 'fed', productId: product.id, amount: given, unit: feedUnit, ...some('litres', litres) };
  }
}

/** What stands in place of a weight where nobody took one. */
const UNMEASURED = /^(\?+|some|a few|a handful|a bowl(ful)?|not weighed|unweighed|not measured)$/i;

const SHORT_UNITS: Readonly<Record<string, string>> = {
  g: 'gram',
  ml: 'millilitre',
  l: 'litre',
  tbsp: 'spoon',
  tsp: 'teaspoon',
};

const some = (key: string, value: unknown) => (value === undefined ? {} : { [key]: value });

/** A grade by its number or in words, "level 50" of a store, or as a check says it. */
function foundIn(text: string, system: UnitSystem) {
  if (/^[1-5]$/.test(text)) return { method: 'finger' as const, grade: Number(text) };
  const level = /^level (\d{1,3})$/i.exec(text)?.[1];
  if (level !== undefined) return { method: 'level' as const, share: Math.min(1, Number(level) / 100) };
  return findingOf(text, system);
}

/** An amount with its unit, or in the column's; undefined where it is none. */
function amountIn(
  text: string,
  numbers: (cell: string) => number | undefined,
  fallback: UnitName,
  system: UnitSystem,
): number | undefined {
  const [, figures = '', word = ''] = /^([\d.,+-]+)\s*(\p{L}[\p{L} ]*)?$/u.exec(text) ?? [];
  const number = numbers(figures);
  if (number === undefined) return asTyped(text, fallback, system);
  const unit = word === '' ? fallback : unitNamed(word.trim(), system);
  if (unit === undefined || UNITS[unit].quantity !== UNITS[fallback].quantity) return undefined;
  return toSi(number, unit);
}

/** What no column of plain numbers has, as it would be typed into a field: "½", "1½ gal", "1 lb 4 oz". */
function asTyped(text: string, fallback: UnitName, system: UnitSystem): number | undefined {
  const read = parseNumber(text);
  if (read?.rest.trim() === '') return toSi(read.value, fallback);
  const typed = parseAmount(text, UNITS[fallback].quantity === 'mass' ? 'crop' : 'water', system);
  return typed.ok ? typed.amount.siValue : undefined;
}

/** A time of day in hours; noon where none is said. */
function hourIn(text: string): number | undefined {
  if (text === '') return 12;
  const [, hours = '', minutes = '0', half] =
    /^(\d{1,2})(?:[:.h](\d{2}))?(?::\d{2})?\s*(am|pm)?$/i.exec(text) ?? [];
  const hour = Number(hours || NaN) % (half ? 12 : 100);
  const whole = hour + (half?.toLowerCase() === 'pm' ? 12 : 0) + Number(minutes) / 60;
  return whole >= 0 && whole < 24 ? whole : undefined;
}
