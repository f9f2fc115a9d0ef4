export { normalBelow } from './normal.ts';
export { chanceFrom, type Chance } from './chance.ts';
export { shrunkMean } from './shrunk.ts';
