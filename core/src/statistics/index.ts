export { normalBelow } from './normal.ts';
export { chanceFrom, type Chance } from './chance.ts';
export { shrunkMean } from './shrunk.ts';
export { studentBelow, studentPower, studentQuantile } from './student.ts';
export { gammaQuantile } from './gamma.ts';
export { groupedBy } from './grouped.ts';
