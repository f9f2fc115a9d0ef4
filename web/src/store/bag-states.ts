import type { BagLedger, BagState, FailedBag, WhatIf } from '@rundel/core/garden-state';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { bagStatesQuery, inWorkers, QUARTER_HOUR, versionOf } from './bag-states-query.ts';
import { useGarden } from './garden-context.tsx';

export interface BagStates {
  readonly byId: ReadonlyMap<string, BagState>;
  readonly failed: readonly FailedBag[];
  /** whether the first answer is in */
  readonly isReady: boolean;
}

/** Every bag's state now, worked out anew when something that it depends on changes, and with time. */
export function useBagStates(): BagStates {
  const open = useGarden();
  const { clock, gardenId } = open;
  const quarter = useQuarterHour(clock.now());
  const query = useQuery({
    ...bagStatesQuery(open, quarter),
    // while one bag is worked out anew the others stay as they are; another garden starts from nothing
    placeholderData: (before, last) => (last?.queryKey[1] === gardenId ? before : undefined),
  });
  // a first answer is much to draw and nobody waits at a stop yet: it may be drawn in pieces. Later ones come at once
  const isReady = useDeferredValue(query.data !== undefined);
  const found = isReady ? query.data : undefined;
  return useMemo(() => {
    const all = found ?? [];
    return {
      byId: new Map(all.flatMap((s) => ('problem' in s ? [] : [[s.containerId, s] as const]))),
      failed: all.filter((s): s is FailedBag => 'problem' in s),
      isReady: found !== undefined,
    };
  }, [found]);
}

/** How long a bag would keep under each change that it could have, worked out while it is asked for. */
export function useWhatIf(containerId: string): WhatIf | undefined {
  const open = useGarden();
  const { garden, clock, gardenId } = open;
  const quarter = useQuarterHour(clock.now());
  const query = useQuery({
    queryKey: ['what-if', gardenId, containerId, quarter, versionOf(garden)] as const,
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const found = await inWorkers(gardenId).whatIf(garden, containerId, clock.now());
      return 'problem' in found ? null : found;
    },
  });
  return query.data ?? undefined;
}

/** One bag's ledger day by day, for its chart. */
export function useLedger(containerId: string): BagLedger | undefined {
  const open = useGarden();
  const { garden, clock, gardenId } = open;
  const { byId } = useBagStates();
  const state = byId.get(containerId);
  const query = useQuery({
    queryKey: ['ledger', gardenId, containerId, clock.now().slice(0, 10), versionOf(garden)] as const,
    enabled: state !== undefined,
    placeholderData: (before, last) => (last?.queryKey[2] === containerId ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const found = await inWorkers(gardenId).ledger(garden, containerId, clock.now());
      return 'problem' in found ? null : found;
    },
  });
  return query.data ?? undefined;
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
