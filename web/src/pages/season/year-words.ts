import type { Crop, Habit } from '@rundel/core/plants';
import type {
  CropYear,
  FrostSource,
  FrostYear,
  PlantingWindow,
  SeasonNeeds,
  TimingLimit,
} from '@rundel/core/season';
import type { UnitFormat } from '../../store/index.ts';
import { shortDay } from '../../text/text.ts';

const LIMITS: Record<TimingLimit, string> = {
  frost: 'the last frost and your margin',
  nights: 'nights that are warm enough',
  'cold-cover': 'what cold glass gains',
  light: 'enough daylight to grow by',
  heat: 'what heat gains',
  'no-frost': 'no frost here',
};

export const limitWords = (limit: TimingLimit) => LIMITS[limit];

/** What a crop takes, part by part: "62 days to its first fruit + 14 as days shorten + 14 of picking". */
export function needsWords({ cropDays, shorteningDays, pickingDays }: SeasonNeeds): string {
  return `${cropDays} days to its first fruit + ${shorteningDays} as days shorten + ${pickingDays} of picking`;
}

/** A window in words, or why there is none with the numbers that stand in the way. */
export function windowWords(window: PlantingWindow, unitFormat: UnitFormat): string {
  if (window.kind === 'open') return `${shortDay(window.plant.from)} to ${shortDay(window.plant.to)}`;
  if (window.why === 'nights-too-cold')
    return `too cold: the warmest nights are ${unitFormat.show(window.has, 'temperature')}, it wants ${unitFormat.show(window.needs, 'temperature')}`;
  const green = window.green ? `; for green fruit, by ${shortDay(window.green.to)}` : '';
  return `too short: ${Math.max(0, window.has)} days are left, it takes ${needsWords(window.needs)}${green}`;
}

/** The later days of a window: for green fruit, and for seed that is sown where it stays. */
export function laterWords(window: PlantingWindow): string | undefined {
  if (window.kind !== 'open') return undefined;
  const seed = window.sowInPlace ? `; seed in place by ${shortDay(window.sowInPlace.to)}` : '';
  return `for green fruit by ${shortDay(window.latestForGreen)}${seed}`;
}

/** When a crop can go into a bag, this season or the next, after what stands in it if anything does. */
export function openingWords(
  window: PlantingWindow,
  next: PlantingWindow | undefined,
  isAfter: boolean,
  unitFormat: UnitFormat,
): string {
  const words = windowWords(window, unitFormat);
  const after = window.kind === 'open' ? `, ${laterWords(window)}` : '';
  const now =
    window.kind === 'open'
      ? `${isAfter ? 'After what stands in it' : 'Window'}: ${words}${after ?? ''}. It takes ${needsWords(window.needs)}.`
      : `${isAfter ? 'After what stands in it this season is ' : 'This season is '}${words}.`;
  return next?.kind === 'open' ? `${now} Next season: ${windowWords(next, unitFormat)}.` : now;
}

/** Where the frost dates come from. */
export function frostSource({ sources, years }: Pick<FrostYear, 'sources' | 'years'>): string {
  const words: Record<FrostSource, string> = {
    own: 'by your date',
    years: `from ${years} years of weather that you read in`,
    normals: "worked out from the months' usual temperatures, so roughly",
  };
  if (sources.last !== sources.first)
    return `the last ${words[sources.last]}, the first ${words[sources.first]}`;
  return sources.last === 'own' ? 'by the dates you gave' : words[sources.last];
}

/** "1 in 6", for a chance; "hardly any" and "almost certain" at the ends. */
export function chanceWords(chance: number): string {
  if (chance < 0.02) return 'hardly any';
  if (chance > 0.9) return 'almost certain';
  if (chance > 0.4) return `${Math.round(chance * 10)} in 10`;
  return `1 in ${Math.round(1 / chance)}`;
}

/** What follows from a planting day, line by line. */
export function consequences(year: CropYear): readonly (readonly [string, string])[] {
  const { dates } = year;
  const span = ({ from, to }: { from: string; to: string }) =>
    from === to ? shortDay(from) : `${shortDay(from)} to ${shortDay(to)}`;
  return [
    ['Sow', span(dates.sow)],
    ...(dates.harden ? [['Harden off', span(dates.harden)] as const] : []),
    ['Plant', shortDay(year.plantOn)],
    ['Support', year.supportOn ? `up since ${shortDay(year.supportOn)}` : span(dates.support)],
    ['First flowers', span(dates.firstFlowers)],
    ['First picking', span(dates.firstPicking)],
    ['Last useful set', `about ${shortDay(dates.lastSet)}; what sets later does not ripen`],
    ['Clear', `about ${shortDay(dates.clear)}`],
  ];
}

/** How a day lies in its window, in a sentence. */
export function standingWords(year: CropYear, window: PlantingWindow, unitFormat: UnitFormat): string {
  switch (year.dates.standing) {
    case 'in':
      return 'The day suits it.';
    case 'early':
      return `Earlier than your practice would: it says ${windowWords(window, unitFormat)}${window.kind === 'open' ? `, held back by ${limitWords(window.limit)}` : ''}.`;
    case 'late':
      return `Late: planted after ${window.kind === 'open' ? shortDay(window.plant.to) : 'its window'}, it hardly ripens before the end. ${window.kind === 'open' && year.plantOn <= window.latestForGreen ? `Picked green it does, up to ${shortDay(window.latestForGreen)}.` : 'Green fruit is too late as well.'}`;
    case 'no-season':
      return `There is no season for it here: ${windowWords(window, unitFormat)}.`;
  }
}

export const cropWords = (crop: Crop, habit: Habit) => `${crop.name}, ${habit.name.toLowerCase()}`;
