import type { Assumed } from '../assumed/index.ts';
import { chanceFrom } from '../statistics/index.ts';
import type { Belief, WaterBag, DripProposal } from '../water/index.ts';
import { CHANGE_IDS, CHANGES, dripFor, type ChangeId } from './changes.ts';
import {
  sampleNoise,
  drawInitialStates,
  survivalOf,
  type DaysAway,
  type InitialStates,
  type Survival,
  type Visits,
} from './survival.ts';
import { daysOf, hoursAway, type TimeAway } from './time-away.ts';
import { drawWeathers, type Climate } from './weathers.ts';
import { missedVisits, visitChoices } from './visits.ts';

/** A bag that stays behind. */
export interface AwayBag {
  readonly containerId: string;
  readonly bag: WaterBag;
  readonly belief: Belief;
  readonly assumed: Assumed;
}

/** What a grower asks before going away. */
export interface AwayQuestion extends TimeAway {
  /** days on which a helper could come */
  readonly helperDays: readonly string[];
  /** litres that a helper can carry on one visit */
  readonly helperLitres: number;
  /** accepted chance, for each bag, of not coming through */
  readonly acceptedRisk: number;
  /** whether all bags are watered until they run through before leaving */
  readonly isSoaked: boolean;
  /** changes that the grower could make */
  readonly allowed: readonly ChangeId[];
}

/** What is planned for one bag, and what it comes to. */
export interface AwayBagPlan {
  readonly containerId: string;
  readonly changes: readonly ChangeId[];
  /** a setting for the drip, when that is among them */
  readonly drip: DripProposal | undefined;
  /** whether the helper waters it */
  readonly isHelped: boolean;
  readonly asItIs: Survival;
  readonly planned: Survival;
  /** whether the accepted risk is kept */
  readonly isSafe: boolean;
}

export interface AwayPlan {
  /** every day of it, with the first and the last that are there in part */
  readonly days: readonly string[];
  readonly hours: number;
  /** days on which the helper is to come */
  readonly visits: readonly string[];
  readonly bags: readonly AwayBagPlan[];
  /** bags that the helper would bring through too, if so many litres more could be carried on each of so many visits */
  readonly beyondHelper:
    | { readonly containerIds: readonly string[]; readonly litres: number; readonly visits: number }
    | undefined;
  /** what it takes to prepare, and the helper's time, minutes */
  readonly minutes: number;
  readonly helperMinutes: number;
  /** how many combinations of visits and changes were weighed */
  readonly weighed: number;
}

/** Weathers that are drawn, and bags for each of them. */
const WEATHERS = 100;
const DRAWS = 1000;
/** A first sieve by fewer draws, so that the whole number is spent on what may be chosen. */
const SIEVE_DRAWS = 200;
/** An option for one bag: changes, whether it is helped, and what came of it. */
interface Option {
  readonly changes: readonly ChangeId[];
  readonly minutes: number;
  readonly survival: Survival;
}

/**
 * The cheapest set of changes and visits under which every bag keeps the accepted risk; where a bag cannot, what does most
 * for it. Every set of changes is weighed for each bag under each choice of visits (bags do not depend on one another but
 * for what a helper can carry: that is given where it saves most minutes a litre).
 *
 * @param seed the same seed gives the same plan
 * @param tell hears how far it is, 0 to 1
 * @see docs/model.md, 9. Going away
 */
export function planAway(
  bags: readonly AwayBag[],
  question: AwayQuestion,
  climate: Climate,
  seed: number,
  onProgress: (share: number) => void = () => {},
  assumed: Assumed,
): AwayPlan {
  const parts = daysOf(question, climate.model.site.latitudeDegrees);
  const days = parts.map(({ day }) => day);
  const choices = visitChoices(days, question.helperDays);
  const ahead: DaysAway = {
    parts,
    weathers: drawWeathers(days, WEATHERS, climate, seed, assumed),
    noise: sampleNoise(chanceFrom(seed + 6), DRAWS, days.length),
    isSoaked: question.isSoaked,
    missed: missedVisits(chanceFrom(seed + 5), DRAWS, assumed.missChance),
  };
  let weighed = 0;
  let done = 0;
  const options = bags.map((away, b) => {
    const chance = chanceFrom(seed + 1000 + b);
    const starts = drawInitialStates(away.belief, chance, DRAWS, question.isSoaked);
    const asItIs = survivalOf(away.bag, starts, ahead, [], away.assumed);
    const sets = changeSets(away, asItIs.usePerDayLitres, question.allowed);
    const alone = cheapest(away, sets, starts, ahead, [], question.acceptedRisk);
    const needsNothing =
      alone.option.minutes === 0 && 1 - alone.option.survival.survives <= question.acceptedRisk;
    const best = choices.map((visits) => {
      const found =
        visits.length === 0 || needsNothing
          ? alone
          : cheapest(away, sets, starts, ahead, visits, question.acceptedRisk);
      weighed += found.weighed;
      return found.option;
    });
    onProgress(++done / bags.length);
    return { away, asItIs, best };
  });
  const plans = choices.map((visits, v) => withHelp(options, visits, v, question, assumed));
  const chosen = plans.reduce((a, b) => (isBetter(b, a, assumed) ? b : a));
  return {
    days,
    hours: hoursAway(question),
    visits: chosen.visits.map((d) => days[d] as string),
    bags: chosen.bags,
    beyondHelper: withMoreCarried(chosen, options, choices, question, assumed),
    minutes: chosen.minutes,
    helperMinutes: chosen.helperMinutes,
    weighed,
  };
}

interface Candidate {
  readonly visits: Visits;
  readonly bags: readonly AwayBagPlan[];
  /** litres that the helper carries on one visit */
  readonly carried: number;
  readonly minutes: number;
  readonly helperMinutes: number;
  /** sum over bags of the risk beyond the accepted one */
  readonly excess: number;
}

/** Less risk than this, summed over all bags, is no difference. */
const NEARLY = 0.02;

/** First the risk that remains, then the effort. */
function isBetter(a: Candidate, b: Candidate, { goodwill }: Assumed): boolean {
  if (Math.abs(a.excess - b.excess) > NEARLY) return a.excess < b.excess;
  return a.minutes + goodwill * a.helperMinutes < b.minutes + goodwill * b.helperMinutes;
}

/** All sets of the allowed changes that suit a bag, cheapest first. */
function changeSets(away: AwayBag, usePerDayLitres: number, allowed: readonly ChangeId[]) {
  const suiting = CHANGE_IDS.filter(
    (id) => allowed.includes(id) && CHANGES[id].apply(away.bag, usePerDayLitres, away.assumed),
  );
  const sets = Array.from({ length: 2 ** suiting.length }, (_, bits) => {
    const changes = suiting.filter((_, i) => bits & (1 << i));
    let bag: WaterBag = away.bag;
    for (const id of changes) bag = CHANGES[id].apply(bag, usePerDayLitres, away.assumed) ?? bag;
    return { changes, bag, minutes: changes.reduce((sum, id) => sum + CHANGES[id].minutes, 0) };
  });
  return sets.sort((a, b) => a.minutes - b.minutes || a.changes.length - b.changes.length);
}

/** The cheapest set that keeps the risk, or the one that comes nearest to it. */
function cheapest(
  away: AwayBag,
  sets: ReturnType<typeof changeSets>,
  starts: InitialStates,
  ahead: DaysAway,
  visits: Visits,
  acceptedRisk: number,
): { readonly option: Option; readonly weighed: number } {
  let weighed = 0;
  let nearest: Option | undefined;
  for (const { changes, bag, minutes } of sets) {
    weighed += 1;
    const rough = survivalOf(bag, starts, ahead, visits, away.assumed, SIEVE_DRAWS);
    // far from enough by the sieve is far from enough
    const isHopeless = 1 - rough.survives > acceptedRisk + 0.15;
    const survival = isHopeless ? rough : survivalOf(bag, starts, ahead, visits, away.assumed);
    const option = { changes, minutes, survival };
    if (1 - survival.survives <= acceptedRisk) return { option, weighed };
    if (!nearest || survival.survives > nearest.survival.survives + 0.02) nearest = option;
  }
  return { option: nearest as Option, weighed };
}

/** Shares out what the helper carries: to the bags where it saves most risk and minutes for a litre. */
function withHelp(
  options: readonly { readonly away: AwayBag; readonly asItIs: Survival; readonly best: readonly Option[] }[],
  visits: Visits,
  v: number,
  question: AwayQuestion,
  assumed: Assumed,
): Candidate {
  const risk = (option: Option) => Math.max(0, 1 - option.survival.survives - question.acceptedRisk);
  const wants = options
    .map(({ best }, i) => {
      const [alone, helped] = [best[0] as Option, best[v] as Option];
      const saved = 500 * (risk(alone) - risk(helped)) + alone.minutes - helped.minutes;
      const litres = Math.max(0.1, ...helped.survival.visitLitres.map((l) => l.likely));
      return { i, saved, litres };
    })
    .filter(({ saved }) => visits.length > 0 && saved > 0)
    .sort((a, b) => b.saved / b.litres - a.saved / a.litres);
  const helped = new Set<number>();
  let carried = 0;
  for (const { i, litres } of wants) {
    if (carried + litres > question.helperLitres) continue;
    carried += litres;
    helped.add(i);
  }
  const bags = options.map(({ away, asItIs, best }, i): AwayBagPlan => {
    const option = (helped.has(i) ? best[v] : best[0]) as Option;
    return {
      containerId: away.containerId,
      changes: option.changes,
      drip: option.changes.includes('drip')
        ? dripFor(away.bag, asItIs.usePerDayLitres, away.assumed)
        : undefined,
      isHelped: helped.has(i),
      asItIs,
      planned: option.survival,
      isSafe: 1 - option.survival.survives <= question.acceptedRisk,
    };
  });
  const used = helped.size > 0 ? visits : [];
  return {
    visits: used,
    bags,
    carried,
    minutes: options.reduce(
      (sum, { best }, i) => sum + ((helped.has(i) ? best[v] : best[0]) as Option).minutes,
      0,
    ),
    helperMinutes: used.length * (assumed.visitMinutes + assumed.pourMinutes * helped.size),
    excess: options.reduce(
      (sum, { best }, i) => sum + risk((helped.has(i) ? best[v] : best[0]) as Option),
      0,
    ),
  };
}

/**
 * What a helper who carried more would do: the visits after which least risk remains whatever has to be carried, and of those
 * the ones with least to carry.
 */
function withMoreCarried(
  chosen: Candidate,
  options: Parameters<typeof withHelp>[0],
  choices: readonly Visits[],
  question: AwayQuestion,
  assumed: Assumed,
): AwayPlan['beyondHelper'] {
  const unlimited = { ...question, helperLitres: Infinity };
  const stronger = choices
    .map((visits, v) => withHelp(options, visits, v, unlimited, assumed))
    .reduce((a, b) =>
      b.excess < a.excess - NEARLY || (b.excess < a.excess + NEARLY && b.carried < a.carried) ? b : a,
    );
  const containerIds = stronger.bags
    .filter((bag, i) => bag.isSafe && !chosen.bags[i]?.isSafe)
    .map((bag) => bag.containerId);
  const litres = stronger.carried - question.helperLitres;
  return containerIds.length > 0 && litres > 0
    ? { containerIds, litres, visits: stronger.visits.length }
    : undefined;
}
