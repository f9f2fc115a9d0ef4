import { addDays, dayOf, daysBetween } from '../calendar/index.ts';
import type { KnownDay } from '../climate/index.ts';
import { entriesOfKind, type Draft, type Entry, type EntryOf } from '../records/index.ts';

const known = new WeakMap<readonly EntryOf<'weather'>[], readonly KnownDay[]>();

/**
 * The weather that was entered, a day each, oldest first. What several entries say of one day is put together, the latest word on
 * each part: a gauge is read in the morning, the thermometer in the evening.
 */
export function knownWeather(live: readonly Entry[]): readonly KnownDay[] {
  const entries = entriesOfKind(live, 'weather');
  const found = known.get(entries);
  if (found) return found;
  const byDay = new Map<string, KnownDay>();
  const asRecorded = [...entries].sort((a, b) => Date.parse(a.recordedAt) - Date.parse(b.recordedAt));
  for (const entry of asRecorded) byDay.set(entry.day, together(byDay.get(entry.day), entry));
  const days = [...byDay.values()].sort((a, b) => (a.day < b.day ? -1 : 1));
  known.set(entries, days);
  return days;
}

/** What is known of a day with one entry more. */
function together(before: KnownDay | undefined, entry: EntryOf<'weather'>): KnownDay {
  // what was put down before the day had come was a forecast
  const leadDays = Math.max(0, daysBetween(dayOf(entry.at), entry.day));
  const now = {
    minCelsius: entry.minCelsius ?? before?.minCelsius,
    maxCelsius: entry.maxCelsius ?? before?.maxCelsius,
  };
  const isAtOdds =
    now.minCelsius !== undefined && now.maxCelsius !== undefined && now.minCelsius > now.maxCelsius;
  // the later of two that cannot both be is believed
  const { minCelsius, maxCelsius } = isAtOdds ? entry : now;
  const isOfDegrees = entry.minCelsius !== undefined || entry.maxCelsius !== undefined;
  const hadDegrees = before?.minCelsius !== undefined || before?.maxCelsius !== undefined;
  return {
    day: entry.day,
    minCelsius,
    maxCelsius,
    rainMillimetres: entry.rainMillimetres ?? before?.rainMillimetres,
    humidityPercent: entry.humidityPercent ?? before?.humidityPercent,
    windMetresPerSecond: entry.windMetresPerSecond ?? before?.windMetresPerSecond,
    sunHours: entry.sunHours ?? before?.sunHours,
    // rain that was measured does not make the degrees measured that were foretold
    leadDays: isOfDegrees || !hadDegrees ? leadDays : before?.leadDays,
  };
}

/** Who has not noted degrees for so long has no thermometer out, days. */
const NOTES_DEGREES_DAYS = 14;

/**
 * The day of which a grower is asked how it was: yesterday or today, until they have told. Who notes degrees is asked for them beside
 * the rain; who only ever reads a gauge has told all with that. What was only foretold is still asked.
 */
export function weatherAsked(live: readonly Entry[], today: string): string | undefined {
  const noted = entriesOfKind(live, 'weather').filter((entry) => dayOf(entry.at) >= entry.day);
  const hasDegrees = (entry: EntryOf<'weather'>) =>
    entry.minCelsius !== undefined || entry.maxCelsius !== undefined;
  const notesDegrees = noted.some(
    (entry) =>
      entry.source === 'typed' && entry.day >= addDays(today, -NOTES_DEGREES_DAYS) && hasDegrees(entry),
  );
  const isTold = (day: string) =>
    noted.some((entry) => entry.day === day && (hasDegrees(entry) || !notesDegrees));
  return [addDays(today, -1), today].find((day) => !isTold(day));
}

/** What a grower says of a day by its number. */
export type SaidWeather = Pick<EntryOf<'weather'>, 'minCelsius' | 'maxCelsius' | 'rainMillimetres'>;

/**
 * What is put down when a day is told anew: it takes the place of all that was said of it. What a station or a file knew beside that
 * (humidity, wind, sunshine) stays.
 *
 * @param said nothing of any part: what was said of the day is taken away
 * @param at local time with its offset
 */
export function weatherAnew(
  live: readonly Entry[],
  day: string,
  said: SaidWeather,
  at: string,
): readonly Draft[] {
  const before = entriesOfKind(live, 'weather').filter((entry) => entry.day === day);
  const { humidityPercent, windMetresPerSecond, sunHours } =
    knownWeather(live).find((each) => each.day === day) ?? {};
  const isSaid = Object.values(said).some((value) => value !== undefined);
  const [last, ...others] = [...before].reverse();
  const away = (entry: Entry): Draft => ({ kind: 'removed', at, removes: entry.id });
  if (!isSaid) return before.map(away);
  const parts = { ...said, humidityPercent, windMetresPerSecond, sunHours };
  const known = Object.fromEntries(Object.entries(parts).filter(([, value]) => value !== undefined));
  return [
    { kind: 'weather', at, day, source: 'typed', ...known, ...(last ? { replaces: last.id } : {}) },
    ...others.map(away),
  ];
}
