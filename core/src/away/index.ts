export { CHANGE_IDS, CHANGES, type ChangeId } from './changes.ts';
export { planAway, type AwayBag, type AwayBagPlan, type AwayPlan, type AwayQuestion } from './plan.ts';
export {
  sampleNoise,
  drawInitialStates,
  survivalOf,
  type DaysAway,
  type InitialStates,
  type Survival,
  type Visits,
} from './survival.ts';
