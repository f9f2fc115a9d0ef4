import * as z from '../schema/index.ts';
import { TRADE_CLASS_NAMES } from './kinds.ts';

/** How a grower said how big a container is: with a tape, by its trade class, or by the litres on its label. */
export const sizeSchema = z.discriminatedUnion('by', [
  z.object({
    by: z.literal('measured'),
    dimensions: z.record(z.string(), z.number()),
    /** what it was sold as, when the grower knows */
    class: z.optional(z.enum(TRADE_CLASS_NAMES)),
  }),
  z.object({ by: z.literal('class'), class: z.enum(TRADE_CLASS_NAMES) }),
  z.object({
    by: z.literal('label'),
    litres: z.number().check(z.gte(1), z.lte(1000)),
    /** of a reservoir planter: the water that its label gives beside the litres of mix; left out: as is usual */
    reservoirLitres: z.optional(z.number().check(z.gte(0.2), z.lte(500))),
  }),
]);

export type Size = z.infer<typeof sizeSchema>;
