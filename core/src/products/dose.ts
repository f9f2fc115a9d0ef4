import { resolveAssumed } from '../assumed/index.ts';
import { within } from '../errors/index.ts';
import {
  FEED_UNITS,
  type FeedAmount,
  type Garden,
  type NutrientLabel,
  type Product,
  type Settings,
} from '../records/index.ts';
import * as z from '../schema/index.ts';
import { UNITS, type UnitSystem } from '../units/index.ts';
import { elementsBy, elementsIn, type Element, type Elements } from './nutrients.ts';

/** What a level spoon and the grower's own hand hold, L. */
export interface Scoops {
  readonly spoon: number;
  readonly teaspoon: number;
  readonly handful: number;
}

/**
 * What spoons and the hand hold for a grower: spoons by their system of units, the hand as it was measured, or as is usual.
 * A measure that is in the bin measures nothing.
 *
 * @example
 * scoopsOf({ settings: { units: 'us', assumptions: {} }, measures: [] }).spoon
 * // => 0.014787
 */
export function scoopsOf({
  settings,
  measures,
}: {
  readonly settings: Pick<Settings, 'units' | 'assumptions'>;
  readonly measures: Garden['measures'];
}): Scoops {
  const own = measures.find((m) => m.kind === 'handful' && !m.binnedAt);
  return {
    ...spoonsIn(settings.units),
    handful: own?.litres ?? resolveAssumed(settings.assumptions).handful,
  };
}

function spoonsIn(system: UnitSystem): Pick<Scoops, 'spoon' | 'teaspoon'> {
  return system === 'us'
    ? { spoon: UNITS.usTablespoon.factor, teaspoon: UNITS.usTeaspoon.factor }
    : { spoon: UNITS.tablespoon.factor, teaspoon: UNITS.teaspoon.factor };
}

/** Litres in an amount; undefined where it is counted by weight or in pieces. */
export function litresOf({ amount, unit }: FeedAmount, scoops: Scoops): number | undefined {
  if (unit === 'gram' || unit === 'piece') return undefined;
  return amount * { millilitre: 0.001, litre: 1, ...scoops }[unit];
}

/**
 * Grams in an amount of a product, by its own density and never by water's; undefined where they cannot be told: a volume
 * without a density, a piece without a weight.
 *
 * @example
 * gramsOf({ amount: 2, unit: 'spoon' }, { kilogramsPerLitre: 0.85 }, metricScoops)
 * // ≈> 25.5
 */
export function gramsOf(
  given: FeedAmount,
  product: Pick<Product, 'kilogramsPerLitre' | 'feed'>,
  scoops: Scoops,
): number | undefined {
  const { amount, unit } = given;
  if (unit === 'gram') return amount;
  if (unit === 'piece')
    return product.feed?.gramsEach === undefined ? undefined : amount * product.feed.gramsEach;
  const litres = litresOf(given, scoops);
  if (litres === undefined || product.kilogramsPerLitre === undefined) return undefined;
  return litres * product.kilogramsPerLitre * 1000;
}

/** What a dose at filling is counted for. */
export const DOSE_PER = ['bag', 'litre', 'old-litre', 'hole'] as const;

export const doseSchema = z.object({
  productId: z.string().check(z.minLength(1), z.maxLength(40)),
  amount: z.number().check(z.aboveZero(), z.lte(5000)),
  unit: z.enum(FEED_UNITS),
  per: z.enum(DOSE_PER),
});

/** So much of a product per bag, per litre of mix or of old mix that stays, or per planting hole. */
export type Dose = z.infer<typeof doseSchema>;

/** The bag that a dose goes to. */
export interface DosedBag {
  readonly looseLitres: number;
  /** old mix that stays in it, L */
  readonly keptLitres: number;
  readonly stations: number;
}

/**
 * The amount of a product that a dose makes for one bag, in the dose's unit.
 *
 * @example
 * amountForBag({ productId: 'x', amount: 2, unit: 'gram', per: 'litre' }, { looseLitres: 40, keptLitres: 0, stations: 1 }).amount
 * // => 80
 */
export function amountForBag(dose: Dose, bag: DosedBag): FeedAmount {
  const times = { bag: 1, litre: bag.looseLitres, 'old-litre': bag.keptLitres, hole: bag.stations }[dose.per];
  return { amount: dose.amount * times, unit: dose.unit };
}

/** Another label in place of the one asked for: how much of it, and what else comes with it or is missing. */
export interface Substitute {
  readonly grams: number;
  readonly brings: Elements;
  /** brought less wanted: above 0 too much, below 0 short */
  readonly off: Elements;
}

/**
 * The dose of a label at hand that brings as much of one nutrient as the dose asked for.
 *
 * @param wanted what the dose asked for brings
 * @returns undefined when the label at hand has none of that nutrient
 * @throws RundelError when nothing of that nutrient was wanted
 * @example
 * substitute({ n: 5, p: 2.182, k: 4.1505, ca: 0, mg: 0 }, { n: 5, p2o5: 4, k2o: 6 }, 'n')?.off
 * // ≈> { n: 0, p: -0.4364, k: 0.8301, ca: 0, mg: 0 }
 */
export function substitute(wanted: Elements, atHand: NutrientLabel, by: Element): Substitute | undefined {
  const asked = within(`${by} wanted`, wanted[by], Number.MIN_VALUE, 1e6);
  const inOneGram = elementsIn(1, atHand)[by];
  if (inOneGram <= 0) return undefined;
  const grams = asked / inOneGram;
  const brings = elementsIn(grams, atHand);
  return { grams, brings, off: elementsBy((e) => brings[e] - wanted[e]) };
}
