import { resolveAssumed } from '@rundel/core/assumed';
import {
  bodyOf,
  learnFinger,
  type BagBody,
  type BagWater,
  type Garden,
  type LearntFinger,
} from '@rundel/core/bag-state';
import { addDays, dayOf } from '@rundel/core/climate';
import type { Container, Stand } from '@rundel/core/garden';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { estimateWorker, type FailedWater } from '../workers/estimate.ts';
import { containersInUse } from './selectors.ts';
import { useGarden, type OpenGarden } from './garden-context.tsx';

/** Estimates are redone as time passes, at this pace. */
const QUARTER_HOUR = 900_000;

/** What was worked out last for each bag, by what it was worked out from: only changed bags are done again. */
const known = new Map<string, { readonly signature: string; readonly water: BagWater | FailedWater }>();

export interface Waters {
  readonly byId: ReadonlyMap<string, BagWater>;
  readonly failed: readonly FailedWater[];
  /** whether the first answer is in */
  readonly isReady: boolean;
}

/** Older weather says nothing about a bag's water today (bags are followed 200 days at the most). */
const WEATHER_DAYS = 210;

/** The entries of a bag that its water depends on. */
const WATER_KINDS: ReadonlySet<string> = new Set(['look', 'drink', 'drip', 'planted', 'cleared', 'height']);

/** The part of a garden that its bags' water depends on, small enough to post to a worker. */
export function gardenForWater(
  { garden, live }: Pick<OpenGarden, 'garden' | 'live'>,
  now: string,
  finger: Partial<LearntFinger>,
): Garden {
  const since = addDays(dayOf(now), -WEATHER_DAYS);
  return {
    ...garden,
    settings: { ...garden.settings, assumptions: { ...finger, ...garden.settings.assumptions } },
    goods: [],
    packs: [],
    templates: [],
    plans: [],
    regimes: [],
    entries: live.filter((e) => (e.kind === 'weather' ? e.day >= since : WATER_KINDS.has(e.kind))),
  };
}

/** The same for one bag. */
function partFor(container: Container, whole: Garden): Garden {
  return {
    ...whole,
    containers: [container],
    entries: whole.entries.filter(
      (e) => e.kind === 'weather' || ('containerId' in e && e.containerId === container.id),
    ),
  };
}

function signatureOf(part: Garden, container: Container, quarter: number): string {
  const stand = part.stands.find((s) => s.id === container.standId);
  const varieties = [...part.varieties, ...part.mixes].map((v) => v.changedAt).join();
  return [
    quarter,
    container.changedAt,
    stand?.changedAt,
    part.settings.changedAt,
    varieties,
    part.settings.assumptions['fingerOffset'],
    part.entries.map((e) => e.id).join(),
  ].join('|');
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
      const now = clock.now();
      const whole = gardenForWater(open, now, fingerOf(open));
      return Promise.all(
        containersInUse(garden).map(async (container) => {
          const part = partFor(container, whole);
          const signature = signatureOf(part, container, quarter);
          const key = `${which}|${container.id}`;
          const before = known.get(key);
          if (before?.signature === signature) return before.water;
          const water = await estimateWorker(container.id).bagWater(part, container, now);
          known.set(key, { signature, water });
          return water;
        }),
      );
    },
  });
  return useMemo(() => {
    const all = query.data ?? [];
    return {
      byId: new Map(all.filter((w): w is BagWater => !('problem' in w)).map((w) => [w.containerId, w])),
      failed: all.filter((w): w is FailedWater => 'problem' in w),
      isReady: query.data !== undefined,
    };
  }, [query.data]);
}

/** The water of a bag as it would be if its record were another: worked out in the worker, stored nowhere. */
export async function waterIf(
  container: Container,
  open: OpenGarden,
  shade?: number,
): Promise<BagWater | undefined> {
  const now = open.clock.now();
  const whole = gardenForWater(open, now, fingerOf(open));
  const shaded = (stand: Stand): Stand =>
    stand.id === container.standId ? { ...stand, shade: shade ?? 0 } : stand;
  const tried = shade === undefined ? whole : { ...whole, stands: whole.stands.map(shaded) };
  const water = await estimateWorker(container.id).bagWater(partFor(container, tried), container, now, true);
  return 'problem' in water ? undefined : water;
}

/** This grower's finger, learnt from looks beside weighings; nothing where there are none. */
export function fingerOf({ garden, live }: Pick<OpenGarden, 'garden' | 'live'>): Partial<LearntFinger> {
  if (!live.some((e) => e.kind === 'look' && e.look.method === 'scale')) return {};
  const bodies = new Map<string, BagBody>();
  for (const container of garden.containers) {
    try {
      bodies.set(container.id, bodyOf(container, garden));
    } catch {
      // a bag that cannot be worked out teaches nothing; it is named where bags are listed
    }
  }
  return learnFinger(garden.containers, bodies, live, resolveAssumed(garden.settings.assumptions));
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
