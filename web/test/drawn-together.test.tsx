// @vitest-environment happy-dom
import { liveEntries, type Draft, type Entry } from '@rundel/core/records';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { clockSetTo } from '../src/store/clock.ts';
import { useGardenState } from '../src/store/garden-context.tsx';
import { GardenStore } from '../src/db/index.ts';
import { bagStatesQuery, forgetWorkers } from '../src/store/bag-states-query.ts';
import { StorageError } from '../src/db/index.ts';
import { DATABASE_NAMES } from '../src/db/index.ts';
import { workerPool } from '../src/workers/garden.ts';
import { storeWorker } from '../src/workers/store.ts';
import { createStoreApi } from '../src/workers/store.worker.ts';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';

/** Workers that answer when told to, and note what was handed over to them. */
const workers = { added: [] as string[], answer: () => Promise.resolve() };
let version = 0;
const here = {
  open: () => Promise.resolve(),
  apply({ added }: { readonly added: readonly { readonly kind: string }[] }) {
    workers.added.push(...added.map(({ kind }) => kind));
    return Promise.resolve();
  },
  async states(ids: readonly string[]) {
    await workers.answer();
    return ids.map((id) => ({
      containerId: id,
      version: ++version,
      state: { containerId: id, problem: 'not worked out here' },
    }));
  },
};

const garden = demoWith('3', '7');
const containerId = idOf(garden, '3');
const CHECK: Draft = { kind: 'check', at: DEMO_EVENING, containerId, check: { method: 'finger', grade: 2 } };

let store: GardenStore;

beforeEach(async () => {
  workers.added = [];
  forgetWorkers();
  workers.answer = () => Promise.resolve();
  // files share their modules, so that these may have been loaded long before: they are replaced where they stand
  vi.spyOn(workerPool, 'at').mockReturnValue(here as unknown as ReturnType<typeof workerPool.at>);
  vi.spyOn(storeWorker, 'api').mockReturnValue(
    createStoreApi() as unknown as ReturnType<typeof storeWorker.api>,
  );
  store = new GardenStore(DATABASE_NAMES.demo);
  await store.replace(garden);
  for (const note of ['demoStart', 'demoMoment']) await store.writeNote(note, DEMO_EVENING);
});

afterEach(() => {
  store.close();
  vi.restoreAllMocks();
});

/** The garden as a screen has it, with what is known of the water of the bags at every change of it. */
async function opened() {
  const client = new QueryClient();
  const clock = clockSetTo(DEMO_EVENING, 60);
  const isKnown: boolean[] = [];
  const { result } = renderHook(
    () => {
      const state = useGardenState('demo');
      if (state.kind === 'ready') {
        const { garden: shown, gardenId } = state.open;
        const { queryKey } = bagStatesQuery({ garden: shown, clock, gardenId });
        isKnown[shown.entries.length - garden.entries.length] ??= client.getQueryData(queryKey) !== undefined;
      }
      return state;
    },
    {
      wrapper: ({ children }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>,
    },
  );
  await waitFor(() => expect(result.current.kind).toBe('ready'));
  const open = () => {
    if (result.current.kind !== 'ready') throw new Error('The garden is not open.');
    return result.current.open;
  };
  return { open, isKnown, client };
}

it('a look is shown when what it means for the water is known', async () => {
  const { open, isKnown } = await opened();
  await act(() => open().record([CHECK], 'check'));
  await waitFor(() => expect(open().live.at(-1)).toMatchObject({ containerId, kind: 'check' }));
  expect(isKnown).toEqual([false, true]);
});

it('so is taking it back, and only what is new is handed over, to each of the two workers', async () => {
  const { open, isKnown, client } = await opened();
  await client.prefetchQuery(bagStatesQuery(open()));
  workers.added = [];
  await act(() => open().record([CHECK], 'check'));
  await act(() => open().undo());
  await waitFor(() => expect(open().live).toHaveLength(liveEntries(garden.entries).length));
  expect(isKnown.slice(1)).toEqual([true, true]);
  expect(workers.added).toEqual(['check', 'check', 'removed', 'removed']);
});

it('a worker that takes long does not hold a look up', async () => {
  const { open, isKnown } = await opened();
  workers.answer = () => new Promise(() => undefined);
  await act(() => open().record([CHECK], 'check'));
  await waitFor(() => expect(open().garden.entries).toHaveLength(garden.entries.length + 1));
  expect(isKnown).toEqual([false, false]);
});

it('two that are made at once are both shown and both stored', async () => {
  const { open } = await opened();
  const other: Draft = { ...CHECK, containerId: idOf(garden, '7') };
  await act(() => Promise.all([open().record([CHECK], 'check'), open().record([other], 'check')]));
  await waitFor(() => expect(open().garden.entries).toHaveLength(garden.entries.length + 2));
  expect((await store.load())?.garden.entries).toHaveLength(garden.entries.length + 2);
});

it('what another tab had read again before it was shown stands in the garden once', async () => {
  const { open, client } = await opened();
  const append = vi.spyOn(GardenStore.prototype, 'append').mockImplementation(async (entries) => {
    // as a reading gives it that ends between the writing and the showing
    client.setQueryData(['garden', 'demo'], (loaded: { readonly garden: typeof garden }) => ({
      ...loaded,
      garden: { ...loaded.garden, entries: [...loaded.garden.entries, ...entries] },
    }));
    return entries;
  });
  const [made] = await act(() => open().record([CHECK], 'check'));
  append.mockRestore();
  await waitFor(() => expect(open().garden.entries).toHaveLength(garden.entries.length + 1));
  expect(open().garden.entries.filter(({ id }) => id === made?.id)).toHaveLength(1);
});

it('what the browser refuses to store is not shown, whatever the worker says', async () => {
  const { open } = await opened();
  const refuse = vi.spyOn(GardenStore.prototype, 'append').mockRejectedValue(new Error('The disk is full.'));
  await act(async () => {
    await expect(open().record([CHECK], 'check')).rejects.toThrow('The disk is full.');
  });
  refuse.mockRestore();
  expect(open().garden.entries).toHaveLength(garden.entries.length);
  await waitFor(() =>
    expect(open().lastChange).toMatchObject({ label: 'The disk is full.', canUndo: false }),
  );
});

it('an undo that fails is told, and can be tried again', async () => {
  const { open } = await opened();
  await act(() => open().record([CHECK], 'check'));
  const refuse = vi
    .spyOn(GardenStore.prototype, 'append')
    .mockRejectedValueOnce(new StorageError('No room.'));
  await act(async () => {
    await expect(open().undo()).rejects.toThrow('No room.');
  });
  await waitFor(() => expect(open().lastChange).toMatchObject({ label: 'No room.', canUndo: false }));
  expect(open().garden.entries).toHaveLength(garden.entries.length + 1);
  refuse.mockRestore();
  await act(() => open().undo());
  await waitFor(() => expect(open().live).toHaveLength(liveEntries(garden.entries).length));
});

it('undoing an opened file takes back what it brought, and not what another tab recorded since', async () => {
  const { open, client } = await opened();
  const opened1 = demoWith('3');
  await act(() => open().replaceGarden(opened1, 'a file opened'));
  // another tab, with the same database
  const other = new GardenStore(DATABASE_NAMES.demo);
  const [entry] = await other.append([
    { ...CHECK, id: 'ent_othertab0001', recordedAt: DEMO_EVENING } as Entry,
  ]);
  other.close();
  await client.invalidateQueries({ queryKey: ['garden', 'demo'] });
  await act(() => open().undo());
  await waitFor(() => expect(open().garden.containers).toHaveLength(garden.containers.length));
  expect(open().garden.entries.map(({ id }) => id)).toContain(entry?.id);
  expect(open().garden.entries).toHaveLength(garden.entries.length + 1);
});

it('what no schema lets through is told in a sentence and changes nothing', async () => {
  const { open } = await opened();
  await act(async () => {
    await expect(open().record([{ ...CHECK, containerId: 'nowhere' }], 'check')).rejects.toThrow(
      /cannot be stored \(containerId: not the id of a container\)/,
    );
  });
  expect(open().garden.entries).toHaveLength(garden.entries.length);
});
