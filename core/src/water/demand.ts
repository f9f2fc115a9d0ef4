import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import { canopySquareMetres, type HabitFigures } from '../crops/index.ts';
import { daysBetween, type Day, type WeatherDay } from '../climate/index.ts';

/** One plant in a bag, as far as water goes. */
export interface DrinkingPlant {
  readonly plantedOn: Day;
  /** the day it was cleared; it drinks nothing from then on */
  readonly clearedOn?: Day | undefined;
  readonly kc: number;
  /** share of available water used without stress (FAO-56 p) */
  readonly depletion: number;
  readonly figures: HabitFigures;
}

/** A bag, as far as water goes. */
export interface WaterBag {
  /** available water at capacity, L */
  readonly availableLitres: number;
  /** the open top, m² */
  readonly topSquareMetres: number;
  /** wetted side that breathes, m²; 0 for film and plastic */
  readonly breathingSquareMetres: number;
  readonly mulchMillimetres: number;
  /** under glass no rain falls in and less sun comes through */
  readonly underCover: boolean;
  readonly plants: readonly DrinkingPlant[];
}

/** What a day asks of a bag and brings to it, L, before the bag's own use multiplier and before stress. */
export interface DayDemand {
  readonly transpirationLitres: number;
  readonly evaporationLitres: number;
  readonly rainLitres: number;
}

/**
 * Mulch's share of bare evaporation: half at 25 mm, a fifth at 75 mm (handbook; the curve between is *assumed*).
 *
 * @example
 * mulchFactor(75, 25)
 * // ≈> 0.2
 */
export function mulchFactor(mulchMillimetres: number, halvingMillimetres: number): number {
  return 1 / (1 + (mulchMillimetres / halvingMillimetres) ** 1.262);
}

/**
 * A day's demand on a bag: Kc × ETo × canopy for each plant, evaporation from top and breathing sides, and the
 * rain that gets in (1 mm on 1 m² is 1 L).
 */
export function demandOfDay(
  bag: WaterBag,
  weather: WeatherDay,
  assumed: Assumed = DEFAULT_ASSUMED,
): DayDemand {
  const eto = bag.underCover
    ? weather.coverMillimetres * assumed.coverTransmissivity
    : weather.etoMillimetres;
  let transpirationLitres = 0;
  for (const plant of bag.plants) {
    const age = daysBetween(plant.plantedOn, weather.day);
    const isGone = plant.clearedOn !== undefined && weather.day >= plant.clearedOn;
    if (age >= 0 && !isGone) transpirationLitres += plant.kc * eto * canopySquareMetres(plant.figures, age);
  }
  const top =
    assumed.topEvaporation * mulchFactor(bag.mulchMillimetres, assumed.mulchHalving) * bag.topSquareMetres;
  const sides = assumed.sideEvaporation * bag.breathingSquareMetres;
  return {
    transpirationLitres,
    evaporationLitres: eto * (top + sides),
    rainLitres: bag.underCover ? 0 : weather.rainMillimetres * bag.topSquareMetres * assumed.rainCaught,
  };
}

/** The depletion share of a bag: that of its thirstiest plant, or 0.4 (tomato) while it is empty. */
export function bagDepletion(bag: WaterBag): number {
  return bag.plants.length === 0 ? 0.4 : Math.min(...bag.plants.map((p) => p.depletion));
}
