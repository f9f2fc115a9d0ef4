export { CHANGE_IDS, CHANGES, type ChangeId } from './changes.ts';
export { dryDaysByMonth, type DryMonth, type RoundBag } from './dry-days.ts';
export { planAway, type AwayBag, type AwayBagPlan, type AwayPlan, type AwayQuestion } from './plan.ts';
export {
  sampleNoise,
  drawInitialStates,
  survivalOf,
  type DayPart,
  type DaysAway,
  type InitialStates,
  type Survival,
  type Visits,
} from './survival.ts';
export { hoursAway, ROUND_TAKES, withoutRounds, type Rounds, type TimeAway } from './time-away.ts';
