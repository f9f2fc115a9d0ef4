import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import { daylightHours, dayOf, dayOfYear, hourOf, shareOfDay, type WeatherDay } from '../climate/index.ts';
import { demandOfDay, type DayDemand, type WaterBag } from './demand.ts';
import { grownDays } from './grown-days.ts';
import type { Look } from './look.ts';

/** What a person did or saw at a bag, as far as water goes. `at` is local time with its offset. */
export type WaterEvent =
  | { readonly kind: 'look'; readonly id: string; readonly at: string; readonly look: Look }
  | {
      readonly kind: 'drink';
      readonly id: string;
      readonly at: string;
      readonly litres: number;
      /** whether it was measured (a known can) or judged by eye */
      readonly isMeasured: boolean;
      readonly ranThrough: boolean;
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
  readonly isFilled: boolean;
}

export type TimelineStep = UseStep | { readonly kind: 'event'; readonly event: WaterEvent };

/**
 * The steps from one moment to another: stretches of use, cut at midnights and at events, with the events between.
 * Both the plain balance and the filter walk over these, so that they can be held against each other.
 *
 * @param weather complete days that cover the span; a day without weather is passed over
 * @param events in any order; those outside the span are left out
 */
export function timeline(
  bag: WaterBag,
  weather: readonly WeatherDay[],
  events: readonly WaterEvent[],
  from: string,
  to: string,
  latitudeDegrees: number,
  assumed: Assumed = DEFAULT_ASSUMED,
): readonly TimelineStep[] {
  const sorted = events.filter((e) => isBefore(from, e.at, true) && isBefore(e.at, to, true));
  sorted.sort(
    (a, b) =>
      Date.parse(a.at) - Date.parse(b.at) ||
      Number(b.kind === 'emptied') - Number(a.kind === 'emptied') ||
      (a.id < b.id ? -1 : 1),
  );
  const steps: TimelineStep[] = [];
  let next = 0;
  const ages = grownDays(bag, weather, assumed);
  for (const [i, day] of weather.entries()) {
    if (day.day < dayOf(from) || day.day > dayOf(to)) continue;
    const demand = demandOfDay(
      bag,
      day,
      assumed,
      ages.map((byDay) => byDay[i] as number),
    );
    const daylight = daylightHours(latitudeDegrees, dayOfYear(day.day));
    let hour = day.day === dayOf(from) ? hourOf(from) : 0;
    const last = day.day === dayOf(to) ? hourOf(to) : 24;
    const passUntil = (until: number) => {
      if (until <= hour) return;
      const share = shareOfDay(hour, until, daylight);
      const days = (until - hour) / 24;
      steps.push({
        kind: 'use',
        until: clock(day.day, until, to),
        days,
        share,
        transpirationLitres: demand.transpirationLitres * share,
        evaporationLitres: demand.evaporationLitres * share,
        rainLitres: demand.rainLitres * days,
        dripLitres: demand.dripLitres * days,
        rooted: demand.rooted,
        doubt: demand.doubt,
        isFilled: day.filled.temperature,
      });
      hour = until;
    };
    for (
      let event = sorted[next];
      event !== undefined && dayOf(event.at) <= day.day;
      event = sorted[++next]
    ) {
      passUntil(Math.min(last, hourOf(event.at)));
      steps.push({ kind: 'event', event });
    }
    passUntil(last);
  }
  for (const event of sorted.slice(next)) steps.push({ kind: 'event', event });
  return steps;
}

function isBefore(a: string, b: string, orSame: boolean): boolean {
  const difference = Date.parse(b) - Date.parse(a);
  return orSame ? difference >= 0 : difference > 0;
}

/** A local time of day as text, with the offset of another. */
function clock(day: string, hour: number, like: string): string {
  const minutes = Math.min(24 * 60 - 1, Math.round(hour * 60));
  const two = (n: number) => String(n).padStart(2, '0');
  const offset = /(Z|[+-]\d{2}:\d{2})$/.exec(like)?.[0] ?? 'Z';
  return `${day}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}:00.000${offset}`;
}
