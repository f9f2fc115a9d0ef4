import type { Draft, Entry, Garden } from '@rundel/core/records';
import { mergeRecord } from '@rundel/core/merge';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { bagStatesQuery } from './bag-states-query.ts';
import { inverse, withoutStep, type Change } from './changes.ts';
import { clockSetTo } from './clock.ts';
import { ConflictError, type Conflict } from './conflict.ts';
import { fetchDemo } from './demo.ts';
import { DATABASE_NAMES, rememberGarden, type GardenId } from './garden-id.ts';
import { GardenStore, type RecordChange } from './garden-store.ts';
import { newId } from './ids.ts';
import { intoLots } from './lots.ts';
import {
  openGarden,
  withGarden,
  type AskedConflict,
  type GardenState,
  type LastChange,
  type Loaded,
  type OpenGarden,
} from './open-garden.ts';
import { startWorkers } from '../workers/garden.ts';

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

  const [conflict, setConflict] = useState<AskedConflict>();
  const asked = useCallback(
    (found: Conflict) =>
      new Promise<'mine' | 'theirs'>((resolve) =>
        setConflict({
          ...found,
          choose(whose) {
            setConflict(undefined);
            resolve(whose);
          },
        }),
      ),
    [],
  );
  /** Writes records; where another tab has changed the same, the grower is asked whose counts. */
  const write = useCallback(
    async (change: Change): Promise<Change> => {
      if (change.records.length === 0) {
        await store.append(change.entries);
        return change;
      }
      try {
        return { ...change, records: await store.write(change.records, change.entries) };
      } catch (error) {
        if (!(error instanceof ConflictError)) throw error;
        const { conflict: found } = error;
        const settled = decided(found, await asked(found));
        const records = change.records.map((r) => (r.after.id === settled.after.id ? settled : r));
        return write({ ...change, records });
      }
    },
    [asked, store],
  );
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
        ),
      );
      others.current?.postMessage('changed');
      return stored;
    },
    [client, key, patch, write, gardenId],
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
        done.current.push({ kind: 'change', change: await apply(change) });
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
          to.push({ kind: 'change', change: await apply(back) });
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
      conflict,
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
          const saved = await store.writeSettings(garden.settings, settings, clock.now());
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
      moveTo: (database, isSame, label) =>
        attempt(async () => {
          await store.moveTo(database, isSame);
          const next = await store.load();
          if (!next) throw new Error('The garden that was opened cannot be read.');
          patch((now) => ({
            ...withGarden(now, next.garden),
            setAside: next.setAside,
            lastStates: undefined,
          }));
          others.current?.postMessage('changed');
          done.current.push({ kind: 'replaced', before: garden, after: next.garden, label });
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
  }, [apply, conflict, lastChange, loaded, patch, notify, store, gardenId]);

  const { refetch } = query;
  return useMemo((): GardenState => {
    if (query.isPending) return { kind: 'loading' };
    if (query.isError)
      return {
        kind: 'failed',
        error: query.error,
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

/** A change as the grower settled it: what nobody disputes from both, the rest from whom they said. */
function decided(
  { table, before, after, current, disputed }: Conflict,
  whose: 'mine' | 'theirs',
): RecordChange {
  const { merged } = mergeRecord(before, after, current);
  const theirs = Object.fromEntries(disputed.map((field) => [field, (current as unknown as Row)[field]]));
  const chosen = whose === 'mine' ? merged : { ...merged, ...theirs };
  return { table, before: current, after: chosen };
}

type Row = Readonly<Record<string, unknown>>;

/** Whether a record was written as it was to be, but for its moment. */
function isSameRow(written: object, wanted: object | undefined): boolean {
  return JSON.stringify(written) === JSON.stringify(wanted);
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
