import type { FeedAmount, LabelDose } from '../records/index.ts';
import { within } from '../errors/index.ts';

/** A bag that is to be fed: what the dose goes by. */
export interface FedBag {
  readonly containerId: string;
  /** the watering that it goes with, L */
  readonly waterLitres: number;
  readonly plants: number;
  readonly mixLitres: number;
}

/**
 * What a dose makes for one bag.
 *
 * @see docs/model.md, 8. Feeding
 * @example
 * feedFor({ amount: 4, unit: 'millilitre', per: 'litre' }, { containerId: 'con_abcdef', waterLitres: 3, plants: 1, mixLitres: 30 })
 * // => { amount: 12, unit: 'millilitre' }
 */
export function feedFor(dose: LabelDose, bag: FedBag): FeedAmount {
  const times = { litre: bag.waterLitres, bag: 1, plant: bag.plants, 'mix-litre': bag.mixLitres }[dose.per];
  return { amount: dose.amount * times, unit: dose.unit };
}

/** One bag's share of a batch. */
export interface BatchNeed extends FedBag {
  readonly productId: string;
  readonly dose: LabelDose;
}

/** A can made up: its water, its feed, and where it is poured in walking order. */
export interface FeedCan {
  readonly litres: number;
  readonly amount: number;
  readonly pours: readonly { readonly containerId: string; readonly litres: number }[];
}

export type BatchPart =
  | {
      readonly kind: 'in-water';
      readonly productId: string;
      readonly dose: LabelDose;
      /** that the bags get, L */
      readonly litres: number;
      /** of the feed in all, in the dose's unit */
      readonly amount: number;
      readonly cans: readonly FeedCan[];
      /** made up and not given, L */
      readonly leftoverLitres: number;
    }
  | {
      readonly kind: 'dry';
      readonly productId: string;
      readonly dose: LabelDose;
      readonly amount: number;
      readonly bags: readonly { readonly containerId: string; readonly amount: number }[];
    };

/** The last can is made up to the next half litre: nobody measures finer with wet hands, L. */
const CAN_STEP = 0.5;

/**
 * What to make up for all bags due, product by product, can by can along the walk. Each can is made up to as much as is
 * poured from it, to the next half litre, or full as a drum is; a bag is not split over two cans for less than that.
 *
 * @param needs in walking order
 * @param canLitres what it is made up in, a can or a drum, 0.2 to 5000
 * @param isMadeFull each is made up full, whatever is poured from it
 * @throws RundelError for a can of another size
 */
export function batchOf(
  needs: readonly BatchNeed[],
  canLitres: number,
  isMadeFull = false,
): readonly BatchPart[] {
  within('canLitres', canLitres, 0.2, 5000);
  const groups = new Map<string, BatchNeed[]>();
  for (const need of needs) {
    const { amount, unit, per } = need.dose;
    const key = [need.productId, amount, unit, per].join('|');
    groups.set(key, [...(groups.get(key) ?? []), need]);
  }
  return [...groups.values()].map((group): BatchPart => {
    const [first] = group as [BatchNeed];
    const { productId, dose } = first;
    const amountOf = (need: BatchNeed) => feedFor(dose, need).amount;
    const amount = group.reduce((sum, need) => sum + amountOf(need), 0);
    if (dose.per !== 'litre')
      return {
        kind: 'dry',
        productId,
        dose,
        amount,
        bags: group.map((need) => ({ containerId: need.containerId, amount: amountOf(need) })),
      };
    const litres = group.reduce((sum, need) => sum + need.waterLitres, 0);
    const cans = cansFor(group, canLitres, dose.amount, isMadeFull);
    const made = cans.reduce((sum, can) => sum + can.litres, 0);
    return {
      kind: 'in-water',
      productId,
      dose,
      litres,
      amount: made * dose.amount,
      cans,
      leftoverLitres: made - litres,
    };
  });
}

function cansFor(
  needs: readonly FedBag[],
  canLitres: number,
  perLitre: number,
  isMadeFull: boolean,
): readonly FeedCan[] {
  const cans: { litres: number; pours: { containerId: string; litres: number }[] }[] = [];
  let room = 0;
  for (const { containerId, waterLitres } of needs) {
    let left = waterLitres;
    while (left > 1e-9) {
      // nobody waters a bag twice for a cupful: what is left of a can is not made up
      if (room < 1e-9 || (room < CAN_STEP && left > room)) {
        cans.push({ litres: 0, pours: [] });
        room = canLitres;
      }
      const can = cans.at(-1);
      if (!can) break;
      const litres = Math.min(left, room);
      can.pours.push({ containerId, litres });
      can.litres += litres;
      left -= litres;
      room -= litres;
    }
  }
  return cans.map(({ litres, pours }) => {
    const poured = Math.ceil((litres - 1e-9) / CAN_STEP) * CAN_STEP;
    const made = isMadeFull ? canLitres : Math.min(canLitres, poured);
    return { litres: made, amount: made * perLitre, pours };
  });
}
