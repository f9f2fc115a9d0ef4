export {
  formOfPlant,
  ruleKey,
  rulesFollowed,
  TRAINING_FORMS,
  trainingForm,
  type TrainingForm,
} from './training/forms.ts';
export type { CutAt, CutMark, TrainingRule, TrainingTask } from './training/rules.ts';
export {
  bareStem,
  trainingDue,
  type SeenOrReckoned,
  type TrainedPlant,
  type TrainingDue,
} from './training/due.ts';
export { CAUSES, findCause } from './trouble/causes/index.ts';
export type { Cause } from './trouble/cause.ts';
export {
  diagnose,
  IN_MIX_ABOVE,
  type Diagnosis,
  type NextSign,
  type RankedCause,
  type Reason,
} from './trouble/diagnose.ts';
export type { Observation, Outcomes } from './trouble/network.ts';
export {
  RECALLED_FACTORS,
  withRecalled,
  type BagRecord,
  type FactorId,
  type FactorReading,
} from './trouble/factors.ts';
export { findSign, SIGNS, type Part, type Sign } from './trouble/signs.ts';
export { dilution, sprayTime, type SprayTime, type SunTimes } from './protection/sprays.ts';
export { usualThreshold, weatherAlerts, type AlertPlace, type WeatherAlert } from './protection/alerts.ts';
export { fruitOutlooks, type FruitingBag, type FruitOutlook } from './protection/outlook.ts';
export { outcomesOf, spreads, troubleCases, type TroubleCase } from './hygiene/cases.ts';
export {
  cleanlinessAfter,
  heatLimitCelsius,
  plantingRisks,
  type Cleanliness,
  type PlantingRisk,
} from './hygiene/cleaning.ts';
export {
  nextTrussSteps,
  ripeSpan,
  trussesOf,
  type RipeSpan,
  type Truss,
  type TrussStep,
} from './trusses/trusses.ts';
export { CAUTIONS, type CautionId, type DangerCaution } from './cautions.ts';
export { bagHistory, type BagYear } from './hygiene/history.ts';
export { lookOuts, type LookOut } from './protection/pests.ts';
export { learntRipeDays, ripeDays, type RipeDays } from './trusses/ripe-days.ts';
