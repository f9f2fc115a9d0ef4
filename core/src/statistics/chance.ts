/** A seeded source of chance: the same seed gives the same draws on every machine (mulberry32). */
export interface Chance {
  /** uniform, 0 to 1 */
  next(): number;
  /** normal, mean 0 and sd 1 (Box–Muller) */
  normal(): number;
  /** gamma, by its shape (above 0) and scale (Marsaglia & Tsang 2000) */
  gamma(shape: number, scale: number): number;
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
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const gamma = (shape: number, scale: number): number => {
    if (shape < 1) return gamma(shape + 1, scale) * (1 - next()) ** (1 / shape);
    const d = shape - 1 / 3;
    const c = 1 / Math.sqrt(9 * d);
    for (;;) {
      const x = normal();
      const v = (1 + c * x) ** 3;
      if (v > 0 && Math.log(1 - next()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v * scale;
    }
  };
  return {
    next,
    normal,
    gamma,
    letters: (count) =>
      Array.from({ length: count }, () => '0123456789abcdefghijkmnpqrstuvwxyz'[Math.floor(next() * 34)]).join(
        '',
      ),
    copy: () => chanceFrom(state),
  };
}
