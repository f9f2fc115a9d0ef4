import type { Assumed } from '../assumed/index.ts';
import { proposeDrip, storeOf, type DripProposal, type WaterBag } from '../water/index.ts';

/** What can be done for one bag before leaving. */
export const CHANGE_IDS = ['shade', 'mulch', 'saucer', 'clay-pots', 'drip'] as const;
export type ChangeId = (typeof CHANGE_IDS)[number];

/** A change: what it takes to make it, minutes (*assumed*), and the bag as it is then. */
interface Change {
  readonly minutes: number;
  /** undefined where it does not suit the bag or is there already */
  apply(bag: WaterBag, usePerDayLitres: number, assumed: Assumed): WaterBag | undefined;
}

/** Cloth or a place out of the sun, share of it that is kept off. */
export const SHADE = 0.5;
const MULCH_MILLIMETRES = 75;
/** Clay pots buried in a bag hold this share of its available water, at most what two large ones hold. */
const POT_SHARE = 0.35;
const POT_MOST = 4;
const SAUCER_SHARE = 0.25;
const SAUCER_MOST = 3;
/** A line with two emitters of 2 L/h, set by what the bag uses. */
export const LINE = { emitters: 2, litresPerHourEach: 2 };

export const CHANGES: Record<ChangeId, Change> = {
  shade: {
    minutes: 4,
    apply: (bag) => (bag.shade >= SHADE ? undefined : { ...bag, shade: SHADE }),
  },
  mulch: {
    minutes: 6,
    apply: (bag) =>
      bag.mulchMillimetres >= MULCH_MILLIMETRES - 15 || bag.topSquareMetres < 0.02
        ? undefined
        : { ...bag, mulchMillimetres: MULCH_MILLIMETRES },
  },
  saucer: {
    minutes: 3,
    apply: (bag, _, assumed) =>
      withStore(bag, 'saucer', Math.min(SAUCER_MOST, SAUCER_SHARE * bag.availableLitres), assumed),
  },
  'clay-pots': {
    minutes: 12,
    apply: (bag, _, assumed) =>
      withStore(bag, 'clay-pots', Math.min(POT_MOST, POT_SHARE * bag.availableLitres), assumed),
  },
  drip: {
    minutes: 20,
    apply: (bag, use, assumed) => {
      const proposal = dripFor(bag, use, assumed);
      if (!proposal || bag.drips.at(-1)?.setting) return undefined;
      const { minutes, timesADay } = proposal;
      const setting = { ...LINE, minutes, timesADay, weekdays: [1, 2, 3, 4, 5, 6, 7] };
      return { ...bag, drips: [{ from: '0000-01-01', setting, loss: assumed.dripLoss }] };
    },
  },
};

/** The setting that a line would be given for a bag. */
export function dripFor(bag: WaterBag, usePerDayLitres: number, assumed: Assumed): DripProposal | undefined {
  const proposal = proposeDrip(usePerDayLitres, bag.availableLitres, { ...LINE, loss: assumed.dripLoss });
  return proposal.emittersWanted === undefined ? proposal : undefined;
}

function withStore(
  bag: WaterBag,
  kind: 'saucer' | 'clay-pots',
  litres: number,
  assumed: Assumed,
): WaterBag | undefined {
  if (
    bag.stores.some((store) => store.kind === kind || store.kind === 'reservoir' || store.kind === 'channel')
  )
    return undefined;
  return { ...bag, stores: [...bag.stores, { ...storeOf(kind, litres, assumed), startShare: 1 }] };
}
