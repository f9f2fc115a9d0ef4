import type { UnitSystem } from '@rundel/core/units';
import type { AmountRule } from './amount-text.ts';

/** What one bag is given at once, from a spoonful to a soaking, in litres, the grower's own measures or another unit. */
export function waterRule(system: UnitSystem, measures: AmountRule['measures'] = []): AmountRule {
  return { purpose: 'water', system, low: 0.01, high: 200, measures };
}

/** What one picking weighs, from a single small fruit to all of a planter; who counts need not weigh. */
export function cropRule(system: UnitSystem): AmountRule {
  return { purpose: 'crop', system, low: 0.001, high: 100, isOptional: true };
}
