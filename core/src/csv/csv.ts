import Papa from 'papaparse';

/** A table as it came from a file. */
export interface CsvTable {
  readonly headings: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
  /** what stood between the cells */
  readonly delimiter: string;
}

/** What a spreadsheet would take for a formula, and work out or send on. */
const FORMULA = /^[=+\-@\t\r]/;

/**
 * Rows as CSV (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe before it, which reading takes
 * away again; numbers stay as they are.
 *
 * @example
 * writeCsv(['name', 'litres'], [['=A1', -2]])
 * // => 'name,litres\r\n\'=A1,-2'
 */
export function writeCsv(
  headings: readonly string[],
  rows: readonly (readonly (string | number | boolean | undefined)[])[],
): string {
  const data = rows.map((row) => row.map((cell) => (typeof cell === 'string' ? harmless(cell) : cell)));
  return Papa.unparse({ fields: headings.map(harmless), data }, { newline: '\r\n' });
}

const harmless = (text: string) => (FORMULA.test(text) ? `'${text}` : text);
const asWritten = (cell: string) =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;

/**
 * Reads a CSV with headings, whatever stands between its cells: comma, semicolon or tab. Empty lines, and spaces about headings and
 * cells, are let go of.
 *
 * @example
 * readCsv('day;kg\n2026-07-01;1,5')
 * // => { headings: ['day', 'kg'], rows: [{ day: '2026-07-01', kg: '1,5' }], delimiter: ';' }
 */
export function readCsv(text: string): CsvTable {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => asWritten(heading.trim()),
  });
  const headings = (meta.fields ?? []).filter((heading) => heading !== '');
  const rows = data.map((row) =>
    Object.fromEntries(headings.map((heading) => [heading, asWritten((row[heading] ?? '').trim())])),
  );
  return { headings, rows, delimiter: meta.delimiter };
}

/** A table with its columns named as files of ours have them: "Pack amount" is `pack_amount`. */
export function namedColumns({ rows, delimiter, headings }: CsvTable): CsvTable {
  const named = (heading: string) => heading.toLowerCase().replaceAll(' ', '_');
  return {
    delimiter,
    headings: headings.map(named),
    rows: rows.map((row) =>
      Object.fromEntries(Object.entries(row).map(([heading, cell]) => [named(heading), cell])),
    ),
  };
}

const PLAIN = /^[+-]?\d+$/;
const BY_DOT = /^[+-]?\d*\.\d+$/;
const BY_COMMA = /^[+-]?\d*,\d+$/;
/** Thousands set apart, by commas or by points: 1,000 and 12,345.6 */
const COMMA_GROUPS = /^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/;
const DOT_GROUPS = /^[+-]?\d{1,3}(\.\d{3})+(,\d+)?$/;

/**
 * How the numbers of a table are written: whether a comma or a point stands before their decimals, which a single cell such as
 * "1,000" does not tell but the others about it do.
 *
 * @param cells of the columns that hold numbers
 * @returns what reads a cell: undefined for what is no number; signs such as 0x10 and 1e3 are none
 * @example
 * numbersIn(['1,5', '1,000'], ';')('1,000')
 * // => 1
 * @example
 * numbersIn(['1.5', '1,000'], ',')('1,000')
 * // => 1000
 */
export function numbersIn(cells: readonly string[], delimiter: string): (cell: string) => number | undefined {
  const count = (pattern: RegExp) => cells.filter((cell) => pattern.test(cell.trim())).length;
  const onlyGroups = count(COMMA_GROUPS);
  const byComma = count(BY_COMMA) - onlyGroups;
  const byDot = count(BY_DOT);
  const isByComma = byComma > byDot || (byComma === byDot && onlyGroups > 0 && delimiter !== ',');
  return (cell) => {
    const text = cell.trim();
    if (PLAIN.test(text)) return Number(text);
    if (isByComma && BY_COMMA.test(text)) return Number(text.replace(',', '.'));
    if (isByComma && DOT_GROUPS.test(text)) return Number(text.replaceAll('.', '').replace(',', '.'));
    if (COMMA_GROUPS.test(text) && !isByComma) return Number(text.replaceAll(',', ''));
    if (BY_DOT.test(text)) return Number(text);
    return BY_COMMA.test(text) ? Number(text.replace(',', '.')) : undefined;
  };
}
