import type { Seedling } from '../records/index.ts';

/** Usual number of leaf joints on a seedling of a height: one to every 45 mm or so (*assumed*), three at least. */
function usualLeafCount(stemMillimetres: number): number {
  return Math.max(3, Math.round(stemMillimetres / 45));
}

/**
 * The heights of the leaf joints, from below: as measured, or evenly spread from `bareStemShare` of the stem to its tip.
 *
 * @see docs/model.md, 3. Planting
 * @example
 * leafHeights({ stemMillimetres: 200, ballMillimetres: 80 }, 0.3)
 * // => [60, 106.66666666666666, 153.33333333333331, 200]
 */
export function leafHeights(seedling: Seedling, bareStemShare: number): readonly number[] {
  if (seedling.leafMillimetres?.length) return [...seedling.leafMillimetres].sort((a, b) => a - b);
  const lowest = seedling.stemMillimetres * bareStemShare;
  const count = usualLeafCount(seedling.stemMillimetres);
  return Array.from(
    { length: count },
    (_, i) => lowest + ((seedling.stemMillimetres - lowest) * i) / (count - 1),
  );
}
