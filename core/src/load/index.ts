export {
  drainedKilograms,
  floorLoad,
  SUPPORT_KILOGRAMS,
  weightsOf,
  type FloorLoad,
  type Weights,
} from './weight.ts';
