/**
 * The page that an address is of, by its name in `LOADS`; undefined for the round, which comes with the first load. It stands
 * alone: the build also puts it into `early.js`, which runs before any module is there.
 *
 * @example
 * pageOf('/bags/con_96m4x0re9jv3')
 * // => 'bag'
 * @example
 * pageOf('/season/away')
 * // => 'season'
 * @example
 * pageOf('/round/con_96m4x0re9jv3')
 * // => undefined
 */
export function pageOf(pathname: string): string | undefined {
  const [, first, second] = pathname.split('/');
  if (first === 'bags') return second ? (second === 'new' ? 'addBag' : 'bag') : 'bags';
  return first === 'round' || first === '' ? undefined : first;
}
