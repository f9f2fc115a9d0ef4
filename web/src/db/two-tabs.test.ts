import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import type { Entry, Place } from '@rundel/core/records';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { databaseOf, GardenDb, nextDatabase, StorageError, storageError, writeGarden } from './index.ts';
import { ConflictError } from './conflict.ts';
import { GardenStore } from './garden-store.ts';
import { newId } from '../store/ids.ts';

const demo = gannetSlip(3);
const few = { ...demo, entries: demo.entries.slice(-40) };
const place = few.places[0] as Place;
const LATER = '2026-07-16T19:00:00.000+01:00';
let count = 0;
let name = '';
let here: GardenStore;
let there: GardenStore;

const note = (text: string): Entry => ({
  kind: 'note',
  id: newId('entry'),
  at: LATER,
  recordedAt: LATER,
  text,
});

beforeEach(async () => {
  name = `tabs-${count++}`;
  here = new GardenStore(name);
  there = new GardenStore(name);
  await here.replace(few);
  await here.load();
  await there.load();
});
afterEach(() => {
  here.close();
  there.close();
});

const change = (patch: Partial<Place>, at = LATER) => ({
  table: 'places' as const,
  before: place,
  after: { ...place, ...patch, changedAt: at },
});
const stored = async () => (await here.load())?.garden.places.find(({ id }) => id === place.id);

describe('two tabs with one garden', () => {
  it('that change different fields of a place both have what they said', async () => {
    await there.write([change({ shade: 0.4 })]);
    await here.write([change({ name: 'Quay' })]);
    expect(await stored()).toMatchObject({ shade: 0.4, name: 'Quay' });
  });

  it('that change the same field are asked, and nothing is written meanwhile', async () => {
    await there.write([change({ name: 'Wall' })]);
    const failure = await here.write([change({ name: 'Quay' })], [note('moved in')]).catch((e: unknown) => e);
    expect(failure).toBeInstanceOf(ConflictError);
    const { conflict } = failure as ConflictError;
    expect(conflict.disputed).toEqual(['name']);
    expect([conflict.after, conflict.current]).toMatchObject([{ name: 'Quay' }, { name: 'Wall' }]);
    expect(await stored()).toMatchObject({ name: 'Wall' });
    expect((await here.load())?.garden.entries).toHaveLength(few.entries.length);
    // once the grower has said whose counts it is written over the other
    await here.write([
      { table: 'places', before: conflict.current as Place, after: conflict.after as Place },
    ]);
    expect(await stored()).toMatchObject({ name: 'Quay' });
  });

  it('a change made by a clock that stands behind counts as the later one', async () => {
    await there.write([change({ shade: 0.4 })]);
    await here.write([change({ name: 'Quay' }, '2020-01-01T00:00:00.000Z')]);
    expect(Date.parse((await stored())?.changedAt ?? '')).toBeGreaterThan(Date.parse(LATER));
  });

  it('settings of both stay', async () => {
    const { settings } = few;
    await there.writeSettings(settings, { ...settings, units: 'us' }, LATER);
    const saved = await here.writeSettings(settings, { ...settings, gardenName: 'Roof' }, LATER);
    expect(saved).toMatchObject({ units: 'us', gardenName: 'Roof' });
    expect((await there.load())?.garden.settings).toEqual(saved);
  });

  it('a file that is opened in one waits for what the other wrote since', async () => {
    await there.append([note('from the other tab')]);
    await expect(here.replace({ ...few, entries: [] })).rejects.toThrow(/written in another tab meanwhile/);
    expect((await here.load())?.garden.entries).toHaveLength(few.entries.length + 1);
    await here.replace({ ...few, entries: [] });
    expect((await here.load())?.garden.entries).toEqual([]);
  });

  it('one that has not heard of a file being opened writes nothing into what is gone', async () => {
    await here.replace({ ...few, entries: [] });
    await expect(there.append([note('too late')])).rejects.toThrow(/opened from a file in another tab/);
    await there.append([note('again')]);
    expect((await here.load())?.garden.entries.map((e) => e.kind === 'note' && e.text)).toEqual(['again']);
  });
});

describe('a garden that takes the place of another', () => {
  it('is in a database of its own; the former goes when it has been shown', async () => {
    const former = await here.databaseName();
    await here.replace({ ...few, places: [] });
    expect(await databaseOf(name)).not.toBe(former);
    expect(await Dexie.exists(former)).toBe(true);
    await here.settled();
    expect(await Dexie.exists(former)).toBe(false);
    expect((await here.load())?.garden.places).toEqual([]);
  });

  it('can be left again for the former as long as that is there', async () => {
    await here.replace({ ...few, places: [] });
    expect(await here.goBack()).toBe(true);
    expect((await here.load())?.garden.places).toHaveLength(few.places.length);
    await here.append([note('goes on')]);
    expect(await here.goBack()).toBe(false);
  });

  it('that was never moved to, because the page was closed, leaves the old one in use', async () => {
    const half = new GardenDb(nextDatabase(name));
    await writeGarden(half, { ...few, entries: [] });
    half.close();
    const old = new GardenDb(await here.databaseName());
    await old.device.put({ key: 'movedTo', value: half.name });
    old.close();
    await here.append([note('still here')]);
    expect((await here.load())?.garden.entries).toHaveLength(few.entries.length + 1);
  });

  it('keeps notes of the device; those that name its bags go with a file that is merged, not with one in its place', async () => {
    await here.writeNote('walk', { startedAt: DEMO_EVENING });
    await here.writeNote('columns', ['water']);
    const fill = async () => {
      const db = new GardenDb(nextDatabase(name));
      await writeGarden(db, few);
      db.close();
      return db.name;
    };
    await here.moveTo(await fill(), true);
    expect(await here.readNote('walk')).toEqual({ startedAt: DEMO_EVENING });
    await here.moveTo(await fill(), false);
    expect(await here.readNote('walk')).toBeUndefined();
    expect(await here.readNote('columns')).toEqual(['water']);
  });
});

describe('what the browser refuses', () => {
  const named = (error: string, inner?: Error) => Object.assign(new Error('x'), { name: error, inner });
  it.each([
    ['full', named('AbortError', named('QuotaExceededError')), /storage is full.*photographs/],
    [
      'many rows at once',
      Object.assign(named('BulkError'), { failures: [named('QuotaExceededError')] }),
      /full/,
    ],
    [
      'a device without room, which the browser only says in words',
      named(
        'DatabaseClosedError',
        named('UnknownError', new Error('IO error: 000003.log: FILE_ERROR_NO_SPACE')),
      ),
      /storage is full/,
    ],
    [
      'a store that does not open any more',
      named('DatabaseClosedError', named('OpenFailedError', named('UnknownError'))),
      /no room left.*Make room/,
    ],
    ['a write that was broken off', named('AbortError'), /broke off.*no room left/],
    ['an older app here', named('VersionError'), /newer Rundel/],
    ['a tab that holds on', named('BlockedError'), /Close the other tabs/],
    ['a private window', named('OpenFailedError', named('InvalidStateError')), /private window/],
    ['none at all', named('MissingAPIError'), /lets Rundel store nothing/],
    ['something else', new Error('odd'), /\(odd\)/],
  ])('%s is told by its cause, with what was kept', (_, error, words) => {
    const told = storageError(error);
    expect(told).toBeInstanceOf(StorageError);
    expect(told.message).toMatch(words);
    expect(told.message).toMatch(/Nothing was (changed|stored)/);
    expect(told.cause).toBe(error);
  });
});
