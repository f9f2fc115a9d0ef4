import type { Assumed } from '../assumed/index.ts';
import {
  completeWeather,
  drawingTimes,
  drawWeather,
  filledIn,
  filledShare,
  temperaturesOf,
  type KnownDay,
  type WeatherDay,
  type WeatherModel,
} from '../climate/index.ts';
import { chanceFrom } from '../statistics/index.ts';

/** The weather that a place has, and what is known of it. */
export interface Climate {
  readonly model: WeatherModel;
  readonly known: readonly KnownDay[];
}

/** Weathers that a run of days may have; what was noted or forecast of them stands. */
export function drawWeathers(
  days: readonly string[],
  count: number,
  { model, known }: Climate,
  seed: number,
  assumed: Assumed,
): readonly (readonly WeatherDay[])[] {
  const chance = chanceFrom(seed);
  const [first, last] = [days[0] as string, days.at(-1) as string];
  const before = known.findLast((day) => day.day < first);
  const forecast = new Map(known.map((day) => [day.day, day]));
  return Array.from({ length: count }, () => {
    const drawn = drawWeather(model, chance, first, days.length, before);
    // what was forecast and entered stands, and what it leaves open is drawn about it
    const whole = drawn.map((day) => {
      const foretold = forecast.get(day.day);
      const { rainMillimetres = day.rainMillimetres } = foretold ?? {};
      return { ...foretold, day: day.day, ...temperaturesOf(foretold, day), rainMillimetres };
    });
    return completeWeather(whole, model.site, first, last, assumed).map((day) =>
      drawingTimes(day, assumed.usualEto ** filledShare({ filled: filledIn(forecast.get(day.day)) })),
    );
  });
}
