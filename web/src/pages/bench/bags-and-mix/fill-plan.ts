import { DOSE_UNITS, doseSchema, gramsForBag, type Dose, findProduct } from '@rundel/core/products';
import type { Entry, EntryOf, Product } from '@rundel/core/records';
import { fillingOf, mixOf, reuseOf, type Mix, type Recipe, type Reuse } from '@rundel/core/mixes';
import * as z from '@rundel/core/schema';
import { dayOf } from '@rundel/core/calendar';
import { trimmed } from '@rundel/core/units';
import { TROUBLE_WORDS } from '../../../text/trouble-text.ts';
import type { Bag } from '../../../store/index.ts';

const doseText = z.object({
  productId: z.string(),
  amount: z.string(),
  unit: z.enum(DOSE_UNITS),
  per: z.enum(['bag', 'litre', 'hole']),
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
  const percent = Number(text.replace('%', '').replace(',', '.') || '0');
  return percent >= 0 && percent / 100 <= most + 1e-9
    ? { share: percent / 100 }
    : { share: 0, problem: `From 0 to ${trimmed(most * 100, 0)} %: the rest is new mix.` };
}

/** A dose as typed, read; undefined with a message when it does not read. */
export function readDose(
  text: DoseText,
  own: readonly Product[],
):
  | { readonly kind: 'read'; readonly dose: Dose; readonly product: Product }
  | { readonly kind: 'refused'; readonly problem: string } {
  const product = findProduct(text.productId, own);
  if (!product) return { kind: 'refused', problem: 'It is no longer in the list.' };
  const amount = Number(text.amount.replace(',', '.'));
  const dose = doseSchema.safeParse({ ...text, amount });
  if (text.amount.trim() === '' || !dose.success)
    return { kind: 'refused', problem: 'A number above 0, please.' };
  if (text.unit !== 'gram' && product.kilogramsPerLitre === undefined) {
    return { kind: 'refused', problem: 'What a litre of it weighs is not known: give it in grams.' };
  }
  return { kind: 'read', dose: dose.data, product };
}

/** A handful while the grower has not counted theirs, L. */
export const USUAL_HANDFUL_LITRES = 0.045;

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
  handfulLitres: number,
): readonly BagFill[] {
  const doses = plan.doses.flatMap((text) => {
    const read = readDose(text, garden.products);
    return read.kind === 'read' ? [{ ...read, text }] : [];
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
      amendments: doses.map(({ dose, product, text }) => ({
        product,
        grams: gramsForBag(
          dose,
          product,
          { looseLitres, stations: bag.container.stations.length },
          handfulLitres,
        ),
        where: text.where,
        asEntered: `${text.amount} ${text.unit}${dose.amount === 1 ? '' : 's'} per ${text.per}`,
      })),
    };
  });
}
