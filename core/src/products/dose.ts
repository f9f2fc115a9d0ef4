import * as z from '../schema/index.ts';
import type { Product, NutrientLabel } from '../records/index.ts';
import { RundelError, within } from '../errors/index.ts';
import { elementsFromLabel, kilogramsOfLitres, UNITS } from '../units/index.ts';

/** An amount of a dry product as people give it. A spoon is a level tablespoon; a handful is the grower's own. */
export const DOSE_UNITS = ['spoon', 'teaspoon', 'handful', 'gram'] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];

export const doseSchema = z.object({
  productId: z.string().min(1).max(40),
  amount: z.number().gt(0).max(5000),
  unit: z.enum(DOSE_UNITS),
  per: z.enum(['bag', 'litre', 'hole']),
});

/** So much of a product per bag, per litre of mix or per planting hole. */
export type Dose = z.infer<typeof doseSchema>;

/**
 * Grams in an amount of a product, by the product's own bulk density.
 *
 * @param handfulLitres the grower's own handful
 * @throws RundelError when a product without a density is given by the spoon
 * @example
 * gramsOf(2, 'spoon', { name: 'bone meal', kilogramsPerLitre: 0.85 }, 0.05)
 * // ≈> 25.5
 */
export function gramsOf(
  amount: number,
  unit: DoseUnit,
  product: Pick<Product, 'name' | 'kilogramsPerLitre'>,
  handfulLitres: number,
): number {
  if (unit === 'gram') return amount;
  if (product.kilogramsPerLitre === undefined) {
    throw new RundelError(
      'out-of-range',
      `bulk density of ${product.name}`,
      undefined,
      'known to count it by spoons',
    );
  }
  const litres =
    unit === 'handful' ? handfulLitres : UNITS[unit === 'spoon' ? 'tablespoon' : 'teaspoon'].factor;
  return amount * kilogramsOfLitres(litres, product.kilogramsPerLitre) * 1000;
}

/** The bag that a dose goes to. */
export interface DosedBag {
  readonly looseLitres: number;
  readonly stations: number;
}

/**
 * Grams of a product that a dose makes for one bag.
 *
 * @example
 * gramsForBag({ productId: 'x', amount: 2, unit: 'gram', per: 'litre' }, { name: 'x' }, { looseLitres: 40, stations: 1 }, 0.05)
 * // => 80
 */
export function gramsForBag(
  dose: Dose,
  product: Pick<Product, 'name' | 'kilogramsPerLitre'>,
  bag: DosedBag,
  handfulLitres: number,
): number {
  const times = { bag: 1, litre: bag.looseLitres, hole: bag.stations }[dose.per];
  return gramsOf(dose.amount, dose.unit, product, handfulLitres) * times;
}

/** Grams of nutrients: N, phosphate and potash as labels give them, and calcium as Ca. */
export interface NutrientGrams {
  readonly n: number;
  readonly p2o5: number;
  readonly k2o: number;
  readonly ca: number;
}

export const NO_NUTRIENTS: NutrientGrams = { n: 0, p2o5: 0, k2o: 0, ca: 0 };

/**
 * What so many grams of a labelled product bring.
 *
 * @example
 * nutrientsIn(100, { n: 5, p2o5: 4, k2o: 6 })
 * // => { n: 5, p2o5: 4, k2o: 6, ca: 0 }
 */
export function nutrientsIn(grams: number, label: NutrientLabel | undefined): NutrientGrams {
  if (!label) return NO_NUTRIENTS;
  const share = grams / 100;
  return {
    n: label.n * share,
    p2o5: label.p2o5 * share,
    k2o: label.k2o * share,
    ca: (label.ca ?? 0) * share,
  };
}

export function addNutrients(a: NutrientGrams, b: NutrientGrams): NutrientGrams {
  return { n: a.n + b.n, p2o5: a.p2o5 + b.p2o5, k2o: a.k2o + b.k2o, ca: a.ca + b.ca };
}

/**
 * The same nutrients as elements, g: P = 0.4364 × P2O5, K = 0.8301 × K2O.
 *
 * @example
 * asElements({ n: 1, p2o5: 10, k2o: 10, ca: 2 })
 * // ≈> { n: 1, p: 4.364, k: 8.301, ca: 2 }
 */
export function asElements(grams: NutrientGrams) {
  return { ...elementsFromLabel(grams), ca: grams.ca };
}

export type Nutrient = keyof NutrientGrams;

/** Another label in place of the one asked for: how much of it, and what else comes with it or is missing. */
export interface Substitute {
  readonly grams: number;
  readonly brings: NutrientGrams;
  /** brought less wanted: above 0 too much, below 0 short */
  readonly off: NutrientGrams;
}

/**
 * The dose of a label at hand that brings as much of one nutrient as the dose asked for.
 *
 * @param wanted what the dose asked for brings
 * @returns undefined when the label at hand has none of that nutrient
 * @throws RundelError when nothing of that nutrient was wanted
 * @example
 * substitute({ n: 5, p2o5: 5, k2o: 5, ca: 0 }, { n: 5, p2o5: 4, k2o: 6 }, 'n')?.off
 * // ≈> { n: 0, p2o5: -1, k2o: 1, ca: 0 }
 */
export function substitute(
  wanted: NutrientGrams,
  atHand: NutrientLabel,
  by: Nutrient,
): Substitute | undefined {
  const asked = within(`${by} wanted`, wanted[by], Number.MIN_VALUE, 1e6);
  const percent = atHand[by] ?? 0;
  if (percent <= 0) return undefined;
  const grams = (asked / percent) * 100;
  const brings = nutrientsIn(grams, atHand);
  return {
    grams,
    brings,
    off: {
      n: brings.n - wanted.n,
      p2o5: brings.p2o5 - wanted.p2o5,
      k2o: brings.k2o - wanted.k2o,
      ca: brings.ca - wanted.ca,
    },
  };
}
