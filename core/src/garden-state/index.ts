export { carriedTo, movesOf, placeAt } from './carried.ts';
export { mixesBack } from './refilled.ts';
export { dripStoodStill, stoodStillProblem, type StoodStill } from './drip-stood-still.ts';
export { bagWater, dripsOf, siteOf, waterCase, type BagWater, type WaterCase } from './bag-state.ts';
export { knownWeather, weatherAnew, weatherAsked } from './known-weather.ts';
export { propertiesOf, storesOf, waterBagOf, type BagProperties, type WaterHistory } from './properties.ts';
export { bagFeeding, feedingCaseOf, regimeNow, warmthOf, type BagFeeding } from './feeding.ts';
export { FilterMemory } from './filter-memory.ts';
export { datesOf } from './stage-dates.ts';
export { type LearntFinger } from './finger.ts';
export { grewFrom, growthOf, heightNow, levelOf, plantingOf, type PlantGrowth } from './growth.ts';
export { plantingTaskOf, STATIONS_SPAN } from './planting-site.ts';
export { type LearntProbe } from './probe.ts';
export { gaugeScale, type GaugeScale, type ReadingFault, type SetAsideReading } from './readings.ts';
export { type BagJob, type PlantAt } from './jobs.ts';
export { clearingOf } from './planned-jobs.ts';
export { plansFor, proposedPlantingDay } from './plans.ts';
export { deriveBag, sharedOf, type BagState, type FeedingState } from './derive-bag.ts';
export {
  GardenEngine,
  type BagLedger,
  type FailedBag,
  type GardenChange,
  type KnownState,
} from './garden-engine.ts';
export { learntRipening, setToRipeSeen, taughtVarieties } from './ripe-days.ts';
export { learntOf, withLearnt, type Learnt } from './learnt.ts';
export {
  type FeedOffer,
  FEED_LITRES,
  feedLitres,
  offeredAmount,
  feedOffers,
  feedDueIds,
  type GivenFeed,
  fedDrafts,
  fedWithWatering,
  asGiven,
} from './feed-offers.ts';
export { type StopStatus, statusOf, wasFoundDry, isOpen, isBeforeColdNight } from './stops.ts';
export { type BagFeed, waterFor, bagFeeds, type MixedPart, mixedBatch } from './batch-plan.ts';
export type { BagChange, WhatIf } from './what-if.ts';
export { footprintSquareMetres, weightsOf } from './load.ts';
export { trySizes, type SizeQuestion, type TriedSize } from './tried-sizes.ts';
export { heldPlants, outgrownOf, rankedFor, standingAt, stringCanopy, topFor } from './support-cases.ts';
export {
  itemFor,
  sessionSchema,
  sessionState,
  stepsOf,
  GROUND_STEPS,
  TASK_OF_STEP,
  type PlantingSession,
  type SessionBagState,
  type SessionItem,
} from './planting-session.ts';
export { chartPointsOf, courseOf, spellsOf, type ChartPoint, type CoursePoint } from './water-course.ts';
export { fillBags, isFilled, purposeOf, troubleIn, type BagFill } from './filling.ts';
export type { BagView } from './bag-view.ts';
export { bagsOfTank, tankCourse, tankEvents, tankShares, type TankCourse } from './tanks.ts';
export { pouringOrder, type Pour } from './pouring.ts';
export { coldLimitOf, hardinessOf } from './cold-nights.ts';
export { bagRecord, waterSpells, type RecordQuestion } from './bag-record.ts';
export { harvestHeldUntil } from './care-jobs.ts';
export { plantsNamed, ruleOf, type TrainJob } from './training-jobs.ts';
export { atSameAge, bagPhotos, type BagPhoto } from './photographs.ts';
