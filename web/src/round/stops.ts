import type { Entry, EntryOf } from '@rundel/core/diary';
import { adviseDrink, type DrinkAdvice } from '@rundel/core/water';
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
  | { readonly kind: 'skipped' };

/** What has been done at a bag in this walk follows from its diary; only "not now" is kept in the walk. */
export function statusOf(
  bag: Bag,
  walk: Walk | undefined,
  live: readonly Entry[],
  measure: Parameters<typeof adviseDrink>[2]['measure'],
): StopStatus {
  const since = walk ? Date.parse(walk.startedAt) : Infinity;
  const here = live.filter(
    (e) => 'containerId' in e && e.containerId === bag.container.id && Date.parse(e.at) >= since,
  );
  const look = here.findLast((e) => e.kind === 'look');
  const drinks = here.filter((e) => e.kind === 'drink' && (!look || Date.parse(e.at) >= Date.parse(look.at)));
  const drunkLitres = drinks.reduce((sum, e) => sum + (e.kind === 'drink' ? e.litres : 0), 0);
  if (!look) {
    if (drunkLitres > 0) return { kind: 'done', look, drunkLitres, advice: undefined };
    return walk?.skippedIds.includes(bag.container.id) ? { kind: 'skipped' } : { kind: 'look' };
  }
  const { water } = bag;
  if (!water || !water.estimate.moves.some((move) => move.entryId === look.id))
    return { kind: 'working', look };
  const advice = adviseDrink(
    water.estimate,
    bag.body,
    {
      look: look.look,
      isDueAgainBeforeNextRound: water.ahead.nextLook.kind === 'now',
      daysSincePlanting: water.daysSincePlanting,
      measure,
    },
    bag.body.assumed,
  );
  if (drunkLitres > 0 || !advice.isWanted) return { kind: 'done', look, drunkLitres, advice };
  return walk?.skippedIds.includes(bag.container.id) ? { kind: 'skipped' } : { kind: 'drink', look, advice };
}

/** Whether a stop still wants the grower. */
export function isOpen(status: StopStatus): boolean {
  return status.kind === 'look' || status.kind === 'drink' || status.kind === 'working';
}
