import { checkingRows, type SetAside } from '@rundel/core/garden-file';
import { BUILD } from './build.ts';
import type { GardenDb } from './garden-db.ts';
import { WRITES, type Draw } from './garden-rows.ts';

/** A note of which app last tried the rows that did not read. */
const TRIED = 'triedBy';

/**
 * Tries the rows again that an earlier app could not read: a newer one may know their kind or their fields. Those that read now
 * take their places, all or none.
 *
 * @returns how many read now
 */
export async function retryUnread(db: GardenDb, draw: Draw, build = BUILD): Promise<number> {
  const [tried, count] = await Promise.all([db.device.get(TRIED), db.unread.count()]);
  if (count === 0 || tried?.value === build) return 0;
  const unread = new Map<number, SetAside>();
  await db.unread.each((row, { primaryKey }) => unread.set(primaryKey, row));
  const tables: Record<string, unknown[]> = {};
  const keys = new Map<unknown, number>();
  for (const [key, { table, text }] of unread) {
    const row = parsed(text);
    if (row === undefined) continue;
    (tables[table] ??= []).push(row);
    keys.set(`${table} ${row.id}`, key);
  }
  const { rows } = await draw(checkingRows(tables));
  return db.transaction('rw', [...Object.keys(rows), 'pages', 'unread', 'device'], async () => {
    let found = 0;
    const pages = await db.pages.toArray();
    // a row may have been set aside because another has its id
    const isThere = async (table: string, id: string) =>
      (await db.table(table).get(id)) !== undefined ||
      (table === 'entries' && pages.some(({ text }) => text.includes(`"id":"${id}"`)));
    for (const [table, all] of Object.entries(rows))
      for (const row of all as readonly { readonly id: string }[]) {
        if (await isThere(table, row.id)) continue;
        await db.table(table).add(row);
        await db.unread.delete(keys.get(`${table} ${row.id}`) ?? -1);
        found += 1;
      }
    const writes = Number((await db.device.get(WRITES))?.value ?? 0);
    if (found > 0) await db.device.put({ key: WRITES, value: writes + 1 });
    await db.device.put({ key: TRIED, value: build });
    return found;
  });
}

function parsed(text: string | undefined): { readonly id: string } | undefined {
  try {
    const row: unknown = JSON.parse(text ?? '');
    const hasId = row !== null && typeof row === 'object' && 'id' in row && typeof row.id === 'string';
    return hasId ? (row as { readonly id: string }) : undefined;
  } catch {
    return undefined;
  }
}
