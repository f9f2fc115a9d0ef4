import { dayOf } from '@rundel/core/calendar';
import { type Draft, isGivenInWater, type FeedAmount, type Good, type LabelDose } from '@rundel/core/records';
import { adviseFeed, feedFor, type FeedAdvice, type StepState } from '@rundel/core/feeding';
import { findGood } from '@rundel/core/products';
import type { Bag, FeedingNow } from '../store/index.ts';

/** A feed that a bag's regime asks for at this stop, or word why it has to wait. */
export interface FeedOffer {
  readonly state: Extract<StepState, { kind: 'due' }>;
  readonly regimeId: string;
  readonly good: Good;
  readonly partner: Good | undefined;
  readonly dose: LabelDose;
  readonly advice: FeedAdvice;
}

/** What a feed goes with where the bag needs no drink, L for each plant: it has to be in some water. */
export const FEED_LITRES = 1;

/** What an offer comes to in so much water. */
export function offeredAmount(offer: FeedOffer, bag: Bag, waterLitres: number): FeedAmount {
  return feedFor(offer.dose, {
    containerId: bag.container.id,
    waterLitres,
    plants: bag.occupants.length,
    mixLitres: bag.body.fill.mixLitres,
  });
}

/** The feeds that are due at a bag, each with what its water means for it. */
export function feedOffers(
  bag: Bag,
  feeding: FeedingNow | undefined,
  goods: readonly Good[],
  now: string,
  isWatered: boolean,
): readonly FeedOffer[] {
  const { water } = bag;
  const regime = feeding?.regime;
  if (!feeding || !regime || !water) return [];
  const { nextLook, rounds } = water.ahead;
  const next = nextLook.kind === 'at' ? nextLook.at : nextLook.kind === 'now' ? rounds[0]?.at : undefined;
  const share = water.estimate.share.likely;
  return feeding.states.flatMap((state): FeedOffer[] => {
    if (state.kind !== 'due') return [];
    const good = findGood(state.step.goodId, goods);
    const dose = state.step.dose ?? good?.feed?.dose;
    if (!good || !dose) return [];
    const nextOn = next === undefined ? undefined : dayOf(next);
    const advice = adviseFeed(state, dayOf(now), { share, isWatered, nextOn }, bag.body.assumed);
    if (advice.kind === 'not-yet') return [];
    const partnerId = good.feed?.partnerId;
    const partner = partnerId === undefined ? undefined : findGood(partnerId, goods);
    return [{ state, regimeId: regime.id, good, partner, dose, advice }];
  });
}

/** Bags that want to be on the round for their feed's sake, water or not. */
export function feedDueIds(
  bags: readonly Bag[],
  feedings: ReadonlyMap<string, FeedingNow>,
  goods: readonly Good[],
  now: string,
): ReadonlySet<string> {
  return new Set(
    bags
      .filter((bag) =>
        feedOffers(bag, feedings.get(bag.container.id), goods, now, false).some(
          ({ advice }) => advice.kind === 'feed',
        ),
      )
      .map((bag) => bag.container.id),
  );
}

/** A feed as it was given to a bag. */
export interface GivenFeed extends FeedAmount {
  readonly bag: Bag;
  readonly good: Good;
  /** the other part of a two-part nutrient: as much of it again */
  readonly partner?: Good | undefined;
  /** water that it was in, L; counts for what is given in water */
  readonly litres: number;
  /** the regime's step that it answers */
  readonly step?: { readonly regimeId: string; readonly stepId: string } | undefined;
}

/** Where a form goes when it is not over the mix. */
function intoOf(good: Good): 'leaves' | 'store' | undefined {
  const form = good.feed?.form;
  return form === 'foliar' ? 'leaves' : form === 'two-part' ? 'store' : undefined;
}

/** The diary entries of a feed: both parts of one that has two. */
export function fedDrafts(given: GivenFeed, at: string): Draft<'fed'>[] {
  const { bag, good, partner, amount, unit, litres, step } = given;
  const into = intoOf(good);
  const isInWater = good.feed !== undefined && isGivenInWater(good.feed.form);
  return [good, ...(partner ? [partner] : [])].map((part) => ({
    kind: 'fed',
    at,
    containerId: bag.container.id,
    goodId: part.id,
    amount,
    unit,
    ...(isInWater ? { litres } : {}),
    ...(into ? { into } : {}),
    ...step,
  }));
}

/** The same with the drink that its water is. */
export function fedWithDrink(given: GivenFeed, at: string): Draft[] {
  const { bag, good, litres } = given;
  const into = intoOf(good);
  const isInWater = good.feed !== undefined && isGivenInWater(good.feed.form);
  const drink: Draft<'drink'> = {
    kind: 'drink',
    at,
    containerId: bag.container.id,
    litres,
    isMeasured: true,
    ranThrough: false,
    ...(into === 'store' ? { into } : {}),
  };
  return [...(isInWater && into !== 'leaves' ? [drink] : []), ...fedDrafts(given, at)];
}

/** An offer as it was taken, in so much water. */
export function asGiven(offer: FeedOffer, bag: Bag, litres: number): GivenFeed {
  const { good, partner, regimeId, state } = offer;
  const step = { regimeId, stepId: state.step.id };
  return { bag, good, partner, litres, step, ...offeredAmount(offer, bag, litres) };
}
