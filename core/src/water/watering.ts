import type { Assumed } from '../assumed/index.ts';
import { inMeasure, type Fills, type MeasureKind } from '../units/index.ts';
import type { Range, WaterEstimate } from './estimate.ts';
import type { MoistureCheck } from './check.ts';
import { hasLevel } from './stores.ts';

/** Whether to water after a check, why, and how much the bag should take. */
export interface WateringAdvice {
  readonly isWanted: boolean;
  readonly because: 'felt-dry' | 'before-next-round' | 'enough';
  /** litres that it should take until it runs through */
  readonly litres: Range;
  /** the likely amount in the grower's own can */
  readonly fills: Fills;
  /** pours with a pause between; 2 when the mix is so dry that it may repel water */
  readonly pours: number;
  readonly isEstablishing: boolean;
  /** less than it would take, since a cold night is coming */
  readonly isHeldBack: boolean;
  /** over the mix, or into the reservoir or drum that is checked by its level */
  readonly into: 'top' | 'store';
}

/**
 * What follows a check: a watering when the grade is dry or less, *or* when the next check would otherwise fall before
 * the next round (model §4; without the second rule dry-outs triple).
 *
 * @param estimate the bag's water after the check
 * @param isDueAgainBeforeNextRound whether the check-ahead from that estimate asks for a check now or sooner than the next round
 * @param isEstablishing its roots are not out in the mix yet, or not down in its tank: it gets part of the amount, close to the stem
 * @see docs/model.md, 7. Water
 */
export function adviseWatering(
  estimate: WaterEstimate,
  bag: { readonly availableLitres: number },
  situation: {
    readonly check: MoistureCheck;
    readonly isDueAgainBeforeNextRound: boolean;
    readonly isEstablishing: boolean;
    readonly measure: { readonly kind: MeasureKind; readonly litres: number };
    /** a cold night is coming, and this grower keeps bags on the dry side for it */
    readonly isBeforeColdNight?: boolean;
  },
  assumed: Assumed,
): WateringAdvice {
  const { check } = situation;
  const { isEstablishing } = situation;
  // roots that are not down yet take up nothing of a reservoir: until then it is watered by hand
  const store = isEstablishing ? undefined : estimate.stores.find(({ kind }) => hasLevel(kind));
  // and its level says nothing of the mix that they stand in
  const saysNothing = check.method === 'level' && !store;
  const feltDry = !saysNothing && isDry(check, assumed);
  const because = feltDry ? 'felt-dry' : situation.isDueAgainBeforeNextRound ? 'before-next-round' : 'enough';
  const isHeldBack = situation.isBeforeColdNight === true && !store;
  const part = (isEstablishing ? assumed.establishingShare : 1) * (isHeldBack ? assumed.coldNightShare : 1);
  const toFill = (share: number) =>
    Math.max(0, 1 - share) * bag.availableLitres * (1 + assumed.runThrough) * part;
  const litres = store
    ? {
        low: (1 - store.high) * store.litres,
        likely: (1 - store.likely) * store.litres,
        high: (1 - store.low) * store.litres,
      }
    : {
        low: toFill(estimate.share.high),
        likely: toFill(estimate.share.likely),
        high: toFill(estimate.share.low),
      };
  return {
    isWanted: because !== 'enough',
    because,
    litres,
    fills: inMeasure(litres.likely, situation.measure, litres),
    pours: !store && estimate.share.likely < assumed.dryBelow + 0.1 ? 2 : 1,
    isEstablishing,
    isHeldBack,
    into: store ? 'store' : 'top',
  };
}

/** Whether a check by itself says that a bag is dry, and asks for a watering. */
export function isDry(check: MoistureCheck, assumed: Pick<Assumed, 'refillPoint' | 'lowLevel'>): boolean {
  switch (check.method) {
    case 'finger':
      return check.grade <= 2;
    case 'lift':
      return check.grade <= 1;
    case 'wilted':
      return true;
    case 'reading':
      return check.share < assumed.refillPoint;
    case 'level':
      return check.share < assumed.lowLevel;
  }
}
