import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import {
  addDays,
  dayOf,
  daysBetween,
  growingSeason,
  seasonYearOf,
  weekdayOf,
  type Day,
  type GrowingSeason,
} from '../calendar/index.ts';
import { ripeDays, ripeSpan, trussesOf, type RipeSpan } from '../care/index.ts';
import { datesOf, harvestHeldUntil, warmthOf } from '../garden-state/index.ts';
import {
  bagForecast,
  expectedOn,
  totalForecast,
  type Bearer,
  type DayYield,
  type ForecastPart,
  type YieldForecast,
} from '../pickings/index.ts';
import type { Occupant } from '../plants/index.ts';
import { entriesAt, type Container } from '../records/index.ts';
import { groupedBy, shrunkMean } from '../statistics/index.ts';
import type { TallyContext } from './units.ts';

/** Fruit that ripens soon: a truss, or the first of a bag. */
export interface RipeComing {
  readonly containerId: string;
  readonly plantId: string;
  readonly stationId: string;
  /** from below; undefined: the plant's first fruit */
  readonly truss: number | undefined;
  readonly fruit: number | undefined;
  readonly from: Day;
  readonly likely: Day;
  readonly to: Day;
  /** what it is counted from */
  readonly by: RipeSpan['by'] | 'planting';
  /** it may not be picked before this day, by a spray's label */
  readonly heldUntil: Day | undefined;
}

/** What a bag is still to give. */
export interface BagComing {
  readonly containerId: string;
  readonly cropId: string;
  readonly varietyId: string;
  readonly week: YieldForecast;
  readonly rest: YieldForecast;
  readonly until: Day;
}

/** What is coming in a garden. */
export interface Coming {
  readonly ripe: readonly RipeComing[];
  readonly bags: readonly BagComing[];
  readonly byCrop: Readonly<Record<string, YieldForecast>>;
  readonly week: YieldForecast;
  readonly rest: YieldForecast;
  /** week by week from the present one on, up to the season's end */
  readonly weeks: readonly ({ readonly from: Day } & YieldForecast)[];
}

/** How last season's forecasts came out, a week at a time. */
export interface ForecastCheck {
  readonly year: number;
  readonly weeks: readonly ({
    readonly from: Day;
    readonly picked: number;
    readonly lastWeek: number;
  } & YieldForecast)[];
  /** mean error of a week's total, kg: of the forecast, and of "the same as last week" */
  readonly error: number;
  readonly errorOfLastWeek: number;
  /** the same for single bags */
  readonly bagError: number;
  readonly bagErrorOfLastWeek: number;
  /** weeks that lay within what was stated, share */
  readonly held: number;
}

/** A bag in a season as far as its yield is foretold. */
interface Stand {
  readonly container: Container;
  readonly occupants: readonly Occupant[];
  readonly picked: readonly DayYield[];
  readonly bearers: readonly {
    readonly bearer: Bearer;
    readonly occupant: Occupant;
    readonly gain: number;
  }[];
}

/** Nothing is picked on the very day on which it could be: a bag that is late begins at the earliest so soon, days. */
const LATE_BY = 4;

/** The Monday of a day's week. */
export const mondayOf = (day: Day): Day => addDays(day, 1 - weekdayOf(day));

/**
 * What is coming: ripe dates by truss and by bag, and yields by week and for the rest of the season.
 *
 * @param today what was picked up to and with it is known
 * @see docs/model.md, 14. The tally
 */
export function comingOf(context: TallyContext, today: Day): Coming {
  const { garden } = context;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const season = growingSeason(
    seasonYearOf(today, garden.settings.latitudeDegrees),
    garden.settings.latitudeDegrees,
  );
  const stands = standsOf(context, season, today, learntYields(context, season.year, assumed));
  const warm = warmOf(context);
  const tomorrow = addDays(today, 1);
  const bags = stands.flatMap((stand) => {
    const foretell = foreteller(stand, today, warm, assumed);
    const end =
      stand.bearers
        .map(({ bearer }) => bearer.end)
        .sort()
        .at(-1) ?? today;
    const [eldest] = stand.occupants;
    if (!eldest || end <= today) return [];
    return [{ stand, foretell, end, eldest }];
  });
  const total = (from: Day, to: Day, of = bags) =>
    totalForecast(
      of.map(({ foretell }) => foretell(from, to)),
      assumed,
    );
  const last =
    bags
      .map(({ end }) => end)
      .sort()
      .at(-1) ?? addDays(today, -7);
  const mondays: Day[] = [];
  for (
    let monday = mondayOf(tomorrow);
    monday <= last && monday <= addDays(tomorrow, 371);
    monday = addDays(monday, 7)
  )
    mondays.push(monday);
  return {
    ripe: ripeOf(context, today, assumed),
    bags: bags.map(({ stand, foretell, end, eldest }) => ({
      containerId: stand.container.id,
      cropId: eldest.crop.id,
      varietyId: eldest.variety.id,
      week: totalForecast([foretell(tomorrow, addDays(today, 7))], assumed),
      rest: totalForecast([foretell(tomorrow, end)], assumed),
      until: end,
    })),
    byCrop: Object.fromEntries(
      [...groupedBy(bags, ({ eldest }) => eldest.crop.id)].map(([cropId, of]) => [
        cropId,
        total(tomorrow, last, [...of]),
      ]),
    ),
    week: total(tomorrow, addDays(today, 7)),
    rest: total(tomorrow, last),
    weeks: mondays.map((monday) => ({
      from: monday,
      ...total(monday < tomorrow ? tomorrow : monday, addDays(monday, 6)),
    })),
  };
}

/** Mean temperature by day where a bag stands: as noted or as usual, and warmer under cover. */
function warmOf({ live, garden }: TallyContext): (day: Day) => number {
  return warmthOf(live, garden.settings);
}

type Foretell = (from: Day, to: Day) => ForecastPart;

function foreteller(
  { picked, bearers }: Stand,
  today: Day,
  warm: (day: Day) => number,
  assumed: Assumed,
): Foretell {
  const first = bearers.map(({ bearer }) => bearer.first).sort()[0] ?? today;
  const weekly = bearers.reduce((sum, { bearer }) => sum + bearer.kilogramsAWeek, 0);
  const memory = new Map<Day, number>();
  const expected = (day: Day): number => {
    const known = memory.get(day);
    if (known !== undefined) return known;
    const value = bearers.reduce(
      (sum, { bearer, gain }) => sum + expectedOn(bearer, day, warm(day) + gain, assumed),
      0,
    );
    memory.set(day, value);
    return value;
  };
  return (from, to) => bagForecast(expected, weekly, picked, first, today, [from, to], assumed);
}

/** Kilograms that a plant of a variety gave in a week of full bearing, over what is usual, by what earlier seasons gave. */
type LearntYields = (varietyId: string) => number;

const PRIOR_STANDS = 2;

function learntYields(context: TallyContext, year: number, assumed: Assumed): LearntYields {
  const { latitudeDegrees } = context.garden.settings;
  const warm = warmOf(context);
  const ratios = new Map<string, number[]>();
  // the last three seasons tell of the present one
  for (let earlier = year - 1; earlier >= year - 3; earlier--) {
    const season = growingSeason(earlier, latitudeDegrees);
    for (const { picked, bearers } of standsOf(context, season, season.to, () => 1)) {
      const [first] = bearers;
      const got = picked.reduce((sum, { kilograms }) => sum + kilograms, 0);
      if (!first || got <= 0) continue;
      let usual = 0;
      for (const { bearer, gain, occupant } of bearers)
        for (
          let day = bearer.first;
          day <= (occupant.clearedOn ?? bearer.end) && day <= season.to;
          day = addDays(day, 1)
        )
          usual += expectedOn(bearer, day, warm(day) + gain, assumed);
      if (usual <= 0) continue;
      const { id } = first.occupant.variety;
      ratios.set(id, [...(ratios.get(id) ?? []), got / usual]);
    }
  }
  return (varietyId) => shrunkMean(ratios.get(varietyId) ?? [], 1, PRIOR_STANDS);
}

/**
 * The bags that bore or will bear in a season, by what is known at a day: what was seen later is not known yet.
 *
 * @param asOf the day by whose knowledge it is told
 */
function standsOf(
  context: TallyContext,
  season: GrowingSeason,
  asOf: Day,
  learnt: LearntYields,
  dates: DatesMemory = new Map(),
): readonly Stand[] {
  const { garden } = context;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const byBag = groupedBy(
    context.pickings.filter((p) => {
      const day = dayOf(p.at);
      return day >= season.from && day <= season.to && day <= asOf;
    }),
    (p) => p.containerId,
  );
  return garden.containers.flatMap((container): readonly Stand[] => {
    const occupants = context
      .occupants(container.id)
      .filter(
        (o) =>
          o.plantedOn <= asOf &&
          o.plantedOn <= season.to &&
          (o.clearedOn === undefined || o.clearedOn > (asOf < season.to ? asOf : season.from)),
      );
    if (occupants.length === 0) return [];
    const from = occupants.map((o) => o.plantedOn).sort()[0] ?? season.from;
    const picked = (byBag.get(container.id) ?? []).flatMap((p) =>
      dayOf(p.at) >= from ? [{ day: dayOf(p.at), kilograms: p.kilograms }] : [],
    );
    const place = garden.places.find((p) => p.id === container.placeId);
    const cover = place?.cover ?? 'open';
    const gain = cover === 'open' ? 0 : cover === 'glass' ? assumed.coldCoverGain : 2 * assumed.coldCoverGain;
    const firstPicked = picked.map(({ day }) => day).sort()[0];
    return [
      {
        container,
        occupants,
        picked,
        bearers: occupants.map((occupant) => {
          const known = asKnownOn(occupant, asOf);
          const key = `${known.planted.id} ${JSON.stringify(known.stages)}`;
          const span = dates.get(key) ?? datesOf(known, garden, cover);
          dates.set(key, span);
          const reckoned = span.picking.from;
          const first =
            firstPicked ??
            (reckoned > asOf ? reckoned : addDays(asOf < season.to ? asOf : reckoned, LATE_BY));
          const end = span.clear > first ? span.clear : first;
          return {
            occupant,
            gain,
            bearer: {
              first,
              end: end < season.to ? end : season.to,
              isOneFlush: occupant.habit.bearing === 'one-flush',
              kilogramsAWeek: occupant.habit.kilogramsAWeek.value * learnt(occupant.variety.id),
            },
          };
        }),
      },
    ];
  });
}

/** The dates of plants as they were known, by planting and stages: a season is told anew for each of its weeks. */
type DatesMemory = Map<string, ReturnType<typeof datesOf>>;

/** A plant as it was known on a day: stages that were seen later are not known yet. */
function asKnownOn(occupant: Occupant, asOf: Day): Occupant {
  const upTo = (days: Occupant['stages']['seen']) =>
    Object.fromEntries(Object.entries(days).filter(([, day]) => day <= asOf));
  return {
    ...occupant,
    stages: { seen: upTo(occupant.stages.seen), notYet: upTo(occupant.stages.notYet) },
  };
}

/** A truss or a first fruit that was due so long ago, and of which nobody has said that it is picked, is no news, days. */
const LONG_PAST = 14;

/** Trusses that hang, and the first fruit of plants that have given none. */
function ripeOf(context: TallyContext, today: Day, assumed: Assumed): readonly RipeComing[] {
  const { garden, live } = context;
  return garden.containers
    .filter((c) => !c.binnedAt)
    .flatMap((container) => {
      const here = entriesAt(live, container.id).filter((e) => dayOf(e.at) <= today);
      const heldUntil = harvestHeldUntil(here, today)?.until;
      const cover = garden.places.find((p) => p.id === container.placeId)?.cover ?? 'open';
      return context
        .occupants(container.id)
        .filter((o) => o.plantedOn <= today && (o.clearedOn === undefined || o.clearedOn > today))
        .flatMap((o): readonly RipeComing[] => {
          const at = { containerId: container.id, plantId: o.plant.id, stationId: o.stationId, heldUntil };
          const days = ripeDays(o.crop.id, o.variety);
          const trusses = trussesOf(here, o.plant.id);
          const hanging = trusses.flatMap((truss): readonly RipeComing[] => {
            const span = ripeSpan(truss, days, assumed.flowersToSet);
            return span ? [{ ...at, ...span, truss: truss.number, fruit: truss.count }] : [];
          });
          if (hanging.length > 0 || trusses.length > 0) return hanging;
          const { seen } = o.stages;
          if (seen.ripe !== undefined) return [];
          const span = ripeSpan(
            { setOn: seen.set, floweredOn: seen.flowers, pickedOn: undefined },
            days,
            assumed.flowersToSet,
          );
          if (span) return [{ ...at, ...span, truss: undefined, fruit: undefined }];
          const { from, to } = datesOf(o, garden, cover).firstPicking;
          const likely = addDays(from, Math.round(daysBetween(from, to) / 2));
          return [{ ...at, from, likely, to, by: 'planting', truss: undefined, fruit: undefined }];
        });
    })
    .filter(({ to }) => addDays(to, LONG_PAST) >= today)
    .sort((a, b) => (a.likely < b.likely ? -1 : a.likely > b.likely ? 1 : 0));
}

/** What ripens between now and a week on: its likely day is near, or past and not picked. */
export function isRipeThisWeek(
  { from, likely, to }: Pick<RipeComing, 'from' | 'likely' | 'to'>,
  today: Day,
): boolean {
  const week = addDays(today, 7);
  return likely <= week || (from <= today && to <= addDays(week, 7));
}

/**
 * A past season's forecasts, made anew a week at a time by what was known at each, beside what was picked and beside "the same as
 * last week".
 *
 * @returns undefined where there was too little to check, fewer than four weeks
 */
export function checkForecasts(context: TallyContext, year: number, today: Day): ForecastCheck | undefined {
  const { garden } = context;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const season = growingSeason(year, garden.settings.latitudeDegrees);
  const inSeason = context.pickings.filter((p) => {
    const day = dayOf(p.at);
    return day >= season.from && day <= season.to && day <= today;
  });
  const days = inSeason.map((p) => dayOf(p.at)).sort();
  const [firstDay] = days;
  const lastDay = days.at(-1);
  if (firstDay === undefined || lastDay === undefined) return undefined;
  const learnt = learntYields(context, year, assumed);
  // the weather of a week to come is not known: it is taken as usual
  const warm = warmthOf([], garden.settings);
  const byWeek = new Map<string, number>();
  const add = (key: string, kilograms: number) => byWeek.set(key, (byWeek.get(key) ?? 0) + kilograms);
  for (const p of inSeason) {
    const monday = mondayOf(dayOf(p.at));
    add(monday, p.kilograms);
    add(`${p.containerId} ${monday}`, p.kilograms);
  }
  const sumOf = (containerId: string | undefined, monday: Day) =>
    byWeek.get(containerId === undefined ? monday : `${containerId} ${monday}`) ?? 0;
  const weeks: ForecastCheck['weeks'][number][] = [];
  const bagErrors: number[] = [];
  const dates: DatesMemory = new Map();
  const bagNaive: number[] = [];
  for (
    let monday = addDays(mondayOf(firstDay), 7);
    addDays(monday, 6) <= lastDay;
    monday = addDays(monday, 7)
  ) {
    const asOf = addDays(monday, -1);
    const sunday = addDays(monday, 6);
    const stands = standsOf(context, season, asOf, learnt, dates);
    const parts = stands.map((stand) => foreteller(stand, asOf, warm, assumed)(monday, sunday));
    for (const [i, { container }] of stands.entries()) {
      const got = sumOf(container.id, monday);
      const before = sumOf(container.id, addDays(monday, -7));
      if (got === 0 && before === 0) continue;
      bagErrors.push(Math.abs(got - (parts[i]?.mean ?? 0)));
      bagNaive.push(Math.abs(got - before));
    }
    weeks.push({
      from: monday,
      picked: sumOf(undefined, monday),
      lastWeek: sumOf(undefined, addDays(monday, -7)),
      ...totalForecast(parts, assumed),
    });
  }
  if (weeks.length < 4) return undefined;
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  return {
    year,
    weeks,
    error: mean(weeks.map((w) => Math.abs(w.likely - w.picked))),
    errorOfLastWeek: mean(weeks.map((w) => Math.abs(w.lastWeek - w.picked))),
    bagError: mean(bagErrors),
    bagErrorOfLastWeek: mean(bagNaive),
    held: mean(weeks.map((w) => (w.picked >= w.low && w.picked <= w.high ? 1 : 0))),
  };
}
