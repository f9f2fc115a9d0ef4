import * as z from '../schema/index.ts';
import { name } from './base.ts';
import { idSchema } from './ids.ts';
import { SEASONS_IDS, SUPPORT_THINGS } from './kinds.ts';
import { daySchema, momentSchema, monthDaySchema } from './time.ts';

export const monthNormalSchema = z
  .object({
    minCelsius: z.number().check(z.gte(-40), z.lte(40)),
    maxCelsius: z.number().check(z.gte(-30), z.lte(50)),
    rainMillimetres: z.number().check(z.gte(0), z.lte(1500)),
  })
  .check(
    z.refine((month) => month.minCelsius <= month.maxCelsius, {
      path: ['maxCelsius'],
      message: 'The day cannot be colder than the night.',
    }),
  );

/** What holds plants up and is there already: so many of a length, mm. A cage's length is its height above the mix. */
const ownedSupport = z.object({
  thing: z.enum(SUPPORT_THINGS),
  lengthMillimetres: z.number().check(z.gte(200), z.lte(5000)),
  count: z.int().check(z.gte(1), z.lte(1000)),
});

/** One for the whole garden. */
export const settingsSchema = z.object({
  gardenName: name,
  latitudeDegrees: z.number().check(z.gte(-66), z.lte(66)),
  /** January first; left out, normals are worked out from the latitude */
  normals: z.optional(z.array(monthNormalSchema).check(z.length(12))),
  /** what winter and summer are like, where there are no normals; left out: as by the sea */
  seasonsId: z.optional(z.enum(SEASONS_IDS)),
  units: z.enum(['metric', 'us', 'uk']),
  /** hours of the day at which the grower walks round */
  roundHours: z.array(z.number().check(z.gte(0), z.lte(23.75))).check(z.minLength(1), z.maxLength(4)),
  /** the days on which the grower comes, where that is not every day */
  roundDays: z.optional(
    z.discriminatedUnion('by', [
      /** every so many days, counted from one on which they come */
      z.object({ by: z.literal('every'), days: z.int().check(z.gte(2), z.lte(31)), from: daySchema }),
      /** 1 Monday to 7 Sunday */
      z.object({
        by: z.literal('weekdays'),
        weekdays: z.array(z.int().check(z.gte(1), z.lte(7))).check(z.minLength(1), z.maxLength(7)),
      }),
    ]),
  ),
  /** the measure in which waterings are proposed */
  wateringMeasureId: z.optional(idSchema('measure')),
  depthPracticeId: z.string().check(z.minLength(1), z.maxLength(40)),
  /** sign of the grower's money; a pound sign when left out */
  currency: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(4))),
  /** what an hour of the grower's work is worth to them; left out: work is not counted */
  hourValue: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  /** what the shop asks for a kilogram, by crop or by the id of a variety */
  shopPrices: z.optional(
    z.record(z.string().check(z.maxLength(40)), z.number().check(z.gte(0), z.lte(1000))),
  ),
  kilowattHourPrice: z.optional(z.number().check(z.gte(0), z.lte(10))),
  /** bigger bags or smaller ones: the grower's practice of sizes */
  sizingPracticeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** usual last and first frost, `MM-DD`; what is left out is estimated from the normals or the years that were read */
  frost: z.optional(z.object({ last: z.optional(monthDaySchema), first: z.optional(monthDaySchema) })),
  /** how long after the last frost plants go out: the grower's practice of timing */
  timingPracticeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** supports at planting or later */
  supportPracticeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** supports go on so many days after planting, where that is neither at once nor as the practice has it */
  supportAfterDays: z.optional(z.int().check(z.gte(0), z.lte(90))),
  /** canes, stakes, cages and the like that the grower owns, by length, in use or not */
  ownedSupports: z.optional(z.array(ownedSupport).check(z.maxLength(60))),
  /** the order of work at planting */
  orderPracticeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** when leaves come off */
  stripPracticeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** training that is done, or is not, against what is usual: by form and task, as "pepper flowers-off" */
  training: z.optional(z.record(z.string(), z.boolean())),
  /** how a string holds the foot of a stem */
  stringTail: z.optional(z.enum(['under-ball', 'loop'])),
  /** checks are planned so that a round may be missed */
  plansForMissedRound: z.optional(z.boolean()),
  /** bags are kept on the dry side before nights colder than this, °C; left out: never */
  drierBelowCelsius: z.optional(z.number().check(z.gte(0), z.lte(15))),
  assumptions: z.record(z.string(), z.number()),
  /** when a field was changed, where that was not at `changedAt`; also of fields that were taken away, as "frost" and "assumptions.youngCheck" */
  stamps: z.optional(z.record(z.string().check(z.maxLength(80)), momentSchema)),
  changedAt: momentSchema,
});

/** What a garden begins with, where nothing else was said. */
export const USUAL_SETTINGS = {
  gardenName: 'Garden',
  latitudeDegrees: 50,
  units: 'metric',
  roundHours: [8, 18],
  depthPracticeId: 'first-leaves',
  assumptions: {},
} as const;

export type Settings = z.infer<typeof settingsSchema>;
export type OwnedSupport = z.infer<typeof ownedSupport>;
