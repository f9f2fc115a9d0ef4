import { parseNumber } from '@rundel/core/units';

/**
 * Minutes as people say them: a bare number is minutes, and hours say so.
 *
 * @returns undefined where it does not read
 * @example
 * readMinutes('1 h 20')
 * // => 80
 * @example
 * readMinutes('1½ hours')
 * // => 90
 * @example
 * readMinutes('0:45')
 * // => 45
 */
export function readMinutes(text: string): number | undefined {
  const clock = /^(\d+):(\d{2})$/.exec(text.trim());
  if (clock) return 60 * Number(clock[1]) + Number(clock[2]);
  const read = parseNumber(text);
  if (!read) return undefined;
  const rest = read.rest.trim().toLowerCase();
  if (/^(|m|mins?|minutes?)\.?$/.test(rest)) return read.value;
  const hours = /^(?:hours?|hrs?|h)(?![a-z])\.?\s*(?:and\s*)?(.*)$/.exec(rest);
  if (!hours) return undefined;
  const more = hours[1] ? readMinutes(hours[1]) : 0;
  return more === undefined ? undefined : 60 * read.value + more;
}

/** "3 h 20 min", "45 min" */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}
