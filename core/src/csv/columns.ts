import type { CsvTable } from './csv.ts';

/** What stands in a table, and under which headings. */
export type Columns = Pick<CsvTable, 'headings' | 'rows'>;

/**
 * The heading of the first column most of whose cells are of one kind; empty ones say nothing.
 *
 * @param kinds that they may be of, each told by a cell's text
 */
export function columnOf(
  { headings, rows }: Columns,
  kinds: readonly ((text: string) => boolean)[],
): string | undefined {
  return headings.find((heading) => {
    const said = rows.map((row) => row[heading] ?? '').filter((text) => text.trim() !== '');
    return kinds.some((isOf) => said.filter((text) => isOf(text)).length > said.length / 2);
  });
}
