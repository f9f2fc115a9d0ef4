export type { Garden } from './garden.ts';
export { bagWater, knownWeather, siteOf, type BagWater } from './bag-state.ts';
export { bodyOf, waterBagOf, type BagBody } from './body.ts';
export { momentAt, roundsAfter } from './moments.ts';
export { daysSinceLastPlanting, occupantsOf, type Occupant } from './occupants.ts';
export { plantingSiteOf, plantingTaskOf, STATIONS_SPAN } from './planting-site.ts';
export { growthOf, heightNow, levelOf, plantingOf, type PlantGrowth } from './growth.ts';
export { tasksOf, type BagTask } from './tasks.ts';
