import type { BagLedger, BagState, FailedBag, WhatIf } from '@rundel/core/garden-state';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useState } from 'react';
import { bagStatesQuery, inWorkers, versionOf } from './bag-states-query.ts';
import { useGarden } from './garden-context.tsx';
import { keepLastStates } from './kept-states.ts';
import { lightened, QUARTER_HOUR, quarterOf, stillHold } from './last-states.ts';

export type States = readonly (BagState | FailedBag)[];

export interface BagStates {
  readonly states: States;
  /** whether the first answer is in */
  readonly isReady: boolean;
  /** whether they are as they last were, and not as they are now */
  readonly isOld: boolean;
}

/** Every bag's state now, worked out anew when something that it depends on changes, and with time. */
export function useBagStates(): BagStates {
  const open = useGarden();
  const { clock, gardenId, isWhole, lastStates, stamp, store } = open;
  const quarter = useQuarterHour(clock.now());
  // what was worked out of this very garden in this quarter of an hour need not be worked out before it is shown
  const isStillSo = stillHold(lastStates, stamp, quarter);
  const isSettled = useSettled();
  const query = useQuery({
    ...bagStatesQuery(open, quarter),
    enabled: isWhole && (isSettled || !isStillSo),
    // while one bag is worked out anew the others stay as they are; another garden starts from what was kept of it
    placeholderData: (before, last) =>
      last?.queryKey[1] === gardenId && before ? before : lastStates?.states,
  });
  // a first answer is much to draw and nobody waits at a stop yet: it may be drawn in pieces. Later ones come at once
  const isDrawn = useDeferredValue(query.data !== undefined);
  const found = isDrawn ? query.data : undefined;
  const isOld = found !== undefined && found === lastStates?.states && !isStillSo;
  const { data, isPlaceholderData } = query;
  useEffect(() => {
    if (!data || isPlaceholderData) return undefined;
    // kept when there is nothing better to do: it is for the next visit
    const timer = setTimeout(() => {
      const last = { stamp, at: clock.now(), states: lightened(data) };
      void keepLastStates(store, last).catch(() => undefined);
    }, KEPT_AFTER);
    return () => clearTimeout(timer);
  }, [clock, data, isPlaceholderData, stamp, store]);
  return { states: found ?? NONE, isReady: found !== undefined && !isOld, isOld };
}

const NONE: States = [];

/** How long after they were worked out states are kept for the next visit, ms. */
const KEPT_AFTER = 1500;

/** How long a visit goes on before what is shown already is worked out anew in the background, ms. */
const SETTLED_AFTER = 4000;

/** Whether the first drawing is long past: then the workers get ready for what will be asked of them. */
function useSettled(): boolean {
  const [isSettled, setSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), SETTLED_AFTER);
    return () => clearTimeout(timer);
  }, []);
  return isSettled;
}

/** How long a bag would keep under each change that it could have, worked out while it is asked for. */
export function useWhatIf(containerId: string): WhatIf | undefined {
  const open = useGarden();
  const { garden, clock, gardenId, isWhole } = open;
  const quarter = useQuarterHour(clock.now());
  const query = useQuery({
    enabled: isWhole,
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
  const { garden, clock, gardenId, isWhole } = open;
  const { states } = useBagStates();
  const state = states.find((s) => s.containerId === containerId && !('problem' in s));
  const query = useQuery({
    queryKey: ['ledger', gardenId, containerId, clock.now().slice(0, 10), versionOf(garden)] as const,
    enabled: isWhole && state !== undefined,
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
  const [quarter, setQuarter] = useState(() => quarterOf(now));
  const current = quarterOf(now);
  useEffect(() => {
    const timer = setInterval(() => setQuarter((last) => last + 1), QUARTER_HOUR);
    return () => clearInterval(timer);
  }, []);
  return Math.max(quarter, current);
}
