import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import { normalOfDay, temperaturesOf } from '../climate/index.ts';
import {
  COMPANION_COVER,
  COMPANION_WEEKS_TO_FULL,
  grownShare,
  habitFigures,
  occupantsOf,
  type Occupant,
} from '../plants/index.ts';
import {
  entriesAt,
  type Entry,
  type EntryOf,
  type Container,
  type Settings,
  type Garden,
  type Regime,
} from '../records/index.ts';
import {
  baseUsedUp,
  findRegime,
  ledgerOf,
  stepStates,
  wantedByAll,
  type DaySpread,
  type FedPlant,
  type FeedingCase,
  type Ledger,
  type LedgerCase,
  type StageDates,
  type StepState,
} from '../feeding/index.ts';
import type { PlantingDates } from '../season/index.ts';
import type { Move } from '../water/index.ts';
import { siteOf } from './bag-state.ts';
import { knownWeather } from './known-weather.ts';
import type { BagProperties } from './properties.ts';
import { datesOf, stageDatesOf } from './stage-dates.ts';
import { drainedBy, fedPlants, isFullDose, labelMonthsOver, sourcesOf } from './feed-sources.ts';

/** What is known of one bag's feeding at one moment, all of it computed: what its regime asks for and why. */
export interface BagFeeding {
  readonly containerId: string;
  readonly today: Day;
  /** undefined: it is fed by no regime */
  readonly regime: Regime | undefined;
  /** the regime that the diary names is gone from the garden */
  readonly isRegimeGone: boolean;
  readonly states: readonly StepState[];
  readonly stageDates: StageDates;
  /** when its plants are likely done; undefined for an empty bag */
  readonly endsOn: Day | undefined;
  readonly baseUsedUp: DaySpread;
  /** feeds whose strength is not known, and that the ledger leaves out */
  readonly unknownFeeds: number;
  /** what it was offered and where that went, worked out when it is asked for: three runs over its season */
  ledger(): Ledger;
}

/** Mean temperature of each day, °C: as noted, otherwise as usual. One for a garden, shared by its bags. */
export function warmthOf(live: readonly Entry[], settings: Settings): (day: Day) => number {
  const known = new Map(knownWeather(live).map((w) => [w.day, w]));
  const { normals } = siteOf(settings);
  const means = new Map<Day, number>();
  return (day) => {
    const found = means.get(day);
    if (found !== undefined) return found;
    const { minCelsius, maxCelsius } = temperaturesOf(known.get(day), normalOfDay(normals, day));
    const mean = (minCelsius + maxCelsius) / 2;
    means.set(day, mean);
    return mean;
  };
}

/** The ledger is followed this long beyond today, days. */
const DAYS_AHEAD = 75;
/** And this long back at the most. */
const LONGEST_DAYS = 330;

/** A bag's case for the due engine with a regime, which may be one that is only being thought of. */
export function feedingCaseOf(
  container: Container,
  occupants: readonly Occupant[],
  live: readonly Entry[],
  garden: Garden,
  stageDates: StageDates,
  regime: Regime,
  since: Day,
): FeedingCase {
  const here = entriesAt(live, container.id);
  const eldest = occupants.find((o) => o.clearedOn === undefined);
  const figures = eldest && habitFigures(eldest.crop.id, eldest.habit, garden.settings.assumptions);
  const from = eldest?.plantedOn ?? since;
  return {
    regime,
    since,
    stageDates,
    given: here.flatMap((e) =>
      e.kind === 'fed' && dayOf(e.at) >= from
        ? [
            {
              day: dayOf(e.at),
              productId: e.productId,
              regimeId: e.regimeId,
              stepId: e.stepId,
              isFull: isFullDose(e, garden),
            },
          ]
        : e.kind === 'filled'
          ? e.amendments.map((a) => ({ day: from, productId: a.productId }))
          : [],
    ),
    left: here.flatMap((e) =>
      e.kind === 'feed-skipped' && dayOf(e.at) >= from
        ? [
            {
              day: dayOf(e.at),
              productId: e.productId,
              regimeId: e.regimeId,
              stepId: e.stepId,
              reason: e.reason,
            },
          ]
        : [],
    ),
    grownOn: (day) =>
      eldest && figures ? grownShare(daysBetween(eldest.ageFrom, day), figures.weeksToFull) : 0,
  };
}

/** The regime that a bag was last given, with the entry that says so; none where it was taken off, or is gone. */
export function regimeNow(
  here: readonly Entry[],
  garden: Pick<Garden, 'regimes'>,
): { readonly assigned: EntryOf<'regime'> | undefined; readonly regime: Regime | undefined } {
  const assigned = here.findLast((e): e is EntryOf<'regime'> => e.kind === 'regime');
  const own = garden.regimes.filter((r) => !r.binnedAt);
  return {
    assigned,
    regime: assigned?.regimeId === undefined ? undefined : findRegime(assigned.regimeId, own),
  };
}

/**
 * A bag's feeding now: its regime, where each step stands, what the ledger says.
 *
 * @param live the garden's live entries, oldest first
 * @param warmth of the garden, from `warmthOf`
 * @param moves of the bag's water, which tell what ran through; left out: nothing is known to have run through
 */
export function bagFeeding(
  garden: Garden,
  container: Container,
  properties: BagProperties,
  live: readonly Entry[],
  today: Day,
  warmth: (day: Day) => number,
  moves: readonly Move[] = [],
): BagFeeding {
  const { assumed } = properties;
  const here = entriesAt(live, container.id).filter((e) => dayOf(e.at) <= today);
  const everyone = occupantsOf(container, here, garden);
  const cover = garden.places.find((s) => s.id === container.placeId)?.cover ?? 'open';
  const present = everyone.filter((o) => o.clearedOn === undefined);
  const eldest = present[0];
  const filled = here.findLast((e) => e.kind === 'filled');
  const first = [filled && dayOf(filled.at), eldest?.plantedOn, today].filter(
    (d): d is Day => d !== undefined,
  );
  const from = latestOf(
    first.reduce((a, b) => (b < a ? b : a)),
    addDays(today, -LONGEST_DAYS),
  );
  // closed seasons took what they took before the ledger begins
  const occupants = everyone.filter((o) => o.clearedOn === undefined || o.clearedOn >= from);
  const dates = new Map(occupants.map((o) => [o, datesOf(o, garden, cover)]));
  const { sources, unknown } = sourcesOf(container, properties, here, garden, from);
  const waterLitres = properties.mix.capacity * properties.fill.mixLitres;
  const drained = drainedBy(here, moves, waterLitres);
  const plants = fedPlants(occupants, here, garden, (o) => dates.get(o) as PlantingDates, today, assumed);
  const { companions } = container;
  const beside: FedPlant[] =
    companions && eldest
      ? [
          {
            cropId: eldest.crop.id,
            plantedOn: companions.from ?? eldest.plantedOn,
            clearedOn: companions.until,
            canopySquareMetres: COMPANION_COVER[companions.size],
            weeksToFull: COMPANION_WEEKS_TO_FULL,
            // leaf alone: no day on which fruit grows
            fruitFrom: eldest.plantedOn,
            fruitTo: addDays(eldest.plantedOn, -1),
            yieldFactor: 1,
          },
        ]
      : [];
  const wanted = new Map<Day, ReturnType<typeof wantedByAll>>();
  const ledgerCase: LedgerCase = {
    from,
    to: addDays(today, DAYS_AHEAD),
    sources,
    drainedOn: (day) => drained.get(day) ?? 0,
    wantedOn: (day) => {
      const known = wanted.get(day);
      if (known) return known;
      const all = wantedByAll([...plants, ...beside], day, assumed);
      wanted.set(day, all);
      return all;
    },
    warmthOn: warmth,
  };
  const used: DaySpread = eldest
    ? baseUsedUp(ledgerCase, eldest.plantedOn, assumed)
    : { low: undefined, likely: undefined, high: undefined };
  const stageDates = stageDatesOf(
    occupants,
    eldest && dates.get(eldest),
    used,
    labelMonthsOver(sources),
    assumed,
  );
  const { assigned, regime } = regimeNow(here, garden);
  const states =
    regime && assigned && eldest
      ? stepStates(
          feedingCaseOf(container, occupants, here, garden, stageDates, regime, dayOf(assigned.at)),
          today,
          assumed,
        )
      : [];
  return {
    containerId: container.id,
    today,
    regime,
    isRegimeGone: assigned?.regimeId !== undefined && regime === undefined,
    states,
    stageDates,
    endsOn: eldest && dates.get(eldest)?.clear,
    baseUsedUp: used,
    unknownFeeds: unknown,
    ledger: () => ledgerOf(ledgerCase, today, waterLitres, assumed),
  };
}

const latestOf = (a: Day, b: Day): Day => (a > b ? a : b);
