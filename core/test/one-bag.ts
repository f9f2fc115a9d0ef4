import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { completeWeather, defaultNormals, type KnownDay } from '../src/climate/index.ts';
import { timelineOf, type WaterBag, type WaterEvent } from '../src/water/index.ts';

/** One tall tomato in a fabric bag under glass, at 51° N: the bag that tests of the water model have in common. */
export const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };

export const ONE_BAG: WaterBag = {
  availableLitres: 8,
  topSquareMetres: 0.11,
  breathingSquareMetres: 0.3,
  mulchMillimetres: 50,
  underCover: true,
  shade: 0,
  stores: [],
  drips: [],
  plants: [
    {
      plantedOn: '2026-05-10',
      kc: 1.15,
      depletion: 0.4,
      figures: { fullHeightMillimetres: 2000, canopySquareMetres: 0.6, weeksToFull: 10 },
    },
  ],
};

export const at = (day: string, hour: string) => `${day}T${hour}:00.000+01:00`;

export const check = (day: string, grade: number, hour = '18:00'): WaterEvent => ({
  kind: 'check',
  id: `ent_look${day}${hour}`,
  at: at(day, hour),
  check: { method: 'finger', grade },
});

export const watering = (day: string, litres: number, hour = '18:05', ranThrough = false): WaterEvent => ({
  kind: 'watering',
  id: `ent_drink${day}${hour}`,
  at: at(day, hour),
  litres,
  isMeasured: true,
  ranThrough,
});

/** Its steps from the first of July on. */
export function steps(
  events: readonly WaterEvent[],
  to = at('2026-07-16', '18:30'),
  known: readonly KnownDay[] = [],
) {
  const weather = completeWeather(known, SITE, '2026-07-01', '2026-08-01', DEFAULT_ASSUMED);
  return timelineOf(ONE_BAG, weather, 51, DEFAULT_ASSUMED)(events, at('2026-07-01', '08:00'), to);
}
