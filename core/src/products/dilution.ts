import {
  isGivenInWater,
  type FeedAmount,
  type FeedFacts,
  type Product,
  type LabelDose,
  type NutrientLabel,
} from '../records/index.ts';
import { K_IN_K2O, P_IN_P2O5, UNITS } from '../units/index.ts';

/** Grams of N, P, K, Ca and Mg as elements. */
export interface Elements {
  readonly n: number;
  readonly p: number;
  readonly k: number;
  readonly ca: number;
  readonly mg: number;
}

export const ELEMENTS = ['n', 'p', 'k', 'ca', 'mg'] as const;
export type Element = (typeof ELEMENTS)[number];

/** The same of each element, worked out for it. */
export function elementsBy(of: (element: Element) => number): Elements {
  return { n: of('n'), p: of('p'), k: of('k'), ca: of('ca'), mg: of('mg') };
}

export const NO_ELEMENTS: Elements = elementsBy(() => 0);

export function addElements(a: Elements, b: Elements): Elements {
  // written out: the ledger adds some thousand of them for each bag
  return { n: a.n + b.n, p: a.p + b.p, k: a.k + b.k, ca: a.ca + b.ca, mg: a.mg + b.mg };
}

/**
 * Elements in so many grams of a labelled product: labels give phosphate and potash, plants take P and K.
 *
 * @example
 * elementsIn(100, { n: 4, p2o5: 3, k2o: 8 })
 * // ≈> { n: 4, p: 1.3092, k: 6.6408, ca: 0, mg: 0 }
 */
export function elementsIn(grams: number, label: NutrientLabel | undefined): Elements {
  if (!label) return NO_ELEMENTS;
  const share = grams / 100;
  return {
    n: label.n * share,
    p: label.p2o5 * P_IN_P2O5 * share,
    k: label.k2o * K_IN_K2O * share,
    ca: (label.ca ?? 0) * share,
    mg: (label.mg ?? 0) * share,
  };
}

const SPOONS = { spoon: UNITS.tablespoon.factor, teaspoon: UNITS.teaspoon.factor } as const;

/**
 * Grams in an amount of a feed, or undefined where they cannot be told: a volume without a density, a piece without a
 * weight.
 *
 * @param handfulLitres the grower's own handful
 * @example
 * gramsOfFeed({ amount: 20, unit: 'millilitre' }, { kilogramsPerLitre: 1.2 }, 0.05)
 * // ≈> 24
 */
export function gramsOfFeed(
  { amount, unit }: FeedAmount,
  product: Pick<Product, 'kilogramsPerLitre' | 'feed'>,
  handfulLitres: number,
): number | undefined {
  if (unit === 'gram') return amount;
  if (unit === 'piece')
    return product.feed?.gramsEach === undefined ? undefined : amount * product.feed.gramsEach;
  if (product.kilogramsPerLitre === undefined) return undefined;
  const litresEach = { ...SPOONS, millilitre: 0.001, litre: 1, handful: handfulLitres }[unit];
  return amount * litresEach * product.kilogramsPerLitre * 1000;
}

/**
 * What a dose brings to each litre of water, mg/L of each element.
 *
 * @example
 * milligramsPerLitre(4.72, { n: 4, p2o5: 3, k2o: 8 }).n
 * // ≈> 188.8
 */
export function milligramsPerLitre(gramsPerLitre: number, label: NutrientLabel | undefined): Elements {
  const grams = elementsIn(gramsPerLitre, label);
  return elementsBy((e) => grams[e] * 1000);
}

/** Milliequivalents of a charge in a milligram. */
const CHARGE = { k: 1 / 39.098, ca: 2 / 40.078, mg: 2 / 24.305, n: 1 / 14.007 } as const;

/**
 * The electrical conductivity that a mineral feed adds to water, mS/cm, between all of its nitrogen as nitrate or urea
 * (low) and all of it as ammonium (high): about a tenth of the sum of cations in meq/L.
 *
 * Source: the rule used for nutrient solutions, EC ≈ Σ cations / 10. Organic feeds and teas cannot be told this way.
 *
 * @example
 * ecOf({ n: 100, p: 0, k: 195.49, ca: 100.195, mg: 0 })
 * // ≈> { low: 1, high: 1.714 }
 */
export function ecOf(mgPerLitre: Elements): { readonly low: number; readonly high: number } {
  const { n, k, ca, mg } = mgPerLitre;
  const low = (k * CHARGE.k + ca * CHARGE.ca + mg * CHARGE.mg) / 10;
  return { low, high: low + (n * CHARGE.n) / 10 };
}

/** How a dose stands to the label's. */
export interface DoseCheck {
  /** of the label's dose */
  readonly times: number;
  readonly kind: 'as-label' | 'weak' | 'strong' | 'double' | 'ten-times' | 'per-gallon' | 'spoons-mixed';
}

const near = (times: number, wanted: number) => Math.abs(times / wanted - 1) < 0.04;

/**
 * Compares a dose with the label's, and names the usual slips: ten times, double, so much a gallon taken for a litre, a
 * tablespoon for a teaspoon. Undefined where the two cannot be compared.
 *
 * @example
 * checkDose({ amount: 40, unit: 'millilitre', per: 'litre' }, { amount: 4, unit: 'millilitre', per: 'litre' }, {}, 0.05)
 * // => { times: 10, kind: 'ten-times' }
 */
export function checkDose(
  dose: LabelDose,
  label: LabelDose,
  product: Pick<Product, 'kilogramsPerLitre' | 'feed'>,
  handfulLitres: number,
): DoseCheck | undefined {
  if (dose.per !== label.per) return undefined;
  const as = (d: LabelDose) => (dose.unit === label.unit ? d.amount : gramsOfFeed(d, product, handfulLitres));
  const [given, asked] = [as(dose), as(label)];
  if (given === undefined || asked === undefined) return undefined;
  const times = given / asked;
  const kind =
    times > 8 && times < 13
      ? 'ten-times'
      : near(times, 3.785) || near(times, 4.546)
        ? 'per-gallon'
        : near(times, 3) && dose.unit !== label.unit
          ? 'spoons-mixed'
          : times >= 1.8
            ? 'double'
            : times > 1.2
              ? 'strong'
              : times < 0.45
                ? 'weak'
                : 'as-label';
  return { times, kind };
}

/** What is wrong or missing in a feed's record. Fatal: it cannot be kept so. */
export interface FeedProblem {
  readonly field: 'label' | 'density' | 'unit' | 'months' | 'partner' | 'steep' | 'gramsEach';
  readonly code:
    | 'promises-nothing'
    | 'over-100'
    | 'no-density'
    | 'mass-for-liquid'
    | 'volume-for-dry'
    | 'no-months'
    | 'no-partner'
    | 'no-steep'
    | 'no-weight';
  readonly isFatal: boolean;
}

/** Looks a feed's record over, as it is being typed. */
export function feedProblems(product: {
  readonly label?: NutrientLabel | undefined;
  readonly kilogramsPerLitre?: number | undefined;
  readonly feed: FeedFacts;
}): readonly FeedProblem[] {
  const { label, feed, kilogramsPerLitre } = product;
  const { form, dose } = feed;
  const found: FeedProblem[] = [];
  const say = (field: FeedProblem['field'], code: FeedProblem['code'], isFatal: boolean) =>
    found.push({ field, code, isFatal });
  const sum = label && label.n + label.p2o5 + label.k2o + (label.ca ?? 0) + (label.mg ?? 0);
  if (form !== 'tea' && !sum) say('label', 'promises-nothing', true);
  if (sum !== undefined && sum > 100) say('label', 'over-100', true);
  const isLiquid = form === 'liquid' || form === 'two-part' || form === 'tea' || form === 'foliar';
  const isByVolume = dose.unit !== 'gram' && dose.unit !== 'piece';
  if (isLiquid && dose.unit === 'gram') say('unit', 'mass-for-liquid', true);
  if (!isGivenInWater(form) && (dose.unit === 'millilitre' || dose.unit === 'litre'))
    say('unit', 'volume-for-dry', true);
  if (isByVolume && form !== 'tea' && kilogramsPerLitre === undefined) say('density', 'no-density', false);
  if (dose.unit === 'piece' && feed.gramsEach === undefined) say('gramsEach', 'no-weight', false);
  if (form === 'slow-release' && feed.months === undefined) say('months', 'no-months', true);
  if (form === 'two-part' && feed.partnerId === undefined) say('partner', 'no-partner', true);
  if (form === 'tea' && feed.steep === undefined) say('steep', 'no-steep', false);
  return found;
}
