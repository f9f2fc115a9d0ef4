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

export interface WaterForecast {
  readonly rounds: readonly RoundAhead[];
  /** hours until it wants water; a bound is undefined when it lies beyond the days checked */
  readonly hoursToRefill: { readonly [K in keyof Range]: number | undefined };
  /** hours until the plant hangs its leaves, in the same way */
  readonly hoursToWilting: { readonly [K in keyof Range]: number | undefined };
  /** local time of the last round before the chance of being dry passes the risk; `now` when that is this one */
  readonly nextCheck:
    { readonly kind: 'now' } | { readonly kind: 'at'; readonly at: string } | { readonly kind: 'later' };
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
 * @param spans for each round to come, in order: its local time, hours from now, and the use steps since the one before
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
  const seen = bag.stores.findIndex(({ kind }) => hasLevel(kind));
  for (const span of spans) {
    const timeStep = span.steps.reduce((sum, step) => extend(sum, step, assumed), NO_TIME);
    advanceBelief(ahead, bag, timeStep, depletion, assumed);
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
  const hoursOf = (key: ChanceKey, now: number) => ({
    low: hoursUntilChance(now, rounds, 0.1, key),
    likely: hoursUntilChance(now, rounds, 0.5, key),
    high: hoursUntilChance(now, rounds, 0.9, key),
  });
  return {
    rounds,
    hoursToRefill: hoursOf('chanceDry', chanceNow),
    hoursToWilting: hoursOf('chanceWilting', wiltingNow),
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

function hoursUntilChance(
  chanceNow: number,
  rounds: readonly RoundAhead[],
  chance: number,
  key: ChanceKey,
): number | undefined {
  let from = { hoursAhead: 0, reached: chanceNow };
  if (chanceNow >= chance) return 0;
  for (const round of rounds) {
    const reached = round[key];
    if (reached >= chance) {
      const share = (chance - from.reached) / (reached - from.reached);
      return from.hoursAhead + share * (round.hoursAhead - from.hoursAhead);
    }
    from = { hoursAhead: round.hoursAhead, reached };
  }
  return undefined;
}
