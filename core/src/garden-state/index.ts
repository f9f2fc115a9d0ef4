export {
  bagWater,
  dripsOf,
  knownWeather,
  siteOf,
  waterCase,
  type BagWater,
  type WaterCase,
} from './bag-state.ts';
export { propertiesOf, storesOf, waterBagOf, type BagProperties, type WaterHistory } from './properties.ts';
export { stageDatesOf } from './stage-dates.ts';
export { bagFeeding, feedingCaseOf, regimeNow, warmthOf, type BagFeeding } from './feeding.ts';
export { FilterMemory } from './filter-memory.ts';
export { learnFinger, type LearntFinger } from './finger.ts';
export { growthOf, heightNow, levelOf, plantingOf, type PlantGrowth } from './growth.ts';
export { plantingSiteOf, plantingTaskOf, STATIONS_SPAN } from './planting-site.ts';
export { learnProbe, type LearntProbe } from './probe.ts';
export { gaugeScale, type GaugeScale, type ReadingFault, type SetAsideReading } from './readings.ts';
export { jobsOf, type BagJob } from './jobs.ts';
export { plansFor, proposedPlantingDay } from './plans.ts';
