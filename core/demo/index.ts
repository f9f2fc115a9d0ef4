export { DEMO_EVENING, gannetSlip } from './gannet-slip.ts';
