/** Mass of the element in one mass of the oxide that fertiliser labels give (molar masses: P 30.974, K 39.098, O 15.999). */
export const P_IN_P2O5 = 0.4364;
export const K_IN_K2O = 0.8301;

/**
 * A label's N-P2O5-K2O (percent by mass) as elements (percent by mass).
 *
 * @example
 * elementsFromLabel({ n: 5, p2o5: 4, k2o: 6 })
 * // ≈> { n: 5, p: 1.7456, k: 4.9806 }
 */
export function elementsFromLabel(label: {
  readonly n: number;
  readonly p2o5: number;
  readonly k2o: number;
}): {
  readonly n: number;
  readonly p: number;
  readonly k: number;
} {
  return { n: label.n, p: label.p2o5 * P_IN_P2O5, k: label.k2o * K_IN_K2O };
}

/**
 * Kilograms of a loose product in a volume of it, by the product's own bulk density and never by water's.
 *
 * @example
 * kilogramsOfLitres(0.015, 0.8)
 * // ≈> 0.012
 */
export function kilogramsOfLitres(litres: number, kilogramsPerLitre: number): number {
  return litres * kilogramsPerLitre;
}
