import { normalBelow } from './normal.ts';

/** Logarithm of the gamma function, x above 0 (Lanczos, g = 7, to 1e-13). */
function logGamma(x: number): number {
  const [first = 1, ...terms] = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const at = x - 1;
  const sum = terms.reduce((total, term, i) => total + term / (at + i + 1), first);
  const t = at + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (at + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** The regularised incomplete beta function by its continued fraction (Abramowitz & Stegun 26.5.8, Lentz). */
function betaBelow(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - betaBelow(1 - x, b, a);
  const front = Math.exp(
    logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x) - Math.log(a),
  );
  const tiny = 1e-300;
  const away = (value: number) => (Math.abs(value) < tiny ? tiny : value);
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let c = 1;
  let fraction = d;
  for (let m = 1; m <= 300; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    fraction *= d * c;
    if (Math.abs(d * c - 1) < 1e-13) break;
  }
  return front * fraction;
}

/**
 * Student's t distribution function.
 *
 * @param df degrees of freedom, above 0; whole or not
 * @example
 * studentBelow(2.132, 4)
 * // ≈> 0.95
 */
export function studentBelow(t: number, df: number): number {
  const tail = 0.5 * betaBelow(df / (df + t * t), df / 2, 0.5);
  return t >= 0 ? 1 - tail : tail;
}

/**
 * The value below which Student's t lies with a probability.
 *
 * @param p above 0 and below 1
 * @example
 * studentQuantile(0.95, 4)
 * // ≈> 2.132
 */
export function studentQuantile(p: number, df: number): number {
  if (p < 0.5) return -studentQuantile(1 - p, df);
  let low = 0;
  let high = 2;
  while (studentBelow(high, df) < p && high < 1e9) high *= 2;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (studentBelow(middle, df) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Points of the quadrature over the estimated spread. */
const POINTS = 400;

/**
 * How likely a two-sided t test finds a difference: the noncentral t, by quadrature over the estimated spread.
 *
 * @param ratio the true difference over its true standard error
 * @param df with which the spread is estimated
 * @param level at which a difference is called real when there is none
 * @example
 * studentPower(0, 6, 0.05)
 * // ≈> 0.05
 */
export function studentPower(ratio: number, df: number, level: number): number {
  const critical = studentQuantile(1 - level / 2, df);
  // the estimated spread over the true one: a chi over the root of its degrees, on a grid wide enough for its tails
  const most = 1 + 9 / Math.sqrt(2 * df);
  let power = 0;
  let weight = 0;
  for (let i = 0; i < POINTS; i++) {
    const spread = ((i + 0.5) / POINTS) * most;
    const density = Math.exp((df - 1) * Math.log(spread) - (df / 2) * (spread * spread - 1));
    weight += density;
    power += density * (1 - normalBelow(critical * spread - ratio) + normalBelow(-critical * spread - ratio));
  }
  return power / weight;
}
