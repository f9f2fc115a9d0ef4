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
export { AMENDMENTS, GOODS, findGood } from './starter.ts';
