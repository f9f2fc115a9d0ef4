export { kilogramsByBag } from './sums.ts';
export {
  bagForecast,
  expectedOn,
  totalForecast,
  untoldDays,
  type Bearer,
  type DayYield,
  type ForecastPart,
  type YieldForecast,
} from './bearing.ts';
export { drawdown, isGone, lotIdOf, shelfLots, type Drawdown, type LotKind, type ShelfLot } from './shelf.ts';
export { usualFruit, weighedPickings, type UsualFruit, type WeighedPicking } from './usual-weight.ts';
