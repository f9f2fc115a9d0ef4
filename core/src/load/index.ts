export { drainedKilograms, floorLoad, weightsOf, type FloorLoad, type Weights } from './weight.ts';
