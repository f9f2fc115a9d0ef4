export {
  expectedGrades,
  inWalkingOrder,
  planRound,
  type Later,
  type RoundPlan,
  type Stop,
  type StopReason,
} from './plan-round.ts';
export { spotCheck, type SpotStop } from './spot-check.ts';
