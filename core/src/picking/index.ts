export { tallyPickings, type BagTally } from './tally.ts';
