import * as z from '../schema/index.ts';
import { labelDoseSchema } from './feed.ts';
import { monthDaySchema } from './time.ts';

/** What sets a step off: something that happened to the plant, or a day. */
export const triggerSchema = z.discriminatedUnion('on', [
  z.object({ on: z.literal('planting') }),
  z.object({ on: z.literal('weeks'), weeks: z.number().min(0).max(52) }),
  z.object({ on: z.literal('base-used-up') }),
  z.object({ on: z.literal('flowers') }),
  z.object({ on: z.literal('set') }),
  z.object({ on: z.literal('picking') }),
  z.object({ on: z.literal('date'), monthDay: monthDaySchema }),
]);
export type Trigger = z.infer<typeof triggerSchema>;

/** When a step ends: after so many times, at a trigger, or with the plant (left out). */
export const stopRuleSchema = z.discriminatedUnion('on', [
  ...triggerSchema.options,
  z.object({ on: z.literal('times'), times: z.number().int().min(1).max(60) }),
]);
export type StopRule = z.infer<typeof stopRuleSchema>;

export const regimeStepSchema = z.object({
  id: z.string().min(1).max(20),
  start: triggerSchema,
  productId: z.string().min(1).max(40),
  /** left out: as the label says */
  dose: labelDoseSchema.optional(),
  /** days between two feeds; left out: once */
  every: z
    .object({ fromDays: z.number().int().min(1).max(180), toDays: z.number().int().min(1).max(180) })
    .refine((e) => e.fromDays <= e.toDays, {
      path: ['toDays'],
      message: 'The longest time between two feeds is shorter than the shortest.',
    })
    .optional(),
  /** the interval goes from the longest to the shortest as the plant grows */
  shortensWithGrowth: z.boolean(),
  until: stopRuleSchema.optional(),
});

/** One line of a regime: from when, what, how much, how often, until when. */
export type RegimeStep = z.infer<typeof regimeStepSchema>;

/** The fields of a regime but its id. */
export const regimeFields = {
  name: z.string().trim().min(1).max(60),
  /** what it holds, in a line or two, and who it suits */
  description: z.string().trim().max(300),
  suits: z.string().trim().max(200),
  steps: z
    .array(regimeStepSchema)
    .min(1, 'A regime without a step feeds nothing.')
    .max(8)
    .refine((steps) => new Set(steps.map((s) => s.id)).size === steps.length, {
      message: 'Two steps have the same id.',
    }),
};

/** A way of feeding, as data: steps that each wait for their trigger. */
export interface Regime {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  readonly suits: string;
  readonly steps: readonly RegimeStep[];
}
