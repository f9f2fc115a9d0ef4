import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { idSchema } from '../../ids.ts';
import { OUTCOMES, SPRAY_AGENTS, TRUSS_STAGES } from '../../kinds.ts';
import { daySchema } from '../../time.ts';
import { asEntered, entryBase, inContainer, maybeAtPlant } from './base.ts';

/** A cause of trouble or a sign of it, by its id; one that this version does not know is shown as unknown. */
const known = z.string().check(z.minLength(1), z.maxLength(40));

/** What was seen, and what was looked for and is not there. */
const signs = {
  seen: z.optional(z.array(known).check(z.maxLength(40))),
  unseen: z.optional(z.array(known).check(z.maxLength(40))),
};

/** A case that several entries are about: it keeps its id when one of them is corrected. */
const inCase = { caseId: z.optional(idSchema('case')) };

/** Trouble that was seen in a bag; whether it may live on in the mix. */
export const troubleEntry = z.object({
  kind: z.literal('trouble'),
  ...entryBase,
  ...inContainer,
  ...maybeAtPlant,
  ...inCase,
  /** what the grower takes it for */
  what: known,
  livesInMix: z.boolean(),
  ...signs,
  /** what the grower remembers of the weeks before, where the diary says nothing or something else: cold nights, a dry spell … */
  recalled: z.optional(z.record(z.string().check(z.maxLength(40)), z.boolean())),
  /** it is looked at again on this day */
  checkOn: z.optional(daySchema),
});

/** Something was looked at again: trouble, or a leaf on which a spray was tried. */
export const followedUpEntry = z.object({
  kind: z.literal('followed-up'),
  ...entryBase,
  ...inContainer,
  ...maybeAtPlant,
  caseId: idSchema('case'),
  outcome: z.enum(OUTCOMES),
  /** what it turned out to be */
  what: z.optional(known),
  ...signs,
  checkOn: z.optional(daySchema),
});

/** A spray or a bait, on one leaf to try it or on all of a plant. */
export const sprayedEntry = z.object({
  kind: z.literal('sprayed'),
  ...entryBase,
  ...inContainer,
  ...maybeAtPlant,
  ...inCase,
  agent: z.enum(SPRAY_AGENTS),
  /** what its bottle says */
  name: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(80))),
  extent: z.enum(['test-leaf', 'whole']),
  /** of a liquid, or of a powder */
  millilitresPerLitre: z.optional(z.number().check(z.aboveZero(), z.lte(1000))),
  gramsPerLitre: z.optional(z.number().check(z.aboveZero(), z.lte(1000))),
  litres: z.optional(z.number().check(z.aboveZero(), z.lte(200))),
  asEntered,
  /** by its label: days until fruit may be picked, and until it may be sprayed again */
  harvestDays: z.optional(z.int().check(z.gte(0), z.lte(120))),
  repeatDays: z.optional(z.int().check(z.gte(1), z.lte(120))),
  against: z.optional(known),
});

/** A bag was cleaned between plants, or tools between bags. */
export const cleanedEntry = z
  .object({
    kind: z.literal('cleaned'),
    ...entryBase,
    containerId: z.optional(idSchema('container')),
    what: z.enum(['bag', 'tools']),
    isWashed: z.optional(z.boolean()),
    isDried: z.optional(z.boolean()),
    isDisinfected: z.optional(z.boolean()),
    heated: z.optional(
      z.object({
        celsius: z.number().check(z.gte(30), z.lte(120)),
        minutes: z.number().check(z.aboveZero(), z.lte(20_000)),
      }),
    ),
  })
  .check(
    z.refine((c) => c.what === 'tools' || c.containerId !== undefined, {
      path: ['containerId'],
      message: 'Which bag was cleaned?',
    }),
  );

/** A truss of a plant, counted from the lowest. */
export const trussEntry = z.object({
  kind: z.literal('truss'),
  ...entryBase,
  ...inContainer,
  stationId: idSchema('station'),
  plantId: idSchema('plant'),
  number: z.int().check(z.gte(1), z.lte(60)),
  stage: z.enum(TRUSS_STAGES),
  /** fruits on it */
  count: z.optional(z.int().check(z.gte(0), z.lte(500))),
});

/** Trouble that somebody has seen nearby, and not in one of the bags. */
export const warnedEntry = z.object({
  kind: z.literal('warned'),
  ...entryBase,
  what: known,
});

/** What these bear on. */
export const CARE_EFFECTS = {
  trouble: ['jobs'],
  'followed-up': ['jobs'],
  sprayed: ['jobs'],
  cleaned: ['jobs'],
  truss: ['water', 'feeding', 'growth', 'jobs', 'plan'],
  warned: [],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
