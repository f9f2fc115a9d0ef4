import type { BagView } from './bag-view.ts';
import {
  batchOf,
  doseOfStep,
  usualInto,
  type BatchNeed,
  type BatchPart,
  type FedInto,
} from '../feeding/index.ts';
import {
  checkDose,
  ecOf,
  gramsOf,
  milligramsPerLitre,
  type DoseCheck,
  type Elements,
  type Scoops,
  findProduct,
} from '../products/index.ts';
import { isGivenInWater, type Product, type LabelDose } from '../records/index.ts';
import { FEED_LITRES, feedLitres } from './feed-offers.ts';

/** Which feed a bag is to get: its regime's, or one chosen for all. */
export interface BagFeed {
  readonly bag: BagView;
  readonly product: Product;
  readonly dose: LabelDose;
  readonly waterLitres: number;
  readonly into: FedInto | undefined;
  /** the regime's step that it answers */
  readonly step: { readonly regimeId: string; readonly stepId: string } | undefined;
}

/** Water that a bag would take now, L: the least to dissolve a feed in where it needs none. */
export function waterFor(bag: BagView): number {
  const least = FEED_LITRES * Math.max(1, bag.occupants.length);
  const { water } = bag;
  if (!water) return least;
  const wanted = (1 - water.estimate.share.likely) * water.availableLitres;
  return Math.max(least, Math.round(wanted * 4) / 4);
}

/**
 * What each bag is to be fed with: the step of its regime that is due or next, or the product chosen for all of them.
 *
 * @param litresEach what each bag gets where the grower said so; left out: as much as it would take now
 */
export function bagFeeds(
  bags: readonly BagView[],
  products: readonly Product[],
  forAll: string | undefined,
  litresEach?: number,
): readonly BagFeed[] {
  return bags.flatMap((bag): BagFeed[] => {
    const { feeding } = bag;
    const due = (feeding?.states ?? [])
      .flatMap((state) => (state.kind === 'due' ? [state] : []))
      .sort((a, b) => (a.target < b.target ? -1 : 1))[0];
    const step = forAll === undefined ? due?.step : undefined;
    const productId = forAll ?? step?.productId;
    const product = productId === undefined ? undefined : findProduct(productId, products);
    const dose = step ? doseOfStep(step, product) : product?.feed?.dose;
    if (!product || !dose) return [];
    const into = step?.into ?? usualInto(product);
    const waterLitres = litresEach ?? feedLitres(into, bag, waterFor(bag));
    const regimeId = feeding?.regime?.id;
    const answers = step && regimeId !== undefined ? { regimeId, stepId: step.id } : undefined;
    return [{ bag, product, dose, waterLitres, into, step: answers }];
  });
}

/** A part of the batch with what its mixer should know. */
export interface MixedPart {
  readonly part: BatchPart;
  readonly product: Product;
  readonly partner: Product | undefined;
  readonly check: DoseCheck | undefined;
  /** what plants get of it, mg/L, both parts together; undefined where it cannot be told */
  readonly mgPerLitre: Elements | undefined;
  readonly ec: { readonly low: number; readonly high: number } | undefined;
}

/**
 * The batch for some bags, can by can.
 *
 * @param ownDose amounts that the grower typed in place of the dose, by product
 * @param isMadeFull each can or drum is made up full, whatever is poured from it
 */
export function mixedBatch(
  feeds: readonly BagFeed[],
  products: readonly Product[],
  canLitres: number,
  scoops: Scoops,
  ownDose: Readonly<Record<string, number>>,
  isMadeFull = false,
): readonly MixedPart[] {
  const needs = feeds.map(({ bag, product, dose, waterLitres }): BatchNeed => ({
    containerId: bag.container.id,
    waterLitres,
    plants: bag.occupants.length,
    mixLitres: bag.properties.fill.mixLitres,
    productId: product.id,
    dose: { ...dose, amount: ownDose[product.id] ?? dose.amount },
  }));
  return batchOf(needs, canLitres, isMadeFull).flatMap((part): MixedPart[] => {
    const product = findProduct(part.productId, products);
    if (!product?.feed) return [];
    const partnerId = product.feed.partnerId;
    const partner = partnerId === undefined ? undefined : findProduct(partnerId, products);
    const isWet = part.kind === 'in-water' && isGivenInWater(product.feed.form);
    const both = [product, ...(partner ? [partner] : [])].map((each) => {
      const grams = gramsOf(part.dose, each, scoops);
      return grams === undefined || !each.label ? undefined : milligramsPerLitre(grams, each.label);
    });
    const mgPerLitre = isWet && both.every((mg) => mg !== undefined) ? sum(both as Elements[]) : undefined;
    return [
      {
        part,
        product,
        partner,
        check: checkDose(part.dose, product.feed.dose, product, scoops),
        mgPerLitre,
        ec: mgPerLitre && !product.isOrganic ? ecOf(mgPerLitre) : undefined,
      },
    ];
  });
}

function sum(all: readonly Elements[]): Elements {
  return all.reduce((a, b) => ({
    n: a.n + b.n,
    p: a.p + b.p,
    k: a.k + b.k,
    ca: a.ca + b.ca,
    mg: a.mg + b.mg,
  }));
}
