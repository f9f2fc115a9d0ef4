import { parseNumber, parseTime } from '@rundel/core/units';

/** What a bare number in a field for a length of time counts. */
export type TimeUnit = 'second' | 'minute';

/** What a bare number counts behind a unit: "1 h 20", "1 min 30". */
const BEHIND = [
  { pattern: /h(?:rs?|ours?)?\.?\s*(?:,|and)?\s*$/i, seconds: 60 },
  { pattern: /m(?:ins?|inutes?)?\.?\s*(?:,|and)?\s*$/i, seconds: 1 },
] as const;

/**
 * A length of time as people say it, in the unit in which a bare number is meant.
 *
 * @returns undefined where it does not read
 * @example
 * timeIn('minute', '1 h 20')
 * // => 80
 * @example
 * timeIn('second', '1 min 10 s')
 * // => 70
 * @example
 * timeIn('minute', '0:45')
 * // => 45
 */
export function timeIn(unit: TimeUnit, text: string): number | undefined {
  const inUnit = unit === 'minute' ? 60 : 1;
  const clock = /^(\d+):(\d{2})$/.exec(text.trim());
  // of the smaller unit two figures stand behind the colon
  if (clock) return 60 * Number(clock[1]) + Number(clock[2]);
  const time = parseTime(text.replace(/(?<!\p{L})m(?!\p{L})/iu, 'min'));
  const left = time ? time.rest : text;
  if (time && left === '') return time.seconds / inUnit;
  const read = parseNumber(left);
  if (read?.rest !== '') return undefined;
  if (!time) return read.value;
  const behind = BEHIND.find(({ pattern }) => pattern.test(text.slice(0, -left.length)));
  return behind && (time.seconds + read.value * behind.seconds) / inUnit;
}

/** "3 h 20 min", "45 min" */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}
