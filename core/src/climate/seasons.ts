import type { SeasonsId } from '../records/index.ts';

/** What the seasons of a place are like, which its latitude does not tell. All numbers are *assumed*. */
export interface Seasons {
  readonly id: SeasonsId;
  readonly name: string;
  /** the year's mean is cooler than by the sea at its latitude by so much, °C */
  readonly coolerBy: number;
  /** the swing between winter and summer, times that by the sea */
  readonly swingTimes: number;
  /** half of what lies between night and day over the year, and so much more of it at midsummer, °C */
  readonly halfDay: { readonly mean: number; readonly moreInSummer: number };
  /** a month's rain over the year, and so much more of it at midsummer, mm */
  readonly rain: { readonly mean: number; readonly moreInSummer: number };
}

const TEMPERATE = {
  halfDay: { mean: 4, moreInSummer: 1 },
  rain: { mean: 60, moreInSummer: 0 },
} as const;

/** By eye from month means of towns on both sides of three continents: within about 4 °C of them. */
export const SEASONS: readonly [Seasons, ...Seasons[]] = [
  {
    id: 'sea',
    name: 'Mild winters, cool summers: by the sea',
    coolerBy: 0,
    swingTimes: 1,
    ...TEMPERATE,
  },
  {
    id: 'between',
    name: 'Cold winters, warm summers: away from the sea',
    coolerBy: 0.5,
    swingTimes: 1.3,
    ...TEMPERATE,
  },
  {
    id: 'inland',
    name: 'Hard winters, hot summers: deep inland',
    coolerBy: 4.5,
    swingTimes: 2,
    ...TEMPERATE,
  },
  {
    id: 'hot-dry',
    name: 'Mild winters, hot and dry summers',
    coolerBy: 0.3,
    swingTimes: 1.5,
    halfDay: { mean: 6, moreInSummer: 1.7 },
    rain: { mean: 40, moreInSummer: -36 },
  },
  {
    id: 'hot-humid',
    name: 'Cool winters, hot and humid summers',
    coolerBy: 2.8,
    swingTimes: 2,
    halfDay: { mean: 5, moreInSummer: -0.3 },
    rain: { mean: 110, moreInSummer: 10 },
  },
  {
    id: 'high',
    name: 'High up: clear days, cold nights',
    coolerBy: 5.4,
    swingTimes: 2,
    halfDay: { mean: 8, moreInSummer: 0.5 },
    rain: { mean: 40, moreInSummer: 10 },
  },
];

/** A way of the seasons by its id; the first where none is named. */
export function seasonsOf(id: string | undefined): Seasons {
  return SEASONS.find((each) => each.id === id) ?? SEASONS[0];
}

const INLAND: readonly string[] = ['US', 'CA', 'RU', 'UA', 'BY', 'KZ', 'MN', 'CN', 'KR', 'KP'];
const BETWEEN: readonly string[] = [
  ...['DE', 'AT', 'CH', 'LI', 'CZ', 'SK', 'PL', 'HU', 'SI', 'HR', 'BA', 'RS', 'ME', 'MK', 'RO', 'BG', 'MD'],
  ...['FI', 'SE', 'EE', 'LV', 'LT', 'TR', 'IT', 'AM', 'GE'],
];
const HOT_DRY: readonly string[] = ['ES', 'PT', 'GR', 'CY', 'MT', 'IL', 'LB', 'SY', 'MA', 'DZ', 'TN', 'IR'];
const HOT_HUMID: readonly string[] = ['JP', 'TW'];
/** Where a wide country is otherwise than its middle: the ocean reaches over it, or it lies high. */
const BY_TIME_ZONE: Readonly<Record<string, SeasonsId>> = {
  'America/Los_Angeles': 'sea',
  'America/Vancouver': 'sea',
  'Pacific/Honolulu': 'sea',
  'America/Denver': 'high',
  'America/Phoenix': 'hot-dry',
  'Australia/Perth': 'hot-dry',
  'Australia/Adelaide': 'hot-dry',
};

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
  const byZone = BY_TIME_ZONE[timeZone];
  if (byZone) return byZone;
  if (INLAND.includes(country)) return 'inland';
  if (HOT_DRY.includes(country)) return 'hot-dry';
  if (HOT_HUMID.includes(country)) return 'hot-humid';
  return BETWEEN.includes(country) ? 'between' : 'sea';
}
