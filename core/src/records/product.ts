import * as z from '../schema/index.ts';
import { feedFactsSchema } from './feed.ts';

/** What a thing is bought for; it decides where it is offered. */
export const PRODUCT_KINDS = ['ingredient', 'amendment', 'feed', 'bag', 'support', 'other'] as const;
export type ProductKind = (typeof PRODUCT_KINDS)[number];

/** How a thing is counted in the shed. */
export const PRODUCT_UNITS = ['litre', 'kilogram', 'piece', 'metre'] as const;
export type ProductUnit = (typeof PRODUCT_UNITS)[number];

const percent = z.number().check(z.gte(0), z.lte(100));

/** What a label says is in a product, percent by mass: N, P2O5, K2O, and calcium and magnesium as Ca and Mg. */
export const nutrientLabelSchema = z
  .object({ n: percent, p2o5: percent, k2o: percent, ca: z.optional(percent), mg: z.optional(percent) })
  .check(
    z.refine((l) => l.n + l.p2o5 + l.k2o + (l.ca ?? 0) + (l.mg ?? 0) <= 100, {
      message: 'A label cannot promise more than 100 % in all.',
    }),
  );

export type NutrientLabel = z.infer<typeof nutrientLabelSchema>;

/** The fields of a product, with ids of a kind: those that ship with the app have plain words for ids. */
export function productSchemaOf<I extends z.ZodMiniType<string>>(id: I) {
  return z.object({
    id,
    name: z.string().check(z.trim(), z.minLength(1), z.maxLength(60)),
    kind: z.enum(PRODUCT_KINDS),
    unit: z.enum(PRODUCT_UNITS),
    label: z.optional(nutrientLabelSchema),
    /** density of a liquid or bulk density of a loose product: what a litre of it weighs */
    kilogramsPerLitre: z.optional(z.number().check(z.aboveZero(), z.lte(5))),
    isOrganic: z.optional(z.boolean()),
    /** it makes dust that should not be breathed in */
    isDusty: z.optional(z.boolean()),
    /** seasons that one of it lasts: its price is spread over them */
    seasons: z.optional(z.number().check(z.gte(1), z.lte(30))),
    /** how it is given, for what feeds plants */
    feed: z.optional(feedFactsSchema),
    /** its maker's own word, which goes before anything that is worked out here */
    description: z.optional(z.string().check(z.trim(), z.maxLength(200))),
  });
}

/** Anything that is bought, kept in the shed and used up. */
export type Product = z.infer<ReturnType<typeof productSchemaOf<z.ZodMiniString>>>;
