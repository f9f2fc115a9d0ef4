/** A sheet of labels as it is sold, or one label by itself; all in millimetres. */
export interface LabelSheet {
  readonly id: string;
  readonly name: string;
  /** CSS size of the page */
  readonly page: string;
  readonly columns: number;
  readonly rows: number;
  readonly wide: number;
  readonly high: number;
  readonly marginTop: number;
  readonly marginLeft: number;
  readonly gapX: number;
}

/** Common sizes: by how many there are on a sheet and how large one is. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  {
    id: 'a4-24',
    name: '24 on A4, 70 × 37 mm',
    page: 'A4',
    columns: 3,
    rows: 8,
    wide: 70,
    high: 37,
    marginTop: 0.5,
    marginLeft: 0,
    gapX: 0,
  },
  {
    id: 'a4-21',
    name: '21 on A4, 63.5 × 38.1 mm',
    page: 'A4',
    columns: 3,
    rows: 7,
    wide: 63.5,
    high: 38.1,
    marginTop: 15.1,
    marginLeft: 7.2,
    gapX: 2.5,
  },
  {
    id: 'a4-14',
    name: '14 on A4, 99.1 × 38.1 mm',
    page: 'A4',
    columns: 2,
    rows: 7,
    wide: 99.1,
    high: 38.1,
    marginTop: 15.1,
    marginLeft: 4.6,
    gapX: 2.6,
  },
  {
    id: 'a4-8',
    name: '8 on A4, 99.1 × 67.7 mm',
    page: 'A4',
    columns: 2,
    rows: 4,
    wide: 99.1,
    high: 67.7,
    marginTop: 13.1,
    marginLeft: 4.6,
    gapX: 2.6,
  },
  {
    id: 'letter-30',
    name: '30 on US letter, 2⅝ × 1 in',
    page: 'letter',
    columns: 3,
    rows: 10,
    wide: 66.7,
    high: 25.4,
    marginTop: 12.7,
    marginLeft: 4.8,
    gapX: 3.2,
  },
  {
    id: 'one',
    name: 'one at a time, 62 × 29 mm',
    page: '62mm 29mm',
    columns: 1,
    rows: 1,
    wide: 62,
    high: 29,
    marginTop: 0,
    marginLeft: 0,
    gapX: 0,
  },
];

/**
 * Labels on their sheets: a list of pages, each with its places in turn. Sheets that were begun are used up.
 *
 * @param skipped places at the head of the first sheet that are used already
 * @example
 * onSheets(['a', 'b'], { columns: 1, rows: 2 }, 1)
 * // => [[undefined, 'a'], ['b']]
 */
export function onSheets<T>(
  labels: readonly T[],
  { columns, rows }: Pick<LabelSheet, 'columns' | 'rows'>,
  skipped: number,
): readonly (readonly (T | undefined)[])[] {
  const all: readonly (T | undefined)[] = [...Array.from({ length: skipped }, () => undefined), ...labels];
  const each = columns * rows;
  return Array.from({ length: Math.ceil(all.length / each) }, (_, page) =>
    all.slice(page * each, (page + 1) * each),
  );
}
