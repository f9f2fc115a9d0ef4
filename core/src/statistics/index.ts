export { normalBelow } from './normal.ts';
