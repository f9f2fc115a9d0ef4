import { addDays, dayOf } from '@rundel/core/climate';
import { entriesAt, type Entry, type EntryOf } from '@rundel/core/diary';
import { adviseDrink, type DrinkAdvice, type Look } from '@rundel/core/water';
import type { Bag } from '../store/index.ts';
import type { Walk } from './walk.ts';

/** How far a stop of the walk has come. */
export type StopStatus =
  | { readonly kind: 'look' }
  /** looked at; the answer is being worked out */
  | { readonly kind: 'working'; readonly look: EntryOf<'look'> }
  | { readonly kind: 'drink'; readonly look: EntryOf<'look'>; readonly advice: DrinkAdvice }
  | {
      readonly kind: 'done';
      readonly look: EntryOf<'look'> | undefined;
      readonly drunkLitres: number;
      readonly advice: DrinkAdvice | undefined;
    }
  /** its water is seen to, its feed is not */
  | {
      readonly kind: 'feed';
      readonly look: EntryOf<'look'> | undefined;
      readonly drunkLitres: number;
      readonly advice: DrinkAdvice | undefined;
    }
  | { readonly kind: 'skipped' };

/** What has been done at a bag in this walk follows from its diary, "not now" too. */
export function statusOf(
  bag: Bag,
  walk: Walk | undefined,
  live: readonly Entry[],
  measure: Parameters<typeof adviseDrink>[2]['measure'],
  isBeforeColdNight = false,
): StopStatus {
  const since = walk ? Date.parse(walk.startedAt) : Infinity;
  const here = entriesAt(live, bag.container.id).filter((e) => Date.parse(e.at) >= since);
  const look = here.findLast((e) => e.kind === 'look');
  const drinks = here.filter((e) => e.kind === 'drink' && (!look || Date.parse(e.at) >= Date.parse(look.at)));
  const left = here.findLast((e) => e.kind === 'skipped');
  const isSkipped = left !== undefined && (!look || Date.parse(left.at) >= Date.parse(look.at));
  const drunkLitres = drinks.reduce((sum, e) => sum + (e.kind === 'drink' ? e.litres : 0), 0);
  if (!look) {
    if (drunkLitres > 0) return { kind: 'done', look, drunkLitres, advice: undefined };
    return isSkipped ? { kind: 'skipped' } : { kind: 'look' };
  }
  const { water } = bag;
  const isIn =
    water?.estimate.moves.some((move) => move.entryId === look.id) ||
    water?.setAside.some((reading) => reading.entryId === look.id);
  if (!water || !isIn) return { kind: 'working', look };
  const advice = adviseDrink(
    water.estimate,
    bag.body,
    {
      look: asLook(look.look, water.estimate.share.likely),
      isDueAgainBeforeNextRound: water.ahead.nextLook.kind === 'now',
      daysSincePlanting: water.daysSincePlanting,
      measure,
      isBeforeColdNight,
    },
    bag.body.assumed,
  );
  if (drunkLitres > 0 || !advice.isWanted) return { kind: 'done', look, drunkLitres, advice };
  return isSkipped ? { kind: 'skipped' } : { kind: 'drink', look, advice };
}

/** Whether a stop still wants the grower. */
export function isOpen(status: StopStatus): boolean {
  return (
    status.kind === 'look' || status.kind === 'drink' || status.kind === 'feed' || status.kind === 'working'
  );
}

/** A reading as the advice takes it: by then the estimate has it in. */
function asLook(look: EntryOf<'look'>['look'], share: number): Look {
  return look.method === 'scale' || look.method === 'probe' ? { method: 'reading', share, sd: 0 } : look;
}

/** Whether the coming night is entered (as tomorrow's weather) and colder than a grower keeps bags wet for. */
export function isBeforeColdNight(live: readonly Entry[], below: number | undefined, now: string): boolean {
  if (below === undefined) return false;
  const tomorrow = addDays(dayOf(now), 1);
  const night = live.findLast((e) => e.kind === 'weather' && e.day === tomorrow);
  return night?.kind === 'weather' && night.minCelsius < below;
}
