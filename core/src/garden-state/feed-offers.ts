import type { BagView } from './bag-view.ts';
import { dayOf } from '../calendar/index.ts';
import {
  type Draft,
  isGivenInWater,
  type FeedAmount,
  type Product,
  type LabelDose,
} from '../records/index.ts';
import {
  adviseFeed,
  doseOfStep,
  feedFor,
  isTooDryToFeed,
  usualInto,
  type FedInto,
  type FeedAdvice,
  type StepState,
} from '../feeding/index.ts';
import { findProduct } from '../products/index.ts';

/** A feed that a bag's regime asks for at this stop, or word why it has to wait. */
export interface FeedOffer {
  readonly state: Extract<StepState, { kind: 'due' }>;
  readonly regimeId: string;
  readonly product: Product;
  readonly partner: Product | undefined;
  readonly dose: LabelDose;
  /** the whole dose of what goes into every watering in part: the other way to give it; undefined for what does not */
  readonly fullDose: LabelDose | undefined;
  readonly into: FedInto | undefined;
  readonly advice: FeedAdvice;
}

/** Until this hour the sun is low enough for wet leaves; they dry during the morning. */
const SPRAY_UNTIL = 9;

/** What a feed goes with where the bag needs no watering, L for each plant: it has to be in some water. */
export const FEED_LITRES = 1;

/** Water that a feed is in, L: that of the watering, and for leaves what wets them. */
export function feedLitres(into: FedInto | undefined, bag: BagView, wateringLitres: number): number {
  const plants = Math.max(1, bag.occupants.length);
  return into === 'leaves' ? bag.properties.assumed.leafSpray * plants : wateringLitres;
}

/** What an offer comes to with so much water poured. */
export function offeredAmount(offer: FeedOffer, bag: BagView, wateringLitres: number): FeedAmount {
  return feedFor(offer.dose, {
    containerId: bag.container.id,
    waterLitres: feedLitres(offer.into, bag, wateringLitres),
    plants: bag.occupants.length,
    mixLitres: bag.properties.fill.mixLitres,
  });
}

/** The feeds that are due at a bag, each with what its water means for it. */
export function feedOffers(
  bag: BagView,
  products: readonly Product[],
  now: string,
  stop: {
    readonly isWatered: boolean;
    readonly foundDry?: boolean;
    /** the hour of the day, for what goes over leaves; left out: it may be any */
    readonly hour?: number;
  },
): readonly FeedOffer[] {
  const { water, feeding } = bag;
  const regime = feeding?.regime;
  if (!feeding || !regime || !water) return [];
  const { nextCheck, rounds } = water.ahead;
  const next = nextCheck.kind === 'at' ? nextCheck.at : nextCheck.kind === 'now' ? rounds[0]?.at : undefined;
  const share = water.estimate.share.likely;
  return feeding.states.flatMap((state): FeedOffer[] => {
    if (state.kind !== 'due') return [];
    const product = findProduct(state.step.productId, products);
    const { step } = state;
    const dose = doseOfStep(step, product);
    if (!product || !dose) return [];
    const nextOn = next === undefined ? undefined : dayOf(next);
    const { assumed } = bag.properties;
    const isSunny = stop.hour !== undefined && stop.hour >= SPRAY_UNTIL && stop.hour < assumed.sprayFrom;
    const advice = adviseFeed(state, dayOf(now), { share, nextOn, isSunny, ...stop }, assumed);
    if (advice.kind === 'not-yet') return [];
    const canBeFull = step.withWatering !== undefined && !isTooDryToFeed({ share, ...stop }, assumed);
    const fullDose = canBeFull ? doseOfStep({ ...step, withWatering: undefined }, product) : undefined;
    const into = step.into ?? usualInto(product);
    const partnerId = product.feed?.partnerId;
    const partner = partnerId === undefined ? undefined : findProduct(partnerId, products);
    return [{ state, regimeId: regime.id, product, partner, dose, fullDose, into, advice }];
  });
}

/**
 * Bags that want to be on the round for their feed's sake, water or not.
 *
 * @param hour of the round: what goes over leaves waits for a low sun; left out: it may be any
 */
export function feedDueIds(
  bags: readonly BagView[],
  products: readonly Product[],
  now: string,
  hour?: number,
): ReadonlySet<string> {
  return new Set(
    bags
      .filter((bag) =>
        feedOffers(bag, products, now, { isWatered: false, ...(hour === undefined ? {} : { hour }) }).some(
          ({ advice }) => advice.kind === 'feed',
        ),
      )
      .map((bag) => bag.container.id),
  );
}

/** A feed as it was given to a bag. */
export interface GivenFeed extends FeedAmount {
  readonly bag: BagView;
  readonly product: Product;
  /** the other part of a two-part nutrient: as much of it again */
  readonly partner?: Product | undefined;
  /** water that it was in, L; counts for what is given in water */
  readonly litres: number;
  /** over the leaves or into the store; left out: over the mix */
  readonly into: FedInto | undefined;
  /** the regime's step that it answers */
  readonly step?: { readonly regimeId: string; readonly stepId: string } | undefined;
}

/** The diary entries of a feed: both parts of one that has two. */
export function fedDrafts(given: GivenFeed, at: string): Draft<'fed'>[] {
  const { bag, product, partner, amount, unit, litres, into, step } = given;
  const isInWater = product.feed !== undefined && isGivenInWater(product.feed.form);
  return [product, ...(partner ? [partner] : [])].map((part) => ({
    kind: 'fed',
    at,
    containerId: bag.container.id,
    productId: part.id,
    amount,
    unit,
    ...(isInWater ? { litres } : {}),
    ...(into ? { into } : {}),
    ...step,
  }));
}

/** The same with the watering that its water is; what wets leaves is none. */
export function fedWithWatering(given: GivenFeed, at: string): Draft[] {
  const { bag, product, litres, into } = given;
  const isInWater = product.feed !== undefined && isGivenInWater(product.feed.form);
  const watering: Draft<'watering'> = {
    kind: 'watering',
    at,
    containerId: bag.container.id,
    litres,
    isMeasured: true,
    ranThrough: false,
    ...(into === 'store' ? { into } : {}),
  };
  return [...(isInWater && into !== 'leaves' ? [watering] : []), ...fedDrafts(given, at)];
}

/** An offer as it was taken, with so much water poured. */
export function asGiven(offer: FeedOffer, bag: BagView, wateringLitres: number): GivenFeed {
  const { product, partner, regimeId, state, into } = offer;
  const step = { regimeId, stepId: state.step.id };
  const litres = feedLitres(into, bag, wateringLitres);
  return { bag, product, partner, litres, into, step, ...offeredAmount(offer, bag, wateringLitres) };
}
