import type { Day } from '../calendar/index.ts';
import { groupedBy } from '../statistics/index.ts';
import type { TallyUnit } from './units.ts';

/** What the tally can be told by. */
export const GROUPINGS = [
  'bag',
  'plant',
  'variety',
  'crop',
  'place',
  'kind',
  'regime',
  'form',
  'mix',
] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** A line of the tally: a bag, a variety, a place … with its sums and what they come to. */
export interface TallyRow {
  readonly key: string;
  readonly by: Grouping;
  readonly units: readonly TallyUnit[];
  readonly plants: number;
  readonly bags: number;
  readonly pickings: number;
  /** pickings that nobody weighed or counted: the weight is without them */
  readonly unmeasured: number;
  readonly kilograms: number;
  readonly byCountKilograms: number;
  readonly lostKilograms: number;
  readonly givenKilograms: number;
  readonly soldKilograms: number;
  readonly count: number;
  /** what one fruit weighed, kg; undefined: none was both weighed and counted */
  readonly fruitKilograms: number | undefined;
  readonly firstOn: Day | undefined;
  readonly lastOn: Day | undefined;
  readonly mixLitres: number;
  readonly waterLitres: number;
  readonly cost: number;
  readonly minutes: number;
  readonly worth: number | undefined;
  /** undefined where there is nothing to divide by */
  readonly perPlant: number | undefined;
  readonly perMixLitre: number | undefined;
  readonly perWaterLitre: number | undefined;
  /** what a kilogram cost, and what a unit of money brought, kg */
  readonly costPerKilogram: number | undefined;
  readonly perCost: number | undefined;
  readonly kilogramsAnHour: number | undefined;
  readonly worthAnHour: number | undefined;
}

/** By what a plant is put together with others. */
export function keyOf(unit: TallyUnit, by: Grouping): string {
  switch (by) {
    case 'bag':
      return unit.containerId;
    case 'plant':
      return `${unit.plantId} ${unit.containerId}`;
    case 'variety':
      return unit.varietyId;
    case 'crop':
      return unit.cropId;
    case 'place':
      return unit.placeId;
    case 'kind':
      return unit.kindId;
    case 'regime':
      return unit.regimeId ?? '';
    case 'form':
      return unit.form ?? '';
    case 'mix':
      return unit.mix;
  }
}

/**
 * Plants put together and added up, heaviest first. A line is worth its sums; what is divided is divided after the adding.
 *
 * @see docs/model.md, 14. The tally
 */
export function groupUnits(units: readonly TallyUnit[], by: Grouping): readonly TallyRow[] {
  return [...groupedBy(units, (unit) => keyOf(unit, by))]
    .map(([key, members]) => rowOf(key, by, members))
    .sort((a, b) => b.kilograms - a.kilograms || b.count - a.count);
}

/** All of some plants as one line. */
export function totalOf(units: readonly TallyUnit[]): TallyRow {
  return rowOf('', 'bag', units);
}

const over = (value: number, by: number): number | undefined =>
  by > 0 && value > 0 ? value / by : undefined;

function rowOf(key: string, by: Grouping, units: readonly TallyUnit[]): TallyRow {
  const sum = (of: (unit: TallyUnit) => number) => units.reduce((total, unit) => total + of(unit), 0);
  const kilograms = sum((u) => u.kilograms);
  const counted = sum((u) => u.count);
  const countedKilograms = sum((u) => u.countedKilograms - u.byCountKilograms);
  const weighedCount = counted > 0 && countedKilograms > 0 ? counted : 0;
  const plants = units.filter((u) => u.leftBecause !== 'moved' && u.plantId !== '').length;
  const mixLitres = mixOf(units);
  const waterLitres = sum((u) => u.waterLitres);
  const cost = sum((u) => u.cost);
  const minutes = sum((u) => u.minutes);
  const worths = units.flatMap((u) => (u.worth === undefined ? [] : [u.worth]));
  const worth = worths.length === 0 ? undefined : worths.reduce((total, each) => total + each, 0);
  const firsts = units.flatMap((u) => u.firstOn ?? []).sort();
  const lasts = units.flatMap((u) => u.lastOn ?? []).sort();
  return {
    ...{ key, by, units, plants, kilograms, mixLitres, waterLitres, cost, minutes, worth },
    bags: new Set(units.map((u) => u.containerId)).size,
    // what several plants of a bag share was picked once
    pickings: units.length === 1 ? sum((u) => u.pickings) : Math.round(sum((u) => u.pickingShares)),
    unmeasured: Math.ceil(sum((u) => u.unmeasured) - 1e-9),
    byCountKilograms: sum((u) => u.byCountKilograms),
    lostKilograms: sum((u) => u.lostKilograms),
    givenKilograms: sum((u) => u.givenKilograms),
    soldKilograms: sum((u) => u.soldKilograms),
    count: Math.round(counted),
    fruitKilograms: over(countedKilograms, weighedCount),
    firstOn: firsts[0],
    lastOn: lasts.at(-1),
    perPlant: over(kilograms, plants),
    perMixLitre: over(kilograms, mixLitres),
    perWaterLitre: over(kilograms, waterLitres),
    costPerKilogram: over(cost, kilograms),
    perCost: over(kilograms, cost),
    kilogramsAnHour: over(kilograms, minutes / 60),
    worthAnHour: worth === undefined ? undefined : over(worth, minutes / 60),
  };
}

/** Mix of the plants together, L: a bag that was planted twice in a season counts once. */
function mixOf(units: readonly TallyUnit[]): number {
  const byBag = groupedBy(units, (u) => u.containerId);
  let litres = 0;
  for (const members of byBag.values()) {
    const byGeneration = groupedBy(members, (u) => u.plantedOn);
    // those planted together share it, those after them have it again
    litres += Math.max(
      ...[...byGeneration.values()].map((g) => g.reduce((total, u) => total + u.mixLitres, 0)),
    );
  }
  return litres;
}

/** What was picked in each week, by what lines are told by; weeks begin on Monday. */
export interface PickedWeek {
  readonly from: Day;
  readonly kilograms: number;
  readonly byKey: Readonly<Record<string, number>>;
}

/**
 * Weight by week.
 *
 * @param mondayOf the Monday of a day's week
 */
export function weeklyPicked(
  units: readonly TallyUnit[],
  by: Grouping,
  mondayOf: (day: Day) => Day,
): readonly PickedWeek[] {
  const weeks = new Map<Day, Map<string, number>>();
  for (const unit of units)
    for (const { day, kilograms } of unit.days) {
      const from = mondayOf(day);
      const week = weeks.get(from) ?? new Map<string, number>();
      const key = keyOf(unit, by);
      week.set(key, (week.get(key) ?? 0) + kilograms);
      weeks.set(from, week);
    }
  return [...weeks]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([from, byKey]) => ({
      from,
      kilograms: [...byKey.values()].reduce((sum, each) => sum + each, 0),
      byKey: Object.fromEntries(byKey),
    }));
}

/** Weight picked so far at the end of each day that had a picking. */
export function cumulative(
  units: readonly TallyUnit[],
): readonly { readonly day: Day; readonly kilograms: number }[] {
  const days = new Map<Day, number>();
  for (const unit of units)
    for (const { day, kilograms } of unit.days) days.set(day, (days.get(day) ?? 0) + kilograms);
  let sum = 0;
  return [...days]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, kilograms]) => {
      sum += kilograms;
      return { day, kilograms: sum };
    });
}
