import type { Assumed } from '../assumed/index.ts';
import { normalBelow } from '../statistics/index.ts';
import { addDays, daysBetween, type Day } from '../calendar/index.ts';
import { normalOfDay, type KnownDay, type Site } from '../climate/index.ts';

export type FrostSource = 'own' | 'years' | 'normals';

/**
 * Frost over one growing year. A growing year begins in midwinter: 1 January in the north, 1 July in the south, so that
 * its spring comes first and its autumn after it.
 */
export interface FrostYear {
  readonly start: Day;
  /** where each half comes from: the grower's own date, years of weather that were read, or the site's normals */
  readonly sources: { readonly last: FrostSource; readonly first: FrostSource };
  /** years that it was worked out from; 0 for the other two */
  readonly years: number;
  /** the day on which it is as likely as not that the last frost is past, and the first to come; undefined: no frost */
  readonly last: Day | undefined;
  readonly first: Day | undefined;
  /**
   * chance of frost by day of the growing year, 0 to 1: before midsummer that one still comes on this day or later,
   * after it that one has come by this day
   */
  readonly chance: readonly number[];
}

const DAYS = 366;
/** The middle of the growing year's summer, days from its start. */
export const MIDSUMMER = 182;

/** The first day of the growing year that a day lies in. */
export function growingYearOf(day: Day, latitudeDegrees: number): Day {
  const year = Number(day.slice(0, 4));
  if (latitudeDegrees >= 0) return `${year}-01-01`;
  return day.slice(5) >= '07-01' ? `${year}-07-01` : `${year - 1}-07-01`;
}

/**
 * The five months of a summer in which grown plants stand in bags: this one's while it lasts, and then the next.
 *
 * @example
 * summerOf('2026-07-16', 51)
 * // => { from: '2026-05-01', until: '2026-09-30' }
 * @example
 * summerOf('2026-07-16', -33)
 * // => { from: '2026-11-01', until: '2027-03-31' }
 */
export function summerOf(today: Day, latitudeDegrees: number): { readonly from: Day; readonly until: Day } {
  const [from, until] = latitudeDegrees >= 0 ? ['05-01', '09-30'] : ['11-01', '03-31'];
  const year = Number(today.slice(0, 4));
  const endYear = today.slice(5) > until ? year + 1 : year;
  return { from: `${latitudeDegrees >= 0 ? endYear : endYear - 1}-${from}`, until: `${endYear}-${until}` };
}

interface Spread {
  readonly mean: number;
  readonly days: number;
}

/** Half a growing year: the day of its frost, and the chance of frost by day. */
interface FrostHalf {
  readonly source: FrostSource;
  readonly day: Day | undefined;
  chanceOn(dayOfYear: number): number;
}

function fromSpread(
  start: Day,
  source: FrostSource,
  half: 'last' | 'first',
  { mean, days }: Spread,
): FrostHalf {
  return {
    source,
    day: addDays(start, Math.round(mean)),
    chanceOn: (i) => (half === 'last' ? 1 - normalBelow((i - mean) / days) : normalBelow((i - mean) / days)),
  };
}

/** Last and first frost of each growing year that was read nearly whole. */
function frostsOf(
  known: readonly KnownDay[],
  latitudeDegrees: number,
): { last: number[]; first: number[]; years: number } {
  const byYear = new Map<Day, KnownDay[]>();
  for (const day of known) {
    const start = growingYearOf(day.day, latitudeDegrees);
    byYear.set(start, [...(byYear.get(start) ?? []), day]);
  }
  const last: number[] = [];
  const first: number[] = [];
  let years = 0;
  for (const [start, days] of byYear) {
    const nights = days.filter((d) => d.minCelsius !== undefined);
    if (new Set(nights.map((d) => d.day)).size < 330) continue;
    years += 1;
    const frosts = nights.filter((d) => (d.minCelsius ?? 1) <= 0).map((d) => daysBetween(start, d.day));
    const spring = frosts.filter((d) => d < MIDSUMMER);
    const autumn = frosts.filter((d) => d >= MIDSUMMER);
    if (spring.length > 0) last.push(Math.max(...spring));
    if (autumn.length > 0) first.push(Math.min(...autumn));
  }
  return { last, first, years };
}

function spreadOf(days: readonly number[], assumed: Assumed): Spread {
  const mean = days.reduce((sum, d) => sum + d, 0) / days.length;
  const variance = days.reduce((sum, d) => sum + (d - mean) ** 2, 0) / Math.max(1, days.length - 1);
  // three or four years say little about the spread: it is drawn towards the usual one
  const weight = days.length / (days.length + 5);
  return { mean, days: Math.sqrt(weight * variance + (1 - weight) * assumed.frostSpread ** 2) };
}

/** Years that must have been read before they go before the normals. */
const LEAST_YEARS = 3;

/**
 * Frost of a growing year, each half by itself: from the grower's own date with a spread; else from three or more imported years;
 * else from the normals, where a night's minimum is normal about its month's and cold nights come in clusters.
 *
 * @param own usual last and first frost, `MM-DD`, as far as the grower knows them
 * @param on any day of the growing year
 * @see docs/model.md, 5. Timing
 * @example
 * frostYear(site51, { last: '04-25', first: '10-20' }, [], '2026-06-01', DEFAULT_ASSUMED).last
 * // => '2026-04-25'
 */
export function frostYear(
  site: Site,
  own: { readonly last?: string | undefined; readonly first?: string | undefined } | undefined,
  known: readonly KnownDay[],
  on: Day,
  assumed: Assumed,
): FrostYear {
  const start = growingYearOf(on, site.latitudeDegrees);
  const dayIn = (monthDay: string) => {
    const year = Number(start.slice(0, 4));
    const first = daysBetween(start, `${year}-${monthDay === '02-29' ? '02-28' : monthDay}`);
    return first >= 0 ? first : first + 365;
  };
  const needsRead = own?.last === undefined || own.first === undefined;
  const read = needsRead ? frostsOf(known, site.latitudeDegrees) : { last: [], first: [], years: 0 };
  const isRead = read.last.length >= LEAST_YEARS && read.first.length >= LEAST_YEARS;
  const usual = needsRead && !isRead ? fromNormals(start, site, assumed) : undefined;
  const halfOf = (half: 'last' | 'first'): FrostHalf => {
    const said = own?.[half];
    if (said) return fromSpread(start, 'own', half, { mean: dayIn(said), days: assumed.frostSpread });
    return usual ? usual[half] : fromSpread(start, 'years', half, spreadOf(read[half], assumed));
  };
  const [last, first] = [halfOf('last'), halfOf('first')];
  return {
    start,
    sources: { last: last.source, first: first.source },
    years: isRead ? read.years : 0,
    last: last.day,
    first: first.day,
    chance: Array.from({ length: DAYS }, (_, i) => (i < MIDSUMMER ? last : first).chanceOn(i)),
  };
}

function fromNormals(start: Day, site: Site, assumed: Assumed): Record<'last' | 'first', FrostHalf> {
  const nights = Array.from({ length: DAYS }, (_, i) => {
    const { minCelsius } = normalOfDay(site.normals, addDays(start, i));
    return normalBelow(-minCelsius / assumed.normalSpread) * assumed.frostCluster;
  });
  const chance = new Array<number>(DAYS).fill(0);
  let sum = 0;
  for (let i = MIDSUMMER - 1; i >= 0; i--) chance[i] = 1 - Math.exp(-(sum += nights[i] ?? 0));
  sum = 0;
  for (let i = MIDSUMMER; i < DAYS; i++) chance[i] = 1 - Math.exp(-(sum += nights[i] ?? 0));
  const past = chance.findIndex((c, i) => i < MIDSUMMER && c < 0.5);
  const come = chance.findIndex((c, i) => i >= MIDSUMMER && c >= 0.5);
  const half = (i: number): FrostHalf => ({
    source: 'normals',
    day: i > 0 ? addDays(start, i) : undefined,
    chanceOn: (day) => chance[day] ?? 0,
  });
  return { last: half(past), first: half(come) };
}

/** The chance that frost still comes (before midsummer) or has come (after it) on a day; 0 outside the year. */
export function frostChance(frost: FrostYear, day: Day): number {
  return frost.chance[daysBetween(frost.start, day)] ?? 0;
}
