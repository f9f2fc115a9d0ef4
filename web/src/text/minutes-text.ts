import { parseNumber, parseTime } from '@rundel/core/units';

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
  const time = parseTime(text.replace(/(?<!\p{L})m(?!\p{L})/iu, 'min'));
  const left = time ? time.rest : text;
  if (time && left === '') return time.seconds / 60;
  // a bare number, alone or behind hours, is minutes
  const isBehindMinutes =
    time !== undefined && !/h(?:rs?|ours?)?\.?\s*(?:,|and)?\s*$/i.test(text.slice(0, -left.length));
  const read = isBehindMinutes ? undefined : parseNumber(left);
  return read?.rest === '' ? (time?.seconds ?? 0) / 60 + read.value : undefined;
}

/** "3 h 20 min", "45 min" */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}
