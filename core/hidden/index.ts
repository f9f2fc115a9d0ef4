export { chanceFrom, type Chance } from './chance.ts';
export { HiddenBag, type HiddenMake } from './bag.ts';
export { CLIMATES, hiddenWeather, type HiddenClimate, type HiddenDay } from './weather.ts';
