import { RECORD_TABLES, type Garden } from '../records/index.ts';
import { checksumOf } from './checksum.ts';
import { LATEST_MINOR, LATEST_VERSION } from './version.ts';
import { checkingRows, finished, usableSettings, type SetAside } from './rows.ts';

/**
 * A garden as the text of a file (docs/garden-file.md), a row a line, rows by id and fields in their schema's order: two saves of
 * one garden are the same text, two saves of a day apart differ in the lines that changed, and damage to one line costs one row.
 *
 * @param unread rows that this Rundel could not read, to be kept for one that can
 */
export function writeGardenFile(
  garden: Garden,
  savedAt: string,
  unread: readonly Pick<SetAside, 'table' | 'text'>[] = [],
): string {
  const { rows } = finished(checkingRows({ ...garden }));
  const byId = (table: keyof typeof rows) =>
    [...(rows[table] as readonly { readonly id: string }[])].sort((a, b) => (a.id < b.id ? -1 : 1));
  const kept = unread.flatMap(({ table, text }) => (text === undefined ? [] : [{ table, text }]));
  const file: Record<string, unknown> = {
    format: 'rundel-garden',
    version: LATEST_VERSION,
    minor: LATEST_MINOR,
    savedAt,
    settings: usableSettings(garden.settings, savedAt).settings,
    ...Object.fromEntries(RECORD_TABLES.map((table) => [table, byId(table)])),
    entries: byId('entries'),
    ...(kept.length > 0 ? { unread: kept } : {}),
  };
  const parts = Object.entries({ ...file, checksum: checksumOf(file) }).map(([name, part]) => {
    const isList = Array.isArray(part) && part.length > 0;
    const text = isList
      ? `[\n${part.map((row) => `  ${JSON.stringify(row)}`).join(',\n')}\n ]`
      : JSON.stringify(part);
    return ` ${JSON.stringify(name)}: ${text}`;
  });
  return `{\n${parts.join(',\n')}\n}\n`;
}
