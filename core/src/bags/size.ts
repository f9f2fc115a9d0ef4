import * as z from '../schema/index.ts';
import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import { containerKind } from './kinds/index.ts';
import { dimensionsSchema, type Dimensions } from './kinds/kind.ts';
import { litresBelow, type Solid } from './solid.ts';
import { TRADE_CLASS_NAMES, tradeClassLitres, type TradeClass } from './trade-class.ts';

/** How a grower said how big a container is: with a tape, by its trade class, or by the litres on its label. */
export const sizeSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('measured'), dimensions: z.record(z.string(), z.number()) }),
  z.object({ by: z.literal('class'), class: z.enum(TRADE_CLASS_NAMES as [TradeClass, ...TradeClass[]]) }),
  z.object({ by: z.literal('label'), litres: z.number().min(1).max(1000) }),
]);

export type Size = z.infer<typeof sizeSchema>;

/** A container's inside with the litres it holds, brim-full, as a range. */
export interface RealSize {
  readonly solid: Solid;
  readonly dimensions: Dimensions;
  readonly litres: { readonly low: number; readonly likely: number; readonly high: number };
  /** whether the shape was measured or worked out from an amount of litres */
  readonly shape: 'measured' | 'likely';
}

/** A tape on soft sides is off by about this much in volume (*assumed*: 1.7 % a side). */
const TAPE_DOUBT = 0.05;

/**
 * The real size behind what a grower said: a label is taken for less than it claims, a class for the middle of
 * its range, a measured container for what its solid holds.
 *
 * @throws RundelError when the kind is unknown; ZodError when measured lengths do not suit the kind
 * @example
 * realSize('round-fabric', { by: 'label', litres: 38 }).litres.likely
 * // ≈> 33.06
 */
export function realSize(kindId: string, size: Size, assumed: Assumed = DEFAULT_ASSUMED): RealSize {
  const kind = containerKind(kindId);
  if (size.by === 'measured') {
    const dimensions = dimensionsSchema(kind).parse(size.dimensions);
    const solid = kind.solid(dimensions);
    const likely = litresBelow(solid);
    const litres = { low: likely * (1 - TAPE_DOUBT), likely, high: likely * (1 + TAPE_DOUBT) };
    return { solid, dimensions, litres, shape: 'measured' };
  }
  const litres = size.by === 'class' ? classRange(size.class) : labelRange(size.litres, assumed);
  const dimensions = kind.likelyDimensions(litres.likely, assumed);
  return { solid: kind.solid(dimensions), dimensions, litres, shape: 'likely' };
}

function classRange(name: TradeClass): RealSize['litres'] {
  const { low, high } = tradeClassLitres(name);
  return { low, likely: (low + high) / 2, high };
}

function labelRange(litres: number, assumed: Assumed): RealSize['litres'] {
  return { low: litres * 0.8, likely: litres * assumed.labelTruth, high: litres };
}
