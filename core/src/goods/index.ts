export {
  GOOD_KINDS,
  GOOD_UNITS,
  goodSchemaOf,
  nutrientLabelSchema,
  type Good,
  type GoodKind,
  type GoodUnit,
  type NutrientLabel,
} from './good.ts';
export {
  FEED_FORMS,
  FEED_UNITS,
  feedFactsSchema,
  isGivenInWater,
  type FeedAmount,
  type FeedFacts,
  type FeedForm,
  type FeedUnit,
  type LabelDose,
} from './feed.ts';
export { FEEDS } from './feeds.ts';
export { AMENDMENTS, GOODS, findGood } from './starter.ts';
