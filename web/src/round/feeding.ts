import { dayOf } from '@rundel/core/climate';
import type { Draft, Entry } from '@rundel/core/diary';
import { adviseFeed, feedFor, type FeedAdvice, type StepState } from '@rundel/core/feeding';
import { findGood, isGivenInWater, type FeedAmount, type Good, type LabelDose } from '@rundel/core/goods';
import type { Bag, FeedingNow } from '../store/index.ts';
import type { StopStatus } from './stops.ts';
import type { Walk } from './walk.ts';

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
export const FEED_LITRES = 0.75;

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

/** The offers that this walk's diary has not answered yet. */
export function unanswered(
  offers: readonly FeedOffer[],
  bag: Bag,
  walk: Walk | undefined,
  live: readonly Entry[],
): readonly FeedOffer[] {
  const since = walk ? Date.parse(walk.startedAt) : Infinity;
  return offers.filter(
    ({ state }) =>
      !live.some(
        (e) =>
          (e.kind === 'fed' || e.kind === 'feed-skipped') &&
          e.containerId === bag.container.id &&
          Date.parse(e.at) >= since &&
          (e.stepId === state.step.id || e.goodId === state.step.goodId),
      ),
  );
}

/** A stop that is done but for its feed is still open. */
export function withFeed(status: StopStatus, offers: readonly FeedOffer[]): StopStatus {
  const isWanted = offers.some(({ advice }) => advice.kind === 'feed');
  return status.kind === 'done' && status.look && isWanted ? { ...status, kind: 'feed' } : status;
}

/** The diary entries of a feed given as it was offered: both parts of one that has two. */
export function fedDrafts(offer: FeedOffer, bag: Bag, waterLitres: number, at: string): Draft<'fed'>[] {
  const { good, partner, state, regimeId } = offer;
  const { amount, unit } = offeredAmount(offer, bag, waterLitres);
  const form = good.feed?.form;
  return [good, ...(partner ? [partner] : [])].map((part) => ({
    kind: 'fed',
    at,
    containerId: bag.container.id,
    goodId: part.id,
    amount,
    unit,
    ...(form && isGivenInWater(form) ? { litres: waterLitres } : {}),
    ...(form === 'foliar' ? { into: 'leaves' as const } : {}),
    ...(form === 'two-part' ? { into: 'store' as const } : {}),
    regimeId,
    stepId: state.step.id,
  }));
}
