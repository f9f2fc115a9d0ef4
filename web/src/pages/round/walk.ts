import type { RoundPlan } from '@rundel/core/round';
import { startTransition, useCallback, useEffect, useState } from 'react';
import { useGarden, told, type Walk } from '../../store/index.ts';

/** After this long a walk is over and the next visit begins another. */
const LONGEST_WALK_HOURS = 4;

/** A clock that was set back by no more than this (the demo's, at a reload) does not end a walk. */
const SET_BACK_HOURS = 1;

/** Whether a walk still goes on at a moment. */
export function isGoingOn(walk: Walk, now: string): boolean {
  const hours = (Date.parse(now) - Date.parse(walk.startedAt)) / 3_600_000;
  return hours > -SET_BACK_HOURS && hours < LONGEST_WALK_HOURS;
}

/** The plan is in so soon after the round was opened that what was done meanwhile belongs to it. */
const PLAN_COMES_WITHIN_MINUTES = 5;

/** When a walk begins whose plan is in now. */
export function beginning(openedAt: string, now: string): string {
  const minutes = (Date.parse(now) - Date.parse(openedAt)) / 60_000;
  return minutes >= 0 && minutes <= PLAN_COMES_WITHIN_MINUTES ? openedAt : now;
}

/** The walk as begun no later than now, so that what is done from now on counts in it. */
export function startedNoLaterThan(walk: Walk, now: string): Walk {
  return Date.parse(walk.startedAt) <= Date.parse(now) ? walk : { ...walk, startedAt: now };
}

/** The walk with bags that have become due since it began added at its end. */
export function withBags(walk: Walk, dueIds: readonly string[]): Walk {
  const more = dueIds.filter((id) => !walk.containerIds.includes(id));
  return more.length === 0 ? walk : { ...walk, containerIds: [...walk.containerIds, ...more] };
}

/** The walk in progress, begun when there is none. Undefined until the plan and the device's note are in. */
export function useWalk(plan: RoundPlan | undefined): {
  readonly walk: Walk | undefined;
  /** Keeps to some of the bags, since time is short; none given: to all again. */
  keepTo(containerIds: readonly string[] | undefined): void;
} {
  const { store, clock, gardenId } = useGarden();
  const [kept, setKept] = useState<{ gardenId: string; walk: Walk | undefined }>();
  useEffect(() => {
    let isCurrent = true;
    const shown = store.readWalk().then((read) => {
      // at once, and not when the plan is in: a check can be quicker than the plan, and it belongs to this walk
      if (!isCurrent) return;
      const walk = read && startedNoLaterThan(read, clock.now());
      // the first stop is much to draw: taps and frames may come in between
      startTransition(() => setKept({ gardenId, walk }));
      if (walk && walk !== read) told(store.writeNote('walk', walk));
    });
    // one that cannot be read is begun anew: the round is not waited for in vain
    told(
      shown.catch((problem: unknown) => {
        if (isCurrent) setKept({ gardenId, walk: undefined });
        throw problem;
      }),
    );
    return () => {
      isCurrent = false;
    };
  }, [clock, store, gardenId]);
  const keep = useCallback(
    (walk: Walk) => {
      setKept({ gardenId, walk });
      told(store.writeNote('walk', walk));
    },
    [store, gardenId],
  );
  // whoever comes straight to a stop may look at it before the plan is in: that check belongs to the walk that begins then
  const [openedAt] = useState(() => clock.now());
  const isLoaded = kept?.gardenId === gardenId;
  const current = isLoaded ? kept.walk : undefined;
  useEffect(() => {
    if (!isLoaded || !plan) return;
    const due = plan.stops.map((stop) => stop.containerId);
    const now = clock.now();
    const going =
      current && isGoingOn(current, now)
        ? startedNoLaterThan(withBags(current, due), now)
        : { startedAt: beginning(openedAt, now), containerIds: due };
    if (going !== current) startTransition(() => keep(going));
  }, [clock, current, isLoaded, keep, openedAt, plan]);
  const keepTo = useCallback(
    (containerIds: readonly string[] | undefined) => {
      if (!current) return;
      const { spotIds: _, ...whole } = current;
      keep(containerIds ? { ...whole, spotIds: [...containerIds] } : whole);
    },
    [current, keep],
  );
  return { walk: current && isGoingOn(current, clock.now()) ? current : undefined, keepTo };
}
