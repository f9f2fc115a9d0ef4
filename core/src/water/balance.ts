import type { Assumed } from '../assumed/index.ts';
import { dayOf, type Day } from '../calendar/index.ts';
import { bagDepletion, type WaterBag } from './demand.ts';
import { afterRefill, draw, handFilled } from './stores.ts';
import { afterGain, afterLoss } from './stress.ts';
import type { TimelineStep } from './timeline.ts';

/**
 * One day's account of a bag's water, L.
 *
 * The mix: `start + watering + rain + drip + fromStores − used − evaporated − drained = end`.
 * Its stores: `storesStart + filled + caught − fromStores − spilt = storesEnd`; what they caught is part of what drained.
 */
export interface BalanceDay {
  readonly day: Day;
  readonly startLitres: number;
  readonly wateringLitres: number;
  readonly rainLitres: number;
  readonly dripLitres: number;
  readonly fromStoresLitres: number;
  readonly usedLitres: number;
  readonly evaporatedLitres: number;
  readonly drainedLitres: number;
  readonly endLitres: number;
  readonly storesStartLitres: number;
  readonly filledLitres: number;
  readonly caughtLitres: number;
  readonly spiltLitres: number;
  readonly storesEndLitres: number;
}

type Account = { -readonly [K in keyof BalanceDay]: BalanceDay[K] };

/**
 * The plain water balance, without doubt: what the model says when every figure is taken at its word.
 * It ignores checks. The filter is tested against it, and it shows a grower where the water went.
 *
 * @param startLitres available water at the start, 0 to the bag's availableLitres
 * @param useMultiplier this bag's own use against its kind's, above 0
 * @returns one account a day that the steps touch; mass is conserved to rounding
 * @see docs/model.md, 7. Water
 */
export function waterBalance(
  bag: WaterBag,
  steps: readonly TimelineStep[],
  startLitres: number,
  firstDay: Day,
  useMultiplier = 1,
  assumed: Assumed,
): readonly BalanceDay[] {
  const taw = bag.availableLitres;
  const depletion = bagDepletion(bag);
  const levels = bag.stores.map(({ litres, startShare }) => litres * startShare);
  const stored = () => levels.reduce((sum, level) => sum + level, 0);
  const days: Account[] = [];
  let litres = startLitres;
  const accountOf = (day: Day): Account => {
    const last = days.at(-1);
    if (last?.day === day) return last;
    const fresh = emptyAccount(day, litres, stored());
    days.push(fresh);
    return fresh;
  };
  const close = (account: Account) => {
    account.endLitres = litres;
    account.storesEndLitres = stored();
  };
  const gain = (account: Account, amount: number) => {
    const { w, drained } = afterGain(litres / taw, amount / taw, assumed);
    litres = w * taw;
    account.drainedLitres += drained * taw;
    let left = drained * taw;
    bag.stores.forEach((store, s) => {
      if (!store.catchesDrained) return;
      const caught = Math.min(left, store.litres - (levels[s] as number));
      levels[s] = (levels[s] as number) + caught;
      account.caughtLitres += caught;
      left -= caught;
    });
  };
  accountOf(firstDay);
  for (const step of steps) {
    if (step.kind === 'use') {
      const account = accountOf(dayOf(step.until));
      const asked = step.transpirationLitres * useMultiplier + step.evaporationLitres;
      const refillRates = bag.stores.map(({ perDay }) => perDay * step.days * step.rooted);
      const refillRate = refillRates.reduce((sum, p, s) => sum + ((levels[s] as number) > 0 ? p : 0), 0);
      const alone = afterLoss(litres / taw, asked / taw, depletion) * taw;
      const { released } = afterRefill(litres / taw, asked / taw, refillRate, stored() / taw, depletion);
      draw(levels, refillRates, released * taw);
      const lost = litres - alone;
      const plantShare = asked > 0 ? (step.transpirationLitres * useMultiplier) / asked : 0;
      account.usedLitres += lost * plantShare;
      account.evaporatedLitres += lost * (1 - plantShare);
      account.fromStoresLitres += released * taw;
      litres = alone + released * taw;
      account.rainLitres += step.rainLitres;
      account.dripLitres += step.dripLitres;
      gain(account, step.rainLitres + step.dripLitres);
      close(account);
    } else if (step.event.kind === 'emptied') {
      const s = handFilled(bag.stores);
      if (s < 0) continue;
      const account = accountOf(dayOf(step.event.at));
      account.spiltLitres += levels[s] as number;
      levels[s] = 0;
      close(account);
    } else if (step.event.kind === 'watering') {
      const { event } = step;
      const account = accountOf(dayOf(event.at));
      const s = event.into === 'store' ? handFilled(bag.stores) : -1;
      const store = bag.stores[s];
      if (store) {
        account.filledLitres += event.litres;
        const room = store.litres - (levels[s] as number);
        account.spiltLitres += Math.max(0, event.litres - room);
        levels[s] = (levels[s] as number) + Math.min(room, event.litres);
      } else {
        account.wateringLitres += event.litres;
        gain(account, event.litres);
      }
      close(account);
    }
  }
  return days;
}

function emptyAccount(day: Day, litres: number, stored: number): Account {
  return {
    day,
    startLitres: litres,
    wateringLitres: 0,
    rainLitres: 0,
    dripLitres: 0,
    fromStoresLitres: 0,
    usedLitres: 0,
    evaporatedLitres: 0,
    drainedLitres: 0,
    endLitres: litres,
    storesStartLitres: stored,
    filledLitres: 0,
    caughtLitres: 0,
    spiltLitres: 0,
    storesEndLitres: stored,
  };
}
