export { INGREDIENTS, type BaseFeed, type Ingredient } from './ingredient.ts';
export { type Recipe } from './recipe.ts';
export { MIXES, ingredientOf, mixFrom, findMix, mixOf, type Mix } from './mixes.ts';
export { fillingOf, namedLayers, type NamedLayer } from './layers.ts';
export { ingredientLitres, reuseOf, type IngredientNeed, type Reuse } from './needs.ts';
export {
  FILLING_PRACTICES,
  MOISTENING_LITRES_PER_LITRE,
  SQUEEZE_TEST,
  type FillingPractice,
} from './filling-practices.ts';
