import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, type Day } from '../calendar/index.ts';
import type { Entry, EntryOf, PickStage } from '../records/index.ts';
import type { WeighedPicking } from './usual-weight.ts';

/** Fruit that lies together on the shelf. */
export interface ShelfLot {
  readonly id: string;
  readonly name: string | undefined;
  readonly cropId: string | undefined;
  readonly varietyId: string | undefined;
  readonly containerIds: readonly string[];
  readonly since: Day;
  readonly stage: PickStage;
  /** as it lies now, °C; undefined: nobody said */
  readonly celsius: number | undefined;
  readonly isWithFruit: boolean;
  readonly fruitsAWeek: number | undefined;
  /** put by, used and lost so far, in fruits */
  readonly put: number;
  readonly eaten: number;
  readonly given: number;
  readonly sold: number;
  readonly lost: number;
  /** that are left, as far as they were counted */
  readonly left: number;
  /** and some that nobody has counted so far */
  readonly isUncounted: boolean;
  /** of those, how many had coloured when they were last looked at */
  readonly ripe: number | undefined;
  readonly lastLookedOn: Day;
  /** between which days the most of it is ripe; undefined: it does not ripen on a shelf, or is ripe already */
  readonly ripeBy: { readonly from: Day; readonly likely: Day; readonly to: Day } | undefined;
  /** until when it keeps */
  readonly keepsUntil: Day;
  /** when it is looked through next */
  readonly lookOn: Day;
  readonly remark: 'too-cold' | 'too-warm' | 'will-not-ripen' | undefined;
  readonly entries: readonly (EntryOf<'shelved'> | EntryOf<'shelf-check'>)[];
}

/** What a kind that keeps is taken to keep where nothing is known, and any other ripe fruit; months to days. */
const MONTH_DAYS = 30.4;
/** Green and blush lots are looked through so often, and those that are ripe, days. */
const LOOK_EVERY = { unripe: 7, ripe: 3 };
/** From here on fruit softens before it colours. */
const TOO_WARM_CELSIUS = 30;
/** Where nobody said how warm it is: a shelf in a house. */
const INDOORS_CELSIUS = 18;
/** The range of ripening about its middle. */
const EARLY = 0.65;
const LATE = 1.5;

type ShelfAssumed = Pick<
  Assumed,
  | 'greenRipensDays'
  | 'blushRipensDays'
  | 'ripeningQ10'
  | 'ripeFruitSpeeds'
  | 'ripeKeepsDays'
  | 'chillCelsius'
  | 'shelfLossAWeek'
>;

/**
 * Days from picking to ripe on a shelf (Q10): half as warm is not half as fast.
 *
 * @param stage how it was picked
 * @returns 0 for what is ripe, undefined for what never ripens off the plant
 * @example
 * daysToRipeOnShelf('tomato', 'green', 20, false, { greenRipensDays: 14, blushRipensDays: 6, ripeningQ10: 2, ripeFruitSpeeds: 0.7 })
 * // => 14
 * @example
 * daysToRipeOnShelf('tomato', 'green', 10, false, { greenRipensDays: 14, blushRipensDays: 6, ripeningQ10: 2, ripeFruitSpeeds: 0.7 })
 * // => 28
 */
export function daysToRipeOnShelf(
  cropId: string | undefined,
  stage: PickStage,
  celsius: number,
  isWithFruit: boolean,
  assumed: Pick<ShelfAssumed, 'greenRipensDays' | 'blushRipensDays' | 'ripeningQ10' | 'ripeFruitSpeeds'>,
): number | undefined {
  if (stage === 'ripe' || stage === 'over') return 0;
  // aubergines and cucumbers only age, and a green pepper stays green
  if (cropId === 'aubergine' || cropId === 'cucumber' || (cropId === 'pepper' && stage === 'green'))
    return undefined;
  const at20 = stage === 'green' ? assumed.greenRipensDays : assumed.blushRipensDays;
  const speed = isWithFruit ? assumed.ripeFruitSpeeds : 1;
  return at20 * speed * assumed.ripeningQ10 ** ((20 - Math.min(celsius, TOO_WARM_CELSIUS)) / 10);
}

/** What a lot is of, by whoever stood where it was picked. */
export interface LotKind {
  readonly cropId: string;
  readonly varietyId: string;
  readonly keepsMonths: number | undefined;
  readonly fruitKilograms: number;
}

/** The lot of a picking that was stored: its own, where no other was named. */
export function lotIdOf(picking: Pick<EntryOf<'picking'>, 'id' | 'lotId'>): string {
  return picking.lotId ?? `lot_${picking.id.slice(4)}`;
}

/**
 * What lies on the shelf: lots of what was picked to be stored and of what was brought in, with what was taken from them since.
 *
 * @param pickings with a weight each, oldest first
 * @param kindOf what a picking is of; undefined where nobody stood there
 * @param today later entries do not count
 * @returns those with most to do first; empty ones last
 * @see docs/model.md, 15. The shelf
 */
export function shelfLots(
  live: readonly Entry[],
  pickings: readonly WeighedPicking[],
  kindOf: (picking: WeighedPicking) => LotKind | undefined,
  keepsMonthsOf: (varietyId: string) => number | undefined,
  today: Day,
  assumed: ShelfAssumed,
): readonly ShelfLot[] {
  const stored = new Map<string, WeighedPicking[]>();
  for (const p of pickings)
    if (p.use === 'stored' && dayOf(p.at) <= today)
      stored.set(lotIdOf(p), [...(stored.get(lotIdOf(p)) ?? []), p]);
  const told = new Map<string, (EntryOf<'shelved'> | EntryOf<'shelf-check'>)[]>();
  for (const e of live)
    if ((e.kind === 'shelved' || e.kind === 'shelf-check') && dayOf(e.at) <= today)
      told.set(e.lotId, [...(told.get(e.lotId) ?? []), e]);
  const ids = new Set([...stored.keys(), ...told.keys()]);
  return [...ids]
    .flatMap((id) => {
      const lot = lotOf(id, stored.get(id) ?? [], told.get(id) ?? [], kindOf, keepsMonthsOf, today, assumed);
      return lot ? [lot] : [];
    })
    .sort((a, b) => Number(isGone(a)) - Number(isGone(b)) || (a.lookOn < b.lookOn ? -1 : 1));
}

/** Whether nothing is left of a lot. */
export const isGone = ({ left, isUncounted }: Pick<ShelfLot, 'left' | 'isUncounted'>): boolean =>
  left === 0 && !isUncounted;

function lotOf(
  id: string,
  pickings: readonly WeighedPicking[],
  entries: readonly (EntryOf<'shelved'> | EntryOf<'shelf-check'>)[],
  kindOf: (picking: WeighedPicking) => LotKind | undefined,
  keepsMonthsOf: (varietyId: string) => number | undefined,
  today: Day,
  assumed: ShelfAssumed,
): ShelfLot | undefined {
  const shelved = entries.filter((e) => e.kind === 'shelved');
  const checks = entries.filter((e) => e.kind === 'shelf-check');
  const kinds = pickings.map(kindOf);
  const known = kinds.find((kind) => kind !== undefined);
  const brought = shelved.filter((e) => e.count !== undefined || e.kilograms !== undefined);
  if (pickings.length === 0 && brought.length === 0) return undefined;
  const last = <K extends keyof EntryOf<'shelved'>>(key: K): EntryOf<'shelved'>[K] | undefined =>
    shelved.findLast((e) => e[key] !== undefined)?.[key];
  const fruit = known?.fruitKilograms ?? 0.08;
  const inFruits = ({ count, kilograms = 0 }: Came, each: number) =>
    count ?? Math.max(1, Math.round(kilograms / each));
  const came = [
    ...pickings.map((p, i) => ({
      at: p.at,
      count: p.isUnmeasured ? 0 : inFruits(p, kinds[i]?.fruitKilograms ?? fruit),
    })),
    ...brought.map((e) => ({ at: e.at, count: inFruits(e, fruit) })),
  ];
  const told = came.reduce((sum, { count }) => sum + count, 0);
  const taken = (key: 'eaten' | 'given' | 'sold' | 'lost') =>
    checks.reduce((sum, e) => sum + (e[key] ?? 0), 0);
  const counted = checks.findLast((e) => e.left !== undefined);
  const since = [...pickings, ...brought].map((e) => dayOf(e.at)).sort()[0] ?? today;
  const used = taken('eaten') + taken('given') + taken('sold') + taken('lost');
  const left = leftOf(told, used, counted, checks, came);
  const untold = pickings.filter((p) => p.isUnmeasured);
  const isUncounted = untold.some(
    ({ at }) => counted === undefined || Date.parse(at) > Date.parse(counted.at),
  );
  // what nobody counted as it came is known once it is gone or counted
  const put = untold.length > 0 ? Math.max(told, used + left) : told;
  const varietyId = last('varietyId') ?? known?.varietyId;
  const cropId = last('cropId') ?? known?.cropId;
  const stages = [...pickings.map((p) => p.stage ?? 'green'), ...brought.map((e) => e.stage ?? 'green')];
  // the greenest says how long it takes
  const stage = (['green', 'blush', 'ripe', 'over'] as const).find((s) => stages.includes(s)) ?? 'green';
  const celsius = last('celsius');
  const isWithFruit = last('isWithFruit') ?? false;
  const ripeBy = ripeByOf(cropId, stage, since, shelved, assumed);
  const months = last('keepsMonths') ?? (varietyId === undefined ? undefined : keepsMonthsOf(varietyId));
  const ripeFrom = ripeBy?.likely ?? since;
  const kept = assumed.ripeKeepsDays * assumed.ripeningQ10 ** ((15 - (celsius ?? INDOORS_CELSIUS)) / 10);
  const keepsUntil =
    months === undefined
      ? addDays(ripeFrom, Math.round(kept))
      : addDays(since, Math.round(months * MONTH_DAYS));
  const lastLookedOn = checks.map((e) => dayOf(e.at)).at(-1) ?? since;
  const isKeeper = months !== undefined || last('fruitsAWeek') !== undefined;
  const every =
    !isKeeper && (ripeBy === undefined || today >= ripeBy.from) ? LOOK_EVERY.ripe : LOOK_EVERY.unripe;
  return {
    id,
    name: last('name'),
    cropId,
    varietyId,
    containerIds: [...new Set(pickings.map((p) => p.containerId))],
    since,
    stage,
    celsius,
    isWithFruit,
    fruitsAWeek: last('fruitsAWeek'),
    put,
    eaten: taken('eaten'),
    given: taken('given'),
    sold: taken('sold'),
    lost: taken('lost'),
    left,
    isUncounted,
    ripe: checks.at(-1)?.ripe,
    lastLookedOn,
    ripeBy,
    keepsUntil,
    lookOn: addDays(lastLookedOn, every),
    remark:
      stage === 'ripe' || stage === 'over' || celsius === undefined
        ? ripeBy === undefined && (stage === 'green' || stage === 'blush')
          ? 'will-not-ripen'
          : undefined
        : ripeBy === undefined
          ? 'will-not-ripen'
          : celsius < assumed.chillCelsius
            ? 'too-cold'
            : celsius >= TOO_WARM_CELSIUS
              ? 'too-warm'
              : undefined,
    entries,
  };
}

type Came = Partial<Pick<EntryOf<'shelved'>, 'count' | 'kilograms'>>;

/** A count of what is left goes before what was worked out, and what came or went since changes it. */
function leftOf(
  put: number,
  used: number,
  counted: EntryOf<'shelf-check'> | undefined,
  checks: readonly EntryOf<'shelf-check'>[],
  came: readonly { readonly at: string; readonly count: number }[],
): number {
  if (counted?.left === undefined) return Math.max(0, put - used);
  const after = ({ at }: { readonly at: string }) => Date.parse(at) > Date.parse(counted.at);
  const since = came.filter(after).reduce((sum, { count }) => sum + count, 0);
  const went = checks
    .filter(after)
    .reduce((sum, e) => sum + (e.eaten ?? 0) + (e.given ?? 0) + (e.sold ?? 0) + (e.lost ?? 0), 0);
  return Math.max(0, counted.left + since - went);
}

/** Ripening runs on at the pace of each place in which a lot lay. */
function ripeByOf(
  cropId: string | undefined,
  stage: PickStage,
  since: Day,
  shelved: readonly EntryOf<'shelved'>[],
  assumed: ShelfAssumed,
): ShelfLot['ripeBy'] {
  const moves = shelved.filter((e) => e.celsius !== undefined || e.isWithFruit !== undefined);
  const dayWhen = (share: number): Day | undefined => {
    let done = 0;
    let day = since;
    let celsius = INDOORS_CELSIUS;
    let isWithFruit = false;
    for (let i = 0; i < 400; i++) {
      for (const move of moves) {
        if (dayOf(move.at) > day) break;
        celsius = move.celsius ?? celsius;
        isWithFruit = move.isWithFruit ?? isWithFruit;
      }
      const days = daysToRipeOnShelf(cropId, stage, celsius, isWithFruit, assumed);
      if (days === undefined || days === 0) return undefined;
      done += 1 / days;
      day = addDays(day, 1);
      if (done >= share) return day;
    }
    return day;
  };
  const likely = dayWhen(1);
  if (likely === undefined) return undefined;
  return { from: dayWhen(EARLY) ?? likely, likely, to: dayWhen(LATE) ?? likely };
}

/** How long a lot lasts at its pace, with what is lost meanwhile. */
export interface Drawdown {
  /** the day on which the last is eaten */
  readonly until: Day;
  /** that are likely lost by then */
  readonly lost: number;
  /** it is drawn slower than it keeps: so many are past it before they are eaten */
  readonly leftOver: number;
}

/**
 * A keeping lot drawn a few a week through winter.
 *
 * @example
 * drawdown(30, 2, '2026-10-25', '2027-06-01', { shelfLossAWeek: 0 })
 * // => { until: '2027-02-07', lost: 0, leftOver: 0 }
 */
export function drawdown(
  left: number,
  fruitsAWeek: number,
  today: Day,
  keepsUntil: Day,
  assumed: Pick<Assumed, 'shelfLossAWeek'>,
): Drawdown {
  let there = left;
  let lost = 0;
  let week = 0;
  while (there > 0.5 && week < 104) {
    if (addDays(today, 7 * week) >= keepsUntil) break;
    const gone = there * assumed.shelfLossAWeek;
    lost += gone;
    there = Math.max(0, there - gone - fruitsAWeek);
    week += 1;
  }
  const until = addDays(today, 7 * week);
  return { until, lost: Math.round(lost), leftOver: until >= keepsUntil ? Math.round(there) : 0 };
}
