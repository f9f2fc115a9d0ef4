import * as z from '@rundel/core/schema';

/** A walk in progress: kept on this device, so that an interruption or a reload finds it where it was. */
export const walkSchema = z.object({
  startedAt: z.string(),
  containerIds: z.array(z.string()),
  /** the bags chosen when time is short; left out: all of them */
  spotIds: z.optional(z.array(z.string())),
});
export type Walk = z.infer<typeof walkSchema>;
