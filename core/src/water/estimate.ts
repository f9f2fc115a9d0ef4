import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import { Belief } from './belief.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { chanceOfLook } from './look.ts';
import type { TimelineStep, UseStep, WaterEvent } from './timeline.ts';

/** A quantity with its doubt: the 10, 50 and 90 % points. */
export interface Range {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** How one entry, or the time between, moved the estimate; the reasons that are shown. */
export interface Move {
  readonly entryId: string;
  readonly at: string;
  readonly kind: WaterEvent['kind'];
  /** mean available water before and after, L */
  readonly beforeLitres: number;
  readonly afterLitres: number;
}

/** A point of the past: available water as shares, at a local time. */
export interface PathPoint extends Range {
  readonly at: string;
}

/** What is known of a bag's water at one moment, with how it came about. */
export interface WaterEstimate {
  /** relative available water, 0 to 1 */
  readonly share: Range;
  /** available water, L */
  readonly litres: Range;
  /** this bag's use against what its kind, size and weather would say */
  readonly useMultiplier: Range;
  /** chance that it is below the refill point now */
  readonly chanceDry: number;
  readonly moves: readonly Move[];
  readonly path: readonly PathPoint[];
  /** lost to plant and air since the last look or drink, L (mean) */
  readonly usedSinceLitres: number;
  readonly lastEventAt: string | undefined;
}

const CHANCES = [0.1, 0.5, 0.9] as const;

/** Before any entry a newly filled bag is taken as moist, give or take a lot (*assumed*). */
const START = { mean: 0.65, sd: 0.22 };

/**
 * Runs the filter over a bag's timeline. Deterministic: the same steps give the same belief.
 *
 * Method: Bayesian filter over (W, log k) on a 40 × 25 grid (model §4). Time moves mass by the demand of each
 * column with the spread of a day's use; a drink moves it up and may run through; a look weights it.
 *
 * @returns the belief at the end (to look ahead from) and its summary
 */
export function runFilter(
  bag: WaterBag,
  steps: readonly TimelineStep[],
  assumed: Assumed = DEFAULT_ASSUMED,
): { readonly belief: Belief; readonly estimate: WaterEstimate } {
  const belief = Belief.prior(START, assumed.useSpread);
  const depletion = bagDepletion(bag);
  const taw = bag.availableLitres;
  const moves: Move[] = [];
  const path: PathPoint[] = [];
  let usedSinceLitres = 0;
  let lastEventAt: string | undefined;
  for (const step of steps) {
    if (step.kind === 'use') {
      const before = belief.meanWater();
      applyUse(belief, bag, step, depletion, assumed);
      usedSinceLitres += Math.max(0, before + step.rainLitres / taw - belief.meanWater()) * taw;
      path.push({ at: step.until, ...range(belief) });
    } else {
      const { event } = step;
      const beforeLitres = belief.meanWater() * taw;
      applyEvent(belief, bag, event, assumed);
      const afterLitres = belief.meanWater() * taw;
      moves.push({ entryId: event.id, at: event.at, kind: event.kind, beforeLitres, afterLitres });
      path.push({ at: event.at, ...range(belief) });
      usedSinceLitres = 0;
      lastEventAt = event.at;
    }
  }
  const share = range(belief);
  const [kLow, kLikely, kHigh] = belief.useQuantiles(CHANCES) as [number, number, number];
  return {
    belief,
    estimate: {
      share,
      litres: { low: share.low * taw, likely: share.likely * taw, high: share.high * taw },
      useMultiplier: { low: kLow, likely: kLikely, high: kHigh },
      chanceDry: belief.chanceBelow(assumed.refillPoint),
      moves,
      path,
      usedSinceLitres,
      lastEventAt,
    },
  };
}

/** Moves a belief over one stretch of use. */
export function applyUse(
  belief: Belief,
  bag: WaterBag,
  step: UseStep,
  depletion: number,
  assumed: Assumed,
): void {
  const taw = bag.availableLitres;
  // a day's doubt is independent of the next day's, so a part of a day has more of it in relation to its use
  const daily = step.isFilled ? assumed.filledDemandSpread : assumed.demandSpread;
  const spread = step.share > 0 ? daily / Math.sqrt(Math.min(1, step.share)) : 0;
  belief.use(
    step.transpirationLitres / taw,
    step.evaporationLitres / taw,
    step.rainLitres / taw,
    depletion,
    spread,
    assumed.useDrift * Math.sqrt(step.days),
  );
}

function applyEvent(belief: Belief, bag: WaterBag, event: WaterEvent, assumed: Assumed): void {
  if (event.kind === 'look') {
    const noise = { finger: assumed.fingerNoise, lift: assumed.liftNoise };
    belief.observe((w) => chanceOfLook(event.look, w, noise));
    return;
  }
  const amount = event.litres / bag.availableLitres;
  belief.drink(amount, amount * (event.isMeasured ? assumed.measuredDrink : assumed.looseDrink), assumed);
  if (event.ranThrough) {
    const sigma = assumed.ranThroughNoise;
    belief.observe((w) => Math.exp(-(((1 - w) / sigma) ** 2) / 2) + 1e-4);
  }
}

/** The 10, 50 and 90 % points of relative available water. */
export function range(belief: Belief): Range {
  const [low, likely, high] = belief.waterQuantiles(CHANCES) as [number, number, number];
  return { low, likely, high };
}
