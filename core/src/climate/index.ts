export { drawWeather, fitWeather, type MonthWeather, type WeatherModel } from './generator.ts';
export { defaultNormals, normalOfDay, type MonthNormal } from './normals.ts';
export { SEASONS, usualSeasons } from './seasons.ts';
export { type ReferenceDay } from './penman-monteith.ts';
export { growingDegreeDays } from './priestley-taylor.ts';
export { daylightHours, shareOfDay } from './sun.ts';
export {
  guessMapping,
  withWeatherColumn,
  readWeatherTable,
  WIND_UNITS,
  writeWeatherTable,
  type ColumnMapping,
  type TableReading,
  type WeatherRow,
} from './weather-table.ts';
export {
  completeWeather,
  drawingTimes,
  filledIn,
  filledShare,
  isWarmthKnown,
  temperaturesOf,
  type KnownDay,
  type Site,
  type WarmthKnown,
  type WeatherDay,
} from './weather.ts';
export { checkUsual, type UsualCheck } from './usual-check.ts';
