import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dayOf } from '@rundel/core/calendar';
import { bagFeeding, bagWater, propertiesOf, warmthOf } from '@rundel/core/garden-state';
import { liveEntries, type Entry, type Place } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import { inverse, type Change } from './changes.ts';
import { clockSetTo, realClock } from './clock.ts';
import { GardenDb } from './db.ts';
import { demoMoment } from './demo.ts';
import { readGardenFile, writeGardenFile } from './garden-file.ts';
import { GardenStore } from './garden-store.ts';
import { StorageError } from './storage-error.ts';
import { newId } from './ids.ts';
import { mergeGardens } from './merge.ts';
import { LATEST_VERSION, migrate } from './migrations.ts';
import { newGarden } from './new-garden.ts';
import { gardenToOpen } from './garden-id.ts';

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
const fixture = (name: string) => readFileSync(join(import.meta.dirname, 'fixtures', name), 'utf8');

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
    const db = new GardenDb(store.name);
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

describe('the garden file', async () => {
  const text = await writeGardenFile(demo, DEMO_EVENING);

  it('reads back the same figures', async () => {
    const reading = await readGardenFile(text);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(await writeGardenFile(reading.garden, reading.savedAt)).toBe(text);
  });

  it('is the same text whatever order the rows were stored in', async () => {
    expect(await writeGardenFile({ ...demo, entries: [...demo.entries].reverse() }, DEMO_EVENING)).toBe(text);
  });

  it.each([
    ['cut short', text.slice(0, 5000), /damaged or cut short/],
    ['something else', '[1, 2]', /not a Rundel garden file/],
    ['another format', '{"format":"other","version":1}', /not a Rundel garden file/],
    ['newer', text.replace(/"version": \d+/, '"version": 99'), /newer Rundel \(file version 99/],
    ['without settings', text.replace('"settings"', '"settling"'), /"settings" does not read/],
  ])('refuses a file that is %s, with the reason', async (_, damaged, reason) => {
    const reading = await readGardenFile(damaged);
    expect(reading.kind).toBe('refused');
    if (reading.kind === 'refused') expect(reading.problem).toMatch(reason);
  });

  it('loses one row and no more to a damaged row', async () => {
    const file = JSON.parse(text) as { entries: { at: string }[] };
    if (file.entries[3]) file.entries[3].at = 'teatime';
    const reading = await readGardenFile(JSON.stringify(file));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.garden.entries).toHaveLength(demo.entries.length - 1);
    expect(reading.setAside).toMatchObject([
      { table: 'entries', problem: expect.stringContaining('at') as string },
    ]);
  });

  it('goes through migrations on a copy', () => {
    const old = { version: 1, settings: { gardenName: 'x' } };
    expect(migrate(old, 1)).toEqual({
      ...old,
      mixes: [],
      products: [],
      packs: [],
      templates: [],
      plans: [],
      regimes: [],
      tanks: [],
      trials: [],
    });
    expect(migrate(old, LATEST_VERSION)).toEqual(old);
    expect(migrate(old, LATEST_VERSION)).not.toBe(old);
    expect(old).toEqual({ version: 1, settings: { gardenName: 'x' } });
  });

  it('of version 1 is read whole, with nothing set aside', async () => {
    const old = fixture('garden-v1.json');
    const reading = await readGardenFile(old);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(reading.garden.containers.map((c) => c.label).sort()).toEqual(['5', '7']);
    expect(reading.garden.entries).toHaveLength(28);
    expect(reading.garden.mixes).toEqual([]);
    expect(await writeGardenFile(reading.garden, reading.savedAt)).toContain(`"version": ${LATEST_VERSION}`);
  });
});

describe('a file of version 2', () => {
  it('is read whole, its mixes, packs and templates with it', async () => {
    const old = fixture('garden-v2.json');
    const reading = await readGardenFile(old);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(reading.garden.entries).toHaveLength(28);
    expect(reading.garden.mixes.map((m) => m.name)).toEqual(['my mix']);
    expect(reading.garden.templates[0]?.size).toEqual({ by: 'label', litres: 38 });
    expect(reading.garden.plans).toEqual([]);
  });
});

describe('a file of version 3', () => {
  it('is read whole, its plans and drips with it, and knows no regime yet', async () => {
    const old = fixture('garden-v3.json');
    const reading = await readGardenFile(old);
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    expect(reading.garden.entries).toHaveLength(30);
    expect(reading.garden.plans.map((p) => p.cropId)).toEqual(['cucumber']);
    expect(reading.garden.regimes).toEqual([]);
  });
});

describe('old garden files open to the figures that they had', () => {
  const figures = JSON.parse(fixture('figures.json')) as Record<string, Record<string, object>>;

  it.each(Object.keys(figures))('version %s', async (version) => {
    const reading = await readGardenFile(fixture(`garden-v${version}.json`));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    expect(reading.setAside).toEqual([]);
    const { garden, savedAt } = reading;
    const live = liveEntries(garden.entries);
    const warmth = warmthOf(live, garden.settings);
    for (const container of garden.containers) {
      const { estimate, availableLitres } = bagWater(garden, container, savedAt, live);
      const properties = propertiesOf(container, garden);
      const today = dayOf(savedAt);
      const { states } = bagFeeding(garden, container, properties, live, today, warmth, estimate.moves);
      const near = (value: number) => expect.closeTo(value, 5) as number;
      expect(figures[version]?.[container.label], container.label).toEqual({
        availableLitres: near(availableLitres),
        share: near(estimate.share.likely),
        low: near(estimate.share.low),
        use: near(estimate.useMultiplier.likely),
        feeds: states.map((s) => `${s.step.productId} ${s.kind}${'target' in s ? ` ${s.target}` : ''}`),
      });
    }
  });

  it('with names as they are now, and what the grower wrote as it was', async () => {
    const reading = await readGardenFile(fixture('garden-v4.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden } = reading;
    expect(garden.products[0]).toMatchObject({ name: 'My tomato liquid', description: 'From the co-op.' });
    expect(garden.packs[0]?.productId).toBe(garden.products[0]?.id);
    expect(garden.regimes[0]?.steps[0]).toMatchObject({ shortensWithGrowth: true });
    expect(garden.settings.assumptions).toMatchObject({ checkMinutes: 0.7, firstWateringDry: 0.22 });
    expect(garden.places.map((place) => place.id)).toContain(garden.containers[0]?.placeId);
    const kinds = new Set(garden.entries.map((entry) => entry.kind));
    expect([kinds.has('check'), kinds.has('watering')]).toEqual([true, true]);
    // what it was saved as stands beside it in the names of today
    expect(JSON.parse(await writeGardenFile(garden, reading.savedAt))).toEqual({
      ...(JSON.parse(fixture('garden-v5.json')) as object),
      version: LATEST_VERSION,
      tanks: [],
      trials: [],
    });
  });

  it('of version 6 with all that a grower knows of plants and bags is written as it was read', async () => {
    const reading = await readGardenFile(fixture('garden-v6.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden } = reading;
    expect(garden.settings.frost).toEqual({ last: '05-05' });
    expect(garden.varieties.some((v) => v.daysToRipe?.from === 'sowing')).toBe(true);
    expect(garden.containers.map((c) => c.fill?.by)).toContain('loose');
    expect(JSON.parse(await writeGardenFile(garden, reading.savedAt))).toEqual({
      ...(JSON.parse(fixture('garden-v6.json')) as object),
      version: LATEST_VERSION,
      tanks: [],
      trials: [],
    });
  });

  it('of version 7 with a shared tank and lines of drip is written as it was read', async () => {
    const reading = await readGardenFile(fixture('garden-v7.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden } = reading;
    expect(garden.tanks.map(({ name }) => name)).toEqual(['Blue drum']);
    expect(garden.containers.some((c) => c.tankId === garden.tanks[0]?.id)).toBe(true);
    expect(garden.entries.some((e) => e.kind === 'drip' && e.setting?.further?.length === 1)).toBe(true);
    expect(JSON.parse(await writeGardenFile(garden, reading.savedAt))).toEqual({
      ...(JSON.parse(fixture('garden-v7.json')) as object),
      version: LATEST_VERSION,
      trials: [],
    });
  });

  it('of version 8 with trouble, sprays, cleaning, trusses and warnings is written as it was read', async () => {
    const reading = await readGardenFile(fixture('garden-v8.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden, setAside } = reading;
    expect(setAside).toEqual([]);
    const kinds = new Set<string>(garden.entries.map(({ kind }) => kind));
    for (const kind of ['trouble', 'followed-up', 'sprayed', 'cleaned', 'truss', 'warned'])
      expect(kinds.has(kind), kind).toBe(true);
    expect(garden.places[0]?.alerts).toEqual({ frost: { threshold: 1 }, wind: { isOff: true } });
    expect(JSON.parse(await writeGardenFile(garden, reading.savedAt))).toEqual({
      ...(JSON.parse(fixture('garden-v8.json')) as object),
      version: LATEST_VERSION,
      trials: [],
    });
  });

  it('of version 9 with a trial, lots on the shelf, prices and minutes of a round is written as it was read', async () => {
    const reading = await readGardenFile(fixture('garden-v9.json'));
    if (reading.kind !== 'readable') throw new Error(reading.problem);
    const { garden, setAside } = reading;
    expect(setAside).toEqual([]);
    expect(garden.trials.map(({ name }) => name)).toEqual(['Big bag or small']);
    expect(garden.entries.some((e) => e.kind === 'shelf-check' && e.left === 3)).toBe(true);
    expect(garden.settings.shopPrices).toEqual({ tomato: 4.5 });
    expect(JSON.parse(await writeGardenFile(garden, reading.savedAt))).toEqual(
      JSON.parse(fixture('garden-v9.json')),
    );
  });

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

describe('merging two copies', () => {
  const place = demo.places[0] as Place;
  const theirs = {
    ...demo,
    places: [{ ...place, name: 'Quay', changedAt: NOW }, ...demo.places.slice(1)],
    entries: [...demo.entries.slice(5), aCheck('ent_theirs01')],
  };

  it('keeps the entries of both and the later of two records', () => {
    const merged = mergeGardens(demo, theirs);
    expect(merged.entries).toHaveLength(demo.entries.length + 1);
    expect(merged.places.find((s) => s.id === place.id)?.name).toBe('Quay');
    expect(mergeGardens(theirs, demo).places.find((s) => s.id === place.id)?.name).toBe('Quay');
  });

  it('twice is the same as once', () => {
    const once = mergeGardens(demo, theirs);
    expect(mergeGardens(once, theirs)).toEqual(once);
  });
});

describe('small things', () => {
  it('ids are of their kind and not the same twice', () => {
    expect(newId('container')).toMatch(/^con_[0-9a-z]{16}$/);
    expect(new Set(Array.from({ length: 500 }, () => newId('entry'))).size).toBe(500);
  });

  it('the address decides which garden opens, then memory', () => {
    expect(gardenToOpen('?garden=demo', 'own')).toBe('demo');
    expect(gardenToOpen('?garden=own', 'demo')).toBe('own');
    expect(gardenToOpen('?garden=nonsense', 'demo')).toBe('demo');
    expect(gardenToOpen('', null)).toBe('own');
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
