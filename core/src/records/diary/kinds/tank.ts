import * as z from '../../../schema/index.ts';
import { idSchema } from '../../ids.ts';
import type { Effect } from '../effect.ts';
import { asEntered, entryBase } from './base.ts';

/** What was found in a tank that several bags share, and what was done to it, in that order; EC and pH are of it afterwards. */
export const tankEntry = z
  .object({
    kind: z.literal('tank'),
    ...entryBase,
    tankId: idSchema('tank'),
    /** that were in it, L */
    foundLitres: z.optional(z.number().check(z.gte(0), z.lte(20_000))),
    /** by the eye, and not by a rule or by litres */
    isAtAGlance: z.optional(z.boolean()),
    /** what was still in it was poured out, to be made up new */
    isEmptied: z.optional(z.boolean()),
    /** that went in, L */
    addedLitres: z.optional(z.number().check(z.aboveZero(), z.lte(20_000))),
    ecMillisiemens: z.optional(z.number().check(z.gte(0), z.lte(20))),
    ph: z.optional(z.number().check(z.gte(0), z.lte(14))),
    asEntered,
  })
  .check(
    z.refine(
      (t) =>
        [t.foundLitres, t.addedLitres, t.ecMillisiemens, t.ph].some((value) => value !== undefined) ||
        t.isEmptied === true,
      { path: ['foundLitres'], message: 'Say what was found in it, or what went in.' },
    ),
  );

/** What it bears on: each bag that the tank feeds. */
export const TANK_EFFECTS = { tank: ['water', 'feeding'] } as const satisfies Readonly<
  Record<string, readonly Effect[]>
>;
