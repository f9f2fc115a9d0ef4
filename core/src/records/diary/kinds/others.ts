import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { WEATHER_PARTS, WIDEST_DAY_DEGREES } from '../../kinds.ts';
import { daySchema } from '../../time.ts';
import { idSchema } from '../../ids.ts';
import { entryBase, inContainer, maybeAtPlant } from './base.ts';

/** Anything worth keeping, about one container, one plant or the whole garden. */
export const noteEntry = z.object({
  kind: z.literal('note'),
  ...entryBase,
  containerId: z.optional(idSchema('container')),
  ...maybeAtPlant,
  text: z.string().check(z.trim(), z.minLength(1), z.maxLength(2000)),
});

/** A bag was carried to another place. Where it stands now is in its record; this says since when, and where it stood before. */
export const movedEntry = z.object({
  kind: z.literal('moved'),
  ...entryBase,
  ...inContainer,
  fromPlaceId: idSchema('place'),
  toPlaceId: idSchema('place'),
});

/** One day's weather outside, typed or read from a file, as far as it is known: a rain gauge knows no degrees. Belongs to the garden and not to a bag. */
export const weatherEntry = z
  .object({
    kind: z.literal('weather'),
    ...entryBase,
    day: daySchema,
    minCelsius: z.optional(z.number().check(z.gte(-40), z.lte(45))),
    maxCelsius: z.optional(z.number().check(z.gte(-30), z.lte(55))),
    rainMillimetres: z.optional(z.number().check(z.gte(0), z.lte(500))),
    /** mean relative humidity, wind at 2 m, hours of sunshine: from a file or a station, where they are known */
    humidityPercent: z.optional(z.number().check(z.gte(1), z.lte(100))),
    windMetresPerSecond: z.optional(z.number().check(z.gte(0), z.lte(40))),
    sunHours: z.optional(z.number().check(z.gte(0), z.lte(24))),
    source: z.enum(['typed', 'file', 'station']),
  })
  .check(
    z.refine((w) => WEATHER_PARTS.some((part) => w[part] !== undefined), {
      message: 'Nothing is said of this day.',
    }),
    z.refine((w) => (w.minCelsius ?? -Infinity) <= (w.maxCelsius ?? Infinity), {
      path: ['maxCelsius'],
      message: 'The warmest hour cannot be colder than the coldest.',
    }),
    z.refine(
      (w) =>
        (w.maxCelsius ?? -Infinity) - (w.minCelsius ?? -Infinity) <= WIDEST_DAY_DEGREES ||
        w.minCelsius === undefined,
      {
        path: ['maxCelsius'],
        message: `No day has more than ${WIDEST_DAY_DEGREES} degrees between its coldest and its warmest hour.`,
      },
    ),
  );

/** A tombstone: the entry it names no longer counts. Removing a tombstone brings the entry back. */
export const removedEntry = z.object({
  kind: z.literal('removed'),
  ...entryBase,
  removes: idSchema('entry'),
});

/** What these bear on. */
export const OTHER_EFFECTS = {
  note: [],
  moved: ['water', 'feeding', 'jobs', 'plan'],
  weather: ['water', 'feeding', 'jobs'],
  removed: [],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
