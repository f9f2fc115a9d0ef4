import type { BagWater } from '@rundel/core/garden-state';
import { type Garden, entriesAt, type Entry, type Container } from '@rundel/core/records';
import { addDays, dayOf } from '@rundel/core/calendar';
import type { FailedWater } from '../workers/estimate.ts';
import { answersFor, type Answers } from './answers.ts';
import type { OpenGarden } from './garden-context.tsx';
import { learntOf, type Learnt } from './learnt.ts';
import { containersInUse } from './selectors.ts';

/** Estimates are redone as time passes, at this pace, ms. */
export const QUARTER_HOUR = 900_000;

/** What was worked out last for each bag, by what it was worked out from: only changed bags are done again. */
const known: Answers<BagWater | FailedWater> = new Map();

/** Older weather says nothing about a bag's water today (bags are followed 200 days at the most). */
const WEATHER_DAYS = 210;

/** The entries of a bag that its water depends on. */
const WATER_KINDS: ReadonlySet<string> = new Set([
  'check',
  'watering',
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
    products: [],
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

/** The part that some bags' water depends on. */
export function partFor(
  containers: readonly Container[],
  bare: Garden,
  weather: readonly Entry[],
  live: readonly Entry[],
): Garden {
  const here = containers.flatMap((c) => entriesAt(live, c.id).filter((e) => WATER_KINDS.has(e.kind)));
  return { ...bare, containers, entries: [...weather, ...here] };
}

/** What is asked of the workers: every bag's water in a quarter of an hour, as far as it has changed. */
export function watersQuestion(
  { garden, live, clock, gardenId }: Pick<OpenGarden, 'garden' | 'live' | 'clock' | 'gardenId'>,
  quarter = Math.floor(Date.parse(clock.now()) / QUARTER_HOUR),
) {
  return {
    queryKey: ['waters', gardenId, quarter, versionOf(garden)] as const,
    staleTime: Infinity,
    gcTime: 60_000,
    // a bag about which nothing has changed keeps its answer as it is
    structuralSharing: false,
    queryFn: () => {
      const now = clock.now();
      const learnt = learntOf({ garden, live });
      const bare = withoutDiary(garden, learnt);
      const weather = weatherSince(live, now);
      const seen = weather.map((e) => e.id).join();
      const { settings, places, varieties, plants, mixes } = garden;
      const asked = containersInUse(garden).map((container) => {
        const place = places.find((s) => s.id === container.placeId);
        const here = entriesAt(live, container.id);
        const records = [container, place, settings, varieties, plants, mixes];
        const from = [quarter, ...records, ...Object.values(learnt), seen, here];
        return { container, key: `${gardenId}|${container.id}`, from };
      });
      return answersFor(known, asked, (worker, containers) =>
        worker.bagWaters(partFor(containers, bare, weather, live), containers, now),
      );
    },
  };
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
