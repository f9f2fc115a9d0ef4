import { addDays, dayOf } from '@rundel/core/calendar';
import { entriesAt, type Entry, type EntryOf } from '@rundel/core/records';
import { standingLooks } from '@rundel/core/round';
import { adviseDrink, type DrinkAdvice, type Look } from '@rundel/core/water';
import type { Bag } from '../../store/index.ts';
import type { Walk } from './walk.ts';

/** What was seen at a stop: the look that counts, and all that stand; more than one where single plants were felt. */
interface Seen {
  readonly look: EntryOf<'look'>;
  readonly looks: readonly EntryOf<'look'>[];
}

/** How far a stop of the walk has come. */
export type StopStatus =
  | { readonly kind: 'look' }
  /** looked at; the answer is being worked out */
  | (Seen & { readonly kind: 'working' })
  | (Seen & { readonly kind: 'drink'; readonly advice: DrinkAdvice })
  | {
      readonly kind: 'done';
      readonly look: EntryOf<'look'> | undefined;
      readonly looks: readonly EntryOf<'look'>[];
      readonly drunkLitres: number;
      readonly advice: DrinkAdvice | undefined;
    }
  /** its water is seen to, its feed is not */
  | {
      readonly kind: 'feed';
      readonly look: EntryOf<'look'> | undefined;
      readonly looks: readonly EntryOf<'look'>[];
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
  const seen = here.filter((e) => e.kind === 'look');
  const looks = standingLooks(seen);
  const [look] = looks;
  const last = seen.at(-1);
  const drinks = here.filter((e) => e.kind === 'drink' && (!look || Date.parse(e.at) >= Date.parse(look.at)));
  const left = here.findLast((e) => e.kind === 'skipped');
  const isSkipped = left !== undefined && (!last || Date.parse(left.at) >= Date.parse(last.at));
  const drunkLitres = drinks.reduce((sum, e) => sum + (e.kind === 'drink' ? e.litres : 0), 0);
  if (!look || !last) {
    if (drunkLitres > 0) return { kind: 'done', look, looks, drunkLitres, advice: undefined };
    return isSkipped ? { kind: 'skipped' } : { kind: 'look' };
  }
  const { water } = bag;
  const isIn =
    water?.estimate.moves.some((move) => move.entryId === last.id) ||
    water?.setAside.some((reading) => reading.entryId === last.id);
  if (!water || !isIn) return { kind: 'working', look, looks };
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
  if (drunkLitres > 0 || !advice.isWanted) return { kind: 'done', look, looks, drunkLitres, advice };
  return isSkipped ? { kind: 'skipped' } : { kind: 'drink', look, looks, advice };
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
