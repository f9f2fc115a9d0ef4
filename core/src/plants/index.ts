export {
  COMPANION_COVER,
  COMPANION_DEPLETION,
  COMPANION_KC,
  COMPANION_WEEKS_TO_FULL,
} from './crops/companions.ts';
export { classBeside } from './crops/bag-sizes.ts';
export type { BagSizes, Crop, Habit } from './crops/crop.ts';
export {
  canopySquareMetres,
  expectedHeightMillimetres,
  grownShare,
  habitFigures,
  type HabitFigures,
} from './crops/growth.ts';
export { CROPS, cropOf, habitOf } from './crops/index.ts';
export { heightOnCurve, type HeightCurve } from './growth/curve.ts';
export {
  daysToReach,
  growthPerDay,
  heightBelief,
  heightOn,
  type HeightBelief,
  type HeightPrior,
  type HeightRange,
  type HeightRecord,
  type Reaching,
} from './growth/height.ts';
export { daysSinceLastPlanting, occupantsNow, occupantsOf, type Occupant } from './occupants.ts';
export { batchCourse, type BatchCourse } from './batches.ts';
export { STARTER_VARIETIES, varietiesIn, type KnownVariety } from './starter-varieties.ts';
export { NO_STAGES, type StagesSeen } from './stages.ts';
export {
  daysToGreenOf,
  habitOfPlanned,
  habitOfVariety,
  type PlantAge,
  type VarietyFacts,
} from './varieties.ts';
export {
  SUPPORTS,
  SUPPORT_PRACTICES,
  supportOf,
  type SupportKind,
  type SupportPracticeId,
} from './supports/kinds.ts';
export { freeOf, ownedChoices, type OwnedChoice, type StandingSupport } from './supports/owned.ts';
export {
  stringParts,
  supportNeeds,
  wireLoad,
  type HeldPlant,
  type StringTail,
  type SupportNeed,
} from './supports/needs.ts';
export {
  needsFirmMix,
  rankSupports,
  type RankedSupport,
  type SupportCase,
  type SupportReason,
} from './supports/rank.ts';
export { outgrows, tendingDue, type Tending, type TendingDue } from './supports/tending.ts';
