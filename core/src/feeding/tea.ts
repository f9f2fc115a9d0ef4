import { addDays, dayOf, type Day } from '../calendar/index.ts';
import { entriesOfKind, type Entry, type EntryOf, type Product } from '../records/index.ts';

/** A tub of tea by its diary. Its strength is unknown and stays so. */
export interface Tea {
  readonly id: string;
  readonly productId: string;
  readonly litres: number;
  /** what went in, g */
  readonly grams: number;
  readonly startedOn: Day;
  /** it may be used from the first, and has given what it has by the second */
  readonly readyFrom: Day;
  readonly readyTo: Day;
  readonly state: 'steeping' | 'ready' | 'strained' | 'emptied';
  /** the next stir, while it steeps */
  readonly stirOn: Day | undefined;
  /** parts of water to one part of it, by the recipe */
  readonly waterParts: number | undefined;
  /** strained and not yet given, L */
  readonly leftLitres: number | undefined;
  /** what it makes with its water, and for how many bags; undefined without a recipe */
  readonly diluted: { readonly litres: number; readonly bags: number | undefined } | undefined;
}

const USUAL = { fromDays: 21, toDays: 42, stirEveryDays: 3, gramsPerLitre: 100 };

/** Litres of a tea in a feed's amount; a feed of another unit counts for nothing here. */
function litresOf({ amount, unit }: EntryOf<'fed'>): number {
  return unit === 'millilitre' ? amount / 1000 : unit === 'litre' ? amount : 0;
}

/**
 * What so much of a brew makes by its recipe: one part to eight parts of water is one in nine.
 *
 * @param litres of the brew
 * @example
 * dilutedOf({ waterParts: 8, litresPerBag: 2 }, 4)
 * // => { litres: 36, bags: 18 }
 */
export function dilutedOf(
  { waterParts, litresPerBag }: Pick<EntryOf<'tea'>, 'waterParts' | 'litresPerBag'>,
  litres: number,
): Tea['diluted'] {
  if (waterParts === undefined) return undefined;
  const made = litres * (1 + waterParts);
  return {
    litres: made,
    bags: litresPerBag === undefined ? undefined : Math.floor(made / litresPerBag + 1e-9),
  };
}

/**
 * The tubs of a garden, oldest first: when each is stirred, ready and empty.
 *
 * @param live the garden's live entries, oldest first
 * @see docs/model.md, 8. Feeding
 */
export function teasOf(
  live: readonly Entry[],
  productOf: (id: string) => Pick<Product, 'feed'> | undefined,
  today: Day,
): readonly Tea[] {
  const used = new Map<string, number>();
  for (const e of entriesOfKind(live, 'fed'))
    used.set(e.productId, (used.get(e.productId) ?? 0) + litresOf(e));
  return entriesOfKind(live, 'tea').map((e): Tea => {
    const steep = productOf(e.productId)?.feed?.steep ?? USUAL;
    const tended = entriesOfKind(live, 'tea-tended').filter((t) => t.teaId === e.id);
    const strained = tended.find((t) => t.what === 'strained');
    const startedOn = dayOf(e.at);
    const readyFrom = addDays(startedOn, steep.fromDays);
    const stirred = tended.findLast((t) => t.what === 'stirred');
    const isEmptied = tended.some((t) => t.what === 'emptied');
    const state = isEmptied ? 'emptied' : strained ? 'strained' : today >= readyFrom ? 'ready' : 'steeping';
    let leftLitres: number | undefined;
    if (strained) {
      const had = strained.litres ?? e.litres;
      const taken = Math.min(had, used.get(e.productId) ?? 0);
      // the oldest tub is poured first
      used.set(e.productId, (used.get(e.productId) ?? 0) - taken);
      leftLitres = had - taken;
    }
    return {
      id: e.id,
      productId: e.productId,
      litres: e.litres,
      grams: e.litres * steep.gramsPerLitre,
      startedOn,
      readyFrom,
      readyTo: addDays(startedOn, steep.toDays),
      state,
      stirOn:
        state === 'steeping'
          ? addDays(stirred ? dayOf(stirred.at) : startedOn, steep.stirEveryDays)
          : undefined,
      waterParts: e.waterParts,
      leftLitres,
      diluted: dilutedOf(e, leftLitres ?? strained?.litres ?? e.litres),
    };
  });
}
