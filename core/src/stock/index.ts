export { costOf, kilowattHours, unitPrices, type BagCost, type CostLine, type UnitPrice } from './cost.ts';
export { priceLogs, type PriceLog, type PricePoint } from './prices.ts';
export { type Cover, type OfferedPack } from './shopping/cover.ts';
export {
  needsOf,
  shoppingList,
  type BagToFill,
  type KnownPack,
  type Needs,
  type ShoppingLine,
  type ShoppingList,
} from './shopping/plan.ts';
export { stockOf, type Stock, type StockContext, type StockMove } from './stock.ts';
export { mixPricePerLitre } from './mix-price.ts';
