import { dayOf, momentAt } from '../calendar/index.ts';
import { findingOf, readBags, readPickedFacts, type BagNames } from '../commands/index.ts';
import { behindDate, readDate } from '../csv/index.ts';
import {
  entrySchema,
  FEED_UNITS,
  PICK_STAGES,
  PICK_USES,
  sharedAmong,
  type Container,
  type Draft,
  type Garden,
} from '../records/index.ts';
import * as z from '../schema/index.ts';
import {
  parseAmount,
  parseMeasured,
  parseNumber,
  toSi,
  unitNamed,
  UNITS,
  type UnitName,
  type UnitSystem,
} from '../units/index.ts';
import type { DiaryMapping } from './mapping.ts';
import { productOf } from './products.ts';
import type { ColumnId, DiaryTable } from './tables.ts';

/** What the rows of a table are read with. */
export interface RowContext {
  readonly table: DiaryTable;
  readonly mapping: DiaryMapping;
  readonly garden: Pick<Garden, 'products' | 'measures'>;
  readonly byLabel: ReadonlyMap<string, Pick<Container, 'id'> | 'several'>;
  readonly named: BagNames;
  readonly numbers: (cell: string) => number | undefined;
  readonly system: UnitSystem;
  readonly now: string;
  /** of a day and a month alone */
  readonly year: string;
}

/** The bag of a name, in any letters and with "bag" before it or not. */
export function bagCalled(
  name: string,
  byLabel: RowContext['byLabel'],
): Pick<Container, 'id'> | 'several' | undefined {
  const label = name.toLowerCase();
  return byLabel.get(label) ?? byLabel.get(label.replace(/^(bag|pot)\s+/, ''));
}

/** The bags that a cell names: one by its label, or several by theirs, by a row, by a place, or all of them. */
export function bagsCalled(
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
export function readRow(
  row: Readonly<Record<string, string>>,
  context: RowContext,
): readonly Draft[] | string {
  const { table, mapping, garden, numbers, system, now, year } = context;
  const cell = (id: ColumnId) => (row[mapping.columns[id] ?? ''] ?? '').trim();
  const label = cell('bag').toLowerCase();
  const bags = label === '' ? undefined : bagsCalled(label, context);
  if (bags === undefined)
    return label === '' ? 'It names no bag.' : `There is no bag called “${cell('bag')}”.`;
  if (bags === 'several') return `Several bags are called “${cell('bag')}”.`;
  const day = readDate(cell('day'), mapping.dateOrder, year);
  if (day === undefined) return `“${cell('day')}” is not a date.`;
  const time = cell('time') || behindDate(cell('day'));
  const hour = hourIn(time);
  if (hour === undefined) return `“${time}” is not a time of day.`;
  const at = day === dayOf(now) && time === '' ? now : momentAt(day, hour, now);
  if (Date.parse(at) > Date.parse(now)) return `${day} is in the future.`;
  // "a bowl" says something of how much there was
  const rough = UNMEASURED.exec(cell('kilograms'))?.[1] ?? '';
  const picked = pickedIn(cell('ripeness'), cell('use'));
  const note = [rough, picked.strange, cell('note')].filter((words) => words !== '').join(', ');
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
      const price = text('price').replace(/[^\d.,-]/g, '');
      const soldFor = price === '' ? undefined : numbers(price);
      if (text('price') !== '' && soldFor === undefined) return `“${text('price')}” is not a price.`;
      // what has a price was sold
      const more = { ...(soldFor === undefined ? {} : { use: 'sold', soldFor }), ...picked.facts };
      const weight = text('kilograms') === '' ? undefined : read('kilograms', unit);
      const ounces = text('ounces') === '' ? 0 : read('ounces', 'ounce');
      if (ounces === undefined) return `“${text('ounces')}” is not a number of ounces.`;
      const kilograms = ounces > 0 ? (weight ?? 0) + ounces : weight;
      const count = text('count') === '' ? undefined : (numbers(text('count')) ?? inWords(text('count')));
      const isUnmeasured = UNMEASURED.test(text('kilograms')) || YES.test(text('unmeasured'));
      if (isUnmeasured && count === undefined && !(kilograms !== undefined && kilograms > 0))
        return { kind: 'picking', isUnmeasured, ...more };
      if (text('kilograms') !== '' && kilograms === undefined && !isUnmeasured)
        return `“${text('kilograms')}” is not a weight.`;
      if (text('count') !== '' && (count === undefined || !Number.isInteger(count)))
        return `“${text('count')}” is not a number of fruits.`;
      if (kilograms === undefined && count === undefined)
        return 'It has neither a weight nor a count; with “?” for its weight it is taken as not weighed.';
      return { kind: 'picking', ...some('kilograms', kilograms), ...some('count', count), ...more };
    }
    if (of === 'waterings') {
      // in the grower's own cans, as they would type it
      const litres = parseMeasured(text('litres'), inUse) ?? read('litres', unit);
      if (litres === undefined) return `“${text('litres')}” is not an amount of water.`;
      const ranThrough = YES.test(text('through'));
      return { kind: 'watering', litres, isMeasured: true, ranThrough };
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

/** How ripe it was and what became of it, by the words of the file format or in others; what says neither is kept as it stands there. */
function pickedIn(ripeness: string, use: string) {
  const [stage, became] = [ripeness.toLowerCase(), use.toLowerCase()];
  const known = {
    ...some(
      'stage',
      PICK_STAGES.find((each) => each === stage),
    ),
    ...some(
      'use',
      PICK_USES.find((each) => each === became),
    ),
  };
  const said = ['stage' in known ? '' : stage, 'use' in known ? '' : became].join(', ');
  const { facts, rest } = readPickedFacts(said);
  return { facts: { ...facts, ...known }, strange: rest.replace(/[,\s]+/g, ' ').trim() };
}

/** What stands in place of a weight where nobody took one. */
const UNMEASURED =
  /^(?:\?+|some|not weighed|unweighed|not measured|(a few|(?:an?|one|two|three|\d) (?:handful|bowl|bowlful|basket|bucket|punnet)s?))$/i;

const YES = /^(?:y|yes|x|true|1|✓)$/i;

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

/** A number alone, as it would be said: "2 dozen". */
function inWords(text: string): number | undefined {
  const read = parseNumber(text);
  return read?.rest.trim() === '' ? read.value : undefined;
}

/** A time of day in hours, as the clock on the wall had it; noon where none is said. */
function hourIn(text: string): number | undefined {
  if (text === '') return 12;
  const [, hours = '', minutes = '0', half] =
    /^(\d{1,2})(?:[:.h](\d{2}))?(?::\d{2}(?:\.\d+)?)?\s*(am|pm)?(?:z|[+-]\d{2}:?\d{2})?$/i.exec(text) ?? [];
  const hour = Number(hours || NaN) % (half ? 12 : 100);
  const whole = hour + (half?.toLowerCase() === 'pm' ? 12 : 0) + Number(minutes) / 60;
  return whole >= 0 && whole < 24 ? whole : undefined;
}
