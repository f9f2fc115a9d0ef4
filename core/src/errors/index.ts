export { RundelError, within } from './rundel-error.ts';
