import { feedingCaseOf } from '@rundel/core/bag-state';
import { addDays, dayOf } from '@rundel/core/climate';
import type { Entry } from '@rundel/core/diary';
import type { FeedingCase, Regime } from '@rundel/core/feeding';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { estimateWorker, type BagLedger, type FailedWater, type FeedingNow } from '../workers/estimate.ts';
import type { Bag } from './bags.ts';
import { useGarden, type OpenGarden } from './garden-context.tsx';
import { containersInUse } from './selectors.ts';
import { useWaters, versionOf } from './waters.ts';

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
  'drink',
]);
const WEATHER_DAYS = 340;

/** What was worked out last for each bag, by what it was worked out from. */
const known = new Map<string, { readonly signature: string; readonly feeding: FeedingNow | FailedWater }>();

/** The part of a garden that its bags' feeding depends on, small enough to post to a worker. */
function gardenForFeeding({ garden, live }: OpenGarden, today: string) {
  const since = addDays(today, -WEATHER_DAYS);
  return {
    ...garden,
    packs: [],
    templates: [],
    plans: [],
    entries: live.filter((e) => (e.kind === 'weather' ? e.day >= since : FEEDING_KINDS.has(e.kind))),
  };
}

const isOf = (containerId: string) => (e: Entry) => 'containerId' in e && e.containerId === containerId;

/** Every bag's feeding today, reckoned in the worker; only what has changed is done again. */
export function useFeedings(): { readonly byId: ReadonlyMap<string, FeedingNow>; readonly isReady: boolean } {
  const open = useGarden();
  const { garden, clock, which } = open;
  const { byId: waters, isReady } = useWaters();
  const today = dayOf(clock.now());
  // what ran through is known once the water is worked out: then the ledger is done again
  const movesKnown = [...waters.values()].reduce((sum, water) => sum + water.estimate.moves.length, 0);
  const query = useQuery({
    queryKey: ['feedings', which, today, versionOf(garden), movesKnown] as const,
    enabled: isReady,
    placeholderData: (before, last) => (last?.queryKey[1] === which ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const whole = gardenForFeeding(open, today);
      const weather = whole.entries.flatMap((e) => (e.kind === 'weather' ? [e.id] : [])).join();
      const records = [
        ...garden.goods,
        ...garden.regimes,
        ...garden.varieties,
        ...garden.mixes,
        ...garden.measures,
      ]
        .map((r) => `${r.changedAt}${r.binnedAt ?? ''}`)
        .join();
      const asked = containersInUse(garden).map((container) => {
        const stand = garden.stands.find((s) => s.id === container.standId);
        const signature = [
          today,
          weather,
          container.changedAt,
          stand?.changedAt,
          garden.settings.changedAt,
          records,
          waters.get(container.id)?.estimate.moves.length,
          whole.entries
            .filter(isOf(container.id))
            .map((e) => e.id)
            .join(),
        ].join('|');
        return { container, key: `${which}|${container.id}`, signature };
      });
      const changed = asked.filter(({ key, signature }) => known.get(key)?.signature !== signature);
      // each worker gets its bags in one message: the garden is copied once and not for every bag
      const shares = new Map<ReturnType<typeof estimateWorker>, typeof changed>();
      for (const each of changed) {
        const worker = estimateWorker(each.container.id);
        shares.set(worker, [...(shares.get(worker) ?? []), each]);
      }
      await Promise.all(
        [...shares].map(async ([worker, share]) => {
          const jobs = share.map(({ container }) => ({
            container,
            moves: waters.get(container.id)?.estimate.moves ?? [],
          }));
          const found = await worker.bagFeedings(whole, jobs, today);
          found.forEach((feeding, i) => {
            const { key, signature } = share[i] as (typeof share)[number];
            known.set(key, { signature, feeding });
          });
        }),
      );
      return asked.flatMap(({ key }) => {
        const feeding = known.get(key)?.feeding;
        return feeding && !('problem' in feeding) ? [feeding] : [];
      });
    },
  });
  return useMemo(
    () => ({
      byId: new Map((query.data ?? []).map((f) => [f.containerId, f])),
      isReady: query.data !== undefined,
    }),
    [query.data],
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
      open.which,
      container.id,
      today,
      versionOf(open.garden),
      water !== undefined,
    ] as const,
    enabled: water !== undefined,
    placeholderData: (before, last) => (last?.queryKey[2] === container.id ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const found = await estimateWorker(container.id).bagLedger(
        gardenForFeeding(open, today),
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
  return feedingCaseOf(bag.container, bag.occupants, live, garden, feeding.marks, regime, since);
}
