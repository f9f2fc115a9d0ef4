import { gannetSlip } from '@rundel/core/demo';
import { byTime, type Entry } from '@rundel/core/records';
import { afterEach, describe, expect, it } from 'vitest';
import { BUILD } from './build.ts';
import { LOOSE, tidyDiary } from './diary-pages.ts';
import { retryUnread } from './retry-unread.ts';
import { GardenDb } from './garden-db.ts';
import {
  CHECKED,
  countRows,
  readFolded,
  readGarden,
  readOlderEntries,
  rowsOf,
  WRITES,
  writeGarden,
  type Draw,
} from './garden-rows.ts';

const demo = gannetSlip(3);
const inOrder = (entries: readonly Entry[]) => [...entries].sort(byTime);
const CONTAINER = demo.containers[0]?.id ?? '';
const aCheck = (n: number, day: string): Entry => ({
  id: `ent_page${String(n).padStart(4, '0')}`,
  kind: 'check',
  at: `${day}T18:00:00.000+01:00`,
  recordedAt: `${day}T18:00:00.000+01:00`,
  containerId: CONTAINER,
  check: { method: 'finger', grade: 3 },
});
/** Draws a piece of work to its end at once: no screen waits here. */
const finishedNow: Draw = (work) => {
  for (;;) {
    const step = work.next();
    if (step.done) return Promise.resolve(step.value);
  }
};
let count = 0;
const open: GardenDb[] = [];
function freshDb(): GardenDb {
  const db = new GardenDb(`pages-${count++}`);
  open.push(db);
  return db;
}

afterEach(() => {
  for (const db of open.splice(0)) db.close();
});

describe('a diary in pages', () => {
  it('comes back as it was put in, and is counted entry by entry', async () => {
    const db = freshDb();
    await writeGarden(db, demo);
    expect(await db.entries.count()).toBe(0);
    expect(await countRows(db)).toBe(rowsOf(demo));
    const read = await readGarden(db, finishedNow);
    expect(inOrder(read?.garden.entries ?? [])).toEqual(inOrder(demo.entries));
    expect(read).toMatchObject({ setAside: [], isWhole: true });
  });

  it('a few entries stand in rows of their own until they have become many; then they go into the pages of their months', async () => {
    const db = freshDb();
    const few = { ...demo, entries: demo.entries.slice(0, 20) };
    await writeGarden(db, few);
    expect([await db.entries.count(), await db.pages.count()]).toEqual([20, 0]);
    expect(await tidyDiary(db)).toBe(0);
    const more = Array.from({ length: LOOSE }, (_, n) =>
      aCheck(n, n % 2 === 0 ? '2026-07-01' : '2025-08-01'),
    );
    await db.entries.bulkAdd(more);
    expect(await tidyDiary(db)).toBe(20 + LOOSE);
    // and once more into the same pages
    const again = Array.from({ length: LOOSE + 1 }, (_, n) => aCheck(5000 + n, '2026-07-02'));
    await db.entries.bulkAdd(again);
    await tidyDiary(db);
    const july = await db.pages.get('2026-07');
    expect(july?.count).toBe((JSON.parse(july?.text ?? '[]') as unknown[]).length);
    const read = await readGarden(db, finishedNow);
    expect(inOrder(read?.garden.entries ?? [])).toEqual(inOrder([...few.entries, ...more, ...again]));
  });

  it('a row in a page that does not read is set aside, and a page that is no JSON with its text', async () => {
    const db = freshDb();
    await writeGarden(db, demo);
    const bad = { ...aCheck(1, '2026-07-01'), check: { method: 'finger', grade: 9 } };
    await db.pages.put({ month: '1999-07', count: 1, text: JSON.stringify([bad]) });
    await db.pages.put({ month: '1999-08', count: 1, text: '[{"kind":"che' });
    const read = await readGarden(db, finishedNow);
    expect(read?.setAside.map(({ id }) => id).sort()).toEqual(['1999-08', bad.id]);
    expect(read?.garden.entries).toHaveLength(demo.entries.length);
  });
});

describe('rows that this app has checked', () => {
  const trusting = (db: GardenDb, from?: string) => readGarden(db, finishedNow, from, true);

  it('are not checked again until somebody else has written', async () => {
    const db = freshDb();
    await writeGarden(db, demo);
    expect(await db.device.get(CHECKED)).toBeUndefined();
    await trusting(db);
    expect((await db.device.get(CHECKED))?.value).toEqual({ build: BUILD, writes: 0 });
    const bad = { ...aCheck(1, '2026-07-01'), check: { method: 'finger', grade: 9 } } as Entry;
    await db.entries.add(bad);
    expect((await trusting(db))?.setAside).toEqual([]);
    // an app of another build counts its writes and says nothing of checks
    await db.device.put({ key: WRITES, value: 1 });
    expect((await trusting(db))?.setAside.map(({ id }) => id)).toEqual([bad.id]);
    expect((await db.device.get(CHECKED))?.value).toMatchObject({ writes: 0 });
  });

  it('are handed on in pages as they lie there, and unfolded while they are not checked', async () => {
    const db = freshDb();
    await writeGarden(db, demo);
    const loose = aCheck(1, '2026-07-01');
    await db.entries.add(loose);
    const first = await readFolded(db, finishedNow, undefined, true);
    expect(first?.texts).toEqual([]);
    expect(inOrder(first?.garden.entries ?? [])).toEqual(inOrder([...demo.entries, loose]));
    const then = await readFolded(db, finishedNow, undefined, true);
    expect(then?.garden.entries).toEqual([loose]);
    const unfolded = (then?.texts ?? []).flatMap((text) => JSON.parse(text) as Entry[]);
    expect(inOrder(unfolded)).toEqual(inOrder(demo.entries));
    // a page that is no JSON is found by who does not trust
    await db.pages.put({ month: '1999-08', count: 1, text: '[{"kind":"che' });
    const checked = await readFolded(db, finishedNow, undefined, false);
    expect(checked?.setAside.map(({ id }) => id)).toEqual(['1999-08']);
  });

  it('may be read from a month on: the rest is what stands in older pages, and what stands on is there at once', async () => {
    const db = freshDb();
    const older = [aCheck(1, '2023-07-01'), aCheck(2, '2024-07-01')];
    const planted = demo.entries.filter(({ kind }) => kind === 'planted').slice(0, 1);
    const longAgo = planted.map((e): Entry => ({
      ...e,
      id: 'ent_longago1',
      at: '2019-05-01T10:00:00.000+01:00',
    }));
    const garden = { ...demo, entries: [...demo.entries, ...older, ...longAgo] };
    await writeGarden(db, garden);
    // before it has been checked nothing is left out
    expect((await trusting(db, '2025-01'))?.isWhole).toBe(true);
    const recent = await trusting(db, '2025-01');
    expect(recent?.isWhole).toBe(false);
    expect(inOrder(recent?.garden.entries ?? [])).toEqual(inOrder([...demo.entries, ...longAgo]));
    expect(await readOlderEntries(db, finishedNow, '2025-01')).toEqual(older);
    expect((await trusting(db, '2020-01'))?.isWhole).toBe(true);
  });
});

/** A row whose id an entry in the pages has already. */
const TAKEN: Entry = { ...aCheck(2, '2026-07-02'), id: demo.entries[0]?.id ?? '' };

describe('rows that did not read', () => {
  it('are tried again once by a newer app, and take their places when they read; the others stay aside', async () => {
    const db = freshDb();
    await writeGarden(db, demo, {
      unread: [
        {
          table: 'entries',
          id: 'ent_page0001',
          problem: 'unknown',
          text: JSON.stringify(aCheck(1, '2026-07-01')),
        },
        {
          table: 'entries',
          id: 'ent_hum',
          problem: 'unknown',
          text: '{"id":"ent_hummed001","kind":"hummed"}',
        },
        { table: 'entries', id: TAKEN.id, problem: 'another has its id', text: JSON.stringify(TAKEN) },
        { table: 'songs', id: 'son_1', problem: 'unknown table', text: '{"id":"son_1"}' },
        { table: 'entries', id: 'ent_cut', problem: 'cut short', text: '{"id":"ent_' },
      ],
    });
    expect(await retryUnread(db, finishedNow, 'newer')).toBe(1);
    expect(await retryUnread(db, finishedNow, 'newer')).toBe(0);
    const read = await readGarden(db, finishedNow);
    expect(read?.garden.entries.filter(({ id }) => id === 'ent_page0001')).toEqual([aCheck(1, '2026-07-01')]);
    expect(read?.setAside.map(({ id }) => id)).toEqual(['ent_hum', TAKEN.id, 'son_1', 'ent_cut']);
    expect(read?.garden.entries).toHaveLength(demo.entries.length + 1);
    expect(read?.writes).toBe(1);
  });
});
