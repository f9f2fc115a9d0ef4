import type { AwayBagPlan, AwayPlan, ChangeId } from '@rundel/core/away';
import type { Shown } from '../../store/index.ts';

/** A change as a tick box says it. */
export const CHANGE_NAMES: Record<ChangeId, string> = {
  shade: 'Shade, or out of the sun',
  mulch: 'Thick mulch',
  saucer: 'A saucer underneath',
  'clay-pots': 'Clay pots buried in the mix',
  drip: 'A drip line with a timer',
};

/** A change as a thing to do for one bag. */
export function changeWords(id: ChangeId, plan: AwayBagPlan, shown: Pick<Shown, 'show'>): string {
  switch (id) {
    case 'shade':
      return 'half shade, or move it where noon does not reach';
    case 'mulch':
      return `mulch ${shown.show(75, 'depth')} deep`;
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

const LIST = new Intl.ListFormat('en-GB');

/** The answer in a sentence or two. */
export function answerWords(plan: AwayPlan, labelOf: (containerId: string) => string): string {
  const lost = plan.bags.filter((bag) => !bag.isSafe);
  const atRisk = plan.bags.filter((bag) => bag.changes.length > 0 || bag.isHelped || !bag.isSafe);
  const days = plan.days.length === 1 ? 'a day' : `${plan.days.length} days`;
  if (atRisk.length === 0) return `All bags come through ${days} by themselves.`;
  const names = (bags: readonly AwayBagPlan[]) =>
    `${bags.length === 1 ? 'bag' : 'bags'} ${LIST.format(bags.map((bag) => labelOf(bag.containerId)))}`;
  const many = (count: number) => (count === 1 ? '1 bag' : `${count} bags`);
  const easy = plan.bags.length - atRisk.length;
  const start = `${easy === 0 ? 'No bag comes' : `${many(easy)} of ${plan.bags.length} ${easy === 1 ? 'comes' : 'come'}`} through ${days} as ${easy > 1 ? 'they are' : 'it is'}.`;
  const helped = atRisk.length - lost.length;
  const middle =
    helped > 0
      ? ` With what is below, ${many(helped)}${easy > 0 ? ' more' : ''} ${helped === 1 ? 'does' : 'do'}.`
      : '';
  const end =
    lost.length > 0
      ? ` Nothing you allow is enough for ${names(lost)}: another visit, or somebody who takes ${lost.length === 1 ? 'it' : 'them'} in.`
      : '';
  return start + middle + end;
}
