import {
  entrySchema,
  type Garden,
  momentSchema,
  RECORD_SCHEMAS,
  settingsSchema,
  type TableName,
} from '@rundel/core/records';
import * as z from '@rundel/core/schema';
import { RECORD_TABLES } from './db.ts';
import { LATEST_VERSION, migrate } from './migrations.ts';
import { pause } from './pause.ts';

/** Something that could not be read, kept as it came, with what is wrong. */
export interface SetAside {
  readonly table: string;
  readonly id: string;
  readonly problem: string;
  readonly raw: unknown;
}

export type FileReading =
  | {
      readonly kind: 'readable';
      readonly garden: Garden;
      readonly setAside: readonly SetAside[];
      readonly savedAt: string;
    }
  | { readonly kind: 'refused'; readonly problem: string };

/** The outside of a garden file; its tables are checked row by row so that one bad row costs one row. */
const fileSchema = z.object({
  format: z.literal('rundel-garden'),
  version: z.int().check(z.gte(1)),
  savedAt: momentSchema,
  settings: settingsSchema,
  ...Object.fromEntries(RECORD_TABLES.map((table) => [table, z.array(z.unknown())])),
  entries: z.array(z.unknown()),
});

/**
 * A garden as the text of a file (docs/garden-file.md), rows by id and fields in their schema's order, so that two
 * saves of one garden are the same text.
 */
export async function writeGardenFile(garden: Garden, savedAt: string): Promise<string> {
  const { rows } = await readRows({ ...garden });
  const byId = (table: keyof typeof rows) =>
    [...(rows[table] as readonly { readonly id: string }[])].sort((a, b) => (a.id < b.id ? -1 : 1));
  const file = {
    format: 'rundel-garden',
    version: LATEST_VERSION,
    savedAt,
    settings: settingsSchema.parse(garden.settings),
    ...Object.fromEntries(RECORD_TABLES.map((table) => [table, byId(table)])),
    entries: byId('entries'),
  };
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** Reads a garden file: refused whole with a plain reason, or readable with what had to be set aside. */
export async function readGardenFile(text: string): Promise<FileReading> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refused('It is not a whole JSON file: it may be damaged or cut short.');
  }
  const head = z.object({ format: z.string(), version: z.number() }).safeParse(raw);
  if (!head.success || head.data.format !== 'rundel-garden')
    return refused('It is not a Rundel garden file.');
  if (head.data.version > LATEST_VERSION) {
    return refused(
      `It was saved by a newer Rundel (file version ${head.data.version}; this one reads up to ${LATEST_VERSION}). Update Rundel and open it again.`,
    );
  }
  const parsed = fileSchema.safeParse(migrate(raw as Record<string, unknown>, head.data.version));
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return refused(
      `Its part "${issue?.path.join('.') ?? '?'}" does not read: ${issue?.message ?? 'unknown'}.`,
    );
  }
  const { rows, setAside } = await readRows(parsed.data);
  const garden = { ...rows, settings: parsed.data.settings } as Garden;
  return { kind: 'readable', garden, setAside, savedAt: parsed.data.savedAt };
}

function refused(problem: string): FileReading {
  return { kind: 'refused', problem };
}

interface RowsRead {
  readonly rows: Omit<Garden, 'settings'>;
  readonly setAside: readonly SetAside[];
}

/** So many rows are some milliseconds of work. */
export const ROWS_A_PART = 250;

/**
 * Checks every row of every table by its schema; what fails is set aside with the reason. In parts, with pauses between
 * them, so that the screen answers meanwhile.
 */
export async function readRows(tables: Record<string, unknown>): Promise<RowsRead> {
  const setAside: SetAside[] = [];
  const rows: Record<string, unknown[]> = {};
  const schemas: [string, z.ZodMiniType][] = [
    ...RECORD_TABLES.map((table: TableName): [string, z.ZodMiniType] => [table, RECORD_SCHEMAS[table]]),
    ['entries', entrySchema],
  ];
  let count = 0;
  for (const [table, schema] of schemas) {
    const product: unknown[] = (rows[table] = []);
    for (const row of (tables[table] as unknown[] | undefined) ?? []) {
      const parsed = schema.safeParse(row);
      if (parsed.success) product.push(parsed.data);
      else setAside.push({ table, id: idOf(row), problem: problemOf(parsed.error), raw: row });
      if (++count % ROWS_A_PART === 0) await pause();
    }
  }
  return { rows: rows as unknown as Omit<Garden, 'settings'>, setAside };
}

function idOf(row: unknown): string {
  return row !== null && typeof row === 'object' && 'id' in row ? String(row.id) : 'without an id';
}

/** The first thing that is wrong with a row, in words: its field and what the schema says of it. */
export function problemOf(error: z.core.$ZodError): string {
  const issue = error.issues[0];
  return issue ? `${issue.path.join('.') || 'the row'}: ${issue.message}` : 'it does not read';
}
