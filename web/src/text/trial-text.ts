import type { TrialMeasure } from '@rundel/core/records';
import type { TrialComparison, TrialFlaw, TrialResult } from '@rundel/core/tally';
import type { PlanPower } from '@rundel/core/trials';
import type { UnitFormat } from '../store/index.ts';
import { timesWords } from './tally-text.ts';
import { sentence } from './text.ts';

/** What a trial goes by. */
export const MEASURE_WORDS: Readonly<Record<TrialMeasure, string>> = {
  kilograms: 'Weight, each plant',
  count: 'Number of fruit, each plant',
  fruit: 'Weight of one fruit',
  'per-litre': 'Weight by litre of mix',
  'first-picking': 'Days to the first picking',
};

/** A value in a trial's measure. */
export function measured(value: number, measure: TrialMeasure, unitFormat: UnitFormat): string {
  switch (measure) {
    case 'kilograms':
    case 'fruit':
    case 'per-litre':
      return unitFormat.show(value, 'crop');
    case 'count':
      return `${Math.round(value)} fruit`;
    case 'first-picking':
      return `${Math.round(value)} days`;
  }
}

/** A difference on the scale that it was reckoned on: "12 % more", "3 days later". */
export function differenceWords(value: number, isInDays: boolean): string {
  if (!isInDays) return timesWords(value);
  const days = Math.round(value);
  if (days === 0) return 'the same day';
  return `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'later' : 'sooner'}`;
}

/** How often something comes about: "one time in three", "nearly always". */
export function oftenWords(chance: number): string {
  if (chance >= 0.95) return 'nearly always';
  if (chance >= 0.85) return 'nine times in ten';
  if (chance >= 0.72) return 'four times in five';
  if (chance >= 0.58) return 'two times in three';
  if (chance >= 0.42) return 'one time in two';
  if (chance >= 0.28) return 'one time in three';
  if (chance >= 0.18) return 'one time in five';
  return chance >= 0.08 ? 'one time in ten' : 'hardly ever';
}

const eachWords = (n: number) =>
  ({ 1: 'one', 2: 'two', 3: 'three', 4: 'four', 6: 'six', 8: 'eight' })[n] ?? String(n);

/** What a plan would find. */
export function planWords({ perSide, seasons, ofFifth, ofHalf }: PlanPower): string {
  const over = seasons > 1 ? ' over two seasons' : '';
  return `${eachWords(perSide)} each${over} would find a difference of 20 % ${oftenWords(ofFifth)}; a difference of a half, ${oftenWords(ofHalf)}`;
}

/** So wide that nothing is said: from under a quarter to over four times on the scale of logarithms, or a month and a half. */
const ANYTHING = { log: Math.log(20), days: 45 };

/** Whether a range is so wide that its ends would be mistaken for something. */
export function saysNothing(
  { low, high }: { readonly low: number; readonly high: number },
  isInDays: boolean,
): boolean {
  return high - low > (isInDays ? ANYTHING.days : ANYTHING.log);
}

/** "12 % more than", "2.4 times what … gave", "the same as" */
const howMuch = (log: number) =>
  Math.abs(Math.exp(log) - 1) < 0.015 ? ' as' : Math.exp(log) >= 2 ? ' as much as' : ' than';

/** What is said of one treatment beside another: the answer first, and never more than the spread bears. */
export function verdictWords(
  { difference }: TrialComparison,
  names: { readonly from: string; readonly to: string },
  isInDays: boolean,
): { readonly headline: string; readonly detail: string } {
  if (!difference)
    return {
      headline: 'Nothing to compare yet.',
      detail: `As soon as both ${names.from} and ${names.to} have given something, I say what can be said.`,
    };
  const [a, b] = difference.units;
  const { low, high, likely, isReal, raw } = difference;
  const seen = sentence(
    isInDays
      ? `${names.to} came ${differenceWords(raw, true)}${Math.round(raw) === 0 ? ' as' : ' than'} ${names.from}`
      : `${names.to} gave ${differenceWords(raw, false)}${howMuch(raw)} ${names.from}`,
  );
  const between = `Nine times in ten the true difference lies between ${differenceWords(low, isInDays)} and ${differenceWords(high, isInDays)}`;
  const guess =
    Math.abs(likely - raw) > 0.02
      ? `; my best guess, knowing how luck goes, is ${differenceWords(likely, isInDays)}`
      : '';
  if (saysNothing(difference, isInDays))
    return {
      headline: a === 1 && b === 1 ? 'One each: too few to say.' : 'Too few to say.',
      detail: `${seen} here, and with so few the true difference could be almost anything.`,
    };
  if (a === 1 && b === 1)
    return { headline: 'One each: too few to say.', detail: `${seen} here. ${between}${guess}.` };
  if (isReal && difference.confoundedBy.length === 0)
    return {
      headline: sentence(`${names.to} really did differ: ${differenceWords(likely, isInDays)}.`),
      detail: `Luck alone would do that less than one time in twenty. ${between}.`,
    };
  if (isReal)
    return {
      headline: `They differ, and I cannot say by what: ${differenceWords(likely, isInDays)}.`,
      detail: `${between}${guess}.`,
    };
  if (low > 0 || high < 0)
    return {
      headline: `Likely, and not yet sure: ${differenceWords(likely, isInDays)}.`,
      detail: `${seen} here. ${between}${guess}. Luck alone would do as much about one time in ten or twenty.`,
    };
  return {
    headline: 'It may well be luck.',
    detail: `${seen} here. ${between}${guess}.`,
  };
}

/** What makes a trial less fair than it looks. */
export function flawWords(flaw: TrialFlaw): string {
  switch (flaw.id) {
    case 'places':
      return 'They stood at different places: place and treatment cannot be told apart, and the range is wider for it.';
    case 'varieties':
      return 'They were of different varieties: variety and treatment cannot be told apart, and the range is wider for it.';
    case 'seasons':
      return 'They stood in different seasons: summer and treatment cannot be told apart, and the range is wider for it.';
    case 'starts':
      return `They were planted up to ${flaw.days} days apart.`;
    case 'uneven':
      return `There are ${flaw.most} of one and ${flaw.least} of another: the few decide how much can be said.`;
    case 'gone':
      return `Nothing stood in ${flaw.bags === 1 ? 'one of the bags' : `${flaw.bags} of the bags`} in that season.`;
    case 'unmeasured':
      return `${flaw.bags === 1 ? 'One gave' : `${flaw.bags} gave`} more than is counted: some of its pickings nobody weighed.`;
    case 'nothing':
      return `${flaw.bags === 1 ? 'One gave' : `${flaw.bags} gave`} nothing, and ${flaw.bags === 1 ? 'counts' : 'count'} as a tenth of the middle one. If a plant was lost to something else, leave it out.`;
  }
}

/** What further bags or seasons would find, by this garden's own spread. */
export function powerWords({ plans, known, comparisons }: TrialResult): string {
  const side = Math.max(
    1,
    ...comparisons.map(({ difference }) => Math.min(...(difference?.units ?? [1, 1]))),
  );
  const find = (perSide: number, seasons: number) =>
    plans.find((p) => p.perSide >= perSide && p.seasons === seasons);
  const [now, more] = [find(side, 1), find(Math.max(4, 2 * side), 2)];
  const spread =
    known.df > 0
      ? `With bags as unlike as yours (they differ by ${Math.round(known.sd * 100)} % where they had the same)`
      : 'With bags as unlike as they usually are';
  const parts = [now, more].flatMap((plan) => (plan ? [planWords(plan)] : []));
  return `${spread}, ${parts.join('. Or: ')}.`;
}
