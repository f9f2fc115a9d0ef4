export {
  amountForBag,
  DOSE_PER,
  doseSchema,
  gramsOf,
  litresOf,
  scoopsOf,
  substitute,
  type Dose,
  type Scoops,
} from './dose.ts';
export {
  addElements,
  asOxides,
  ELEMENTS,
  elementsBy,
  elementsIn,
  NO_ELEMENTS,
  type Element,
  type Elements,
} from './nutrients.ts';
export {
  checkDose,
  ecOf,
  feedProblems,
  milligramsPerLitre,
  type DoseCheck,
  type FeedProblem,
} from './dilution.ts';
export { FEEDS } from './feeds.ts';
export { PRODUCTS, findProduct, isFeed, isWorkedIn, productsIn } from './starter.ts';
export { parseDose, type DoseReading } from './dose-text.ts';
