import { columnOf, type Columns } from './columns.ts';
import { daysBetween, isDay, type Day } from '../calendar/index.ts';

/** In which order the parts of dates are written. */
export type DateOrder = 'ymd' | 'dmy' | 'mdy';

/** "about 10.7.2026" */
const ABOUT = /^(?:about|around|approx\.?|ca?\.?|circa|~)\s*/i;
const plain = (text: string) => text.trim().replace(ABOUT, '');
/** "12.7." of which the year goes without saying */
const DAY_AND_MONTH = /^(\d{1,2})\D(\d{1,2})\D?$/;
const DATE = /^(\d{1,4})\D(\d{1,2})\D(\d{1,4})(?:\D+(.*))?$/;

/** What stands behind a date in its cell, as "07:30"; '' where nothing does. */
export const behindDate = (text: string): string => DATE.exec(plain(text))?.[4] ?? '';

/** The column most of whose cells read as dates, in one order. */
export function columnOfDates(table: Columns): string | undefined {
  const orders = ['ymd', 'dmy', 'mdy'] as const;
  return columnOf(
    table,
    orders.map((order) => (text) => readDate(text, order) !== undefined),
  );
}

/**
 * Reads a date in an order, whatever stands between its parts; with a time behind it, that is left alone.
 *
 * @param year of a day and a month alone, `2026`; left out: those are no date
 * @example
 * readDate('16/7/26', 'dmy')
 * // => '2026-07-16'
 */
export function readDate(text: string, order: DateOrder, year?: string): Day | undefined {
  const said = plain(text);
  const [, one = '', two = ''] = DAY_AND_MONTH.exec(said) ?? [];
  if (one !== '')
    return year === undefined
      ? undefined
      : readDate(
          order === 'dmy' ? `${one}.${two}.${year}` : `${year}-${one}-${two}`,
          order === 'dmy' ? order : 'ymd',
        );
  const parts = DATE.exec(said);
  const compact = /^(\d{4})(\d{2})(\d{2})$/.exec(said);
  const [, a = '', b = '', c = ''] = parts ?? compact ?? [];
  const [y, month, day] = order === 'ymd' || compact ? [a, b, c] : order === 'dmy' ? [c, b, a] : [c, a, b];
  const found = `${y.length === 2 ? `20${y}` : y}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(found) ? found : undefined;
}

/**
 * The order in which the most dates read; between two that read as many, the one by which days follow one another; then the
 * likeliest.
 *
 * @param latest a later day is none that was written down
 * @example
 * guessDateOrder(['07/12/2026', '08/11/2026'], ['dmy', 'mdy'], '2026-09-01')
 * // => 'mdy'
 */
export function guessDateOrder(
  texts: readonly string[],
  likeliest: readonly DateOrder[],
  latest: Day = '9999-12-31',
): DateOrder {
  const orders = likeliest.map((order) => {
    const days = texts.flatMap((text) => readDate(text, order) ?? []).filter((day) => day <= latest);
    const steps = days.slice(1).filter((day, i) => Math.abs(daysBetween(days[i] as Day, day)) === 1);
    return { order, read: days.length, steps: steps.length };
  });
  return orders.sort((a, b) => b.read - a.read || b.steps - a.steps)[0]?.order ?? 'ymd';
}
