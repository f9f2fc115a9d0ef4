import * as z from '../schema/index.ts';
import { MEASURE_UNIT, type MeasureKind } from '../units/index.ts';
import { base, name } from './base.ts';
import { containerSchema, placeSchema, tankSchema, templateSchema } from './container.ts';
import { idSchema } from './ids.ts';
import type { TableName } from './kinds.ts';
import { recipePartsSchema } from './mix.ts';
import { batchSchema, planSchema, plantSchema, varietySchema } from './plant.ts';
import { productSchemaOf } from './product.ts';
import { regimeFields } from './regime.ts';
import { trialSchema } from './trial.ts';

/** A mix of the grower's own. */
export const mixSchema = z.object({
  id: idSchema('mix'),
  name,
  description: z.optional(z.string().check(z.trim(), z.maxLength(200))),
  parts: recipePartsSchema,
  limeGramsPerLitre: z.optional(z.number().check(z.gte(0), z.lte(20))),
  /** what a litre of it comes to, where the grower knows: it goes before the prices of its parts */
  pricePerLitre: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  ...base,
});

/** A thing that the grower buys and that is not in the list that ships with the app. */
export const productSchema = z.extend(productSchemaOf(idSchema('product')), base);

/** A pack in which a product is sold; its price is the one last seen, if any. */
export const packSchema = z.object({
  id: idSchema('pack'),
  productId: z.string().check(z.minLength(1), z.maxLength(40)),
  name: z.optional(name),
  /** in the product's own unit: litres, kilograms, pieces or metres */
  amount: z.number().check(z.aboveZero(), z.lte(100_000)),
  price: z.optional(z.number().check(z.gte(0), z.lte(100_000))),
  ...base,
});

/** A grower's own measure, measured once. */
export const measureSchema = z.object({
  id: idSchema('measure'),
  kind: z.enum(Object.keys(MEASURE_UNIT) as [MeasureKind, ...MeasureKind[]]),
  name,
  /** litres in one of it: a can's fill, a hose's second, a handful */
  litres: z.number().check(z.gte(0.001), z.lte(100)),
  ...base,
});

/** A regime of the grower's own: from nothing, or a practice's with changes. */
export const regimeSchema = z.object({ id: idSchema('regime'), ...regimeFields, ...base });

export type Measure = z.infer<typeof measureSchema>;
export type OwnMix = z.infer<typeof mixSchema>;
export type OwnProduct = z.infer<typeof productSchema>;
export type OwnRegime = z.infer<typeof regimeSchema>;
export type Pack = z.infer<typeof packSchema>;

/** What each table's records are checked by. */
export const RECORD_SCHEMAS = {
  places: placeSchema,
  containers: containerSchema,
  varieties: varietySchema,
  batches: batchSchema,
  plants: plantSchema,
  measures: measureSchema,
  mixes: mixSchema,
  products: productSchema,
  packs: packSchema,
  templates: templateSchema,
  plans: planSchema,
  regimes: regimeSchema,
  tanks: tankSchema,
  trials: trialSchema,
} as const satisfies Readonly<Record<TableName, z.ZodMiniType>>;

export type RecordOf<T extends TableName> = z.infer<(typeof RECORD_SCHEMAS)[T]>;
export type Records = { readonly [T in TableName]: readonly RecordOf<T>[] };
