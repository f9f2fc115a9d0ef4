export {
  ASSUMPTIONS,
  DEFAULT_ASSUMED,
  resolveAssumed,
  type Assumed,
  type Assumption,
  type AssumptionName,
} from './table.ts';
