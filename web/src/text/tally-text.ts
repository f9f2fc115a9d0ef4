import type { Grouping, Ranked, TallyUnit, YieldReason } from '@rundel/core/tally';
import { addDays, type Day } from '@rundel/core/calendar';
import { trainingForm } from '@rundel/core/care';
import type { LeavingReason } from '@rundel/core/records';
import type { UnitFormat } from '../store/index.ts';
import { LEAVING_WORDS } from './plant-text.ts';
import { shortDay } from './text.ts';
import { causeName } from './trouble-text.ts';

/** What the tally can be told by. */
export const GROUPING_WORDS: Readonly<Record<Grouping, string>> = {
  bag: 'Bag',
  plant: 'Plant',
  variety: 'Variety',
  crop: 'Crop',
  place: 'Place',
  kind: 'Kind of bag',
  regime: 'Regime',
  form: 'Training',
  mix: 'Mix',
};

/** What a line of the tally is called. */
export function groupName(unit: TallyUnit, by: Grouping): string {
  switch (by) {
    case 'bag':
      return unit.bag;
    case 'plant':
      return `${unit.bag} ${unit.plantName ?? unit.variety}`;
    case 'variety':
      return unit.variety;
    case 'crop':
      return unit.crop;
    case 'place':
      return unit.place;
    case 'kind':
      return unit.kind;
    case 'regime':
      return unit.regime ?? 'No regime';
    case 'form':
      return unit.form ? trainingForm(unit.form).name : unit.variety;
    case 'mix':
      return unit.mix;
  }
}

/** What may be why a bag did better or worse, in half a sentence. */
export function reasonWords(reason: YieldReason, unitFormat: UnitFormat): string {
  switch (reason.id) {
    case 'found-dry':
      return `found dry at ${reason.times} of ${reason.of} checks`;
    case 'found-wet':
      return `found soaked at ${reason.times} of ${reason.of} checks`;
    case 'wilted':
      return `wilted ${reason.times === 1 ? 'once' : `${reason.times} times`}`;
    case 'feeds-left-out':
      return `${reason.times} feeds left out`;
    case 'fed':
      return `fed ${reason.times} times, more than the others`;
    case 'unfed':
      return `never fed, where the others were ${reason.times} times`;
    case 'cold-nights':
      return `${reason.times} cold nights in its first weeks, down to ${unitFormat.show(reason.celsius, 'temperature')}`;
    case 'late':
      return `planted ${reason.days} days after the others`;
    case 'early':
      return `planted ${reason.days} days before the others`;
    case 'small-bag':
      return `${unitFormat.show(reason.litres, 'bag')} of mix a plant, where the others have ${unitFormat.show(reason.usualLitres, 'bag')}`;
    case 'big-bag':
      return `${unitFormat.show(reason.litres, 'bag')} of mix a plant, where the others have ${unitFormat.show(reason.usualLitres, 'bag')}`;
    case 'trouble':
      return causeName(reason.what);
    case 'left-early':
      return `a plant left: ${LEAVING_WORDS[reason.why as LeavingReason].toLowerCase()}`;
  }
}

/** What of the pickings is not in a weight: "2 pickings not weighed"; nothing where all were. */
export const unweighedWords = ({ unmeasured }: { readonly unmeasured: number }): string =>
  unmeasured === 0 ? '' : `${unmeasured} ${unmeasured === 1 ? 'picking' : 'pickings'} not weighed`;

/** How a bag did beside others of its crop, and what may be why: reasons are guesses, and are told as such. */
export function rankedWords({ row, aboveMiddle, reasons }: Ranked, unitFormat: UnitFormat): string {
  const [unit] = row.units;
  const name = unit ? `Bag ${unit.bag} (${unit.variety})` : '';
  const times =
    row.kilograms === 0
      ? 'has given nothing yet'
      : aboveMiddle > 1
        ? `gave ${(aboveMiddle + 1).toFixed(1)} times what the middle ${unit?.crop.toLowerCase() ?? ''} bag did, by plant and day`
        : `gave ${Math.round(Math.abs(aboveMiddle) * 100)} % ${aboveMiddle > 0 ? 'more' : 'less'} than the middle ${unit?.crop.toLowerCase() ?? ''} bag, by plant and day`;
  return reasons.length === 0
    ? `${name} ${times}; nothing in its record says why.`
    : `${name} ${times}. Perhaps: ${reasons.map((r) => reasonWords(r, unitFormat)).join('; ')}.`;
}

/** A week by its Monday: "13 to 19 Jul". */
export function weekWords(monday: Day, today: Day): string {
  const to = addDays(monday, 6);
  return monday.slice(5, 7) === to.slice(5, 7)
    ? `${Number(monday.slice(8))} to ${shortDay(to, today)}`
    : `${shortDay(monday, today)} to ${shortDay(to, today)}`;
}

/** A difference of logarithms as a person says it. */
export function timesWords(log: number): string {
  const times = Math.exp(log);
  if (Math.abs(times - 1) < 0.015) return 'the same';
  if (times >= 10) return 'more than ten times';
  if (times <= 0.1) return 'less than a tenth';
  if (times >= 2) return `${times.toFixed(1)} times`;
  return times > 1 ? `${Math.round((times - 1) * 100)} % more` : `${Math.round((1 - times) * 100)} % less`;
}
