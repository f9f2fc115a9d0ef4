import * as z from '../schema/index.ts';
import { base, name } from './base.ts';
import { idSchema } from './ids.ts';
import { TRIAL_MEASURES } from './kinds.ts';
import { daySchema } from './time.ts';

/** One of the things that are tried beside each other: "big bag", "weekly feed". */
const treatmentSchema = z.object({ id: z.string().check(z.minLength(1), z.maxLength(20)), name });

/** A bag, or one of its plants, with what it is given in one season. */
const trialUnitSchema = z.object({
  containerId: idSchema('container'),
  /** the plant that it is about; left out: all that stands in the bag */
  plantId: z.optional(idSchema('plant')),
  treatmentId: z.string().check(z.minLength(1), z.maxLength(20)),
  /** the season by the year in which it begins */
  season: z.int().check(z.gte(1950), z.lte(2200)),
  /** why it no longer counts: its plant was stolen, it stood in a draught … */
  outBecause: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(120))),
});

/** Two or more ways of growing beside each other, and which bags get which. What they yielded follows from the diary. */
export const trialSchema = z.object({
  id: idSchema('trial'),
  name,
  treatments: z.array(treatmentSchema).check(z.minLength(2), z.maxLength(6)),
  units: z.array(trialUnitSchema).check(z.maxLength(600)),
  measure: z.enum(TRIAL_MEASURES),
  /** only what was picked up to this day of each season counts; left out: all of it */
  untilDay: z.optional(daySchema),
  /** what the grower makes of it */
  note: z.optional(z.string().check(z.trim(), z.maxLength(1000))),
  ...base,
});

export type Trial = z.infer<typeof trialSchema>;
export type TrialUnit = z.infer<typeof trialUnitSchema>;
