import * as z from '../schema/index.ts';
import { base, name } from './base.ts';
import { idSchema } from './ids.ts';
import { BEARINGS, TENDED_TASKS, TRAINING_FORM_IDS } from './kinds.ts';
import { seedlingSchema } from './seedling.ts';
import { daySchema } from './time.ts';

/** Days from sowing or from planting to a crop, as a packet says them: one number or two. */
const daysToCrop = z
  .object({
    low: z.number().check(z.gte(15), z.lte(365)),
    high: z.number().check(z.gte(15), z.lte(365)),
    from: z.enum(['sowing', 'planting']),
  })
  .check(
    z.refine((days) => days.low <= days.high, {
      path: ['high'],
      message: 'The later number cannot be smaller than the earlier one.',
    }),
  );

/** Days from set fruit to ripe fruit: a range, since it hangs on the weather. */
const daysFromSet = z
  .object({ low: z.number().check(z.gte(3), z.lte(150)), high: z.number().check(z.gte(3), z.lte(150)) })
  .check(
    z.refine((days) => days.low <= days.high, {
      path: ['high'],
      message: 'The later number cannot be smaller than the earlier one.',
    }),
  );

/** What the grower knows of a variety. What is left out is as usual for its crop and growth. */
export const varietySchema = z.object({
  id: idSchema('variety'),
  name,
  cropId: z.string().check(z.minLength(1), z.maxLength(40)),
  /** how it grows */
  habitId: z.string().check(z.minLength(1), z.maxLength(40)),
  /** how long it bears */
  bearing: z.optional(z.enum(BEARINGS)),
  /** to the first ripe fruit, and to the first that is full-sized and green */
  daysToRipe: z.optional(daysToCrop),
  daysToGreen: z.optional(daysToCrop),
  /** from set fruit to ripe fruit, days */
  setToRipe: z.optional(daysFromSet),
  /** above the mix when it is done, mm */
  heightMillimetres: z.optional(z.number().check(z.gte(50), z.lte(5000))),
  fruitGrams: z.optional(z.number().check(z.aboveZero(), z.lte(5000))),
  /** it is a kind that keeps: so many months on a cool shelf */
  keepsMonths: z.optional(z.number().check(z.aboveZero(), z.lte(12))),
  colour: z.optional(z.string().check(z.trim(), z.maxLength(40))),
  use: z.optional(z.string().check(z.trim(), z.maxLength(80))),
  isGrafted: z.optional(z.boolean()),
  seed: z.optional(
    z.object({
      source: z.optional(z.enum(['bought', 'saved'])),
      year: z.optional(z.int().check(z.gte(1950), z.lte(2200))),
      /** as the grower says it: "20 seeds", "half a packet" */
      amount: z.optional(z.string().check(z.trim(), z.maxLength(40))),
      /** share that came up when it was tried, 0 to 1 */
      germination: z.optional(z.number().check(z.gte(0), z.lte(1))),
    }),
  ),
  growAgain: z.optional(z.enum(['yes', 'no', 'perhaps'])),
  note: z.optional(z.string().check(z.trim(), z.maxLength(500))),
  ...base,
});

/** Plants of one variety sown together. */
export const batchSchema = z.object({
  id: idSchema('batch'),
  varietyId: idSchema('variety'),
  sownOn: z.optional(daySchema),
  cameUpOn: z.optional(daySchema),
  /** seeds sown; plants that are left to be planted follow from what was planted and given away */
  seeds: z.optional(z.int().check(z.gte(1), z.lte(5000))),
  cameUp: z.optional(z.int().check(z.gte(0), z.lte(5000))),
  givenAway: z.optional(z.int().check(z.gte(0), z.lte(5000))),
  /** where it is raised: how warm, and what light it has */
  raisedAtCelsius: z.optional(z.number().check(z.gte(-5), z.lte(45))),
  light: z.optional(z.enum(['lamp', 'sill', 'glass', 'outdoors'])),
  name: z.optional(name),
  ...base,
});

export const plantSchema = z.object({
  id: idSchema('plant'),
  varietyId: idSchema('variety'),
  batchId: z.optional(idSchema('batch')),
  /** a name of its own, if the grower likes */
  name: z.optional(name),
  /** how many leaders it is trained to; left out: as its habit grows */
  leaders: z.optional(z.int().check(z.gte(1), z.lte(3))),
  /** how it is trained, where that is neither by its leaders nor as its habit grows */
  trainingFormId: z.optional(z.enum(TRAINING_FORM_IDS)),
  /** training that is left undone on it */
  leftUndone: z.optional(z.array(z.enum(TENDED_TASKS)).check(z.maxLength(30))),
  ...base,
});

/** What is to go into a bag, and when: the grower's intention, until a planting in the diary takes its place. */
export const planSchema = z.object({
  id: idSchema('plan'),
  containerId: idSchema('container'),
  cropId: z.string().check(z.minLength(1), z.maxLength(40)),
  habitId: z.string().check(z.minLength(1), z.maxLength(40)),
  varietyName: z.optional(name),
  /** a name of the plant's own, and the seedling as it was measured, where the grower said them already */
  plantName: z.optional(name),
  seedling: z.optional(seedlingSchema),
  /** it is sown in place rather than planted */
  isSown: z.optional(z.boolean()),
  practiceId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  plantOn: daySchema,
  /** it goes in between what stands there, and takes over from it */
  isRelay: z.optional(z.boolean()),
  /** the grower has not said a day: `plantOn` is when its window opens */
  isDayOpen: z.optional(z.boolean()),
  ...base,
});

export type Variety = z.infer<typeof varietySchema>;
export type Batch = z.infer<typeof batchSchema>;
export type Plant = z.infer<typeof plantSchema>;
export type Plan = z.infer<typeof planSchema>;
