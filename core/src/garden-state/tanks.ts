import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, type Day } from '../calendar/index.ts';
import { daysLeft, solutionCourse, type SolutionCourse, type SolutionEntry } from '../feeding/index.ts';
import { habitFigures, occupantsNow } from '../plants/index.ts';
import {
  byTime,
  entriesAt,
  entriesOfKind,
  type Container,
  type Entry,
  type Garden,
  type Tank,
} from '../records/index.ts';
import type { WaterEvent } from '../water/index.ts';

/** What was found in a tank, and what was done to it, in that order. */
export interface TankEvent {
  readonly entryId: string;
  readonly at: string;
  /** how full it was found, 0 to 1 */
  readonly foundShare: number | undefined;
  /** in litres, and not at a glance */
  readonly isMeasured: boolean;
  readonly isEmptied: boolean;
  readonly addedLitres: number | undefined;
  /** it was filled until it ran over */
  readonly isFilledUp: boolean;
  readonly ecMillisiemens: number | undefined;
  readonly ph: number | undefined;
}

type TankGarden = Pick<Garden, 'containers' | 'plants' | 'varieties' | 'batches' | 'tanks' | 'settings'>;

/** The bags that are on a tank now. */
export function bagsOfTank(tankId: string, { containers }: Pick<Garden, 'containers'>): readonly Container[] {
  return containers.filter((c) => c.tankId === tankId && !c.binnedAt);
}

/** The tank of a bag, if it shares one that is in use. */
export function tankOf(container: Container, { tanks }: Pick<Garden, 'tanks'>): Tank | undefined {
  return tanks.find(({ id, binnedAt }) => id === container.tankId && !binnedAt);
}

const NOTHING = {
  foundShare: undefined,
  isMeasured: false,
  isEmptied: false,
  addedLitres: undefined,
  isFilledUp: false,
  ecMillisiemens: undefined,
  ph: undefined,
} as const;

/**
 * All that was found in a tank and done to it, oldest first: by its own entries, and by what was seen or poured while one stood at
 * one of its bags.
 *
 * @param live the garden's live entries, oldest first
 */
export function tankEvents(
  tank: Tank,
  garden: Pick<Garden, 'containers'>,
  live: readonly Entry[],
): readonly TankEvent[] {
  const own = entriesOfKind(live, 'tank').filter((e) => e.tankId === tank.id);
  const atBags = bagsOfTank(tank.id, garden).flatMap(({ id }) => entriesAt(live, id));
  return [...own, ...atBags].sort(byTime).flatMap((e): readonly TankEvent[] => {
    const base = { ...NOTHING, entryId: e.id, at: e.at };
    if (e.kind === 'tank') {
      const { foundLitres, addedLitres, ecMillisiemens, ph } = e;
      const foundShare = foundLitres === undefined ? undefined : Math.min(1, foundLitres / tank.litres);
      return [
        {
          ...base,
          foundShare,
          isMeasured: !e.isAtAGlance,
          addedLitres,
          ecMillisiemens,
          ph,
          isEmptied: e.isEmptied ?? false,
        },
      ];
    }
    if (e.kind === 'check' && e.check.method === 'level') return [{ ...base, foundShare: e.check.share }];
    if (e.kind === 'watering' && e.into === 'store')
      return [{ ...base, addedLitres: e.litres, isFilledUp: e.ranThrough }];
    if (e.kind === 'solution')
      return [{ ...base, isEmptied: e.what === 'changed', ecMillisiemens: e.ecMillisiemens, ph: e.ph }];
    return [];
  });
}

/**
 * The share of a tank that each of its bags drinks, by the leaf of what stands in it when grown; they add up to 1.
 *
 * @param live the garden's live entries, oldest first
 */
export function tankShares(
  tank: Tank,
  garden: TankGarden,
  live: readonly Entry[],
): ReadonlyMap<string, number> {
  const weights = bagsOfTank(tank.id, garden).map((container): readonly [string, number] => {
    const leaf = occupantsNow(container, live, garden).reduce((sum, { crop, habit }) => {
      const { canopySquareMetres } = habitFigures(crop.id, habit, garden.settings.assumptions);
      return sum + crop.kcMid * canopySquareMetres;
    }, 0);
    return [container.id, Math.max(EMPTY_BAG, leaf)];
  });
  const sum = weights.reduce((total, [, weight]) => total + weight, 0);
  return new Map(weights.map(([id, weight]) => [id, weight / sum]));
}

/** What a bag in which nothing stands counts for beside the others, m² of leaf. */
const EMPTY_BAG = 0.02;

/** A bag with its part of the tank that it shares as a drum of its own: the water model follows one bag at a time. */
export function withTank(container: Container, garden: TankGarden, live: readonly Entry[]): Container {
  const tank = tankOf(container, garden);
  const share = tank && tankShares(tank, garden, live).get(container.id);
  if (!tank || share === undefined) return container;
  const others = (container.stores ?? []).filter(({ kind }) => kind !== 'drum');
  return { ...container, stores: [{ kind: 'drum', litres: tank.litres * share }, ...others] };
}

/** What is found in a tank and done to it, as it bears on one of its bags: all see the same level, and share what goes in. */
export function tankWaterEvents(events: readonly TankEvent[], share: number): readonly WaterEvent[] {
  return events.flatMap(
    ({ entryId, at, foundShare, isMeasured, isEmptied, addedLitres, isFilledUp }): WaterEvent[] => [
      // who pours it out need not know what was in it
      ...(foundShare === undefined || isEmptied
        ? []
        : [
            {
              kind: 'check' as const,
              id: `${entryId} 1`,
              at,
              check: {
                method: 'level' as const,
                share: foundShare,
                ...(isMeasured ? { sd: MEASURED_LEVEL } : {}),
              },
            },
          ]),
      ...(isEmptied ? [{ kind: 'emptied' as const, id: `${entryId} 2`, at }] : []),
      ...(addedLitres === undefined
        ? []
        : [
            {
              kind: 'watering' as const,
              id: `${entryId} 3`,
              at,
              litres: addedLitres * share,
              isMeasured: true,
              ranThrough: isFilledUp,
              into: 'store' as const,
            },
          ]),
    ],
  );
}

/** How far a level in litres is off, share of the tank. */
const MEASURED_LEVEL = 0.03;

/** Low, likely and high. */
interface Range {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** How a tank stands and how long it lasts. */
export interface TankCourse {
  /** in it now, L; undefined until somebody has looked or filled it */
  readonly litres: Range | undefined;
  /** that went out a day by its levels, L */
  readonly seenPerDay: number | undefined;
  /** that goes out a day: as seen, or as its bags' use says while little was seen, L */
  readonly perDay: number;
  readonly daysToEmpty: Range | undefined;
  readonly refillLitres: number;
  readonly refillOn: Day | undefined;
  /** that fill it up from the refill mark, L */
  readonly topUpLitres: number | undefined;
  readonly solution: SolutionCourse;
}

/** Levels further back say little of today's use, days. */
const DAYS_BACK = 14;
/** Two levels closer together than this say nothing of the use, days. */
const LEAST_DAYS = 0.4;
/** What its bags' use says counts for so many days of levels. */
const RECKONED_DAYS = 2;
/** How far a day's use is off, share of it: by levels, and as it is reckoned. */
const SEEN_SPREAD = 0.15;
const RECKONED_SPREAD = 0.4;
/** Topped up at a quarter, where the grower has no mark of their own. */
const USUAL_MARK = 0.25;

/**
 * How a tank stands at a moment: its last level less what has gone out since, what goes out a day, and when it comes to its mark.
 *
 * @param reckonedPerDay what its bags use a day of late, as far as it is known, L
 * @param now local time with offset
 * @see docs/model.md, 8. Feeding
 */
export function tankCourse(
  tank: Tank,
  events: readonly TankEvent[],
  reckonedPerDay: number,
  now: string,
  assumed: Assumed,
): TankCourse {
  const past = events.filter((e) => Date.parse(e.at) <= Date.parse(now));
  const { litres, at, seen, doubt } = levelsOf(tank, past, now, assumed);
  const perDay =
    seen.days > 0
      ? (seen.litres + RECKONED_DAYS * reckonedPerDay * (seen.days < RECKONED_DAYS ? 1 : 0)) /
        (seen.days + (seen.days < RECKONED_DAYS ? RECKONED_DAYS : 0))
      : reckonedPerDay;
  const spread = seen.days >= RECKONED_DAYS ? SEEN_SPREAD : RECKONED_SPREAD;
  const since = at === undefined ? 0 : daysApart(at, now);
  const left = (rate: number, off = 0) =>
    Math.min(tank.litres, Math.max(0, (litres ?? 0) + off - rate * since));
  const range: Range | undefined =
    litres === undefined
      ? undefined
      : {
          low: left(perDay * (1 + spread), -doubt),
          likely: left(perDay),
          high: left(perDay * (1 - spread), doubt),
        };
  const refillLitres = tank.refillLitres ?? USUAL_MARK * tank.litres;
  const toMark = range && daysLeft(Math.max(0, range.likely - refillLitres), perDay);
  return {
    litres: range,
    seenPerDay: seen.days > 0 ? seen.litres / seen.days : undefined,
    perDay,
    daysToEmpty: range && {
      low: daysLeft(range.low, perDay * (1 + spread)) ?? Infinity,
      likely: daysLeft(range.likely, perDay) ?? Infinity,
      high: daysLeft(range.high, perDay * (1 - spread)) ?? Infinity,
    },
    refillLitres,
    refillOn: toMark === undefined ? undefined : addDays(dayOf(now), Math.floor(toMark)),
    topUpLitres: range && tank.litres - Math.min(range.likely, refillLitres),
    solution: solutionCourse(past.map(asSolution), assumed),
  };
}

/** A tank's level at its last event, and what went out between levels of late. */
function levelsOf(
  tank: Tank,
  events: readonly TankEvent[],
  now: string,
  { levelNoise }: Pick<Assumed, 'levelNoise'>,
) {
  const seen = { litres: 0, days: 0 };
  let level: { readonly litres: number; readonly at: string; readonly doubt: number } | undefined;
  let added = 0;
  const inIt = () => (level ? Math.min(tank.litres, level.litres + added) : undefined);
  const setTo = (litres: number, at: string, doubt = 0) => {
    level = { litres, at, doubt };
    added = 0;
  };
  for (const { foundShare, isMeasured, isEmptied, addedLitres = 0, isFilledUp, at } of events) {
    if (foundShare !== undefined) {
      const found = foundShare * tank.litres;
      const days = level ? daysApart(level.at, at) : 0;
      if (days >= LEAST_DAYS && daysApart(at, now) <= DAYS_BACK) {
        seen.litres += Math.max(0, (inIt() ?? 0) - found);
        seen.days += days;
      }
      setTo(found, at, isMeasured ? 0 : levelNoise * tank.litres);
    }
    if (isEmptied) setTo(0, at);
    if (isFilledUp) setTo(tank.litres, at);
    // who fills a tank and says nothing of what was in it filled an empty one
    else if (addedLitres > 0 && (!level || level.at === at))
      setTo(Math.min(tank.litres, (inIt() ?? 0) + addedLitres), at, level?.doubt);
    else added += addedLitres;
  }
  return { litres: inIt(), at: level?.at, seen, doubt: level?.doubt ?? 0 };
}

const daysApart = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 86_400_000;

function asSolution({ at, isEmptied, addedLitres, ecMillisiemens, ph }: TankEvent): SolutionEntry {
  return {
    at,
    what: isEmptied ? 'changed' : addedLitres === undefined ? 'reading' : 'topped-up',
    litres: addedLitres,
    ecMillisiemens,
    ph,
  };
}

/** The entries of a tank's bags and of the tank itself that bear on one of them, beside its own. */
export function entriesOfTank(
  container: Container,
  garden: Pick<Garden, 'containers' | 'tanks'>,
  live: readonly Entry[],
): readonly Entry[] {
  const tank = tankOf(container, garden);
  if (!tank) return [];
  const own = entriesOfKind(live, 'tank').filter((e) => e.tankId === tank.id);
  const others = bagsOfTank(tank.id, garden)
    .filter(({ id }) => id !== container.id)
    .flatMap(({ id }) =>
      entriesAt(live, id).filter(
        (e) =>
          (e.kind === 'check' && e.check.method === 'level') ||
          (e.kind === 'watering' && e.into === 'store') ||
          e.kind === 'solution' ||
          // what stands in the others decides how it is shared
          e.kind === 'planted' ||
          e.kind === 'cleared',
      ),
    );
  return [...own, ...others];
}
