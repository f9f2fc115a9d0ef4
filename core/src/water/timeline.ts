import type { Assumed } from '../assumed/index.ts';
import { daylightHours, filledShare, shareOfDay, type WeatherDay } from '../climate/index.ts';
import { dayOf, dayOfYear, hourOf } from '../calendar/index.ts';
import { demandOfDay, type DayDemand, type WaterBag } from './demand.ts';
import { grownDays } from './grown-days.ts';
import type { MoistureCheck } from './check.ts';

/** What a person did or saw at a bag, as far as water goes. `at` is local time with its offset. */
export type WaterEvent =
  | {
      readonly kind: 'check';
      readonly id: string;
      readonly at: string;
      readonly check: MoistureCheck;
      /** felt at one plant of several; left out: it stands for the whole bag */
      readonly stationId?: string | undefined;
    }
  | {
      readonly kind: 'watering';
      readonly id: string;
      readonly at: string;
      readonly litres: number;
      /** whether it was measured (a known can) or judged by eye */
      readonly isMeasured: boolean;
      readonly ranThrough: boolean;
      /** how much of it came through, where that was said */
      readonly through?: 'little' | 'most' | undefined;
      /** in goes, with pauses: dry mix has had time to take it up */
      readonly isInGoes?: boolean | undefined;
      /** over the mix, or into the reservoir, drum or buried pots */
      readonly into?: 'top' | 'store' | undefined;
    }
  /** its reservoir or drum was poured out, to be made up new */
  | { readonly kind: 'emptied'; readonly id: string; readonly at: string };

/** A stretch of time within one day in which nothing happens but use, evaporation and rain. */
export interface UseStep extends DayDemand {
  readonly kind: 'use';
  /** local time at its end */
  readonly until: string;
  /** length as a share of a day */
  readonly days: number;
  /** share of the day's evapotranspiration that falls in it */
  readonly share: number;
  /** what is not known of its weather: 0 measured, 1 only what is usual, a forecast in between by how early it was made */
  readonly unknown: number;
}

export type TimelineStep = UseStep | { readonly kind: 'event'; readonly event: WaterEvent };

/** The steps from one moment to another, with the events between. */
export type Timeline = (
  events: readonly WaterEvent[],
  from: string,
  to: string,
  /** no stretch is longer than this, and all are cut at multiples of it; a divisor of 24 */
  mostHours?: number,
) => readonly TimelineStep[];

/**
 * A bag's timeline: stretches of use, cut at midnights and at events, with the events between. Both the plain balance and
 * the filter walk over these, so that they can be held against each other. What a day asks for is worked out once,
 * however many spans are taken.
 *
 * @param weather complete days in order that cover the spans; a day without weather is passed over
 * @returns takes a span; events may be in any order, and those outside the span are left out
 * @see docs/model.md, 7. Water
 */
export function timelineOf(
  bag: WaterBag,
  weather: readonly WeatherDay[],
  latitudeDegrees: number,
  assumed: Assumed,
): Timeline {
  const ages = grownDays(bag, weather, assumed);
  const days: DayOfUse[] = [];
  const dayAt = (i: number, weatherDay: WeatherDay) =>
    (days[i] ??= {
      day: weatherDay.day,
      unknown: unknownOf(weatherDay, assumed),
      daylight: daylightHours(latitudeDegrees, dayOfYear(weatherDay.day)),
      demand: demandOfDay(
        bag,
        weatherDay,
        assumed,
        ages.map((byDay) => byDay[i] as number),
      ),
    });
  return (events, from, to, mostHours = 24) => {
    const sorted = eventsWithin(events, Date.parse(from), Date.parse(to));
    const [firstDay, lastDay] = [dayOf(from), dayOf(to)];
    const offset = /(Z|[+-]\d{2}:\d{2})$/.exec(to)?.[0] ?? 'Z';
    const steps: TimelineStep[] = [];
    let next = 0;
    const start = weather.findIndex(({ day }) => day >= firstDay);
    for (let i = start < 0 ? weather.length : start; i < weather.length; i++) {
      const weatherDay = weather[i] as WeatherDay;
      if (weatherDay.day > lastDay) break;
      const day = dayAt(i, weatherDay);
      let hour = day.day === firstDay ? hourOf(from) : 0;
      const last = day.day === lastDay ? hourOf(to) : 24;
      for (
        let event = sorted[next];
        event !== undefined && dayOf(event.at) <= day.day;
        event = sorted[++next]
      ) {
        const until = Math.min(last, hourOf(event.at));
        steps.push(...usesOf(day, hour, until, mostHours, offset));
        hour = Math.max(hour, until);
        steps.push({ kind: 'event', event });
      }
      steps.push(...usesOf(day, hour, last, mostHours, offset));
    }
    for (const event of sorted.slice(next)) steps.push({ kind: 'event', event });
    return steps;
  };
}

/** What is not known of a day's weather, 0 to 1. */
function unknownOf(day: WeatherDay, { forecastDays }: Pick<Assumed, 'forecastDays'>): number {
  const filled = filledShare(day);
  return filled + (1 - filled) * Math.min(1, (day.leadDays ?? 0) / forecastDays);
}

/** What all stretches of a day have in common. */
interface DayOfUse {
  readonly day: string;
  readonly unknown: number;
  /** hours */
  readonly daylight: number;
  readonly demand: DayDemand;
}

/** What a day asks for between two of its hours, cut at multiples of so many. */
function usesOf(
  day: DayOfUse,
  from: number,
  to: number,
  mostHours: number,
  offset: string,
): readonly UseStep[] {
  const steps: UseStep[] = [];
  for (let hour = from; hour < to;) {
    const until = Math.min(to, (Math.floor(hour / mostHours + 1e-9) + 1) * mostHours);
    steps.push(useOf(day, hour, until, offset));
    hour = until;
  }
  return steps;
}

/** What a day asks for between two of its hours. */
function useOf(
  { day, unknown, daylight, demand }: DayOfUse,
  from: number,
  to: number,
  offset: string,
): UseStep {
  const share = shareOfDay(from, to, daylight);
  const length = (to - from) / 24;
  return {
    kind: 'use',
    until: clock(day, to, offset),
    days: length,
    share,
    transpirationLitres: demand.transpirationLitres * share,
    evaporationLitres: demand.evaporationLitres * share,
    rainLitres: demand.rainLitres * length,
    dripLitres: demand.dripLitres * length,
    rooted: demand.rooted,
    doubt: demand.doubt,
    unknown,
  };
}

/** The events of a span, both its ends included, in order; a store is poured out before it is filled anew. */
function eventsWithin(events: readonly WaterEvent[], from: number, to: number): readonly WaterEvent[] {
  return events
    .map((event) => ({ event, time: Date.parse(event.at) }))
    .filter(({ time }) => time >= from && time <= to)
    .sort(
      (a, b) =>
        a.time - b.time ||
        Number(b.event.kind === 'emptied') - Number(a.event.kind === 'emptied') ||
        (a.event.id < b.event.id ? -1 : 1),
    )
    .map(({ event }) => event);
}

/** A local time of day as text. */
function clock(day: string, hour: number, offset: string): string {
  const minutes = Math.min(24 * 60 - 1, Math.round(hour * 60));
  return `${day}T${twoDigits(Math.floor(minutes / 60))}:${twoDigits(minutes % 60)}:00.000${offset}`;
}

function twoDigits(n: number): string {
  return n < 10 ? `0${n}` : `${n}`;
}
