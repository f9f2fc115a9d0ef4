/** Rows by their id, for each list that was asked about as long as it was then: gone with the list itself. */
const indexes = new WeakMap<
  readonly object[],
  { readonly length: number; readonly byId: ReadonlyMap<string, object> }
>();

/**
 * A row of a table by its id. A table of thousands is looked through once, and not for each that is asked for.
 *
 * @example
 * rowById([{ id: 'pla_a00001', name: 'Ada' }], 'pla_a00001')
 * // => { id: 'pla_a00001', name: 'Ada' }
 */
export function rowById<T extends { readonly id: string }>(
  rows: readonly T[],
  id: string | undefined,
): T | undefined {
  if (id === undefined) return undefined;
  let index = indexes.get(rows);
  if (index?.length !== rows.length) {
    index = { length: rows.length, byId: new Map(rows.map((row) => [row.id, row])) };
    indexes.set(rows, index);
  }
  return index.byId.get(id) as T | undefined;
}
