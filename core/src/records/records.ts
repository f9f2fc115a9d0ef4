import * as z from '../schema/index.ts';
import { sizeSchema } from './size.ts';
import { productSchemaOf } from './product.ts';
import { COMPANION_SIZES, SUPPORT_KINDS } from './kinds.ts';
import { regimeFields } from './regime.ts';
import { layersSchema, recipePartsSchema } from './mix.ts';
import { MEASURE_UNIT, type MeasureKind } from '../units/index.ts';
import { idSchema } from './ids.ts';
import { seedlingSchema } from './seedling.ts';
import { daySchema, momentSchema, monthDaySchema } from './time.ts';

/**
 * The records that entries name: things that are, as against things that happened (those are in the diary).
 * Every record can be put in the bin (`binnedAt`) and taken out again; nothing is erased at once.
 */
const base = { createdAt: momentSchema, changedAt: momentSchema, binnedAt: momentSchema.optional() };
const name = z.string().trim().min(1).max(60);

/** A place where bags stand. */
export const placeSchema = z.object({
  id: idSchema('place'),
  name,
  /** glass keeps rain out and dims the sun; heated glass keeps frost out too */
  cover: z.enum(['open', 'glass', 'heated']),
  /** a wire overhead for strings, above the ground, mm */
  wireMillimetres: z.number().min(300).max(5000).optional(),
  /** shade cloth or whitewash: share of the sun that it takes */
  shade: z.number().min(0).max(0.9).optional(),
  /** place in the walk, from 0 */
  order: z.number().int().min(0),
  /** floor that the bags stand on, and what the grower was told it bears */
  areaSquareMetres: z.number().gt(0).max(5000).optional(),
  limitKilogramsPerSquareMetre: z.number().gt(0).max(5000).optional(),
  ...base,
});

/** A place in a container where one plant stands; an id of its own, since plants come and go. */
export const stationSchema = z.object({ id: idSchema('station') });

/** Water that the grower has put beside a bag: what it holds, L. What belongs to its kind (a reservoir) is not listed. */
const addedStore = z.object({
  kind: z.enum(['saucer', 'clay-pots', 'wick', 'drum']),
  litres: z.number().min(0.1).max(200),
});

/**
 * A scale or a probe at a bag, and what it showed when the bag was full (drained after a watering that ran through) and when
 * it had next to nothing left. Without those a scale goes by the bag's reckoned weight and a probe by 0 to 100.
 */
const gauge = z
  .object({
    kind: z.enum(['scale', 'probe']),
    /** the device that it is paired with; left out: read by eye and typed */
    deviceId: z.string().min(1).max(40).optional(),
    fullReading: z.number().min(-1000).max(1000).optional(),
    dryReading: z.number().min(-1000).max(1000).optional(),
  })
  .refine((g) => g.fullReading === undefined || g.fullReading !== g.dryReading, {
    path: ['dryReading'],
    message: 'Full and dry read the same: one of the two is wrong.',
  });

const support = z.object({
  kind: z.enum(SUPPORT_KINDS),
  /** above the ground the bag stands on, mm; 0 when there is none */
  heightMillimetres: z.number().min(0).max(5000),
});

/** What a container is made and filled like; a template is this and no more. */
const containerMake = {
  kindId: z.string().min(1).max(40),
  size: sizeSchema,
  mixId: z.string().min(1).max(40),
  /** from the base upwards, when it is filled with more than one mix; `mixId` is then the uppermost */
  layers: layersSchema.optional(),
  mulchMillimetres: z.number().min(0).max(150),
  /** drain holes this far above the base; left out or 0: in the base */
  holeMillimetres: z.number().min(0).max(400).optional(),
  support,
  stores: z.array(addedStore).max(4).optional(),
  /** plants beside the crop, by how much they shade; until a day when they are only passing */
  companions: z
    .object({ size: z.enum(COMPANION_SIZES).exclude(['none']), until: daySchema.optional() })
    .optional(),
};

/** A bag, pot, trough or bed. What is planted in it follows from the diary. */
export const containerSchema = z.object({
  id: idSchema('container'),
  /** what the grower calls it on the walk: "7", "7b" */
  label: z.string().trim().min(1).max(12),
  ...containerMake,
  placeId: idSchema('place'),
  stations: z.array(stationSchema).min(1).max(12),
  /** place in the place's walk, from 0 */
  order: z.number().int().min(0),
  /** what the empty container cost, in the grower's money, and how many seasons they give it */
  price: z.number().min(0).max(100_000).optional(),
  seasons: z.number().min(1).max(30).optional(),
  gauges: z.array(gauge).max(2).optional(),
  /** the grower's own numbers in place of the assumed ones, for this bag */
  assumptions: z.record(z.string(), z.number()).optional(),
  ...base,
});

/** A way of making up a bag that the grower wants again. */
export const templateSchema = z.object({
  id: idSchema('template'),
  name,
  ...containerMake,
  stations: z.number().int().min(1).max(12),
  cropId: z.string().max(40).optional(),
  habitId: z.string().max(40).optional(),
  ...base,
});

/** A mix of the grower's own. */
export const mixSchema = z.object({
  id: idSchema('mix'),
  name,
  description: z.string().trim().max(200).optional(),
  parts: recipePartsSchema,
  limeGramsPerLitre: z.number().min(0).max(20).optional(),
  ...base,
});

/** A thing that the grower buys and that is not in the list that ships with the app. */
export const productSchema = productSchemaOf(idSchema('product')).extend(base);

/** A pack in which a product is sold; its price is the one last seen, if any. */
export const packSchema = z.object({
  id: idSchema('pack'),
  productId: z.string().min(1).max(40),
  name: name.optional(),
  /** in the product's own unit: litres, kilograms, pieces or metres */
  amount: z.number().gt(0).max(100_000),
  price: z.number().min(0).max(100_000).optional(),
  ...base,
});

export const varietySchema = z.object({
  id: idSchema('variety'),
  name,
  cropId: z.string().min(1).max(40),
  habitId: z.string().min(1).max(40),
  ...base,
});

/** Plants of one variety sown together. */
export const batchSchema = z.object({
  id: idSchema('batch'),
  varietyId: idSchema('variety'),
  sownOn: daySchema.optional(),
  name: name.optional(),
  ...base,
});

export const plantSchema = z.object({
  id: idSchema('plant'),
  varietyId: idSchema('variety'),
  batchId: idSchema('batch').optional(),
  /** a name of its own, if the grower likes */
  name: name.optional(),
  /** how many leaders it is trained to; left out: as its habit grows */
  leaders: z.number().int().min(1).max(3).optional(),
  ...base,
});

/** What is to go into a bag, and when: the grower's intention, until a planting in the diary takes its place. */
export const planSchema = z.object({
  id: idSchema('plan'),
  containerId: idSchema('container'),
  cropId: z.string().min(1).max(40),
  habitId: z.string().min(1).max(40),
  varietyName: name.optional(),
  /** a name of the plant's own, and the seedling as it was measured, where the grower said them already */
  plantName: name.optional(),
  seedling: seedlingSchema.optional(),
  practiceId: z.string().min(1).max(40).optional(),
  plantOn: daySchema,
  /** the grower has not said a day: `plantOn` is when its window opens */
  isDayOpen: z.boolean().optional(),
  ...base,
});

/** A grower's own measure, measured once. */
export const measureSchema = z.object({
  id: idSchema('measure'),
  kind: z.enum(Object.keys(MEASURE_UNIT) as [MeasureKind, ...MeasureKind[]]),
  name,
  /** litres in one of it: a can's fill, a hose's second, a handful */
  litres: z.number().min(0.001).max(100),
  ...base,
});

export const monthNormalSchema = z
  .object({
    minCelsius: z.number().min(-40).max(40),
    maxCelsius: z.number().min(-30).max(50),
    rainMillimetres: z.number().min(0).max(1500),
  })
  .refine((month) => month.minCelsius <= month.maxCelsius, {
    path: ['maxCelsius'],
    message: 'The day cannot be colder than the night.',
  });

/** A regime of the grower's own: from nothing, or a practice's with changes. */
export const regimeSchema = z.object({ id: idSchema('regime'), ...regimeFields, ...base });

/** One for the whole garden. */
export const settingsSchema = z.object({
  gardenName: name,
  latitudeDegrees: z.number().min(-66).max(66),
  /** January first; left out, normals are worked out from the latitude */
  normals: z.array(monthNormalSchema).length(12).optional(),
  units: z.enum(['metric', 'us', 'uk']),
  /** hours of the day at which the grower walks round */
  roundHours: z.array(z.number().min(0).max(23.75)).min(1).max(4),
  /** the measure in which waterings are proposed */
  wateringMeasureId: idSchema('measure').optional(),
  depthPracticeId: z.string().min(1).max(40),
  /** sign of the grower's money; a pound sign when left out */
  currency: z.string().trim().min(1).max(4).optional(),
  /** what an hour of the grower's work is worth to them; left out: work is not counted */
  hourValue: z.number().min(0).max(1000).optional(),
  kilowattHourPrice: z.number().min(0).max(10).optional(),
  /** bigger bags or smaller ones: the grower's practice of sizes */
  sizingPracticeId: z.string().min(1).max(40).optional(),
  /** usual last and first frost, `MM-DD`; left out: reckoned from the normals or the years that were read */
  frost: z.object({ last: monthDaySchema, first: monthDaySchema }).optional(),
  /** how long after the last frost plants go out: the grower's practice of timing */
  timingPracticeId: z.string().min(1).max(40).optional(),
  /** supports at planting or later */
  supportPracticeId: z.string().min(1).max(40).optional(),
  /** the order of work at planting */
  orderPracticeId: z.string().min(1).max(40).optional(),
  /** when leaves come off */
  stripPracticeId: z.string().min(1).max(40).optional(),
  /** how a string holds the foot of a stem */
  stringTail: z.enum(['under-ball', 'loop']).optional(),
  /** checks are planned so that a round may be missed */
  plansForMissedRound: z.boolean().optional(),
  /** bags are kept on the dry side before nights colder than this, °C; left out: never */
  drierBelowCelsius: z.number().min(0).max(15).optional(),
  assumptions: z.record(z.string(), z.number()),
  changedAt: momentSchema,
});

export type Plan = z.infer<typeof planSchema>;
export type Place = z.infer<typeof placeSchema>;
export type Container = z.infer<typeof containerSchema>;
export type Gauge = z.infer<typeof gauge>;
export type AddedStore = z.infer<typeof addedStore>;
export type Variety = z.infer<typeof varietySchema>;
export type Batch = z.infer<typeof batchSchema>;
export type Plant = z.infer<typeof plantSchema>;
export type Measure = z.infer<typeof measureSchema>;
export type Template = z.infer<typeof templateSchema>;
export type OwnMix = z.infer<typeof mixSchema>;
export type OwnProduct = z.infer<typeof productSchema>;
export type OwnRegime = z.infer<typeof regimeSchema>;
export type Pack = z.infer<typeof packSchema>;
export type Settings = z.infer<typeof settingsSchema>;

/** Every kind of record, by the name of its table; a new kind of record is one line here. */
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
} as const;

export type TableName = keyof typeof RECORD_SCHEMAS;
export type RecordOf<T extends TableName> = z.infer<(typeof RECORD_SCHEMAS)[T]>;
export type Records = { readonly [T in TableName]: readonly RecordOf<T>[] };
