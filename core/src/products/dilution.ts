import {
  isGivenInWater,
  type FeedFacts,
  type LabelDose,
  type NutrientLabel,
  type Product,
} from '../records/index.ts';
import { gramsOf, type Scoops } from './dose.ts';
import { elementsBy, elementsIn, type Elements } from './nutrients.ts';

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
 * checkDose({ amount: 40, unit: 'millilitre', per: 'litre' }, { amount: 4, unit: 'millilitre', per: 'litre' }, {}, metricScoops)
 * // => { times: 10, kind: 'ten-times' }
 */
export function checkDose(
  dose: LabelDose,
  label: LabelDose,
  product: Pick<Product, 'kilogramsPerLitre' | 'feed'>,
  scoops: Scoops,
): DoseCheck | undefined {
  if (dose.per !== label.per) return undefined;
  const as = (d: LabelDose) => (dose.unit === label.unit ? d.amount : gramsOf(d, product, scoops));
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

/** Checks a feed's record over, as it is being typed. */
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
