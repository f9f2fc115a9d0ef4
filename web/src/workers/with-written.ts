import { checkingRows, type Progress, type ReadableFile } from '@rundel/core/garden-file';
import { mergeGardens } from '@rundel/core/merge';
import { RECORD_TABLES, type Garden } from '@rundel/core/records';
import type { Written } from '../db/index.ts';

/**
 * A garden file with what was written to the same garden since: of each record the last, each entry once. What of it does not
 * read is set aside.
 */
export function* withWritten(
  file: ReadableFile,
  written: readonly Written[],
): Generator<Progress, ReadableFile, undefined> {
  const latest = new Map<string, { readonly table: string; readonly row: { readonly id: string } }>();
  for (const { records = [] } of written) for (const one of records) latest.set(one.row.id, one);
  const tables = Object.fromEntries(
    RECORD_TABLES.map((table) => [
      table,
      [...latest.values()].flatMap((one) => (one.table === table ? [one.row] : [])),
    ]),
  );
  const entries = written.flatMap(({ entries: some = [] }) => some);
  const { rows, setAside } = yield* checkingRows({ ...tables, entries });
  const settings = written.findLast((one) => one.settings !== undefined)?.settings ?? file.garden.settings;
  const since: Garden = { ...rows, settings };
  return { ...file, garden: mergeGardens(file.garden, since), setAside: [...file.setAside, ...setAside] };
}
