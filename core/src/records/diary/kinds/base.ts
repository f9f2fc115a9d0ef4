import * as z from '../../../schema/index.ts';
import { idSchema } from '../../ids.ts';
import { momentSchema } from '../../time.ts';

/** What every entry has. `at` is when it happened, `recordedAt` when it was written down. */
export const entryBase = {
  id: idSchema('entry'),
  at: momentSchema,
  recordedAt: momentSchema,
  /** who did it, as they call themselves */
  who: z.string().trim().min(1).max(40).optional(),
  note: z.string().trim().max(2000).optional(),
  /** the entry that this one corrects; that one stays on record and no longer counts */
  replaces: idSchema('entry').optional(),
};

export const inContainer = { containerId: idSchema('container') };

/** The amount as it was typed, so that "half a can" is never turned into false litres. */
export const asEntered = z.string().max(60).optional();
