import type { Assumed } from '../assumed/index.ts';
import type { Day } from '../calendar/index.ts';
import type { StepState } from './due.ts';

/** What a bag's water means for a feed. */
export type FeedAdvice =
  /** joined with a watering that is due, or on its own day */
  | { readonly kind: 'feed'; readonly isJoined: boolean; readonly isOverdue: boolean }
  /** its day has not come, and the next watering is in time */
  | { readonly kind: 'not-yet' }
  /** water first, feed at the next stop */
  | { readonly kind: 'too-dry' }
  /** wait until it has drunk */
  | { readonly kind: 'too-wet' }
  /** over leaves only when the sun is low: at the evening round */
  | { readonly kind: 'in-sun' };

/** A bag's water at a stop. */
export interface FeedingWater {
  /** share of available water, as found or estimated, 0 to 1 */
  readonly share: number;
  readonly isWatered: boolean;
  /** it was felt dry at this very stop: it is watered now and fed at the next, whatever has been poured since */
  readonly foundDry?: boolean;
  /** the day of the next watering after this one, if it can be told */
  readonly nextOn: Day | undefined;
  /** whether the sun is high now; left out: it may not be */
  readonly isSunny?: boolean;
}

/**
 * Whether a feed that is due should be given at this stop: joined with a watering when its day has come or would pass before
 * the next one; not on a dry bag, where it scorches, and not on a sodden one, where it only runs through.
 */
export function adviseFeed(
  due: Pick<Extract<StepState, { kind: 'due' }>, 'step' | 'earliest' | 'target' | 'latest'>,
  today: Day,
  water: FeedingWater,
  assumed: Assumed,
): FeedAdvice {
  if (today < due.earliest) return { kind: 'not-yet' };
  const isSpray = due.step.into === 'leaves';
  if (due.step.withWatering && !water.isWatered) return { kind: 'not-yet' };
  const passes = water.nextOn === undefined ? today >= due.target : water.nextOn > due.latest;
  if (today < due.target && !(water.isWatered && passes)) return { kind: 'not-yet' };
  // so weak a feed scorches no more than the water that it is in
  const isWeak = due.step.withWatering !== undefined && due.step.withWatering.share <= WEAK_SHARE;
  if (!isWeak && isTooDryToFeed(water, assumed)) return { kind: 'too-dry' };
  if (isSpray && water.isSunny) return { kind: 'in-sun' };
  // what goes over leaves, or into water that is poured all the same, does not mind a wet mix
  const isForRoots = !isSpray && !due.step.withWatering;
  if (isForRoots && water.share > assumed.feedWetAbove && today <= due.latest) return { kind: 'too-wet' };
  return { kind: 'feed', isJoined: water.isWatered, isOverdue: today > due.latest };
}

/** Up to this part of a dose a feed in every watering is as safe on dry mix as the water itself. */
const WEAK_SHARE = 0.5;

/** Whether a full feed would scorch the roots. */
export function isTooDryToFeed(
  water: Pick<FeedingWater, 'share' | 'foundDry'>,
  assumed: Pick<Assumed, 'feedDryBelow'>,
): boolean {
  return water.foundDry === true || water.share < assumed.feedDryBelow;
}
