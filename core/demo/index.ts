export { DEMO_EVENING } from './evening.ts';
export { gannetSlip } from './gannet-slip.ts';
