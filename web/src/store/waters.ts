import type { BagWater } from '@rundel/core/garden-state';
import type { Container, Place } from '@rundel/core/records';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { estimateWorker, type FailedWater } from '../workers/estimate.ts';
import { useGarden, type OpenGarden } from './garden-context.tsx';
import { learntOf } from './learnt.ts';
import { partFor, QUARTER_HOUR, watersQuestion, weatherSince, withoutDiary } from './waters-question.ts';

export interface Waters {
  readonly byId: ReadonlyMap<string, BagWater>;
  readonly failed: readonly FailedWater[];
  /** whether the first answer is in */
  readonly isReady: boolean;
}

/** Every bag's water now, recomputed in a worker when something that it depends on changes, and with time. */
export function useWaters(): Waters {
  const open = useGarden();
  const { clock, gardenId } = open;
  const quarter = useQuarterHour(clock.now());
  const query = useQuery({
    ...watersQuestion(open, quarter),
    // while one bag is worked out anew the others stay as they are; another garden starts from nothing
    placeholderData: (before, query) => (query?.queryKey[1] === gardenId ? before : undefined),
  });
  // a first answer is much to draw and nobody waits at a stop yet: it may be drawn in pieces. Later ones come at once
  const isReady = useDeferredValue(query.data !== undefined);
  const found = isReady ? query.data : undefined;
  return useMemo(() => {
    const all = found ?? [];
    return {
      byId: new Map(all.filter((w): w is BagWater => !('problem' in w)).map((w) => [w.containerId, w])),
      failed: all.filter((w): w is FailedWater => 'problem' in w),
      isReady: found !== undefined,
    };
  }, [found]);
}

/** The water of a bag as it would be if its record were another: worked out in the worker, stored nowhere. */
export async function waterIf(
  container: Container,
  open: OpenGarden,
  shade?: number,
): Promise<BagWater | undefined> {
  const now = open.clock.now();
  const bare = withoutDiary(open.garden, learntOf(open));
  const shaded = (place: Place): Place =>
    place.id === container.placeId ? { ...place, shade: shade ?? 0 } : place;
  const tried = shade === undefined ? bare : { ...bare, places: bare.places.map(shaded) };
  const part = partFor([container], tried, weatherSince(open.live, now), open.live);
  const [water] = await estimateWorker(container.id).bagWaters(part, [container], now, true);
  return !water || 'problem' in water ? undefined : water;
}

function useQuarterHour(now: string): number {
  const [quarter, setQuarter] = useState(() => Math.floor(Date.parse(now) / QUARTER_HOUR));
  const current = Math.floor(Date.parse(now) / QUARTER_HOUR);
  useEffect(() => {
    const timer = setInterval(() => setQuarter((last) => last + 1), QUARTER_HOUR);
    return () => clearInterval(timer);
  }, []);
  return Math.max(quarter, current);
}
