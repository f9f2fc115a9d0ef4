export {
  expectedGrades,
  inWalkingOrder,
  planRound,
  type Later,
  type RoundPlan,
  type Stop,
  type StopReason,
} from './plan-round.ts';
