export { stockOf, takenByFeed, takenByFilling, type Stock, type StockMove } from './stock.ts';
export { priceLogs, type PriceLog, type PricePoint } from './prices.ts';
