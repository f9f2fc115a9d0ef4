import { TRADE_CLASS_NAMES, type TradeClass } from '../records/index.ts';

/**
 * Trade classes of containers by ANSI Z60.1: the volume a container of that class may have, in cubic inches.
 * A "10 gallon" bag is class #10 and rarely holds ten gallons.
 */
export const TRADE_CLASSES = {
  '#1': { lowCubicInches: 152, highCubicInches: 251 },
  '#3': { lowCubicInches: 628, highCubicInches: 742 },
  '#5': { lowCubicInches: 785, highCubicInches: 1242 },
  '#7': { lowCubicInches: 1337, highCubicInches: 1790 },
  '#10': { lowCubicInches: 2080, highCubicInches: 2646 },
  '#15': { lowCubicInches: 2768, highCubicInches: 3696 },
  '#20': { lowCubicInches: 4520, highCubicInches: 5152 },
} as const satisfies Record<
  TradeClass,
  { readonly lowCubicInches: number; readonly highCubicInches: number }
>;

const LITRES_PER_CUBIC_INCH = 0.016387064;

/**
 * The litres that a container of a trade class may hold.
 *
 * @see docs/model.md, 1. Bags
 * @example
 * tradeClassLitres('#10')
 * // ≈> { low: 34.0851, high: 43.3602 }
 */
export function tradeClassLitres(name: TradeClass): { readonly low: number; readonly high: number } {
  const { lowCubicInches, highCubicInches } = TRADE_CLASSES[name];
  return { low: lowCubicInches * LITRES_PER_CUBIC_INCH, high: highCubicInches * LITRES_PER_CUBIC_INCH };
}

/**
 * The class whose middle is nearest to a volume, by ratio.
 *
 * @example
 * nearestClass(38)
 * // => '#10'
 */
export function nearestClass(litres: number): TradeClass {
  const distance = (name: TradeClass) => {
    const { low, high } = tradeClassLitres(name);
    return Math.abs(Math.log(litres / ((low + high) / 2)));
  };
  return TRADE_CLASS_NAMES.reduce((best, name) => (distance(name) < distance(best) ? name : best));
}

/**
 * How a measured container compares with the class it was sold as.
 *
 * @param litres what it really holds, brim-full
 * @example
 * againstClass(29, '#10')
 * // ≈> { kind: 'below', litresOff: 5.085, low: 34.0851, high: 43.3602 }
 */
export function againstClass(
  litres: number,
  name: TradeClass,
): {
  readonly kind: 'inside' | 'below' | 'above';
  /** litres beyond the nearer end of the class; 0 inside */
  readonly litresOff: number;
  readonly low: number;
  readonly high: number;
} {
  const { low, high } = tradeClassLitres(name);
  const kind = litres < low ? 'below' : litres > high ? 'above' : 'inside';
  return { kind, litresOff: Math.max(0, low - litres, litres - high), low, high };
}
