import { DOSE_PER, doseSchema, findProduct, type Dose, type Scoops } from '@rundel/core/products';
import { FEED_UNITS, type Entry, type Product } from '@rundel/core/records';
import { fillBags, purposeOf, type BagFill } from '@rundel/core/garden-state';
import type { Recipe } from '@rundel/core/mixes';
import * as z from '@rundel/core/schema';
import { parseNumber, trimmed, type UnitSystem } from '@rundel/core/units';
import type { Assumed } from '@rundel/core/assumed';
import { readDose, readNumber } from '../../../text/amount-text.ts';
import { causeName } from '../../../text/trouble-text.ts';
import type { Bag } from '../../../store/index.ts';

const doseText = z.object({
  productId: z.string(),
  amount: z.string(),
  unit: z.enum(FEED_UNITS),
  per: z.enum(DOSE_PER),
  where: z.enum(['mixed', 'low', 'hole', 'top']),
});

/** A product to work in, as typed. */
export type DoseText = z.infer<typeof doseText>;

/** What is planned for a set of bags: kept on this device, so that shopping knows what filling decided. */
export const fillPlanSchema = z.object({
  containerIds: z.optional(z.array(z.string())),
  /** one mix for all of them, or empty: each its own */
  mixId: z.string(),
  keptPercent: z.string(),
  practiceId: z.enum(['moisten-first', 'flood']),
  doses: z.array(doseText),
});

export type FillPlan = z.infer<typeof fillPlanSchema>;

export const EMPTY_PLAN: FillPlan = { mixId: '', keptPercent: '0', practiceId: 'moisten-first', doses: [] };

/** The kept share as typed, from 0 to the most that may stay, or what is wrong with it. */
export function readKept(text: string, most: number): { readonly share: number; readonly problem?: string } {
  const read = readNumber(text, { low: 0, high: most * 100, sign: '%', isOptional: true });
  return read.ok
    ? { share: (read.value ?? 0) / 100 }
    : {
        share: 0,
        problem: `${read.problem} The rest is new mix; ${trimmed(most * 100, 0)} % may stay.`,
      };
}

/** A dose as typed, read, with its product; what is wrong is said in a sentence. */
export function readDoseText(
  text: DoseText,
  own: readonly Product[],
  system: UnitSystem,
):
  | { readonly ok: true; readonly dose: Dose; readonly product: Product }
  | { readonly ok: false; readonly problem: string } {
  const product = findProduct(text.productId, own);
  if (!product) return { ok: false, problem: 'It is no longer in the list.' };
  const read = readDose(text.amount, text.unit, system);
  if (!read.ok) return read;
  const { amount, unit } = read.value;
  const dose = doseSchema.safeParse({ productId: product.id, amount, unit, per: text.per });
  if (!dose.success) return { ok: false, problem: 'That much cannot be right here.' };
  if (unit !== 'gram' && unit !== 'piece' && product.kilogramsPerLitre === undefined)
    return { ok: false, problem: 'What a litre of it weighs is not known: give it by weight.' };
  return { ok: true, dose: dose.data, product };
}

const isRefresh = (dose: DoseText) => dose.per === 'old-litre';

/**
 * The doses with what refreshes old mix proposed among them: a row for feed and one for lime when some old mix comes to
 * stay, each only where nothing of the grower's own is for the same purpose. Rows like any other: to be edited or removed.
 *
 * @param before the kept share until now; once there was some the grower has had the proposal
 */
export function withRefresh(
  doses: readonly DoseText[],
  before: number,
  now: number,
  own: readonly Product[],
  assumed: Pick<Assumed, 'refreshFeed' | 'refreshLime'>,
): DoseText[] {
  if (now <= 0) return doses.filter((dose) => !isRefresh(dose));
  const purposes = doses.map((dose) => purposeOf(findProduct(dose.productId, own)));
  if (before > 0) return withoutDoubled(doses, own);
  const row = (productId: string, grams: number): DoseText => ({
    productId,
    amount: trimmed(grams, 2),
    unit: 'gram',
    per: 'old-litre',
    where: 'mixed',
  });
  return [
    ...doses,
    ...(purposes.includes('feed') ? [] : [row('balanced-organic', assumed.refreshFeed)]),
    ...(purposes.includes('lime') ? [] : [row('lime', assumed.refreshLime)]),
  ];
}

/** The doses without a refreshing row beside one of the grower's own for the same purpose. */
export function withoutDoubled(doses: readonly DoseText[], own: readonly Product[]): DoseText[] {
  const mine = new Set(
    doses.filter((d) => !isRefresh(d)).map((d) => purposeOf(findProduct(d.productId, own))),
  );
  return doses.filter((d) => !isRefresh(d) || !mine.has(purposeOf(findProduct(d.productId, own))));
}

const PER_TEXT = { bag: 'bag', litre: 'litre', 'old-litre': 'litre of old mix', hole: 'hole' } as const;

/**
 * What each bag gets by a plan as it is typed. Doses that do not read are left out; their fields say so.
 */
export function fillsOf(
  bags: readonly Bag[],
  plan: FillPlan,
  live: readonly Entry[],
  garden: { readonly mixes: readonly Recipe[]; readonly products: readonly Product[] },
  system: UnitSystem,
  scoops: Scoops,
): readonly BagFill<Bag>[] {
  const amendments = plan.doses.flatMap((text) => {
    const read = readDoseText(text, garden.products, system);
    if (!read.ok) return [];
    const typed = parseNumber(text.amount)?.rest.trim()
      ? text.amount.trim()
      : `${text.amount.trim()} ${text.unit}s`;
    const { dose, product } = read;
    return [{ dose, product, where: text.where, asEntered: `${typed} per ${PER_TEXT[dose.per]}` }];
  });
  const most = bags[0]?.properties.assumed.keptMost ?? 1;
  const filling = {
    mixId: plan.mixId === '' ? undefined : plan.mixId,
    keptShare: readKept(plan.keptPercent, most).share,
    amendments,
  };
  return fillBags(bags, filling, live, garden.mixes, scoops, troubleName);
}

/** Trouble as a sentence begins with it. */
function troubleName(what: string): string {
  const words = causeName(what);
  return words.charAt(0).toUpperCase() + words.slice(1);
}
