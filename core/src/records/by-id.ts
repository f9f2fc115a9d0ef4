/** Rows by their id, for each list that was asked about: gone with the list itself, and lists are never changed. */
const indexes = new WeakMap<readonly object[], ReadonlyMap<string, object>>();

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
  if (!index) {
    index = new Map(rows.map((row) => [row.id, row]));
    indexes.set(rows, index);
  }
  return index.get(id) as T | undefined;
}
