import type { Variety } from '../../records/index.ts';
import { shrunkMean } from '../../statistics/index.ts';

/** Days from set to ripe fruit. */
export interface RipeDays {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** What is usual counts as much as so many trusses of the grower's own. */
const PRIOR_TRUSSES = 3;

/**
 * Days from set to ripe fruit: the grower's own figure for the variety, else what is usual, *assumed*: 45 to 60 for large tomatoes,
 * 35 to 45 for small ones; peppers to their colour, aubergines and cucumbers to the size at which they are picked.
 *
 * @example
 * ripeDays('tomato', { fruitGrams: 20 }).likely
 * // => 40
 */
export function ripeDays(cropId: string, variety: Pick<Variety, 'fruitGrams' | 'setToRipe'>): RipeDays {
  const { setToRipe: own, fruitGrams } = variety;
  if (own) return { ...own, likely: Math.round((own.low + own.high) / 2) };
  if (cropId === 'pepper') return { low: 50, likely: 62, high: 80 };
  if (cropId === 'aubergine') return { low: 18, likely: 24, high: 32 };
  if (cropId === 'cucumber') return { low: 8, likely: 11, high: 16 };
  return fruitGrams !== undefined && fruitGrams < 35
    ? { low: 35, likely: 40, high: 45 }
    : { low: 45, likely: 52, high: 60 };
}

/**
 * What the grower's own trusses have shown, drawn towards what was taken before: the middle moves, and the range narrows to a little
 * over half as they become many.
 *
 * @param seen days from set to ripe, one for each truss
 * @example
 * learntRipeDays({ low: 45, likely: 52, high: 60 }, [46, 44, 45])
 * // => { low: 43, likely: 49, high: 55 }
 */
export function learntRipeDays(prior: RipeDays, seen: readonly number[]): RipeDays {
  const likely = shrunkMean(seen, prior.likely, PRIOR_TRUSSES);
  const width = 1 - (0.45 * seen.length) / (seen.length + PRIOR_TRUSSES);
  return {
    low: Math.round(likely - width * (prior.likely - prior.low)),
    likely: Math.round(likely),
    high: Math.round(likely + width * (prior.high - prior.likely)),
  };
}
