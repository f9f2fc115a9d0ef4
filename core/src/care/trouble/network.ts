import type { Assumed } from '../../assumed/index.ts';
import type { Cause } from './cause.ts';
import { CAUSES, UNKNOWN_CAUSE } from './causes/index.ts';
import type { BagRecord, FactorId } from './factors.ts';
import { SIGNS, type Sign } from './signs.ts';

/** How sure the network may be of a sign at the most: people mismark, and plants differ. */
const LEAST = 0.004;
const MOST = 0.97;

/** Of what is not in the list each sign is so many times likelier than by chance, and never likelier than that. */
const OTHER_SIGN = { times: 4, most: 0.12 } as const;
/** How common such a thing is, against the causes of the list. */
const OTHER_WEIGHT = 6;

/** A cause of the list, or something that is not in it. */
export type Candidate = Cause | typeof UNKNOWN_CAUSE;

export const candidateId = (of: Candidate): string => (of === UNKNOWN_CAUSE ? UNKNOWN_CAUSE : of.id);

/** Chance that a sign is seen where this is the cause. */
export function signChance(of: Candidate, sign: Sign): number {
  const { usual } = sign;
  const chance =
    of !== UNKNOWN_CAUSE
      ? (of.signs[sign.id] ?? usual)
      : sign.about === 'look' && sign.id !== 'roots-white'
        ? Math.min(OTHER_SIGN.most, OTHER_SIGN.times * usual)
        : usual;
  return Math.min(MOST, Math.max(LEAST, chance));
}

/** Causes that nearly always show in the neighbours, or in what the bag held before, where they are there. */
const AROUND = { present: 4, absent: 0.85 } as const;
const BEFORE = { present: 4, absent: 0.95 } as const;

/** The natural logarithm by which a factor makes a cause likelier; 0 where the record says nothing of it. */
export function factorPull(of: Candidate, id: FactorId, record: BagRecord): number {
  const reading = record.factors[id];
  const weight = of === UNKNOWN_CAUSE ? undefined : of.factors[id];
  if (!reading || !weight) return 0;
  const [present, absent] = weight;
  return reading.value * Math.log(present) + (1 - reading.value) * Math.log(absent);
}

/** The same of trouble around it, and of what the bag held before. */
export function aroundPull(of: Candidate, record: BagRecord): number {
  if (of === UNKNOWN_CAUSE || !of.spreads) return 0;
  return Math.log(record.around.includes(of.id) ? AROUND.present : AROUND.absent);
}
export function beforePull(of: Candidate, record: BagRecord): number {
  if (of === UNKNOWN_CAUSE || !of.livesInMix) return 0;
  return Math.log(record.before.includes(of.id) ? BEFORE.present : BEFORE.absent);
}

/** How often each cause turned out to be the one in this garden. */
export type Outcomes = Readonly<Record<string, number>>;

/**
 * How likely each cause is before anything is seen: how common it is, drawn towards what this garden has had, times what the
 * bag's record makes of it. Sums to 1.
 */
export function priors(
  record: BagRecord,
  outcomes: Outcomes,
  { outcomeWeight }: Pick<Assumed, 'outcomeWeight'>,
): ReadonlyMap<Candidate, number> {
  const fit = (cause: Cause) => cause.crops?.[record.cropId ?? ''] ?? 1;
  const candidates: Candidate[] = [...CAUSES.filter((cause) => fit(cause) > 0), UNKNOWN_CAUSE];
  const common = (of: Candidate) => (of === UNKNOWN_CAUSE ? OTHER_WEIGHT : of.weight);
  const all = candidates.reduce((sum, of) => sum + common(of), 0);
  const known = candidates.reduce((sum, of) => sum + (outcomes[candidateId(of)] ?? 0), 0);
  return normalised(
    candidates.map((of) => {
      const seen = outcomes[candidateId(of)] ?? 0;
      const base = ((common(of) / all) * outcomeWeight + seen) / (outcomeWeight + known);
      const factors = of === UNKNOWN_CAUSE ? [] : (Object.keys(of.factors) as FactorId[]);
      const pull = factors.reduce((sum, id) => sum + factorPull(of, id, record), 0);
      const crop = of === UNKNOWN_CAUSE ? 1 : fit(of);
      return [of, Math.log(base * crop) + pull + aroundPull(of, record) + beforePull(of, record)];
    }),
  );
}

/** From logarithms to shares of 1. */
export function normalised(logs: readonly (readonly [Candidate, number])[]): ReadonlyMap<Candidate, number> {
  const highest = Math.max(...logs.map(([, log]) => log));
  const raw = logs.map(([of, log]) => [of, Math.exp(log - highest)] as const);
  const sum = raw.reduce((total, [, value]) => total + value, 0);
  return new Map(raw.map(([of, value]) => [of, value / sum]));
}

/** What was marked, and what was looked for and is not there. */
export interface Observation {
  readonly seen: readonly string[];
  readonly unseen: readonly string[];
}

/** A sign with what was said of it. */
export interface Said {
  readonly sign: Sign;
  /** `unmarked`: in sight and not marked; `elsewhere`: on a part where nothing was marked */
  readonly how: 'seen' | 'unseen' | 'unmarked' | 'elsewhere';
}

/** How one sign bears on a cause: seen, missing, or in sight and not marked. */
export function signPull(
  of: Candidate,
  sign: Sign,
  how: Said['how'],
  assumed: Pick<Assumed, 'unmarkedSign' | 'elsewhereSign' | 'signTrust'>,
): number {
  const chance = signChance(of, sign);
  const weight = how === 'unmarked' ? assumed.unmarkedSign : how === 'elsewhere' ? assumed.elsewhereSign : 1;
  return assumed.signTrust * weight * Math.log(how === 'seen' ? chance : 1 - chance);
}

/**
 * Signs with what was said of them. Of a part of the plant where something was marked, the looks that were not marked were in
 * sight; of other parts, those that show at a glance. Of all else nothing is known.
 */
export function saidOf({ seen, unseen }: Observation): readonly Said[] {
  const parts = new Set(SIGNS.filter((s) => seen.includes(s.id) && s.about === 'look').map((s) => s.part));
  return SIGNS.flatMap((sign): readonly Said[] => {
    if (seen.includes(sign.id)) return [{ sign, how: 'seen' }];
    if (unseen.includes(sign.id)) return [{ sign, how: 'unseen' }];
    if (parts.size === 0 || sign.about !== 'look' || sign.ease < 1) return [];
    return [{ sign, how: parts.has(sign.part) ? 'unmarked' : 'elsewhere' }];
  });
}
