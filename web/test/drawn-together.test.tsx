// @vitest-environment happy-dom
import { liveEntries, type Draft } from '@rundel/core/records';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { clockSetTo } from '../src/store/clock.ts';
import { useGardenState } from '../src/store/garden-context.tsx';
import { GardenStore } from '../src/store/garden-store.ts';
import { watersQuestion } from '../src/store/waters-question.ts';
import { DATABASE_NAMES } from '../src/store/garden-id.ts';
import * as estimate from '../src/workers/estimate.ts';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';

/** Workers that answer when told to, and note which bags they were asked about. */
const workers = { asked: [] as string[][], answer: () => Promise.resolve() };
const here = {
  async bagWaters(_: unknown, containers: readonly { readonly id: string }[]) {
    workers.asked.push(containers.map(({ id }) => id));
    await workers.answer();
    return containers.map(({ id }) => ({ containerId: id, problem: 'not worked out here' }));
  },
};

const garden = demoWith('3', '7');
const containerId = idOf(garden, '3');
const CHECK: Draft = { kind: 'check', at: DEMO_EVENING, containerId, check: { method: 'finger', grade: 2 } };

let store: GardenStore;

beforeEach(async () => {
  workers.asked = [];
  workers.answer = () => Promise.resolve();
  // files share their modules, so that these may have been loaded long before: they are replaced where they stand
  vi.spyOn(estimate, 'startWorkers').mockReturnValue(undefined);
  vi.spyOn(estimate, 'estimateWorker').mockReturnValue(
    here as unknown as ReturnType<typeof estimate.estimateWorker>,
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
        const { garden: unitFormat, live, gardenId } = state.open;
        const { queryKey } = watersQuestion({ garden: unitFormat, live, clock, gardenId });
        isKnown[unitFormat.entries.length - garden.entries.length] ??=
          client.getQueryData(queryKey) !== undefined;
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

it('so is taking it back, and only the bag that it was about is asked of again', async () => {
  const { open, isKnown, client } = await opened();
  await client.prefetchQuery(watersQuestion(open()));
  workers.asked = [];
  await act(() => open().record([CHECK], 'check'));
  await act(() => open().undo());
  await waitFor(() => expect(open().live).toHaveLength(liveEntries(garden.entries).length));
  expect(isKnown.slice(1)).toEqual([true, true]);
  expect(workers.asked).toEqual([[containerId], [containerId]]);
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
  expect(open().lastChange).toMatchObject({ label: 'The disk is full.', canUndo: false });
});
