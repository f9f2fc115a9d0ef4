import { dayOf, type Day } from '../calendar/index.ts';
import { occupantsNow } from '../plants/index.ts';
import { liveEntries, type Container, type Garden, type LiveEntries } from '../records/index.ts';
import type { Assumed } from '../assumed/index.ts';
import { frostYear } from '../season/index.ts';
import { bagWater, siteOf, type BagWater } from './bag-state.ts';
import { bagFeeding, warmthOf, type BagFeeding } from './feeding.ts';
import { FilterMemory } from './filter-memory.ts';
import { jobsOf, type BagJob } from './jobs.ts';
import { plannedJobs } from './planned-jobs.ts';
import { plansFor } from './plans.ts';
import { propertiesOf } from './properties.ts';

/** A bag's feeding without its ledger, which is followed day by day only where it is shown. */
export type FeedingState = Omit<BagFeeding, 'ledger'>;

/** Everything that is worked out of one bag at one moment, as plain values: one answer from one place. */
export interface BagState {
  readonly containerId: string;
  readonly water: BagWater;
  readonly feeding: FeedingState;
  readonly jobs: readonly BagJob[];
}

/** What one garden's bags share, worked out once for all of them. */
export interface Shared {
  /** the entries that count, oldest first */
  readonly live: LiveEntries;
  readonly warmth: (day: Day) => number;
}

/** The parts of a garden that its bags share. */
export function sharedOf(garden: Garden, live = liveEntries(garden.entries)): Shared {
  return { live, warmth: warmthOf(live, garden.settings) };
}

/**
 * Works out a bag: its water now and to come, what its regime asks for, the jobs at it. Feeding follows the very water that
 * stands beside it here, so that the two never tell of different diaries.
 *
 * @param garden with what its diary has taught in its assumptions (`withLearnt`)
 * @param now local time with offset; entries after it do not count
 * @param memory what is kept between runs for this bag; with or without it the answer is the same
 * @throws RundelError when the container's record does not make sense
 */
export function deriveBag(
  garden: Garden,
  container: Container,
  now: string,
  shared: Shared = sharedOf(garden),
  memory: FilterMemory = new FilterMemory(),
): BagState {
  const { live, warmth } = shared;
  const today = dayOf(now);
  const properties = propertiesOf(container, garden);
  const water = bagWater(garden, container, now, live, memory);
  const { ledger: _, ...feeding } = bagFeeding(
    garden,
    container,
    properties,
    live,
    today,
    warmth,
    water.estimate.moves,
  );
  const present = occupantsNow(container, live, garden);
  const cover = garden.places.find((place) => place.id === container.placeId)?.cover ?? 'open';
  const jobs = [
    ...plannedJobs(container, present, plansFor(container, garden, live), today),
    ...jobsOf(container, properties, present, live, garden.settings, today, cover, {
      stageDates: feeding.stageDates,
      firstFrost: firstFrostOf(garden, properties.assumed, today),
    }),
  ];
  return { containerId: container.id, water, feeding, jobs };
}

/** The first frost of the growing year that a day lies in. */
function firstFrostOf({ settings }: Garden, assumed: Assumed, today: Day): Day | undefined {
  return frostYear(siteOf(settings), settings.frost, [], today, assumed).first;
}
