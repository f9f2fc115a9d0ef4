import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { idSchema } from '../../ids.ts';
import { SKIP_REASONS } from '../../kinds.ts';
import { asEntered, entryBase, inContainer } from './base.ts';

/** The device that gave a reading; left out: it was read by eye and typed. */
const byDevice = { deviceId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))) };

/** A moisture check, in the way it was done. A reading is kept as it came, whether it makes sense or not. */
export const checkEntry = z.object({
  kind: z.literal('check'),
  ...entryBase,
  ...inContainer,
  /** felt at this one of several plants; left out: it stands for the whole bag */
  stationId: z.optional(idSchema('station')),
  check: z.discriminatedUnion('method', [
    z.object({ method: z.literal('finger'), grade: z.int().check(z.gte(1), z.lte(5)) }),
    z.object({ method: z.literal('lift'), grade: z.int().check(z.gte(1), z.lte(3)) }),
    /** how full the reservoir, drum or channel is */
    z.object({ method: z.literal('level'), share: z.number().check(z.gte(0), z.lte(1)) }),
    z.object({ method: z.literal('wilted') }),
    z.object({
      method: z.literal('scale'),
      kilograms: z.number().check(z.gte(-1000), z.lte(2000)),
      ...byDevice,
    }),
    z.object({
      method: z.literal('probe'),
      reading: z.number().check(z.gte(-1000), z.lte(10_000)),
      ...byDevice,
    }),
  ]),
});

/** A watering. */
export const wateringEntry = z.object({
  kind: z.literal('watering'),
  ...entryBase,
  ...inContainer,
  litres: z.number().check(z.aboveZero(), z.lte(200)),
  /** poured from a measure of known litres, or judged by eye */
  isMeasured: z.boolean(),
  /** whether water came out at the bottom, or the store ran over */
  ranThrough: z.boolean(),
  /** how much of it came through at the bottom, where that was said */
  through: z.optional(z.enum(['little', 'most'])),
  /** poured in goes, with pauses, and not all at once */
  isInGoes: z.optional(z.boolean()),
  /** ran off over the edge and never got into the mix, L; not part of `litres` */
  spiltLitres: z.optional(z.number().check(z.aboveZero(), z.lte(200))),
  /** over the mix when left out; `store`: into the reservoir, drum, saucer or buried pots */
  into: z.optional(z.enum(['top', 'store'])),
  measureId: z.optional(idSchema('measure')),
  asEntered,
});

/** One line of drip at a bag. */
const dripLine = {
  emitters: z.int().check(z.gte(1), z.lte(50)),
  /** metres of a line that drips all along, in place of emitters */
  metres: z.optional(z.number().check(z.aboveZero(), z.lte(200))),
  /** of each emitter, or of each metre */
  litresPerHourEach: z.number().check(z.aboveZero(), z.lte(60)),
  minutes: z.number().check(z.aboveZero(), z.lte(600)),
  timesADay: z.int().check(z.gte(1), z.lte(12)),
  /** 1 Monday to 7 Sunday */
  weekdays: z.array(z.int().check(z.gte(1), z.lte(7))).check(z.minLength(1), z.maxLength(7)),
  /** a rain sensor, or the grower, turns it off on wet days */
  isOffInRain: z.optional(z.boolean()),
};

/** The drip at a bag was set, or turned off (no setting), from this moment on. */
export const dripEntry = z.object({
  kind: z.literal('drip'),
  ...entryBase,
  ...inContainer,
  setting: z.optional(
    z.object({
      ...dripLine,
      /** lines beside the first, each with a timer of its own */
      further: z.optional(z.array(z.object(dripLine)).check(z.maxLength(5))),
    }),
  ),
});

/** A bag that was due was left at this round. */
export const skippedEntry = z.object({
  kind: z.literal('skipped'),
  ...entryBase,
  ...inContainer,
  reason: z.enum(SKIP_REASONS),
});

/** What these bear on. */
export const WATER_EFFECTS = {
  check: ['water'],
  watering: ['water', 'feeding'],
  drip: ['water'],
  skipped: [],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
