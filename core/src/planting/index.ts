export { DEPTH_SCHOOLS, type DepthSchool } from './schools.ts';
export { leafHeights, seedlingSchema, type Seedling } from './seedling.ts';
export {
  planUpright,
  plantingAtDepth,
  type DepthAdvice,
  type DepthLimit,
  type PlantingPlace,
  type UprightPlanting,
} from './depth.ts';
