export {
  planUpright,
  type DepthAdvice,
  type DepthLimit,
  type PlantingPlace,
  type StemFigures,
  type UprightPlanting,
} from './depth.ts';
export { DEPTH_PRACTICES, STRIP_PRACTICES, type DepthPractice, type StripPracticeId } from './practices.ts';
export {
  firstWateringLitres,
  type MixAtPlanting,
  ORDER_PRACTICES,
  orderPracticeOf,
  STEP_IDS,
  stepsFor,
  type OrderPractice,
  type SessionBag,
  type StepId,
} from './session.ts';
export {
  COMPANION_GALLONS,
  fitOf,
  hotDay,
  keptBy,
  pillowStations,
  plantsFor,
  spanFor,
  withGrown,
  type Fit,
  type HotDay,
  type SizeSpan,
} from './sizing/advice.ts';
export {
  EXCEPTIONS,
  SIZING_PRACTICES,
  WATERINGS,
  leastPerDay,
  roundsOf,
  type ExceptionId,
  type SizingPractice,
  type WateringId,
} from './sizing/practices.ts';
export {
  PLANTING_METHODS,
  planWith,
  plantingMethodOf,
  plantingMethodsFor,
  type Obstacle,
  type OwnPlanting,
  type PlantingOutcome,
  type PlantingPlan,
  type PlantingRemark,
  type PlantingSite,
  type PlantingTask,
  type Remedy,
  type TopUp,
  type PlantingMethod,
} from './methods/index.ts';
