import * as z from '../schema/index.ts';
import { momentSchema } from './time.ts';

/**
 * The records that entries name: things that are, as against things that happened (those are in the diary).
 * Every record can be put in the bin (`binnedAt`) and taken out again; nothing is erased at once.
 */
export const base = { createdAt: momentSchema, changedAt: momentSchema, binnedAt: z.optional(momentSchema) };
export const name = z.string().check(z.trim(), z.minLength(1), z.maxLength(60));
