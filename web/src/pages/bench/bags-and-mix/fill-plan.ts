import {
  amountForBag,
  DOSE_PER,
  doseSchema,
  findProduct,
  gramsOf,
  type Dose,
  type Scoops,
} from '@rundel/core/products';
import { FEED_UNITS, type Entry, type EntryOf, type FeedAmount, type Product } from '@rundel/core/records';
import { fillingOf, mixOf, reuseOf, type Mix, type Recipe, type Reuse } from '@rundel/core/mixes';
import * as z from '@rundel/core/schema';
import { dayOf } from '@rundel/core/calendar';
import { parseNumber, trimmed, type UnitSystem } from '@rundel/core/units';
import type { Assumed } from '@rundel/core/assumed';
import { readDose, readNumber } from '../../../text/amount-text.ts';
import { TROUBLE_WORDS } from '../../../text/trouble-text.ts';
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
  containerIds: z.array(z.string()).optional(),
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
  if (read.kind === 'refused')
    return {
      share: 0,
      problem: `${read.problem} The rest is new mix; ${trimmed(most * 100, 0)} % may stay.`,
    };
  return { share: read.kind === 'given' ? read.siValue / 100 : 0 };
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

/** What a product is worked in for: to feed, or to sweeten and bring calcium. */
function purposeOf(product: Product | undefined): 'feed' | 'lime' | undefined {
  const { label } = product ?? {};
  if (!label) return undefined;
  if (label.n + label.p2o5 + label.k2o > 0) return 'feed';
  return (label.ca ?? 0) > 0 ? 'lime' : undefined;
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

/** What one bag gets. */
export interface BagFill {
  readonly bag: Bag;
  readonly mix: Mix;
  /** the new mix, from the base upwards, by its share */
  readonly layers: readonly { readonly mixId: string; readonly share: number }[];
  readonly reuse: Reuse;
  /** new loose mix, L */
  readonly newLitres: number;
  readonly amendments: readonly {
    readonly product: Product;
    /** in the unit that the grower counts it in */
    readonly amount: FeedAmount;
    readonly grams: number;
    readonly where: DoseText['where'];
    readonly asEntered: string;
  }[];
}

/** The trouble recorded in a bag since it was last filled, if it may live on in the mix. */
export function troubleIn(
  containerId: string,
  live: readonly Entry[],
): { readonly description: string; readonly day: string } | undefined {
  const at = live.findLastIndex((e) => e.kind === 'filled' && e.containerId === containerId);
  const found = live
    .slice(at + 1)
    .find(
      (e): e is EntryOf<'trouble'> => e.kind === 'trouble' && e.containerId === containerId && e.livesInMix,
    );
  if (!found) return undefined;
  const words = TROUBLE_WORDS[found.what];
  return { description: words.charAt(0).toUpperCase() + words.slice(1), day: dayOf(found.at) };
}

/** Whether a bag has been filled in the year of a moment. */
export function isFilled(containerId: string, live: readonly Entry[], now: string): boolean {
  return live.some(
    (e) => e.kind === 'filled' && e.containerId === containerId && e.at.slice(0, 4) === now.slice(0, 4),
  );
}

/**
 * What each bag gets by a plan. A bag whose old mix must not be used again gets new mix throughout. Doses that do not
 * read are left out; their fields say so.
 */
export function fillBags(
  bags: readonly Bag[],
  plan: FillPlan,
  live: readonly Entry[],
  garden: { readonly mixes: readonly Recipe[]; readonly products: readonly Product[] },
  system: UnitSystem,
  scoops: Scoops,
): readonly BagFill[] {
  const doses = plan.doses.flatMap((text) => {
    const read = readDoseText(text, garden.products, system);
    return read.ok ? [{ ...read, text }] : [];
  });
  return bags.map((bag): BagFill => {
    const mix = plan.mixId === '' ? fillingOf(bag.container, garden.mixes) : mixOf(plan.mixId, garden.mixes);
    const looseLitres = bag.properties.fill.mixLitres / (1 - mix.settling);
    const { assumed } = bag.properties;
    const { share } = readKept(plan.keptPercent, assumed.keptMost);
    const reuse = reuseOf(looseLitres, share, troubleIn(bag.container.id, live), assumed);
    return {
      bag,
      mix,
      layers: (plan.mixId === '' ? bag.container.layers : undefined) ?? [
        { mixId: plan.mixId || bag.container.mixId, share: 1 },
      ],
      reuse,
      newLitres: reuse.kind === 'refresh' ? reuse.newLitres : looseLitres,
      amendments: doses.flatMap(({ dose, product, text }) => {
        const keptLitres = reuse.kind === 'refresh' ? reuse.keptLitres : 0;
        const stations = bag.container.stations.length;
        const amount = amountForBag(dose, { looseLitres, keptLitres, stations });
        const grams = gramsOf(amount, product, scoops);
        if (grams === undefined || grams <= 0) return [];
        const typed = parseNumber(text.amount)?.rest.trim()
          ? text.amount.trim()
          : `${text.amount.trim()} ${text.unit}s`;
        return [
          { product, amount, grams, where: text.where, asEntered: `${typed} per ${PER_TEXT[dose.per]}` },
        ];
      }),
    };
  });
}
