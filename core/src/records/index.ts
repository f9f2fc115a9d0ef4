export {
  affects,
  affectsBag,
  ENTRY_EFFECTS,
  ENTRY_SCHEMAS,
  entrySchema,
  type Draft,
  type Entry,
  type EntryKind,
  type EntryOf,
} from './diary/entry.ts';
export { rowById } from './by-id.ts';
export {
  addedSince,
  byTime,
  correctionsThatGaveWay,
  entriesAt,
  entriesOfKind,
  liveEntries,
  liveWith,
  type LiveEntries,
} from './diary/live.ts';
export { feedFactsSchema, type FeedAmount, type FeedFacts, type LabelDose } from './feed.ts';
export { sharedAmong, splitByFruits } from './diary/sharing.ts';
export { givenTogether } from './diary/together.ts';
export { isOfItsSeason } from './diary/its-season.ts';
export type { Garden } from './garden.ts';
export { ID_PREFIXES, type IdOf } from './id-prefixes.ts';
export {
  PRODUCT_KINDS,
  productSchemaOf,
  nutrientLabelSchema,
  type Product,
  type ProductKind,
  type ProductUnit,
  type NutrientLabel,
} from './product.ts';
export {
  type AddedStore,
  type Container,
  type FillLevel,
  type Gauge,
  type Place,
  type Tank,
  type Template,
} from './container.ts';
export { varietySchema, type Batch, type Plan, type Plant, type Variety } from './plant.ts';
export {
  RECORD_SCHEMAS,
  type Measure,
  type OwnMix,
  type OwnProduct,
  type OwnRegime,
  type Pack,
  type RecordOf,
  type Records,
} from './records.ts';
export { type Trial, type TrialUnit } from './trial.ts';
export { settingsSchema, USUAL_SETTINGS, type OwnedSupport, type Settings } from './settings.ts';
export { daySchema, momentSchema } from './time.ts';
export {
  FEED_FORMS,
  FEED_SKIP_REASONS,
  FEED_UNITS,
  isGivenInWater,
  RECORD_TABLES,
  SKIP_REASONS,
  TRADE_CLASS_NAMES,
  type FeedForm,
  type FeedUnit,
  type TableName,
  type TradeClass,
  ALERT_KINDS,
  BEARINGS,
  OUTCOMES,
  SPRAY_AGENTS,
  TRAINING_FORM_IDS,
  type AlertKind,
  type Outcome,
  type PickSize,
  WEATHER_PARTS,
  WIDEST_DAY_DEGREES,
  PICK_STAGES,
  PICK_USES,
  type PickStage,
  TRIAL_MEASURES,
  type TrialMeasure,
  type PickUse,
  type SprayAgent,
  type TendedTask,
  type TrainingFormId,
  type TrussStage,
  COMPANION_SIZES,
  LEAVING_REASONS,
  PLANTING_METHOD_IDS,
  STAGES,
  type SeasonsId,
  SUPPORT_THINGS,
  type SizeException,
  type SupportThing,
  type Bearing,
  type LeavingReason,
  type Stage,
  type CompanionSize,
  type SupportKindId,
  type PlantingMethodId,
} from './kinds.ts';
export { layersSchema, recipePartsSchema, type Layers } from './mix.ts';
export { seedlingSchema, type Seedling } from './seedling.ts';
export { sizeSchema, type Size } from './size.ts';
export { type Regime, type RegimeStep, type Trigger } from './regime.ts';
export { regimeStepSchema, type StopRule } from './regime.ts';
export type { Effect } from './diary/effect.ts';
