import type { NutrientLabel } from '../records/index.ts';
import { K_IN_K2O, P_IN_P2O5 } from '../units/index.ts';

/** Grams of N, P, K, Ca and Mg as elements. */
export interface Elements {
  readonly n: number;
  readonly p: number;
  readonly k: number;
  readonly ca: number;
  readonly mg: number;
}

export const ELEMENTS = ['n', 'p', 'k', 'ca', 'mg'] as const;
export type Element = (typeof ELEMENTS)[number];

/** The same of each element, worked out for it. */
export function elementsBy(of: (element: Element) => number): Elements {
  return { n: of('n'), p: of('p'), k: of('k'), ca: of('ca'), mg: of('mg') };
}

export const NO_ELEMENTS: Elements = elementsBy(() => 0);

export function addElements(a: Elements, b: Elements): Elements {
  // written out: the ledger adds some thousand of them for each bag
  return { n: a.n + b.n, p: a.p + b.p, k: a.k + b.k, ca: a.ca + b.ca, mg: a.mg + b.mg };
}

/**
 * Elements in so many grams of a labelled product: labels give phosphate and potash, plants take P and K.
 *
 * @example
 * elementsIn(100, { n: 4, p2o5: 3, k2o: 8 })
 * // ≈> { n: 4, p: 1.3092, k: 6.6408, ca: 0, mg: 0 }
 */
export function elementsIn(grams: number, label: NutrientLabel | undefined): Elements {
  if (!label) return NO_ELEMENTS;
  const share = grams / 100;
  return {
    n: label.n * share,
    p: label.p2o5 * P_IN_P2O5 * share,
    k: label.k2o * K_IN_K2O * share,
    ca: (label.ca ?? 0) * share,
    mg: (label.mg ?? 0) * share,
  };
}

/**
 * The same nutrients as a label gives them: phosphate and potash, g.
 *
 * @example
 * asOxides({ n: 1, p: 4.364, k: 8.301, ca: 2, mg: 0 })
 * // ≈> { n: 1, p2o5: 10, k2o: 10, ca: 2, mg: 0 }
 */
export function asOxides({ n, p, k, ca, mg }: Elements): Required<NutrientLabel> {
  return { n, p2o5: p / P_IN_P2O5, k2o: k / K_IN_K2O, ca, mg };
}
