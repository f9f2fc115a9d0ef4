import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { daySchema } from '../../time.ts';
import { idSchema } from '../../ids.ts';
import { entryBase } from './base.ts';

/** Anything worth keeping, about one container, one plant or the whole garden. */
export const noteEntry = z.object({
  kind: z.literal('note'),
  ...entryBase,
  containerId: idSchema('container').optional(),
  stationId: idSchema('station').optional(),
  plantId: idSchema('plant').optional(),
  text: z.string().trim().min(1).max(2000),
});

/** One day's weather outside, typed or read from a file. Belongs to the garden and not to a bag. */
export const weatherEntry = z
  .object({
    kind: z.literal('weather'),
    ...entryBase,
    day: daySchema,
    minCelsius: z.number().min(-40).max(45),
    maxCelsius: z.number().min(-30).max(55),
    rainMillimetres: z.number().min(0).max(500).optional(),
    /** mean relative humidity, wind at 2 m, hours of sunshine: from a file or a station, where they are known */
    humidityPercent: z.number().min(1).max(100).optional(),
    windMetresPerSecond: z.number().min(0).max(40).optional(),
    sunHours: z.number().min(0).max(24).optional(),
    source: z.enum(['typed', 'file', 'station']),
  })
  .refine((w) => w.minCelsius <= w.maxCelsius, {
    path: ['maxCelsius'],
    message: 'The warmest hour cannot be colder than the coldest.',
  });

/** A tombstone: the entry it names no longer counts. Removing a tombstone brings the entry back. */
export const removedEntry = z.object({
  kind: z.literal('removed'),
  ...entryBase,
  removes: idSchema('entry'),
});

/** What these bear on. */
export const OTHER_EFFECTS = {
  note: [],
  weather: ['water', 'feeding', 'jobs'],
  removed: [],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
