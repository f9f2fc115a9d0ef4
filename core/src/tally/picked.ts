import { dayOf, type Day } from '../calendar/index.ts';
import type { WeighedPicking } from '../pickings/index.ts';
import type { Occupant } from '../plants/index.ts';
import { standingThen } from './context.ts';

/** What was picked of one plant in a season, added up. */
export interface Picked {
  /** how often fruit was taken from it, or from it and others */
  pickings: number;
  /** the same, and of one that it shares with others its part */
  pickingShares: number;
  /** shares of pickings of which nobody took a weight or a count */
  unmeasured: number;
  kilograms: number;
  byCountKilograms: number;
  lostKilograms: number;
  givenKilograms: number;
  soldKilograms: number;
  soldFor: number;
  count: number;
  countedKilograms: number;
  worth: number;
  days: Map<Day, number>;
}

const nothing = (): Picked => ({
  ...{ pickings: 0, pickingShares: 0, unmeasured: 0, kilograms: 0, byCountKilograms: 0, lostKilograms: 0 },
  ...{
    givenKilograms: 0,
    soldKilograms: 0,
    soldFor: 0,
    count: 0,
    countedKilograms: 0,
    worth: 0,
    days: new Map(),
  },
});

/**
 * A bag's pickings shared by its plants. What was picked before the planting that is on record is of that plant (its day is known by
 * halves); what was picked where no planting is known at all is of nobody, and counts all the same.
 *
 * @param priceOf what the shop asks for a kilogram of a plant's fruit
 * @returns a sum for each plant; for nobody where there was anything of nobody
 */
export function pickedByPlant(
  occupants: readonly Occupant[],
  pickings: readonly WeighedPicking[],
  priceOf: (occupant: Occupant) => number | undefined,
): ReadonlyMap<Occupant | undefined, Picked> {
  const sums = new Map<Occupant | undefined, Picked>(occupants.map((o) => [o, nothing()]));
  for (const p of pickings) {
    const known = standingThen(p, occupants);
    const there = known.length > 0 ? known : [occupants[0]];
    for (const o of there) {
      const sum = sums.get(o) ?? nothing();
      sums.set(o, sum);
      add(sum, p, there.length, o && priceOf(o));
    }
  }
  return sums;
}

function add(sum: Picked, p: WeighedPicking, among: number, price: number | undefined): void {
  const kilograms = p.kilograms / among;
  const day = dayOf(p.at);
  sum.pickings += 1;
  sum.pickingShares += 1 / among;
  if (p.isUnmeasured) sum.unmeasured += 1 / among;
  sum.kilograms += kilograms;
  sum.days.set(day, (sum.days.get(day) ?? 0) + kilograms);
  if (p.isByCount) sum.byCountKilograms += kilograms;
  if (p.use === 'lost') sum.lostKilograms += kilograms;
  if (p.use === 'given') sum.givenKilograms += kilograms;
  if (p.use === 'sold') sum.soldKilograms += kilograms;
  if (p.soldFor !== undefined) sum.soldFor += p.soldFor / among;
  if (p.count !== undefined) {
    sum.count += p.count / among;
    sum.countedKilograms += kilograms;
  }
  // what was sold counts by what was got for it
  if (p.soldFor !== undefined) sum.worth += p.soldFor / among;
  else if (p.use !== 'lost') sum.worth += kilograms * (price ?? 0);
}
