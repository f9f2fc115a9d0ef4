import { knownWeather } from './known-weather.ts';
import type { BagView } from './bag-view.ts';
import { addDays, dayOf } from '../calendar/index.ts';
import { entriesAt, type Entry, type EntryOf } from '../records/index.ts';
import { effectiveChecks } from '../round/index.ts';
import { adviseWatering, isDry, type WateringAdvice, type MoistureCheck } from '../water/index.ts';

/** What was seen at a stop: the check that counts, and all that stand; more than one where single plants were felt. */
interface Seen {
  readonly check: EntryOf<'check'>;
  readonly checks: readonly EntryOf<'check'>[];
}

/** How far a stop of the walk has come. */
export type StopStatus =
  | { readonly kind: 'check' }
  /** checked; the answer is being worked out */
  | (Seen & { readonly kind: 'working' })
  | (Seen & { readonly kind: 'watering'; readonly advice: WateringAdvice })
  | {
      readonly kind: 'done';
      readonly check: EntryOf<'check'> | undefined;
      readonly checks: readonly EntryOf<'check'>[];
      readonly wateredLitres: number;
      readonly advice: WateringAdvice | undefined;
    }
  /** its water is seen to, its feed is not */
  | {
      readonly kind: 'feed';
      readonly check: EntryOf<'check'> | undefined;
      readonly checks: readonly EntryOf<'check'>[];
      readonly wateredLitres: number;
      readonly advice: WateringAdvice | undefined;
    }
  | { readonly kind: 'skipped' };

/** What has been done at a bag in this walk follows from its diary, "not now" too. */
export function statusOf(
  bag: BagView,
  walk: { readonly startedAt: string } | undefined,
  live: readonly Entry[],
  measure: Parameters<typeof adviseWatering>[2]['measure'],
  isBeforeColdNight = false,
): StopStatus {
  const since = walk ? Date.parse(walk.startedAt) : Infinity;
  const here = entriesAt(live, bag.container.id).filter((e) => Date.parse(e.at) >= since);
  const seen = here.filter((e) => e.kind === 'check');
  const checks = effectiveChecks(seen);
  const [check] = checks;
  const last = seen.at(-1);
  const waterings = here.filter(
    (e) => e.kind === 'watering' && (!check || Date.parse(e.at) >= Date.parse(check.at)),
  );
  const left = here.findLast((e) => e.kind === 'skipped');
  const isSkipped = left !== undefined && (!last || Date.parse(left.at) >= Date.parse(last.at));
  const wateredLitres = waterings.reduce((sum, e) => sum + (e.kind === 'watering' ? e.litres : 0), 0);
  if (!check || !last) {
    if (wateredLitres > 0) return { kind: 'done', check, checks, wateredLitres, advice: undefined };
    return isSkipped ? { kind: 'skipped' } : { kind: 'check' };
  }
  const { water } = bag;
  const isIn =
    water?.estimate.moves.some((move) => move.entryId === last.id) ||
    water?.setAside.some((reading) => reading.entryId === last.id);
  if (!water || !isIn) return { kind: 'working', check, checks };
  const advice = adviseWatering(
    water.estimate,
    water,
    {
      check: asCheck(check.check, water.estimate.share.likely),
      isDueAgainBeforeNextRound: water.ahead.nextCheck.kind === 'now',
      isEstablishing: water.isEstablishing,
      measure,
      isBeforeColdNight,
    },
    bag.properties.assumed,
  );
  if (wateredLitres > 0 || !advice.isWanted) return { kind: 'done', check, checks, wateredLitres, advice };
  return isSkipped ? { kind: 'skipped' } : { kind: 'watering', check, checks, advice };
}

/** Whether a bag was found dry at this stop of the walk. */
export function wasFoundDry(status: StopStatus, { water, properties }: BagView): boolean {
  if (!('checks' in status) || !water) return false;
  const share = water.estimate.share.likely;
  return status.checks.some(
    ({ check }) => check.method !== 'level' && isDry(asCheck(check, share), properties.assumed),
  );
}

/** Whether a stop still wants the grower. */
export function isOpen(status: StopStatus): boolean {
  return (
    status.kind === 'check' ||
    status.kind === 'watering' ||
    status.kind === 'feed' ||
    status.kind === 'working'
  );
}

/** A reading as the advice takes it: by then the estimate has it in. */
function asCheck(check: EntryOf<'check'>['check'], share: number): MoistureCheck {
  return check.method === 'scale' || check.method === 'probe' ? { method: 'reading', share, sd: 0 } : check;
}

/** Whether the coming night is entered (as tomorrow's weather) and colder than a grower keeps bags wet for. */
export function isBeforeColdNight(live: readonly Entry[], below: number | undefined, now: string): boolean {
  if (below === undefined) return false;
  const tomorrow = addDays(dayOf(now), 1);
  const night = knownWeather(live).find(({ day }) => day === tomorrow);
  return (night?.minCelsius ?? Infinity) < below;
}
