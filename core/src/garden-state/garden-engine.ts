import { dayOf } from '../calendar/index.ts';
import type { Ledger, Verdict } from '../feeding/index.ts';
import {
  affectsBag,
  entriesAt,
  entriesOfKind,
  liveWith,
  type Container,
  type Entry,
  type Garden,
} from '../records/index.ts';
import { deriveBag, sharedOf, type BagState, type Shared } from './derive-bag.ts';
import { bagFeeding } from './feeding.ts';
import { FilterMemory } from './filter-memory.ts';
import { learntOf, withLearnt, type Learnt } from './learnt.ts';
import { bagsOfTank, entriesOfTank, tankOf } from './tanks.ts';
import { propertiesOf } from './properties.ts';
import { whatIf, type WhatIf } from './what-if.ts';

/** What became of a garden since it was last handed over: what is new in each table, as it now is. */
export type GardenChange = Partial<Omit<Garden, 'entries'>> & { readonly added: readonly Entry[] };

/** A bag that could not be worked out, in words; the others go on. */
export interface FailedBag {
  readonly containerId: string;
  readonly problem: string;
}

/** A bag's ledger: its days in three runs, today's place in them, and what they say. */
export interface BagLedger {
  readonly days: Ledger['runs'];
  readonly today: number;
  readonly verdicts: readonly Verdict[];
}

/** What is known of a bag and since which time it was asked; undefined: as it was at the version that the asker has. */
export interface KnownState {
  readonly containerId: string;
  readonly version: number;
  readonly state: BagState | FailedBag | undefined;
}

/** Estimates are worked out anew as time passes, at this pace, ms. */
const QUARTER_HOUR = 900_000;

interface Kept {
  readonly from: readonly unknown[];
  readonly version: number;
  readonly state: BagState | FailedBag;
}

/**
 * One garden held together with everything that is worked out of it. It is handed what changes, keeps each bag's last state
 * and works out again only those on which a change bears. The answers are those of {@link deriveBag}, whatever is kept.
 */
export class GardenEngine {
  private readonly memories = new Map<string, FilterMemory>();
  private readonly kept = new Map<string, Kept>();
  private versions = 0;
  private learnt: Learnt;
  private taught: Garden;
  private shared: Shared;
  private weather: string;

  constructor(private garden: Garden) {
    this.shared = sharedOf(garden);
    this.learnt = learntOf(garden, this.shared.live);
    this.taught = withLearnt(garden, this.learnt);
    this.weather = weatherOf(this.shared.live);
  }

  /** Takes what has changed; entries that it has already change nothing. */
  apply({ added, ...tables }: GardenChange): void {
    const ids = new Set(added.map(({ id }) => id));
    const known = new Set(this.garden.entries.flatMap(({ id }) => (ids.has(id) ? [id] : [])));
    const fresh = added.filter(({ id }) => !known.has(id));
    const entries = fresh.length > 0 ? [...this.garden.entries, ...fresh] : this.garden.entries;
    this.garden = { ...this.garden, ...tables, entries };
    this.shared = sharedOf(this.garden, liveWith(this.shared.live, entries, fresh.length));
    this.learnt = learntOf(this.garden, this.shared.live);
    this.taught = withLearnt(this.garden, this.learnt);
    this.weather = weatherOf(this.shared.live);
  }

  /** The garden with what its diary has taught, and the entries that count: the same objects until something changes. */
  get diary(): { readonly garden: Garden; readonly live: Shared['live'] } {
    return { garden: this.taught, live: this.shared.live };
  }

  /**
   * Some bags as they stand at a moment.
   *
   * @param known the versions that the asker has: what has not changed since is not told again
   */
  states(
    containerIds: readonly string[],
    now: string,
    known: Readonly<Record<string, number>> = {},
  ): readonly KnownState[] {
    return containerIds.flatMap((containerId): KnownState[] => {
      const container = this.container(containerId);
      if (!container) return [];
      const { version, state } = this.stateOf(container, now);
      return [{ containerId, version, state: known[containerId] === version ? undefined : state }];
    });
  }

  private stateOf(container: Container, now: string): Kept {
    const { garden, learnt, shared, weather } = this;
    const quarter = Math.floor(Date.parse(now) / QUARTER_HOUR);
    const place = garden.places.find((p) => p.id === container.placeId);
    const here = [
      ...entriesAt(shared.live, container.id).filter(affectsBag),
      ...entriesOfTank(container, garden, shared.live),
    ];
    const { settings, varieties, plants, mixes, measures, products, regimes } = garden;
    const records = [container, place, settings, varieties, plants, mixes, measures, products, regimes];
    const tank = tankOf(container, garden);
    const together = tank ? bagsOfTank(tank.id, garden) : [];
    const plans = garden.plans.filter((plan) => plan.containerId === container.id);
    const from = [
      quarter,
      weather,
      ...records,
      tank,
      ...together,
      ...plans,
      ...Object.values(learnt.assumptions),
      JSON.stringify(learnt.setToRipe),
      ...here,
    ];
    const last = this.kept.get(container.id);
    if (last && last.from.length === from.length && last.from.every((part, i) => part === from[i]))
      return last;
    const next = { from, version: ++this.versions, state: this.derived(container, now) };
    this.kept.set(container.id, next);
    return next;
  }

  private derived(container: Container, now: string): BagState | FailedBag {
    const memory = this.memories.get(container.id) ?? new FilterMemory();
    this.memories.set(container.id, memory);
    return orFailed(container.id, () => deriveBag(this.taught, container, now, this.shared, memory));
  }

  /** How long a bag would keep under each change that it could have; nothing of it is kept. */
  whatIf(containerId: string, now: string): WhatIf | FailedBag {
    const container = this.container(containerId);
    if (!container) return { containerId, problem: 'There is no such bag.' };
    const memory = this.memories.get(containerId);
    return orFailed(containerId, () => whatIf(this.taught, container, now, this.shared.live, memory));
  }

  /** One bag's ledger, day by day. */
  ledger(containerId: string, now: string): BagLedger | FailedBag {
    const container = this.container(containerId);
    if (!container) return { containerId, problem: 'There is no such bag.' };
    const { taught, shared } = this;
    return orFailed(containerId, () => {
      const { state } = this.stateOf(container, now);
      if ('problem' in state) return state;
      const { moves } = state.water.estimate;
      const properties = propertiesOf(container, taught);
      const feeding = bagFeeding(
        taught,
        container,
        properties,
        shared.live,
        dayOf(now),
        shared.warmth,
        moves,
      );
      const { runs, today, verdicts } = feeding.ledger();
      return { days: runs, today, verdicts };
    });
  }

  private container(id: string): Container | undefined {
    return this.garden.containers.find((c) => c.id === id);
  }
}

/** The days that were noted, as far as they bear on any bag. */
function weatherOf(live: readonly Entry[]): string {
  return entriesOfKind(live, 'weather')
    .map(({ id }) => id)
    .join();
}

function orFailed<T>(containerId: string, work: () => T): T | FailedBag {
  try {
    return work();
  } catch (cause) {
    return { containerId, problem: cause instanceof Error ? cause.message : String(cause) };
  }
}
