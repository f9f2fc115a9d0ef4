export {
  planUpright,
  plantingAtDepth,
  type DepthAdvice,
  type DepthLimit,
  type PlantingPlace,
  type StemFigures,
  type UprightPlanting,
} from './depth.ts';
export { DEPTH_SCHOOLS, STRIP_SCHOOLS, type DepthSchool, type StripSchoolId } from './schools.ts';
export { leafHeights } from './seedling.ts';
export {
  firstDrinkLitres,
  ORDER_SCHOOLS,
  orderSchoolOf,
  STEP_IDS,
  stepsFor,
  type OrderSchool,
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
  type Fit,
  type HotDay,
  type SizeSpan,
} from './sizing/advice.ts';
export {
  EXCEPTIONS,
  SIZING_SCHOOLS,
  WATERINGS,
  type ExceptionId,
  type SizingSchool,
  type WateringId,
} from './sizing/schools.ts';
export {
  WAYS,
  planWith,
  wayOf,
  waysFor,
  type Obstacle,
  type OwnPlanting,
  type PlantingOutcome,
  type PlantingPlan,
  type PlantingRemark,
  type PlantingSite,
  type PlantingTask,
  type Remedy,
  type TopUp,
  type Way,
} from './ways/index.ts';
