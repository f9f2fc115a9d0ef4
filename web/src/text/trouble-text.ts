import {
  findCause,
  findSign,
  type RECALLED_FACTORS,
  type FactorId,
  type FactorReading,
  type Reason,
} from '@rundel/core/care';
import type { EntryOf, Outcome, SprayAgent } from '@rundel/core/records';
import type { UnitFormat } from '../store/index.ts';
import { shortDay } from './text.ts';

/** What earlier versions called by these names, and what nobody can explain. */
const OTHER_CAUSES: Readonly<Record<string, string>> = {
  pests: 'pests in the mix',
  unknown: 'something that nobody can explain',
};

/** A cause of trouble by its plain name; one of a later version is unknown here. */
export function causeName(id: string): string {
  return findCause(id)?.name ?? OTHER_CAUSES[id] ?? 'a cause that this version does not know';
}

export const signName = (id: string): string =>
  findSign(id)?.name ?? 'a sign that this version does not know';

/** What came of it. */
export const OUTCOME_WORDS: Record<Outcome, string> = {
  better: 'better',
  same: 'the same',
  worse: 'worse',
  over: 'over',
  'leaf-clean': 'test leaf without marks',
  'leaf-marked': 'test leaf marked',
};

/** What was sprayed, where the grower gave it no name. */
export const AGENT_WORDS: Record<SprayAgent, string> = {
  soap: 'soap for plants',
  oil: 'plant oil',
  sulphur: 'sulphur',
  other: 'a permitted product',
  water: 'plain water',
  bait: 'bait',
};

export const agentName = ({ agent, name }: { agent: SprayAgent; name?: string | undefined }): string =>
  name ?? AGENT_WORDS[agent];

/** What went before, as a grower remembers it. */
export const RECALLED_WORDS: Record<(typeof RECALLED_FACTORS)[number], string> = {
  'cold-nights': 'cold nights lately',
  'standing-out': 'out in the open for two weeks at the most',
  'hot-days': 'great heat',
  'dry-outs': 'it went dry',
  'wet-spell': 'wet for days on end',
  'sprayed-in-sun': 'sprayed in the sun, feed on leaves too',
  'fed-much': 'fed a lot',
  unfed: 'not fed for weeks',
  'mild-wet-nights': 'mild, wet nights',
  'leaves-taken-off': 'leaves taken off',
};

/** What a bag's record says, in a few words. */
export function factorWords(id: FactorId, reading: FactorReading, unitFormat: UnitFormat): string {
  const { count = 0, celsius, on, value, isRecalled } = reading;
  if (isRecalled) {
    const words = (RECALLED_WORDS as Readonly<Partial<Record<FactorId, string>>>)[id] ?? '';
    return value > 0 ? `you remember: ${words}` : `you remember that it was not so: ${words}`;
  }
  const isThere = value > 0;
  const last = on === undefined ? '' : `, last on ${shortDay(on)}`;
  const at = celsius === undefined ? '' : unitFormat.show(celsius, 'temperature');
  const times = (n: number, one: string, many: string) => (n === 1 ? `one ${one}` : `${n} ${many}`);
  switch (id) {
    case 'cold-nights':
      return isThere
        ? `${times(count, 'cold night', 'cold nights')} in two weeks, down to ${at}${last}`
        : 'no cold night in two weeks';
    case 'standing-out':
      return isThere
        ? count === 0
          ? 'put out here today'
          : `out here for ${times(count, 'day', 'days')} only`
        : 'long used to standing here';
    case 'hot-days':
      return isThere
        ? `${times(count, 'hot day', 'hot days')}, up to ${at}${last}`
        : 'no hot day in two weeks';
    case 'swings':
      return isThere
        ? `from dry to full at once ${times(count, 'time', 'times')}`
        : 'no swing from dry to full';
    case 'dry-outs':
      return isThere
        ? `went dry ${times(count, 'time', 'times')} in three weeks${last}`
        : 'did not go dry in three weeks';
    case 'wet-spell':
      return isThere ? `nearly full for ${count} of 14 days` : 'not wet for long';
    case 'sprayed-in-sun':
      return isThere
        ? `sprayed at ${count} o’clock in the sun${on ? ` on ${shortDay(on)}` : ''}`
        : 'not sprayed in the sun';
    case 'fed-much':
      return isThere ? `fed ${count} times in three weeks` : 'not fed often';
    case 'unfed':
      return isThere
        ? on
          ? `last fed ${shortDay(on)}, and what the mix held is used up`
          : 'never fed, and what the mix held is used up'
        : 'fed of late, or the mix still feeds';
    case 'calcium-given':
      return isThere ? 'calcium was given' : 'no calcium was given';
    case 'mild-wet-nights':
      return count > 0
        ? `${times(count, 'mild wet night', 'mild wet nights')} in ten days`
        : 'no mild wet night in ten days';
    case 'dry-heat':
      return isThere ? `${times(count, 'hot dry day', 'hot dry days')} in ten` : 'no hot dry weather';
    case 'under-cover':
      return isThere ? 'it stands under a roof' : 'it stands in the open';
    case 'leaves-taken-off':
      return isThere && on ? `leaves came off on ${shortDay(on)}` : 'no leaves came off lately';
    case 'old-plant':
      return isThere ? `the plant is ${count} days old here` : 'the plant is young';
    case 'bearing':
      return isThere ? 'it carries fruit' : 'it carries no fruit yet';
    case 'not-shaken':
      return isThere ? 'its flowers were not shaken' : 'wind or hand shakes its flowers';
    case 'small-bag':
      return isThere ? 'the bag is small for it' : 'the bag is large enough';
    case 'manure-in-mix':
      return isThere ? 'manure or compost is in the mix' : 'no manure or compost in the mix';
  }
}

/** One reason for or against a cause, as a person would put it. */
export function reasonWords(
  { by }: Reason,
  factors: Readonly<Partial<Record<FactorId, FactorReading>>>,
  unitFormat: UnitFormat,
  isFor: boolean,
): string {
  switch (by.kind) {
    case 'sign':
      return by.how === 'seen' ? `seen: ${signName(by.id)}` : `looked for and not there: ${signName(by.id)}`;
    case 'factor': {
      const reading = factors[by.id];
      return reading ? factorWords(by.id, reading, unitFormat) : '';
    }
    case 'around':
      return isFor ? 'others near it have it' : 'none near it has it';
    case 'before':
      return isFor ? 'this bag has had it' : 'this bag has not had it';
  }
}

/** How sure, in words: a figure is told beside it. */
export function chanceWords(chance: number): string {
  if (chance >= 0.8) return 'very likely';
  if (chance >= 0.55) return 'likely';
  if (chance >= 0.3) return 'may well be';
  return chance >= 0.1 ? 'could be' : 'hardly';
}

export const percent = (chance: number): string =>
  chance < 0.01 ? 'under 1 %' : chance > 0.99 ? 'over 99 %' : `${Math.round(chance * 100)} %`;

/** What was sprayed, with its strength: "soap for plants, 4 mL/L, on one leaf". */
export function sprayedWords(entry: EntryOf<'sprayed'>, unitFormat: UnitFormat): string {
  const { agent, litres, extent, harvestDays } = entry;
  const isBait = agent === 'bait';
  return [
    `${isBait ? 'Put out' : 'Sprayed'}: ${agentName(entry)}`,
    strengthWords(entry, unitFormat) || (isBait ? (entry.asEntered ?? '') : ''),
    litres === undefined ? '' : unitFormat.show(litres, 'water'),
    extent === 'test-leaf' ? 'on one leaf, to try it' : '',
    harvestDays ? `no picking for ${harvestDays} ${harvestDays === 1 ? 'day' : 'days'}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** Millilitres in a tablespoon, litres in a gallon of the United States, grams in an ounce. */
const [TABLESPOON, GALLON, OUNCE] = [14.787, 3.785_41, 28.3495];

/** How strong a spray is: "4 mL/L", "5 g/L"; with spoons or ounces to the gallon where those are usual. */
export function strengthWords(
  { millilitresPerLitre, gramsPerLitre }: Pick<EntryOf<'sprayed'>, 'millilitresPerLitre' | 'gramsPerLitre'>,
  { system }: UnitFormat,
): string {
  const strength = millilitresPerLitre ?? gramsPerLitre;
  if (strength === undefined) return '';
  const isLiquid = millilitresPerLitre !== undefined;
  const metric = `${round(strength)} ${isLiquid ? 'mL' : 'g'}/L`;
  if (system !== 'us') return metric;
  const toGallon = (strength * GALLON) / (isLiquid ? TABLESPOON : OUNCE);
  return `${Number(toGallon.toPrecision(2))} ${isLiquid ? 'tbsp' : 'oz'}/gal (${metric})`;
}

const round = (n: number) => Number(n.toPrecision(3));

/** What was done to clean a bag or tools. */
export function cleanedWords(entry: EntryOf<'cleaned'>, unitFormat: UnitFormat): string {
  const { isWashed, isDried, isDisinfected, heated } = entry;
  const parts = [
    isWashed ? 'washed' : '',
    isDisinfected ? 'disinfected' : '',
    isDried ? 'dried' : '',
    heated
      ? `heated to ${unitFormat.show(heated.celsius, 'temperature')} for ${minutesWords(heated.minutes)}`
      : '',
  ].filter(Boolean);
  const what = entry.what === 'tools' ? 'Tools cleaned' : 'Bag cleaned';
  return parts.length > 0 ? `${what}: ${parts.join(', ')}` : what;
}

const minutesWords = (minutes: number) =>
  minutes >= 120 ? `${round(minutes / 60)} hours` : `${round(minutes)} minutes`;

/** A truss and what it has come to. */
export const TRUSS_WORDS: Record<EntryOf<'truss'>['stage'], string> = {
  flowering: 'in flower',
  set: 'fruit set',
  picked: 'all picked',
};
export function trussWords({ number, stage, count }: EntryOf<'truss'>): string {
  return `Truss ${number}: ${TRUSS_WORDS[stage]}${count === undefined ? '' : `, ${count} fruit`}`;
}
