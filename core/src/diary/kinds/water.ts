import * as z from '../../schema/index.ts';
import { idSchema } from '../../garden/index.ts';
import { asEntered, entryBase, inContainer } from './base.ts';

/** A moisture check, in the way it was done. */
export const lookEntry = z.object({
  kind: z.literal('look'),
  ...entryBase,
  ...inContainer,
  look: z.discriminatedUnion('method', [
    z.object({ method: z.literal('finger'), grade: z.number().int().min(1).max(5) }),
    z.object({ method: z.literal('lift'), grade: z.number().int().min(1).max(3) }),
  ]),
});

/** A watering. */
export const drinkEntry = z.object({
  kind: z.literal('drink'),
  ...entryBase,
  ...inContainer,
  litres: z.number().gt(0).max(200),
  /** poured from a measure of known litres, or judged by eye */
  isMeasured: z.boolean(),
  /** whether water came out at the bottom */
  ranThrough: z.boolean(),
  measureId: idSchema('measure').optional(),
  asEntered,
});
