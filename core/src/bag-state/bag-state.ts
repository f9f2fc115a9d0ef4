import {
  addDays,
  completeWeather,
  dayOf,
  daysBetween,
  defaultNormals,
  type KnownDay,
  type Site,
} from '../climate/index.ts';
import { liveEntries, type Entry } from '../diary/index.ts';
import type { Container, Settings } from '../garden/index.ts';
import {
  lookAhead,
  runFilter,
  timeline,
  type LookAhead,
  type UseStep,
  type WaterEstimate,
  type WaterEvent,
} from '../water/index.ts';
import { bodyOf, waterBagOf } from './body.ts';
import type { Garden } from './garden.ts';
import { momentAt, roundsAfter } from './moments.ts';
import { daysSinceLastPlanting, occupantsOf } from './occupants.ts';

/** What is known of one bag at one moment, all of it computed. */
export interface BagWater {
  readonly containerId: string;
  readonly now: string;
  readonly availableLitres: number;
  readonly estimate: WaterEstimate;
  readonly ahead: LookAhead;
  /** days of the span whose temperatures were filled in from the normals, and days in all */
  readonly filledDays: number;
  readonly spanDays: number;
  readonly daysSincePlanting: number | undefined;
  readonly hasBeenLookedAt: boolean;
}

/** The furthest back a bag is followed, days: older entries say nothing about today's water. */
const LONGEST_SPAN_DAYS = 200;
const ROUNDS_AHEAD = 20;

/** The garden's site: its own normals, or those of its latitude. */
export function siteOf(settings: Settings): Site {
  return {
    latitudeDegrees: settings.latitudeDegrees,
    normals: settings.normals ?? defaultNormals(settings.latitudeDegrees),
  };
}

/** The weather that was entered, oldest recorded first, so that the latest word on a day counts. */
export function knownWeather(live: readonly Entry[]): readonly KnownDay[] {
  return live
    .filter((e) => e.kind === 'weather')
    .sort((a, b) => Date.parse(a.recordedAt) - Date.parse(b.recordedAt))
    .map((e) => ({
      day: e.day,
      minCelsius: e.minCelsius,
      maxCelsius: e.maxCelsius,
      rainMillimetres: e.rainMillimetres,
      humidityPercent: e.humidityPercent,
      windMetresPerSecond: e.windMetresPerSecond,
      sunHours: e.sunHours,
    }));
}

function waterEventsOf(containerId: string, live: readonly Entry[]): readonly WaterEvent[] {
  const events: WaterEvent[] = [];
  for (const e of live) {
    if (e.kind === 'look' && e.containerId === containerId)
      events.push({ kind: 'look', id: e.id, at: e.at, look: e.look });
    if (e.kind === 'drink' && e.containerId === containerId) {
      const { id, at, litres, isMeasured, ranThrough } = e;
      events.push({ kind: 'drink', id, at, litres, isMeasured, ranThrough });
    }
  }
  return events;
}

/** When the story of a container's water starts: its first planting, look or drink, or two weeks back. */
function startOf(container: Container, live: readonly Entry[], now: string): string {
  const first = live.find(
    (e) =>
      (e.kind === 'planted' || e.kind === 'look' || e.kind === 'drink') &&
      e.containerId === container.id &&
      Date.parse(e.at) <= Date.parse(now),
  );
  const earliest = momentAt(addDays(dayOf(now), -LONGEST_SPAN_DAYS), 0, now);
  const usual = momentAt(addDays(dayOf(now), -14), 0, now);
  if (!first) return usual;
  return Date.parse(first.at) < Date.parse(earliest) ? earliest : first.at;
}

/**
 * Works out a bag's water now and in the rounds to come, from the garden's records and diary.
 *
 * @param now local time with offset; entries after it do not count
 * @param live the garden's live entries, when they are at hand already
 * @throws RundelError or ZodError when the container's record does not make sense
 */
export function bagWater(
  garden: Garden,
  container: Container,
  now: string,
  live: readonly Entry[] = liveEntries(garden.entries),
): BagWater {
  const { settings } = garden;
  const stand = garden.stands.find((s) => s.id === container.standId);
  const body = bodyOf(container, garden);
  const occupants = occupantsOf(container, live, garden);
  const bag = waterBagOf(container, body, stand ?? { cover: 'open' }, occupants, settings);
  const from = startOf(container, live, now);
  const rounds = roundsAfter(now, settings.roundHours, ROUNDS_AHEAD);
  const last = rounds.at(-1) ?? now;
  const site = siteOf(settings);
  const weather = completeWeather(knownWeather(live), site, dayOf(from), dayOf(last));
  const stepsBetween = (a: string, b: string, events: readonly WaterEvent[]) =>
    timeline(bag, weather, events, a, b, site.latitudeDegrees, body.assumed);
  const events = waterEventsOf(container.id, live);
  const { belief, estimate } = runFilter(bag, stepsBetween(from, now, events), body.assumed);
  const spans = rounds.map((at, i) => ({
    at,
    hoursAhead: (Date.parse(at) - Date.parse(now)) / 3_600_000,
    steps: stepsBetween(rounds[i - 1] ?? now, at, []).filter((s): s is UseStep => s.kind === 'use'),
  }));
  const past = weather.filter((day) => day.day <= dayOf(now));
  return {
    containerId: container.id,
    now,
    availableLitres: bag.availableLitres,
    estimate,
    ahead: lookAhead(belief, bag, spans, body.assumed.risk, body.assumed),
    filledDays: past.filter((day) => day.filled.temperature).length,
    spanDays: daysBetween(dayOf(from), dayOf(now)) + 1,
    daysSincePlanting: daysSinceLastPlanting(occupants, dayOf(now)),
    hasBeenLookedAt: events.some((e) => e.kind === 'look' && Date.parse(e.at) <= Date.parse(now)),
  };
}
