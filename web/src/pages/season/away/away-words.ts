import type { AwayBagPlan, AwayPlan, ChangeId, TimeAway } from '@rundel/core/away';
import { daysBetween } from '@rundel/core/calendar';
import { inMeasure } from '@rundel/core/units';
import { format } from 'date-fns';
import { clockOf, fillsWords } from '../../../text/text.ts';
import type { UnitFormat } from '../../../store/index.ts';

/** A change as a tick box says it. */
export const CHANGE_NAMES: Record<ChangeId, string> = {
  shade: 'Shade, or out of the sun',
  mulch: 'Thick mulch',
  saucer: 'A saucer underneath',
  'clay-pots': 'Clay pots buried in the mix',
  drip: 'A drip line with a timer',
};

/** A change as a thing to do for one bag. */
export function changeWords(id: ChangeId, plan: AwayBagPlan, unitFormat: Pick<UnitFormat, 'show'>): string {
  switch (id) {
    case 'shade':
      return 'half shade, or move it where noon does not reach';
    case 'mulch':
      return `mulch ${unitFormat.show(75, 'depth')} deep`;
    case 'saucer':
      return 'stand it in a saucer, filled when you leave';
    case 'clay-pots':
      return 'bury unglazed pots and fill them when you leave';
    case 'drip':
      return plan.drip
        ? `two drippers, ${plan.drip.minutes} min ${plan.drip.timesADay === 1 ? 'once' : `${plan.drip.timesADay} times`} a day`
        : 'two drippers on a timer';
  }
}

/** "97 in 100" */
export function inHundred(share: number): string {
  const count = Math.round(share * 100);
  if (count >= 100) return 'over 99 in 100';
  return count <= 0 ? 'fewer than 1 in 100' : `${count} in 100`;
}

/** How long nobody is there: "14 hours", "4 days", "2½ days". */
export function spanWords(hours: number): string {
  if (hours < 36) return Math.round(hours) === 24 ? 'a day' : `${Math.max(1, Math.round(hours))} hours`;
  const halves = Math.round(hours / 12);
  return `${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''} days`;
}

/**
 * From which round to which nobody comes.
 *
 * @param isTooLate the last round on which they could have been soaked is over
 */
export function aloneWords({ leaveOn, leaveHour, backOn, backHour }: TimeAway, isTooLate: boolean): string {
  const at = (day: string, hour: number) =>
    `${format(new Date(`${day}T12:00:00`), 'EEE d MMM')}, ${clockOf(hour)}`;
  return `By your rounds nobody is there from ${at(leaveOn, leaveHour)} to ${at(backOn, backHour)}.${isTooLate ? ' Your last round before is over: the bags are taken as they stand now, and not as soaked.' : ''}`;
}

const LIST = new Intl.ListFormat('en-GB');

/** The answer in a sentence or two. */
export function answerWords(
  plan: AwayPlan,
  labelOf: (containerId: string) => string,
  /** litres in one fill of the can that is carried */
  fillLitres: number,
): string {
  const lost = plan.bags.filter((bag) => !bag.isSafe);
  const atRisk = plan.bags.filter((bag) => bag.changes.length > 0 || bag.isHelped || !bag.isSafe);
  const days = spanWords(plan.hours);
  if (atRisk.length === 0) return `All bags come through ${days} by themselves.`;
  const names = (ids: readonly string[]) =>
    `${ids.length === 1 ? 'bag' : 'bags'} ${LIST.format(ids.map(labelOf))}`;
  const many = (count: number) => (count === 1 ? '1 bag' : `${count} bags`);
  const easy = plan.bags.length - atRisk.length;
  const start = `${easy === 0 ? 'No bag comes' : `${many(easy)} of ${plan.bags.length} ${easy === 1 ? 'comes' : 'come'}`} through ${days} as ${easy > 1 ? 'they are' : 'it is'}.`;
  const helped = atRisk.length - lost.length;
  const middle =
    helped > 0
      ? ` With what is below, ${many(helped)}${easy > 0 ? ' more' : ''} ${helped === 1 ? 'does' : 'do'}.`
      : '';
  const beyond = plan.beyondHelper;
  const fills = Math.ceil((beyond?.litres ?? 0) / fillLitres);
  const carry = beyond
    ? ` With ${fills === 1 ? 'one more fill' : `${fills} more fills`} on each of ${beyond.visits === 1 ? 'one visit' : `${beyond.visits} visits`} a helper would bring ${names(beyond.containerIds)} through too.`
    : '';
  const hopeless = lost.map((bag) => bag.containerId).filter((id) => !beyond?.containerIds.includes(id));
  const end =
    hopeless.length > 0
      ? ` Nothing you allow is enough for ${names(hopeless)}: another visit, or somebody who takes ${hopeless.length === 1 ? 'it' : 'them'} in.`
      : '';
  return start + middle + carry + end;
}

/** How far a helper is relied on: "a helper who forgets 5 visits in 100". */
export function helperWords(missChance: number): string {
  const missed = Math.round(missChance * 100);
  if (missed === 0) return 'a helper who never fails to come';
  return `a helper who forgets ${missed === 1 ? '1 visit' : `${missed} visits`} in 100`;
}

const longDay = (day: string) => format(new Date(`${day}T12:00:00`), 'EEEE d MMMM');

/** When a helper is to come: day after day where there are gaps, or from one day to another. */
export function comeWords(visits: readonly string[]): string {
  const [first, last] = [visits[0], visits.at(-1)];
  const isDaily = first && last && visits.length > 3 && daysBetween(first, last) === visits.length - 1;
  return isDaily
    ? `every day from ${longDay(first)} to ${longDay(last)}`
    : `on ${LIST.format(visits.map(longDay))}`;
}

/** Columns that fit on a sheet of paper beside the bags. */
const MOST_COLUMNS = 5;

/** The helper's visits as columns of the sheet: one each, or the first and all that follow when there are many. */
export function visitColumns(
  visits: readonly string[],
): readonly { readonly heading: string; readonly from: number; readonly to: number }[] {
  const dayOf = (day: string | undefined) => format(new Date(`${day}T12:00:00`), 'EEE d MMM');
  if (visits.length <= MOST_COLUMNS)
    return visits.map((day, v) => ({ heading: dayOf(day), from: v, to: v + 1 }));
  return [
    { heading: dayOf(visits[0]), from: 0, to: 1 },
    { heading: 'Every visit after', from: 1, to: visits.length },
  ];
}

/** What a bag takes at some visits: in the helper's can, and in litres with the most that it may be. */
export function takesWords(
  litres: AwayBagPlan['planned']['visitLitres'],
  measure: Parameters<typeof inMeasure>[1] & { readonly name: string },
  unitFormat: Pick<UnitFormat, 'show' | 'range'>,
): { readonly fills: string; readonly litres: string } {
  const likely = litres.map((l) => l.likely);
  const [low, high] = [Math.min(...likely), Math.max(...likely)];
  const count = (amount: number) => Math.max(0.25, inMeasure(amount, measure).count);
  const [few, many] = [count(low), count(high)];
  const most = unitFormat.show(Math.max(...litres.map((l) => l.high)), 'water');
  const fills = fillsWords(many, measure);
  return {
    fills: few === many ? fills : `${fillsWords(few, { ...measure, name: '' }).trim()} to ${fills}`,
    litres: `${unitFormat.range(low, high, 'water')}, up to ${most}`,
  };
}
