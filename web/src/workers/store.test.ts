// @vitest-environment happy-dom
import { gannetSlip } from '@rundel/core/demo';
import type { Entry, Place } from '@rundel/core/records';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ConflictError, DATABASE_NAMES, GardenStore, StorageError } from '../db/index.ts';
import { StoreInWorker, storeWorker } from './store.ts';
import type * as StoreModule from './store.ts';
import { createStoreApi } from './store.worker.ts';

const demo = gannetSlip(3);
const garden = { ...demo, entries: demo.entries.slice(-40) };
const place = garden.places[0] as Place;
const LATER = '2026-07-16T19:00:00.000+01:00';
const NOTE: Entry = { kind: 'note', id: 'ent_storenote1', at: LATER, recordedAt: LATER, text: 'moved in' };

let api: ReturnType<typeof createStoreApi>;
let other: GardenStore;
let store: StoreInWorker;

beforeEach(async () => {
  api = createStoreApi();
  // what crosses to another thread is a copy
  const copying = new Proxy(api, {
    get:
      (here, key) =>
      async (...given: unknown[]): Promise<unknown> =>
        structuredClone(
          await (here[key as 'ask'] as (...g: unknown[]) => unknown)(...structuredClone(given)),
        ),
  });
  vi.spyOn(storeWorker, 'api').mockReturnValue(copying as unknown as ReturnType<typeof storeWorker.api>);
  store = new StoreInWorker(DATABASE_NAMES.demo);
  other = new GardenStore(DATABASE_NAMES.demo);
  await other.replace(garden);
  await other.load();
});
afterEach(() => {
  other.close();
  vi.restoreAllMocks();
});

describe('a garden whose database is in a worker', () => {
  it('comes back as it was put in, however long its diary is', async () => {
    const long = {
      ...demo,
      entries: [...demo.entries, ...demo.entries.map((e) => ({ ...e, id: `${e.id}x` }))],
    };
    await store.replace(long);
    const loaded = await store.load();
    expect(loaded?.garden.entries).toHaveLength(long.entries.length);
    expect(new Set(loaded?.garden.entries.map(({ id }) => id))).toEqual(
      new Set(long.entries.map(({ id }) => id)),
    );
    expect(loaded?.garden.settings).toEqual(long.settings);
    expect(store.stamp).toBe(loaded?.stamp);
  });

  it('whose page turns out damaged is read once more with each row checked', async () => {
    const there = await other.load();
    const read = vi.spyOn(GardenStore.prototype, 'load');
    read.mockImplementationOnce(() => Promise.resolve(there && { ...there, texts: ['[{"kind":"che'] }));
    expect((await store.load('2026-07'))?.garden.entries).toHaveLength(garden.entries.length);
    expect(read.mock.calls).toEqual([
      ['2026-07', undefined],
      [undefined, false],
    ]);
  });

  it('names the rows that it stands in anew after each write', async () => {
    await store.load();
    const before = store.stamp;
    await store.append([NOTE]);
    expect(store.stamp).not.toBe(before);
    expect((await store.load())?.stamp).toBe(store.stamp);
  });

  it('tells of two tabs that changed the same, and what each of them said', async () => {
    await store.load();
    const change = (name: string) => ({
      table: 'places' as const,
      before: place,
      after: { ...place, name, changedAt: LATER },
    });
    await other.write([change('Wall')]);
    const failure = await store.write([change('Quay')], [NOTE]).catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(ConflictError);
    expect((failure as ConflictError).conflict).toMatchObject({
      after: { name: 'Quay' },
      current: { name: 'Wall' },
      disputed: ['name'],
    });
    expect((await store.load())?.garden.entries).toHaveLength(garden.entries.length);
  });

  it('tells in a sentence what cannot be stored', async () => {
    const bad = { ...NOTE, at: 'teatime' };
    const failure = await store.append([bad]).catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(StorageError);
    expect((failure as StorageError).message).toMatch(/^This cannot be stored \(at: .*Nothing was changed/);
  });

  it('has no walk in progress where what was noted of it is none', async () => {
    expect(await store.readWalk()).toBeUndefined();
    await store.writeNote('walk', { startedAt: LATER, containerIds: 'all' });
    expect(await store.readWalk()).toBeUndefined();
    const walk = { startedAt: LATER, containerIds: [garden.containers[0]?.id ?? ''] };
    await store.writeNote('walk', walk);
    expect(await store.readWalk()).toEqual(walk);
  });

  it('keeps photographs, and tells which of them nothing names', async () => {
    const photo = (id: string) => ({ id, bytes: new Uint8Array([1, 2, 3]).buffer, addedAt: LATER });
    const ids = ['pho_named001', 'pho_unread01', 'pho_loose001'];
    // tests of other files have left theirs
    await store.letPhotosGo((await store.loosePhotos(new Set(), '')).ids);
    await store.addPhotos(ids.map(photo));
    expect(new Uint8Array((await store.photo('pho_named001')) ?? new ArrayBuffer())).toEqual(
      new Uint8Array([1, 2, 3]),
    );
    expect(await store.photo('pho_gone0001')).toBeUndefined();
    const loose = await store.loosePhotos(new Set(['pho_named001']), '{"photoIds":["pho_unread01"]}');
    expect(loose).toEqual({ ids: ['pho_loose001'], bytes: 3 });
    await store.letPhotosGo(loose.ids);
    expect((await store.loosePhotos(new Set(), '')).ids).toEqual(['pho_named001', 'pho_unread01']);
    await store.letPhotosGo(ids);
  });
});

describe('a garden that is read ahead', () => {
  it('is not read a second time when the page asks for it', async () => {
    const read = vi.spyOn(GardenStore.prototype, 'load');
    api.readAhead('demo', Date.now());
    expect((await store.load())?.garden.entries).toHaveLength(garden.entries.length);
    expect(read).toHaveBeenCalledTimes(1);
    await store.load();
    expect(read).toHaveBeenCalledTimes(2);
  });

  it('is read anew where another tab has written meanwhile', async () => {
    const read = vi.spyOn(GardenStore.prototype, 'load');
    api.readAhead('demo', Date.now());
    await read.mock.results[0]?.value;
    await other.append([NOTE]);
    expect((await store.load())?.garden.entries.map(({ id }) => id)).toContain(NOTE.id);
  });

  it('is read anew where it was put into another database meanwhile', async () => {
    const read = vi.spyOn(GardenStore.prototype, 'load');
    api.readAhead('demo', Date.now());
    await read.mock.results[0]?.value;
    await other.replace({ ...garden, entries: [NOTE] });
    expect((await store.load())?.garden.entries).toEqual([NOTE]);
  });

  it('that is not the one that was expected is read as it is asked for', async () => {
    api.readAhead('own', Date.now());
    expect((await store.load())?.garden.entries).toHaveLength(garden.entries.length);
  });
});

describe('a worker that does not start', () => {
  it('is told of, and the next try begins with another', async () => {
    const errors: (() => void)[] = [];
    let begun = 0;
    vi.stubGlobal(
      'Worker',
      class {
        constructor() {
          begun++;
        }
        postMessage(): void {
          // nobody answers
        }
        addEventListener(type: string, listener: () => void): void {
          if (type === 'error') errors.push(listener);
        }
      },
    );
    // read a second time, since the tests of other files share the first and have begun its worker
    const again = './store.ts?begun-anew';
    const fresh = (await import(/* @vite-ignore */ again)) as typeof StoreModule;
    const asking = new fresh.StoreInWorker('rundel-broken');
    for (const count of [1, 2]) {
      const failure = asking.load().catch((error: unknown) => error);
      await Promise.resolve();
      errors.at(-1)?.();
      expect(((await failure) as Error).message).toMatch(/did not start\. Nothing was changed/);
      expect(begun).toBe(count);
    }
    vi.unstubAllGlobals();
  });
});
