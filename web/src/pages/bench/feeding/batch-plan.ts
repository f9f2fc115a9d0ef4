import { batchOf, type BatchNeed, type BatchPart } from '@rundel/core/feeding';
import {
  checkDose,
  ecOf,
  gramsOfFeed,
  milligramsPerLitre,
  type DoseCheck,
  type Elements,
  findGood,
} from '@rundel/core/products';
import { isGivenInWater, type Good, type LabelDose } from '@rundel/core/records';
import { FEED_LITRES } from '../../../ui/feed-offers.ts';
import type { Bag, FeedingNow } from '../../../store/index.ts';

/** Which feed a bag is to get: its regime's, or one chosen for all. */
export interface BagFeed {
  readonly bag: Bag;
  readonly good: Good;
  readonly dose: LabelDose;
  readonly waterLitres: number;
  /** the regime's step that it answers */
  readonly step: { readonly regimeId: string; readonly stepId: string } | undefined;
}

/** Water that a bag would take now, L: the least to dissolve a feed in where it needs none. */
export function waterFor(bag: Bag): number {
  const least = FEED_LITRES * Math.max(1, bag.occupants.length);
  const share = bag.water?.estimate.share.likely;
  if (share === undefined) return least;
  const wanted = (1 - share) * bag.body.availableLitres;
  return Math.max(least, Math.round(wanted * 4) / 4);
}

/** What each bag is to be fed with: the step of its regime that is due or next, or the product chosen for all of them. */
export function bagFeeds(
  bags: readonly Bag[],
  feedings: ReadonlyMap<string, FeedingNow>,
  goods: readonly Good[],
  forAll: string | undefined,
): readonly BagFeed[] {
  return bags.flatMap((bag): BagFeed[] => {
    const feeding = feedings.get(bag.container.id);
    const due = (feeding?.states ?? [])
      .flatMap((state) => (state.kind === 'due' ? [state] : []))
      .sort((a, b) => (a.target < b.target ? -1 : 1))[0];
    const step = forAll === undefined ? due?.step : undefined;
    const goodId = forAll ?? step?.goodId;
    const good = goodId === undefined ? undefined : findGood(goodId, goods);
    const dose = step?.dose ?? good?.feed?.dose;
    if (!good || !dose) return [];
    const waterLitres = waterFor(bag);
    const regimeId = feeding?.regime?.id;
    const answers = step && regimeId !== undefined ? { regimeId, stepId: step.id } : undefined;
    return [{ bag, good, dose, waterLitres, step: answers }];
  });
}

/** A part of the batch with what its mixer should know. */
export interface MixedPart {
  readonly part: BatchPart;
  readonly good: Good;
  readonly partner: Good | undefined;
  readonly check: DoseCheck | undefined;
  /** what plants get of it, mg/L, both parts together; undefined where it cannot be told */
  readonly mgPerLitre: Elements | undefined;
  readonly ec: { readonly low: number; readonly high: number } | undefined;
}

/**
 * The batch for some bags, can by can.
 *
 * @param ownDose amounts that the grower typed in place of the dose, by product
 */
export function mixedBatch(
  feeds: readonly BagFeed[],
  goods: readonly Good[],
  canLitres: number,
  handfulLitres: number,
  ownDose: Readonly<Record<string, number>>,
): readonly MixedPart[] {
  const needs = feeds.map(({ bag, good, dose, waterLitres }): BatchNeed => ({
    containerId: bag.container.id,
    waterLitres,
    plants: bag.occupants.length,
    mixLitres: bag.body.fill.mixLitres,
    goodId: good.id,
    dose: { ...dose, amount: ownDose[good.id] ?? dose.amount },
  }));
  return batchOf(needs, canLitres).flatMap((part): MixedPart[] => {
    const good = findGood(part.goodId, goods);
    if (!good?.feed) return [];
    const partnerId = good.feed.partnerId;
    const partner = partnerId === undefined ? undefined : findGood(partnerId, goods);
    const isWet = part.kind === 'in-water' && isGivenInWater(good.feed.form);
    const both = [good, ...(partner ? [partner] : [])].map((each) => {
      const grams = gramsOfFeed(part.dose, each, handfulLitres);
      return grams === undefined || !each.label ? undefined : milligramsPerLitre(grams, each.label);
    });
    const mgPerLitre = isWet && both.every((mg) => mg !== undefined) ? sum(both as Elements[]) : undefined;
    return [
      {
        part,
        good,
        partner,
        check: checkDose(part.dose, good.feed.dose, good, handfulLitres),
        mgPerLitre,
        ec: mgPerLitre && !good.isOrganic ? ecOf(mgPerLitre) : undefined,
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
