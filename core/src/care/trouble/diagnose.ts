import type { Assumed } from '../../assumed/index.ts';
import type { Cause } from './cause.ts';
import { UNKNOWN_CAUSE } from './causes/index.ts';
import type { BagRecord, FactorId } from './factors.ts';
import {
  aroundPull,
  beforePull,
  candidateId,
  factorPull,
  normalised,
  priors,
  saidOf,
  signChance,
  signPull,
  type Candidate,
  type Observation,
  type Outcomes,
  type Said,
} from './network.ts';
import { contradictionsIn, SIGNS, type Sign } from './signs.ts';

/** One thing that speaks for or against a cause, and how strongly: the logarithm of the odds that it gives. */
export interface Reason {
  readonly by:
    | { readonly kind: 'sign'; readonly id: string; readonly how: 'seen' | 'unseen' }
    | { readonly kind: 'factor'; readonly id: FactorId }
    | { readonly kind: 'around' | 'before' };
  readonly pull: number;
}

/** A cause with its chance, and what speaks for and against it, strongest first. */
export interface RankedCause {
  readonly id: string;
  /** undefined: something that is not in the list */
  readonly cause: Cause | undefined;
  readonly chance: number;
  readonly for: readonly Reason[];
  readonly against: readonly Reason[];
}

/** The one further thing to look at. */
export interface NextSign {
  readonly sign: Sign;
  /** chance that it is there */
  readonly chance: number;
  /** which of the first two it would speak for */
  readonly forCause: string;
  /** bits of doubt between the first two that the answer is expected to take away */
  readonly gainBits: number;
}

/** What is made of an observation and a record. */
export interface Diagnosis {
  readonly ranked: readonly RankedCause[];
  /** why no cause can be named: nothing was marked, nothing in the list fits, or several fit alike */
  readonly cannotTell: 'nothing-seen' | 'nothing-fits' | 'several-fit' | undefined;
  readonly next: NextSign | undefined;
  /** marks that cannot both be right; neither counts */
  readonly contradictions: readonly (readonly [string, string])[];
  /** chance that it is something that lives on in the mix */
  readonly inMixChance: number;
  /** a harmless cause that keeps anything from being thrown out */
  readonly harmless: RankedCause | undefined;
}

/** A cause that is no likelier than this is not named as the one. */
const NAMED_FROM = 0.4;
/** While a harmless cause is likelier than this, nothing is said of throwing out. */
export const HARMLESS_ABOVE = 0.2;
/** Where something that lives on in the mix is likelier than this, old mix is better not used again. */
export const IN_MIX_ABOVE = 0.2;
/** Less than this is no reason, as a logarithm of odds. */
const LEAST_PULL = 0.25;
const REASONS = 4;
/** Of what is less likely than this nobody asks why. */
const LEAST_CHANCE = 0.001;
const NO_REASONS = { for: [], against: [] } as const;
/** A look that tells less is not asked for, bits. */
const LEAST_GAIN = 0.015;

/**
 * Ranks what may be behind trouble: a Bayesian network of one cause, its signs, and the factors of the bag's record that make it
 * likelier. It holds that there is one cause at a time, which may be none of the list.
 *
 * Method: priors from how common a cause is and what this garden has had, times the weights of the record's factors; then each sign by its
 * chance under each cause, raised to `signTrust`, since signs hang together. All chances are judgements (*assumed*), checked by
 * cases and by calibration on simulated plants.
 *
 * @param outcomes how often each cause turned out to be the one in this garden
 * @see docs/model.md, 11. Trouble
 */
export function diagnose(
  observation: Observation,
  record: BagRecord,
  outcomes: Outcomes,
  assumed: Assumed,
): Diagnosis {
  const contradictions = contradictionsIn(observation.seen);
  const disputed = new Set(contradictions.flat());
  const plain: Observation = {
    seen: observation.seen.filter((id) => !disputed.has(id)),
    unseen: observation.unseen.filter((id) => !observation.seen.includes(id)),
  };
  const said = saidOf(plain);
  const before = priors(record, outcomes, assumed);
  const chances = normalised(
    [...before].map(([of, prior]) => [
      of,
      Math.log(prior) + said.reduce((sum, { sign, how }) => sum + signPull(of, sign, how, assumed), 0),
    ]),
  );
  const candidates = [...chances.keys()];
  const shares = [...chances.values()];
  const bearings = bearingsOf(candidates, said, record, assumed);
  const order = [...chances].sort((a, b) => b[1] - a[1]);
  const ranked = order.map(([of, chance]) => ({
    id: candidateId(of),
    cause: of === UNKNOWN_CAUSE ? undefined : of,
    chance,
    ...(chance > LEAST_CHANCE ? reasonsOf(candidates.indexOf(of), bearings, shares) : NO_REASONS),
  }));
  const [first] = ranked;
  return {
    ranked,
    contradictions,
    cannotTell:
      plain.seen.length === 0
        ? 'nothing-seen'
        : first?.cause === undefined
          ? 'nothing-fits'
          : first.chance < NAMED_FROM
            ? 'several-fit'
            : undefined,
    next: nextSign(order, plain),
    inMixChance: ranked.reduce((sum, { cause, chance }) => sum + (cause?.livesInMix ? chance : 0), 0),
    harmless: ranked.find(({ cause, chance }) => cause?.isHarmless && chance > HARMLESS_ABOVE),
  };
}

/** One thing that was said or is known, and the logarithm by which it makes each cause likelier, in the order of the causes. */
interface Bearing {
  readonly by: Reason['by'];
  readonly pulls: readonly number[];
}

/** All that may be a reason, and how it bears on each cause. */
function bearingsOf(
  candidates: readonly Candidate[],
  said: readonly Said[],
  record: BagRecord,
  assumed: Assumed,
): readonly Bearing[] {
  const bearing = (by: Reason['by'], pullOf: (of: Candidate) => number): Bearing => ({
    by,
    pulls: candidates.map(pullOf),
  });
  return [
    ...said.flatMap(({ sign, how }) =>
      how === 'unmarked' || how === 'elsewhere'
        ? []
        : [bearing({ kind: 'sign', id: sign.id, how }, (of) => signPull(of, sign, how, assumed))],
    ),
    ...(Object.keys(record.factors) as FactorId[]).map((id) =>
      bearing({ kind: 'factor', id }, (of) => factorPull(of, id, record)),
    ),
    bearing({ kind: 'around' }, (of) => aroundPull(of, record)),
    bearing({ kind: 'before' }, (of) => beforePull(of, record)),
  ];
}

/** What speaks for and against a cause: how much likelier each thing is under it than under the others, by their chances. */
function reasonsOf(
  at: number,
  bearings: readonly Bearing[],
  chances: readonly number[],
): Pick<RankedCause, 'for' | 'against'> {
  const others = chances.flatMap((chance, i) => (i === at ? [] : [{ chance, i }]));
  const rest = others.reduce((sum, { chance }) => sum + chance, 0) || 1;
  const reasons: readonly Reason[] = bearings.map(({ by, pulls }) => {
    const pullOf = (i: number) => pulls[i] ?? 0;
    const elsewhere = others.reduce((sum, { chance, i }) => sum + (chance / rest) * Math.exp(pullOf(i)), 0);
    return { by, pull: pullOf(at) - Math.log(elsewhere) };
  });
  const strongest = (list: readonly Reason[]) =>
    [...list].sort((a, b) => Math.abs(b.pull) - Math.abs(a.pull)).slice(0, REASONS);
  return {
    for: strongest(reasons.filter(({ pull }) => pull > LEAST_PULL)),
    against: strongest(reasons.filter(({ pull }) => pull < -LEAST_PULL)),
  };
}

/** Whether it has been answered already, by itself or by what excludes it. */
const isAsked = (sign: Sign, { seen, unseen }: Observation) =>
  !seen.includes(sign.id) &&
  !unseen.includes(sign.id) &&
  !(sign.excludes ?? []).some((other) => seen.includes(other));

/** The look that is expected to tell most between the first two, for the trouble that it takes. */
function nextSign(
  order: readonly (readonly [Candidate, number])[],
  observation: Observation,
): NextSign | undefined {
  const [a, b] = order.filter(([of]) => of !== UNKNOWN_CAUSE);
  if (!a || !b) return undefined;
  const share = a[1] / (a[1] + b[1]);
  let best: NextSign | undefined;
  for (const sign of SIGNS) {
    if (!isAsked(sign, observation)) continue;
    const [pa, pb] = [signChance(a[0], sign), signChance(b[0], sign)];
    const yes = share * pa + (1 - share) * pb;
    const left = yes * entropy((share * pa) / yes) + (1 - yes) * entropy((share * (1 - pa)) / (1 - yes));
    const gainBits = (entropy(share) - left) * sign.ease;
    if (gainBits > LEAST_GAIN && gainBits > (best?.gainBits ?? 0))
      best = { sign, chance: yes, forCause: candidateId(pa > pb ? a[0] : b[0]), gainBits };
  }
  return best;
}

function entropy(p: number): number {
  return p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);
}
