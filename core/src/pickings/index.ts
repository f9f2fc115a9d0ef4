export { kilogramsOf, pickedYears, pickingsOf, tallyPickings, type BagTally } from './tally.ts';
