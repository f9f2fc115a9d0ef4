import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import { daysBetween, growingSeason, seasonYearOf, type Day } from '../calendar/index.ts';
import type { Trial, TrialMeasure, TrialUnit } from '../records/index.ts';
import { chanceFrom, groupedBy } from '../statistics/index.ts';
import {
  differenceOf,
  powerTable,
  shuffledShare,
  spreadOf,
  type Difference,
  type KnownSpread,
  type Observation,
  type PlanPower,
} from '../trials/index.ts';
import { keyOf, type Grouping } from './groups.ts';
import type { TallyContext } from './context.ts';
import { seasonYears, tallyUnits, type TallyUnit } from './units.ts';

/** A bag or a plant of a trial with what it gave. */
export interface TrialLine {
  readonly unit: TrialUnit;
  readonly bag: string;
  readonly plantName: string | undefined;
  readonly place: string;
  readonly variety: string;
  /** in the trial's measure; undefined: nothing yet */
  readonly value: number | undefined;
  readonly plantedOn: Day | undefined;
  /** it gave nothing, and is taken as a tenth of the middle one */
  readonly isNothing: boolean;
  /** pickings that nobody weighed or counted: it gave more than its value says */
  readonly unmeasured: number;
}

/** Something that makes a trial less fair than it looks. */
export type TrialFlaw =
  | { readonly id: 'places' | 'varieties' | 'seasons' }
  | { readonly id: 'starts'; readonly days: number }
  | { readonly id: 'uneven'; readonly most: number; readonly least: number }
  | { readonly id: 'gone'; readonly bags: number }
  | { readonly id: 'nothing'; readonly bags: number }
  | { readonly id: 'unmeasured'; readonly bags: number };

/** One treatment beside the first. */
export interface TrialComparison {
  readonly from: string;
  readonly to: string;
  /** on the scale of logarithms, or in days */
  readonly difference: Difference | undefined;
  /** share of shuffles with as large a difference */
  readonly byChance: number | undefined;
}

/** What a trial says. */
export interface TrialResult {
  readonly lines: readonly TrialLine[];
  readonly comparisons: readonly TrialComparison[];
  readonly flaws: readonly TrialFlaw[];
  /** how unlike this garden's bags are otherwise */
  readonly known: KnownSpread;
  readonly plans: readonly PlanPower[];
  readonly isInDays: boolean;
}

/** What gave nothing counts as this part of the middle one: nothing has no logarithm. */
const NOTHING = 0.1;
/** Starts further apart than this are told, days. */
const START_DAYS = 10;
const SEED = 20_261;

/**
 * What a trial says up to a day: each bag's value, the differences with their doubt, what is not fair about it, and what further
 * bags or seasons would find.
 *
 * @see docs/model.md, 16. Trials
 */
export function trialResult(
  trial: Pick<Trial, 'treatments' | 'units' | 'measure' | 'untilDay'>,
  context: TallyContext,
  today: Day,
): TrialResult {
  const assumed = resolveAssumed(context.garden.settings.assumptions);
  const seasons = [...new Set(trial.units.map((u) => u.season))];
  const unitsBySeason = new Map(
    seasons.map((year) => [year, tallyUnits(context, year, endOf(trial, year, context, today))]),
  );
  const lines = trial.units.map((unit) =>
    lineOf(unit, unitsBySeason.get(unit.season) ?? [], trial.measure, context),
  );
  const counted = lines.filter((line) => line.unit.outBecause === undefined);
  const observations = observationsOf(counted, trial.measure);
  const known = gardenSpread(context, trial.measure, today, new Set(trial.units.map(unitKey)));
  return resultOf(trial.treatments, counted, lines, observations, known, trial.measure, assumed);
}

function resultOf(
  treatments: Trial['treatments'],
  counted: readonly TrialLine[],
  lines: readonly TrialLine[],
  observations: readonly Observation[],
  known: KnownSpread,
  measure: TrialMeasure,
  assumed: Assumed,
): TrialResult {
  const [first, ...others] = treatments;
  const isInDays = measure === 'first-picking';
  const numbers = isInDays ? inDays(assumed) : assumed;
  const comparisons = others.map(({ id }): TrialComparison => {
    const pair = [first?.id ?? '', id] as const;
    const difference = differenceOf(observations, pair, known, numbers);
    return {
      from: pair[0],
      to: id,
      difference,
      byChance:
        difference && difference.units[0] > 1 && difference.units[1] > 1
          ? shuffledShare(observations, pair, known, chanceFrom(SEED), numbers)
          : undefined,
    };
  });
  return {
    lines,
    comparisons,
    flaws: flawsOf(counted, comparisons),
    known,
    plans: powerTable(known, assumed),
    isInDays,
  };
}

/** What is assumed of logarithms, for days: bags that had the same come a third of a fortnight apart. */
function inDays(assumed: Assumed): Assumed {
  const { bagSpread, effectSpread, placeSpread, seasonSpread, varietySpread } = assumed;
  return {
    ...assumed,
    bagSpread: bagSpread * DAYS_OF_LOG,
    effectSpread: effectSpread * DAYS_OF_LOG,
    placeSpread: placeSpread * DAYS_OF_LOG,
    seasonSpread: seasonSpread * DAYS_OF_LOG,
    varietySpread: varietySpread * DAYS_OF_LOG,
  };
}

const DAYS_OF_LOG = 15;

/** Any two groups of the tally beside each other, with the same honesty as a trial. */
export function compareGroups(
  context: TallyContext,
  years: readonly number[],
  by: Grouping,
  [from, to]: readonly [string, string],
  measure: TrialMeasure,
  today: Day,
): TrialResult {
  const assumed = resolveAssumed(context.garden.settings.assumptions);
  const lines = years.flatMap((year) =>
    tallyUnits(context, year, today).flatMap((u): readonly TrialLine[] => {
      const key = keyOf(u, by);
      if (key !== from && key !== to) return [];
      const unit = { containerId: u.containerId, plantId: u.plantId, treatmentId: key, season: year };
      const unmeasured = unmeasuredIn([u], measure);
      return [{ ...describe(u), unit, value: valueOf([u], measure), isNothing: false, unmeasured }];
    }),
  );
  const told = by === 'variety' || by === 'crop' ? lines.map((l) => ({ ...l, variety: '' })) : lines;
  const placed = by === 'place' ? told.map((l) => ({ ...l, place: '' })) : told;
  const known = gardenSpread(context, measure, today, new Set(lines.map((l) => unitKey(l.unit))));
  const treatments = [from, to].map((id) => ({ id, name: id }));
  return resultOf(treatments, placed, placed, observationsOf(placed, measure), known, measure, assumed);
}

const unitKey = ({ containerId, plantId, season }: Pick<TrialUnit, 'containerId' | 'plantId' | 'season'>) =>
  `${containerId} ${plantId ?? ''} ${season}`;

function endOf(
  { untilDay }: Pick<Trial, 'untilDay'>,
  year: number,
  { garden }: TallyContext,
  today: Day,
): Day {
  const { to } = growingSeason(year, garden.settings.latitudeDegrees);
  // "up to 31 July" is of each season
  const until =
    untilDay === undefined
      ? to
      : `${Number(untilDay.slice(0, 4)) + yearsOn(untilDay, year, garden.settings.latitudeDegrees)}${untilDay.slice(4)}`;
  return [to, until, today].sort()[0] ?? today;
}

const yearsOn = (day: Day, year: number, latitudeDegrees: number) =>
  year - seasonYearOf(day, latitudeDegrees);

function describe(u: TallyUnit): Pick<TrialLine, 'bag' | 'plantName' | 'place' | 'variety' | 'plantedOn'> {
  return { bag: u.bag, plantName: u.plantName, place: u.place, variety: u.variety, plantedOn: u.plantedOn };
}

function lineOf(
  unit: TrialUnit,
  units: readonly TallyUnit[],
  measure: TrialMeasure,
  { garden }: TallyContext,
): TrialLine {
  const own = units.filter(
    (u) => u.containerId === unit.containerId && (unit.plantId === undefined || u.plantId === unit.plantId),
  );
  const [first] = own;
  const container = garden.containers.find((c) => c.id === unit.containerId);
  const value = own.length === 0 ? undefined : valueOf(own, measure);
  return {
    unit,
    ...(first
      ? { ...describe(first), plantName: unit.plantId === undefined ? undefined : first.plantName }
      : {
          bag: container?.label ?? '?',
          plantName: undefined,
          place: garden.places.find((p) => p.id === container?.placeId)?.name ?? '',
          variety: '',
          plantedOn: undefined,
        }),
    variety: [...new Set(own.map((u) => u.variety))].join(', '),
    value,
    isNothing: value === 0,
    unmeasured: unmeasuredIn(own, measure),
  };
}

/** Pickings of some plants that a measure knows nothing of; the day of the first, and what one fruit weighs, ask for no sum. */
function unmeasuredIn(units: readonly TallyUnit[], measure: TrialMeasure): number {
  if (measure === 'first-picking' || measure === 'fruit') return 0;
  return units.reduce((sum, u) => sum + u.unmeasured, 0);
}

/** What some plants gave in a measure, by plant; undefined where it cannot be told yet. */
function valueOf(units: readonly TallyUnit[], measure: TrialMeasure): number | undefined {
  const sum = (of: (u: TallyUnit) => number) => units.reduce((total, u) => total + of(u), 0);
  // who gave something, and it was never weighed, did not give nothing
  if (unmeasuredIn(units, measure) > 0 && sum((u) => u.kilograms) === 0) return undefined;
  switch (measure) {
    case 'kilograms':
      return sum((u) => u.kilograms) / units.length;
    case 'count':
      return sum((u) => u.count) / units.length;
    case 'fruit': {
      const [kilograms, count] = [sum((u) => u.countedKilograms - u.byCountKilograms), sum((u) => u.count)];
      return kilograms > 0 && count > 0 ? kilograms / count : undefined;
    }
    case 'per-litre': {
      const litres = sum((u) => u.mixLitres);
      return litres > 0 ? sum((u) => u.kilograms) / litres : undefined;
    }
    case 'first-picking': {
      const days = units.flatMap((u) => (u.firstOn ? [daysBetween(u.plantedOn, u.firstOn)] : []));
      return days.length === 0 ? undefined : Math.min(...days);
    }
  }
}

function observationsOf(lines: readonly TrialLine[], measure: TrialMeasure): readonly Observation[] {
  const values = lines
    .flatMap(({ value }) => (value !== undefined && value > 0 ? [value] : []))
    .sort((a, b) => a - b);
  const middle = values[Math.floor(values.length / 2)];
  return lines.flatMap(({ unit, place, variety, value }): readonly Observation[] => {
    if (value === undefined || middle === undefined) return [];
    return [
      {
        unitId: `${unit.containerId} ${unit.plantId ?? ''}`,
        treatmentId: unit.treatmentId,
        variety,
        season: String(unit.season),
        place,
        value: measure === 'first-picking' ? value : Math.log(value > 0 ? value : NOTHING * middle),
      },
    ];
  });
}

/** How unlike the garden's other bags are that had the same: all that were not in the trial, in all seasons that are over. */
function gardenSpread(
  context: TallyContext,
  measure: TrialMeasure,
  today: Day,
  inTrial: ReadonlySet<string>,
): KnownSpread {
  const { latitudeDegrees } = context.garden.settings;
  const thisYear = seasonYearOf(today, latitudeDegrees);
  const observations = seasonYears(context.garden, context.live)
    .filter((year) => year < thisYear)
    .slice(0, MOST_SEASONS)
    .flatMap((year) =>
      [...groupedBy(tallyUnits(context, year, today), (u) => u.containerId).values()].flatMap(
        (units): readonly Observation[] => {
          const [first] = units;
          const value = valueOf(units, measure);
          const isIn = units.some(
            (u) =>
              inTrial.has(unitKey({ containerId: u.containerId, season: year })) ||
              inTrial.has(unitKey({ containerId: u.containerId, plantId: u.plantId, season: year })),
          );
          if (!first || isIn || value === undefined || value <= 0) return [];
          return [
            {
              unitId: first.containerId,
              treatmentId: first.kindId,
              variety: first.varietyId,
              season: String(year),
              place: first.placeId,
              value: measure === 'first-picking' ? value : Math.log(value),
            },
          ];
        },
      ),
    );
  return spreadOf(observations);
}

/** Older seasons say little of how unlike bags are today. */
const MOST_SEASONS = 4;

function flawsOf(lines: readonly TrialLine[], comparisons: readonly TrialComparison[]): readonly TrialFlaw[] {
  const confounded = new Set(comparisons.flatMap(({ difference }) => difference?.confoundedBy ?? []));
  const starts = lines.flatMap(({ plantedOn, unit }) =>
    plantedOn ? [{ plantedOn, season: unit.season }] : [],
  );
  const apart = Math.max(
    0,
    ...[...groupedBy(starts, (s) => s.season).values()].map((same) => {
      const days = same.map((s) => s.plantedOn).sort();
      return daysBetween(days[0] ?? '', days.at(-1) ?? '');
    }),
  );
  const sizes = [...groupedBy(lines, (l) => l.unit.treatmentId).values()].map((side) => side.length);
  const gone = lines.filter((l) => l.value === undefined && l.plantedOn === undefined).length;
  const nothing = lines.filter((l) => l.isNothing).length;
  const unmeasured = lines.filter((l) => l.unmeasured > 0).length;
  return [
    ...(confounded.has('place') ? [{ id: 'places' as const }] : []),
    ...(confounded.has('variety') ? [{ id: 'varieties' as const }] : []),
    ...(confounded.has('season') ? [{ id: 'seasons' as const }] : []),
    ...(apart > START_DAYS ? [{ id: 'starts' as const, days: apart }] : []),
    ...(sizes.length > 1 && Math.max(...sizes) > 2 * Math.min(...sizes)
      ? [{ id: 'uneven' as const, most: Math.max(...sizes), least: Math.min(...sizes) }]
      : []),
    ...(gone > 0 ? [{ id: 'gone' as const, bags: gone }] : []),
    ...(nothing > 0 ? [{ id: 'nothing' as const, bags: nothing }] : []),
    ...(unmeasured > 0 ? [{ id: 'unmeasured' as const, bags: unmeasured }] : []),
  ];
}
