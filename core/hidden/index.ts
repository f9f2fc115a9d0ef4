export { chanceFrom, type Chance } from '../src/statistics/index.ts';
export { HiddenBag, type HiddenMake } from './bag.ts';
export { CLIMATES, hiddenWeather, type HiddenClimate, type HiddenDay } from './weather.ts';
