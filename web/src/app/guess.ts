import { usualSeasons } from '@rundel/core/climate';
import type { SeasonsId, Settings } from '@rundel/core/records';
import type { Town } from '../store/index.ts';

/** What can be told of a grower before they have said a word. */
export interface Guess {
  /** the largest town of the time zone; undefined where the zone names none */
  readonly town: Town | undefined;
  readonly latitudeDegrees: number;
  readonly units: Settings['units'];
  readonly currency: string;
  readonly seasonsId: SeasonsId;
}

/** Countries that measure in US units. */
const US_UNITS: readonly string[] = ['US', 'LR', 'MM'];

/** Signs of money where it is neither the euro's nor the dollar's. */
const SIGNS: Readonly<Record<string, string>> = {
  GB: '£',
  CH: 'Fr',
  LI: 'Fr',
  SE: 'kr',
  NO: 'kr',
  DK: 'kr',
  IS: 'kr',
  PL: 'zł',
  CZ: 'Kč',
  HU: 'Ft',
  RO: 'lei',
  BG: 'лв',
  TR: '₺',
  UA: '₴',
  IN: '₹',
  JP: '¥',
  CN: '¥',
  KR: '₩',
  IL: '₪',
  ZA: 'R',
  BR: 'R$',
};
const DOLLARS: readonly string[] = ['US', 'CA', 'AU', 'NZ', 'SG', 'HK', 'MX', 'AR', 'CL', 'CO'];

/** Where nothing tells: the middle of where tomatoes are grown in bags. */
const USUAL_LATITUDE = 45;

/**
 * The place, units and money of a grower by the time zone and language of their browser; all of it is said and can be put
 * right.
 *
 * @example
 * guessFrom('America/Chicago', 'en-US', []).units
 * // => 'us'
 */
export function guessFrom(timeZone: string, locale: string, towns: readonly Town[]): Guess {
  const town = towns.find((each) => each.timeZone === timeZone);
  // where one is tells more of bags and money than which English one reads
  const country = town?.country ?? new Intl.Locale(locale).maximize().region ?? '';
  return {
    town,
    latitudeDegrees: town?.latitudeDegrees ?? USUAL_LATITUDE,
    units: US_UNITS.includes(country) ? 'us' : 'metric',
    seasonsId: usualSeasons(country, timeZone),
    currency: SIGNS[country] ?? (DOLLARS.includes(country) ? '$' : '€'),
  };
}
