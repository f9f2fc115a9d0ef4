import { addDays, dayOf, daysBetween, momentAt, roundsAfter } from '../calendar/index.ts';
import { completeWeather, defaultNormals, type Site } from '../climate/index.ts';
import {
  entriesAt,
  liveEntries,
  type Entry,
  type Container,
  type Settings,
  type Garden,
} from '../records/index.ts';
import {
  FORECAST_HOURS,
  forecastWater,
  timelineOf,
  type Belief,
  learnCapacity,
  rootedOn,
  type DripSpell,
  type LearntCapacity,
  type WaterForecast,
  type UseStep,
  type WaterBag,
  type WaterEstimate,
  type WaterEvent,
} from '../water/index.ts';
import { atLevel, propertiesOf, waterBagOf, type BagProperties } from './properties.ts';
import { FilterMemory } from './filter-memory.ts';
import { knownWeather } from './known-weather.ts';
import { levelOf, sizeForAge } from './growth.ts';
import { daysSinceLastPlanting, occupantsOf } from '../plants/index.ts';
import { learnProbe, type LearntProbe } from './probe.ts';
import { tankEvents, tankOf, tankShares, tankWaterEvents, withTank } from './tanks.ts';
import { checksOf, type SetAsideReading } from './readings.ts';

/** What is known of one bag at one moment, all of it computed. */
export interface BagWater {
  readonly containerId: string;
  readonly now: string;
  readonly availableLitres: number;
  readonly estimate: WaterEstimate;
  readonly ahead: WaterForecast;
  /** days of the span whose temperatures were filled in from the normals, and days in all */
  readonly filledDays: number;
  readonly spanDays: number;
  readonly daysSincePlanting: number | undefined;
  /** roots are not out in the mix yet, or not down in the tank below: it is watered from the top, and little */
  readonly isEstablishing: boolean;
  readonly hasBeenChecked: boolean;
  /** readings that cannot be right and do not count */
  readonly setAside: readonly SetAsideReading[];
  /** what its probe has shown to be off; undefined for a bag without readings of one */
  readonly probe: LearntProbe | undefined;
  /** what it seems to hold against what was reckoned, by the litres that it took until they ran through */
  readonly capacity: LearntCapacity;
  /** what it likely used on each of the last days and will on the next, L: mean, at its own use; and what the drip brought */
  readonly usePerDay: readonly {
    readonly day: string;
    readonly litres: number;
    readonly dripLitres: number;
  }[];
}

/** The furthest back a bag is followed, days: older entries say nothing about today's water. */
const LONGEST_SPAN_DAYS = 200;
const ROUNDS_AHEAD = 20;
/** Five weeks of use are kept beside what is to come. */
const USE_DAYS_BACK = 35;

/** The garden's site: its own normals, or those of its latitude. */
export function siteOf(settings: Settings): Site {
  return {
    latitudeDegrees: settings.latitudeDegrees,
    normals: settings.normals ?? defaultNormals(settings.latitudeDegrees, settings.seasonsId),
  };
}

function waterEventsOf(
  container: Container,
  garden: Garden,
  live: readonly Entry[],
  checks: ReturnType<typeof checksOf>['checks'],
): readonly WaterEvent[] {
  // what is seen in a tank, or poured into it, is of all that drink from it
  const tank = tankOf(container, garden);
  const share = tank && tankShares(tank, garden, live).get(container.id);
  const events: WaterEvent[] =
    tank && share !== undefined ? [...tankWaterEvents(tankEvents(tank, garden, live), share)] : [];
  for (const e of entriesAt(live, container.id)) {
    if (tank && isOfStore(e)) continue;
    const check = checks.get(e.id);
    if (check && e.kind === 'check')
      events.push({ kind: 'check', id: e.id, at: e.at, check, stationId: e.stationId });
    if (e.kind === 'watering') {
      const { id, at, litres, isMeasured, ranThrough, through, isInGoes, into } = e;
      events.push({ kind: 'watering', id, at, litres, isMeasured, ranThrough, through, isInGoes, into });
    }
    if (e.kind === 'solution' && e.what === 'changed')
      events.push({ kind: 'emptied', id: `${e.id}-emptied`, at: e.at });
  }
  return events;
}

/** Whether an entry at a bag is about its store and not about its mix. */
function isOfStore(e: Entry): boolean {
  return (
    (e.kind === 'check' && e.check.method === 'level') ||
    (e.kind === 'watering' && e.into === 'store') ||
    e.kind === 'solution'
  );
}

/** The drip settings of a container by its diary, oldest first. */
export function dripsOf(containerId: string, live: readonly Entry[], loss: number): readonly DripSpell[] {
  return entriesAt(live, containerId).flatMap((e) =>
    e.kind === 'drip' ? [{ from: dayOf(e.at), setting: e.setting, loss }] : [],
  );
}

/** What a container stood under before it was moved to its place, by its diary, oldest first. */
export function earlierSkies(
  containerId: string,
  live: readonly Entry[],
  places: Garden['places'],
): WaterBag['earlier'] {
  const moves = entriesAt(live, containerId).filter((e) => e.kind === 'moved');
  if (moves.length === 0) return undefined;
  return moves.map((move, i) => {
    // one that was put down late says nothing of the next: that one was from where this brought it
    const stood = moves[i - 1]?.toPlaceId ?? move.fromPlaceId;
    const place = places.find(({ id }) => id === stood);
    return {
      until: dayOf(move.at),
      underCover: place !== undefined && place.cover !== 'open',
      shade: place?.shade ?? 0,
    };
  });
}

/**
 * When the story of a container's water starts: its first planting, check or watering since it last stood empty, or two weeks
 * back. What it held for last season's plants says nothing of the mix that is in it now.
 */
function startOf(container: Container, live: readonly Entry[], now: string): string {
  const earliest = momentAt(addDays(dayOf(now), -LONGEST_SPAN_DAYS), 0, now);
  const usual = momentAt(addDays(dayOf(now), -14), 0, now);
  const standing = new Set<string>();
  let first: string | undefined;
  for (const e of entriesAt(live, container.id)) {
    if (Date.parse(e.at) > Date.parse(now)) continue;
    if (e.kind === 'planted') standing.add(e.stationId);
    if (e.kind === 'cleared' && standing.delete(e.stationId) && standing.size === 0) first = undefined;
    else if (e.kind === 'planted' || e.kind === 'check' || e.kind === 'watering' || e.kind === 'drip')
      first ??= e.at;
  }
  if (first === undefined) return usual;
  return Date.parse(first) < Date.parse(earliest) ? earliest : first;
}

/** A container as the water model sees it, with what its diary adds, and where its story lies in time. */
export interface WaterCase {
  readonly bag: WaterBag;
  readonly properties: BagProperties;
  readonly belief: Belief;
  /** local times of the rounds to come */
  readonly rounds: readonly string[];
}

/**
 * Works out a bag's water now and in the rounds to come, from the garden's records and diary.
 *
 * @param now local time with offset; entries after it do not count
 * @param live the garden's live entries, when they are at hand already
 * @param memory what is kept between runs for one bag, so that only what is new is run
 * @throws RundelError or ZodError when the container's record does not make sense
 */
export function bagWater(
  garden: Garden,
  container: Container,
  now: string,
  live: readonly Entry[] = liveEntries(garden.entries),
  memory: FilterMemory = new FilterMemory(),
): BagWater {
  return waterCase(garden, container, now, live, memory).water;
}

/** Where a bag stands in time and weather, before anything is said of its water. */
export interface WaterSetting {
  readonly bag: WaterBag;
  readonly properties: BagProperties;
  /** local time at which its story starts */
  readonly from: string;
  readonly occupants: ReturnType<typeof occupantsOf>;
  readonly rounds: readonly string[];
  readonly weather: ReturnType<typeof completeWeather>;
  readonly stepsBetween: ReturnType<typeof timelineOf>;
  /** the time up to each round to come, in order */
  readonly spans: readonly {
    readonly at: string;
    readonly hoursAhead: number;
    readonly steps: readonly UseStep[];
  }[];
}

/** A bag in its weather, with the rounds to come, as its record and its place have it. */
export function waterSetting(
  garden: Garden,
  container: Container,
  now: string,
  live: readonly Entry[],
  roundsAhead = ROUNDS_AHEAD,
): WaterSetting {
  const { settings } = garden;
  const place = garden.places.find((s) => s.id === container.placeId);
  const whole = propertiesOf(container, garden);
  const { assumed } = whole;
  const from = startOf(container, live, now);
  const occupants = occupantsOf(container, live, garden).filter(
    (o) => o.clearedOn === undefined || o.clearedOn > dayOf(from),
  );
  const present = occupants.filter((o) => o.clearedOn === undefined);
  const properties = atLevel(whole, levelOf(whole, present, live));
  const bag = waterBagOf(
    withTank(container, garden, live),
    properties,
    place ?? { cover: 'open' },
    occupants,
    settings,
    {
      drips: dripsOf(container.id, live, assumed.dripLoss),
      earlier: earlierSkies(container.id, live, garden.places),
      sizeOf: (occupant) => sizeForAge(occupant, whole, live, settings, dayOf(now)),
    },
  );
  const rounds = roundsAfter(now, settings.roundHours, roundsAhead, settings.roundDays);
  const last = rounds.at(-1) ?? now;
  const site = siteOf(settings);
  const weather = completeWeather(knownWeather(live), site, dayOf(from), dayOf(last), assumed);
  const stepsBetween = timelineOf(bag, weather, site.latitudeDegrees, assumed);
  const spans = rounds.map((at, i) => ({
    at,
    hoursAhead: (Date.parse(at) - Date.parse(now)) / 3_600_000,
    steps: stepsBetween([], rounds[i - 1] ?? now, at, FORECAST_HOURS).filter(
      (s): s is UseStep => s.kind === 'use',
    ),
  }));
  return { bag, properties, from, occupants, rounds, weather, stepsBetween, spans };
}

/** The same with the belief itself, for those who draw from it. */
export function waterCase(
  garden: Garden,
  container: Container,
  now: string,
  live: readonly Entry[] = liveEntries(garden.entries),
  memory: FilterMemory = new FilterMemory(),
): WaterCase & { readonly water: BagWater } {
  const { settings } = garden;
  const setting = waterSetting(garden, container, now, live);
  const { bag: reckoned, properties, from, occupants, rounds, weather, stepsBetween, spans } = setting;
  const { assumed } = properties;
  const runWith = (attachment: FilterMemory, runBag: WaterBag, probeNoise?: number) => {
    const { checks, setAside } = checksOf(container, properties, live, probeNoise);
    const events = waterEventsOf(container, garden, live, checks);
    const steps = stepsBetween(events, from, now);
    return { checks, setAside, events, steps, ...attachment.run(runBag, steps, assumed) };
  };
  const first = runWith(memory, reckoned);
  const here = entriesAt(live, container.id);
  const { moves } = first.estimate;
  const probe = learnProbe(here, first.checks, moves, reckoned.availableLitres, assumed);
  const capacity = learnCapacity(first.events, moves, reckoned.availableLitres, assumed);
  const isOwnProbe = probe.readings > 0 && Math.abs(probe.noise - assumed.probeNoise) > 1e-9;
  const bag =
    capacity.factor === 1
      ? reckoned
      : { ...reckoned, availableLitres: reckoned.availableLitres * capacity.factor };
  const { setAside, events, steps, belief, estimate } =
    isOwnProbe || bag !== reckoned
      ? runWith(memory.second(), bag, isOwnProbe ? probe.noise : undefined)
      : first;
  const past = weather.filter((day) => day.day <= dayOf(now));
  const daysSincePlanting = daysSinceLastPlanting(occupants, dayOf(now));
  const isEstablishing = daysSincePlanting !== undefined && rootedOn(bag, dayOf(now), assumed) < 1;
  const seenAt = estimate.lastEventAt;
  const water: BagWater = {
    containerId: container.id,
    now,
    availableLitres: bag.availableLitres,
    estimate,
    ahead: forecastWater(belief, bag, spans, assumed, {
      mayMissARound: settings.plansForMissedRound ?? false,
      hoursSinceSeen: seenAt === undefined ? 0 : (Date.parse(now) - Date.parse(seenAt)) / 3_600_000,
      isEstablishing,
    }),
    filledDays: past.filter((day) => day.filled.min && day.filled.max).length,
    spanDays: daysBetween(dayOf(from), dayOf(now)) + 1,
    daysSincePlanting,
    isEstablishing,
    hasBeenChecked: events.some((e) => e.kind === 'check' && Date.parse(e.at) <= Date.parse(now)),
    setAside,
    probe: probe.readings > 0 ? probe : undefined,
    capacity,
    usePerDay: usePerDay(
      [
        ...steps.filter((step): step is UseStep => step.kind === 'use'),
        ...spans.flatMap((span) => span.steps),
      ],
      estimate.useMultiplier.likely,
      addDays(dayOf(now), -USE_DAYS_BACK),
    ),
  };
  return { water, bag, properties, belief, rounds };
}

/** Use by day, L, from a day on. */
function usePerDay(steps: readonly UseStep[], use: number, from: string): BagWater['usePerDay'] {
  const days = new Map<string, { litres: number; dripLitres: number; days: number }>();
  for (const step of steps) {
    const day = dayOf(step.until);
    if (day < from) continue;
    const sum = days.get(day) ?? { litres: 0, dripLitres: 0, days: 0 };
    sum.litres += step.transpirationLitres * use + step.evaporationLitres;
    sum.dripLitres += step.dripLitres;
    sum.days += step.days;
    days.set(day, sum);
  }
  // only whole days: the first and the last are cut
  return [...days]
    .filter(([, { days: part }]) => part > 0.95)
    .map(([day, { litres, dripLitres }]) => ({ day, litres, dripLitres }));
}
