import type { Assumed } from '../assumed/index.ts';
import type { Belief, StepInput } from './belief.ts';
import type { WaterBag } from './demand.ts';
import type { UseStep } from './timeline.ts';

/** Use steps taken together, a day's worth at most: fewer moves of the grid for the same demand and doubt. */
export interface TimeStep {
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

export const NO_TIME: TimeStep = {
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
export function extend(timeStep: TimeStep, step: UseStep, assumed: Assumed): TimeStep {
  const { demandSpread: known, filledDemandSpread: usual } = assumed;
  const spread = step.doubt * Math.sqrt(known ** 2 + step.unknown * (usual ** 2 - known ** 2));
  const asked = step.transpirationLitres + step.evaporationLitres;
  return {
    until: step.until,
    days: timeStep.days + step.days,
    transpirationLitres: timeStep.transpirationLitres + step.transpirationLitres,
    evaporationLitres: timeStep.evaporationLitres + step.evaporationLitres,
    gainLitres: timeStep.gainLitres + step.rainLitres + step.dripLitres,
    rootedDays: timeStep.rootedDays + step.days * step.rooted,
    variance:
      timeStep.variance +
      (step.share > 0 ? (spread * asked) ** 2 / step.share : 0) +
      (assumed.dripDoubt * step.dripLitres) ** 2,
  };
}

/** Time as the belief takes it. */
function inputOf(bag: WaterBag, timeStep: TimeStep, assumed: Assumed): StepInput {
  const taw = bag.availableLitres;
  const asked = timeStep.transpirationLitres + timeStep.evaporationLitres;
  return {
    transpiration: timeStep.transpirationLitres / taw,
    evaporation: timeStep.evaporationLitres / taw,
    gain: timeStep.gainLitres / taw,
    spread: asked > 0 ? Math.sqrt(timeStep.variance) / asked : 0,
    drift: assumed.useDrift * Math.sqrt(timeStep.days),
    refillRates: bag.stores.map(({ perDay }) => perDay * timeStep.rootedDays),
    refillSpread: assumed.refillDoubt,
  };
}

/** Moves a belief over a stretch of use. */
export function advanceBelief(
  belief: Belief,
  bag: WaterBag,
  timeStep: TimeStep,
  depletion: number,
  assumed: Assumed,
): void {
  belief.advance(inputOf(bag, timeStep, assumed), depletion);
}
