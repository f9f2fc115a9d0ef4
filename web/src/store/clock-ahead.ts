import { offsetMinutesOf } from '@rundel/core/calendar';

/**
 * How far clocks are put forward at a moment, hours: 0 or 1. By what the device knows of its own time zone; a moment that was
 * noted elsewhere is taken as it stands there.
 */
export function clockAheadHours(at: string): number {
  const year = Number(at.slice(0, 4));
  const offsets = [0, 6].map((month) => -new Date(year, month, 1).getTimezoneOffset());
  return offsetMinutesOf(at) > Math.min(...offsets) ? 1 : 0;
}
