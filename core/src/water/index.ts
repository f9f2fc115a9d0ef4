export { availableLitres } from './capacity.ts';
export {
  bagDepletion,
  dayOfBag,
  demandIn,
  demandOfDay,
  rootedOn,
  mulchFactor,
  type DayDemand,
  type DayOfBag,
  type WaterUsingPlant,
  type Cloth,
  type WaterBag,
} from './demand.ts';
export { afterGain, afterLoss } from './stress.ts';
export {
  FINGER_GRADES,
  LIFT_GRADES,
  chanceOfCheck,
  fingerGradeOf,
  middleOfGrade,
  type MoistureCheck,
} from './check.ts';
export { afterRefill, hasLevel, STORE_KINDS, storeOf, type StoreKind, type WaterStore } from './stores.ts';
export {
  dripOfDay,
  dripOn,
  linesOf,
  litresADay,
  litresAWeek,
  litresPerHour,
  litresPerHourOf,
  proposeDrip,
  type DripLine,
  type DripProposal,
  type DripSetting,
  type DripSpell,
} from './drip.ts';
export { timelineOf, type Timeline, type TimelineStep, type UseStep, type WaterEvent } from './timeline.ts';
export { waterBalance, type BalanceDay } from './balance.ts';
export { Belief, MOST_SPREAD } from './belief.ts';
export { fromLossScale, lossScale, onLossScale } from './grid.ts';
export {
  FilterRun,
  runFilter,
  type Move,
  type PathPoint,
  type Range,
  type StoreLevel,
  type WaterEstimate,
} from './estimate.ts';
export { learnCapacity, type LearntCapacity } from './learn-capacity.ts';
export { FORECAST_HOURS, forecastWater, type WaterForecast, type RoundAhead } from './forecast.ts';
export { adviseWatering, isDry, type WateringAdvice } from './watering.ts';
export { learnForecastSpread, type LearntForecast } from './forecast-spread.ts';
