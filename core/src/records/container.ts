import * as z from '../schema/index.ts';
import { base, name } from './base.ts';
import { idSchema } from './ids.ts';
import { ALERT_KINDS, PRESENT_COMPANIONS, SIZE_EXCEPTIONS, SUPPORT_KINDS } from './kinds.ts';
import { layersSchema } from './mix.ts';
import { sizeSchema } from './size.ts';
import { daySchema } from './time.ts';

/** Shade cloth, whitewash or fleece: the share of the sun that it takes, from a day to a day; left out: before and after as well. */
const shading = {
  shade: z.optional(z.number().check(z.gte(0), z.lte(0.9))),
  shadeFrom: z.optional(daySchema),
  shadeUntil: z.optional(daySchema),
};

/** A place where bags stand. */
export const placeSchema = z.object({
  id: idSchema('place'),
  name,
  /** glass keeps rain out and dims the sun; heated glass keeps frost out too */
  cover: z.enum(['open', 'glass', 'heated']),
  /** a wire overhead for strings, above the ground, mm */
  wireMillimetres: z.optional(z.number().check(z.gte(300), z.lte(5000))),
  ...shading,
  /** place in the walk, from 0 */
  order: z.int().check(z.gte(0)),
  /** floor that the bags stand on, and what the grower was told it bears */
  areaSquareMetres: z.optional(z.number().check(z.aboveZero(), z.lte(5000))),
  limitKilogramsPerSquareMetre: z.optional(z.number().check(z.aboveZero(), z.lte(5000))),
  /** warnings of weather here, as far as they are not as usual */
  alerts: z.optional(
    z.partialRecord(
      z.enum(ALERT_KINDS),
      z.object({
        isOff: z.optional(z.boolean()),
        /** °C; for wind m/s */
        threshold: z.optional(z.number().check(z.gte(-20), z.lte(60))),
        /** not before this day */
        snoozedUntil: z.optional(daySchema),
      }),
    ),
  ),
  ...base,
});

/** A drum, tank or channel from which several bags drink. */
export const tankSchema = z.object({
  id: idSchema('tank'),
  name,
  /** when full, L */
  litres: z.number().check(z.gte(1), z.lte(20_000)),
  /** it is topped up when it is down to this, L; left out: to a quarter */
  refillLitres: z.optional(z.number().check(z.gte(0), z.lte(20_000))),
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
  /** pots sunk into the mix to water into: how many, and what each holds, L */
  wells: z.optional(
    z.object({
      count: z.int().check(z.gte(1), z.lte(12)),
      litres: z.number().check(z.gte(0.05), z.lte(20)),
    }),
  ),
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
  /** over this bag alone, on top of what is over its place */
  ...shading,
  /** the tank that it drinks from together with others */
  tankId: z.optional(idSchema('tank')),
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

export type Tank = z.infer<typeof tankSchema>;
export type Place = z.infer<typeof placeSchema>;
export type Container = z.infer<typeof containerSchema>;
export type Template = z.infer<typeof templateSchema>;
export type Gauge = z.infer<typeof gauge>;
export type FillLevel = z.infer<typeof fillLevel>;
export type AddedStore = z.infer<typeof addedStore>;
