// @vitest-environment happy-dom
import { liveEntries, type Draft, type Garden } from '@rundel/core/records';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { FoldedGarden } from '../src/db/index.ts';
import { forgetWorkers } from '../src/store/bag-states-query.ts';
import { useGardenState } from '../src/store/garden-context.tsx';
import { GardenStore } from '../src/db/index.ts';
import { DATABASE_NAMES } from '../src/db/index.ts';
import { workerPool } from '../src/workers/garden.ts';
import { storeWorker } from '../src/workers/store.ts';
import { createStoreApi } from '../src/workers/store.worker.ts';
import { DEMO_EVENING, demoWith, idOf } from './gardens.ts';

const garden = demoWith('3', '7');
const CUT = '2026-06-01';
const older = garden.entries.filter(({ at }) => at < CUT);
const recent: Garden = { ...garden, entries: garden.entries.filter(({ at }) => at >= CUT) };
const CHECK: Draft = {
  kind: 'check',
  at: DEMO_EVENING,
  containerId: idOf(garden, '3'),
  check: { method: 'finger', grade: 2 },
};

/** The gardens that workers were handed, by how many entries they had. */
let handedOver: number[] = [];
let store: GardenStore;

beforeEach(async () => {
  handedOver = [];
  forgetWorkers();
  const api = {
    open: ({ entries }: Garden, after = 0) => Promise.resolve(handedOver.push(after + entries.length)),
    take: () => Promise.resolve(),
    apply: () => Promise.resolve(),
    states: () => Promise.resolve([]),
  };
  vi.spyOn(workerPool, 'at').mockReturnValue(api as unknown as ReturnType<typeof workerPool.at>);
  vi.spyOn(storeWorker, 'api').mockReturnValue(
    createStoreApi() as unknown as ReturnType<typeof storeWorker.api>,
  );
  store = new GardenStore(DATABASE_NAMES.own);
  await store.replace(garden);
});

afterEach(() => {
  store.close();
  vi.restoreAllMocks();
});

/** The grower's own garden, first read without its older part. */
async function openedByHalves() {
  const read = vi.spyOn(GardenStore.prototype, 'load').mockImplementation((from): Promise<FoldedGarden> => {
    const isWhole = from === undefined;
    const rows = { garden: isWhole ? garden : recent, texts: [], setAside: [] };
    return Promise.resolve({ ...rows, writes: 0, stamp: 'rundel 0', isWhole });
  });
  const client = new QueryClient();
  const { result } = renderHook(() => useGardenState('own'), {
    wrapper: ({ children }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>,
  });
  await waitFor(() => expect(result.current.kind).toBe('ready'));
  const open = () => {
    if (result.current.kind !== 'ready') throw new Error('The garden is not open.');
    return result.current.open;
  };
  return { open, read };
}

it('a garden is shown before its older seasons are read, and is whole after it', async () => {
  const rest = vi
    .spyOn(GardenStore.prototype, 'loadOlder')
    .mockResolvedValue([...older, ...recent.entries.slice(0, 2)]);
  const { open } = await openedByHalves();
  expect(open()).toMatchObject({ isWhole: false, garden: { entries: recent.entries } });
  await act(() => Promise.all([open().readRest(), open().readRest()]));
  await waitFor(() => expect(open().isWhole).toBe(true));
  expect(rest).toHaveBeenCalledTimes(1);
  // what had been put into a page meanwhile stands in it once
  expect(open().garden.entries).toHaveLength(garden.entries.length);
  expect(open().live.map(({ id }) => id)).toEqual(liveEntries(garden.entries).map(({ id }) => id));
});

it('what is done meanwhile waits for the rest, and no worker is handed a part of a garden', async () => {
  let arrive: (entries: typeof older) => void = () => undefined;
  vi.spyOn(GardenStore.prototype, 'loadOlder').mockReturnValue(new Promise((resolve) => (arrive = resolve)));
  const append = vi.spyOn(GardenStore.prototype, 'append');
  const { open } = await openedByHalves();
  const done = open().record([CHECK], 'check');
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(append).not.toHaveBeenCalled();
  await act(async () => {
    arrive(older);
    await done;
  });
  await waitFor(() => expect(open().garden.entries).toHaveLength(garden.entries.length + 1));
  expect(append).toHaveBeenCalledTimes(1);
  expect(Math.min(...handedOver)).toBeGreaterThanOrEqual(garden.entries.length);
});

it('a rest that cannot be read leads to reading the whole', async () => {
  vi.spyOn(GardenStore.prototype, 'loadOlder').mockRejectedValue(new Error('the disk is gone'));
  const { open, read } = await openedByHalves();
  await act(() => open().readRest());
  await waitFor(() => expect(open().isWhole).toBe(true));
  expect(open().garden.entries).toHaveLength(garden.entries.length);
  expect(read).toHaveBeenLastCalledWith(undefined, undefined);
});

it('a long diary that is handed over in parts is the same as in one, also when it is begun anew half way', async () => {
  const { createApi } = await import('../src/workers/garden.worker.ts');
  const ids = garden.containers.map(({ id }) => id);
  const [inParts, inOne] = [createApi(), createApi()];
  const part = (from: number, to?: number) => garden.entries.slice(from, to);
  inParts.take(0, part(0, 70));
  inParts.take(0, part(0, 50));
  inParts.take(50, part(50, 90));
  inParts.open({ ...garden, entries: part(90) }, 90);
  inOne.open(garden);
  expect(inParts.states(ids, DEMO_EVENING, {})).toEqual(inOne.states(ids, DEMO_EVENING, {}));
});
