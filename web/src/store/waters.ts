import type { BagWater, Garden } from '@rundel/core/bag-state';
import { addDays, dayOf } from '@rundel/core/climate';
import { entriesAt, type Entry } from '@rundel/core/diary';
import type { Container, Stand } from '@rundel/core/garden';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { estimateWorker, type FailedWater } from '../workers/estimate.ts';
import { answersFor, type Answers } from './answers.ts';
import { learntOf, type Learnt } from './learnt.ts';
import { containersInUse } from './selectors.ts';
import { useGarden, type OpenGarden } from './garden-context.tsx';

/** Estimates are redone as time passes, at this pace. */
const QUARTER_HOUR = 900_000;

/** What was worked out last for each bag, by what it was worked out from: only changed bags are done again. */
const known: Answers<BagWater | FailedWater> = new Map();

export interface Waters {
  readonly byId: ReadonlyMap<string, BagWater>;
  readonly failed: readonly FailedWater[];
  /** whether the first answer is in */
  readonly isReady: boolean;
}

/** Older weather says nothing about a bag's water today (bags are followed 200 days at the most). */
const WEATHER_DAYS = 210;

/** The entries of a bag that its water depends on. */
const WATER_KINDS: ReadonlySet<string> = new Set([
  'look',
  'drink',
  'drip',
  'planted',
  'cleared',
  'height',
  'topped-up',
  'solution',
]);

/** The part of a garden that its bags' water depends on, small enough to post to a worker. */
export function gardenForWater(
  { garden, live }: Pick<OpenGarden, 'garden' | 'live'>,
  now: string,
  learnt: Learnt,
): Garden {
  return {
    ...withoutDiary(garden, learnt),
    entries: [...weatherSince(live, now), ...live.filter((e) => WATER_KINDS.has(e.kind))],
  };
}

/** What a worker does not need is not sent to it. */
export function withoutDiary(garden: Garden, learnt: Learnt): Garden {
  return {
    ...garden,
    settings: { ...garden.settings, assumptions: { ...learnt, ...garden.settings.assumptions } },
    goods: [],
    packs: [],
    templates: [],
    plans: [],
    regimes: [],
    entries: [],
  };
}

export function weatherSince(live: readonly Entry[], now: string): readonly Entry[] {
  const since = addDays(dayOf(now), -WEATHER_DAYS);
  return live.filter((e) => e.kind === 'weather' && e.day >= since);
}

/** The same for some bags. */
export function partFor(
  containers: readonly Container[],
  bare: Garden,
  weather: readonly Entry[],
  live: readonly Entry[],
): Garden {
  const here = containers.flatMap((c) => entriesAt(live, c.id).filter((e) => WATER_KINDS.has(e.kind)));
  return { ...bare, containers, entries: [...weather, ...here] };
}

/** Every bag's water now, recomputed in a worker when something that it depends on changes, and with time. */
export function useWaters(): Waters {
  const open = useGarden();
  const { garden, clock, which } = open;
  const quarter = useQuarterHour(clock.now());
  const query = useQuery({
    queryKey: ['waters', which, quarter, versionOf(garden)] as const,
    // while one bag is worked out anew the others stay as they are; another garden starts from nothing
    placeholderData: (before, query) => (query?.queryKey[1] === which ? before : undefined),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const { live } = open;
      const now = clock.now();
      const learnt = learntOf(open);
      const bare = withoutDiary(garden, learnt);
      const weather = weatherSince(live, now);
      const seen = weather.map((e) => e.id).join();
      const { settings, stands, varieties, plants, mixes } = garden;
      const asked = containersInUse(garden).map((container) => {
        const stand = stands.find((s) => s.id === container.standId);
        const here = entriesAt(live, container.id);
        const records = [container, stand, settings, varieties, plants, mixes];
        const from = [quarter, ...records, ...Object.values(learnt), seen, here];
        return { container, key: `${which}|${container.id}`, from };
      });
      return answersFor(known, asked, (worker, containers) =>
        worker.bagWaters(partFor(containers, bare, weather, live), containers, now),
      );
    },
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
  const shaded = (stand: Stand): Stand =>
    stand.id === container.standId ? { ...stand, shade: shade ?? 0 } : stand;
  const tried = shade === undefined ? bare : { ...bare, stands: bare.stands.map(shaded) };
  const part = partFor([container], tried, weatherSince(open.live, now), open.live);
  const [water] = await estimateWorker(container.id).bagWaters(part, [container], now, true);
  return !water || 'problem' in water ? undefined : water;
}

const versions = new WeakMap<Garden, number>();
let nextVersion = 1;

/** A number for each garden object: gardens are replaced whole, never changed, so identity is version. */
export function versionOf(garden: Garden): number {
  const found = versions.get(garden);
  if (found !== undefined) return found;
  versions.set(garden, nextVersion);
  return nextVersion++;
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
