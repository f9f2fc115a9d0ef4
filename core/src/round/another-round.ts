import type { Assumed } from '../assumed/index.ts';
import { daylightHours, shareOfDay } from '../climate/index.ts';
import { dayOfYear } from '../calendar/index.ts';

/** What one more round a day would do for a bag, on the thirstiest day to come. */
export interface AnotherRound {
  /** when it would help most, hour of the day in steps of half an hour */
  readonly atHour: number;
  /** most litres that go between two rounds now, and with it */
  readonly litresNow: number;
  readonly litresThen: number;
}

const STEP_HOURS = 0.5;

/**
 * The hour at which another round would cut a bag's longest thirst most. A day's use follows the sun, so that the hours about
 * noon count for most and a night for little.
 *
 * @param days to come, with what is used of the bag on each, L
 * @param roundHours the rounds of every day, hours from 0 to 24; at least one
 * @returns undefined without days, or where no other hour makes a difference
 * @example
 * anotherRound([{ day: '2026-06-21', litres: 4 }], [12], 51, DEFAULT_ASSUMED)?.litresNow
 * // => 4
 */
export function anotherRound(
  days: readonly { readonly day: string; readonly litres: number }[],
  roundHours: readonly number[],
  latitudeDegrees: number,
  assumed: Pick<Assumed, 'earliestRound' | 'latestRound'>,
): AnotherRound | undefined {
  const [thirstiest] = [...days].sort((a, b) => b.litres - a.litres);
  if (!thirstiest || thirstiest.litres <= 0) return undefined;
  const daylight = daylightHours(latitudeDegrees, dayOfYear(thirstiest.day));
  const most = (hours: readonly number[]) => thirstiest.litres * largestShare(hours, daylight);
  const litresNow = most(roundHours);
  let best: AnotherRound | undefined;
  for (let atHour = assumed.earliestRound; atHour <= assumed.latestRound; atHour += STEP_HOURS) {
    const litresThen = most([...roundHours, atHour]);
    if (litresThen < (best?.litresThen ?? litresNow)) best = { atHour, litresNow, litresThen };
  }
  return best;
}

/** The largest share of a day's use between two of its rounds; the last of a day is followed by the first of the next. */
function largestShare(roundHours: readonly number[], daylight: number): number {
  const hours = [...roundHours].sort((a, b) => a - b);
  const [first, last] = [hours[0] ?? 0, hours.at(-1) ?? 0];
  const overnight = shareOfDay(last, 24, daylight) + shareOfDay(0, first, daylight);
  return Math.max(
    overnight,
    ...hours.slice(1).map((hour, i) => shareOfDay(hours[i] as number, hour, daylight)),
  );
}
