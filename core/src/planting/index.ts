export { DEPTH_SCHOOLS, STRIP_SCHOOLS, type DepthSchool, type StripSchoolId } from './schools.ts';
export { leafHeights, seedlingSchema, type Seedling } from './seedling.ts';
export {
  planUpright,
  plantingAtDepth,
  type DepthAdvice,
  type DepthLimit,
  type PlantingPlace,
  type StemFigures,
  type UprightPlanting,
} from './depth.ts';
export {
  WAYS,
  WAY_IDS,
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
  type WayId,
} from './ways/index.ts';
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
