import type { Assumed } from '../assumed/index.ts';
import type { Belief } from './belief.ts';
import { dayOf } from '../calendar/index.ts';
import { rootedOn, type WaterBag } from './demand.ts';
import { weightsBy } from './grid.ts';
import { chanceOfCheck } from './check.ts';
import { handFilled, hasLevel } from './stores.ts';
import type { WaterEvent } from './timeline.ts';

type WaterCheck = Extract<WaterEvent, { kind: 'check' }>;

/** Takes a belief over a check or a watering; `before` is what was seen or poured last. */
export function applyEvent(
  belief: Belief,
  bag: WaterBag,
  event: Exclude<WaterEvent, { kind: 'emptied' }>,
  before: WaterEvent | undefined,
  assumed: Assumed,
): void {
  if (event.kind === 'check') {
    applyLook(belief, bag, event, before, assumed);
    return;
  }
  const amount = event.litres / bag.availableLitres;
  const store = handFilled(bag.stores);
  if (event.into === 'store' && store >= 0) {
    belief.stores.fill(store, amount, event.ranThrough);
    return;
  }
  const chancePast = chanceRanPast(belief, event, assumed);
  belief.watering(
    amount,
    amount * (event.isMeasured ? assumed.measuredWatering : assumed.looseWatering),
    assumed,
  );
  if (event.ranThrough) {
    const sigma = assumed.ranThroughNoise;
    const full = (w: number) => Math.exp(-(((1 - w) / sigma) ** 2) / 2) + 1e-4;
    belief.observe(
      chancePast === 0
        ? remembered(assumed, 'ran through', full)
        : weightsBy((w) => (1 - chancePast) * full(w) + chancePast),
    );
  }
}

/**
 * The chance that what ran through ran past the mix, so that it says nothing of its being full: dry mix shrinks from the wall and
 * repels water until it has had time. In goes, with pauses, it has.
 */
function chanceRanPast(
  belief: Belief,
  { ranThrough, isInGoes, through }: Extract<WaterEvent, { kind: 'watering' }>,
  assumed: Assumed,
): number {
  if (!ranThrough || isInGoes) return 0;
  const isDry = belief.chanceBelow(assumed.dryBelow);
  // a trickle on mix that was dry is the first to come; where most came through a bag that was not dry was full before
  const known = through === 'most' ? 0.6 : 1;
  return Math.min(0.95, assumed.runsPast + known * isDry);
}

function applyLook(
  belief: Belief,
  bag: WaterBag,
  event: WaterCheck,
  before: WaterEvent | undefined,
  assumed: Assumed,
): void {
  const { check } = event;
  if (check.method === 'level') {
    const store = bag.stores.findIndex(({ kind }) => hasLevel(kind));
    if (store < 0) return;
    // full to the brim is seen for sure
    const glance = check.sd ?? assumed.levelNoise;
    const noise = check.share >= BRIM ? Math.min(glance, BRIM_NOISE) : glance;
    belief.observeLevel(store, check.share, noise);
    wick(belief, bag, event, check.share, assumed);
    return;
  }
  // one plant's end of a long bag is not the whole of it
  const isAtOnePlant = event.stationId !== undefined && check.method === 'finger';
  const noise = isAtOnePlant
    ? { ...assumed, fingerNoise: Math.hypot(assumed.fingerNoise, assumed.plantSpread) }
    : assumed;
  const chance = (w: number) => chanceOfCheck(check, w, noise);
  if (check.method === 'reading') {
    // a wild reading is a stray one before it is a surprise
    belief.observe(weightsBy(chance));
    return;
  }
  const what = 'grade' in check ? `${check.method} ${check.grade}` : check.method;
  const weights = remembered(assumed, isAtOnePlant ? `${what} at one plant` : what, chance);
  // something happened that nobody wrote down: a neighbour watered, rain was blown in, a dripper came off
  if (!isAtAnotherPlant(before, event) && belief.chanceOf(weights) < assumed.surprise)
    belief.flatten(assumed.surpriseForgetting);
  belief.observe(weights);
}

/** A store that is seen so full is full, and how far off that is, share of it. */
const BRIM = 0.99;
const BRIM_NOISE = 0.03;
/** A store with less in it than this may have been empty until a moment ago. */
const NOT_EMPTY = 0.1;
/** Mix above water that stands there holds at least about so much of its own, once roots or wicks reach it. */
const WICKED = { share: 0.55, noise: 0.2 };

/** Water that stands under mix is drawn up into it: no bag is dust-dry above a tank that is not empty. */
function wick(belief: Belief, bag: WaterBag, event: WaterCheck, share: number, assumed: Assumed): void {
  const reach = rootedOn(bag, dayOf(event.at), assumed);
  if (share < NOT_EMPTY || reach < 1) return;
  belief.observe(
    remembered(assumed, 'wicked', (w) => {
      const below = Math.max(0, WICKED.share - w) / WICKED.noise;
      return Math.exp(-(below ** 2) / 2) + 1e-3;
    }),
  );
}

const known = new WeakMap<Assumed, Map<string, Float64Array>>();

/** The weights of something that is seen over and over: there are no more kinds of it than grades and ways. */
function remembered(assumed: Assumed, what: string, chance: (w: number) => number): Float64Array {
  let mine = known.get(assumed);
  if (!mine) known.set(assumed, (mine = new Map()));
  let weights = mine.get(what);
  if (!weights) mine.set(what, (weights = weightsBy(chance)));
  return weights;
}

const WITHIN_MILLISECONDS = 3_600_000;

/** Whether two checks were made within an hour, one after the other. */
function areOneVisit(before: WaterEvent, event: WaterEvent): before is WaterCheck {
  return (
    before.kind === 'check' &&
    event.kind === 'check' &&
    Date.parse(event.at) - Date.parse(before.at) <= WITHIN_MILLISECONDS
  );
}

/** Whether a check is at another plant of the same bag than the one just before it: the two may well differ. */
function isAtAnotherPlant(before: WaterEvent | undefined, event: WaterCheck): boolean {
  return before?.kind === 'check' && before.stationId !== event.stationId && areOneVisit(before, event);
}

/** Whether two checks within an hour lie further apart than a finger is off: two grades, or both ends of lifting. */
export function isContradicted(before: WaterEvent, event: WaterEvent): boolean {
  if (event.kind !== 'check' || !areOneVisit(before, event) || isAtAnotherPlant(before, event)) return false;
  const [a, b] = [before.check, event.check];
  return 'grade' in a && 'grade' in b && a.method === b.method && Math.abs(a.grade - b.grade) >= 2;
}
