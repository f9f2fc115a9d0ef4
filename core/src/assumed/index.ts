export { assumed, type Assumption } from './assumption.ts';
export {
  ASSUMPTION_THEMES,
  ASSUMPTIONS,
  DEFAULT_ASSUMED,
  resolveAssumed,
  type Assumed,
  type AssumptionName,
} from './table.ts';
