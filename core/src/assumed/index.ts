export { assumed, type Assumption } from './assumption.ts';
export { ASSUMPTIONS, DEFAULT_ASSUMED, resolveAssumed, type Assumed, type AssumptionName } from './table.ts';
