/**
 * Calendar days as text, `YYYY-MM-DD`, in the grower's own place. Entries carry their local time with its offset
 * ("2026-07-16T18:04:00.000+01:00"), so that the local day is the text's first ten letters and no time zone is needed here.
 */
export type Day = string;

/** The local day of an entry's time. */
export function dayOf(at: string): Day {
  return at.slice(0, 10);
}

/**
 * Hours since local midnight, 0 to 24.
 *
 * @example
 * hourOf('2026-07-16T18:45:00.000+01:00')
 * // => 18.75
 * @example
 * hourOf('2026-07-16T06:30Z')
 * // => 6.5
 */
export function hourOf(at: string): number {
  const seconds = at.charAt(16) === ':' ? twoDigitsOf(at, 17) : 0;
  return twoDigitsOf(at, 11) + twoDigitsOf(at, 14) / 60 + seconds / 3600;
}

/** Read letter by letter: a season's timeline asks this thousands of times, and cutting texts takes ten times as long. */
function twoDigitsOf(text: string, from: number): number {
  return 10 * (text.charCodeAt(from) - ZERO) + text.charCodeAt(from + 1) - ZERO;
}

const ZERO = '0'.charCodeAt(0);

/**
 * The number of a day since 1 March of the year 0, counted without a date object: a season asks this many thousand times. Years
 * begin in March here, so that the odd day of a leap year is their last.
 */
function numberOf(day: Day): number {
  const month = twoDigitsOf(day, 5);
  const isEarly = month <= 2;
  const year = 100 * twoDigitsOf(day, 0) + twoDigitsOf(day, 2) - (isEarly ? 1 : 0);
  const dayOfTheYear = Math.floor((153 * (month + (isEarly ? 9 : -3)) + 2) / 5) + twoDigitsOf(day, 8) - 1;
  return 365 * year + Math.floor(year / 4) - Math.floor(year / 100) + Math.floor(year / 400) + dayOfTheYear;
}

/** Days in four hundred years, in a hundred, and in four. */
const [LONG_CYCLE, CENTURY, FOUR_YEARS] = [146_097, 36_524, 1461] as const;

/** The day of such a number. */
function dayOfNumber(number: number): Day {
  const cycle = Math.floor(number / LONG_CYCLE);
  const inCycle = number - cycle * LONG_CYCLE;
  const century = Math.min(3, Math.floor(inCycle / CENTURY));
  const inCentury = inCycle - century * CENTURY;
  const four = Math.floor(inCentury / FOUR_YEARS);
  const inFour = inCentury - four * FOUR_YEARS;
  const yearOfFour = Math.min(3, Math.floor(inFour / 365));
  const dayOfTheYear = inFour - yearOfFour * 365;
  const fromMarch = Math.floor((5 * dayOfTheYear + 2) / 153);
  const date = dayOfTheYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9;
  const year = 400 * cycle + 100 * century + 4 * four + yearOfFour + (month <= 2 ? 1 : 0);
  return `${String(year).padStart(4, '0')}-${month < 10 ? '0' : ''}${month}-${date < 10 ? '0' : ''}${date}`;
}

/** Whole days from one day to another; negative when the second is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return numberOf(to) - numberOf(from);
}

/**
 * The day some days later.
 *
 * @example
 * addDays('2026-02-27', 2)
 * // => '2026-03-01'
 */
export function addDays(day: Day, days: number): Day {
  return dayOfNumber(numberOf(day) + days);
}

/**
 * The number of a day in its year, 1 to 366.
 *
 * @example
 * dayOfYear('2026-09-03')
 * // => 246
 */
export function dayOfYear(day: Day): number {
  return daysBetween(`${day.slice(0, 4)}-01-01`, day) + 1;
}

/** Whether a text is a day that exists: 2026-02-30 does not. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const time = Date.parse(text);
  return Number.isFinite(time) && new Date(time).toISOString().slice(0, 10) === text;
}

/**
 * An instant as local time with its offset, as entries carry it.
 *
 * @param instant milliseconds since 1970, UTC
 * @param offsetMinutes minutes east of UTC
 * @example
 * momentOf(1784221440000, 60)
 * // => '2026-07-16T18:04:00.000+01:00'
 */
export function momentOf(instant: number, offsetMinutes: number): string {
  const sign = offsetMinutes < 0 ? '-' : '+';
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
  const offset = `${sign}${two(Math.abs(offsetMinutes) / 60)}:${two(Math.abs(offsetMinutes) % 60)}`;
  return new Date(instant + offsetMinutes * 60_000).toISOString().replace('Z', offset);
}

/** Minutes east of UTC in a local time with its offset. */
export function offsetMinutesOf(at: string): number {
  const found = /([+-])(\d{2}):(\d{2})$/.exec(at);
  if (!found) return 0;
  return (found[1] === '-' ? -1 : 1) * (Number(found[2]) * 60 + Number(found[3]));
}
