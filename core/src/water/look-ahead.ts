import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import type { Belief } from './belief.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { applyStretch, longer, NO_STRETCH, range, type PathPoint, type Range } from './estimate.ts';
import type { UseStep } from './timeline.ts';

/** A bag at a round to come: its water if nobody waters it, and the chance that it is below the refill point. */
export interface RoundAhead extends PathPoint {
  readonly hoursAhead: number;
  readonly chanceDry: number;
}

export interface LookAhead {
  readonly rounds: readonly RoundAhead[];
  /** hours until it wants water; a bound is undefined when it lies beyond the days looked at */
  readonly hoursToRefill: { readonly [K in keyof Range]: number | undefined };
  /** local time of the last round before the chance of being dry passes the risk; `now` when that is this one */
  readonly nextLook:
    { readonly kind: 'now' } | { readonly kind: 'at'; readonly at: string } | { readonly kind: 'later' };
}

/**
 * Looks ahead from a belief to each round to come, with nobody watering.
 *
 * @param spans for each round to come, in order: its local time, hours from now, and the use steps since the one before
 */
export function lookAhead(
  belief: Belief,
  bag: WaterBag,
  spans: readonly { readonly at: string; readonly hoursAhead: number; readonly steps: readonly UseStep[] }[],
  risk: number,
  assumed: Assumed = DEFAULT_ASSUMED,
): LookAhead {
  const ahead = belief.copy();
  const depletion = bagDepletion(bag);
  const chanceNow = ahead.chanceBelow(assumed.refillPoint);
  const rounds: RoundAhead[] = [];
  for (const span of spans) {
    const stretch = span.steps.reduce((sum, step) => longer(sum, step, assumed), NO_STRETCH);
    applyStretch(ahead, bag, stretch, depletion, assumed);
    const chanceDry = ahead.chanceBelow(assumed.refillPoint);
    rounds.push({ at: span.at, hoursAhead: span.hoursAhead, chanceDry, ...range(ahead) });
    if (chanceDry > 0.97) break;
  }
  return {
    rounds,
    hoursToRefill: {
      low: hoursUntilChance(chanceNow, rounds, 0.1),
      likely: hoursUntilChance(chanceNow, rounds, 0.5),
      high: hoursUntilChance(chanceNow, rounds, 0.9),
    },
    nextLook: nextLook(chanceNow, rounds, risk),
  };
}

function nextLook(chanceNow: number, rounds: readonly RoundAhead[], risk: number): LookAhead['nextLook'] {
  if (chanceNow > risk) return { kind: 'now' };
  const first = rounds.findIndex((round) => round.chanceDry > risk);
  if (first === 0) return { kind: 'now' };
  const before = rounds[first - 1];
  return before ? { kind: 'at', at: before.at } : { kind: 'later' };
}

function hoursUntilChance(
  chanceNow: number,
  rounds: readonly RoundAhead[],
  chance: number,
): number | undefined {
  let from = { hoursAhead: 0, chanceDry: chanceNow };
  if (chanceNow >= chance) return 0;
  for (const round of rounds) {
    if (round.chanceDry >= chance) {
      const share = (chance - from.chanceDry) / (round.chanceDry - from.chanceDry);
      return from.hoursAhead + share * (round.hoursAhead - from.hoursAhead);
    }
    from = round;
  }
  return undefined;
}
