export {
  inTheWay,
  isCarriedOut,
  yearOfOccupant,
  yearOfPlan,
  type Band,
  type BandKind,
  type CropYear,
} from './bands.ts';
export { frostYear, type FrostYear } from './frost.ts';
export { hardeningPlan, coldNightAdvice, type HardeningDay, type ColdNightAdvice } from './hardening.ts';
export { TIMING_PRACTICES, timingPracticeOf, type TimingPractice } from './practices.ts';
export {
  datesFrom,
  plantingWindow,
  secondCrop,
  type Cover,
  type DaySpan,
  type PlantingDates,
  type PlantingWindow,
  type TimingLimit,
  type TimingPlace,
} from './windows.ts';
