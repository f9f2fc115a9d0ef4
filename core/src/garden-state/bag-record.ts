import { addDays, dayOf, daysBetween, hourOf, type Day } from '../calendar/index.ts';
import {
  sprayTime,
  spreads,
  troubleCases,
  cleanlinessAfter,
  type BagRecord,
  type FactorId,
  type FactorReading,
} from '../care/index.ts';
import type { KnownDay } from '../climate/index.ts';
import type { Occupant } from '../plants/index.ts';
import { findProduct } from '../products/index.ts';
import { entriesAt, type Entry, type EntryOf, type Garden } from '../records/index.ts';
import type { PathPoint } from '../water/index.ts';
import { knownWeather } from './known-weather.ts';
import type { BagView } from './bag-view.ts';

type Readings = Partial<Record<FactorId, FactorReading>>;

/** So far back weather, water and feed bear on what is seen, days. */
const WEATHER_DAYS = 14;
const WATER_DAYS = 21;
const FEED_DAYS = 21;
const SPRAY_DAYS = 10;
const LEAVES_DAYS = 12;
/** Trouble elsewhere that is older says nothing, days. */
const AROUND_DAYS = 28;
/** With fewer noted days the weather says nothing. */
const LEAST_DAYS = 5;
/** Nearly full, of available water: above this roots are short of air. */
const WET = 0.85;

const share = (value: number) => Math.min(1, Math.max(0, value));

/** What a bag's record is read from. */
export interface RecordQuestion {
  readonly bag: BagView;
  readonly garden: Garden;
  /** the garden's live entries, oldest first */
  readonly live: readonly Entry[];
  /** the day on which it was seen */
  readonly on: Day;
  /** the plant that it was seen at; left out: the bag's eldest */
  readonly plantId?: string | undefined;
  /** 1 where clocks are put forward on that day */
  readonly clockAheadHours: number;
}

/**
 * What a bag's diary, its water and the weather say for and against each cause of trouble, as far as they say anything. What
 * nobody recorded counts neither way, unless the grower records such things.
 *
 * @see docs/model.md, 11. Trouble
 */
export function bagRecord(question: RecordQuestion): BagRecord {
  const { bag, garden, live, on, plantId } = question;
  const occupant = bag.occupants.find((o) => o.plant.id === plantId) ?? bag.occupants[0];
  const here = entriesAt(live, bag.container.id).filter((e) => dayOf(e.at) <= on);
  return {
    cropId: occupant?.crop.id,
    factors: {
      ...weatherFactors(question, occupant),
      ...waterFactors(bag, on),
      ...feedFactors(question, here),
      ...plantFactors(question, occupant, here),
      ...sprayFactors(question, here),
    },
    around: aroundOf(bag, garden, live, on),
    before: beforeOf(bag, here, occupant),
  };
}

function weatherFactors({ bag, live, on }: RecordQuestion, occupant: Occupant | undefined): Readings {
  const { assumed } = bag.properties;
  const byDay = new Map<Day, KnownDay>();
  for (const day of knownWeather(live))
    if (day.day <= on && day.day > addDays(on, -WEATHER_DAYS)) byDay.set(day.day, day);
  const cover = bag.place?.cover ?? 'open';
  const isOpen = cover === 'open';
  const readings: Readings = { 'under-cover': { value: isOpen ? 0 : 1 } };
  if (occupant) {
    const age = daysBetween(occupant.plantedOn, on);
    const isNew = share(1 - (age - 10) / 12);
    readings['standing-out'] = { value: isOpen ? isNew : 0.2 * isNew, count: age };
  }
  const days = [...byDay.values()];
  if (days.length < LEAST_DAYS) return readings;
  const gain = isOpen ? 0 : assumed.coldCoverGain;
  const wants = (occupant?.crop.nightCelsius.value ?? 10) - assumed.coldNightMargin;
  const covered = coveredNights(live, bag.container.id);
  // a rain gauge alone speaks neither for nor against cold and heat
  const nights = days.flatMap(({ day, minCelsius }) =>
    minCelsius === undefined
      ? []
      : [{ day, night: minCelsius + gain + (covered(day) ? assumed.coldCoverGain : 0) }],
  );
  const cold = nights.filter(({ night }) => night < wants);
  const coldest = cold.reduce((min, { night }) => Math.min(min, night), Infinity);
  if (cover === 'heated' || nights.length >= LEAST_DAYS)
    readings['cold-nights'] =
      cover === 'heated' || cold.length === 0
        ? { value: 0, count: 0 }
        : {
            value: share(0.35 + cold.reduce((sum, { night }) => sum + (wants - night) / 7, 0)),
            count: cold.length,
            celsius: coldest,
            on: cold.at(-1)?.day,
          };
  const warmest = days.flatMap(({ day, maxCelsius: celsius }) =>
    celsius === undefined ? [] : [{ day, celsius }],
  );
  const hot = warmest.filter(({ celsius }) => celsius >= assumed.hotCelsius);
  const hottest = hot.reduce((max, { celsius }) => Math.max(max, celsius), -Infinity);
  if (warmest.length >= LEAST_DAYS)
    readings['hot-days'] =
      hot.length === 0
        ? { value: 0, count: 0 }
        : { value: share(hot.length / 3), count: hot.length, celsius: hottest, on: hot.at(-1)?.day };
  const late = days.filter((d) => d.day > addDays(on, -10));
  const mild = late.filter(
    (d) =>
      (d.minCelsius ?? -Infinity) >= 10 && ((d.rainMillimetres ?? 0) > 1 || (d.humidityPercent ?? 0) >= 85),
  );
  const knowsRain = late.some(
    (d) => d.minCelsius !== undefined && (d.rainMillimetres !== undefined || d.humidityPercent !== undefined),
  );
  if (knowsRain)
    readings['mild-wet-nights'] = {
      value: share(mild.length / 3) * (isOpen ? 1 : 0.3),
      count: mild.length,
    };
  const dry = late.filter((d) => (d.maxCelsius ?? -Infinity) >= 26 && (d.rainMillimetres ?? 0) < 0.5);
  if (late.some((d) => d.maxCelsius !== undefined))
    readings['dry-heat'] = { value: share(dry.length / 4), count: dry.length };
  return readings;
}

/** Whether a bag stood under fleece in the night before a day. */
function coveredNights(live: readonly Entry[], containerId: string): (day: Day) => boolean {
  const fleece = entriesAt(live, containerId).filter(
    (e): e is EntryOf<'tended'> => e.kind === 'tended' && (e.task === 'fleeced' || e.task === 'unfleeced'),
  );
  return (day) => fleece.findLast((e) => dayOf(e.at) < day)?.task === 'fleeced';
}

/** Times that water went below the refill point, times that it went from there to full within a day, days nearly full. */
export function waterSpells(
  path: readonly PathPoint[],
  refillPoint: number,
  from: Day,
  to: Day,
): { readonly dryOuts: number; readonly swings: number; readonly wetDays: number; readonly lastDryOn?: Day } {
  const points = path.filter((p) => dayOf(p.at) >= from && dayOf(p.at) <= to);
  let dryOuts = 0;
  let swings = 0;
  let wetMilliseconds = 0;
  let dryAt: string | undefined;
  let lastDryOn: Day | undefined;
  points.forEach((point, i) => {
    const before = points[i - 1];
    if (!before) {
      // a spell that began earlier counts as well
      if (point.likely < refillPoint) dryOuts += 1;
      return;
    }
    const hours = (Date.parse(point.at) - Date.parse(before.at)) / 3_600_000;
    if (point.likely < refillPoint && before.likely >= refillPoint) dryOuts += 1;
    if (point.likely < refillPoint) {
      dryAt = point.at;
      lastDryOn = dayOf(point.at);
    }
    if (point.likely > WET && dryAt && Date.parse(point.at) - Date.parse(dryAt) < 86_400_000) {
      swings += 1;
      dryAt = undefined;
    }
    if (point.likely > WET && before.likely > WET) wetMilliseconds += hours * 3_600_000;
  });
  return {
    dryOuts,
    swings,
    wetDays: wetMilliseconds / 86_400_000,
    ...(lastDryOn ? { lastDryOn } : {}),
  };
}

function waterFactors({ water, properties }: BagView, on: Day): Readings {
  // an estimate that nobody has ever checked says what is usual, and nothing of this bag
  if (!water?.hasBeenChecked) return {};
  const { path } = water.estimate;
  const { refillPoint } = properties.assumed;
  const { dryOuts, swings, lastDryOn } = waterSpells(path, refillPoint, addDays(on, -WATER_DAYS), on);
  const { wetDays } = waterSpells(path, refillPoint, addDays(on, -WEATHER_DAYS), on);
  return {
    'dry-outs': { value: share(dryOuts / 2), count: dryOuts, on: lastDryOn },
    swings: { value: share(swings / 2), count: swings },
    'wet-spell': { value: share((wetDays - 3) / 5), count: Math.round(wetDays) },
  };
}

function feedFactors({ bag, garden, live, on }: RecordQuestion, here: readonly Entry[]): Readings {
  if (!live.some((e) => e.kind === 'fed')) return {};
  const fed = here.filter((e): e is EntryOf<'fed'> => e.kind === 'fed');
  const late = fed.filter((e) => dayOf(e.at) > addDays(on, -FEED_DAYS));
  const last = fed.at(-1);
  const readings: Readings = {
    'fed-much': { value: share((late.length - 3) / 2), count: late.length, on: last && dayOf(last.at) },
  };
  const usedUp = bag.feeding?.baseUsedUp.likely;
  if (usedUp !== undefined)
    readings.unfed = {
      value: late.length > 0 ? 0 : share(0.3 + daysBetween(usedUp, on) / 20),
      count: last ? daysBetween(dayOf(last.at), on) : undefined,
      on: last && dayOf(last.at),
    };
  const gives = [
    ...fed.map((e) => e.productId),
    ...here.flatMap((e) => (e.kind === 'filled' ? e.amendments.map((a) => a.productId) : [])),
  ];
  const withCalcium = gives.filter((id) => (findProduct(id, garden.products)?.label?.ca ?? 0) > 0);
  readings['calcium-given'] = { value: withCalcium.length > 0 ? 1 : 0, count: withCalcium.length };
  return readings;
}

function plantFactors(
  { bag, live, on }: RecordQuestion,
  occupant: Occupant | undefined,
  here: readonly Entry[],
): Readings {
  if (!occupant) return {};
  const readings: Readings = {};
  const age = daysBetween(occupant.ageFrom, on);
  readings['old-plant'] = { value: share((age - 40) / 35), count: age };
  const { seen } = occupant.stages;
  const reckoned = bag.feeding?.stageDates.set;
  const isBearing = [seen.set, seen.ripe].some((day) => day !== undefined && day <= on);
  readings.bearing = { value: isBearing ? 1 : reckoned && reckoned.day <= on ? 0.6 : 0 };
  const tended = (task: string) => here.findLast((e) => e.kind === 'tended' && e.task === task);
  const leaves = tended('leaves-off');
  if (here.some((e) => e.kind === 'tended'))
    readings['leaves-taken-off'] = {
      value: leaves && dayOf(leaves.at) > addDays(on, -LEAVES_DAYS) ? 1 : 0,
      on: leaves && dayOf(leaves.at),
    };
  const isShut = (bag.place?.cover ?? 'open') !== 'open';
  const shaken = tended('shaken');
  const knows = live.some((e) => e.kind === 'tended' && e.task === 'shaken');
  const since = shaken ? daysBetween(dayOf(shaken.at), on) : undefined;
  readings['not-shaken'] = {
    value: !isShut ? 0 : since !== undefined && since <= 5 ? 0 : knows ? 1 : 0.6,
    count: since,
    on: shaken && dayOf(shaken.at),
  };
  const gallons = bag.properties.nominalGallons / Math.max(1, bag.container.stations.length);
  readings['small-bag'] = { value: gallons < occupant.habit.bagSizes.from ? 1 : 0 };
  const filled = here.findLast((e): e is EntryOf<'filled'> => e.kind === 'filled');
  const rich = /manure|compost/;
  const inMix = bag.properties.mix.shares.some(({ ingredient }) => rich.test(ingredient.id));
  const worked = filled?.amendments.some((a) => rich.test(a.productId)) ?? false;
  readings['manure-in-mix'] = { value: inMix || worked ? 1 : 0 };
  return readings;
}

/** Only what is put on leaves to stay there burns them. */
const BURNS: readonly EntryOf<'sprayed'>['agent'][] = ['soap', 'oil', 'sulphur', 'other'];

function sprayFactors(
  { bag, garden, live, on, clockAheadHours }: RecordQuestion,
  here: readonly Entry[],
): Readings {
  const isSpray = (e: Entry) =>
    (e.kind === 'sprayed' && BURNS.includes(e.agent)) || (e.kind === 'fed' && e.into === 'leaves');
  if (!live.some(isSpray)) return {};
  const { latitudeDegrees } = garden.settings;
  const late = here.filter((e) => isSpray(e) && dayOf(e.at) > addDays(on, -SPRAY_DAYS));
  const weather = new Map(knownWeather(live).map((d) => [d.day, d]));
  let worst: FactorReading = { value: 0, count: late.length };
  for (const e of late) {
    const time = sprayTime(
      e.at,
      weather.get(dayOf(e.at)),
      latitudeDegrees,
      clockAheadHours,
      bag.properties.assumed,
    );
    const value = time.kind === 'sun' ? 1 : time.kind === 'low-sun' ? 0.4 : 0;
    if (value >= worst.value && value > 0)
      worst = { value, count: Math.round(hourOf(e.at)), on: dayOf(e.at) };
  }
  return { 'sprayed-in-sun': worst };
}

/** Causes that others at the same place had lately, and that were seen next door. */
function aroundOf(
  { container }: BagView,
  garden: Garden,
  live: readonly Entry[],
  on: Day,
): readonly string[] {
  const isLate = (day: Day) => day <= on && day > addDays(on, -AROUND_DAYS);
  const beside = garden.containers.filter(
    (c) => c.placeId === container.placeId && c.id !== container.id && !c.binnedAt,
  );
  const here = beside.flatMap(({ id }) =>
    troubleCases(id, live).flatMap((t) => (isLate(t.lastOn) && spreads(t) ? [t.what] : [])),
  );
  const warned = live.flatMap((e) => (e.kind === 'warned' && isLate(dayOf(e.at)) ? [e.what] : []));
  return [...new Set([...here, ...warned])];
}

/** Causes that the bag had under earlier plants, and that were not cleaned away. */
function beforeOf(
  { container, properties }: BagView,
  here: readonly Entry[],
  occupant: Occupant | undefined,
): readonly string[] {
  const since = occupant?.plantedOn;
  return troubleCases(container.id, here).flatMap((t) => {
    const isEarlier = since !== undefined && dayOf(t.entry.at) < since;
    const isClean = cleanlinessAfter(here, t.lastOn, properties.assumed).kind === 'clean';
    return isEarlier && !isClean ? [t.what] : [];
  });
}
