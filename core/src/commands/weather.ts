import { addDays, dayOf } from '../calendar/index.ts';
import { WIDEST_DAY_DEGREES, type Draft } from '../records/index.ts';
import { withFigures } from '../units/index.ts';
import { amountIn, NUMBER } from './amounts.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { leftover } from './leftover.ts';
import { readWhen } from './when.ts';
import { WEEKDAYS } from './words.ts';

const RAINED = String.raw`(?:rain(?:ed|fall)?|drizzle|shower)`;
const SAID = String.raw`(?: (?:was|of|to|about|down|up|gauge|only))*[:=]?`;
const GAUGE = String.raw`(?:rain )?gauge(?: (?:says?|said|reads?|shows?|showed|was|is|at|had|has|of|only|about))*[:=]?`;
const LENGTH = String.raw`${NUMBER} ?(?:mm|cm|inches|inch|in|"|”|″)(?![\p{L}])`;
const DEGREES = String.raw`(?:°|º|degrees?|deg)? ?(?:[cf]|celsius|fahrenheit)?(?![\p{L}\d])`;
const WARMTH = String.raw`[-−–]?${NUMBER} ?${DEGREES}`;
const WARMTH_SAID = String.raw`[-−–]?${NUMBER} ?(?:(?:°|º|degrees?|deg) ?(?:c|f|celsius|fahrenheit)?|c|f|celsius|fahrenheit)(?![\p{L}\d])`;
const LOW = String.raw`(?:min(?:imum)?|low(?:est)?|coldest)`;
const HIGH = String.raw`(?:max(?:imum)?|high(?:est)?|warmest|hottest)`;

const pattern = (source: string) => new RegExp(String.raw`(?<![\p{L}\d])(?:${source})`, 'u');
const DRY = pattern(String.raw`(?:no ${RAINED}|${RAINED}${SAID} (?:none|nothing))(?![\p{L}])`);
const RAIN = pattern(
  String.raw`${GAUGE} (${LENGTH}|${NUMBER})|${RAINED}${SAID} (${LENGTH}|${NUMBER})|(${LENGTH})(?: of)? ${RAINED}`,
);
const RANGE = pattern(
  String.raw`(?:between )?([-−–]?${NUMBER}) ?${DEGREES} ?(?:to|and|-|–|\/) ?(${WARMTH_SAID})`,
);
const COLDEST = pattern(String.raw`${LOW}${SAID} ?(${WARMTH})`);
const WARMEST = pattern(String.raw`${HIGH}${SAID} ?(${WARMTH})`);
const HAS_RAINED = pattern(String.raw`(?:rained|rainfall)(?![\p{L}])`);
const ONE = pattern(String.raw`(${WARMTH_SAID})`);
/** "20 mm since Friday", "in the last 3 days" */
const SINCE =
  /(?<!\p{L})(?:since|(?:in|over|during) the (?:last|past)|this week|all week|these days)(?!\p{L})/u;
/** The night into a day is told with that day. */
const NIGHT = /(?<!\p{L})(?:(?:last |this |in the |at )?night|overnight)(?!\p{L})/u;
const TONIGHT = /(?<!\p{L})tonight(?!\p{L})/u;
const TOMORROW = /(?<!\p{L})tomorrow(?: night)?(?!\p{L})/u;
/** With how it rained, of which the figure says more. */
const IS_RAIN = pattern(
  String.raw`(?:(?:heavy|heavily|hard|light|some|steady|a (?:bit|little)(?: of)?) )*${RAINED}(?: (?:hard|heavily|a (?:bit|little)))?(?![\p{L}])`,
);
const BARE_LENGTH = pattern(String.raw`(${LENGTH})`);
const FILLING =
  /(?<!\p{L})(?:weather|forecast|all|day|gauge|in|temperatures?|frost|says?|the|it|expected|will be|goes)(?!\p{L})/gu;

/** Whether a text without another verb speaks of the weather, with a figure for it. */
export const isWeather = (text: string): boolean =>
  [DRY, RAIN, COLDEST, WARMEST, HAS_RAINED].some((each) => each.test(text)) ||
  // "7 f" may be the beginning of a name
  (ONE.test(text) && (NIGHT.test(text) || TONIGHT.test(text) || /[°º]|degree|celsius|fahrenheit/.test(text)));
/** Whether something else that is said, "got 12 mm of rain", is of the weather. */
export const isRain = (text: string): boolean => RAIN.test(text) || /\d ?mm(?!\p{L})/u.test(text);

const DAY_SAID = new RegExp(
  `(?<!\\p{L})(yesterday|today|tonight|tomorrow(?: night)?|last night|${WEEKDAYS.join('|')}|\\w+ (?:days?|weeks?) ago)(?!\\p{L})`,
  'gu',
);

/** Of how many days a text speaks, at the least. */
export const daysIn = (text: string): number =>
  new Set([...text.toLowerCase().matchAll(DAY_SAID)].map(([day]) => day)).size;

const NO_SUCH_DAY = 'No day has such weather: look at the figures and their units.';
/** The smallest and largest that a day has, as the diary takes them. */
const LIMITS = { min: [-40, 45], max: [-30, 55], rain: [0, 500] } as const;

/**
 * Reads the weather of a day, or a part of it: "rain 12 mm yesterday", "low 4, high 21", "8 to 21 °C", "-2 C last night", "tomorrow
 * high 33".
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readWeather(said: string, text: string, { now, system }: CommandContext): CommandReading {
  const today = dayOf(now);
  if (SINCE.test(said))
    return unfinished(
      `That is of several days: say it day by day, as “rain ${system === 'us' ? '0.3 in' : '8 mm'} on Friday”.`,
    );
  let rest = withFigures(said).replace(/[,;]/g, ' ').replace(/\s+/g, ' ');
  const take = (each: RegExp): RegExpExecArray | null => {
    const found = each.exec(rest);
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
    return found;
  };
  const isTonight = take(TONIGHT) !== null;
  const tomorrow = take(TOMORROW)?.[0];
  const isNight = isTonight || tomorrow?.includes('night') === true || NIGHT.test(rest);
  const isLastNight = /(?<!\p{L})(?:(?:last|this|in the) night|overnight)/u.test(rest);
  if (isLastNight) take(NIGHT);
  const when = readWhen(rest, now);
  rest = when.rest.replace(NIGHT, ' ');
  const ahead = tomorrow?.includes('night') ? 2 : isTonight || tomorrow !== undefined ? 1 : 0;
  const day = ahead === 0 && when.isSaid ? dayOf(when.at) : addDays(today, ahead);

  const isDry = take(DRY) !== null;
  // "rained overnight, 4 mm"
  const rained = isDry ? null : (take(RAIN) ?? (IS_RAIN.test(rest) ? take(BARE_LENGTH) : null));
  const range = take(RANGE);
  const lowest = range?.[1] ?? take(COLDEST)?.[1];
  const highest = range?.[2] ?? take(WARMEST)?.[1];
  const one = lowest === undefined && highest === undefined ? take(ONE)?.[1] : undefined;
  if (one !== undefined && !isNight)
    return unfinished(`Was that the coldest or the warmest? Say “low ${one}” or “high ${one}”.`);
  // "8 to 21 °C": the unit is of both
  const unit = /[^\d\s.,/¼½¾-].*$/u.exec(range?.[2] ?? '')?.[0] ?? '';
  const read = {
    min: amountIn(lowest === undefined ? one : `${lowest}${range ? ` ${unit}` : ''}`, 'temperature', system),
    max: amountIn(highest, 'temperature', system),
    rain: isDry ? 0 : amountIn(rained?.[1] ?? rained?.[2] ?? rained?.[3], 'rain', system),
  };
  for (const [part, value] of Object.entries(read)) {
    const [low, high] = LIMITS[part as keyof typeof LIMITS];
    if (value !== undefined && !(value >= low && value <= high)) return unfinished(NO_SUCH_DAY);
  }
  const { min, max, rain } = read;
  if (min === undefined && max === undefined && rain === undefined)
    return unfinished(
      'How much: as “rain 12 mm”, “low 4” or “high 31”? Without a figure it can be a note: “note: some rain”.',
    );
  const degrees = max === undefined || min === undefined ? 0 : max - min;
  if (degrees < 0) return unfinished('The warmest cannot be colder than the coldest.');
  if (degrees > WIDEST_DAY_DEGREES) return unfinished(NO_SUCH_DAY);
  const note = leftover((rained ? rest.replace(IS_RAIN, ' ') : rest).replace(FILLING, ' '), text);
  // "low 12 last night and 10 the night before"
  if (note !== undefined && /\d/.test(note))
    return unfinished('These are of two days: say them one after another, each with its day.');
  const draft: Draft = {
    kind: 'weather',
    at: now,
    day,
    source: 'typed',
    ...(min === undefined ? {} : { minCelsius: min }),
    ...(max === undefined ? {} : { maxCelsius: max }),
    ...(rain === undefined ? {} : { rainMillimetres: rain }),
    ...(note === undefined ? {} : { note }),
  };
  return {
    kind: 'command',
    commands: [{ kind: 'weather', drafts: [draft], bags: [], isShared: false, note }],
  };
}
