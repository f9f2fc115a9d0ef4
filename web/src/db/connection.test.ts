import { afterEach, describe, expect, it, vi } from 'vitest';
import { DEMO_EVENING, demoWith } from '../../test/gardens.ts';
import { reconnecting } from './connection.ts';
import { GardenDb, GardenStore, StorageError } from './index.ts';

const named = (name: string, inner?: Error) => Object.assign(new Error('x'), { name, inner });

describe('a connection that the browser gave up', () => {
  it.each(['UnknownError', 'InvalidStateError', 'AbortError'])('by a %s is made anew, once', async (name) => {
    const letGo = vi.fn();
    const work = vi
      .fn()
      .mockRejectedValueOnce(named('DexieError', named(name)))
      .mockResolvedValue(7);
    expect(await reconnecting(work, letGo)).toBe(7);
    expect([work, letGo].map(({ mock }) => mock.calls.length)).toEqual([2, 1]);
  });

  it('and gives up again is told, and not there for who comes next', async () => {
    const letGo = vi.fn();
    const work = vi.fn().mockRejectedValue(named('UnknownError'));
    await expect(reconnecting(work, letGo)).rejects.toThrow(StorageError);
    expect([work, letGo].map(({ mock }) => mock.calls.length)).toEqual([2, 2]);
  });
});

it.each([
  ['an id that is there already', named('AbortError', named('ConstraintError'))],
  ['a full disk', named('AbortError', named('QuotaExceededError'))],
  ['a newer app', named('VersionError')],
])('%s is not tried again', async (_, error) => {
  const work = vi.fn().mockRejectedValue(error);
  await expect(reconnecting(work, () => undefined)).rejects.toThrow(StorageError);
  expect(work).toHaveBeenCalledTimes(1);
});

describe('a garden', () => {
  afterEach(() => vi.restoreAllMocks());

  it('that a tab with an older Rundel holds is told as that, and opens when it is let go of', async () => {
    const held = await new Promise<IDBDatabase>((done) => {
      const asked = indexedDB.open('held', 10);
      asked.addEventListener('success', () => done(asked.result));
    });
    const store = new GardenStore('held');
    await expect(store.load()).rejects.toThrow(/Another tab still works with an older Rundel/);
    held.close();
    await vi.waitFor(() => store.readNote('any'));
    await store.replace(demoWith('3'));
    expect((await store.load())?.garden.containers).toHaveLength(1);
    store.close();
  });

  it('is written to by the next connection, and once', async () => {
    const store = new GardenStore('reconnected');
    const garden = demoWith('3');
    await store.replace(garden);
    await store.load();
    vi.spyOn(GardenDb.prototype, 'transaction').mockRejectedValueOnce(named('AbortError') as never);
    const base = { at: DEMO_EVENING, recordedAt: DEMO_EVENING };
    await store.append([{ kind: 'note', id: 'ent_afterlost01', ...base, text: 'still here' }]);
    const { entries } = (await store.load())?.garden ?? {};
    expect(entries?.filter(({ id }) => id === 'ent_afterlost01')).toHaveLength(1);
    expect(entries).toHaveLength(garden.entries.length + 1);
  });
});
