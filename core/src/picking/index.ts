export { kilogramsIn, tallyPickings, type BagTally } from './tally.ts';
