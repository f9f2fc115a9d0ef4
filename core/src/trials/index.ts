export {
  differenceOf,
  spreadOf,
  type BlockFactor,
  type Difference,
  type KnownSpread,
  type Observation,
  type TrialAssumed,
} from './estimate.ts';
export { dealFairly, shuffledShare } from './permutation.ts';
export { planPower, powerTable, type PlanPower, type TrialPlan } from './power.ts';
