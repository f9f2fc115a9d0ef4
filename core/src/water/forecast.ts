import type { Assumed } from '../assumed/index.ts';
import type { Belief } from './belief.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { range, storeLevels, type PathPoint, type Range } from './estimate.ts';
import { hasLevel } from './stores.ts';
import { advanceBelief, extend, NO_TIME } from './time-step.ts';
import type { UseStep } from './timeline.ts';

/** A bag at a round to come: its water if nobody waters it, and the chance that it is below the refill point. */
export interface RoundAhead extends PathPoint {
  readonly hoursAhead: number;
  readonly chanceDry: number;
  readonly chanceWilting: number;
  /** likely share left in the store that is checked by its level; undefined for a bag without one */
  readonly level?: number;
}

/** Forecasts are read in steps of so many hours at the most: a bag dries by day and not by night. */
export const FORECAST_HOURS = 3;

export interface WaterForecast {
  readonly rounds: readonly RoundAhead[];
  /** hours until it wants water; a bound is undefined when it lies beyond the days checked */
  readonly hoursToRefill: { readonly [K in keyof Range]: number | undefined };
  /** hours until the plant hangs its leaves, in the same way */
  readonly hoursToWilting: { readonly [K in keyof Range]: number | undefined };
  /** local time of the last round before the chance of being dry passes the risk; `now` when that is this one */
  readonly nextCheck:
    | { readonly kind: 'now' }
    | { readonly kind: 'at'; readonly at: string }
    | { readonly kind: 'later' };
}

/** What brings a check forward, whatever the estimate says. */
export interface CheckHabit {
  /** plan so that one round may be missed: a check falls due a round earlier */
  readonly mayMissARound?: boolean;
  /** since the last check or watering */
  readonly hoursSinceSeen?: number;
  /** a plant whose roots are not out in the mix yet */
  readonly isEstablishing?: boolean;
}

/**
 * Looks ahead from a belief to each round to come, with nobody watering.
 *
 * @param habit what brings a check forward whatever the estimate says
 * @param spans for each round to come, in order: its local time, hours from now, and the use steps since the one before, none
 *   longer than {@link FORECAST_HOURS} where the hours are to be right
 * @see docs/model.md, 7. Water
 */
export function forecastWater(
  belief: Belief,
  bag: WaterBag,
  spans: readonly { readonly at: string; readonly hoursAhead: number; readonly steps: readonly UseStep[] }[],
  assumed: Assumed,
  habit: CheckHabit = {},
): WaterForecast {
  const ahead = belief.copy();
  const depletion = bagDepletion(bag);
  const chanceNow = ahead.chanceBelow(assumed.refillPoint);
  const wiltingNow = ahead.chanceBelow(assumed.wiltNoise);
  const rounds: RoundAhead[] = [];
  const courses = {
    chanceDry: courseOf('chanceDry', chanceNow, assumed),
    chanceWilting: courseOf('chanceWilting', wiltingNow, assumed),
  };
  const seen = bag.stores.findIndex(({ kind }) => hasLevel(kind));
  for (const span of spans) {
    let hours = span.hoursAhead - span.steps.reduce((sum, step) => sum + step.days * 24, 0);
    // a day at a time: rounds may be days apart
    for (const stretch of daysOf(span.steps)) {
      const before = ahead.copy();
      const whole = stretch.reduce((sum, step) => extend(sum, step, assumed), NO_TIME);
      advanceBelief(ahead, bag, whole, depletion, assumed);
      const chances = {
        chanceDry: ahead.chanceBelow(assumed.refillPoint),
        chanceWilting: ahead.chanceBelow(assumed.wiltNoise),
      };
      // where a chance that matters is passed on the way, the way is looked at more closely
      const open = Object.values(courses).filter((course) => course.passes(chances[course.key]));
      let timeStep = NO_TIME;
      for (const step of open.length > 0 ? stretch : []) {
        timeStep = extend(timeStep, step, assumed);
        const then = before.copy();
        advanceBelief(then, bag, timeStep, depletion, assumed);
        for (const course of open)
          course.reach(
            hours + timeStep.days * 24,
            then.chanceBelow(course.key === 'chanceDry' ? assumed.refillPoint : assumed.wiltNoise),
          );
      }
      hours += whole.days * 24;
      for (const course of Object.values(courses)) course.reach(hours, chances[course.key]);
    }
    const chanceDry = ahead.chanceBelow(assumed.refillPoint);
    const level = seen < 0 ? {} : { level: storeLevels(ahead, bag)[seen]?.likely ?? 0 };
    const chanceWilting = ahead.chanceBelow(assumed.wiltNoise);
    rounds.push({
      at: span.at,
      hoursAhead: span.hoursAhead,
      chanceDry,
      chanceWilting,
      ...range(ahead),
      ...level,
    });
    if (chanceWilting > 0.97) break;
  }
  return {
    rounds,
    hoursToRefill: courses.chanceDry.hours(),
    hoursToWilting: courses.chanceWilting.hours(),
    nextCheck: sooner(
      nextCheck(chanceNow, rounds, assumed.risk, habit.mayMissARound ? 2 : 1),
      spans,
      (habit.isEstablishing ? assumed.youngCheck : assumed.longestCheck) * 24 - (habit.hoursSinceSeen ?? 0),
    ),
  };
}

/** A check that falls due because nobody has seen the bag for so long: at the last round within the hours left. */
function sooner(
  next: WaterForecast['nextCheck'],
  spans: readonly { readonly at: string; readonly hoursAhead: number }[],
  hoursLeft: number,
): WaterForecast['nextCheck'] {
  if (next.kind === 'now') return next;
  const within = spans.filter((span) => span.hoursAhead <= hoursLeft).at(-1);
  if (!within) return { kind: 'now' };
  if (within === spans.at(-1)) return next;
  return next.kind === 'later' || Date.parse(within.at) < Date.parse(next.at)
    ? { kind: 'at', at: within.at }
    : next;
}

function nextCheck(
  chanceNow: number,
  rounds: readonly RoundAhead[],
  risk: number,
  before: number,
): WaterForecast['nextCheck'] {
  if (chanceNow > risk) return { kind: 'now' };
  const first = rounds.findIndex((round) => round.chanceDry > risk);
  if (first < 0) return { kind: 'later' };
  const last = rounds[first - before];
  return last ? { kind: 'at', at: last.at } : { kind: 'now' };
}

type ChanceKey = 'chanceDry' | 'chanceWilting';

/** Steps in stretches of a day at the most. */
function daysOf(steps: readonly UseStep[]): readonly (readonly UseStep[])[] {
  const stretches: UseStep[][] = [];
  let days = Infinity;
  for (const step of steps) {
    if (days + step.days > 1 + 1e-9) {
      stretches.push([]);
      days = 0;
    }
    stretches.at(-1)?.push(step);
    days += step.days;
  }
  return stretches;
}

/** How a chance rises from now on, point by point, and when it passes those whose hours are told. */
function courseOf(key: ChanceKey, now: number, { likelyChance }: Pick<Assumed, 'likelyChance'>) {
  const told = { low: 0.1, likely: likelyChance, high: 0.9 };
  let from = { hours: 0, chance: now };
  const passed: { -readonly [K in keyof typeof told]: number | undefined } = {
    low: now >= told.low ? 0 : undefined,
    likely: now >= told.likely ? 0 : undefined,
    high: now >= told.high ? 0 : undefined,
  };
  const names = Object.keys(told) as (keyof typeof told)[];
  return {
    key,
    /** whether it passes one of them on the way to a chance */
    passes: (chance: number) => names.some((name) => passed[name] === undefined && chance >= told[name]),
    /** straight between two points */
    reach(hours: number, chance: number) {
      for (const name of names)
        if (passed[name] === undefined && chance >= told[name]) {
          const share = (told[name] - from.chance) / (chance - from.chance);
          passed[name] = from.hours + share * (hours - from.hours);
        }
      from = { hours, chance };
    },
    hours: () => ({ ...passed }),
  };
}
