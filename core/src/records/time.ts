import * as z from '../schema/index.ts';
import { isDay } from '../calendar/index.ts';

/** Years of which a garden tells. A day far outside of them is a slip, and to reckon up to it would take for ever. */
const YEARS = { first: 1950, last: 2200 };
const isOfGardens = (text: string) => {
  const year = Number(text.slice(0, 4));
  return year >= YEARS.first && year <= YEARS.last;
};
const OUTSIDE = `not in the years from ${YEARS.first} to ${YEARS.last}`;

/** A calendar day that exists, `YYYY-MM-DD`. */
export const daySchema = z
  .string()
  .check(z.refine(isDay, 'not a day that exists, as 2026-07-16'), z.refine(isOfGardens, OUTSIDE));

/** A local time with its offset, `2026-07-16T18:04:00.000+01:00`: the instant and the grower's own day in one. */
export const momentSchema = z.string().check(
  z.regex(
    /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?(Z|[+-]\d{2}:\d{2})$/,
    'not a time with its offset',
  ),
  z.refine((text) => isDay(text.slice(0, 10)) && Number.isFinite(Date.parse(text)), 'not a time that exists'),
  z.refine(isOfGardens, OUTSIDE),
);

/** A day of any year, `MM-DD`; 29 February is let through. */
export const monthDaySchema = z
  .string()
  .check(z.refine((text) => isDay(`2024-${text}`), 'not a day of the year, as 05-14'));
