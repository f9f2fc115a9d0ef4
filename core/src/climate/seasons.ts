/** How far apart winter and summer are at a place, which its latitude does not tell. */
export interface Seasons {
  readonly id: 'sea' | 'between' | 'inland';
  readonly name: string;
  /** the year's mean is cooler than by the sea at its latitude by so much, °C (*assumed*) */
  readonly coolerBy: number;
  /** the swing between winter and summer, times that by the sea (*assumed*) */
  readonly swingTimes: number;
}

export type SeasonsId = Seasons['id'];

/** By eye from month means of towns on both sides of three continents: within about 4 °C of them. */
export const SEASONS: readonly [Seasons, ...Seasons[]] = [
  { id: 'sea', name: 'Mild winters, cool summers: by the sea', coolerBy: 0, swingTimes: 1 },
  { id: 'between', name: 'Cold winters, warm summers: away from the sea', coolerBy: 0.5, swingTimes: 1.3 },
  { id: 'inland', name: 'Hard winters, hot summers: deep inland', coolerBy: 4.5, swingTimes: 2 },
];

/** A way of the seasons by its id; the first where none is named. */
export function seasonsOf(id: string | undefined): Seasons {
  return SEASONS.find((each) => each.id === id) ?? SEASONS[0];
}

const INLAND: readonly string[] = ['US', 'CA', 'RU', 'UA', 'BY', 'KZ', 'MN', 'CN', 'KR', 'KP', 'JP'];
const BETWEEN: readonly string[] = [
  ...['DE', 'AT', 'CH', 'LI', 'CZ', 'SK', 'PL', 'HU', 'SI', 'HR', 'BA', 'RS', 'ME', 'MK', 'RO', 'BG', 'MD'],
  ...['FI', 'SE', 'EE', 'LV', 'LT', 'TR', 'ES', 'IT', 'IR', 'AM', 'GE'],
];
/** Where the ocean reaches over a country whose middle is far from it. */
const PACIFIC: readonly string[] = ['America/Los_Angeles', 'America/Vancouver', 'Pacific/Honolulu'];

/**
 * The usual seasons of a country, for a grower who has said no more than a town (*assumed*).
 *
 * @param country two letters
 * @param timeZone tells one coast of a wide country from the other
 * @see docs/model.md, 6. Weather
 * @example
 * usualSeasons('US', 'America/Chicago')
 * // => 'inland'
 */
export function usualSeasons(country: string, timeZone: string): SeasonsId {
  if (PACIFIC.includes(timeZone)) return 'sea';
  if (INLAND.includes(country)) return 'inland';
  return BETWEEN.includes(country) ? 'between' : 'sea';
}
