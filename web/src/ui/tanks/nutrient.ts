import { doseOfStep } from '@rundel/core/feeding';
import { findProduct } from '@rundel/core/products';
import type { Draft, LabelDose, Product } from '@rundel/core/records';
import { useGarden, type Bag } from '../../store/index.ts';

/** The two-part nutrient that a regime has in its reservoirs and tanks. */
interface Nutrient {
  readonly product: Product;
  readonly partner: Product | undefined;
  readonly dose: LabelDose;
  readonly step: { readonly regimeId: string; readonly stepId: string } | undefined;
}

/** The nutrient of a bag's regime, if it has one that goes into a store. */
export function useNutrient(bag: Bag | undefined): Nutrient | undefined {
  const { garden } = useGarden();
  const regime = bag?.feeding?.regime;
  for (const step of regime?.steps ?? []) {
    const product = findProduct(step.productId, garden.products);
    const dose = doseOfStep(step, product);
    if (product?.feed?.form !== 'two-part' || dose?.per !== 'litre') continue;
    const partner = product.feed.partnerId && findProduct(product.feed.partnerId, garden.products);
    return {
      product,
      dose,
      partner: partner || undefined,
      step: regime && { regimeId: regime.id, stepId: step.id },
    };
  }
  return undefined;
}

/** The parts of a nutrient that went into a store with so much water. */
export function fedInto(
  { product, partner, dose, step }: Nutrient,
  litres: number,
  base: { readonly at: string; readonly containerId: string },
): readonly Draft<'fed'>[] {
  return [product, ...(partner ? [partner] : [])].map((part) => ({
    kind: 'fed',
    ...base,
    productId: part.id,
    amount: dose.amount * litres,
    unit: dose.unit,
    litres,
    into: 'store',
    ...step,
  }));
}
