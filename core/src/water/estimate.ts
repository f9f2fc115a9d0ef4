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
  /** pairs of looks that cannot both be right: made within an hour, with nothing poured between */
  readonly contradictions: readonly (readonly [string, string])[];
}

const CHANCES = [0.1, 0.5, 0.9] as const;

/** A quarter of an hour. */
const SHORTEST_STRETCH_DAYS = 0.0105;

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
  let lastEvent: WaterEvent | undefined;
  const contradictions: [string, string][] = [];
  let stretch = NO_STRETCH;
  const pass = () => {
    if (stretch.days === 0) return;
    const before = belief.meanWater();
    applyStretch(belief, bag, stretch, depletion, assumed);
    usedSinceLitres += Math.max(0, before + stretch.rainLitres / taw - belief.meanWater()) * taw;
    path.push({ at: stretch.until, ...range(belief) });
    stretch = NO_STRETCH;
  };
  for (const step of steps) {
    if (step.kind === 'use') {
      stretch = longer(stretch, step, assumed);
      if (stretch.days >= 1) pass();
    } else {
      // a drink comes minutes after its look: so short a time is kept for the next stretch
      if (stretch.days > SHORTEST_STRETCH_DAYS) pass();
      const { event } = step;
      const beforeLitres = belief.meanWater() * taw;
      applyEvent(belief, bag, event, assumed);
      if (lastEvent && isContradicted(lastEvent, event)) {
        contradictions.push([lastEvent.id, event.id]);
        belief.loosen(CONTRADICTED);
      }
      lastEvent = event;
      const afterLitres = belief.meanWater() * taw;
      moves.push({ entryId: event.id, at: event.at, kind: event.kind, beforeLitres, afterLitres });
      path.push({ at: event.at, ...range(belief) });
      usedSinceLitres = 0;
      lastEventAt = event.at;
    }
  }
  pass();
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
      contradictions,
    },
  };
}

/** How much of what is believed of the water is let go when two looks contradict each other (*assumed*). */
const CONTRADICTED = 0.5;
const WITHIN_MILLISECONDS = 3_600_000;

/** Whether two looks within an hour lie further apart than a finger is off: two grades, or both ends of lifting. */
function isContradicted(before: WaterEvent, event: WaterEvent): boolean {
  if (before.kind !== 'look' || event.kind !== 'look') return false;
  if (Date.parse(event.at) - Date.parse(before.at) > WITHIN_MILLISECONDS) return false;
  return before.look.method === event.look.method && Math.abs(before.look.grade - event.look.grade) >= 2;
}

/** Use steps taken together, a day's worth at most: fewer moves of the grid for the same demand and doubt. */
export interface Stretch {
  readonly until: string;
  readonly days: number;
  readonly transpirationLitres: number;
  readonly evaporationLitres: number;
  readonly rainLitres: number;
  /** variance of what it asks for, L² */
  readonly variance: number;
}

export const NO_STRETCH: Stretch = {
  until: '',
  days: 0,
  transpirationLitres: 0,
  evaporationLitres: 0,
  rainLitres: 0,
  variance: 0,
};

/**
 * A stretch with one more step. The doubt of a day's demand belongs to the day and is independent of the next day's;
 * over a share s of the day its variance is s times the day's, so that the parts of a day add up to it.
 */
export function longer(stretch: Stretch, step: UseStep, assumed: Assumed): Stretch {
  const spread = step.isFilled ? assumed.filledDemandSpread : assumed.demandSpread;
  const asked = step.transpirationLitres + step.evaporationLitres;
  return {
    until: step.until,
    days: stretch.days + step.days,
    transpirationLitres: stretch.transpirationLitres + step.transpirationLitres,
    evaporationLitres: stretch.evaporationLitres + step.evaporationLitres,
    rainLitres: stretch.rainLitres + step.rainLitres,
    variance: stretch.variance + (step.share > 0 ? (spread * asked) ** 2 / step.share : 0),
  };
}

/** Moves a belief over a stretch of use. */
export function applyStretch(
  belief: Belief,
  bag: WaterBag,
  stretch: Stretch,
  depletion: number,
  assumed: Assumed,
): void {
  const taw = bag.availableLitres;
  const asked = stretch.transpirationLitres + stretch.evaporationLitres;
  belief.use(
    stretch.transpirationLitres / taw,
    stretch.evaporationLitres / taw,
    stretch.rainLitres / taw,
    depletion,
    asked > 0 ? Math.sqrt(stretch.variance) / asked : 0,
    assumed.useDrift * Math.sqrt(stretch.days),
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
