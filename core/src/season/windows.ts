import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOfYear, daysBetween, type Day } from '../calendar/index.ts';
import { daylightHours, normalOfDay, type Site } from '../climate/index.ts';
import { daysToGreenOf, type Crop, type Habit, type PlantAge, type StagesSeen } from '../plants/index.ts';
import { frostChance, MIDSUMMER, type FrostYear } from './frost.ts';
import type { TimingPractice } from './practices.ts';

export interface DaySpan {
  readonly from: Day;
  readonly to: Day;
}

/** What a place has over it. */
export type Cover = 'open' | 'glass' | 'heated';

/** The place and year that something is planted in. */
export interface TimingPlace {
  readonly cover: Cover;
  readonly frost: FrostYear;
  readonly site: Site;
  readonly practice: TimingPractice;
}

/** What holds planting back at its early end. */
export type TimingLimit = 'frost' | 'nights' | 'cold-cover' | 'light' | 'heat' | 'no-frost';

/** What a crop takes from planting to being worth its mix, days: to its first fruit, the allowance for shortening days, picking. */
export interface SeasonNeeds {
  readonly cropDays: number;
  readonly shorteningDays: number;
  readonly pickingDays: number;
}

/** When a crop may go into a place. */
export type PlantingWindow =
  | {
      readonly kind: 'open';
      readonly plant: DaySpan;
      readonly sow: DaySpan;
      /** sown where it stays; undefined where that is too long for the season */
      readonly sowInPlace: DaySpan | undefined;
      /** the latest planting for fruit that is full-sized and green */
      readonly latestForGreen: Day;
      readonly limit: TimingLimit;
      readonly needs: SeasonNeeds;
    }
  | {
      readonly kind: 'no-season';
      readonly why: 'too-short';
      /** days that are left */
      readonly has: number;
      readonly needs: SeasonNeeds;
      /** from the earliest day to the latest on which it still gives full-sized green fruit */
      readonly green: DaySpan | undefined;
    }
  | {
      readonly kind: 'no-season';
      readonly why: 'nights-too-cold';
      /** the warmest nights, and what it wants, °C */
      readonly has: number;
      readonly needs: number;
    };

const YEAR = 365;

/** The first day from a day on, before midsummer has long passed, that a rule lets through. */
function firstDay(place: TimingPlace, from: Day, test: (day: Day) => boolean): Day | undefined {
  const last = addDays(place.frost.start, MIDSUMMER + 45);
  for (let day = from; day <= last; day = addDays(day, 1)) if (test(day)) return day;
  return undefined;
}

/** Outdoors: the last frost with the practice's margin, then the first nights that are warm enough. */
function earliestOpen(
  crop: Crop,
  place: TimingPlace,
  assumed: Assumed,
): { day: Day | undefined; limit: TimingLimit } {
  const { frost, site, practice } = place;
  const byFrost = frost.last === undefined ? frost.start : addDays(frost.last, practice.weeksAfterFrost * 7);
  const needs = crop.nightCelsius.value - assumed.nightShelter;
  const warm = firstDay(place, byFrost, (day) => normalOfDay(site.normals, day).minCelsius >= needs);
  if (warm !== byFrost) return { day: warm, limit: 'nights' };
  return { day: byFrost, limit: frost.last === undefined ? 'no-frost' : 'frost' };
}

function earliest(
  crop: Crop,
  place: TimingPlace,
  assumed: Assumed,
): { day: Day | undefined; limit: TimingLimit } {
  const { cover, frost, site } = place;
  const open = earliestOpen(crop, place, assumed);
  if (cover === 'open') return open;
  // where nights outdoors never get warm enough, cover is counted back from the frost
  const outdoors = open.day ?? addDays(frost.last ?? frost.start, 28);
  const before = (weeks: number) => {
    const day = addDays(outdoors, -Math.round(weeks * 7));
    return day < frost.start ? frost.start : day;
  };
  if (cover === 'glass') return { day: before(assumed.coldCoverWeeks), limit: 'cold-cover' };
  const byHeat = before(assumed.heatedWeeks);
  const light = firstDay(
    place,
    byHeat,
    (day) => daylightHours(site.latitudeDegrees, dayOfYear(day)) >= assumed.leastDaylight,
  );
  return light !== byHeat ? { day: light, limit: 'light' } : { day: byHeat, limit: 'heat' };
}

/** The day on which a crop in a place is at its end: the usual first frost, later under cover. */
export function seasonEnd(place: Pick<TimingPlace, 'cover' | 'frost'>, assumed: Assumed): Day {
  const weeks =
    place.cover === 'open'
      ? 0
      : place.cover === 'glass'
        ? assumed.coverAutumnWeeks
        : assumed.heatedAutumnWeeks;
  const whole = addDays(place.frost.start, YEAR - 1);
  const end = place.frost.first === undefined ? whole : addDays(place.frost.first, Math.round(weeks * 7));
  return end > whole ? whole : end;
}

/** Two weeks of picking at the least, or it was not worth the mix. */
const LEAST_PICKING_DAYS = 14;

/**
 * When a crop may be planted in a place this growing year: from the last frost with the practice's margin and nights that
 * are warm enough (outdoors), earlier under cover, to the latest day that still lets it bear before the end. Sowing is
 * counted back from it. Source: handbook 4, model §5.
 */
export function plantingWindow(
  crop: Crop,
  habit: Habit,
  place: TimingPlace,
  assumed: Assumed,
): PlantingWindow {
  const { day: from, limit } = earliest(crop, place, assumed);
  if (from === undefined) {
    const warmest = Math.max(...place.site.normals.map((m) => m.minCelsius));
    return {
      kind: 'no-season',
      why: 'nights-too-cold',
      has: warmest,
      needs: crop.nightCelsius.value - assumed.nightShelter,
    };
  }
  return between(from, limit, crop, habit, place, assumed);
}

/** The window from an earliest day to the latest that still lets a crop bear before the end. */
function between(
  from: Day,
  limit: TimingLimit,
  crop: Crop,
  habit: Habit,
  place: TimingPlace,
  assumed: Assumed,
): PlantingWindow {
  const needs: SeasonNeeds = {
    cropDays: Math.round(habit.daysToPicking.value),
    shorteningDays: Math.round(assumed.shorteningDays),
    pickingDays: LEAST_PICKING_DAYS,
  };
  const end = seasonEnd(place, assumed);
  const to = addDays(end, -(needs.cropDays + needs.shorteningDays + needs.pickingDays));
  // green fruit is picked at once before the end: no days of picking are wanted, only the slow ones
  const latestForGreen = addDays(end, -Math.round(daysToGreenOf(crop.id, habit) + assumed.shorteningDays));
  if (to < from) {
    const green = latestForGreen >= from ? { from, to: latestForGreen } : undefined;
    return { kind: 'no-season', why: 'too-short', has: daysBetween(from, end), needs, green };
  }
  const lastSowing = addDays(to, -Math.round(crop.seedlingWeeks.value * 7));
  return {
    kind: 'open',
    plant: { from, to },
    sow: sowingFor(crop, from),
    sowInPlace: lastSowing >= from ? { from, to: lastSowing } : undefined,
    latestForGreen,
    limit,
    needs,
  };
}

/** When to sow for a planting day. */
export function sowingFor(crop: Crop, plantOn: Day): DaySpan {
  const { low, high } = crop.seedlingWeeks;
  return { from: addDays(plantOn, -Math.round(high * 7)), to: addDays(plantOn, -Math.round(low * 7)) };
}

/** A planting's year, counted from its day. Spans are ranges of doubt, and not of length, but for picking. */
export interface PlantingDates {
  readonly plantOn: Day;
  readonly sow: DaySpan;
  /** undefined where nothing has to get used to wind and cold */
  readonly harden: DaySpan | undefined;
  readonly support: DaySpan;
  readonly firstFlowers: DaySpan;
  readonly firstPicking: DaySpan;
  /** from the likely first picking to the likely end */
  readonly picking: DaySpan;
  readonly clear: Day;
  /** the last day on which a fruit can set and still ripen */
  readonly lastSet: Day;
  /** chance that frost comes after planting where nothing keeps it off, 0 to 1 */
  readonly frostChance: number;
  /** where the day lies in the window */
  readonly standing: 'in' | 'early' | 'late' | 'no-season';
}

/** Flowers stand this long before the first ripe fruit, days (from set: model §9, *assumed*). */
const FLOWER_TO_RIPE = { tomato: 50, pepper: 45, aubergine: 35, cucumber: 14 } as Readonly<
  Record<string, number>
>;

/** What is known of a plant's age and of what it has done so far; left out: a usual young plant goes in on the day. */
export interface PlantStory extends Partial<PlantAge> {
  /** seed that is sown where it stays */
  readonly isSown?: boolean;
  readonly stages?: StagesSeen;
  /** days from set to ripe fruit as they are known of its variety; left out: as is usual for its crop */
  readonly setToRipe?: { readonly low: number; readonly high: number };
}

/** Days from a set fruit to a ripe one (model §9, *assumed*). */
function setToRipeOf(crop: Crop, assumed: Pick<Assumed, 'flowersToSet'>): number {
  return Math.max(5, (FLOWER_TO_RIPE[crop.id] ?? 45) - assumed.flowersToSet);
}

/** A stage that was seen is over with on its day; one that was looked for and not there comes later than that. */
function withSeen(span: DaySpan, seen: Day | undefined, notYet: Day | undefined): DaySpan {
  if (seen !== undefined) return { from: seen, to: seen };
  if (notYet === undefined || notYet < span.from) return span;
  const from = addDays(notYet, 1);
  const most = addDays(from, 7);
  return { from, to: span.to > most ? span.to : most };
}

/** From a day that was seen, so many days on, give or take a sixth. */
function onFrom(day: Day, days: number): DaySpan {
  return { from: addDays(day, Math.round(days * 0.84)), to: addDays(day, Math.round(days * 1.16)) };
}

/**
 * What follows from planting on a day, by what was seen since where anything was.
 *
 * @param supportDays days after planting between which the support goes on
 * @see docs/model.md, 5. Timing
 */
export function datesFrom(
  plantOn: Day,
  crop: Crop,
  habit: Habit,
  place: TimingPlace,
  supportDays: { readonly fromDays: number; readonly toDays: number },
  assumed: Assumed,
  story: PlantStory = {},
): PlantingDates {
  const window = plantingWindow(crop, habit, place, assumed);
  const { low, value, high } = habit.daysToPicking;
  const flowers = FLOWER_TO_RIPE[crop.id] ?? 45;
  const seedlingDays = Math.round(crop.seedlingWeeks.value * 7);
  const ageFrom = story.ageFrom ?? (story.isSown ? addDays(plantOn, seedlingDays) : plantOn);
  const { seen = {}, notYet = {} } = story.stages ?? {};
  const back = (days: number) => addDays(ageFrom, Math.max(0, Math.round(days)));
  const known = story.setToRipe;
  const setToRipe = known ? (known.low + known.high) / 2 : setToRipeOf(crop, assumed);
  const firstFlowers = withSeen(
    { from: back(low - flowers), to: back(high - flowers) },
    seen.flowers,
    notYet.flowers,
  );
  const reckoned = seen.set
    ? known
      ? { from: addDays(seen.set, Math.round(known.low)), to: addDays(seen.set, Math.round(known.high)) }
      : onFrom(seen.set, setToRipe)
    : seen.flowers
      ? onFrom(seen.flowers, flowers)
      : { from: back(low), to: back(high) };
  const firstPicking = withSeen(reckoned, seen.ripe, notYet.ripe);
  const isSeen = seen.ripe ?? seen.set ?? seen.flowers ?? notYet.ripe;
  const likely = isSeen
    ? addDays(firstPicking.from, Math.round(daysBetween(firstPicking.from, firstPicking.to) / 2))
    : addDays(ageFrom, Math.round(value));
  const bears = seen['last-flush']
    ? addDays(seen['last-flush'], LAST_FLUSH_DAYS)
    : addDays(likely, Math.round(habit.weeksOfPicking.value * 7));
  const end = seasonEnd(place, assumed);
  const clear = bears < end ? bears : end < likely ? likely : end;
  const hardenDays = story.isSown
    ? 0
    : place.cover === 'open'
      ? assumed.hardenDays
      : place.cover === 'glass'
        ? 4
        : 0;
  return {
    plantOn,
    sow: story.sownOn
      ? { from: story.sownOn, to: story.sownOn }
      : story.isSown
        ? { from: plantOn, to: plantOn }
        : sowingFor(crop, plantOn),
    harden:
      hardenDays > 0
        ? { from: addDays(plantOn, -Math.round(hardenDays)), to: addDays(plantOn, -1) }
        : undefined,
    support: { from: addDays(plantOn, supportDays.fromDays), to: addDays(plantOn, supportDays.toDays) },
    firstFlowers,
    firstPicking,
    picking: { from: likely, to: clear < likely ? likely : clear },
    clear,
    lastSet: addDays(end, -Math.round(setToRipe + assumed.shorteningDays)),
    frostChance:
      place.cover === 'open' && daysBetween(place.frost.start, plantOn) < MIDSUMMER
        ? frostChance(place.frost, plantOn)
        : 0,
    standing: standingIn(window, plantOn, story.isSown ?? false),
  };
}

/** The last of a flush is picked within about so many days of being seen (*assumed*). */
const LAST_FLUSH_DAYS = 10;

function standingIn(window: PlantingWindow, plantOn: Day, isSown: boolean): PlantingDates['standing'] {
  if (window.kind === 'no-season') return 'no-season';
  if (plantOn < window.plant.from) return 'early';
  const last = isSown ? (window.sowInPlace?.to ?? window.plant.from) : window.plant.to;
  return plantOn > last ? 'late' : 'in';
}

/** A second crop in a bag that comes free: when it could go in, or why none can. */
export function secondCrop(
  freeOn: Day,
  crop: Crop,
  habit: Habit,
  place: TimingPlace,
  assumed: Assumed,
): PlantingWindow {
  const window = plantingWindow(crop, habit, place, assumed);
  if (window.kind !== 'open') return window;
  const from = freeOn > window.plant.from ? freeOn : window.plant.from;
  return between(from, window.limit, crop, habit, place, assumed);
}
