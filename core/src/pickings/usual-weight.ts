import type { Crop } from '../plants/index.ts';
import type { EntryOf, Variety } from '../records/index.ts';
import { groupedBy, shrunkMean } from '../statistics/index.ts';

/** The weight of one fruit as it is usually picked, and where that comes from. */
export interface UsualFruit {
  readonly kilograms: number;
  readonly by: 'own-scale' | 'variety' | 'crop';
  /** pickings that were both weighed and counted */
  readonly weighings: number;
}

/** What is usual counts as much as so many pickings of the grower's own. */
const PRIOR_PICKINGS = 2;

/**
 * What one fruit weighs, for pickings that were counted and not weighed: what the grower's own scale has shown of such plants, drawn
 * towards what the variety's packet or else its crop says.
 *
 * @param weighed pickings of the same variety with a weight and a count
 * @see docs/model.md, 13. Picking
 */
export function usualFruit(
  crop: Pick<Crop, 'fruitGrams'>,
  variety: Pick<Variety, 'fruitGrams'> | undefined,
  weighed: readonly Pick<EntryOf<'picking'>, 'kilograms' | 'count'>[],
): UsualFruit {
  const prior = (variety?.fruitGrams ?? crop.fruitGrams.value) / 1000;
  const each = weighed.flatMap(({ kilograms, count }) =>
    kilograms !== undefined && count !== undefined ? [kilograms / count] : [],
  );
  return {
    kilograms: shrunkMean(each, prior, PRIOR_PICKINGS),
    by: each.length > 0 ? 'own-scale' : variety?.fruitGrams ? 'variety' : 'crop',
    weighings: each.length,
  };
}

/** A picking with the weight that it has, or is taken to have by its count. */
export type WeighedPicking = EntryOf<'picking'> & {
  readonly kilograms: number;
  /** its weight is reckoned from its count */
  readonly isByCount: boolean;
};

/**
 * Pickings with a weight each: what was only counted is worth its usual weight.
 *
 * @param varietyOf the variety that a picking is of, by whoever stood there; undefined where nobody did
 */
export function weighedPickings(
  pickings: readonly EntryOf<'picking'>[],
  varietyOf: (picking: EntryOf<'picking'>) => { readonly crop: Crop; readonly variety: Variety } | undefined,
): readonly WeighedPicking[] {
  const kinds = pickings.map(varietyOf);
  const at = new Map(pickings.map((p, i) => [p, i]));
  const byVariety = groupedBy(
    pickings.filter((p, i) => kinds[i] && p.kilograms !== undefined && p.count !== undefined),
    (p) => kinds[at.get(p) ?? -1]?.variety.id ?? '',
  );
  const usual = new Map<string, UsualFruit>();
  return pickings.map((picking, i) => {
    if (picking.kilograms !== undefined)
      return { ...picking, kilograms: picking.kilograms, isByCount: false };
    const kind = kinds[i];
    if (!kind) return { ...picking, kilograms: 0, isByCount: true };
    const fruit =
      usual.get(kind.variety.id) ?? usualFruit(kind.crop, kind.variety, byVariety.get(kind.variety.id) ?? []);
    usual.set(kind.variety.id, fruit);
    return { ...picking, kilograms: (picking.count ?? 0) * fruit.kilograms, isByCount: true };
  });
}
