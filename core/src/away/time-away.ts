import {
  addDays,
  dayOf,
  dayOfYear,
  daysBetween,
  hourOf,
  isRoundDay,
  type Day,
  type RoundDays,
} from '../calendar/index.ts';
import { daylightHours, shareOfDay } from '../climate/index.ts';
import type { DayPart } from './survival.ts';

/** From when to when nobody is there: two days, and the hour of each, 0 to 24. */
export interface TimeAway {
  readonly leaveOn: Day;
  readonly leaveHour: number;
  readonly backOn: Day;
  readonly backHour: number;
}

/** A grower's rounds: the hours of a day, and the days, where that is not every day. */
export interface Rounds {
  readonly hours: readonly number[];
  readonly days: RoundDays | undefined;
}

/**
 * The time in which nobody is there for somebody who comes on some days only: from the last round before leaving to the
 * first after coming back. A day of leaving or of coming back that has a round anyway keeps its own hour. Where that
 * last round is over already, it is from now on, and nothing is poured before it.
 *
 * @param now local time with offset
 * @example
 * // at weekends: away from Wednesday to Thursday week is from Sunday to Saturday week
 * withoutRounds(
 *   { leaveOn: '2026-07-15', leaveHour: 18, backOn: '2026-07-23', backHour: 18 },
 *   { hours: [9], days: { by: 'weekdays', weekdays: [6, 7] } },
 *   '2026-07-10T20:00:00.000+01:00',
 * )
 * // => { leaveOn: '2026-07-12', leaveHour: 9, backOn: '2026-07-25', backHour: 9, isFromNow: false }
 */
export function withoutRounds(
  away: TimeAway,
  { hours, days }: Rounds,
  now: string,
): TimeAway & { readonly isFromNow: boolean } {
  let { leaveOn, leaveHour, backOn, backHour } = away;
  while (!isRoundDay(leaveOn, days)) {
    leaveOn = addDays(leaveOn, -1);
    leaveHour = Math.max(...hours);
  }
  while (!isRoundDay(backOn, days)) {
    backOn = addDays(backOn, 1);
    backHour = Math.min(...hours);
  }
  const isFromNow = leaveOn < dayOf(now) || (leaveOn === dayOf(now) && leaveHour + ROUND_TAKES < hourOf(now));
  if (isFromNow) [leaveOn, leaveHour] = [dayOf(now), hourOf(now)];
  return { leaveOn, leaveHour, backOn, backHour, isFromNow };
}

/** A round goes on for so long after its hour: until then it is not over, and nobody has left. */
export const ROUND_TAKES = 2;

/** Hours from leaving to coming back. */
export function hoursAway({ leaveOn, leaveHour, backOn, backHour }: TimeAway): number {
  return daysBetween(leaveOn, backOn) * 24 + backHour - leaveHour;
}

/** Every day of a time away with how much of it nobody is there. */
export function daysOf(
  away: TimeAway,
  latitudeDegrees: number,
): readonly (DayPart & { readonly day: Day })[] {
  const last = daysBetween(away.leaveOn, away.backOn);
  return Array.from({ length: last + 1 }, (_, d) => {
    const day = addDays(away.leaveOn, d);
    const from = d === 0 ? away.leaveHour : 0;
    const to = d === last ? away.backHour : 24;
    const daylight = daylightHours(latitudeDegrees, dayOfYear(day));
    return { day, ofDemand: shareOfDay(from, to, daylight), ofDay: (to - from) / 24 };
  });
}
