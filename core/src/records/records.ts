import * as z from '../schema/index.ts';
import { sizeSchema } from './size.ts';
import { productSchemaOf } from './product.ts';
import { BEARINGS, PRESENT_COMPANIONS, SIZE_EXCEPTIONS, SUPPORT_KINDS, SUPPORT_THINGS } from './kinds.ts';
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
const base = { createdAt: momentSchema, changedAt: momentSchema, binnedAt: z.optional(momentSchema) };
const name = z.string().check(z.trim(), z.minLength(1), z.maxLength(60));

/** A place where bags stand. */
export const placeSchema = z.object({
  id: idSchema('place'),
  name,
  /** glass keeps rain out and dims the sun; heated glass keeps frost out too */
  cover: z.enum(['open', 'glass', 'heated']),
  /** a wire overhead for strings, above the ground, mm */
  wireMillimetres: z.optional(z.number().check(z.gte(300), z.lte(5000))),
  /** shade cloth or whitewash: share of the sun that it takes */
  shade: z.optional(z.number().check(z.gte(0), z.lte(0.9))),
  /** place in the walk, from 0 */
  order: z.int().check(z.gte(0)),
  /** floor that the bags stand on, and what the grower was told it bears */
  areaSquareMetres: z.optional(z.number().check(z.gt(0), z.lte(5000))),
  limitKilogramsPerSquareMetre: z.optional(z.number().check(z.gt(0), z.lte(5000))),
  ...base,
});

/** A place in a container where one plant stands; an id of its own, since plants come and go. */
export const stationSchema = z.object({ id: idSchema('station') });

/** Water that the grower has put beside a bag: what it holds, L. What belongs to its kind (a reservoir) is not listed. */
const addedStore = z.object({
  kind: z.enum(['saucer', 'clay-pots', 'wick', 'drum']),
  litres: z.number().check(z.gte(0.1), z.lte(200)),
});

/**
 * A scale or a probe at a bag, and what it showed when the bag was full (drained after a watering that ran through) and when
 * it had next to nothing left. Without those a scale goes by the bag's calculated weight and a probe by 0 to 100.
 */
const gauge = z
  .object({
    kind: z.enum(['scale', 'probe']),
    /** the device that it is paired with; left out: read by eye and typed */
    deviceId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
    fullReading: z.optional(z.number().check(z.gte(-1000), z.lte(1000))),
    dryReading: z.optional(z.number().check(z.gte(-1000), z.lte(1000))),
  })
  .check(
    z.refine((g) => g.fullReading === undefined || g.fullReading !== g.dryReading, {
      path: ['dryReading'],
      message: 'Full and dry read the same: one of the two is wrong.',
    }),
  );

const support = z.object({
  kind: z.enum(SUPPORT_KINDS),
  /** above the ground the bag stands on, mm; 0 when there is none */
  heightMillimetres: z.number().check(z.gte(0), z.lte(5000)),
});

/** How far a container is filled: to below its rim, to a settled level, or with so much loose mix. */
const fillLevel = z.discriminatedUnion('by', [
  /** free below the rim, mulch not counted, mm */
  z.object({ by: z.literal('rim'), headroomMillimetres: z.number().check(z.gte(0), z.lte(1000)) }),
  /** settled level above the base, mm: a bag rolled down, or filled a third */
  z.object({ by: z.literal('level'), mixMillimetres: z.number().check(z.gte(20), z.lte(1500)) }),
  /** loose mix that really went in, L */
  z.object({ by: z.literal('loose'), looseLitres: z.number().check(z.gte(0.2), z.lte(5000)) }),
]);

/** What a container is made and filled like; a template is this and no more. */
const containerMake = {
  kindId: z.string().check(z.minLength(1), z.maxLength(40)),
  size: sizeSchema,
  mixId: z.string().check(z.minLength(1), z.maxLength(40)),
  /** from the base upwards, when it is filled with more than one mix; `mixId` is then the uppermost */
  layers: z.optional(layersSchema),
  mulchMillimetres: z.number().check(z.gte(0), z.lte(150)),
  /** how far it is filled; left out: to the usual space below its rim */
  fill: z.optional(fillLevel),
  /** share of its volume that its mix loses as it settles, where the grower knows better than the mix's usual */
  settling: z.optional(z.number().check(z.gte(0), z.lte(0.5))),
  /** how far the sides of a soft bag bulge from the box that was measured (0) towards a circle (1) */
  rounding: z.optional(z.number().check(z.gte(0), z.lte(1))),
  /** holes not made yet: what runs through stays in it */
  hasNoHoles: z.optional(z.boolean()),
  /** drain holes this far above the base; left out or 0: in the base */
  holeMillimetres: z.optional(z.number().check(z.gte(0), z.lte(400))),
  support,
  /** what else holds it up beside that: short canes against wind, a second stake */
  furtherSupports: z.optional(z.array(support).check(z.maxLength(4))),
  stores: z.optional(z.array(addedStore).check(z.maxLength(4))),
  /** plants beside the crop, by how much they shade; until a day when they are only passing */
  companions: z.optional(
    z.object({
      size: z.enum(PRESENT_COMPANIONS),
      name: z.optional(name),
      from: z.optional(daySchema),
      until: z.optional(daySchema),
    }),
  ),
};

/** A bag, pot, trough or bed. What is planted in it follows from the diary. */
export const containerSchema = z.object({
  id: idSchema('container'),
  /** what the grower calls it on the walk: "7", "7b" */
  label: z.string().check(z.trim(), z.minLength(1), z.maxLength(12)),
  ...containerMake,
  placeId: idSchema('place'),
  stations: z.array(stationSchema).check(z.minLength(1), z.maxLength(12)),
  /** why a smaller one will do for what stands in it */
  sizeException: z.optional(z.enum(SIZE_EXCEPTIONS)),
  /** place in the place's walk, from 0 */
  order: z.int().check(z.gte(0)),
  /** what the empty container cost, in the grower's money, and how many seasons they give it */
  price: z.optional(z.number().check(z.gte(0), z.lte(100_000))),
  seasons: z.optional(z.number().check(z.gte(1), z.lte(30))),
  gauges: z.optional(z.array(gauge).check(z.maxLength(2))),
  /** the grower's own numbers in place of the assumed ones, for this bag */
  assumptions: z.optional(z.record(z.string(), z.number())),
  ...base,
});

/** A way of making up a bag that the grower wants again. */
export const templateSchema = z.object({
  id: idSchema('template'),
  name,
  ...containerMake,
  stations: z.int().check(z.gte(1), z.lte(12)),
  cropId: z.optional(z.string().check(z.maxLength(40))),
  habitId: z.optional(z.string().check(z.maxLength(40))),
  ...base,
});

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
  amount: z.number().check(z.gt(0), z.lte(100_000)),
  price: z.optional(z.number().check(z.gte(0), z.lte(100_000))),
  ...base,
});

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
  /** above the mix when it is done, mm */
  heightMillimetres: z.optional(z.number().check(z.gte(50), z.lte(5000))),
  fruitGrams: z.optional(z.number().check(z.gt(0), z.lte(5000))),
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

/** A grower's own measure, measured once. */
export const measureSchema = z.object({
  id: idSchema('measure'),
  kind: z.enum(Object.keys(MEASURE_UNIT) as [MeasureKind, ...MeasureKind[]]),
  name,
  /** litres in one of it: a can's fill, a hose's second, a handful */
  litres: z.number().check(z.gte(0.001), z.lte(100)),
  ...base,
});

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

/** A regime of the grower's own: from nothing, or a practice's with changes. */
export const regimeSchema = z.object({ id: idSchema('regime'), ...regimeFields, ...base });

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
  /** how far apart winter and summer are, where there are no normals; left out: as by the sea */
  seasonsId: z.optional(z.enum(['sea', 'between', 'inland'])),
  units: z.enum(['metric', 'us', 'uk']),
  /** hours of the day at which the grower walks round */
  roundHours: z.array(z.number().check(z.gte(0), z.lte(23.75))).check(z.minLength(1), z.maxLength(4)),
  /** the measure in which waterings are proposed */
  wateringMeasureId: z.optional(idSchema('measure')),
  depthPracticeId: z.string().check(z.minLength(1), z.maxLength(40)),
  /** sign of the grower's money; a pound sign when left out */
  currency: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(4))),
  /** what an hour of the grower's work is worth to them; left out: work is not counted */
  hourValue: z.optional(z.number().check(z.gte(0), z.lte(1000))),
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
  /** how a string holds the foot of a stem */
  stringTail: z.optional(z.enum(['under-ball', 'loop'])),
  /** checks are planned so that a round may be missed */
  plansForMissedRound: z.optional(z.boolean()),
  /** bags are kept on the dry side before nights colder than this, °C; left out: never */
  drierBelowCelsius: z.optional(z.number().check(z.gte(0), z.lte(15))),
  assumptions: z.record(z.string(), z.number()),
  changedAt: momentSchema,
});

export type Plan = z.infer<typeof planSchema>;
export type Place = z.infer<typeof placeSchema>;
export type Container = z.infer<typeof containerSchema>;
export type Gauge = z.infer<typeof gauge>;
export type OwnedSupport = z.infer<typeof ownedSupport>;
export type FillLevel = z.infer<typeof fillLevel>;
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
