import type { Container, Place } from '../records/index.ts';
import { fingerGradeOf, type WaterForecast, type WaterEstimate } from '../water/index.ts';

/** What the walk is planned by: a bag's water, now and to come. */
export interface WalkedBag {
  readonly containerId: string;
  readonly estimate: WaterEstimate;
  readonly ahead: WaterForecast;
  /** undefined for an empty bag */
  readonly daysSincePlanting: number | undefined;
  readonly hasBeenChecked: boolean;
}

/** Why a bag is on the round, as data; the interface puts it into words. */
export type StopReason =
  | { readonly kind: 'never-checked' }
  | { readonly kind: 'may-be-dry'; readonly chanceNow: number; readonly chanceNextRound: number }
  | { readonly kind: 'asked-for' }
  /** its water can wait, its feed cannot */
  | { readonly kind: 'feed' };

/** One bag on the walk. */
export interface Stop {
  readonly containerId: string;
  readonly reason: StopReason;
  /** the span of finger grades to expect, 1 to 5 */
  readonly expected: { readonly driest: number; readonly wettest: number };
}

/** A bag that needs nothing this time, with when it does. */
export interface Later {
  readonly containerId: string;
  /** local time; undefined when it is beyond the days checked */
  readonly checkAt: string | undefined;
}

export interface RoundPlan {
  readonly stops: readonly Stop[];
  readonly later: readonly Later[];
}

/**
 * Turns what is known of each bag into one walk: the bags to look at now, place by place in the grower's own
 * order, and the rest with the time of their next check. A bag whose feed is due comes too. An empty bag (nothing planted) is not on the round.
 */
export function planRound(
  waters: readonly WalkedBag[],
  containers: readonly Container[],
  places: readonly Place[],
  feedDueIds: ReadonlySet<string> = new Set(),
): RoundPlan {
  const byId = new Map(waters.map((w) => [w.containerId, w]));
  const stops: Stop[] = [];
  const later: Later[] = [];
  for (const container of inWalkingOrder(containers, places)) {
    const water = byId.get(container.id);
    if (!water || water.daysSincePlanting === undefined) continue;
    const { nextCheck, rounds } = water.ahead;
    // the first check says more than any estimate: a bag that nobody has checked is always due
    const isDue = nextCheck.kind === 'now' || !water.hasBeenChecked;
    if (!isDue && !feedDueIds.has(container.id)) {
      later.push({ containerId: container.id, checkAt: nextCheck.kind === 'at' ? nextCheck.at : undefined });
      continue;
    }
    stops.push({
      containerId: container.id,
      reason: !isDue
        ? { kind: 'feed' }
        : water.hasBeenChecked
          ? {
              kind: 'may-be-dry',
              chanceNow: water.estimate.chanceDry,
              chanceNextRound: rounds[0]?.chanceDry ?? water.estimate.chanceDry,
            }
          : { kind: 'never-checked' },
      expected: expectedGrades(water),
    });
  }
  return { stops, later };
}

/** Containers in the order of the walk: by place, then by their place in it. */
export function inWalkingOrder(
  containers: readonly Container[],
  places: readonly Place[],
): readonly Container[] {
  const orderOf = new Map(places.map((s) => [s.id, s.order]));
  return [...containers].sort(
    (a, b) =>
      (orderOf.get(a.placeId) ?? Infinity) - (orderOf.get(b.placeId) ?? Infinity) ||
      a.order - b.order ||
      (a.id < b.id ? -1 : 1),
  );
}

/** The span of finger grades that an estimate leads one to expect. */
export function expectedGrades(water: Pick<WalkedBag, 'estimate'>): {
  readonly driest: number;
  readonly wettest: number;
} {
  const { low, high } = water.estimate.share;
  return { driest: fingerGradeOf(low), wettest: fingerGradeOf(high) };
}
