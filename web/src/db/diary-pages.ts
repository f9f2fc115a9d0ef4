import { byTime, isOfItsSeason, type Entry } from '@rundel/core/records';
import { groupedBy } from '@rundel/core/statistics';
import type { GardenDb } from './garden-db.ts';

/**
 * A part of the diary in one row. An entry never changes, and a database reads and writes some hundred rows far sooner than a
 * hundred thousand: what is in pages is there as the text of its JSON, oldest first.
 */
export interface DiaryPage {
  /** of what bears on its own season only: the month, `2026-07`; of what stands on: `standing-2026` */
  readonly month: string;
  readonly count: number;
  readonly text: string;
}

/** So many entries stand in rows of their own before they are put into pages. */
export const LOOSE = 500;

/** Pages of what stands on come after those of every month: who asks from a month on has them too. */
const STANDING = 'standing-';

function pageOf(entry: Entry): string {
  return isOfItsSeason(entry) ? entry.at.slice(0, 7) : `${STANDING}${entry.at.slice(0, 4)}`;
}

/** Entries as pages. */
export function* pagesOf(entries: readonly Entry[]): Generator<DiaryPage, void, undefined> {
  for (const [month, group] of groupedBy(entries, pageOf))
    yield { month, count: group.length, text: JSON.stringify([...group].sort(byTime)) };
}

/**
 * Puts entries that stand in rows of their own into pages, all or none; nothing where they are few.
 *
 * @returns how many entries went into pages
 */
export async function tidyDiary(db: GardenDb): Promise<number> {
  return db.transaction('rw', db.entries, db.pages, async () => {
    if ((await db.entries.count()) <= LOOSE) return 0;
    const loose = await db.entries.toArray();
    const fresh = [...pagesOf(loose)];
    const there = await db.pages.bulkGet(fresh.map(({ month }) => month));
    const pages = fresh.map((page, i) => {
      const before = there[i];
      return before ? joined(before, page) : page;
    });
    await db.pages.bulkPut(pages);
    await db.entries.clear();
    return loose.length;
  });
}

function joined(before: DiaryPage, more: DiaryPage): DiaryPage {
  const entries = [...entriesOf(before), ...entriesOf(more)].sort(byTime);
  return { month: before.month, count: entries.length, text: JSON.stringify(entries) };
}

/** The entries of a page as they were put there. */
export function entriesOf({ text }: DiaryPage): readonly Entry[] {
  return JSON.parse(text) as readonly Entry[];
}
