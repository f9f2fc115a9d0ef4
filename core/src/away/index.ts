export { CHANGE_IDS, CHANGES, LINE, SHADE, type ChangeId } from './changes.ts';
export { planAway, type AwayBag, type AwayBagPlan, type AwayPlan, type AwayQuestion } from './plan.ts';
export {
  drawLuck,
  drawStarts,
  survivalOf,
  type DaysAway,
  type Starts,
  type Survival,
  type Visits,
} from './survival.ts';
