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
} from './advice.ts';
export {
  EXCEPTIONS,
  SIZING_SCHOOLS,
  WATERINGS,
  type ExceptionId,
  type SizingSchool,
  type WateringId,
} from './schools.ts';
