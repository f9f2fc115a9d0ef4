import * as z from '../schema/index.ts';
import { labelDoseSchema } from './feed.ts';
import { monthDaySchema } from './time.ts';

const TRIGGERS = [
  z.object({ on: z.literal('planting') }),
  z.object({ on: z.literal('weeks'), weeks: z.number().check(z.gte(0), z.lte(52)) }),
  z.object({ on: z.literal('base-used-up') }),
  z.object({ on: z.literal('label-months') }),
  z.object({ on: z.literal('flowers') }),
  z.object({ on: z.literal('set') }),
  z.object({ on: z.literal('picking') }),
  z.object({ on: z.literal('date'), monthDay: monthDaySchema }),
] as const;

/** What sets a step off: something that happened to the plant, or a day. */
export const triggerSchema = z.discriminatedUnion('on', TRIGGERS);
export type Trigger = z.infer<typeof triggerSchema>;

/** When a step ends: after so many times, at a trigger, or with the plant (left out). */
export const stopRuleSchema = z.discriminatedUnion('on', [
  ...TRIGGERS,
  z.object({ on: z.literal('times'), times: z.int().check(z.gte(1), z.lte(60)) }),
]);
export type StopRule = z.infer<typeof stopRuleSchema>;

export const regimeStepSchema = z
  .object({
    id: z.string().check(z.minLength(1), z.maxLength(20)),
    start: triggerSchema,
    productId: z.string().check(z.minLength(1), z.maxLength(40)),
    /** left out: as the label says */
    dose: z.optional(labelDoseSchema),
    /** days between two feeds; left out: once */
    every: z.optional(
      z
        .object({
          fromDays: z.int().check(z.gte(1), z.lte(180)),
          toDays: z.int().check(z.gte(1), z.lte(180)),
        })
        .check(
          z.refine((e) => e.fromDays <= e.toDays, {
            path: ['toDays'],
            message: 'The longest time between two feeds is shorter than the shortest.',
          }),
        ),
    ),
    /** the interval goes from the longest to the shortest as the plant grows */
    shortensWithGrowth: z.boolean(),
    /** it goes into every watering in place of an interval, at this share of its dose */
    withWatering: z.optional(z.object({ share: z.number().check(z.gte(0.02), z.lte(1)) })),
    /** sprayed over the leaves; left out: as its product is given, mostly over the mix */
    into: z.optional(z.literal('leaves')),
    until: z.optional(stopRuleSchema),
  })
  .check(
    z.refine((step) => !(step.withWatering && (step.every || step.into)), {
      path: ['withWatering'],
      message: 'What goes into every watering has no interval of its own, and does not go over the leaves.',
    }),
  );

/** One line of a regime: from when, what, how much, how often, until when. */
export type RegimeStep = z.infer<typeof regimeStepSchema>;

/** The fields of a regime but its id. */
export const regimeFields = {
  name: z.string().check(z.trim(), z.minLength(1), z.maxLength(60)),
  /** what it holds, in a line or two, and who it suits */
  description: z.string().check(z.trim(), z.maxLength(300)),
  suits: z.string().check(z.trim(), z.maxLength(200)),
  steps: z.array(regimeStepSchema).check(
    z.minLength(1, 'A regime without a step feeds nothing.'),
    z.maxLength(8),
    z.refine((steps) => new Set(steps.map((s) => s.id)).size === steps.length, {
      message: 'Two steps have the same id.',
    }),
  ),
};

/** A way of feeding, as data: steps that each wait for their trigger. */
export interface Regime {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  readonly suits: string;
  readonly steps: readonly RegimeStep[];
}
