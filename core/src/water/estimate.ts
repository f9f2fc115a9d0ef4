import type { Assumed } from '../assumed/index.ts';
import { Belief } from './belief.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { applyEvent, isContradicted } from './events.ts';
import { handFilled } from './stores.ts';
import { advanceBelief, extend, NO_TIME } from './time-step.ts';
import type { TimelineStep, WaterEvent } from './timeline.ts';

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
  readonly kind: 'check' | 'watering';
  /** mean available water before and after, L */
  readonly beforeLitres: number;
  readonly afterLitres: number;
  /** how sure that was before, sd, L */
  readonly beforeSdLitres: number;
}

/** A point of the past: available water as shares, at a local time. */
export interface PathPoint extends Range {
  readonly at: string;
}

/** What is believed of a store of water: the share that is full, with its doubt. */
export interface StoreLevel extends Range {
  readonly kind: WaterBag['stores'][number]['kind'];
  readonly litres: number;
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
  /** what stands beside the mix and comes back to it */
  readonly stores: readonly StoreLevel[];
  readonly moves: readonly Move[];
  readonly path: readonly PathPoint[];
  /** lost to plant and air since the last check or watering, L (mean) */
  readonly usedSinceLitres: number;
  readonly lastEventAt: string | undefined;
  /** pairs of checks that cannot both be right: made within an hour, with nothing poured between */
  readonly contradictions: readonly (readonly [string, string])[];
}

const CHANCES = [0.1, 0.5, 0.9] as const;

/** A quarter of an hour. */
const SHORTEST_STRETCH_DAYS = 0.0105;

/**
 * A filter on its way over a bag's timeline: it can be taken further, and copied to go on from the same place again.
 *
 * Method: Bayesian filter over (W, log k) on a 40 × 25 grid (model §4). Time moves mass by the demand of each
 * column with the spread of a day's use; a watering moves it up and may run through; a check weights it.
 */
export class FilterRun {
  private readonly depletion: number;
  private moves: Move[] = [];
  private path: PathPoint[] = [];
  private contradictions: (readonly [string, string])[] = [];
  private usedSinceLitres = 0;
  private lastEvent: WaterEvent | undefined;
  private timeStep = NO_TIME;

  private constructor(
    readonly belief: Belief,
    private readonly bag: WaterBag,
    private readonly assumed: Assumed,
  ) {
    this.depletion = bagDepletion(bag);
  }

  static start(bag: WaterBag, assumed: Assumed): FilterRun {
    const stores = bag.stores.map((store) => ({ ...store, full: store.litres / bag.availableLitres }));
    return new FilterRun(
      Belief.prior({ mean: assumed.startWater, sd: assumed.startSpread }, assumed.useSpread, stores),
      bag,
      assumed,
    );
  }

  copy(): FilterRun {
    const other = new FilterRun(this.belief.copy(), this.bag, this.assumed);
    other.moves = [...this.moves];
    other.path = [...this.path];
    other.contradictions = [...this.contradictions];
    other.usedSinceLitres = this.usedSinceLitres;
    other.lastEvent = this.lastEvent;
    other.timeStep = this.timeStep;
    return other;
  }

  /** Takes it over one more step. */
  step(step: TimelineStep): void {
    if (step.kind === 'use') {
      this.timeStep = extend(this.timeStep, step, this.assumed);
      if (this.timeStep.days >= 1) this.advance();
      return;
    }
    // a watering comes minutes after its check: so short a time is kept for the next stretch
    if (this.timeStep.days > SHORTEST_STRETCH_DAYS) this.advance();
    const { event } = step;
    const { belief } = this;
    if (event.kind === 'emptied') {
      const store = handFilled(this.bag.stores);
      if (store >= 0) belief.stores.empty(store);
      return;
    }
    const taw = this.bag.availableLitres;
    const before = belief.moments();
    applyEvent(belief, this.bag, event, this.lastEvent, this.assumed);
    if (this.lastEvent && isContradicted(this.lastEvent, event)) {
      this.contradictions.push([this.lastEvent.id, event.id]);
      belief.flatten(this.assumed.contradictionForgetting);
    }
    this.lastEvent = event;
    const afterLitres = belief.meanWater() * taw;
    const { id: entryId, at, kind } = event;
    this.moves.push({
      entryId,
      at,
      kind,
      beforeLitres: before.mean * taw,
      afterLitres,
      beforeSdLitres: before.sd * taw,
    });
    this.path.push({ at: event.at, ...range(belief) });
    this.usedSinceLitres = 0;
  }

  /** What is known at the end of the last step. */
  finish(): WaterEstimate {
    this.advance();
    const { belief } = this;
    const taw = this.bag.availableLitres;
    const share = range(belief);
    const [low, likely, high] = belief.useQuantiles(CHANCES) as [number, number, number];
    return {
      share,
      litres: { low: share.low * taw, likely: share.likely * taw, high: share.high * taw },
      useMultiplier: { low, likely, high },
      chanceDry: belief.chanceBelow(this.assumed.refillPoint),
      stores: storeLevels(belief, this.bag),
      moves: [...this.moves],
      path: [...this.path],
      usedSinceLitres: this.usedSinceLitres,
      lastEventAt: this.lastEvent?.at,
      contradictions: [...this.contradictions],
    };
  }

  /** Water in the mix and in what stands beside it: what the stores gave was used as well. */
  private heldLitres(): number {
    const { belief, bag } = this;
    return bag.stores.reduce(
      (sum, { litres }, s) => sum + belief.levelOf(s).mean * litres,
      belief.meanWater() * bag.availableLitres,
    );
  }

  private advance(): void {
    const { belief, timeStep } = this;
    if (timeStep.days === 0) return;
    const before = this.heldLitres();
    advanceBelief(belief, this.bag, timeStep, this.depletion, this.assumed);
    this.usedSinceLitres += Math.max(0, before + timeStep.gainLitres - this.heldLitres());
    this.path.push({ at: timeStep.until, ...range(belief) });
    this.timeStep = NO_TIME;
  }
}

/**
 * Runs the filter over a bag's timeline. Deterministic: the same steps give the same belief.
 *
 * @returns the belief at the end (to forecast from) and its summary
 * @see docs/model.md, 7. Water
 */
export function runFilter(
  bag: WaterBag,
  steps: readonly TimelineStep[],
  assumed: Assumed,
): { readonly belief: Belief; readonly estimate: WaterEstimate } {
  const run = FilterRun.start(bag, assumed);
  for (const step of steps) run.step(step);
  return { estimate: run.finish(), belief: run.belief };
}

/** What is believed of each store, 10 to 90 % (taken as normal and cut to 0–1). */
export function storeLevels(belief: Belief, bag: WaterBag): readonly StoreLevel[] {
  const held = (share: number) => Math.min(1, Math.max(0, share));
  return bag.stores.map(({ kind, litres }, s) => {
    const { mean, sd } = belief.levelOf(s);
    return { kind, litres, low: held(mean - 1.28 * sd), likely: held(mean), high: held(mean + 1.28 * sd) };
  });
}

/** The 10, 50 and 90 % points of relative available water. */
export function range(belief: Belief): Range {
  const places = belief.waterQuantiles(CHANCES) as [number, number, number];
  return { low: places[0], likely: places[1], high: places[2] };
}
