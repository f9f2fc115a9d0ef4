export {
  inTheWay,
  isCarriedOut,
  storyOf,
  yearOfOccupant,
  yearOfPlan,
  type Band,
  type BandKind,
  type CropYear,
} from './bands.ts';
export { frostYear, summerOf, type FrostSource, type FrostYear } from './frost.ts';
export { heatWaves } from './heat.ts';
export {
  hardeningPlan,
  coldNightAdvice,
  type HardeningDay,
  type ColdNightAdvice,
  type Hardiness,
} from './hardening.ts';
export { TIMING_PRACTICES, timingPracticeOf, type TimingPractice } from './practices.ts';
export {
  datesFrom,
  plantingWindow,
  secondCrop,
  type Cover,
  type DaySpan,
  type PlantingDates,
  type PlantingWindow,
  type PlantStory,
  type SeasonNeeds,
  type TimingLimit,
  type TimingPlace,
} from './windows.ts';
