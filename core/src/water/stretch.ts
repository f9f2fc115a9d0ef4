import type { Assumed } from '../assumed/index.ts';
import type { Belief, Passage } from './belief.ts';
import type { WaterBag } from './demand.ts';
import type { UseStep } from './timeline.ts';

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
