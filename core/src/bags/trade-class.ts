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
} as const;

export type TradeClass = keyof typeof TRADE_CLASSES;

export const TRADE_CLASS_NAMES = Object.keys(TRADE_CLASSES) as readonly TradeClass[];

const LITRES_PER_CUBIC_INCH = 0.016387064;

/**
 * The litres that a container of a trade class may hold.
 *
 * @example
 * tradeClassLitres('#10')
 * // ≈> { low: 34.0851, high: 43.3602 }
 */
export function tradeClassLitres(name: TradeClass): { readonly low: number; readonly high: number } {
  const { lowCubicInches, highCubicInches } = TRADE_CLASSES[name];
  return { low: lowCubicInches * LITRES_PER_CUBIC_INCH, high: highCubicInches * LITRES_PER_CUBIC_INCH };
}
