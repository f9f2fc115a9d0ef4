import type { Crop } from '../plants/index.ts';
import type { EntryOf, Variety } from '../records/index.ts';
import { shrunkMean } from '../statistics/index.ts';

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
  /** 0 where it was neither weighed nor counted: no weight is made up for it */
  readonly kilograms: number;
  /** its weight is reckoned from its count; left out: it was weighed */
  readonly isByCount?: boolean;
};

interface Kind {
  readonly crop: Crop;
  readonly variety: Variety;
}

/**
 * Pickings with a weight each: what was only counted is worth its usual weight. What was weighed is handed on as it is, and what was
 * neither weighs nothing.
 *
 * @param varietyOf the variety that a picking is of, by whoever stood there; undefined where nobody did
 */
export function weighedPickings(
  pickings: readonly EntryOf<'picking'>[],
  varietyOf: (picking: EntryOf<'picking'>) => Kind | undefined,
): readonly WeighedPicking[] {
  const isWeighed = (p: EntryOf<'picking'>): p is WeighedPicking => p.kilograms !== undefined;
  if (pickings.every(isWeighed)) return pickings;
  const counted = new Map<EntryOf<'picking'>, Kind | undefined>();
  for (const p of pickings) if (!isWeighed(p) && !p.isUnmeasured) counted.set(p, varietyOf(p));
  const wanted = new Map([...counted.values()].flatMap((kind) => (kind ? [[kind.variety.id, kind]] : [])));
  const weighings = new Map<string, EntryOf<'picking'>[]>([...wanted.keys()].map((id) => [id, []]));
  for (const p of pickings) {
    if (!isWeighed(p) || p.count === undefined) continue;
    weighings.get(varietyOf(p)?.variety.id ?? '')?.push(p);
  }
  const usual = new Map(
    [...wanted].map(([id, { crop, variety }]) => [id, usualFruit(crop, variety, weighings.get(id) ?? [])]),
  );
  return pickings.map((p) => {
    if (isWeighed(p)) return p;
    if (p.isUnmeasured) return { ...p, kilograms: 0 };
    const each = usual.get(counted.get(p)?.variety.id ?? '')?.kilograms ?? 0;
    return { ...p, kilograms: (p.count ?? 0) * each, isByCount: true };
  });
}
