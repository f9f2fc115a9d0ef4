export { kilogramsOf, pickedYears, pickingsOf, tallyPickings, type BagTally } from './tally.ts';
export { usualFruit, weighedPickings, type UsualFruit, type WeighedPicking } from './usual-weight.ts';
