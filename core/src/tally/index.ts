export { comingOf, isRipeThisWeek, type BagComing, type Coming, type RipeComing } from './coming.ts';
export { checkForecasts, type ForecastCheck } from './forecasts.ts';
export { mondayOf } from './stands.ts';
export {
  cumulative,
  GROUPINGS,
  groupUnits,
  keyOf,
  totalOf,
  weeklyPicked,
  type Grouping,
  type PickedWeek,
  type TallyRow,
} from './groups.ts';
export { bestAndWorst, type Ranked, type YieldReason } from './reasons.ts';
export {
  bagReview,
  nextSeasonPlans,
  seasonReview,
  type BagAdvice,
  type BagReview,
  type ChangeAdvice,
  type MixAdvice,
  type NextPlan,
  type SeasonReview,
  type VarietyAdvice,
} from './review.ts';
export { shelfOf } from './shelf.ts';
export {
  compareGroups,
  trialResult,
  type TrialComparison,
  type TrialFlaw,
  type TrialLine,
  type TrialResult,
} from './trial.ts';
export { pickingsWithWeights, tallyContext, type TallyContext } from './context.ts';
export { seasonYears, tallyUnits, type TallyUnit } from './units.ts';
