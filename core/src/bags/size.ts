import type { Assumed } from '../assumed/index.ts';
import { containerKind } from './kinds/index.ts';
import { checkedDimensions, type Dimensions, type Ring, type Under } from './kinds/kind.ts';
import { litresBelow, type Solid } from './solid.ts';
import type { Size, TradeClass } from '../records/index.ts';
import { nearestClass, tradeClassLitres } from './trade-class.ts';

/** A container's inside with the litres it holds, brim-full, as a range. */
export interface RealSize {
  readonly solid: Solid;
  readonly under: Under | undefined;
  readonly ring: Ring | undefined;
  readonly dimensions: Dimensions;
  readonly litres: { readonly low: number; readonly likely: number; readonly high: number };
  /** whether the shape was measured or worked out from an amount of litres */
  readonly shape: 'measured' | 'likely';
}

/**
 * The real size behind what a grower said: a label is taken for less than it claims, a class for the middle of
 * its range, a measured container for what its solid holds.
 *
 * @param stations how many plants it has room for: a pillow bag has one ring for each
 * @throws RundelError when the kind is unknown or measured lengths do not suit it
 * @see docs/model.md, 1. Bags
 * @example
 * realSize('round-fabric', { by: 'label', litres: 38 }, DEFAULT_ASSUMED).litres.likely
 * // ≈> 33.06
 */
export function realSize(kindId: string, size: Size, assumed: Assumed, stations = 1): RealSize {
  const kind = containerKind(kindId);
  const shaped = (dimensions: Dimensions) => ({
    dimensions,
    solid: kind.solid(dimensions, stations, assumed),
    under: kind.under?.(dimensions, assumed),
    ring: kind.ring?.(dimensions),
  });
  if (size.by === 'measured') {
    const shape = shaped(checkedDimensions(kind, size.dimensions));
    const likely = litresBelow(shape.solid);
    const litres = {
      low: likely * (1 - assumed.tapeDoubt),
      likely,
      high: likely * (1 + assumed.tapeDoubt),
    };
    return { ...shape, litres, shape: 'measured' };
  }
  const said = size.by === 'class' ? classRange(size.class) : labelRange(size.litres, assumed);
  const shape = shaped(
    kind.likelyDimensions(said.likely, assumed, size.by === 'label' ? size.reservoirLitres : undefined),
  );
  // rings stand on a bag whose label does not count them: the whole holds more than was said of the bag
  const times = litresBelow(shape.solid) / said.likely;
  const litres = { low: said.low * times, likely: said.likely * times, high: said.high * times };
  return { ...shape, litres, shape: 'likely' };
}

const LITRES_PER_GALLON = 3.785412;
/** The real volume of a #20, L: nothing larger is spoken of by class. */
const LARGEST_CLASS_LITRES = 84;

/**
 * The size that growers would call a container by, in nominal US gallons: its class or label; for one that was only
 * measured, the class whose real volume is nearest. What is larger than any class, a trough or a bed, is as large as it is.
 *
 * @example
 * nominalGallons({ by: 'class', class: '#10' }, 38)
 * // => 10
 */
export function nominalGallons(size: Size, realLitres: number): number {
  if (size.by === 'label') return size.litres / LITRES_PER_GALLON;
  if (size.class === undefined && realLitres > LARGEST_CLASS_LITRES) return realLitres / LITRES_PER_GALLON;
  const name = size.class ?? nearestClass(realLitres);
  return Number(name.slice(1));
}

function classRange(name: TradeClass): RealSize['litres'] {
  const { low, high } = tradeClassLitres(name);
  return { low, likely: (low + high) / 2, high };
}

function labelRange(litres: number, assumed: Assumed): RealSize['litres'] {
  return { low: litres * 0.8, likely: litres * assumed.labelTruth, high: litres };
}
