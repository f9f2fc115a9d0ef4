import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOfYear, daysBetween, type Day } from '../calendar/index.ts';
import { daylightHours, normalOfDay, type Site } from '../climate/index.ts';
import type { Crop, Habit } from '../plants/index.ts';
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

/** When a crop may go into a place. */
export type PlantingWindow =
  | { readonly kind: 'open'; readonly plant: DaySpan; readonly sow: DaySpan; readonly limit: TimingLimit }
  | {
      readonly kind: 'no-season';
      readonly why: 'too-short' | 'nights-too-cold';
      /** days between the earliest planting and the end, and what the crop needs; °C for the nights */
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
  const needs = Math.round(habit.daysToPicking.value + assumed.shorteningDays + LEAST_PICKING_DAYS);
  const to = addDays(seasonEnd(place, assumed), -needs);
  if (to < from) {
    return { kind: 'no-season', why: 'too-short', has: daysBetween(from, seasonEnd(place, assumed)), needs };
  }
  return { kind: 'open', plant: { from, to }, sow: sowingFor(crop, from), limit };
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
  /** chance that frost comes after planting where nothing keeps it off, 0 to 1 */
  readonly frostChance: number;
  /** where the day lies in the window */
  readonly standing: 'in' | 'early' | 'late' | 'no-season';
}

/** Flowers stand this long before the first ripe fruit, days (from set: model §9, *assumed*). */
const FLOWER_TO_RIPE = { tomato: 50, pepper: 45, aubergine: 35, cucumber: 14 } as Readonly<
  Record<string, number>
>;

/**
 * What follows from planting on a day.
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
): PlantingDates {
  const window = plantingWindow(crop, habit, place, assumed);
  const { low, value, high } = habit.daysToPicking;
  const flowers = FLOWER_TO_RIPE[crop.id] ?? 45;
  const likely = addDays(plantOn, Math.round(value));
  const bears = addDays(likely, Math.round(habit.weeksOfPicking.value * 7));
  const end = seasonEnd(place, assumed);
  const clear = bears < end ? bears : end < likely ? likely : end;
  const hardenDays = place.cover === 'open' ? assumed.hardenDays : place.cover === 'glass' ? 4 : 0;
  const back = (days: number) => addDays(plantOn, Math.max(0, Math.round(days)));
  return {
    plantOn,
    sow: sowingFor(crop, plantOn),
    harden:
      hardenDays > 0
        ? { from: addDays(plantOn, -Math.round(hardenDays)), to: addDays(plantOn, -1) }
        : undefined,
    support: { from: addDays(plantOn, supportDays.fromDays), to: addDays(plantOn, supportDays.toDays) },
    firstFlowers: { from: back(low - flowers), to: back(high - flowers) },
    firstPicking: { from: back(low), to: back(high) },
    picking: { from: likely, to: clear },
    clear,
    frostChance:
      place.cover === 'open' && daysBetween(place.frost.start, plantOn) < MIDSUMMER
        ? frostChance(place.frost, plantOn)
        : 0,
    standing:
      window.kind === 'no-season'
        ? 'no-season'
        : plantOn < window.plant.from
          ? 'early'
          : plantOn > window.plant.to
            ? 'late'
            : 'in',
  };
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
  if (from > window.plant.to) {
    const needs = Math.round(habit.daysToPicking.value + assumed.shorteningDays + LEAST_PICKING_DAYS);
    return { kind: 'no-season', why: 'too-short', has: daysBetween(from, seasonEnd(place, assumed)), needs };
  }
  return { ...window, plant: { from, to: window.plant.to }, sow: sowingFor(crop, from) };
}
