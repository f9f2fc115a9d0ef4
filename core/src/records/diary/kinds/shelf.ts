import * as z from '../../../schema/index.ts';
import { idSchema } from '../../ids.ts';
import { PICK_STAGES } from '../../kinds.ts';
import type { Effect } from '../effect.ts';
import { asEntered, entryBase } from './base.ts';

const fruits = z.optional(z.int().check(z.gte(0), z.lte(5000)));

/** How a lot lies from now on; the first of a lot may bring in fruit that no picking tells of. */
export const shelvedEntry = z.object({
  kind: z.literal('shelved'),
  ...entryBase,
  lotId: idSchema('lot'),
  name: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(40))),
  /** how warm it is where it lies */
  celsius: z.optional(z.number().check(z.gte(-5), z.lte(40))),
  /** beside a ripe apple or banana, which speeds it */
  isWithFruit: z.optional(z.boolean()),
  /** it is of a kind that keeps, and is drawn from little by little: so many fruits a week */
  fruitsAWeek: z.optional(z.number().check(z.aboveZero(), z.lte(200))),
  /** what the grower expects it to keep, months */
  keepsMonths: z.optional(z.number().check(z.aboveZero(), z.lte(12))),
  /** what came in that is in no picking */
  cropId: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  varietyId: z.optional(idSchema('variety')),
  count: z.optional(z.int().check(z.gte(1), z.lte(5000))),
  kilograms: z.optional(z.number().check(z.aboveZero(), z.lte(500))),
  stage: z.optional(z.enum(PICK_STAGES)),
  asEntered,
});

/** A lot was looked through: what was ripe and was taken, given or sold, and what was thrown out, in fruits. */
export const shelfCheckEntry = z.object({
  kind: z.literal('shelf-check'),
  ...entryBase,
  lotId: idSchema('lot'),
  eaten: fruits,
  given: fruits,
  sold: fruits,
  lost: fruits,
  lostTo: z.optional(z.string().check(z.minLength(1), z.maxLength(40))),
  /** counted: so many are left, whatever was worked out */
  left: fruits,
  /** of those, how many have coloured */
  ripe: fruits,
});

/** What these bear on. */
export const SHELF_EFFECTS = {
  shelved: [],
  'shelf-check': [],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
