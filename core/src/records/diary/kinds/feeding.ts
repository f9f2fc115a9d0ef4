import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { idSchema } from '../../ids.ts';
import { FEED_SKIP_REASONS, FEED_UNITS } from '../../kinds.ts';
import { asEntered, entryBase, inContainer } from './base.ts';

const product = { productId: z.string().check(z.minLength(1), z.maxLength(40)) };
/** The regime's step that it belongs to; left out: given of one's own accord. */
const ofStep = {
  regimeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  stepId: z.optional(z.string().check(z.minLength(1), z.maxLength(20))),
};

/** Feed given to a bag: so much of a product, and the water it was in (that is a watering with an entry of its own). */
export const fedEntry = z.object({
  kind: z.literal('fed'),
  ...entryBase,
  ...inContainer,
  ...product,
  amount: z.number().check(z.aboveZero(), z.lte(100_000)),
  unit: z.enum(FEED_UNITS),
  /** water that it was given in, L; left out: dry */
  litres: z.optional(z.number().check(z.aboveZero(), z.lte(500))),
  /** over the mix when left out; on the leaves, or into the reservoir or drum */
  into: z.optional(z.enum(['leaves', 'store'])),
  ...ofStep,
  asEntered,
});

/** A feed that was due was left. */
export const feedSkippedEntry = z.object({
  kind: z.literal('feed-skipped'),
  ...entryBase,
  ...inContainer,
  ...product,
  ...ofStep,
  reason: z.enum(FEED_SKIP_REASONS),
});

/** From this moment on a bag is fed by a regime, or by none. */
export const regimeEntry = z.object({
  kind: z.literal('regime'),
  ...entryBase,
  ...inContainer,
  regimeId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
});

/** The nutrient of a reservoir or drum: measured, changed for new or topped up. */
export const solutionEntry = z
  .object({
    kind: z.literal('solution'),
    ...entryBase,
    ...inContainer,
    what: z.enum(['reading', 'changed', 'topped-up']),
    /** that went in, L */
    litres: z.optional(z.number().check(z.aboveZero(), z.lte(2000))),
    ecMillisiemens: z.optional(z.number().check(z.gte(0), z.lte(20))),
    ph: z.optional(z.number().check(z.gte(0), z.lte(14))),
  })
  .check(
    z.refine((s) => s.what !== 'reading' || s.ecMillisiemens !== undefined || s.ph !== undefined, {
      path: ['ecMillisiemens'],
      message: 'A reading needs an EC or a pH.',
    }),
  );

/** A tub of weeds or casts set to steep, and what was done to it. */
export const teaEntry = z.object({
  kind: z.literal('tea'),
  ...entryBase,
  ...product,
  litres: z.number().check(z.aboveZero(), z.lte(1000)),
  /** parts of water to one part of it, by its recipe; left out: as its product is dosed */
  waterParts: z.optional(z.number().check(z.aboveZero(), z.lte(200))),
  /** of the diluted, for each bag, L */
  litresPerBag: z.optional(z.number().check(z.aboveZero(), z.lte(50))),
});

export const teaTendedEntry = z.object({
  kind: z.literal('tea-tended'),
  ...entryBase,
  teaId: idSchema('entry'),
  what: z.enum(['stirred', 'strained', 'emptied']),
  /** liquid after straining, L */
  litres: z.optional(z.number().check(z.aboveZero(), z.lte(1000))),
});

/** What these bear on. */
export const FEEDING_EFFECTS = {
  fed: ['feeding', 'money'],
  'feed-skipped': ['feeding'],
  regime: ['feeding'],
  solution: ['water'],
  tea: [],
  'tea-tended': [],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
