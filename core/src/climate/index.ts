export { drawWeather, fitWeather, type MonthWeather, type WeatherModel } from './generator.ts';
export { hargreavesSamani } from './hargreaves.ts';
export { defaultNormals, normalOfDay, type MonthNormal } from './normals.ts';
export { penmanMonteith, windAtTwoMetres, type ReferenceDay } from './penman-monteith.ts';
export { growingDegreeDays, priestleyTaylor } from './priestley-taylor.ts';
export { daylightHours, extraterrestrialRadiation, shareOfDay } from './sun.ts';
export {
  guessColumns,
  guessMapping,
  readWeatherTable,
  WIND_UNITS,
  type ColumnMapping,
  type TableReading,
  type WeatherRow,
} from './weather-table.ts';
export { completeWeather, type KnownDay, type Site, type WeatherDay } from './weather.ts';
