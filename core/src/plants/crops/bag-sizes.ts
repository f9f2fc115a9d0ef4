import { TRADE_CLASS_NAMES } from '../../records/index.ts';

/** The classes that growers speak of, nominal US gallons. */
const CLASSES = TRADE_CLASS_NAMES.map((name) => Number(name.slice(1)));

/**
 * The class that is so many steps from a size: 1 the next bigger, -1 the next smaller. Below the smallest it is a quarter of the
 * size, above the biggest the biggest.
 *
 * @param gallons nominal US gallons
 * @example
 * classBeside(7, -1)
 * // => 5
 */
export function classBeside(gallons: number, steps: -1 | 0 | 1): number {
  if (steps === 0) return gallons;
  if (steps > 0) return CLASSES.find((c) => c > gallons) ?? gallons;
  return CLASSES.findLast((c) => c < gallons) ?? gallons / 4;
}
