import type { Assumed } from '../assumed/index.ts';
import type { Container } from '../records/index.ts';
import type { Stop, WalkedBag } from './plan-round.ts';

/** A stop as a choice: what a visit now averts, and what it costs. */
export interface SpotStop {
  readonly containerId: string;
  /** chance that the bag goes dry before the round after next if it is passed over now */
  readonly risk: number;
  readonly minutes: number;
}

/**
 * The stops worth making when time is short: those that avert most risk a minute, as many as fit, in the order of the walk.
 * A stop costs the check, and a watering as likely as one is; the first at a place costs the way there too, so that a place with
 * several bags in need comes before a lonely one.
 *
 * @param stops the whole round, in the order of the walk
 * @param minutes time at hand, above 0; one stop is always made
 */
export function spotCheck(
  stops: readonly Stop[],
  waters: ReadonlyMap<string, WalkedBag>,
  containers: readonly Container[],
  minutes: number,
  assumed: Assumed,
): readonly SpotStop[] {
  const placeOf = new Map(containers.map((c) => [c.id, c.placeId]));
  const open = new Map(
    stops.map((stop) => [stop.containerId, choiceOf(stop, waters.get(stop.containerId), assumed)]),
  );
  const chosen: SpotStop[] = [];
  const visited = new Set<string | undefined>();
  let left = minutes;
  while (open.size > 0) {
    const costOf = (stop: SpotStop) =>
      stop.minutes + (visited.has(placeOf.get(stop.containerId)) ? 0 : assumed.walkMinutes);
    const fitting = [...open.values()].filter((stop) => chosen.length === 0 || costOf(stop) <= left);
    if (fitting.length === 0) break;
    const best = fitting.reduce((a, b) => (b.risk / costOf(b) > a.risk / costOf(a) ? b : a));
    left -= costOf(best);
    visited.add(placeOf.get(best.containerId));
    open.delete(best.containerId);
    chosen.push(best);
  }
  const order = new Map(stops.map((stop, i) => [stop.containerId, i]));
  return chosen.sort((a, b) => (order.get(a.containerId) ?? 0) - (order.get(b.containerId) ?? 0));
}

function choiceOf(stop: Stop, water: WalkedBag | undefined, assumed: Assumed): SpotStop {
  const rounds = water?.ahead.rounds ?? [];
  const risk = rounds[1]?.chanceDry ?? rounds[0]?.chanceDry ?? water?.estimate.chanceDry ?? 1;
  // nobody has looked: the doubt itself is the risk
  const isUnknown = stop.reason.kind === 'never-checked';
  return {
    containerId: stop.containerId,
    risk: isUnknown ? Math.max(0.5, risk) : risk,
    minutes: assumed.checkMinutes + assumed.wateringMinutes * risk,
  };
}
