import * as z from '../../../schema/index.ts';
import type { Effect } from '../effect.ts';
import { idSchema } from '../../ids.ts';
import { layersSchema } from '../../mix.ts';
import { asEntered, entryBase, inContainer } from './base.ts';

const product = { productId: z.string().check(z.minLength(1), z.maxLength(40)) };
const amount = z.number().check(z.aboveZero(), z.lte(100_000));
const money = z.number().check(z.gte(0), z.lte(1_000_000));

/** How a container was filled: with which mixes and what was worked in. */
export const filledEntry = z.object({
  kind: z.literal('filled'),
  ...entryBase,
  ...inContainer,
  /** new loose mix that went in, from the base upwards */
  layers: z
    .array(
      z.object({
        mixId: z.string().check(z.minLength(1), z.maxLength(40)),
        litres: z.number().check(z.aboveZero(), z.lte(5000)),
      }),
    )
    .check(z.maxLength(4)),
  /** old mix that stayed, L */
  keptLitres: z.number().check(z.gte(0), z.lte(5000)),
  /** what was in it before, where this filling brought another mix */
  mixBefore: z.optional(
    z.object({ mixId: z.string().check(z.minLength(1), z.maxLength(40)), layers: z.optional(layersSchema) }),
  ),
  practiceId: z.optional(z.enum(['moisten-first', 'flood'])),
  amendments: z
    .array(
      z.object({
        ...product,
        grams: z.number().check(z.aboveZero(), z.lte(100_000)),
        where: z.enum(['mixed', 'low', 'hole', 'top']),
        asEntered,
      }),
    )
    .check(z.maxLength(12)),
});

/** Something bought for the shed. */
export const boughtEntry = z.object({
  kind: z.literal('bought'),
  ...entryBase,
  ...product,
  /** in the product's own unit: litres, kilograms, pieces or metres */
  amount,
  /** what was paid for all of it */
  paid: z.optional(money),
});

/** Something taken from the shed, for a bag or for nothing in particular. */
export const usedEntry = z.object({
  kind: z.literal('used'),
  ...entryBase,
  ...product,
  amount,
  containerId: z.optional(idSchema('container')),
});

/** The shed looked through: so much of it is there, whatever was worked out. */
export const countedEntry = z.object({
  kind: z.literal('counted'),
  ...entryBase,
  ...product,
  amount: z.number().check(z.gte(0), z.lte(100_000)),
});

/** A price seen, bought or not. */
export const pricedEntry = z.object({
  kind: z.literal('priced'),
  ...entryBase,
  ...product,
  amount,
  price: money,
});

/** Money spent on bags: seed, plants, current for lights, anything else. Shared evenly over the bags named. */
export const spentEntry = z.object({
  kind: z.literal('spent'),
  ...entryBase,
  on: z.enum(['seed', 'plants', 'current', 'water', 'other']),
  price: money,
  /** the bags that it was for; none: the whole garden */
  containerIds: z.array(idSchema('container')).check(z.maxLength(400)),
  asEntered,
  /** seasons that it lasts: a drip line, a greenhouse film; left out: this one */
  seasons: z.optional(z.number().check(z.gte(1), z.lte(30))),
});

/** Minutes of work at bags, for who wants to count them. */
export const workedEntry = z.object({
  kind: z.literal('worked'),
  ...entryBase,
  minutes: z.number().check(z.aboveZero(), z.lte(1440)),
  /** timed on a round, or spent at the bench; left out: not said */
  during: z.optional(z.enum(['round', 'bench'])),
  containerIds: z.array(idSchema('container')).check(z.maxLength(400)),
});

/** What these bear on. */
export const STOCK_EFFECTS = {
  filled: ['feeding', 'money'],
  bought: ['money'],
  used: ['money'],
  counted: ['money'],
  priced: ['money'],
  spent: ['money'],
  worked: ['money'],
} as const satisfies Readonly<Record<string, readonly Effect[]>>;
