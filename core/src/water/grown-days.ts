import type { Assumed } from '../assumed/index.ts';
import { daysBetween } from '../calendar/index.ts';
import { growingDegreeDays, type WeatherDay } from '../climate/index.ts';
import { skyOn, type WaterBag } from './demand.ts';

/** A day counts for no less and no more than this, however cold or hot. */
const SLOWEST = 0.4;
const FASTEST = 1.3;

/**
 * The age of each plant of a bag on each day, in days of usual warmth: a day counts by its growing degree days, so that a
 * cold spring holds the canopy back.
 *
 * @param weather complete days in order; a plant that stood before the first is that many calendar days old then
 * @returns for each plant one number a day; negative before it is as old as a young plant that was just planted
 * @see docs/model.md, 7. Water
 */
export function grownDays(
  bag: Pick<WaterBag, 'plants' | 'underCover' | 'shade' | 'earlier'>,
  weather: readonly WeatherDay[],
  assumed: Assumed,
): readonly Float64Array[] {
  const first = weather[0]?.day;
  if (first === undefined) return bag.plants.map(() => new Float64Array(0));
  const { warmerByNight, warmerByDay } = assumed;
  const paces = Float64Array.from(weather, ({ day, minCelsius, maxCelsius }) => {
    const isWarmer = skyOn(bag, day).underCover;
    const warmth = growingDegreeDays(
      minCelsius + (isWarmer ? warmerByNight : 0),
      maxCelsius + (isWarmer ? warmerByDay : 0),
    );
    return Math.min(FASTEST, Math.max(SLOWEST, warmth / assumed.usualWarmth));
  });
  return bag.plants.map(({ plantedOn, ageFrom = plantedOn }) => {
    const ages = new Float64Array(weather.length);
    const before = daysBetween(plantedOn, first);
    let age = daysBetween(ageFrom, plantedOn) + Math.max(0, before);
    for (let i = 0; i < ages.length; i++) {
      const isPlanted = i + before >= 0;
      ages[i] = isPlanted ? age : age + i + before;
      if (isPlanted) age += paces[i] as number;
    }
    return ages;
  });
}
