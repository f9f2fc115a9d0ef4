export { reckoned } from './reckoned.ts';
export { UNITS, fromSi, toSi, type Quantity, type Unit, type UnitName } from './units.ts';
export { fieldUnit, unitsShown, show, showParts, trimmed, type Purpose, type UnitSystem } from './systems.ts';
export {
  litresIn,
  parseAmount,
  parseMeasured,
  timeAsked,
  timedIn,
  unitNamed,
  type Amount,
  type AmountResult,
  type NamedMeasure,
  type NotRead,
} from './parse-amount.ts';
export { K_IN_K2O, P_IN_P2O5, elementsFromLabel, kilogramsOfLitres } from './nutrients.ts';
export {
  MEASURE_UNIT,
  dripperLitresPerMinute,
  hoseLitresPerSecond,
  inMeasure,
  type Fills,
  type MeasureKind,
} from './measures.ts';
export {
  isAbout,
  parseNumber,
  withoutAbout,
  settledNumber,
  withFigures,
  type TypedNumber,
} from './parse-number.ts';
export { parseTime, type TypedTime } from './parse-time.ts';
