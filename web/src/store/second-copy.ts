import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { FileInWorker } from '../workers/file.ts';
import type { StoreInWorker } from '../workers/store.ts';
import { BROUGHT_BACK, type BroughtBack } from './bring-back.ts';
import { useGarden } from './garden-context.tsx';

/** So long after the last change it is looked whether the copy is to be made whole, ms. */
const REST = 2000;
/** The same of a garden that has just been opened, ms. */
const SOON = 300;
/** Remembers beside the database that this browser had a garden, and when it was open last. */
const HAD = 'rundel.had';

/** Keeps the second copy of the grower's own garden. */
export function useSecondCopy(): void {
  const { gardenId, clock, store, stamp } = useGarden();
  const isOwn = gardenId === 'own';
  const [database] = stamp.split(' ');
  const looked = useRef<string>(undefined);
  useEffect(() => {
    if (!isOwn) return undefined;
    // of a garden that was opened from a file there is no copy yet
    const rest = looked.current === database ? REST : SOON;
    const timer = setTimeout(() => {
      looked.current = database;
      localStorage.setItem(HAD, clock.now());
      // what cannot be copied is no reason to stop anybody; the next change tries again
      makeWhole(store, clock.now()).catch(() => undefined);
    }, rest);
    return () => clearTimeout(timer);
  }, [clock, database, isOwn, stamp, store]);
}

async function makeWhole(store: StoreInWorker, now: string): Promise<void> {
  if (!(await store.isCopyDue())) return;
  const worker = new FileInWorker();
  try {
    await worker.makeCopy(await store.databaseName(), store.name, now);
  } finally {
    worker.letGo();
  }
}

/** Whether the open garden has a second copy; undefined while that is looked up, and for the demo, which can be had anew. */
export function useHasCopy(): boolean | undefined {
  const { gardenId, store, stamp } = useGarden();
  const { data } = useQuery({
    queryKey: ['has-copy', gardenId, stamp],
    enabled: gardenId === 'own',
    // it is made some time after the garden is opened
    refetchInterval: ({ state }) => (state.data ? false : REST),
    queryFn: async () => {
      if (!(await store.hasCopy())) return false;
      // one of the garden that was here before is none of this
      return (await store.isCopyDue()) ? null : true;
    },
  });
  return data ?? undefined;
}

/** What came back of the open garden, until the grower has seen that. */
export function useBroughtBack() {
  const { store, stamp } = useGarden();
  const client = useQueryClient();
  // it came back into another database
  const queryKey = ['brought-back', stamp.split(' ')[0]];
  const { data } = useQuery({
    queryKey,
    staleTime: Infinity,
    queryFn: async () => ((await store.readNote(BROUGHT_BACK)) as BroughtBack | undefined) ?? null,
  });
  return {
    broughtBack: data ?? undefined,
    async seen(): Promise<void> {
      client.setQueryData(queryKey, null);
      await store.writeNote(BROUGHT_BACK, null);
    },
  };
}

/** A garden that this browser had and has no more. */
export interface LostGarden {
  /** when it was open last */
  readonly at: string;
  /** the second copy, which does not read; undefined where there is none */
  readonly copy: Blob | undefined;
}

/** @param garden its own name */
export function useLostGarden(garden: string): LostGarden | undefined {
  const { data } = useQuery({
    queryKey: ['lost-garden', garden],
    staleTime: Infinity,
    queryFn: async (): Promise<LostGarden | null> => {
      const at = localStorage.getItem(HAD);
      if (at === null) return null;
      const worker = new FileInWorker();
      try {
        return { at, copy: await worker.saveCopy(garden).catch(() => undefined) };
      } finally {
        worker.letGo();
      }
    },
  });
  return data ?? undefined;
}
