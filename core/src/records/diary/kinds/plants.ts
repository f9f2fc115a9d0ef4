import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { idSchema } from '../../ids.ts';
import {
  LEAVING_REASONS,
  PLANTING_METHOD_IDS,
  STAGES,
  SUPPORT_KINDS,
  TENDED_TASKS,
  PICK_SIZES,
  PICK_STAGES,
  PICK_USES,
} from '../../kinds.ts';
import { seedlingSchema } from '../../seedling.ts';
import { asEntered, entryBase, inContainer, maybeAtPlant } from './base.ts';

const atStation = { stationId: idSchema('station'), plantId: idSchema('plant') };

/** A plant went into a station. The seedling as measured, and how deep it went if the grower said. */
export const plantedEntry = z.object({
  kind: z.literal('planted'),
  ...entryBase,
  ...inContainer,
  ...atStation,
  seedling: seedlingSchema,
  /** nobody measured it: the seedling is a usual one of its crop */
  isGuessed: z.optional(z.boolean()),
  /** it came from another bag, where it was planted first */
  isMoved: z.optional(z.boolean()),
  /** seeds in the station, where it was sown in place */
  seeds: z.optional(z.int().check(z.gte(1), z.lte(50))),
  practiceId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  buriedMillimetres: z.optional(z.number().check(z.gte(0), z.lte(1500))),
  /** upright when left out */
  plantingMethodId: z.optional(z.enum(PLANTING_METHOD_IDS)),
  /** settled level of the mix at planting when more of it follows later, mm */
  levelMillimetres: z.optional(z.number().check(z.gte(20), z.lte(1200))),
});

/** How tall a plant stood above the mix. */
export const heightEntry = z.object({
  kind: z.literal('height'),
  ...entryBase,
  ...inContainer,
  ...atStation,
  heightMillimetres: z.number().check(z.gte(10), z.lte(5000)),
  asEntered,
});

/** How warm the mix was, a finger deep. */
export const warmthEntry = z.object({
  kind: z.literal('warmth'),
  ...entryBase,
  ...inContainer,
  mixCelsius: z.number().check(z.gte(-10), z.lte(60)),
});

/** Mix added to a bag that was planted low. */
export const toppedUpEntry = z.object({
  kind: z.literal('topped-up'),
  ...entryBase,
  ...inContainer,
  litres: z.number().check(z.aboveZero(), z.lte(500)),
  /** settled level afterwards, mm */
  levelMillimetres: z.number().check(z.gte(20), z.lte(1200)),
});

/** What holds a bag's plants went up; what it is stands in the bag's record. */
export const supportedEntry = z.object({
  kind: z.literal('supported'),
  ...entryBase,
  ...inContainer,
  supportId: z.enum(SUPPORT_KINDS),
  heightMillimetres: z.number().check(z.gte(0), z.lte(5000)),
});

/** A job that was done at a bag. */
export const tendedEntry = z.object({
  kind: z.literal('tended'),
  ...entryBase,
  ...inContainer,
  ...maybeAtPlant,
  task: z.enum(TENDED_TASKS),
  /** it was looked for, and there was none to do */
  isNothingThere: z.optional(z.boolean()),
});

/** A plant came out of its station; the station is free from then on. */
export const clearedEntry = z.object({
  kind: z.literal('cleared'),
  ...entryBase,
  ...inContainer,
  ...atStation,
  /** left out: its time was over */
  why: z.optional(z.enum(LEAVING_REASONS)),
});

/** A stage that was seen, or looked for and not there yet. */
export const stageEntry = z.object({
  kind: z.literal('stage'),
  ...entryBase,
  ...inContainer,
  ...maybeAtPlant,
  stage: z.enum(STAGES),
  isNotYet: z.optional(z.boolean()),
});

/** Fruit taken off: by weight, by count, or both; or nobody weighed or counted it. */
export const pickingEntry = z
  .object({
    kind: z.literal('picking'),
    ...entryBase,
    ...inContainer,
    ...maybeAtPlant,
    kilograms: z.optional(z.number().check(z.aboveZero(), z.lte(100))),
    count: z.optional(z.int().check(z.gte(1), z.lte(5000))),
    /** neither weighed nor counted: that it was picked is all that is known */
    isUnmeasured: z.optional(z.boolean()),
    asEntered,
    stage: z.optional(z.enum(PICK_STAGES)),
    size: z.optional(z.enum(PICK_SIZES)),
    use: z.optional(z.enum(PICK_USES)),
    /** to what it was lost, where it was */
    lostTo: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
    /** what was got for it, where it was sold */
    soldFor: z.optional(z.number().check(z.gte(0), z.lte(100_000))),
    /** the lot on the shelf that it went into, where it was stored */
    lotId: z.optional(idSchema('lot')),
  })
  .check(
    z.refine((p) => (p.kilograms !== undefined || p.count !== undefined) !== (p.isUnmeasured === true), {
      path: ['kilograms'],
      message: 'A picking has a weight or a count, or nobody took either.',
    }),
  );

/** What these bear on. */
export const PLANT_EFFECTS = {
  planted: ['water', 'feeding', 'growth', 'jobs', 'plan'],
  height: ['water', 'growth', 'jobs'],
  warmth: [],
  'topped-up': ['water', 'growth', 'jobs'],
  supported: ['jobs'],
  tended: ['jobs'],
  cleared: ['water', 'feeding', 'growth', 'jobs', 'plan'],
  stage: ['water', 'feeding', 'growth', 'jobs', 'plan'],
  picking: ['feeding'],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
