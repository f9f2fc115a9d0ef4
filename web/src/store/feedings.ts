import { feedingCaseOf } from '@rundel/core/garden-state';
import { addDays, dayOf } from '@rundel/core/calendar';
import { entriesAt, type Container, type Regime } from '@rundel/core/records';
import type { FeedingCase } from '@rundel/core/feeding';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { estimateWorker, type BagLedger, type FailedWater, type FeedingNow } from '../workers/estimate.ts';
import { answersFor, type Answers } from './answers.ts';
import type { Bag } from './bags.ts';
import { useGarden, type OpenGarden } from './garden-context.tsx';
import { containersInUse } from './selectors.ts';
import { versionOf } from './waters-question.ts';
import { useWaters } from './waters.ts';

/** The entries of a bag that its feeding depends on. */
const FEEDING_KINDS: ReadonlySet<string> = new Set([
  'filled',
  'fed',
  'feed-skipped',
  'regime',
  'stage',
  'planted',
  'cleared',
  'picking',
  'watering',
]);
const WEATHER_DAYS = 340;

/** What was worked out last for each bag, by what it was worked out from. */
const known: Answers<FeedingNow | FailedWater> = new Map();

/** The part of a garden that some bags' feeding depends on, small enough to post to a worker. */
export function gardenForFeeding(
  { garden, live }: Pick<OpenGarden, 'garden' | 'live'>,
  containers: readonly Container[],
  today: string,
) {
  const since = addDays(today, -WEATHER_DAYS);
  const weather = live.filter((e) => e.kind === 'weather' && e.day >= since);
  const here = containers.flatMap((c) => entriesAt(live, c.id).filter((e) => FEEDING_KINDS.has(e.kind)));
  return { ...garden, packs: [], templates: [], plans: [], entries: [...weather, ...here] };
}

/** Every bag's feeding today, reckoned in the worker; only what has changed is done again. */
export function useFeedings(): { readonly byId: ReadonlyMap<string, FeedingNow>; readonly isReady: boolean } {
  const open = useGarden();
  const { garden, clock, gardenId } = open;
  const { byId: waters, isReady } = useWaters();
  const today = dayOf(clock.now());
  // what ran through is known once the water is worked out: then the ledger is done again
  const movesKnown = [...waters.values()].reduce((sum, water) => sum + water.estimate.moves.length, 0);
  const query = useQuery({
    queryKey: ['feedings', gardenId, today, versionOf(garden), movesKnown] as const,
    enabled: isReady,
    placeholderData: (before, last) => (last?.queryKey[1] === gardenId ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    structuralSharing: false,
    queryFn: async () => {
      const { products, regimes, varieties, plants, mixes, measures, settings } = garden;
      const seen = open.live.flatMap((e) => (e.kind === 'weather' ? [e.id] : [])).join();
      const asked = containersInUse(garden).map((container) => {
        const place = garden.places.find((s) => s.id === container.placeId);
        const moves = waters.get(container.id)?.estimate.moves.length;
        const here = entriesAt(open.live, container.id);
        const records = [products, regimes, varieties, plants, mixes, measures, settings];
        const from = [today, seen, container, place, ...records, moves, here];
        return { container, key: `${gardenId}|${container.id}`, from };
      });
      const answers = await answersFor(known, asked, (worker, containers) => {
        const jobs = containers.map((container) => ({
          container,
          moves: waters.get(container.id)?.estimate.moves ?? [],
        }));
        return worker.bagFeedings(gardenForFeeding(open, containers, today), jobs, today);
      });
      return answers.filter((feeding): feeding is FeedingNow => !('problem' in feeding));
    },
  });
  return useMemo(
    () => ({
      byId: new Map((query.data ?? []).map((f) => [f.containerId, f])),
      isReady: query.data !== undefined || query.isError,
    }),
    [query.data, query.isError],
  );
}

/** One bag's ledger day by day, for its chart. */
export function useLedger(bag: Bag): BagLedger | undefined {
  const open = useGarden();
  const today = dayOf(open.clock.now());
  const { container, water } = bag;
  const query = useQuery({
    queryKey: [
      'ledger',
      open.gardenId,
      container.id,
      today,
      versionOf(open.garden),
      // what ran through is known once the water is worked out: then it is done again
      water?.estimate.moves.length,
    ] as const,
    enabled: water !== undefined,
    placeholderData: (before, last) => (last?.queryKey[2] === container.id ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const found = await estimateWorker(container.id).bagLedger(
        gardenForFeeding(open, [container], today),
        container,
        today,
        water?.estimate.moves ?? [],
      );
      return 'problem' in found ? null : found;
    },
  });
  return query.data ?? undefined;
}

/** A bag's case for the due engine under a regime that is only being thought of, taken up on a day. */
export function caseUnder(
  bag: Bag,
  feeding: FeedingNow,
  { live, garden }: Pick<OpenGarden, 'live' | 'garden'>,
  regime: Regime,
  since: string,
): FeedingCase {
  return feedingCaseOf(bag.container, bag.occupants, live, garden, feeding.stageDates, regime, since);
}
