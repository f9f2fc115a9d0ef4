import type { FeedingState } from '@rundel/core/garden-state';
import { addDays, daysBetween } from '@rundel/core/calendar';
import type {
  FEED_SKIP_REASONS,
  FeedForm,
  Product,
  LabelDose,
  RegimeStep,
  StopRule,
  Trigger,
} from '@rundel/core/records';
import {
  doseOfStep,
  usualInto,
  type FedInto,
  type FeedAdvice,
  type RegimeRemark,
  type SolutionFault,
  type SolutionWord,
  type StepState,
  type Verdict,
} from '@rundel/core/feeding';
import type { DoseCheck, Element, FeedProblem } from '@rundel/core/products';
import { trimmed, type UnitSystem } from '@rundel/core/units';
import { perWords, displayDose } from './dose-text.ts';
import { feedAmountWords } from './feed-amount-text.ts';
import { productName } from './product-text.ts';
import { midSentence, shortDay } from './text.ts';

export const FORM_WORDS: Record<FeedForm, string> = {
  soluble: 'Soluble crystals or powder',
  liquid: 'Liquid concentrate',
  'two-part': 'Two-part nutrient',
  granular: 'Granules or pellets',
  'slow-release': 'Slow-release grains',
  meal: 'Meal or casts',
  manure: 'Bulk manure',
  spike: 'Spikes',
  tea: 'Steeped tea',
  foliar: 'For leaves',
};

export const ELEMENT_WORDS: Record<Element, string> = {
  n: 'nitrogen',
  p: 'phosphorus',
  k: 'potassium',
  ca: 'calcium',
  mg: 'magnesium',
};

/** "4 mL in each litre of water", "15.1 mL in each gallon of water" */
export function doseWords(dose: LabelDose, system: UnitSystem): string {
  const told = { amount: displayDose(dose, system), unit: dose.unit };
  return `${feedAmountWords(told)} ${perWords(system)[dose.per]}`;
}

/** "3 weeks", and "10 days" where they are not whole */
function weeksWords(weeks: number): string {
  const isWhole = Number.isInteger(weeks);
  const count = isWhole ? weeks : Math.round(weeks * 7);
  return `${count} ${isWhole ? 'week' : 'day'}${count === 1 ? '' : 's'}`;
}

/** "when the first truss has set" */
export function triggerWords(trigger: Trigger): string {
  switch (trigger.on) {
    case 'planting':
      return 'at planting';
    case 'weeks':
      return `${weeksWords(trigger.weeks)} after planting`;
    case 'base-used-up':
      return 'when what the mix brought is used up';
    case 'label-months':
      return 'when the months on the label of its slow feed are over';
    case 'flowers':
      return 'at the first flowers';
    case 'set':
      return 'when the first truss has set';
    case 'picking':
      return 'at the first picking';
    case 'date':
      return `on ${shortDay(`2026-${trigger.monthDay}`)}`;
  }
}

export function stopWords(until: StopRule | undefined): string {
  if (!until) return 'as long as the plant stands';
  if (until.on === 'times') return until.times === 1 ? 'once' : `${until.times} times`;
  return `until ${triggerWords(until).replace(/^(at|when|on) /, '')}`;
}

/** A step as a sentence: "From the first set truss give tomato liquid, 4 mL in each litre of water, every 7 to 10 days." */
export function stepSentence(
  step: RegimeStep,
  product: Product | undefined,
  own: readonly Product[],
  system: UnitSystem,
): string {
  const dose = doseOfStep(step, product);
  const start = triggerWords(step.start);
  const upper = start.charAt(0).toUpperCase() + start.slice(1);
  const every = step.withWatering
    ? `, with every watering: ${shareWords(step.withWatering.share)} of the dose`
    : step.every
      ? step.every.fromDays === step.every.toDays
        ? `, every ${step.every.fromDays === 1 ? 'day' : `${step.every.fromDays} days`}`
        : `, every ${step.every.fromDays} to ${step.every.toDays} days${step.shortensWithGrowth ? ', closer as it grows' : ''}`
      : ', once';
  const until = step.until ? `, ${stopWords(step.until)}` : '';
  const way = step.into === 'leaves' ? ', over the leaves' : '';
  return `${upper}: ${midSentence(productName(step.productId, own))}${dose ? `, ${doseWords(dose, system)}` : ''}${way}${every}${until}.`;
}

/** Parts of a whole that have a name. */
export const SHARES = [
  { share: 1, words: 'the whole' },
  { share: 0.5, words: 'half' },
  { share: 1 / 3, words: 'a third' },
  { share: 0.25, words: 'a quarter' },
  { share: 0.2, words: 'a fifth' },
  { share: 0.1, words: 'a tenth' },
] as const;

/** "a quarter", "40 %" */
function shareWords(share: number): string {
  const named = SHARES.find((known) => Math.abs(known.share - share) < 0.006);
  return named?.words ?? `${Math.round(share * 100)}\u00a0%`;
}

/** What a trigger is called when a day is counted from it. */
const FROM_WORDS: Record<Trigger['on'], string> = {
  planting: 'planting',
  weeks: 'planting',
  'base-used-up': 'the mix’s own feed running out',
  'label-months': 'the end of its slow feed’s label months',
  flowers: 'first flowers',
  set: 'the first set truss',
  picking: 'the first picking',
  date: 'its date',
};

const days = (n: number) => (n === 1 ? '1 day' : `${n} days`);

/** Where a step stands, in one sentence. */
export function stateSentence(state: StepState, today: string, own: readonly Product[]): string {
  const name = productName(state.step.productId, own);
  if (state.kind === 'waits') {
    const when = state.expected ? `, about ${shortDay(state.expected.day)}` : '';
    return state.asks
      ? `${name} waits for ${FROM_WORDS[state.step.start.on]}: I expect it is there by now. Have you seen it?`
      : `${name} waits for ${FROM_WORDS[state.step.start.on]}${when}.`;
  }
  if (state.kind === 'ended') {
    return {
      done: `${name} was given on ${shortDay(state.on)} and is not asked for again.`,
      enough: `${name} was left on ${shortDay(state.on)}, since it had enough, and is not asked for again.`,
      times: `${name} has been given as often as it should.`,
      stop: `${name} ended on ${shortDay(state.on)}.`,
      expired: `Skipped: ${midSentence(name)} was due before you started this regime.`,
    }[state.why];
  }
  const { reason, target, earliest, latest } = state;
  const { withWatering } = state.step;
  if (withWatering)
    return earliest > today
      ? `${name} was given at full dose on ${shortDay(reason.lastOn ?? today)}: plain water until ${shortDay(earliest)}.`
      : `${name} goes into every watering, ${shareWords(withWatering.share)} of its dose.`;
  const when =
    today > latest
      ? `is ${days(daysBetween(latest, today))} late`
      : target <= today
        ? 'is due'
        : target === addDays(today, 1)
          ? 'is due tomorrow'
          : `is due about ${shortDay(target)}`;
  const why =
    reason.lastOn === undefined
      ? `its first since ${FROM_WORDS[reason.trigger.on]}${reason.isNoted ? '' : ' (worked out, not seen)'}`
      : reason.intervalDays === undefined
        ? `since ${shortDay(reason.startedOn)}`
        : `${days(daysBetween(reason.lastOn, today))} since the last, and it wants one after ${reason.intervalDays}`;
  const apart = reason.apartFrom
    ? ` ${productName(reason.apartFrom.productId, own)} on ${shortDay(reason.apartFrom.day)} keeps it off until ${shortDay(earliest)}.`
    : '';
  const left = reason.left
    ? ` It was left on ${shortDay(reason.left.day)}: ${FEED_SKIP_WORDS[reason.left.reason as SkippedFeed].toLowerCase()}.`
    : '';
  return `${name} ${when}: ${why}.${apart}${left}`;
}

type SkippedFeed = (typeof FEED_SKIP_REASONS)[number];

export const FEED_SKIP_WORDS: Record<SkippedFeed, string> = {
  enough: 'It has had enough',
  'too-dry': 'The bag is too dry',
  'too-wet': 'The bag is too wet',
  'no-time': 'No time',
  'none-left': 'None left to give',
  other: 'Another reason',
};

export const ADVICE_WORDS: Record<Exclude<FeedAdvice['kind'], 'feed' | 'not-yet'>, string> = {
  'too-dry': 'It is too dry to feed: roots would scorch. Water first, and feed at the next stop.',
  'too-wet': 'It is too wet to feed: it would only run through. Feed once it has used some.',
  'in-sun': 'Over leaves in the evening or early, never in sun: they scorch. It is kept until then.',
};

/** What the ledger says of a bag, in one sentence. */
export function ledgerSentence(verdicts: readonly Verdict[], isFed: boolean): string {
  const told = verdicts.filter((v) => v.element === 'n' || v.element === 'p' || v.element === 'k');
  const names = (list: readonly Verdict[]) => list.map((v) => ELEMENT_WORDS[v.element]).join(' and ');
  const short = told.filter((v) => v.status === 'short');
  const over = told.filter((v) => v.status === 'over');
  const sure = (list: readonly Verdict[]) => (list.every((v) => v.isSure) ? 'is' : 'is likely');
  if (short.length > 0 && over.length > 0)
    return `It ${sure(short)} short of ${names(short)}, while there is more ${names(over)} than it can use.`;
  if (short.length > 0)
    return `It ${sure(short)} short of ${names(short)}${isFed ? '' : ', and no regime feeds it'}.`;
  if (over.length > 0)
    return `There is more ${names(over)} in it than it can use: leave the next feed out, or water till it runs through.`;
  const next = told
    .flatMap((v) => (v.shortFrom.likely ? [{ v, day: v.shortFrom.likely }] : []))
    .sort((a, b) => (a.day < b.day ? -1 : 1))[0];
  if (!next) return 'It is fine: nothing runs short in the weeks to come.';
  const { low, high } = next.v.shortFrom;
  const range =
    low && high && low !== high
      ? `, between ${shortDay(low)} and ${shortDay(high)}`
      : low
        ? `, ${shortDay(low)} at the earliest`
        : '';
  return `It is fine now; without another feed ${ELEMENT_WORDS[next.v.element]} runs short about ${shortDay(next.day)}${range}.`;
}

/** When the mix's own feed is used up, in words. */
export function baseWords({ baseUsedUp, today }: Pick<FeedingState, 'baseUsedUp' | 'today'>): string {
  const { low, likely, high } = baseUsedUp;
  if (!likely)
    return low
      ? `lasts beyond the season, or until ${shortDay(low)} at the earliest`
      : 'lasts beyond the season';
  const range = [low, high].map((day) => (day ? shortDay(day) : 'autumn')).join(' to ');
  return `${likely <= today ? 'ran out' : 'runs out'} about ${shortDay(likely)} (${range})`;
}

export const CHECK_WORDS: Record<Exclude<DoseCheck['kind'], 'as-label'>, (times: number) => string> = {
  weak: (times) => `That is ${trimmed(times * 100, 0)} % of the label’s dose.`,
  strong: (times) => `That is ${trimmed(times, 1)} times the label’s dose.`,
  double: (times) =>
    times > 2.2 ? `That is ${trimmed(times, 1)} times the label’s dose.` : 'That is double the label’s dose.',
  'ten-times': () => 'That is ten times the label: a decimal point gone astray?',
  'per-gallon': () => 'That is what the label gives for a gallon: it looks as if it were meant for a litre.',
  'spoons-mixed': () => 'That is a tablespoon where the label has a teaspoon: three times as much.',
};

export const FEED_PROBLEM_WORDS: Record<FeedProblem['code'], string> = {
  'promises-nothing': 'A label of 0-0-0 feeds nothing. Copy its N, P₂O₅ and K₂O.',
  'over-100': 'A label cannot promise more than 100 % in all.',
  'no-density': 'Without what a litre of it weighs, I cannot say what a plant gets of it. Weigh a jar.',
  'mass-for-liquid': 'A liquid is dosed in mL or spoons, not in grams.',
  'volume-for-dry': 'A dry feed is dosed in grams, spoons or handfuls, not in mL.',
  'no-months': 'How many months do its grains last? It is on the label.',
  'no-partner': 'Which is its other part? One alone is half a feed.',
  'no-steep': 'Without days to steep I take three to six weeks.',
  'no-weight': 'Without what one weighs, I cannot say what a plant gets of it.',
};

export function remarkWords(remark: RegimeRemark): string {
  if (remark.kind === 'daily')
    return 'This would feed every day or two: a plant cannot use it, and roots scorch.';
  if (remark.kind === 'not-in-water')
    return 'This is laid on or worked in: it cannot go into a watering or over leaves.';
  if (remark.kind === 'inside-label')
    return `The label asks for ${days(remark.labelDays)} between two feeds; this is closer.`;
  return remark.why === 'no-product'
    ? 'This feeds nothing: its product is not in the list.'
    : 'This never feeds: it ends before, or just when, it starts.';
}

export const SOLUTION_WORDS: Record<SolutionWord, string> = {
  'ec-rising': 'EC rises: the plants take water and leave feed. Top up with plain water, or weaker.',
  'ec-falling': 'EC falls: they take feed faster than water. Top up at full strength.',
  'ec-steady': 'EC is steady: top up as you mix it now.',
  'ec-high': 'EC is high for fruiting crops: let plain water in.',
  'ph-high':
    'pH is high: iron and phosphate are hard to take up. Mix it new, or correct it by the label of a pH product.',
  'ph-low': 'pH is low: mix it new, or correct it by the label of a pH product.',
};

export const SOLUTION_FAULT_WORDS: Record<SolutionFault, string> = {
  'out-of-span': 'No nutrient solution is like that: is the meter clean, and in the right unit?',
  frozen: 'The meter has shown the very same three times: it may be stuck.',
  jump: 'It is far from the reading before, and nothing was poured in between: measure it again.',
};

/** The feed's tea, two-part and other hands-on words at the step. */
export function feedCaution(
  product: Pick<Product, 'feed' | 'isDusty'>,
  into: FedInto | undefined = usualInto(product),
): string {
  const form = product.feed?.form;
  if (form === 'tea')
    return 'It smells, and it is full of germs: gloves, only on the mix, never on leaves or fruit to be eaten soon, and away from the tap.';
  if (into === 'leaves')
    return 'Never in sun: in the evening, early enough to dry before night, for wet leaves bring disease. Not on leaves or fruit to be eaten soon; one leaf first, and gloves. The label is the law. A spray is not a watering.';
  if (form === 'two-part')
    return 'A first, stir, then B: undiluted together they turn to chalk. Gloves, food-safe cans, and the label goes before this.';
  if (form === 'manure')
    return 'Gloves, and wash hands; only well-rotted, and not fresh on anything eaten raw.';
  return product.isDusty
    ? 'Do not breathe the dust; gloves, food-safe cans, and the label goes before this.'
    : 'Gloves, food-safe cans kept for it, and the label goes before this.';
}
