import { dayOf } from '../calendar/index.ts';
import { columnOf, columnOfDates, guessDateOrder, type CsvTable, type DateOrder } from '../csv/index.ts';
import { fieldUnit, unitNamed, type UnitName, type UnitSystem } from '../units/index.ts';
import { COLUMNS_READ, type ColumnId, type DiaryTable } from './tables.ts';

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

const OUNCES = /\boz\b|ounces?/i;
/** What each column may be called. */
const HINTS: Readonly<Record<ColumnId, RegExp>> = {
  bag: /\b(bag|pot|container|label|plant)\b|^(sack|beutel|topf|nr)$/i,
  day: /date|day|datum|tag|when/i,
  time: /time|hour|clock|uhr/i,
  kilograms: /kilo|weight|\bkg\b|\bg\b|gram|pound|\blbs?\b|\boz\b|gewicht/i,
  ounces: OUNCES,
  count: /count|number|fruits?|pieces|how many|anzahl/i,
  unmeasured: /unmeasured|not weighed|unweighed/i,
  ripeness: /ripe|stage|colou?r/i,
  use: /\buse\b|became|went to|what for|used for/i,
  price: /price|sold|got for|income|[£$€]/i,
  through: /through|drained|run.?off/i,
  found: /found|grade|felt|moist|check|finding/i,
  litres: /lit(re|er)|\bl\b|\bml\b|water|gal|volume/i,
  product: /product|feed|fertili[sz]er|name/i,
  amount: /amount|dose|quantity|how much/i,
  unit: /unit/i,
  who: /\bwho\b|\bby\b|person|helper/i,
  note: /note|remark|comment/i,
};

/** How amounts are written of which a heading says nothing: "2 lb 4 oz", "1,5 kg". */
const AMOUNTS: Readonly<Partial<Record<DiaryTable, readonly (readonly [ColumnId, RegExp])[]>>> = {
  pickings: [['kilograms', /\d[\d.,½¼¾]*\s?(?:kg|kilos?|g|grams?|lbs?|pounds?|oz|ounces?)\b/i]],
  waterings: [['litres', /\d[\d.,½¼¾]*\s?(?:l|lit(?:re|er)s?|ml|gal(?:lons?)?|pints?|quarts?|cans?)\b/i]],
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

interface Grower {
  readonly system: UnitSystem;
  readonly now: string;
}

const orderIn = (heading = '', rows: CsvTable['rows'], { system, now }: Grower): DateOrder =>
  guessDateOrder(
    rows.map((row) => row[heading] ?? ''),
    DATE_ORDERS[system],
    dayOf(now),
  );

/** A mapping with another column for something; of dates the order is guessed anew. */
export function withColumn(
  mapping: DiaryMapping,
  id: ColumnId,
  heading: string,
  { rows }: CsvTable,
  grower: Grower,
): DiaryMapping {
  const columns = { ...mapping.columns, [id]: heading };
  return { ...mapping, columns, ...(id === 'day' ? { dateOrder: orderIn(heading, rows, grower) } : {}) };
}

/** A first guess at the columns of a file, by their headings, by what stands in them, and by how its grower writes. */
export function guessDiaryMapping(
  table: DiaryTable,
  { headings, rows }: CsvTable,
  { system, now }: Grower,
): DiaryMapping {
  const taken = new Set<string>();
  const columns = Object.fromEntries(
    COLUMNS_READ[table].map((id) => {
      const heading =
        headings.find((h) => !taken.has(h) && h.toLowerCase() === id) ??
        // of pounds and ounces the ounces go beside
        headings.find((h) => !taken.has(h) && HINTS[id].test(h) && !(id === 'kilograms' && OUNCES.test(h))) ??
        headings.find((h) => !taken.has(h) && HINTS[id].test(h));
      if (heading !== undefined) taken.add(heading);
      return [id, heading ?? ''];
    }),
  ) as Partial<Record<ColumnId, string>>;
  // whatever it is called
  columns.day ||= columnOfDates({ headings: headings.filter((h) => !taken.has(h)), rows }) ?? '';
  for (const [id, amount] of AMOUNTS[table] ?? [])
    columns[id] ||=
      columnOf({ headings: headings.filter((h) => !taken.has(h) && h !== columns.day), rows }, [
        (text) => amount.test(text),
      ]) ?? '';
  const measured = columns[table === 'waterings' ? 'litres' : 'kilograms'] ?? '';
  const named =
    /\b(g|grams?|kg|kilos?|kilograms?|lbs?|oz|ml|l|lit(?:re|er)s?|gal|gallons?|pounds?|ounces?)\b/i.exec(
      measured,
    )?.[1];
  const unit = named === undefined ? undefined : unitNamed(named, system);
  return {
    columns,
    dateOrder: orderIn(columns.day, rows, { system, now }),
    unit: unit && TABLE_UNITS[table].includes(unit) ? unit : usualUnit(table, system),
    // one bowl is weighed once, and a can is poured on each
    several: table === 'pickings' ? 'together' : 'each',
  };
}

/** Whether a mapping has all that a row cannot do without. */
export function isWholeMapping(table: DiaryTable, { columns }: DiaryMapping): boolean {
  const has = (id: ColumnId) => (columns[id] ?? '') !== '';
  return (
    NEEDED[table].every(has) && (table !== 'pickings' || has('kilograms') || has('ounces') || has('count'))
  );
}
