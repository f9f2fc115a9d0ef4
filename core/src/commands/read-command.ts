import { dayOf } from '../calendar/index.ts';
import { withoutAmounts } from './amounts.ts';
import { apart } from './apart.ts';
import { asNote } from './as-note.ts';
import { unfinished, type Command, type CommandContext, type CommandReading } from './command.ts';
import { saidInstead } from './correction.ts';
import { readFinding } from './finding.ts';
import { readClause, speaksFor } from './read-clause.ts';
import { HOURS, TOGETHER, VERBS, WEEKDAYS } from './words.ts';
import { daysIn } from './weather.ts';
import { withRest } from './which-bags.ts';
import { readWhen } from './when.ts';

/**
 * Reads a line in plain words as what was done: "picked 450 g from 7", "watered terrace 1 can", "check 3 dry and 4 wet", "yesterday
 * poured ½ can on 4 and 5", "note on 12: leaves curl". Order, units and plurals are as they come; what is left over becomes the note.
 *
 * @example
 * readCommand('noted: frost on the roofs', {
 *   bags: { all: [], called: [] },
 *   places: [],
 *   measures: [],
 *   feeds: [],
 *   system: 'metric',
 *   now: '2026-07-16T18:00:00.000+01:00',
 * }).kind
 * // => 'command'
 */
export function readCommand(line: string, context: CommandContext): CommandReading {
  const instead = saidInstead(line.trim());
  const reading = instead === undefined ? undefined : readLine(instead, context);
  if (reading?.kind !== 'command') return readLine(line, context);
  const [first, ...others] = reading.commands;
  const correcting = (command: Command): Command => ({ ...command, isCorrection: true });
  return { kind: 'command', commands: [correcting(first), ...others.map(correcting)] };
}

function readLine(line: string, { bags, ...more }: CommandContext): CommandReading {
  // "checked all: 3 dry, the rest wet"
  const plain = apart(
    line
      .trim()
      .replace(/\s+/g, ' ')
      .replace(/\b(?:all|everything)(?: of them)?: ?/i, ''),
    bags,
  );
  // "picked 2 from 7, rest not ripe" is the rest of the fruit
  const isOfBags = [...VERBS].every(
    ({ kind }) => kind === 'check' || kind === 'watering' || !verbIn(plain, kind),
  );
  const context: CommandContext = {
    bags: isOfBags ? withRest(bags, withoutAmounts(plain, more.measures, more.system)) : bags,
    ...more,
  };
  const { text, who } = withoutWho(plain, context);
  const whole = readClause(text, context);
  const isWeatherAlone = whole.kind === 'command' && whole.commands[0].kind === 'weather';
  const isOneDay = isWeatherAlone && daysIn(text) < 2;
  // "tomorrow high 33, low 19" is one day's
  const several =
    isOneDay && whole.commands[0].note === undefined
      ? undefined
      : readSeveral(text, context, whole.kind !== 'command');
  if (isWeatherAlone && !isOneDay && !several)
    return unfinished('These are of two days: say them one after another, each with its day.');
  // "6 from 7 and 4 from 12, 900 g in all": which of them it is of is not known
  if (several && TOGETHER.test(plain) && !several.some(({ isShared }) => isShared))
    return unfinished(
      'In all of what was said apart? Say how much each was, or all in one: “900 g from 7 and 12 in all”.',
    );
  if (!several && whole.kind === 'command' && isOfMore(whole.commands[0]))
    return unfinished('These are several things: say them one after another, each with its bag.');
  const reading: CommandReading = several ? { kind: 'command', commands: several } : whole;
  if (reading.kind === 'other') return { kind: 'other', asNote: asNote(line.trim(), context) };
  if (who === undefined) return reading;
  if (reading.kind === 'feed') return { kind: 'feed', feed: { ...reading.feed, who } };
  if (reading.kind === 'spray') return { kind: 'spray', spray: { ...reading.spray, who } };
  if (reading.kind !== 'command') return reading;
  const [first, ...others] = reading.commands;
  const by = (command: Command): Command => ({
    ...command,
    drafts: command.drafts.map((draft) => ({ ...draft, who })),
  });
  return { kind: 'command', commands: [by(first), ...others.map(by)] };
}

/** Whether what was left over of a job, a sight or the weather tells of another thing. */
const isOfMore = ({ kind, note = '', bags }: Command): boolean => {
  // "with 2 L warm water"
  const hasVerb = verbIn(kind === 'watering' ? note.replace(/\bwater\b/gi, ' ') : note) !== undefined;
  // "terrace, 4 got 2 cans"
  if (kind === 'watering') return hasVerb;
  // "3 dry, 4 moist" of both: one of the two is not so
  if (!SAID_WITHOUT_VERB.includes(kind) && !(kind === 'check' && bags.length > 1)) return false;
  return (
    hasVerb ||
    speaksFor(note.toLowerCase()) !== undefined ||
    readFinding({ rest: note.toLowerCase() }) !== undefined
  );
};
const SAID_WITHOUT_VERB: readonly Command['kind'][] = [
  'gone',
  'moved',
  'height',
  'warmth',
  'tended',
  'stage',
  'trouble',
  'weather',
];

/** "Tom gave it half a can", "Mum watered 3" */
const WHO_FIRST =
  /^(\p{Lu}[\p{L}’'-]{1,39}) (?:(?:has|had|also) )?(?=(?:watered|gave|picked|fed|checked|felt|moved|carried|tied|sprayed|cleaned)(?!\p{L}))/u;
/** What may stand before a deed with a great letter, and is nobody. */
const NOBODY = (
  'i we it he she they you all both everything others rest then and also just only again later first last yesterday today ' +
  'tonight this morning evening rain tomato tomatoes pepper peppers chilli chillies cucumber cucumbers aubergine aubergines ' +
  'eggplant eggplants bag bags pot pots plant plants'
).split(' ');

/** "by Ada": who did it, where nothing here is called so. */
function withoutWho(
  text: string,
  { bags }: CommandContext,
): { readonly text: string; readonly who: string | undefined } {
  const found = /(?<!\p{L})by (\p{Lu}[\p{L}’'-]{0,39})(?![\p{L}\d])/u.exec(text) ?? WHO_FIRST.exec(text);
  const who = found?.[1];
  const names = bags.all.flatMap(({ label, placeName, names: own }) => [label, placeName, ...own]);
  if (!found || who === undefined || verbIn(text) === 'note' || text.includes(':'))
    return { text, who: undefined };
  // "by Friday" is when
  const isDay = [...WEEKDAYS, ...Object.keys(HOURS), ...NOBODY].includes(who.toLowerCase());
  const isHere = names.some((name) => name.toLowerCase().split(' ').includes(who.toLowerCase()));
  if (isDay || isHere) return { text, who: undefined };
  return {
    text: text
      .replace(found[0], ' ')
      .replace(/\s+/g, ' ')
      .replace(/[\s,;]+$/, '')
      .trim(),
    who,
  };
}

/** What one deed may end and the next begin at. */
const BETWEEN = /(?:\s*[,;&+]\s*(?:(?:and|then)\s+)*|\s+(?:(?:and|then|but)\s+)+|(?<=\d|\p{L}{3})\.\s+)/gu;

/** A time that stands before all that was done is of all of it. */
const TIME_FIRST = new RegExp(
  `^(?:on |last |this |in the )?(?:yesterday|today|tonight|tomorrow|night|${[...WEEKDAYS, ...Object.keys(HOURS)].join('|')})\\b|^(?:the day before|\\w+ (?:days?|weeks?) ago)\\b`,
  'i',
);
/** Nobody says more in one breath. */
const MOST_PARTS = 8;

/**
 * Several deeds in one line, each whole by itself: "450 g from 7 and 300 g from 12", "3 dry, 4 and 5 wet", "7 felt dry, watered
 * 1 can". A part without a verb has that of the one before; a time that is said once is that of all.
 *
 * @param hasNotes whether a part may have words left over: only where the line makes no sense as one
 * @returns undefined where it cannot be read so
 */
function readSeveral(
  text: string,
  context: CommandContext,
  hasNotes: boolean,
): readonly [Command, ...Command[]] | undefined {
  const cuts = [...text.matchAll(BETWEEN)];
  if (cuts.length === 0 || cuts.length >= MOST_PARTS || verbIn(text, 'note') !== undefined) return undefined;
  const starts = [0, ...cuts.map((cut) => cut.index + cut[0].length)];
  const ends = [...cuts.map(({ index }) => index), text.length];
  // many ways of taking a line apart have parts in common
  const known = new Map<string, Command | undefined>();
  const read = (from: number, to: number, last: Command | undefined): Command | undefined => {
    // "7 felt dry, watered 1 can": what names no bag was done at the same
    const here = last?.bags.map(({ label }) => label).join(' and ') ?? '';
    const [draft] = last?.drafts ?? [];
    const isAfterRain = draft?.kind === 'weather' && draft.rainMillimetres !== undefined;
    const unit = draft?.kind === 'watering' ? unitOf(draft.asEntered) : undefined;
    const key = `${from} ${to} ${here} ${isAfterRain} ${unit}`;
    if (!known.has(key)) known.set(key, readPart(from, to, { here, isAfterRain, unit }));
    return known.get(key);
  };
  const readPart = (from: number, to: number, { here, isAfterRain, unit }: Before): Command | undefined => {
    const said = text.slice(starts[from], ends[to]);
    // "1 can on 7, half on 12"
    const part = unit === undefined ? said : said.replace(NO_UNIT, (number) => `${number} ${unit}`);
    const own = verbIn(part);
    const bare = readClause(part, context);
    // "picked 6 from 3, 2 dry": what is whole without a verb needs none
    const isWhole = bare.kind === 'command' && bare.commands[0].note === undefined;
    const verb = own === undefined && !isWhole ? verbIn(text.slice(0, starts[from])) : undefined;
    const whole = verb === undefined ? bare : readClause(`${verb} ${part}`, context);
    // "rain 12 mm yesterday and 3 mm today"
    if (isAfterRain && own === undefined && whole.kind !== 'command') {
      const rain = readClause(`rain ${part}`, context);
      return rain.kind === 'command' && rain.commands[0].note === undefined ? rain.commands[0] : undefined;
    }
    const isThere = whole.kind === 'command' || own === undefined || here === '';
    const reading = isThere ? whole : readClause(`${part} on ${here}`, context);
    if (reading.kind !== 'command') return undefined;
    const [command] = reading.commands;
    return command.note === undefined || hasNotes ? command : undefined;
  };
  const labels = context.bags.all.map(({ label }) => label);
  const saidIn = (command: Command, part: string): Said => ({
    command,
    isTimed: readWhen(part.toLowerCase(), context.now, labels).isSaid || daysIn(part) > 0,
    form: formOf(part, context),
  });
  /** the finest ways to read all up to each part */
  const best: (readonly (readonly Said[])[])[] = [[[]]];
  for (let to = 0; to < starts.length; to++) {
    const ways: (readonly Said[])[] = [];
    for (let from = to; from >= 0; from--)
      for (const before of best[from] ?? []) {
        const command = read(from, to, before.at(-1)?.command);
        if (command && before.every((other) => areApart(other.command, command)))
          ways.push([...before, saidIn(command, text.slice(starts[from], ends[to]))]);
      }
    const finest = Math.max(0, ...ways.map((way) => way.length));
    best.push(ways.filter((way) => way.length === finest).slice(0, MOST_WAYS));
  }
  const [way = []] = [...(best[starts.length] ?? [])].sort((a, b) => alikeIn(b) - alikeIn(a));
  const [first, ...others] = way.map(({ command }) => command);
  if (!first || others.length === 0) return undefined;
  const [timed, ...more] = way.filter(({ isTimed }) => isTimed);
  // "rain 12 mm yesterday, watered 7": that is when it rained
  const isOfWeather = timed?.command.kind === 'weather' && !TIME_FIRST.test(text);
  if (!timed || more.length > 0 || isOfWeather) return [first, ...others];
  const { at } = readWhen(text.toLowerCase(), context.now, labels);
  const moved = (command: Command): Command => ({
    ...command,
    drafts: command.drafts.map((draft) =>
      draft.kind === 'weather'
        ? { ...draft, day: timed.command === command ? draft.day : dayOf(at) }
        : { ...draft, at },
    ),
  });
  return [moved(first), ...others.map(moved)];
}

/** What stands before a part of a line. */
interface Before {
  /** the bags of the deed before */
  readonly here: string;
  readonly isAfterRain: boolean;
  /** in what water was said before */
  readonly unit: string | undefined;
}

const NO_UNIT =
  /^(?:and )?(?:a )?(?:half|quarter|one|two|three|\d[\d.,/]*[¼½¾]?|[¼½¾])(?= (?:on|at|for|in|to|onto)\b)/;

/** In what an amount was said: "can" of "1 can". */
const unitOf = (asEntered: string | undefined): string | undefined =>
  /^(?:about )?[\d.,/ ¼½¾⅓⅔]+(?:of )?(\p{L}[\p{L} ]*)$/u.exec(asEntered ?? '')?.[1];

/** A deed, whether it was said when, and whether its words begin and end with a bag: "3 and 4 dry", "450 g from 7". */
interface Said {
  readonly command: Command;
  readonly isTimed: boolean;
  readonly form: string;
}

/** More ways to take a line apart are not weighed. */
const MOST_WAYS = 12;

function formOf(part: string, { bags }: CommandContext): string {
  const labels = new Set(bags.all.map(({ label }) => label.toLowerCase()));
  const words = part
    .toLowerCase()
    .split(/[\s,;:&+]+/)
    .filter((word) => word !== '' && !VERBS.some(({ pattern }) => pattern.test(word)));
  return `${labels.has(words[0] ?? '')} ${labels.has(words.at(-1) ?? '')}`;
}

/** How many neighbours are said in the same form: in "1 dry, 2 and 3 moist" the 2 is moist, in "1 kg from 1 and 2, 3 kg from 4" it is not. */
const alikeIn = (way: readonly Said[]) => way.filter(({ form }, i) => form === way[i - 1]?.form).length;

const areApart = (one: Command, other: Command) =>
  one.kind !== other.kind ||
  // "low 4 and high 21" are of one day
  (one.kind === 'weather'
    ? weatherDay(one) !== weatherDay(other)
    : !one.bags.some((bag) => other.bags.includes(bag)));

const weatherDay = ({ drafts: [draft] }: Command) => (draft?.kind === 'weather' ? draft.day : undefined);

/** The last word of a text that says what was done. */
function verbIn(text: string, kind?: (typeof VERBS)[number]['kind']): string | undefined {
  return text
    .toLowerCase()
    .split(/[\s:,;]+/)
    .findLast((word) =>
      VERBS.some((verb) => (kind === undefined || verb.kind === kind) && verb.pattern.test(word)),
    );
}
