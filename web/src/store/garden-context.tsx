import type { Draft, Entry, Garden } from '@rundel/core/records';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { bagStatesQuery } from './bag-states-query.ts';
import { inverse, isSameRow, withBagsFollowing, withChange, withoutStep, type Change } from './changes.ts';
import { clockSetTo } from './clock.ts';
import { fetchDemo } from './demo.ts';
import { rememberGarden } from './garden-id.ts';
import { newId } from './ids.ts';
import { quarterOf, stillHold } from './last-states.ts';
import { intoLots } from './lots.ts';
import {
  madeWhole,
  openGarden,
  withGarden,
  type GardenState,
  type LastChange,
  type Loaded,
  type OpenGarden,
} from './open-garden.ts';
import { useWriting } from './writing.ts';
import { DATABASE_NAMES, type GardenId } from '../db/index.ts';
import { startWorkers } from '../workers/garden.ts';
import { StoreInWorker } from '../workers/store.ts';

/**
 * So long a change waits for what it does to the bags' water, so that both are drawn at once, ms. What takes longer is
 * drawn after it.
 */
const DRAWN_TOGETHER = 60;

type Undoable =
  | { readonly kind: 'change'; readonly change: Change }
  | { readonly kind: 'replaced'; readonly before: Garden; readonly after: Garden; readonly label: string };

const Context = createContext<OpenGarden | undefined>(undefined);

/** The open garden. Only below a provider that has one. */
export function useGarden(): OpenGarden {
  const open = use(Context);
  if (!open) throw new Error('useGarden outside of an open garden');
  return open;
}

export function GardenProvider({
  open,
  children,
}: {
  readonly open: OpenGarden;
  readonly children: ReactNode;
}) {
  return <Context value={open}>{children}</Context>;
}

/** Opens a garden and keeps it in step with what is written to it. */
export function useGardenState(gardenId: GardenId): GardenState {
  const client = useQueryClient();
  const store = useMemo(() => new StoreInWorker(DATABASE_NAMES[gardenId]), [gardenId]);
  const key = useMemo(() => ['garden', gardenId] as const, [gardenId]);
  const query = useQuery({
    queryKey: key,
    queryFn: async () => {
      const opened = await openGarden(store, gardenId, client.getQueryData<Loaded | null>(key));
      // what still holds is shown as it was kept: nobody waits for the workers then, and a small machine has enough to do
      const isShown = opened && stillHold(opened.lastStates, opened.stamp, quarterOf(opened.clock.now()));
      if (!isShown) startWorkers();
      return opened;
    },
    staleTime: Infinity,
    retry: false,
    // a garden is replaced whole, and which one it is tells whether anything has changed
    structuralSharing: false,
  });
  const undone = useRef<Undoable[]>([]);
  const done = useRef<Undoable[]>([]);
  const leaving = useRef(new Set<string>());
  const [lastChange, setLastChange] = useState<LastChange>();

  const patch = useCallback(
    (change: (loaded: Loaded) => Loaded) => {
      client.setQueryData<Loaded | null>(key, (loaded) => (loaded ? change(loaded) : loaded));
      // a reading that began before this was written would put the garden back to what it was: it begins anew
      if (client.isFetching({ queryKey: key }) > 0) void client.invalidateQueries({ queryKey: key });
    },
    [client, key],
  );
  // another tab with the same garden hears of each write and reads again
  const others = useRef<BroadcastChannel>(undefined);
  useEffect(() => {
    const channel = new BroadcastChannel(store.name);
    channel.onmessage = () => void client.invalidateQueries({ queryKey: key });
    others.current = channel;
    return () => channel.close();
  }, [client, key, store]);
  const notify = useCallback((label: string, canUndo: boolean) => {
    setLastChange((last) => ({ label, canUndo, number: (last?.number ?? 0) + 1 }));
  }, []);

  const { write, conflict } = useWriting(store);
  const apply = useCallback(
    async (change: Change): Promise<Change> => {
      const written = write(change);
      const before = client.getQueryData<Loaded | null>(key);
      const next = before && withChange(before.garden, change);
      const answered =
        next && client.prefetchQuery(bagStatesQuery({ garden: next, clock: before.clock, gardenId }));
      const stored = await written;
      await Promise.race([answered, new Promise((resolve) => setTimeout(resolve, DRAWN_TOGETHER))]);
      const isAsForeseen = stored.records.every(({ after }, i) => isSameRow(after, change.records[i]?.after));
      patch((loaded) =>
        withGarden(
          loaded,
          next && isAsForeseen && loaded.garden === before.garden ? next : withChange(loaded.garden, stored),
          store.stamp,
        ),
      );
      others.current?.postMessage('changed');
      return stored;
    },
    [client, key, patch, write, gardenId, store],
  );

  const loaded = query.data;
  const recentFrom = loaded?.recentFrom;
  const rest = useRef<Promise<void>>(undefined);
  const readRest = useCallback((): Promise<void> => {
    if (recentFrom === undefined) return Promise.resolve();
    const read = async () => {
      const older = await store.loadOlder(recentFrom);
      patch((now) => (now.recentFrom === undefined ? now : madeWhole(now, older)));
    };
    // what fails is told by the reading of the whole
    return (rest.current ??= read().catch(() => client.invalidateQueries({ queryKey: key })));
  }, [client, key, patch, recentFrom, store]);

  const open = useMemo((): OpenGarden | undefined => {
    if (!loaded) return undefined;
    const { garden, live, clock } = loaded;
    const whole = () => client.getQueryData<Loaded | null>(key) ?? loaded;
    const finished = (drafts: readonly Draft[]): readonly Entry[] => {
      // what is done in one act is written down at one moment
      const recordedAt = clock.now();
      const now = whole();
      return intoLots(drafts, now.garden, now.live).map(
        (draft) => ({ ...draft, id: newId('entry'), recordedAt }) as Entry,
      );
    };
    /** Does what writes; what fails is said at the foot of the screen, and whoever asked hears of it too. */
    const attempt = async <T,>(work: () => Promise<T>): Promise<T> => {
      try {
        await readRest();
        return await work();
      } catch (error) {
        notify(error instanceof Error ? error.message : String(error), false);
        throw error;
      }
    };
    const perform = (label: string, drafts: readonly Draft[], records: Change['records'] = []) =>
      attempt(async () => {
        const entries = finished(drafts);
        const change = withBagsFollowing({ label, entries, records }, whole(), clock.now());
        done.current.push({ kind: 'change', change: await apply(change) });
        undone.current = [];
        notify(label, true);
        return entries;
      });
    /** A double click takes away once: what is on its way out already is left alone. */
    const takingAway = async (ids: readonly string[], work: (fresh: readonly string[]) => Promise<void>) => {
      const fresh = ids.filter((id) => !leaving.current.has(id));
      if (fresh.length === 0) return;
      for (const id of fresh) leaving.current.add(id);
      try {
        await work(fresh);
      } finally {
        for (const id of fresh) leaving.current.delete(id);
      }
    };
    const replace = async (next: Garden) => {
      await store.replace(next);
      patch((now) => ({ ...withGarden(now, next, store.stamp), setAside: [], lastStates: undefined }));
      others.current?.postMessage('changed');
    };
    const step = (from: Undoable[], to: Undoable[], label: (what: string) => string) =>
      attempt(async () => {
        const last = from.at(-1);
        if (!last) return notify('There is nothing more to undo.', false);
        if (last.kind === 'change') {
          const back = inverse(last.change, clock.now());
          to.push({ kind: 'change', change: await apply(back) });
        } else {
          const current = (await store.load())?.garden ?? whole().garden;
          const next = withoutStep(last.before, last.after, current);
          await replace(next);
          to.push({ kind: 'replaced', before: current, after: next, label: last.label });
        }
        // only now: one that failed can be tried again
        from.splice(from.indexOf(last), 1);
        notify(label(last.kind === 'change' ? last.change.label : last.label), false);
        return undefined;
      });
    return {
      gardenId,
      clock,
      garden,
      live,
      setAside: loaded.setAside,
      lastStates: loaded.lastStates,
      stamp: loaded.stamp,
      isWhole: loaded.recentFrom === undefined,
      readRest,
      store,
      lastChange,
      conflict,
      record: (drafts, label) => perform(label, drafts),
      remove: (entryIds, label) =>
        takingAway(entryIds, async (ids) => {
          const at = clock.now();
          const removals = ids.map((removes): Draft => ({ kind: 'removed', at, removes }));
          await perform(label, removals);
        }),
      async saveRecords(records, drafts, label) {
        await perform(label, drafts, records);
      },
      bin(table, records, label) {
        const now = clock.now();
        const byId = new Map(records.map((before) => [before.id, before]));
        return takingAway([...byId.keys()], async (ids) => {
          const changes = ids.flatMap((id) => {
            const before = byId.get(id);
            return before ? [{ table, before, after: { ...before, binnedAt: now, changedAt: now } }] : [];
          });
          await perform(`${label} deleted`, [], changes);
        });
      },
      saveSettings: (settings) =>
        attempt(async () => {
          const saved = await store.writeSettings(garden.settings, settings, clock.now());
          patch((now) => withGarden(now, { ...now.garden, settings: saved }, store.stamp));
          others.current?.postMessage('changed');
        }),
      replaceGarden: (next, label) =>
        attempt(async () => {
          const before = whole().garden;
          await replace(next);
          done.current.push({ kind: 'replaced', before, after: next, label });
          undone.current = [];
          notify(label, true);
        }),
      moveTo: (database, isSame, label) =>
        attempt(async () => {
          const before = whole().garden;
          await store.moveTo(database, isSame);
          const next = await store.load();
          if (!next) throw new Error('The garden that was opened cannot be read.');
          patch((now) => ({
            ...withGarden(now, next.garden, next.stamp),
            setAside: next.setAside,
            lastStates: undefined,
          }));
          others.current?.postMessage('changed');
          done.current.push({ kind: 'replaced', before, after: next.garden, label });
          undone.current = [];
          notify(label, true);
        }),
      undo: () => step(done.current, undone.current, (what) => `Undone: ${what}`),
      redo: () => step(undone.current, done.current, (what) => `Done again: ${what}`),
      restartDemo: () =>
        attempt(async () => {
          const demo = await fetchDemo();
          await store.writeNote('demoMoment', demo.savedAt);
          await replace(demo.garden);
          patch((now) => ({ ...now, clock: clockSetTo(demo.savedAt, clock.offsetMinutes) }));
          done.current = [];
          undone.current = [];
          notify('The demo begins anew.', false);
        }),
      moveDemoTo: (moment) =>
        attempt(async () => {
          await store.writeNote('demoMoment', moment);
          patch((now) => ({ ...now, clock: clockSetTo(moment, clock.offsetMinutes) }));
        }),
    };
  }, [apply, client, key, readRest, conflict, lastChange, loaded, patch, notify, store, gardenId]);

  const { refetch } = query;
  return useMemo((): GardenState => {
    if (query.isPending) return { kind: 'loading' };
    if (query.isError)
      return {
        kind: 'failed',
        error: query.error,
        name: store.name,
        retry: () => void refetch(),
        async goBack() {
          const isBack = await store.goBack();
          if (isBack) await refetch();
          return isBack;
        },
      };
    if (open) return { kind: 'ready', open };
    return {
      kind: 'none',
      name: store.name,
      async start(garden) {
        await store.replace(garden);
        rememberGarden(gardenId);
        await refetch();
      },
      async startFrom(database) {
        await store.moveTo(database, false);
        rememberGarden(gardenId);
        await refetch();
      },
    };
  }, [open, query.error, query.isError, query.isPending, refetch, store, gardenId]);
}
