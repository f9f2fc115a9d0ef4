import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readGardenFile, writeGardenFile } from '@rundel/core/garden-file';
import { liveEntries, type Entry, type Place } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import { inverse, type Change } from './changes.ts';
import { clockSetTo, realClock } from './clock.ts';
import { GardenDb, GardenStore, StorageError } from '../db/index.ts';
import { demoMoment } from './demo.ts';
import { newId } from './ids.ts';
import { newGarden } from './new-garden.ts';
import { gardenToOpen, withGardenNamed } from './garden-id.ts';

const demo = gannetSlip(3);
/** The same with the last of its diary: as good where the number does not matter, and written in a tenth of the time. */
const few = { ...demo, entries: demo.entries.slice(-150) };
const NOW = '2026-07-16T18:30:00.000+01:00';
let count = 0;
const stores: GardenStore[] = [];

function freshStore(): GardenStore {
  const store = new GardenStore(`test-${count++}`);
  stores.push(store);
  return store;
}

const byId = (entries: readonly Entry[] = []) => [...entries].sort((a, b) => (a.id < b.id ? -1 : 1));

afterEach(() => {
  for (const store of stores.splice(0)) store.close();
});

function aCheck(id = newId('entry')): Entry {
  const containerId = demo.containers[0]?.id ?? '';
  return { id, kind: 'check', at: NOW, recordedAt: NOW, containerId, check: { method: 'finger', grade: 3 } };
}

/** A file as an older Rundel wrote it. */
const fixture = (name: string) =>
  readFileSync(join(import.meta.dirname, '../../../core/src/garden-file/fixtures', name), 'utf8');

describe('a garden in the browser', () => {
  it('is nothing until it is started, and comes back as it was put in', async () => {
    const store = freshStore();
    expect(await store.load()).toBeUndefined();
    await store.replace(demo);
    const loaded = await store.load();
    expect(loaded?.setAside).toEqual([]);
    expect(byId(loaded?.garden.entries)).toEqual(byId(demo.entries));
    expect(loaded?.garden.settings).toEqual(demo.settings);
  });

  it('takes entries all or none', async () => {
    const store = freshStore();
    await store.replace(few);
    const bad = { ...aCheck(), check: { method: 'finger', grade: 9 } } as Entry;
    await expect(store.append([aCheck(), bad])).rejects.toThrow();
    const twice = aCheck();
    await expect(store.append([twice, twice])).rejects.toThrow(StorageError);
    expect((await store.load())?.garden.entries).toHaveLength(few.entries.length);
  });

  it('writes a record and its entries together or not at all', async () => {
    const store = freshStore();
    await store.replace(few);
    const before = few.places[0] as Place;
    const after = { ...before, name: 'Quay' };
    const known = few.entries[0] as Entry;
    await expect(store.write([{ table: 'places', before, after }], [known])).rejects.toThrow(StorageError);
    expect((await store.load())?.garden.places.map((s) => s.name)).not.toContain('Quay');
    await store.write([{ table: 'places', before, after }], [aCheck()]);
    expect((await store.load())?.garden.places.map((s) => s.name)).toContain('Quay');
  });

  it('sets a row aside that does not read, and keeps it in the database', async () => {
    const store = freshStore();
    await store.replace(few);
    const db = new GardenDb(await store.databaseName());
    await db.table('entries').put({ id: 'ent_damaged', kind: 'check', at: 'last week' });
    const loaded = await store.load();
    expect(loaded?.setAside).toMatchObject([{ table: 'entries', id: 'ent_damaged' }]);
    expect(loaded?.garden.entries).toHaveLength(few.entries.length);
    expect(await db.table('entries').get('ent_damaged')).toBeDefined();
    db.close();
  });

  it('keeps notes of the device, but for a walk through a garden that has been replaced', async () => {
    const store = freshStore();
    await store.replace(few);
    await store.writeNote('walk', { startedAt: NOW });
    await store.writeNote('fillPlan', { containerIds: [] });
    await store.writeNote('demoStart', NOW);
    expect(await store.readNote('walk')).toEqual({ startedAt: NOW });
    await store.replace({ ...few, entries: [] });
    expect(await store.readNote('walk')).toBeUndefined();
    expect(await store.readNote('fillPlan')).toBeUndefined();
    expect(await store.readNote('demoStart')).toBe(NOW);
    expect((await store.load())?.garden.entries).toEqual([]);
  });
});

describe('undo', () => {
  const entry = aCheck();
  const change: Change = { label: 'check of 1', entries: [entry], records: [] };

  it('of a change and of its undo is the change again', () => {
    const undo = inverse(change, NOW);
    const redo = inverse(undo, NOW);
    expect(liveEntries([entry, ...undo.entries])).toEqual([]);
    expect(liveEntries([entry, ...undo.entries, ...redo.entries])).toEqual([entry]);
  });

  it('of a new record bins it, of a changed one puts it back', () => {
    const place = demo.places[0] as Place;
    const added = inverse(
      { label: '', entries: [], records: [{ table: 'places', before: undefined, after: place }] },
      NOW,
    );
    expect(added.records[0]?.after.binnedAt).toBe(NOW);
    const renamed = { ...place, name: 'Quay' };
    const changed = inverse(
      { label: '', entries: [], records: [{ table: 'places', before: place, after: renamed }] },
      NOW,
    );
    expect(changed.records[0]?.after).toMatchObject({ name: place.name, changedAt: NOW });
  });
});

describe('an older database', () => {
  it('a database of version 4 is opened in the same names', async () => {
    const name = `test-${count++}`;
    const old = JSON.parse(fixture('garden-v4.json')) as Record<string, { readonly id: string }[]>;
    const before = new Dexie(name);
    const tables =
      'stands containers varieties batches plants measures mixes goods packs templates plans regimes';
    before.version(4).stores({
      ...Object.fromEntries(tables.split(' ').map((table) => [table, 'id'])),
      entries: 'id, kind, containerId',
      settings: 'id',
      device: 'key',
    });
    for (const table of [...tables.split(' '), 'entries'])
      await before.table(table).bulkAdd(old[table] ?? []);
    await before.table('settings').add({ ...old['settings'], id: 'settings' });
    await before.table('device').add({ key: 'fillPlan', value: { doses: [{ goodId: 'lime' }] } });
    before.close();
    const store = new GardenStore(name);
    stores.push(store);
    const loaded = await store.load();
    const read = await readGardenFile(fixture('garden-v4.json'));
    if (read.kind !== 'readable' || !loaded) throw new Error('it does not open');
    expect(loaded.setAside).toEqual([]);
    expect(await writeGardenFile(loaded.garden, NOW)).toEqual(await writeGardenFile(read.garden, NOW));
    expect(await store.readNote('fillPlan')).toEqual({ doses: [{ productId: 'lime' }] });
  });
});

describe('small things', () => {
  it('ids are of their kind and not the same twice', () => {
    expect(newId('container')).toMatch(/^con_[0-9a-z]{16}$/);
    expect(new Set(Array.from({ length: 500 }, () => newId('entry'))).size).toBe(500);
  });

  it('the address decides which garden opens, then the tab, then what was open last', () => {
    const none = { tab: null, last: null };
    expect(gardenToOpen('?garden=demo', '/bags', { tab: 'own', last: 'own' })).toBe('demo');
    expect(gardenToOpen('?garden=own', '/', { tab: 'demo', last: 'demo' })).toBe('own');
    expect(gardenToOpen('?garden=nonsense', '/bags', { tab: 'demo', last: null })).toBe('demo');
    expect(gardenToOpen('', '/bags/con_a', { tab: 'own', last: 'demo' })).toBe('own');
    expect(gardenToOpen('', '/', { tab: null, last: 'demo' })).toBe('demo');
    // a bookmark of a bag of one's own does not lead into the demo
    expect(gardenToOpen('', '/bags/con_a', { tab: null, last: 'demo' })).toBe('own');
    expect(gardenToOpen('', '/', none)).toBe('own');
    expect(withGardenNamed('http://x/bags?sort=a#b', 'demo')).toBe('http://x/bags?sort=a&garden=demo#b');
    expect(withGardenNamed('http://x/bags?garden=demo', 'own')).toBe('http://x/bags');
  });

  it("the demo's clock never runs before what was recorded in it", () => {
    const late = { ...aCheck(), recordedAt: '2026-07-16T19:10:00.000+01:00' };
    expect(demoMoment(DEMO_EVENING, undefined, { ...demo, entries: [late] })).toBe(late.recordedAt);
    expect(demoMoment(DEMO_EVENING, '2026-07-17T08:00:00.000+01:00', demo)).toBe(
      '2026-07-17T08:00:00.000+01:00',
    );
    expect(clockSetTo(DEMO_EVENING, 60).now()).toMatch(/^2026-07-16T18:00:0\d\.\d{3}\+01:00$/);
  });

  it('a time that is given is taken in the offset that held then', () => {
    expect(realClock.at('2026-07-01', '08:05')).toBe('2026-07-01T08:05:00.000+01:00');
    expect(realClock.at('2026-11-26', '08:05')).toBe('2026-11-26T08:05:00.000+00:00');
    // what is no time stays as it was given, so that whoever takes it can say so
    expect(Date.parse(realClock.at('?', '08:05'))).toBeNaN();
    expect(Date.parse(realClock.at('2026-07-01', ''))).toBeNaN();
    expect(clockSetTo(DEMO_EVENING, 60).at('2026-01-15', '08:05')).toBe('2026-01-15T08:05:00.000+01:00');
  });

  it('a new garden is one that the store takes', async () => {
    const store = freshStore();
    const garden = newGarden(NOW, { gardenName: 'Back step', latitudeDegrees: -33.5, units: 'uk' });
    await store.replace(garden);
    expect((await store.load())?.garden).toEqual(garden);
  });
});
