import * as z from '../schema/index.ts';

/** What a feed is, which decides how it is given and how it becomes available. */
export const FEED_FORMS = [
  'soluble',
  'liquid',
  'two-part',
  'granular',
  'slow-release',
  'meal',
  'manure',
  'spike',
  'tea',
  'foliar',
] as const;
export type FeedForm = (typeof FEED_FORMS)[number];

/** Units of a dose as people give it. A spoon is a level tablespoon; a handful is the grower's own. */
export const FEED_UNITS = ['gram', 'millilitre', 'spoon', 'teaspoon', 'handful', 'litre', 'piece'] as const;
export type FeedUnit = (typeof FEED_UNITS)[number];

/** So much of a feed, in a unit. */
export interface FeedAmount {
  readonly amount: number;
  readonly unit: FeedUnit;
}

export const labelDoseSchema = z.object({
  amount: z.number().gt(0).max(5000),
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
  intervalDays: z.number().int().min(1).max(365).optional(),
  /** time over which it gives four fifths of what is in it, at about 20 °C; left out: at once */
  months: z.number().min(0.1).max(60).optional(),
  /** the other part of a two-part nutrient */
  partnerId: z.string().min(1).max(40).optional(),
  /** what one piece weighs, for spikes */
  gramsEach: z.number().gt(0).max(1000).optional(),
  /** of a tea: days in water, how often it is stirred, what goes into a litre */
  steep: z
    .object({
      fromDays: z.number().int().min(1).max(180),
      toDays: z.number().int().min(1).max(365),
      stirEveryDays: z.number().int().min(1).max(30),
      gramsPerLitre: z.number().gt(0).max(1000),
    })
    .optional(),
});
export type FeedFacts = z.infer<typeof feedFactsSchema>;

/** Whether a form is given in water, by the litre; the others are laid on or worked into the mix. */
export function isGivenInWater(form: FeedForm): boolean {
  return (
    form === 'soluble' || form === 'liquid' || form === 'two-part' || form === 'tea' || form === 'foliar'
  );
}
