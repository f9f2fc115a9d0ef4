import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import { addDays, dayOf, growingSeason, weekdayOf, type Day, type GrowingSeason } from '../calendar/index.ts';
import { datesOf, warmthOf } from '../garden-state/index.ts';
import {
  bagForecast,
  expectedOn,
  untoldDays,
  type Bearer,
  type DayYield,
  type ForecastPart,
} from '../pickings/index.ts';
import type { Occupant } from '../plants/index.ts';
import type { Container } from '../records/index.ts';
import { groupedBy, shrunkMean } from '../statistics/index.ts';
import type { TallyContext } from './context.ts';

/** A bag in a season as far as its yield is foretold. */
export interface Stand {
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

/** Mean temperature by day where a bag stands: as noted or as usual, and warmer under cover. */
export function warmOf({ live, garden }: TallyContext): (day: Day) => number {
  return warmthOf(live, garden.settings);
}

/** What a stand gives between two days. */
export type Foretell = (from: Day, to: Day) => ForecastPart;

export function foreteller(
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
export type LearntYields = (varietyId: string) => number;

const PRIOR_STANDS = 2;

export function learntYields(context: TallyContext, year: number, assumed: Assumed): LearntYields {
  const { latitudeDegrees } = context.garden.settings;
  const warm = warmOf(context);
  const ratios = new Map<string, number[]>();
  // the last three seasons tell of the present one
  for (let earlier = year - 1; earlier >= year - 3; earlier--) {
    const season = growingSeason(earlier, latitudeDegrees);
    for (const { picked, bearers } of standsOf(context, season, season.to, () => 1)) {
      const [first] = bearers;
      const isUntold = untoldDays(picked, first?.bearer.first ?? season.from);
      const got = picked.reduce((sum, { day, kilograms }) => sum + (isUntold(day) ? 0 : kilograms), 0);
      if (!first || got <= 0) continue;
      let usual = 0;
      for (const { bearer, gain, occupant } of bearers)
        for (
          let day = bearer.first;
          day <= (occupant.clearedOn ?? bearer.end) && day <= season.to;
          day = addDays(day, 1)
        )
          if (!isUntold(day)) usual += expectedOn(bearer, day, warm(day) + gain, assumed);
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
export function standsOf(
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
      dayOf(p.at) >= from ? [{ day: dayOf(p.at), kilograms: p.kilograms, isUnmeasured: p.isUnmeasured }] : [],
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
export type DatesMemory = Map<string, ReturnType<typeof datesOf>>;

/** A plant as it was known on a day: stages that were seen later are not known yet. */
function asKnownOn(occupant: Occupant, asOf: Day): Occupant {
  const upTo = (days: Occupant['stages']['seen']) =>
    Object.fromEntries(Object.entries(days).filter(([, day]) => day <= asOf));
  return {
    ...occupant,
    stages: { seen: upTo(occupant.stages.seen), notYet: upTo(occupant.stages.notYet) },
  };
}
