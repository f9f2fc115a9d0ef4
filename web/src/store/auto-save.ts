import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { FileInWorker } from '../workers/file.ts';
import { useGarden } from './garden-context.tsx';
import { useNoteSavedToFile } from './saved-to-file.ts';

const NOTE = 'autoSave';
/** So long after the last change the file is written, ms: a round is many changes. */
const REST = 15_000;

/** A file on this device that the browser may write to; not every browser has them. */
interface WritableFile extends FileSystemFileHandle {
  queryPermission?(asked: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(asked: { mode: 'readwrite' }): Promise<PermissionState>;
}

interface Picker {
  showSaveFilePicker?(options: {
    suggestedName: string;
    types: readonly { description: string; accept: Record<string, readonly string[]> }[];
  }): Promise<WritableFile>;
}

/** Whether this browser can write to a file that was chosen once. */
export const canSaveItself = (): boolean => typeof (globalThis as Picker).showSaveFilePicker === 'function';

export interface AutoSave {
  /** the chosen file's name; undefined where none is chosen */
  readonly name: string | undefined;
  /** the browser wants to be asked again, as after each start */
  readonly isAsking: boolean;
  /** why the last try failed */
  readonly problem: string | undefined;
}

const NONE: AutoSave = { name: undefined, isAsking: false, problem: undefined };

/** The file that the open garden is saved to by itself. */
export function useAutoSave() {
  const { garden, gardenId, store } = useGarden();
  const client = useQueryClient();
  const key = ['auto-save', gardenId];
  const { data = NONE } = useQuery({
    queryKey: key,
    staleTime: Infinity,
    queryFn: async (): Promise<AutoSave> => {
      const handle = await chosenFile(store);
      if (!handle) return NONE;
      const allowed = (await handle.queryPermission?.({ mode: 'readwrite' })) ?? 'granted';
      return { name: handle.name, isAsking: allowed !== 'granted', problem: undefined };
    },
  });
  return {
    ...data,
    /** Asks which file, and writes to it from now on. */
    async choose(suggestedName: string): Promise<void> {
      try {
        const handle = await (globalThis as Picker).showSaveFilePicker?.({
          suggestedName,
          types: [{ description: garden.settings.gardenName, accept: { 'application/zip': ['.zip'] } }],
        });
        if (!handle) return;
        await store.writeNote(NOTE, handle);
        client.setQueryData<AutoSave>(key, { name: handle.name, isAsking: false, problem: undefined });
      } catch (error) {
        // to choose none is no failure
        if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
      }
    },
    async allow(): Promise<void> {
      const allowed = await (await chosenFile(store))?.requestPermission?.({ mode: 'readwrite' });
      client.setQueryData<AutoSave>(key, (now) => ({ ...(now ?? NONE), isAsking: allowed !== 'granted' }));
    },
    async stop(): Promise<void> {
      await store.writeNote(NOTE, null);
      client.setQueryData<AutoSave>(key, NONE);
    },
  };
}

async function chosenFile(store: {
  readNote(key: string): Promise<unknown>;
}): Promise<WritableFile | undefined> {
  return ((await store.readNote(NOTE)) as WritableFile | null | undefined) ?? undefined;
}

/** Writes the garden to the chosen file some time after the last change, as long as the browser lets it. */
export function useAutoSaving(rest = REST): void {
  const { garden, gardenId, store, clock } = useGarden();
  const client = useQueryClient();
  const noteSaved = useNoteSavedToFile();
  const { name, isAsking } = useAutoSave();
  const first = useRef(garden);
  const latest = useRef({ clock, noteSaved });
  latest.current = { clock, noteSaved };
  const chosenNow = useRef(name);
  useEffect(() => {
    const isNew = chosenNow.current !== name;
    chosenNow.current = name;
    if (name === undefined || isAsking || (first.current === garden && !isNew)) return undefined;
    first.current = garden;
    const timer = setTimeout(
      () => {
        const now = latest.current.clock.now();
        writeTo(store, now).then(
          () => latest.current.noteSaved(now),
          (error: unknown) =>
            client.setQueryData<AutoSave>(['auto-save', gardenId], {
              name,
              isAsking: error instanceof DOMException && error.name === 'NotAllowedError',
              problem: error instanceof Error ? error.message : String(error),
            }),
        );
      },
      isNew ? 0 : rest,
    );
    return () => clearTimeout(timer);
  }, [client, garden, gardenId, isAsking, name, rest, store]);
}

interface Saved {
  readonly name: string;
  readNote(key: string): Promise<unknown>;
  databaseName(): Promise<string>;
}

async function writeTo(store: Saved, now: string): Promise<void> {
  const handle = await chosenFile(store);
  if (!handle) return;
  const worker = new FileInWorker();
  try {
    const blob = await worker.save(await store.databaseName(), store.name, now, 'zip');
    // what is written goes beside the file until it is closed: one that is cut short leaves the old one whole
    const stream = await handle.createWritable();
    await stream.write(blob);
    await stream.close();
  } finally {
    worker.letGo();
  }
}
