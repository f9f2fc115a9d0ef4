export { MIXES, mixOf, type Mix } from './mixes.ts';
