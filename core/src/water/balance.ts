import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import { dayOf, type Day } from '../climate/index.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { afterGain, afterLoss } from './stress.ts';
import type { TimelineStep } from './timeline.ts';

/** One day's account of a bag's water, L. `start + drink + rain − used − evaporated − drained = end`. */
export interface BalanceDay {
  readonly day: Day;
  readonly startLitres: number;
  readonly drinkLitres: number;
  readonly rainLitres: number;
  readonly usedLitres: number;
  readonly evaporatedLitres: number;
  readonly drainedLitres: number;
  readonly endLitres: number;
}

type Account = { -readonly [K in keyof BalanceDay]: BalanceDay[K] };

/**
 * The plain water balance, without doubt: what the model says when every figure is taken at its word.
 * It ignores looks. The filter is tested against it, and it shows a grower where the water went.
 *
 * @param startLitres available water at the start, 0 to the bag's availableLitres
 * @param useMultiplier this bag's own use against its kind's, above 0
 * @returns one account a day that the steps touch; mass is conserved to rounding
 */
export function waterBalance(
  bag: WaterBag,
  steps: readonly TimelineStep[],
  startLitres: number,
  firstDay: Day,
  useMultiplier = 1,
  assumed: Assumed = DEFAULT_ASSUMED,
): readonly BalanceDay[] {
  const taw = bag.availableLitres;
  const depletion = bagDepletion(bag);
  const days: Account[] = [];
  let litres = startLitres;
  const accountOf = (day: Day): Account => {
    const last = days.at(-1);
    if (last?.day === day) return last;
    const fresh: Account = {
      day,
      startLitres: litres,
      drinkLitres: 0,
      rainLitres: 0,
      usedLitres: 0,
      evaporatedLitres: 0,
      drainedLitres: 0,
      endLitres: litres,
    };
    days.push(fresh);
    return fresh;
  };
  const gain = (account: Account, amount: number) => {
    const { w, drained } = afterGain(litres / taw, amount / taw, assumed);
    account.drainedLitres += drained * taw;
    litres = w * taw;
  };
  accountOf(firstDay);
  for (const step of steps) {
    if (step.kind === 'use') {
      const account = accountOf(dayOf(step.until));
      const asked = step.transpirationLitres * useMultiplier + step.evaporationLitres;
      const left = afterLoss(litres / taw, asked / taw, depletion) * taw;
      const lost = litres - left;
      const plantShare = asked > 0 ? (step.transpirationLitres * useMultiplier) / asked : 0;
      account.usedLitres += lost * plantShare;
      account.evaporatedLitres += lost * (1 - plantShare);
      litres = left;
      account.rainLitres += step.rainLitres;
      gain(account, step.rainLitres);
      account.endLitres = litres;
    } else if (step.event.kind === 'drink') {
      const account = accountOf(dayOf(step.event.at));
      account.drinkLitres += step.event.litres;
      gain(account, step.event.litres);
      account.endLitres = litres;
    }
  }
  return days;
}
