export { missedRounds } from './missed-rounds.ts';
export { anotherRound, type AnotherRound } from './another-round.ts';
export {
  expectedGrades,
  inWalkingOrder,
  planRound,
  type Later,
  type RoundPlan,
  type Stop,
  type StopReason,
} from './plan-round.ts';
export { drierPlant, effectiveChecks, type DrierPlant } from './plants-felt.ts';
export { spotCheck, type SpotStop } from './spot-check.ts';
