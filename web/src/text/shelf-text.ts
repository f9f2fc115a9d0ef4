import type { Day } from '@rundel/core/calendar';
import type { ShelfLot } from '@rundel/core/pickings';
import { drawdown, isGone } from '@rundel/core/pickings';
import { CROPS } from '@rundel/core/plants';
import type { EntryOf } from '@rundel/core/records';
import type { Assumed } from '@rundel/core/assumed';
import type { UnitFormat } from '../store/index.ts';
import { PICK_STAGE_WORDS } from './plant-text.ts';
import { shortDay } from './text.ts';
import { causeName } from './trouble-text.ts';

/** How a lot lies, as it was put down. */
export function shelvedWords(entry: EntryOf<'shelved'>, unitFormat: UnitFormat): string {
  const parts = [
    entry.count === undefined ? '' : `${entry.count} fruit`,
    entry.kilograms === undefined ? '' : unitFormat.show(entry.kilograms, 'crop'),
    entry.stage ? PICK_STAGE_WORDS[entry.stage] : '',
    entry.celsius === undefined ? '' : `at ${unitFormat.show(entry.celsius, 'temperature')}`,
    entry.isWithFruit ? 'with ripe fruit' : '',
    entry.fruitsAWeek === undefined ? '' : `${entry.fruitsAWeek} a week`,
    entry.keepsMonths === undefined ? '' : `keeps ${entry.keepsMonths} months`,
  ];
  return `Shelf${entry.name ? `, ${entry.name}` : ''}: ${parts.filter(Boolean).join(', ') || 'as it was'}`;
}

/** What was found and taken as a lot was looked through. */
export function shelfCheckWords(entry: EntryOf<'shelf-check'>): string {
  const parts = [
    entry.eaten ? `${entry.eaten} eaten` : '',
    entry.given ? `${entry.given} given` : '',
    entry.sold ? `${entry.sold} sold` : '',
    entry.lost ? `${entry.lost} thrown out${entry.lostTo ? ` (${causeName(entry.lostTo)})` : ''}` : '',
    entry.left === undefined ? '' : `${entry.left} left`,
    entry.ripe === undefined ? '' : `${entry.ripe} coloured`,
  ];
  return `Looked through: ${parts.filter(Boolean).join(', ') || 'all well'}`;
}

/** What a lot is called: as the grower does, or by what it is and since when it lies there. */
export function lotName(
  lot: ShelfLot,
  varieties: readonly { readonly id: string; readonly name: string }[],
  today: Day,
): string {
  if (lot.name) return lot.name;
  const variety = varieties.find((v) => v.id === lot.varietyId)?.name;
  const crop = CROPS.find((c) => c.id === lot.cropId)?.name;
  return `${variety ?? crop ?? 'Fruit'}, ${PICK_STAGE_WORDS[lot.stage]}, of ${shortDay(lot.since, today)}`;
}

/** How many are left: "8 left", "8 left, and some that nobody counted". */
export function leftWords({ left, isUncounted }: Pick<ShelfLot, 'left' | 'isUncounted'>): string {
  if (!isUncounted) return `${left} left`;
  return left > 0 ? `${left} left, and some that nobody counted` : 'Some that nobody counted';
}

/** When a lot is ripe, or how long it keeps, in a sentence. */
export function lotSentence(lot: ShelfLot, today: Day, assumed: Assumed): string {
  if (isGone(lot)) return 'All gone.';
  if (lot.fruitsAWeek !== undefined && lot.left > 0) {
    const { until, lost, leftOver } = drawdown(lot.left, lot.fruitsAWeek, today, lot.keepsUntil, assumed);
    const waste = lost > 0 ? ` About ${lost} of them will have gone over by then.` : '';
    return leftOver > 0
      ? `At ${lot.fruitsAWeek} a week about ${leftOver} will be past it on ${shortDay(lot.keepsUntil, today)}: draw them faster.`
      : `${lot.left} at ${lot.fruitsAWeek} a week last into ${monthOf(until)}.${waste}`;
  }
  if (lot.remark === 'will-not-ripen')
    return `It does not ripen off the plant: eat it by ${shortDay(lot.keepsUntil, today)}.`;
  if (lot.ripeBy === undefined) return `Ripe: eat it by ${shortDay(lot.keepsUntil, today)}.`;
  const { from, to } = lot.ripeBy;
  return today >= to
    ? `Ripe by now, as a rule; it keeps to about ${shortDay(lot.keepsUntil, today)}.`
    : `Ripe between ${shortDay(from < today ? today : from, today)} and ${shortDay(to, today)}.`;
}

const monthOf = (day: Day) =>
  new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { month: 'long', year: 'numeric' });

/** What to do about a lot's warmth; undefined where nothing is amiss. */
export function lotAdvice(lot: ShelfLot, unitFormat: UnitFormat, assumed: Assumed): string | undefined {
  if (isGone(lot) || lot.remark === 'will-not-ripen') return undefined;
  if (lot.remark === 'too-cold')
    return `Too cold: below ${unitFormat.show(assumed.chillCelsius, 'temperature')} unripe fruit takes harm and tastes of nothing. Move it somewhere cool, not cold.`;
  if (lot.remark === 'too-warm') return 'Too warm: it softens before it colours. Move it out of the heat.';
  if (lot.celsius === undefined) return 'Say how warm it is there, and the days come nearer.';
  if (lot.stage === 'ripe' || lot.stage === 'over') return undefined;
  return lot.isWithFruit
    ? 'To slow it: take the apple away, and put it somewhere cooler.'
    : `To speed it: a closed paper bag with a ripe apple, at ${unitFormat.show(20, 'temperature')}. To slow it: cooler, down to ${unitFormat.show(12, 'temperature')}.`;
}
