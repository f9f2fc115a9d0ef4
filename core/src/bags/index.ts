export { fillOf, type Fill } from './fill.ts';
export { liningStrip, piecesFrom, rolledDiameter, sheetFor, type SheetCut } from './film/rolled.ts';
export {
  flatOf,
  planSleeves,
  sleeveKindId,
  type CuttingPlan,
  type OrderProblem,
  type SleeveOrder,
} from './film/sleeves.ts';
export { boxSolid } from './kinds/box.ts';
export { CONTAINER_KINDS, containerKind } from './kinds/index.ts';
export { dimensionsSchema } from './kinds/dimensions-schema.ts';
export {
  type ContainerKind,
  type Dimension,
  type Dimensions,
  type Drainage,
  type Ring,
  type Under,
} from './kinds/kind.ts';
export { reserveLitres } from './reserve.ts';
export { nominalGallons, realSize, type RealSize } from './size.ts';
export { heightOfLitres, litresBelow, outline, sideSquareMetres, type Solid } from './solid.ts';
export { againstClass, TRADE_CLASSES, tradeClassLitres } from './trade-class.ts';
export { drainedKilograms, floorLoad, weightsOf, type FloorLoad, type Weights } from './weight.ts';
