/**
 * Calendar days as text, `YYYY-MM-DD`, in the grower's own place. Entries carry their local time with its offset
 * ("2026-07-16T18:04:00.000+01:00"), so that the local day is the text's first ten letters and no time zone is needed here.
 */
export type Day = string;

const MILLISECONDS_PER_DAY = 86_400_000;

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

/** Days by their number since 1970 and back: a season asks for the same few hundred many thousand times. */
const numbers = new Map<Day, number>();
const names = new Map<number, Day>();
/** Forgotten when there are so many: dates of all kinds come in with files. */
const MOST_KNOWN = 5000;

function numberOf(day: Day): number {
  const known = numbers.get(day);
  if (known !== undefined) return known;
  if (numbers.size >= MOST_KNOWN) numbers.clear();
  const number = Math.round(Date.parse(day) / MILLISECONDS_PER_DAY);
  numbers.set(day, number);
  return number;
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
  const number = numberOf(day) + days;
  const known = names.get(number);
  if (known !== undefined) return known;
  if (names.size >= MOST_KNOWN) names.clear();
  const name = new Date(number * MILLISECONDS_PER_DAY).toISOString().slice(0, 10);
  names.set(number, name);
  return name;
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
