import type { Assumed } from '../assumed/index.ts';
import { grownShare } from '../plants/index.ts';
import { daysBetween, type Day } from '../calendar/index.ts';
import { elementsBy, NO_ELEMENTS, addElements, type Elements } from '../products/index.ts';

/**
 * Grams of each element in a kilogram of fresh fruit. Source: USDA FoodData Central, raw fruit (tomato red, sweet pepper
 * red, aubergine, cucumber with peel), nitrogen as protein / 6.25.
 */
export const IN_FRUIT: Readonly<Record<string, Elements>> = {
  tomato: { n: 1.41, p: 0.24, k: 2.37, ca: 0.1, mg: 0.11 },
  pepper: { n: 1.58, p: 0.26, k: 2.11, ca: 0.07, mg: 0.12 },
  aubergine: { n: 1.57, p: 0.24, k: 2.29, ca: 0.09, mg: 0.14 },
  cucumber: { n: 1.04, p: 0.24, k: 1.47, ca: 0.16, mg: 0.13 },
};

/** A plant as far as what it takes up goes. */
export interface FedPlant {
  readonly cropId: string;
  readonly plantedOn: Day;
  readonly clearedOn: Day | undefined;
  /** leaf cover when grown, m² */
  readonly canopySquareMetres: number;
  readonly weeksToFull: number;
  /** its fruit grows from the first to the last of these days */
  readonly fruitFrom: Day;
  readonly fruitTo: Day;
  /** its fruit against what its cover leads one to expect; 1 until pickings say better */
  readonly yieldFactor: number;
}

/**
 * What a plant would take up on a day if it had all it wants, g: growth of leaf and stem by its curve, and fruit spread
 * over the days in which it swells.
 */
export function wantedOn(plant: FedPlant, day: Day, assumed: Assumed): Elements {
  const age = daysBetween(plant.plantedOn, day);
  if (age < 0 || (plant.clearedOn !== undefined && day >= plant.clearedOn)) return NO_ELEMENTS;
  const grown = grownShare(age + 1, plant.weeksToFull) - grownShare(age, plant.weeksToFull);
  const cover = plant.canopySquareMetres * grown;
  const leaf = {
    n: assumed.leafN,
    p: assumed.leafP,
    k: assumed.leafK,
    ca: assumed.leafCa,
    mg: assumed.leafMg,
  };
  const fruit = fruitKilograms(plant, day, assumed);
  const inFruit = IN_FRUIT[plant.cropId] ?? (IN_FRUIT['tomato'] as Elements);
  return elementsBy((e) => leaf[e] * cover + inFruit[e] * fruit);
}

/** Fruit that grows on a day, kg. */
function fruitKilograms(plant: FedPlant, day: Day, assumed: Assumed): number {
  const days = daysBetween(plant.fruitFrom, plant.fruitTo) + 1;
  if (days <= 0 || day < plant.fruitFrom || day > plant.fruitTo) return 0;
  return (assumed.cropPerCover * plant.canopySquareMetres * plant.yieldFactor) / days;
}

/** The weight of what is expected, against what was picked, kg: a few kilograms teach, one does not. */
const PRIOR_KILOGRAMS_PER_COVER = 1.5;

/**
 * A bag's fruit against what its cover leads one to expect, by what was picked so far: between the two by how much there
 * is to go by.
 *
 * @param expectedKilograms that should have been picked by now
 * @see docs/model.md, 8. Feeding
 * @example
 * yieldFactor(3, 2, 0.6)
 * // ≈> 1.345
 */
export function yieldFactor(
  pickedKilograms: number,
  expectedKilograms: number,
  canopySquareMetres: number,
): number {
  const prior = PRIOR_KILOGRAMS_PER_COVER * Math.max(0.05, canopySquareMetres);
  return Math.min(3, Math.max(0.3, (pickedKilograms + prior) / (expectedKilograms + prior)));
}

/** What all of a bag's plants would take up on a day, g. */
export function wantedByAll(plants: readonly FedPlant[], day: Day, assumed: Assumed): Elements {
  return plants.reduce((sum, plant) => addElements(sum, wantedOn(plant, day, assumed)), NO_ELEMENTS);
}
