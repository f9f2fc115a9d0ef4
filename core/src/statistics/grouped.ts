/**
 * Rows by a key, in the order in which they come.
 *
 * @example
 * [...groupedBy([1, 2, 3], (n) => n % 2)]
 * // => [[1, [1, 3]], [0, [2]]]
 */
export function groupedBy<T, K>(rows: Iterable<T>, keyOf: (row: T) => K): ReadonlyMap<K, readonly T[]> {
  const groups = new Map<K, T[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  return groups;
}
