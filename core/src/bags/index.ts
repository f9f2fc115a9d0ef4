export { heightOfLitres, litresBelow, outline, sideSquareMetres, type Solid } from './solid.ts';
export { pillowSolid } from './kinds/pillow.ts';
export { roundSolid } from './kinds/round.ts';
export { boxSolid } from './kinds/box.ts';
export { ringedSolid } from './kinds/ring-in-pillow.ts';
export { floppySolid, sealedTubeHeight, tubeDiameter } from './kinds/soft.ts';
export { CONTAINER_KINDS, containerKind } from './kinds/index.ts';
export {
  dimensionsSchema,
  type ContainerKind,
  type Dimension,
  type Dimensions,
  type Drainage,
  type Ring,
  type Under,
} from './kinds/kind.ts';
export {
  againstClass,
  nearestClass,
  TRADE_CLASSES,
  TRADE_CLASS_NAMES,
  tradeClassLitres,
  type TradeClass,
} from './trade-class.ts';
export { nominalGallons, realSize, sizeSchema, type RealSize, type Size } from './size.ts';
export { fillOf, type Fill } from './fill.ts';
export { reserveLitres } from './reserve.ts';
