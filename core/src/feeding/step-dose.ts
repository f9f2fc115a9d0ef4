import { isGivenInWater, type LabelDose, type Product, type RegimeStep } from '../records/index.ts';

/** Where a feed goes when it is not over the mix. */
export type FedInto = 'leaves' | 'store';

/**
 * The dose of a step: its own or the label's, or the part of it that goes into every watering.
 *
 * @example
 * doseOfStep(
 *   { withWatering: { share: 0.25 } },
 *   { feed: { form: 'liquid', dose: { amount: 4, unit: 'millilitre', per: 'litre' } } },
 * )
 * // => { amount: 1, unit: 'millilitre', per: 'litre' }
 */
export function doseOfStep(
  step: Pick<RegimeStep, 'dose' | 'withWatering'>,
  product: Pick<Product, 'feed'> | undefined,
): LabelDose | undefined {
  const dose = step.dose ?? product?.feed?.dose;
  return dose && step.withWatering ? { ...dose, amount: dose.amount * step.withWatering.share } : dose;
}

/** Whether a product can be given over the leaves: what dissolves in water, but for what belongs into a drum. */
export function canBeSprayed(product: Pick<Product, 'feed'> | undefined): boolean {
  const form = product?.feed?.form;
  return form !== undefined && isGivenInWater(form) && form !== 'two-part';
}

/** Where a product goes when nothing else is said. */
export function usualInto(product: Pick<Product, 'feed'>): FedInto | undefined {
  const form = product.feed?.form;
  return form === 'foliar' ? 'leaves' : form === 'two-part' ? 'store' : undefined;
}
