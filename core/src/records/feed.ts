import * as z from '../schema/index.ts';
import { FEED_FORMS, FEED_UNITS, type FeedUnit } from './kinds.ts';

/** So much of a feed, in a unit. */
export interface FeedAmount {
  readonly amount: number;
  readonly unit: FeedUnit;
}

export const labelDoseSchema = z.object({
  amount: z.number().check(z.aboveZero(), z.lte(5000)),
  unit: z.enum(FEED_UNITS),
  /** in each litre of water, or to each bag, plant or litre of mix */
  per: z.enum(['litre', 'bag', 'plant', 'mix-litre']),
});
export type LabelDose = z.infer<typeof labelDoseSchema>;

/** How a feed is given, as its label says. */
export const feedFactsSchema = z.object({
  form: z.enum(FEED_FORMS),
  dose: labelDoseSchema,
  /** the shortest time between two feeds by the label */
  intervalDays: z.optional(z.int().check(z.gte(1), z.lte(365))),
  /** time over which it gives four fifths of what is in it, at about 20 °C; left out: at once */
  months: z.optional(z.number().check(z.gte(0.1), z.lte(60))),
  /** the other part of a two-part nutrient */
  partnerId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** what one piece weighs, for spikes */
  gramsEach: z.optional(z.number().check(z.aboveZero(), z.lte(1000))),
  /** of a tea: days in water, how often it is stirred, what goes into a litre */
  steep: z.optional(
    z.object({
      fromDays: z.int().check(z.gte(1), z.lte(180)),
      toDays: z.int().check(z.gte(1), z.lte(365)),
      stirEveryDays: z.int().check(z.gte(1), z.lte(30)),
      gramsPerLitre: z.number().check(z.aboveZero(), z.lte(1000)),
    }),
  ),
});
export type FeedFacts = z.infer<typeof feedFactsSchema>;
