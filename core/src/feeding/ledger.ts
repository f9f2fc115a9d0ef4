import type { Assumed } from '../assumed/index.ts';
import { addDays, daysBetween, type Day } from '../calendar/index.ts';
import {
  addElements,
  ELEMENTS,
  elementsBy,
  NO_ELEMENTS,
  type Element,
  type Elements,
} from '../products/index.ts';

/** Something that brought feed to a bag. */
export interface LedgerSource {
  readonly id: string;
  readonly day: Day;
  readonly kind: 'mix' | 'amendment' | 'feed' | 'water';
  /** g of each element */
  readonly brings: Elements;
  /** over which it gives four fifths of it at `releaseAt`; undefined: at once */
  readonly months: number | undefined;
}

/** A bag's feed over a span of days. */
export interface LedgerCase {
  readonly from: Day;
  readonly to: Day;
  readonly sources: readonly LedgerSource[];
  /** share of the bag's water that ran out of it on a day, 0 to 1 */
  drainedOn(day: Day): number;
  /** what its plants would take up if they had it, g */
  wantedOn(day: Day): Elements;
  /** mean temperature of the mix, °C */
  warmthOn(day: Day): number;
}

/** Totals since the first day, g: what was offered is in the bag (held or dissolved), washed out or taken up. */
export interface LedgerDay {
  readonly day: Day;
  readonly offered: Elements;
  /** still bound in what gives slowly */
  readonly held: Elements;
  /** there for the taking */
  readonly dissolved: Elements;
  readonly washed: Elements;
  readonly taken: Elements;
  /** what the plants would have taken up */
  readonly wanted: Elements;
}

/** Doubt told as three runs: the likely one, and one at each end. */
export const LEANINGS = ['low', 'likely', 'high'] as const;
export type Leaning = (typeof LEANINGS)[number];
const SIGN: Record<Leaning, number> = { low: 1, likely: 0, high: -1 };

/** Days in a label's month. */
const MONTH_DAYS = 30.4;

/**
 * The share of what is held that is given on a day: first order, four fifths in the label's months at `releaseAt`, faster
 * in warmth.
 *
 * @see docs/model.md, 8. Feeding
 * @example
 * releasedShare(1, 20, DEFAULT_ASSUMED)
 * // ≈> 0.0516
 */
export function releasedShare(months: number, celsius: number, assumed: Assumed): number {
  const warmth = assumed.releaseQ10 ** ((celsius - assumed.releaseAt) / 10);
  return 1 - Math.exp((-Math.log(5) / (months * MONTH_DAYS)) * warmth);
}

/**
 * A bag's ledger day by day. Each day slow feeds give, what is dissolved runs out with the water that ran through, and the
 * plants take what they want of what is left. Mass is conserved: offered = held + dissolved + washed + taken.
 *
 * @param leaning lean: slow feeds are slower, more is washed out, plants take more; rich: the other way
 */
export function runLedger(
  bag: LedgerCase,
  leaning: Leaning = 'likely',
  assumed: Assumed,
): readonly LedgerDay[] {
  const sign = SIGN[leaning];
  const pace = 1 - sign * assumed.releaseDoubt;
  const appetite = 1 + sign * assumed.uptakeDoubt;
  const washing = 1 + sign * assumed.washDoubt;
  const mobile: Elements = {
    n: assumed.washN,
    p: assumed.washP,
    k: assumed.washK,
    ca: assumed.washCa,
    mg: assumed.washCa,
  };
  const slow = bag.sources.filter((s) => s.months !== undefined);
  const inside = slow.map(({ brings }) => brings);
  const atOnce = new Map<Day, Elements>();
  for (const { day, brings, months } of bag.sources) {
    if (months !== undefined) continue;
    const on = day < bag.from ? bag.from : day;
    atOnce.set(on, addElements(atOnce.get(on) ?? NO_ELEMENTS, brings));
  }
  let [offered, dissolved, washed, taken, wanted] = Array.from({ length: 5 }, () => NO_ELEMENTS) as [
    Elements,
    Elements,
    Elements,
    Elements,
    Elements,
  ];
  const days: LedgerDay[] = [];
  for (let day = bag.from; day <= bag.to; day = addDays(day, 1)) {
    const celsius = bag.warmthOn(day);
    const poured = atOnce.get(day);
    if (poured) {
      offered = addElements(offered, poured);
      dissolved = addElements(dissolved, poured);
    }
    let held = NO_ELEMENTS;
    for (const [n, source] of slow.entries()) {
      if (source.day > day) continue;
      const before = inside[n] as Elements;
      if (source.day === day || day === bag.from) offered = addElements(offered, source.brings);
      const share = Math.min(1, pace * releasedShare(source.months ?? 0, celsius, assumed));
      const given = elementsBy((e) => before[e] * share);
      const kept = elementsBy((e) => before[e] - given[e]);
      inside[n] = kept;
      dissolved = addElements(dissolved, given);
      held = addElements(held, kept);
    }
    const drained = bag.drainedOn(day);
    const asked = bag.wantedOn(day);
    const lost = elementsBy((e) => dissolved[e] * Math.min(1, drained * mobile[e] * washing));
    const left = elementsBy((e) => dissolved[e] - lost[e]);
    const watered = elementsBy((e) => Math.min(left[e], asked[e] * appetite));
    dissolved = elementsBy((e) => left[e] - watered[e]);
    washed = addElements(washed, lost);
    taken = addElements(taken, watered);
    wanted = elementsBy((e) => wanted[e] + asked[e] * appetite);
    days.push({ day, offered, held, dissolved, washed, taken, wanted });
  }
  return days;
}

/** A number with its doubt: lowest and highest of the three runs, and the likely one. */
export interface Spread {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** Days with their doubt; undefined: not within the ledger. */
export interface DaySpread {
  readonly low: Day | undefined;
  readonly likely: Day | undefined;
  readonly high: Day | undefined;
}

export interface Verdict {
  readonly element: Element;
  readonly status: 'short' | 'fine' | 'over';
  /** all three runs agree */
  readonly isSure: boolean;
  /** how long what is there lasts, days, if nothing more is given */
  readonly lasts: Spread;
  /** dissolved in the bag's water at capacity, mg/L */
  readonly milligramsPerLitre: Spread;
  /** from which day it would be short, if nothing more is given */
  readonly shortFrom: DaySpread;
}

/** A bag's ledger with its doubt and what it says. */
export interface Ledger {
  readonly runs: Readonly<Record<Leaning, readonly LedgerDay[]>>;
  /** today's place in each run */
  readonly today: number;
  readonly verdicts: readonly Verdict[];
}

/**
 * Above this a bag's water holds more than plants do well with, mg/L. Source: guidelines for saturated extracts of potting
 * mixes, "very high" (nitrate-N 300, K 350); of P, Ca and Mg most is bound, so that no such line holds for them.
 */
export const OVERFED: Partial<Record<Element, number>> = { n: 300, k: 350 };

/** A shortage further off than this is not told as a date: by then it has been fed or checked. */
const FAR_DAYS = 60;

/**
 * Works out a bag's ledger up to its last day, as if nothing more were given after today.
 *
 * @param waterLitres water in the bag at capacity
 */
export function ledgerOf(bag: LedgerCase, today: Day, waterLitres: number, assumed: Assumed): Ledger {
  const runs = {
    low: runLedger(bag, 'low', assumed),
    likely: runLedger(bag, 'likely', assumed),
    high: runLedger(bag, 'high', assumed),
  };
  const at = Math.min(runs.likely.length - 1, Math.max(0, daysBetween(bag.from, today)));
  const verdicts = ELEMENTS.map((element): Verdict => {
    const lasts = LEANINGS.map((l) => daysItLasts(runs[l], at, element));
    const strength = LEANINGS.map((l) => ((runs[l][at]?.dissolved[element] ?? 0) / waterLitres) * 1000);
    const status = (i: number): Verdict['status'] =>
      (lasts[i] ?? 0) < assumed.shortDays
        ? 'short'
        : (strength[i] ?? 0) > (OVERFED[element] ?? Infinity)
          ? 'over'
          : 'fine';
    const [low, likely, high] = [status(0), status(1), status(2)];
    const day = (i: number) => {
      const days = lasts[i] ?? 0;
      return days > FAR_DAYS || addDays(today, days) > bag.to ? undefined : addDays(today, days);
    };
    return {
      element,
      status: likely,
      isSure: low === likely && high === likely,
      lasts: spreadOf(lasts),
      milligramsPerLitre: spreadOf(strength),
      shortFrom: { low: day(0), likely: day(1), high: day(2) },
    };
  });
  return { runs, today: at, verdicts };
}

function spreadOf([low = 0, likely = 0, high = 0]: readonly number[]): Spread {
  return { low: Math.min(low, likely, high), likely, high: Math.max(low, likely, high) };
}

/** Days from a place in a run until less is there than the plants want in a day. */
function daysItLasts(run: readonly LedgerDay[], from: number, element: Element): number {
  for (let i = from; i < run.length - 1; i++) {
    const [now, next] = [run[i], run[i + 1]] as [LedgerDay, LedgerDay];
    const wanted = next.wanted[element] - now.wanted[element];
    if (wanted <= 1e-9) continue;
    const taken = next.taken[element] - now.taken[element];
    if (taken < wanted * (1 - SHORTFALL)) return i - from;
  }
  return run.length - 1 - from;
}

/** Going without so much of a day's want is being short. */
const SHORTFALL = 0.1;

/**
 * When what the bag was filled with is used up: the first day on which, without any feed, plants would go short of
 * nitrogen. Low is the earliest.
 */
export function baseUsedUp(bag: LedgerCase, planted: Day, assumed: Assumed): DaySpread {
  const alone = { ...bag, sources: bag.sources.filter((s) => s.kind !== 'feed') };
  const day = (leaning: Leaning) => {
    const run = runLedger(alone, leaning, assumed);
    const from = Math.max(0, daysBetween(bag.from, planted));
    const lasts = daysItLasts(run, from, 'n');
    return from + lasts >= run.length - 1 ? undefined : addDays(planted, lasts);
  };
  return { low: day('low'), likely: day('likely'), high: day('high') };
}
