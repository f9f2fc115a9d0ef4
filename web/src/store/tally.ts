import { dayOf, type Day } from '@rundel/core/calendar';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import type { TallyApi } from '../workers/tally-api.ts';
import { inWorkers, versionOf } from './bag-states-query.ts';
import { useGarden } from './garden-context.tsx';

/**
 * Asks the worker for something of the garden's tally, anew for each change and each day; meanwhile what was said before stays.
 *
 * @param about what is asked, as its key
 */
export function useTally<T>(
  about: readonly unknown[],
  ask: (api: Remote<TallyApi>, today: Day) => Promise<T>,
  isWanted = true,
): UseQueryResult<T> {
  const { garden, gardenId, clock, isWhole } = useGarden();
  const today = dayOf(clock.now());
  return useQuery({
    queryKey: ['tally', gardenId, ...about, today, versionOf(garden)] as const,
    enabled: isWanted && isWhole,
    staleTime: Infinity,
    gcTime: 60_000,
    structuralSharing: false,
    placeholderData: (before, last) =>
      last &&
      JSON.stringify(last.queryKey.slice(1, 2 + about.length)) === JSON.stringify([gardenId, ...about])
        ? before
        : undefined,
    queryFn: async () => (await inWorkers(gardenId).tally(garden, (api) => ask(api, today))) ?? null,
  }) as UseQueryResult<T>;
}
