import type { Assumed } from '../../assumed/index.ts';
import { addDays, type Day } from '../../calendar/index.ts';
import { isWarmthKnown, type KnownDay } from '../../climate/index.ts';
import type { AlertKind, Place } from '../../records/index.ts';
import { heatWaves } from '../../season/index.ts';

/** Weather that is coming to a place, and that asks for something. */
export interface WeatherAlert {
  readonly kind: AlertKind;
  readonly placeId: string;
  readonly from: Day;
  /** the last day of it */
  readonly to: Day;
  /** the coldest or hottest that is expected there, °C; for wind m/s; for a swing °C from night to day */
  readonly value: number;
  readonly threshold: number;
}

/** How a place stands in its weather. */
export interface AlertPlace {
  readonly place: Pick<Place, 'id' | 'cover' | 'alerts'>;
  /** below this what stands there suffers, °C: the tenderest plant's; undefined: nothing stands there */
  readonly coldCelsius: number | undefined;
}

/** Around freezing on the ground, with the thermometer a little above it. */
const FROST_CELSIUS = 2;
/** Alerts look so far ahead, days. */
const DAYS_AHEAD = 5;

/** What each alert is given at, where the grower has not said otherwise. */
export function usualThreshold(
  kind: AlertKind,
  coldCelsius: number | undefined,
  assumed: Pick<Assumed, 'hotCelsius' | 'swingCelsius' | 'windMetresPerSecond'>,
): number {
  switch (kind) {
    case 'frost':
      return FROST_CELSIUS;
    case 'cold':
      return coldCelsius ?? 8;
    case 'hot':
    case 'heat-wave':
      return assumed.hotCelsius;
    case 'swing':
      return assumed.swingCelsius;
    case 'wind':
      return assumed.windMetresPerSecond;
  }
}

/**
 * What the weather of the coming days asks at a place, the most pressing first: frost before cold, a heat wave before a hot day.
 * Under glass nights are warmer by `coldCoverGain`, and there is no wind; heated glass knows neither frost nor cold.
 *
 * @param days known or foretold, one a day, in order; the night before a day is told with that day
 * @see docs/model.md, 12. Protection
 */
export function weatherAlerts(
  { place, coldCelsius }: AlertPlace,
  days: readonly KnownDay[],
  today: Day,
  assumed: Assumed,
): readonly WeatherAlert[] {
  if (coldCelsius === undefined) return [];
  const ahead = days.filter((d) => d.day >= today && d.day <= addDays(today, DAYS_AHEAD));
  const gain = place.cover === 'open' ? 0 : assumed.coldCoverGain;
  const limit = (kind: AlertKind) =>
    place.alerts?.[kind]?.threshold ?? usualThreshold(kind, coldCelsius, assumed);
  const isOn = (kind: AlertKind) => {
    const own = place.alerts?.[kind];
    return !own?.isOff && (own?.snoozedUntil === undefined || own.snoozedUntil <= today);
  };
  const found: WeatherAlert[] = [];
  const span = (
    kind: AlertKind,
    matching: readonly (readonly [Day, number])[],
    worst: (a: number, b: number) => number,
  ) => {
    const [first] = matching;
    const last = matching.at(-1);
    if (!first || !last || !isOn(kind)) return;
    const value = matching.reduce((at, [, v]) => worst(at, v), first[1]);
    found.push({ kind, placeId: place.id, from: first[0], to: last[0], value, threshold: limit(kind) });
  };
  // the night into today is over
  const nights = ahead.flatMap(({ day, minCelsius }) =>
    day > today && minCelsius !== undefined ? [[day, minCelsius + gain] as const] : [],
  );
  if (place.cover !== 'heated') {
    const frosts = nights.filter(([, min]) => min <= limit('frost'));
    span('frost', frosts, Math.min);
    const cold = nights.filter(([, min]) => min < limit('cold') && min > limit('frost'));
    span('cold', cold, Math.min);
  }
  const hot = ahead.flatMap(({ day, maxCelsius }) =>
    maxCelsius !== undefined && maxCelsius >= limit('hot') ? [[day, maxCelsius] as const] : [],
  );
  const waves = heatWaves(ahead, { hotCelsius: limit('heat-wave') });
  for (const { from, to, maxCelsius } of waves)
    span('heat-wave', [[from, maxCelsius] as const, [to, maxCelsius] as const], Math.max);
  const alone = hot.filter(([day]) => !isOn('heat-wave') || !waves.some((w) => day >= w.from && day <= w.to));
  span('hot', alone, Math.max);
  const swings = ahead
    .filter(isWarmthKnown)
    .map((d) => [d.day, d.maxCelsius - d.minCelsius - gain] as const)
    .filter(([, swing]) => swing >= limit('swing'));
  span('swing', swings, Math.max);
  if (place.cover === 'open') {
    const windy = ahead.flatMap((d) =>
      d.windMetresPerSecond !== undefined && d.windMetresPerSecond >= limit('wind')
        ? [[d.day, d.windMetresPerSecond] as const]
        : [],
    );
    span('wind', windy, Math.max);
  }
  return found;
}
