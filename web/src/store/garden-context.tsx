import {
  type Garden,
  liveEntries,
  type LiveEntries,
  type Draft,
  type Entry,
  type RecordOf,
  type Settings,
  type TableName,
} from '@rundel/core/records';
import { offsetMinutesOf } from '@rundel/core/calendar';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { inverse, withoutStep, type Change } from './changes.ts';
import { clockSetTo, realClock, type Clock } from './clock.ts';
import { demoMoment, fetchDemo, fetchDemoStates, noteDemoStored } from './demo.ts';
import { readLastStates } from './kept-states.ts';
import type { LastStates } from './last-states.ts';
import type { SetAside } from './garden-file.ts';
import { startWorkers } from '../workers/garden.ts';
import { GardenStore, type RecordChange } from './garden-store.ts';
import { newId } from './ids.ts';
import { intoLots } from './lots.ts';
import { pause } from './pause.ts';
import { bagStatesQuery } from './bag-states-query.ts';
import { DATABASE_NAMES, rememberGarden, type GardenId } from './garden-id.ts';

/**
 * So long a change waits for what it does to the bags' water, so that both are drawn at once, ms. What takes longer is
 * drawn after it.
 */
const DRAWN_TOGETHER = 60;

/** What was done last, for the word at the foot of the screen. */
export interface LastChange {
  readonly label: string;
  readonly canUndo: boolean;
  /** grows by one with each change, so that the same label twice are two changes */
  readonly number: number;
}

/** What every place works with. */
export interface OpenGarden {
  readonly gardenId: GardenId;
  readonly clock: Clock;
  readonly garden: Garden;
  /** the entries that count, oldest first */
  readonly live: LiveEntries;
  readonly setAside: readonly SetAside[];
  /** how its bags stood when they were last worked out on this device */
  readonly lastStates: LastStates | undefined;
  readonly store: GardenStore;
  /** Writes entries; the promise rejects with a StorageError and nothing is changed when the browser refuses. */
  record(drafts: readonly Draft[], label: string): Promise<readonly Entry[]>;
  /** Takes entries out of account; they stay on record and can be brought back. */
  remove(entryIds: readonly string[], label: string): Promise<void>;
  /** Writes records, with entries that belong to the same act. */
  saveRecords(records: readonly RecordChange[], drafts: readonly Draft[], label: string): Promise<void>;
  /** Puts records in the bin, from which they can be taken out again. */
  bin<T extends TableName>(table: T, records: readonly RecordOf<T>[], label: string): Promise<void>;
  saveSettings(settings: Settings): Promise<void>;
  /** Another garden in this one's place (open file, clear); the former can be had back until the page is left. */
  replaceGarden(next: Garden, label: string): Promise<void>;
  undo(): Promise<void>;
  redo(): Promise<void>;
  /** Puts the demo back to its first evening, whatever was done in it. */
  restartDemo(): Promise<void>;
  /** Moves the demo's clock to a later moment; nothing else has a clock to move. */
  moveDemoTo(moment: string): Promise<void>;
  readonly lastChange: LastChange | undefined;
}

export type GardenState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: Error; retry(): void }
  | { readonly kind: 'none'; start(garden: Garden): Promise<void> }
  | { readonly kind: 'ready'; readonly open: OpenGarden };

interface Loaded {
  readonly garden: Garden;
  /** the entries that count */
  readonly live: LiveEntries;
  readonly setAside: readonly SetAside[];
  readonly clock: Clock;
  readonly lastStates: LastStates | undefined;
}

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

/** Reads a garden, and puts its diary in order while nothing is drawn yet: the first drawing has enough to do. */
async function openGarden(
  store: GardenStore,
  gardenId: GardenId,
  known: Loaded | null | undefined,
): Promise<Loaded | null> {
  const loaded = await loadGarden(store, gardenId, known?.clock);
  await pause();
  const live = loaded && liveEntries(loaded.garden.entries);
  await pause();
  return loaded && live && { ...loaded, live };
}

/** The same with its garden as it became; a diary that is the same is not put in order again. */
function withGarden(loaded: Loaded, garden: Garden): Loaded {
  const isSame = garden.entries === loaded.garden.entries;
  return { ...loaded, garden, live: isSame ? loaded.live : liveEntries(garden.entries) };
}

/** @param running the clock that runs already when a garden is read again: it never goes back */
async function loadGarden(
  store: GardenStore,
  gardenId: GardenId,
  running: Clock | undefined,
): Promise<Omit<Loaded, 'live'> | null> {
  const found = await store.load();
  if (gardenId === 'own')
    return found ? { ...found, clock: realClock, lastStates: await readLastStates(store) } : null;
  const [demo, lastStates] = found
    ? [undefined, await readLastStates(store)]
    : await Promise.all([fetchDemo(), fetchDemoStates()]);
  if (demo) {
    // it is stored once it is on the screen; what is written meanwhile waits for that
    store.beginWith(demo.garden, { demoStart: demo.savedAt }, noteDemoStored);
  }
  const garden = found?.garden ?? demo?.garden;
  if (!garden) return null;
  const start = String(demo?.savedAt ?? (await store.readNote('demoStart')) ?? garden.settings.changedAt);
  const movedTo = demo ? undefined : ((await store.readNote('demoMoment')) as string | undefined);
  const moment = demoMoment(start, movedTo, garden);
  const isAhead = running !== undefined && Date.parse(running.now()) >= Date.parse(moment);
  const clock = isAhead ? running : clockSetTo(moment, offsetMinutesOf(start));
  return { garden, setAside: found?.setAside ?? [], clock, lastStates };
}

/** Opens a garden and keeps it in step with what is written to it. */
export function useGardenState(gardenId: GardenId): GardenState {
  const client = useQueryClient();
  const store = useMemo(() => new GardenStore(DATABASE_NAMES[gardenId]), [gardenId]);
  const key = useMemo(() => ['garden', gardenId] as const, [gardenId]);
  const query = useQuery({
    queryKey: key,
    queryFn: () => {
      startWorkers();
      return openGarden(store, gardenId, client.getQueryData<Loaded | null>(key));
    },
    staleTime: Infinity,
    retry: false,
    // a garden is replaced whole, and which one it is tells whether anything has changed
    structuralSharing: false,
  });
  const undone = useRef<Undoable[]>([]);
  const done = useRef<Undoable[]>([]);
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

  const apply = useCallback(
    async (change: Change) => {
      const written =
        change.records.length === 0
          ? store.append(change.entries)
          : store.write(change.records, change.entries);
      const before = client.getQueryData<Loaded | null>(key);
      const next = before && withChange(before.garden, change);
      const answered =
        next && client.prefetchQuery(bagStatesQuery({ garden: next, clock: before.clock, gardenId }));
      await written;
      await Promise.race([answered, new Promise((resolve) => setTimeout(resolve, DRAWN_TOGETHER))]);
      patch((loaded) =>
        withGarden(
          loaded,
          next && loaded.garden === before.garden ? next : withChange(loaded.garden, change),
        ),
      );
      others.current?.postMessage('changed');
    },
    [client, key, patch, store, gardenId],
  );

  const loaded = query.data;

  const open = useMemo((): OpenGarden | undefined => {
    if (!loaded) return undefined;
    const { garden, live, clock } = loaded;
    const finished = (drafts: readonly Draft[]): readonly Entry[] => {
      // what is done in one act is written down at one moment
      const recordedAt = clock.now();
      return intoLots(drafts, garden, live).map(
        (draft) => ({ ...draft, id: newId('entry'), recordedAt }) as Entry,
      );
    };
    /** Does what writes; what fails is said at the foot of the screen, and whoever asked hears of it too. */
    const attempt = async <T,>(work: () => Promise<T>): Promise<T> => {
      try {
        return await work();
      } catch (error) {
        notify(error instanceof Error ? error.message : String(error), false);
        throw error;
      }
    };
    const perform = (change: Change) =>
      attempt(async () => {
        await apply(change);
        done.current.push({ kind: 'change', change });
        undone.current = [];
        notify(change.label, true);
      });
    const replace = async (next: Garden) => {
      await store.replace(next);
      patch((now) => ({ ...withGarden(now, next), setAside: [], lastStates: undefined }));
      others.current?.postMessage('changed');
    };
    const step = (from: Undoable[], to: Undoable[], label: (what: string) => string) =>
      attempt(async () => {
        const last = from.at(-1);
        if (!last) return notify('There is nothing more to undo.', false);
        if (last.kind === 'change') {
          const back = inverse(last.change, clock.now());
          await apply(back);
          to.push({ kind: 'change', change: back });
        } else {
          const current = (await store.load())?.garden ?? garden;
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
      store,
      lastChange,
      async record(drafts, label) {
        const entries = finished(drafts);
        await perform({ label, entries, records: [] });
        return entries;
      },
      async remove(entryIds, label) {
        const at = clock.now();
        const removals = entryIds.map((removes): Draft => ({ kind: 'removed', at, removes }));
        await perform({ label, entries: finished(removals), records: [] });
      },
      saveRecords: (records, drafts, label) => perform({ label, entries: finished(drafts), records }),
      bin(table, records, label) {
        const now = clock.now();
        const changes = records.map((before) => ({
          table,
          before,
          after: { ...before, binnedAt: now, changedAt: now },
        }));
        return perform({ label: `${label} deleted`, entries: [], records: changes });
      },
      saveSettings: (settings) =>
        attempt(async () => {
          const saved = await store.writeSettings({ ...settings, changedAt: clock.now() });
          patch((now) => withGarden(now, { ...now.garden, settings: saved }));
          others.current?.postMessage('changed');
        }),
      replaceGarden: (next, label) =>
        attempt(async () => {
          await replace(next);
          done.current.push({ kind: 'replaced', before: garden, after: next, label });
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
  }, [apply, lastChange, loaded, patch, notify, store, gardenId]);

  const { refetch } = query;
  return useMemo((): GardenState => {
    if (query.isPending) return { kind: 'loading' };
    if (query.isError) return { kind: 'failed', error: query.error, retry: () => void refetch() };
    if (open) return { kind: 'ready', open };
    return {
      kind: 'none',
      async start(garden) {
        await store.replace(garden);
        rememberGarden(gardenId);
        await refetch();
      },
    };
  }, [open, query.error, query.isError, query.isPending, refetch, store, gardenId]);
}

/**
 * A garden with a change's entries appended and its records in place. What was read again meanwhile (another tab wrote too)
 * may hold the entries already: they stand in it once.
 */
function withChange(garden: Garden, change: Change): Garden {
  const own = new Set(change.entries.map(({ id }) => id));
  const others = garden.entries.filter(({ id }) => !own.has(id));
  let next: Garden = { ...garden, entries: [...others, ...change.entries] };
  for (const { table, after } of change.records) {
    const rows = garden[table] as readonly { readonly id: string }[];
    const current = (next[table] ?? rows) as readonly { readonly id: string }[];
    const at = current.findIndex((row) => row.id === after.id);
    next = {
      ...next,
      [table]: at < 0 ? [...current, after] : current.map((row, i) => (i === at ? after : row)),
    };
  }
  return next;
}
