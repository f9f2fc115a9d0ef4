import type { BagLedger, BagState, FailedBag, GardenChange, WhatIf } from '@rundel/core/garden-state';
import { addedSince, type Container, type Garden } from '@rundel/core/records';
import type { Remote } from 'comlink';
import { apiOf, asked } from './asked.ts';
import type { GardenApi } from './garden.worker.ts';
import type { TallyApi } from './tally-api.ts';

/** Two workers share the bags: a round is ready in half the time, and more would only take turns on a small machine. */
const WORKERS = 2;

/** So many entries are copied for a worker in some milliseconds. */
const A_PART = 2500;

const remotes: (Remote<GardenApi> | undefined)[] = [];

function remoteAt(at: number): Remote<GardenApi> {
  const there = remotes[at];
  if (there) return there;
  const worker = new Worker(new URL('./garden.worker.ts', import.meta.url), {
    type: 'module',
    name: `garden ${at + 1}`,
  });
  const api = apiOf<GardenApi>(worker, () => {
    // one that broke long ago does not take its successor along
    if (remotes[at] === api) remotes[at] = undefined;
    return new Error(BROKEN);
  });
  remotes[at] = api;
  return api;
}

const BROKEN =
  'The part of Rundel that works out water and tallies did not start. Nothing is lost; load the page again if this stays.';

/** The workers by their number; in one place, so that a test can put others there. */
export const workerPool = { at: remoteAt };

/** Starts the workers while the garden is still being read: they are ready when it is. */
export function startWorkers(): void {
  for (let at = 0; at < WORKERS; at++) workerPool.at(at);
}

/**
 * A garden in the workers. It is handed over whole once, and after that only what has changed; each bag has its worker, which
 * remembers the bag's last run. Answers come in the order in which they were asked for.
 */
export class GardenInWorkers {
  private sent: Garden | undefined;
  private sentTo: readonly Remote<GardenApi>[] = [];
  private readonly states = new Map<string, { version: number; state: BagState | FailedBag }>();
  private readonly placed = new Map<string, number>();
  private turn: Promise<unknown> = Promise.resolve();

  /** Every bag's state at a moment; the same object as before where nothing bears on it. */
  async statesOf(
    garden: Garden,
    containers: readonly Container[],
    now: string,
  ): Promise<readonly (BagState | FailedBag)[]> {
    return this.inTurn(async () => {
      await this.handOver(garden);
      const shares = Array.from({ length: WORKERS }, (_, at) =>
        containers.filter((c) => this.placeOf(c.id) === at).map((c) => c.id),
      );
      await Promise.all(
        shares.map(async (ids, at) => {
          if (ids.length === 0) return;
          const known = Object.fromEntries(ids.map((id) => [id, this.states.get(id)?.version ?? 0]));
          const told = await this.ask(at, (api) => api.states(ids, now, known));
          for (const { containerId, version, state } of told)
            if (state) this.states.set(containerId, { version, state });
        }),
      );
      return containers.flatMap((c) => this.states.get(c.id)?.state ?? []);
    });
  }

  /** How long a bag would keep under each change that it could have. */
  whatIf(garden: Garden, containerId: string, now: string): Promise<WhatIf | FailedBag> {
    return this.inTurn(async () => {
      await this.handOver(garden);
      return this.ask<WhatIf | FailedBag>(this.placeOf(containerId), (api) => api.whatIf(containerId, now));
    });
  }

  ledger(garden: Garden, containerId: string, now: string): Promise<BagLedger | FailedBag> {
    return this.inTurn(async () => {
      await this.handOver(garden);
      return this.ask<BagLedger | FailedBag>(this.placeOf(containerId), (api) =>
        api.ledger(containerId, now),
      );
    });
  }

  /** Asks for something of the garden's tally; the second worker has time for it, the first one has the round. */
  async tally<T>(garden: Garden, ask: (api: Remote<TallyApi>) => Promise<T>): Promise<T> {
    // only the handing over is in turn: statistics may take their time, and the round does not wait for them
    await this.inTurn(() => this.handOver(garden));
    return this.ask(WORKERS - 1, ask);
  }

  private ask<T>(at: number, work: (api: Remote<GardenApi>) => Promise<T>): Promise<T> {
    return asked(workerPool.at(at), work);
  }

  /** What one question hands over must be there before the next one asks. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const done = this.turn.then(work, work);
    this.turn = done.catch(() => undefined);
    return done;
  }

  private async handOver(garden: Garden): Promise<void> {
    const apis = Array.from({ length: WORKERS }, (_, at) => workerPool.at(at));
    // in the place of one that broke stands another, which was handed nothing
    const isHeld = apis.every((api, at) => api === this.sentTo[at]);
    if (isHeld && this.sent === garden) return;
    const change = isHeld && this.sent ? changeBetween(this.sent, garden) : undefined;
    // one that failed half way is handed over whole the next time
    this.sent = undefined;
    if (!change) this.states.clear();
    const everywhere = (work: (api: Remote<GardenApi>) => Promise<void>) =>
      Promise.all(apis.map((api) => asked(api, work)));
    if (change) await everywhere((api) => api.apply(change));
    else {
      // copying a long diary for another thread takes its time: in parts, between which the screen answers
      const { entries } = garden;
      const parts = Math.max(0, Math.ceil(entries.length / A_PART) - 1);
      for (let n = 0; n < parts; n++)
        await everywhere((api) => api.take(n * A_PART, entries.slice(n * A_PART, (n + 1) * A_PART)));
      await everywhere((api) =>
        api.open({ ...garden, entries: entries.slice(parts * A_PART) }, parts * A_PART),
      );
    }
    this.sent = garden;
    this.sentTo = apis;
  }

  private placeOf(containerId: string): number {
    const at = this.placed.get(containerId) ?? this.placed.size % WORKERS;
    this.placed.set(containerId, at);
    return at;
  }
}

/** What has come to a garden, as little as possible; undefined where entries are gone: then it is another garden. */
export function changeBetween(before: Garden, after: Garden): GardenChange | undefined {
  const { entries, ...tables } = after;
  const changed = Object.fromEntries(
    Object.entries(tables).filter(([name, rows]) => before[name as keyof typeof tables] !== rows),
  );
  const more = addedSince(before.entries, entries);
  if (more !== undefined) return { ...changed, added: entries.slice(entries.length - more) };
  // read again: the same rows are other objects now
  const there = new Set(entries.map(({ id }) => id));
  if (before.entries.some(({ id }) => !there.has(id))) return undefined;
  const known = new Set(before.entries.map(({ id }) => id));
  return { ...changed, added: entries.filter(({ id }) => !known.has(id)) };
}
