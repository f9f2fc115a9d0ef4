import { entriesAt, type Entry } from '@rundel/core/records';
import type { FeedOffer } from '@rundel/core/garden-state';
import type { Bag, Walk } from '../../store/index.ts';
import type { StopStatus } from '@rundel/core/garden-state';

/** The offers that this walk's diary has not answered yet. */
export function unanswered(
  offers: readonly FeedOffer[],
  bag: Bag,
  walk: Walk | undefined,
  live: readonly Entry[],
): readonly FeedOffer[] {
  const since = walk ? Date.parse(walk.startedAt) : Infinity;
  const here = entriesAt(live, bag.container.id);
  return offers.filter(
    ({ state }) =>
      !here.some(
        (e) =>
          (e.kind === 'fed' || e.kind === 'feed-skipped') &&
          Date.parse(e.at) >= since &&
          (e.stepId === state.step.id || e.productId === state.step.productId),
      ),
  );
}

/** A stop that is done but for its feed is still open. */
export function withFeed(status: StopStatus, offers: readonly FeedOffer[]): StopStatus {
  const isWanted = offers.some(({ advice }) => advice.kind === 'feed');
  return status.kind === 'done' && status.check && isWanted ? { ...status, kind: 'feed' } : status;
}
