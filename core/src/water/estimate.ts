import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import { Belief, type Passage } from './belief.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { weightsBy } from './grid.ts';
import { chanceOfLook, type Look } from './look.ts';
import { handFilled, hasLevel } from './stores.ts';
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
  readonly kind: 'look' | 'drink';
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
 * A filter on its way over a bag's timeline: it can be taken further, and copied to go on from the same place again.
 *
 * Method: Bayesian filter over (W, log k) on a 40 × 25 grid (model §4). Time moves mass by the demand of each
 * column with the spread of a day's use; a drink moves it up and may run through; a look weights it.
 */
export class FilterRun {
  private readonly depletion: number;
  private moves: Move[] = [];
  private path: PathPoint[] = [];
  private contradictions: (readonly [string, string])[] = [];
  private usedSinceLitres = 0;
  private lastEvent: WaterEvent | undefined;
  private stretch = NO_STRETCH;

  private constructor(
    readonly belief: Belief,
    private readonly bag: WaterBag,
    private readonly assumed: Assumed,
  ) {
    this.depletion = bagDepletion(bag);
  }

  static start(bag: WaterBag, assumed: Assumed = DEFAULT_ASSUMED): FilterRun {
    const stores = bag.stores.map((store) => ({ ...store, full: store.litres / bag.availableLitres }));
    return new FilterRun(Belief.prior(START, assumed.useSpread, stores), bag, assumed);
  }

  copy(): FilterRun {
    const other = new FilterRun(this.belief.copy(), this.bag, this.assumed);
    other.moves = [...this.moves];
    other.path = [...this.path];
    other.contradictions = [...this.contradictions];
    other.usedSinceLitres = this.usedSinceLitres;
    other.lastEvent = this.lastEvent;
    other.stretch = this.stretch;
    return other;
  }

  /** Takes it over one more step. */
  step(step: TimelineStep): void {
    if (step.kind === 'use') {
      this.stretch = longer(this.stretch, step, this.assumed);
      if (this.stretch.days >= 1) this.pass();
      return;
    }
    // a drink comes minutes after its look: so short a time is kept for the next stretch
    if (this.stretch.days > SHORTEST_STRETCH_DAYS) this.pass();
    const { event } = step;
    const { belief } = this;
    if (event.kind === 'emptied') {
      const store = handFilled(this.bag.stores);
      if (store >= 0) belief.stores.empty(store);
      return;
    }
    const taw = this.bag.availableLitres;
    const before = belief.moments();
    applyEvent(belief, this.bag, event, this.assumed);
    if (this.lastEvent && isContradicted(this.lastEvent, event)) {
      this.contradictions.push([this.lastEvent.id, event.id]);
      belief.loosen(CONTRADICTED);
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
    this.pass();
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

  private pass(): void {
    const { belief, stretch } = this;
    if (stretch.days === 0) return;
    const taw = this.bag.availableLitres;
    const before = belief.meanWater();
    applyStretch(belief, this.bag, stretch, this.depletion, this.assumed);
    this.usedSinceLitres += Math.max(0, before + stretch.gainLitres / taw - belief.meanWater()) * taw;
    this.path.push({ at: stretch.until, ...range(belief) });
    this.stretch = NO_STRETCH;
  }
}

/**
 * Runs the filter over a bag's timeline. Deterministic: the same steps give the same belief.
 *
 * @returns the belief at the end (to look ahead from) and its summary
 */
export function runFilter(
  bag: WaterBag,
  steps: readonly TimelineStep[],
  assumed: Assumed = DEFAULT_ASSUMED,
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

/** How much of what is believed of the water is let go when two looks contradict each other (*assumed*). */
const CONTRADICTED = 0.5;
const WITHIN_MILLISECONDS = 3_600_000;

/** Whether two looks within an hour lie further apart than a finger is off: two grades, or both ends of lifting. */
function isContradicted(before: WaterEvent, event: WaterEvent): boolean {
  if (before.kind !== 'look' || event.kind !== 'look') return false;
  const [a, b] = [before.look, event.look];
  if (!('grade' in a && 'grade' in b && a.method === b.method)) return false;
  if (Math.abs(a.grade - b.grade) < 2) return false;
  return Date.parse(event.at) - Date.parse(before.at) <= WITHIN_MILLISECONDS;
}

/** Use steps taken together, a day's worth at most: fewer moves of the grid for the same demand and doubt. */
export interface Stretch {
  readonly until: string;
  readonly days: number;
  readonly transpirationLitres: number;
  readonly evaporationLitres: number;
  readonly gainLitres: number;
  /** days over which the stores refill the mix in full: fewer while roots are not down */
  readonly rootedDays: number;
  /** variance of what it asks for, L² */
  readonly variance: number;
}

export const NO_STRETCH: Stretch = {
  until: '',
  days: 0,
  transpirationLitres: 0,
  evaporationLitres: 0,
  gainLitres: 0,
  rootedDays: 0,
  variance: 0,
};

/**
 * A stretch with one more step. The doubt of a day's demand belongs to the day and is independent of the next day's;
 * over a share s of the day its variance is s times the day's, so that the parts of a day add up to it.
 */
export function longer(stretch: Stretch, step: UseStep, assumed: Assumed): Stretch {
  const spread = step.doubt * (step.isFilled ? assumed.filledDemandSpread : assumed.demandSpread);
  const asked = step.transpirationLitres + step.evaporationLitres;
  return {
    until: step.until,
    days: stretch.days + step.days,
    transpirationLitres: stretch.transpirationLitres + step.transpirationLitres,
    evaporationLitres: stretch.evaporationLitres + step.evaporationLitres,
    gainLitres: stretch.gainLitres + step.rainLitres + step.dripLitres,
    rootedDays: stretch.rootedDays + step.days * step.rooted,
    variance:
      stretch.variance +
      (step.share > 0 ? (spread * asked) ** 2 / step.share : 0) +
      (assumed.dripDoubt * step.dripLitres) ** 2,
  };
}

/** Time as the belief takes it. */
function passageOf(bag: WaterBag, stretch: Stretch, assumed: Assumed): Passage {
  const taw = bag.availableLitres;
  const asked = stretch.transpirationLitres + stretch.evaporationLitres;
  return {
    transpiration: stretch.transpirationLitres / taw,
    evaporation: stretch.evaporationLitres / taw,
    gain: stretch.gainLitres / taw,
    spread: asked > 0 ? Math.sqrt(stretch.variance) / asked : 0,
    drift: assumed.useDrift * Math.sqrt(stretch.days),
    pulls: bag.stores.map(({ perDay }) => perDay * stretch.rootedDays),
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
  belief.pass(passageOf(bag, stretch, assumed), depletion);
}

function applyEvent(
  belief: Belief,
  bag: WaterBag,
  event: Exclude<WaterEvent, { kind: 'emptied' }>,
  assumed: Assumed,
): void {
  if (event.kind === 'look') {
    applyLook(belief, bag, event.look, assumed);
    return;
  }
  const amount = event.litres / bag.availableLitres;
  const store = handFilled(bag.stores);
  if (event.into === 'store' && store >= 0) {
    belief.stores.fill(store, amount, event.ranThrough);
    return;
  }
  belief.drink(amount, amount * (event.isMeasured ? assumed.measuredDrink : assumed.looseDrink), assumed);
  if (event.ranThrough) {
    const sigma = assumed.ranThroughNoise;
    belief.observe(remembered(assumed, 'ran through', (w) => Math.exp(-(((1 - w) / sigma) ** 2) / 2) + 1e-4));
  }
}

function applyLook(belief: Belief, bag: WaterBag, look: Look, assumed: Assumed): void {
  if (look.method === 'level') {
    const store = bag.stores.findIndex(({ kind }) => hasLevel(kind));
    if (store >= 0) belief.observeLevel(store, look.share, assumed.levelNoise);
    return;
  }
  const chance = (w: number) => chanceOfLook(look, w, assumed);
  if (look.method === 'reading') {
    // a wild reading is a stray one before it is a surprise
    belief.observe(weightsBy(chance));
    return;
  }
  const weights = remembered(assumed, 'grade' in look ? `${look.method} ${look.grade}` : look.method, chance);
  if (belief.chanceOf(weights) < SURPRISING) belief.loosen(UNSEEN);
  belief.observe(weights);
}

/**
 * A look that was as unlikely as this means that something happened that nobody wrote down: a neighbour watered, rain was
 * blown in, a dripper came off. Then so much of what is believed of the water is let go, and the look decides (*assumed*).
 */
const SURPRISING = 0.005;
const UNSEEN = 0.25;

const known = new WeakMap<Assumed, Map<string, Float64Array>>();

/** The weights of something that is seen over and over: there are no more kinds of it than grades and ways. */
function remembered(assumed: Assumed, what: string, chance: (w: number) => number): Float64Array {
  let mine = known.get(assumed);
  if (!mine) known.set(assumed, (mine = new Map()));
  let weights = mine.get(what);
  if (!weights) mine.set(what, (weights = weightsBy(chance)));
  return weights;
}

/** The 10, 50 and 90 % points of relative available water. */
export function range(belief: Belief): Range {
  const places = belief.waterQuantiles(CHANCES) as [number, number, number];
  return { low: places[0], likely: places[1], high: places[2] };
}
