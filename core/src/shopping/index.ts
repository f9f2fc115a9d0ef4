export { cheapestCover, type Cover, type OfferedPack } from './cover.ts';
export {
  needsOf,
  shoppingList,
  type BagToFill,
  type KnownPack,
  type Needs,
  type ShoppingLine,
  type ShoppingList,
} from './plan.ts';
