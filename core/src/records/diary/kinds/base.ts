import * as z from '../../../schema/index.ts';
import { idSchema } from '../../ids.ts';
import { momentSchema } from '../../time.ts';

/** What every entry has. `at` is when it happened, `recordedAt` when it was written down. */
export const entryBase = {
  id: idSchema('entry'),
  at: momentSchema,
  recordedAt: momentSchema,
  /** who did it, as they call themselves */
  who: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(40))),
  note: z.optional(z.string().check(z.trim(), z.maxLength(2000))),
  /** the entry that this one corrects; that one stays on record and no longer counts */
  replaces: z.optional(idSchema('entry')),
  /** photographs that were taken of it */
  photoIds: z.optional(z.array(idSchema('photo')).check(z.minLength(1), z.maxLength(12))),
};

export const inContainer = { containerId: idSchema('container') };

/** The amount as it was typed, so that "half a can" is never turned into false litres. */
export const asEntered = z.optional(z.string().check(z.maxLength(60)));

/** The plant that something is about, by its station; left out: all that stand in the bag. */
export const maybeAtPlant = {
  stationId: z.optional(idSchema('station')),
  plantId: z.optional(idSchema('plant')),
};
