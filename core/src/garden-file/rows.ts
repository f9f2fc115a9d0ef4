import {
  entrySchema,
  RECORD_SCHEMAS,
  RECORD_TABLES,
  settingsSchema,
  USUAL_SETTINGS,
  type Garden,
  type Settings,
  type TableName,
} from '../records/index.ts';
import type * as z from '../schema/index.ts';

export type RowTable = TableName | 'entries';

/** Each table of rows with what its rows are checked by. */
const SCHEMAS: readonly (readonly [RowTable, z.ZodMiniType])[] = [
  ...RECORD_TABLES.map((table) => [table, RECORD_SCHEMAS[table]] as const),
  ['entries', entrySchema],
];

/** A row that could not be read, kept as it came, with what is wrong. */
export interface SetAside {
  readonly table: string;
  readonly id: string;
  readonly problem: string;
  /** the row as JSON; left out where it is too large or nested too deeply to be kept */
  readonly text?: string;
}

/** How far a long piece of work has come. */
export interface Progress {
  readonly done: number;
  readonly all: number;
}

export interface RowsRead {
  readonly rows: Omit<Garden, 'settings'>;
  readonly setAside: readonly SetAside[];
}

/** So many rows are some milliseconds of work. */
const ROWS_A_PART = 250;
/** No row of ours is nested a quarter as deeply, and what follows it inwards calls itself. */
const DEEPEST = 40;
/** What does not read is kept up to this size, in characters. */
const LONGEST_KEPT = 50_000;

/**
 * Checks every row of every table by its schema; what fails is set aside with the reason, and so is a second row of an id that
 * another has. In parts: whoever draws them may let a tap go first, or stop.
 *
 * @returns through the generator: the rows, and what was set aside
 */
export function* checkingRows(
  tables: Readonly<Record<string, unknown>>,
): Generator<Progress, RowsRead, undefined> {
  const setAside: SetAside[] = [];
  const rows: Record<string, unknown[]> = {};
  const listOf = (table: string): readonly unknown[] => {
    const list = tables[table];
    return Array.isArray(list) ? list : [];
  };
  const all = SCHEMAS.reduce((sum, [table]) => sum + listOf(table).length, 0);
  let done = 0;
  for (const [table, schema] of SCHEMAS) {
    const good: unknown[] = (rows[table] = []);
    const ids = new Map<string, unknown>();
    for (const row of listOf(table)) {
      const read = isTooDeep(row) ? undefined : schema.safeParse(row);
      const id = idOf(row);
      if (!read) setAside.push(asideOf(table, row, 'it is nested too deeply'));
      else if (!read.success) setAside.push(asideOf(table, row, problemOf(read.error)));
      else if (!ids.has(id)) {
        ids.set(id, row);
        good.push(read.data);
      } else if (JSON.stringify(ids.get(id)) !== JSON.stringify(row))
        setAside.push(asideOf(table, row, `another row has the id "${id}" already`));
      if (++done % ROWS_A_PART === 0) yield { done, all };
    }
  }
  return { rows: rows as unknown as Omit<Garden, 'settings'>, setAside };
}

/** What can be used of settings: those fields that read, the usual ones for those that a garden cannot be without. */
export function usableSettings(
  raw: unknown,
  changedAt: string,
): { readonly settings: Settings; readonly problem?: string } {
  const read = settingsSchema.safeParse(raw);
  if (read.success) return { settings: read.data };
  const fields = raw !== null && typeof raw === 'object' ? Object.entries(raw) : [];
  const schemas = settingsSchema.shape as Readonly<Record<string, z.ZodMiniType>>;
  const usable = fields.filter(
    ([field, value]) => !isTooDeep(value) && schemas[field]?.safeParse(value).success,
  );
  const settings = settingsSchema.parse({ ...USUAL_SETTINGS, changedAt, ...Object.fromEntries(usable) });
  return { settings, problem: problemOf(read.error) };
}

/** The first thing that is wrong with a row, in words: its field and what the schema says of it. */
export function problemOf(error: z.core.$ZodError): string {
  const issue = error.issues[0];
  return issue ? `${issue.path.join('.') || 'the row'}: ${issue.message}` : 'it does not read';
}

/** A row set aside, as JSON. */
export function asideOf(table: string, row: unknown, problem: string): SetAside {
  const text = isTooDeep(row) ? undefined : JSON.stringify(row);
  const isKept = text !== undefined && text.length <= LONGEST_KEPT;
  return { table, id: idOf(row), problem, ...(isKept ? { text } : {}) };
}

function idOf(row: unknown): string {
  const id = row !== null && typeof row === 'object' && 'id' in row ? row.id : undefined;
  // anything else may be nested without end, and its text would be worked out along itself
  return typeof id === 'string' || typeof id === 'number' ? String(id).slice(0, 60) : 'without an id';
}

/** Whether something is nested further than anything of ours; by a list and not by calls within calls. */
export function isTooDeep(value: unknown): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST) return true;
    level = level.flatMap((one) => (one !== null && typeof one === 'object' ? Object.values(one) : []));
  }
  return false;
}

/** Draws a piece of work to its end at once. */
export function finished<T>(work: Generator<Progress, T, undefined>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
