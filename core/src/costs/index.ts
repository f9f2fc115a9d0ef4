export { costOf, kilowattHours, unitPrices, type BagCost, type CostLine, type UnitPrice } from './cost.ts';
