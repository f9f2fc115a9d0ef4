/** A seeded source of chance: the same seed gives the same draws on every machine (mulberry32). */
export interface Chance {
  /** uniform, 0 to 1 */
  next(): number;
  /** normal, mean 0 and sd 1 (Box–Muller) */
  normal(): number;
  /** letters for an id */
  letters(count: number): string;
  /** another source that goes on as this one would, and leaves this one as it is */
  copy(): Chance;
}

export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    next,
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    letters: (count) =>
      Array.from({ length: count }, () => '0123456789abcdefghijkmnpqrstuvwxyz'[Math.floor(next() * 34)]).join(
        '',
      ),
    copy: () => chanceFrom(state),
  };
}
