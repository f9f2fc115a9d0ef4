import { RECORD_TABLES, momentSchema, type Garden } from '../records/index.ts';
import { checksumOf } from './checksum.ts';
import { migrate } from './migrations.ts';
import {
  asideOf,
  checkingRows,
  finished,
  isTooDeep,
  usableSettings,
  type Progress,
  type RowTable,
  type SetAside,
} from './rows.ts';
import { LATEST_MINOR, LATEST_VERSION } from './version.ts';
import { salvage } from './salvage.ts';

export interface ReadableFile {
  readonly kind: 'readable';
  readonly garden: Garden;
  readonly setAside: readonly SetAside[];
  readonly savedAt: string;
  /** what is wrong with the file as a whole, though it was read; in sentences */
  readonly warnings: readonly string[];
}

export type FileReading = ReadableFile | { readonly kind: 'refused'; readonly problem: string };

/** Reads a garden file at once. */
export function readGardenFile(text: string): FileReading {
  return finished(readingGardenFile(text));
}

/**
 * Reads a garden file: refused whole with a plain reason, or readable with what had to be set aside. What is broken is read as far
 * as it is whole; what a later Rundel wrote and this one does not know is kept for that one.
 */
export function* readingGardenFile(text: string): Generator<Progress, FileReading, undefined> {
  const warnings: string[] = [];
  let raw: unknown;
  let isBroken = false;
  try {
    raw = JSON.parse(text);
  } catch {
    const { file, lost } = salvage(text);
    raw = file;
    isBroken = true;
    const pieces = lost === 1 ? 'one piece of it does' : `${Math.max(lost, 1)} pieces of it do`;
    warnings.push(
      `The file is damaged or cut short: ${pieces} not read. What is whole of it is offered here.`,
    );
  }
  if (raw === null || typeof raw !== 'object' || Array.isArray(raw)) return NOT_OURS;
  const file = raw as Record<string, unknown>;
  if (file['format'] !== 'rundel-garden')
    return isBroken && !RECORD_TABLES.some((table) => table in file)
      ? refused('It is not a whole JSON file: it may be damaged or cut short, and no row of it can be read.')
      : isBroken && file['format'] === undefined
        ? yield* reading({ ...file, format: 'rundel-garden' }, isBroken, warnings)
        : NOT_OURS;
  return yield* reading(file, isBroken, warnings);
}

function* reading(
  file: Record<string, unknown>,
  isBroken: boolean,
  warnings: string[],
): Generator<Progress, FileReading, undefined> {
  const version = isBroken ? (file['version'] ?? LATEST_VERSION) : file['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refused(`Its version is ${shown(version)}, and no version that Rundel has written.`);
  if (version > LATEST_VERSION)
    return refused(
      `It was saved by a newer Rundel (file version ${version}; this one reads up to ${LATEST_VERSION}). Update Rundel and open it again.`,
    );
  const list = RECORD_TABLES.find((table) => file[table] !== undefined && !Array.isArray(file[table]));
  if (list !== undefined) return refused(`Its part "${list}" does not read: it is no list of rows.`);
  if (!isBroken && !Array.isArray(file['entries']))
    return refused('Its part "entries" does not read: there is no list of entries.');

  const aside: SetAside[] = [];
  const shallow = withoutDeepRows(file, aside);
  if (
    aside.length === 0 &&
    file['checksum'] !== undefined &&
    file['checksum'] !== checksumOf(file) &&
    !isBroken
  )
    warnings.push(
      'The file was changed or damaged since it was saved: its checksum does not fit. Look through what is in it before it takes the place of anything.',
    );
  const saved = momentSchema.safeParse(file['savedAt']);
  if (!saved.success) warnings.push('When it was saved does not read.');
  const savedAt = saved.success ? saved.data : EARLIEST;
  const { unread, ...latest } = migrate(shallow, version);
  const { settings, problem } = usableSettings(latest['settings'], savedAt);
  if (problem !== undefined)
    warnings.push(`Some of its settings do not read (${problem}); the usual ones stand in for them.`);
  const { rows, setAside } = yield* checkingRows(latest);
  const isNewer = Number(file['minor'] ?? 0) > LATEST_MINOR && version === LATEST_VERSION;
  if (isNewer)
    warnings.push(
      'It was saved by a newer Rundel. What this one does not know is left as it is and kept for that one.',
    );
  const unknown = isNewer ? withUnknownFields(latest, rows) : [];
  const again = yield* readAgain(unread, { ...rows, settings });
  return {
    kind: 'readable',
    garden: again.garden,
    setAside: [...aside, ...setAside, ...unknown, ...again.setAside],
    savedAt,
    warnings,
  };
}

/** Before anything that was ever saved. */
const EARLIEST = '1950-01-01T00:00:00.000Z';

const refused = (problem: string): FileReading => ({ kind: 'refused', problem });
const NOT_OURS = refused('It is not a Rundel garden file.');
const shown = (value: unknown) =>
  value === undefined
    ? 'missing'
    : typeof value === 'object'
      ? 'no number'
      : JSON.stringify(value).slice(0, 40);

/** The file without rows that nothing may call itself along; those are set aside. */
function withoutDeepRows(file: Record<string, unknown>, aside: SetAside[]): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(file).map(([name, part]) => {
      if (!Array.isArray(part)) {
        if (!isTooDeep(part)) return [name, part];
        aside.push(asideOf(name, part, 'it is nested too deeply'));
        return [name, undefined];
      }
      const rows: readonly unknown[] = part;
      const whole = rows.filter((row) => !isTooDeep(row));
      if (whole.length < rows.length)
        for (const row of rows.filter(isTooDeep)) aside.push(asideOf(name, row, 'it is nested too deeply'));
      return [name, whole];
    }),
  );
}

/** Rows that were read, and in which something stands that this Rundel does not know: as they came, for one that does. */
function withUnknownFields(
  raw: Readonly<Record<string, unknown>>,
  rows: Omit<Garden, 'settings'>,
): readonly SetAside[] {
  return ([...RECORD_TABLES, 'entries'] as const).flatMap((table) => {
    const known = new Map(rows[table].map((row) => [row.id as string, row]));
    return ((raw[table] ?? []) as readonly Record<string, unknown>[]).flatMap((row) => {
      const read = known.get(String(row['id']));
      const field = read && Object.keys(row).find((name) => !(name in read));
      return field === undefined
        ? []
        : [asideOf(table, row, `"${field}" is unknown to this Rundel; the rest of it was read`)];
    });
  });
}

/** Rows that an earlier Rundel kept because it could not read them: perhaps this one can. */
function* readAgain(
  unread: unknown,
  garden: Garden,
): Generator<Progress, { readonly garden: Garden; readonly setAside: readonly SetAside[] }, undefined> {
  const kept = (Array.isArray(unread) ? unread : []).flatMap((one: unknown) => {
    const { table, text } = (one ?? {}) as { table?: unknown; text?: unknown };
    return typeof table === 'string' && typeof text === 'string' ? [{ table, row: rowOf(text) }] : [];
  });
  if (kept.length === 0) return { garden, setAside: [] };
  const tables: Record<string, unknown[]> = {};
  for (const { table, row } of kept) (tables[table] ??= []).push(row);
  const { rows, setAside } = yield* checkingRows(tables);
  const known = new Set<string>(['entries', ...RECORD_TABLES]);
  const strange = kept
    .filter(({ table }) => !known.has(table))
    .map(({ table, row }) => asideOf(table, row, `"${table}" is unknown to this Rundel`));
  const merged = Object.fromEntries(
    ([...RECORD_TABLES, 'entries'] as readonly RowTable[]).map((table) => {
      const fuller = new Map((rows[table] as readonly { id: string }[]).map((row) => [row.id, row]));
      const all = (garden[table] as readonly { id: string }[]).map((row) => fuller.get(row.id) ?? row);
      const own = new Set(all.map(({ id }) => id));
      return [table, [...all, ...[...fuller.values()].filter(({ id }) => !own.has(id))]];
    }),
  );
  return { garden: { ...garden, ...merged }, setAside: [...setAside, ...strange] };
}

function rowOf(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}
