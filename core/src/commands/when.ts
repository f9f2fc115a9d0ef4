import {
  addDays,
  dayOf,
  hourOf,
  isDay,
  momentAt,
  momentOf,
  offsetMinutesOf,
  weekdayOf,
} from '../calendar/index.ts';
import { parseTime } from '../units/index.ts';
import { HOURS, WEEKDAYS } from './words.ts';

/** What was said of when, and the text without it. */
export interface SaidWhen {
  readonly at: string;
  readonly rest: string;
  /** whether anything was said of it; left out: it is of now */
  readonly isSaid: boolean;
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** in full or short, and no word that begins like one: "maybe 4 of them" is no day in May */
export const MONTH =
  '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)(?![a-z])\\.?';
/** "on 3 July", "July 3rd", "the 3rd of July 2026" */
const DAY = '(?:3[01]|[12]?\\d)';
const DATE = new RegExp(
  // in "7 July 3rd" the first is a bag
  `\\b(?:on )?(?:the )?(?:(?<!\\d )(?<secondMonth>${MONTH}) (?<second>${DAY})(?:st|nd|rd|th)?|(?<first>${DAY})(?:st|nd|rd|th)? (?:of )?(?<firstMonth>${MONTH})(?! ${DAY}(?:st|nd|rd|th))|(?<thirdMonth>${MONTH}) (?<third>${DAY})(?:st|nd|rd|th))(?:,? (?<year>20\\d\\d))?(?![\\p{L}\\d])`,
  'u',
);
const FIRST_THING = /\bfirst thing(?= (?:this |in the )?morning)/;
/** "for dinner" says what for */
const PART = new RegExp(
  `(?<!for )\\b(this )?(?:in the |at |before |after |around )?(${Object.keys(HOURS).join('|')})(?: ?time)?\\b`,
);
/** "on the 7th", "7th: …"; not the third truss */
const OF_MONTH = new RegExp(
  `(?:\\b(?:on )?the (?<day>${DAY})(?:st|nd|rd|th)(?! (?:truss|plant|time|bag|pot|fruit|flower|leaf|one|day|week|season))|^(?<first>${DAY})(?:st|nd|rd|th)(?=[:,] ))(?![\\p{L}\\d])`,
  'u',
);
const TIME =
  /(?:\bat |(?=\b\d{1,2}:\d{2}(?![\d:]))|(?=\b\d{1,2}(?:\.\d{2})? ?[ap]m\b))\b(\d{1,2})(?:[:.](\d{2}))? ?(am|pm)?\b(?![.,]\d| ?(?:l|litres?|liters?|g|kg|oz|lb|ml|cans?|%))/;
const AGO = /\b(\d{1,2}|a|one|two|three|four|five|six) (day|week|fortnight)s? ago\b/;
const DAYS_IN: Readonly<Record<string, number>> = { day: 1, week: 7, fortnight: 14 };
const ISO = /\b(?:on )?(20\d\d-\d\d-\d\d)(?![\d-])/;
/** In full or short; "sun" and "sat" may be other words. */
const WEEKDAY = new RegExp(
  `\\b(?:on |last )?(${WEEKDAYS.join('|')}|mon|tues?|wed|thu(?:rs?)?|fri)\\b|\\b(?:on |last )(sat|sun)\\b|^(sat|sun)\\b(?=[:,]? )|(?<!the |in )\\b(sat|sun)$`,
);
/** A while ago, today: "20 minutes ago", "half an hour ago". */
const WHILE_AGO =
  /\b(half an?|an?|one|two|three|four|five|six|\d+(?:[.,]\d+)?[¼½¾]?|[¼½¾]) (minutes?|mins?|hours?|hrs?) ago\b/;
const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  'half a': 0.5,
  'half an': 0.5,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
};

/** So much earlier a part of the day has begun for who speaks of it, and so far a clock may be off, h. */
const SOON_HOURS = { part: 2, clock: 0.5 };

/**
 * Reads when something was: "yesterday evening", "at 8:30", "on Monday", "2 days ago", "half an hour ago", "this morning". "At 7" is the
 * bag called 7 where there is one, and otherwise the last time that it was seven. A day alone is taken as of this hour, and never as in
 * the future.
 *
 * @param text in small letters
 * @param now local time with its offset
 * @param labels what bags are called
 */
export function readWhen(text: string, now: string, labels: readonly string[] = []): SaidWhen {
  let rest = text;
  let day: string | undefined;
  let hour: number | undefined;
  const take = (pattern: RegExp) => {
    const found = pattern.exec(rest);
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
    return found;
  };
  const today = dayOf(now);
  const ago = take(WHILE_AGO);
  if (ago) {
    const [, many = '', unit = ''] = ago;
    const { seconds = 0 } = parseTime(`${NUMBER_WORDS[many] ?? many} ${unit}`) ?? {};
    const at = momentOf(Date.parse(now) - seconds * 1000, offsetMinutesOf(now));
    return { at, rest, isSaid: true };
  }
  if (take(/\blast night\b/)) {
    day = addDays(today, -1);
    hour = HOURS['night'];
  } else if (take(/\bthe day before yesterday\b/)) day = addDays(today, -2);
  else if (take(/\byesterday\b/)) day = addDays(today, -1);
  else if (take(/\bto(?:day|night)\b/)) day = today;
  else if (isDay(ISO.exec(rest)?.[1] ?? '')) day = take(ISO)?.[1];
  else if (DATE.test(rest)) day = lastDate(today, take(DATE));
  else if (OF_MONTH.test(rest)) day = lastOfMonth(today, take(OF_MONTH));
  else {
    const daysAgo = take(AGO);
    const [, many = '', of] = daysAgo ?? [];
    if (daysAgo) day = addDays(today, -(NUMBER_WORDS[many] ?? Number(many)) * (DAYS_IN[of ?? ''] ?? 1));
    const [, ...named] = (daysAgo ? null : take(WEEKDAY)) ?? [];
    const weekday = WEEKDAYS.findIndex((name) => name.startsWith((named.find(Boolean) ?? '?').slice(0, 3)));
    if (weekday >= 0) day = lastWeekday(today, weekday + 1);
  }
  take(FIRST_THING);
  const part = take(PART);
  if (part) hour = HOURS[part[2] ?? ''];
  const clock = TIME.exec(rest);
  const [, hours = '', minutes, half] = clock ?? [];
  if (clock && (minutes !== undefined || half !== undefined)) {
    take(TIME);
    hour = (Number(hours) % (half ? 12 : 24)) + (half === 'pm' ? 12 : 0) + Number(minutes ?? 0) / 60;
  } else if (clock && Number(hours) <= 24 && !labels.includes(hours)) {
    take(TIME);
    const said = Number(hours) % 24;
    const isStillToCome = day === undefined && !part && said > hourOf(now);
    if (isStillToCome) day = addDays(today, -1);
    // of the two that it may be, the one that was last, and of another day the one in daylight
    const isLater =
      isStillToCome || (day === undefined || day === today ? said + 12 <= hourOf(now) : said < 6);
    // "at 8" in the evening is eight in the evening
    const isAfternoon = hour === undefined ? isLater : hour > 12;
    hour = said < 12 && isAfternoon ? said + 12 : said;
  }
  if (day === undefined && hour === undefined) return { at: now, rest, isSaid: false };
  // "at noon" in the morning is of the day before, "this evening" at five is now
  const isBefore =
    day === undefined &&
    part?.[1] === undefined &&
    (hour ?? 0) > hourOf(now) + SOON_HOURS[part ? 'part' : 'clock'];
  const at = momentAt(day ?? (isBefore ? addDays(today, -1) : today), hour ?? hourOf(now), now);
  return { at: Date.parse(at) <= Date.parse(now) ? at : now, rest, isSaid: true };
}

/** The last time that it was that day of a month. */
function lastOfMonth(today: string, found: RegExpExecArray | null): string | undefined {
  const of = (found?.groups?.['day'] ?? found?.groups?.['first'] ?? '').padStart(2, '0');
  for (let back = 0; back < 62; back++) {
    const day = addDays(today, -back);
    if (day.slice(8) === of) return day;
  }
  return undefined;
}

/** The last time that a day of the year was, or that of the year that was said. */
function lastDate(today: string, found: RegExpExecArray | null): string | undefined {
  const { first, firstMonth, second, secondMonth, third, thirdMonth, year } = found?.groups ?? {};
  const month =
    MONTHS.findIndex((name) => name === (firstMonth ?? secondMonth ?? thirdMonth)?.slice(0, 3)) + 1;
  const date = (of: number) =>
    `${of}-${String(month).padStart(2, '0')}-${(first ?? second ?? third ?? '').padStart(2, '0')}`;
  const thisYear = Number(today.slice(0, 4));
  if (year !== undefined) return date(Number(year));
  return date(date(thisYear) > today ? thisYear - 1 : thisYear);
}

/** Whether a text says a day that no month has: "31 February". */
export function saysNoDay(text: string, now: string): boolean {
  const said = DATE.test(text) ? lastDate(dayOf(now), DATE.exec(text)) : ISO.exec(text)?.[1];
  return said !== undefined && !isDay(said);
}

/** The last day of a weekday before today, 1 Monday to 7 Sunday. */
function lastWeekday(today: string, weekday: number): string {
  for (let back = 1; back < 7; back++)
    if (weekdayOf(addDays(today, -back)) === weekday) return addDays(today, -back);
  return addDays(today, -7);
}
