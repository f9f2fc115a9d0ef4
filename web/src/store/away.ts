import { occupantsNow } from '@rundel/core/plants';
import { learntOf, withLearnt } from '@rundel/core/garden-state';
import type { AwayPlan, AwayQuestion, DryMonth, Rounds } from '@rundel/core/away';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { dryDaysInWorker, planAwayInWorker, type BagsOnRounds } from '../workers/away.ts';
import { versionOf } from './bag-states-query.ts';
import { useGarden } from './garden-context.tsx';
import { containersInUse } from './selectors.ts';

export type AwayState =
  | {
      readonly kind: 'working';
      readonly share: number;
      readonly before: AwayPlan | undefined;
      cancel(): void;
    }
  | { readonly kind: 'ready'; readonly plan: AwayPlan }
  | { readonly kind: 'stopped'; again(): void }
  | { readonly kind: 'failed'; readonly problem: string };

/** A grower who is still typing is not answered at each letter. */
const PATIENCE_MILLISECONDS = 350;

/** The plan for a time away, worked out anew whenever the question changes; the last one stays until the next is there. */
export function useAwayPlan(question: AwayQuestion | undefined): AwayState | undefined {
  const { garden, live, clock } = useGarden();
  const [state, setState] = useState<AwayState>();
  const [turn, setTurn] = useState(0);
  const key = question && JSON.stringify(question);
  useEffect(() => {
    if (key === undefined) return;
    const stop = new AbortController();
    let isStopped = false;
    const cancel = () => {
      isStopped = true;
      stop.abort();
      setState({ kind: 'stopped', again: () => setTurn((t) => t + 1) });
    };
    const onProgress = (share: number) =>
      setState((now) => (now?.kind === 'working' ? { ...now, share } : now));
    const timer = setTimeout(() => {
      setState((now) => ({
        kind: 'working',
        share: 0,
        before: now?.kind === 'ready' ? now.plan : now?.kind === 'working' ? now.before : undefined,
        cancel,
      }));
      const planted = containersInUse(garden).filter((c) => occupantsNow(c, live, garden).length > 0);
      planAwayInWorker(
        { ...withLearnt(garden, learntOf(garden, live)), entries: live },
        planted,
        clock.now(),
        JSON.parse(key) as AwayQuestion,
        onProgress,
        stop.signal,
      ).then(
        (plan) => {
          if (!stop.signal.aborted) setState({ kind: 'ready', plan });
        },
        (cause: unknown) => {
          if (stop.signal.aborted) return;
          setState({ kind: 'failed', problem: cause instanceof Error ? cause.message : String(cause) });
        },
      );
    }, PATIENCE_MILLISECONDS);
    return () => {
      clearTimeout(timer);
      if (!isStopped) stop.abort();
    };
  }, [clock, garden, key, live, turn]);
  return question ? state : undefined;
}

/** What some rounds leave dry of some bags, month by month; undefined while it is being worked out. */
export function useDryDays(
  bags: BagsOnRounds | undefined,
  rounds: Rounds,
): Readonly<Record<string, readonly DryMonth[]>> | undefined {
  const { garden, live, clock, gardenId } = useGarden();
  const query = useQuery<Readonly<Record<string, readonly DryMonth[]>>>({
    queryKey: ['dry-days', gardenId, versionOf(garden), clock.now().slice(0, 10), rounds, bags],
    enabled: bags !== undefined,
    // the last answer stays until the next is there, dimmed by whoever shows it
    placeholderData: (before) => before,
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: ({ signal }) =>
      dryDaysInWorker(
        { ...withLearnt(garden, learntOf(garden, live)), entries: live },
        bags as BagsOnRounds,
        clock.now(),
        rounds,
        signal,
      ),
  });
  return query.data;
}
