import type { Draft, EntryOf } from '../records/index.ts';
import type { NamedMeasure, UnitSystem } from '../units/index.ts';
import { readAmounts, readTime, type SaidAmounts } from './amounts.ts';
import { readWhen } from './when.ts';
import { readBags, type NamedBag } from './which-bags.ts';
import { FILLERS, FINGER_WORDS, LIFT_WORDS, TOGETHER, VERBS, WILTED, type SaidKind } from './words.ts';

/** What a line is read with. */
export interface CommandContext {
  readonly bags: readonly NamedBag[];
  readonly measures: readonly (NamedMeasure & { readonly id: string })[];
  readonly system: UnitSystem;
  /** local time with its offset */
  readonly now: string;
}

/** A line that says what was done: entries to be put in the diary. */
export interface Command {
  readonly kind: SaidKind;
  readonly drafts: readonly Draft[];
  readonly bags: readonly NamedBag[];
  /** one amount for all of the bags, and not for each */
  readonly isShared: boolean;
  /** what nothing was made of; it is kept as the entries' note */
  readonly note: string | undefined;
}

export type CommandReading =
  | { readonly kind: 'command'; readonly command: Command }
  /** it says what was done, but something is missing or cannot be */
  | { readonly kind: 'unfinished'; readonly problem: string }
  /** it says nothing of the kind */
  | { readonly kind: 'other' };

/** No bag takes more at once, and no picking weighs more: as the diary has it. */
const MOST = { litres: 200, kilograms: 100, count: 5000 };

/**
 * Reads a line in plain words as what was done: "picked 450 g from 7", "watered terrace 1 can", "check 3 dry", "yesterday poured ½ can
 * on 4 and 5", "note on 12: leaves curl". Order, units and plurals are as they come; what is left over becomes the note.
 *
 * @example
 * readCommand('picked 450 g from 7', {
 *   bags: [{ containerId: 'con_a', label: '7', placeName: 'Terrace', names: [] }],
 *   measures: [],
 *   system: 'metric',
 *   now: '2026-07-16T18:00:00.000+01:00',
 * }).kind
 * // => 'command'
 */
export function readCommand(line: string, context: CommandContext): CommandReading {
  const text = line.trim().replace(/\s+/g, ' ');
  const small = text.toLowerCase();
  const words = small.split(/[\s:,;]+/);
  const verb = words.flatMap((word) =>
    VERBS.filter(({ pattern }) => pattern.test(word)).map(({ kind }) => ({ kind, word })),
  )[0];
  const kind = verb?.kind ?? impliedKind(small, context);
  if (kind === undefined) return { kind: 'other' };
  const said = verb ? without(small, verb.word) : small;
  if (kind === 'note') return readNote(text, verb?.word ?? '', context);
  const labels = context.bags.map(({ label }) => label);
  const when = readWhen(said, context.now, labels);
  const isShared = TOGETHER.test(when.rest);
  const howMuch = apartFromBag(when.rest.replace(TOGETHER, ' '), labels);
  const amounts = readWater(kind, howMuch, context);
  if ('problem' in amounts) return unfinished(amounts.problem);
  const found = kind === 'check' ? readFinding(amounts) : undefined;
  const { count, rest } = kind === 'picking' ? bareCount(amounts, context.bags) : { ...amounts };
  const named = readBags(found?.rest ?? rest, context.bags);
  const left = named.rest;
  // where there is but one, nobody calls it by its name
  const isOnlyOne = context.bags.length === 1 && !isNamedIn(left);
  const bags = named.bags.length === 0 && isOnlyOne ? context.bags : named.bags;
  if (bags.length === 0) return unfinished(noBag(left, context.bags));
  const note = leftover(left, text);
  const base = (bag: NamedBag) => ({
    at: when.at,
    containerId: bag.containerId,
    ...(note === undefined ? {} : { note }),
  });
  const shared = isShared && bags.length > 1;
  const share = shared ? bags.length : 1;
  const command = (drafts: readonly Draft[]): CommandReading => ({
    kind: 'command',
    command: { kind, drafts, bags, isShared: shared, note },
  });
  if (kind === 'check') {
    if (!found)
      return unfinished(
        'How was it: dust-dry, dry, barely damp, moist or wet? Or light or heavy when lifted?',
      );
    return command(bags.map((bag) => ({ kind: 'check', ...base(bag), check: found.check })));
  }
  if (kind === 'watering') {
    const { litres, measure, asEntered } = amounts;
    if (litres === undefined) return unfinished('How much water, as “1 can” or “2 L”?');
    if (!(litres > 0) || litres / share > MOST.litres)
      return unfinished(`No bag takes ${Math.round(litres / share)} L at once.`);
    const measureId = measure === undefined ? undefined : context.measures[measure]?.id;
    return command(
      bags.map((bag) => ({
        kind: 'watering',
        ...base(bag),
        litres: litres / share,
        isMeasured: true,
        ranThrough: false,
        ...(measureId === undefined ? {} : { measureId }),
        ...(asEntered === undefined || shared ? {} : { asEntered }),
      })),
    );
  }
  return readPicking({ ...amounts, count }, { bags, share, base, command });
}

/** "from 2 3/4 lb" where a bag is called 2: the bag, and then three quarters of a pound. */
const apartFromBag = (text: string, labels: readonly string[]) =>
  text.replace(
    /\b(from|at|on|off|in|bag|pot) (\d+) (?=\d+\/\d|[¼½¾])/gu,
    (all, word: string, label: string) => (labels.includes(label) ? `${word} ${label}, ` : all),
  );

/** The amounts of a line; water may be said by how long it ran as well. */
function readWater(
  kind: SaidKind,
  text: string,
  { measures, system }: CommandContext,
): SaidAmounts | { readonly problem: string } {
  const plain = readAmounts(text, measures, system);
  const time = kind === 'watering' ? readTime(text, measures) : undefined;
  if (!time || 'problem' in plain) return plain;
  // "2 L in 20 minutes": how long it took is no amount beside one
  const isBeside = plain.litres !== undefined && !('isNamed' in time && time.isNamed);
  if (isBeside) return plain;
  if ('problem' in time) return time;
  const more = readAmounts(time.rest, measures, system);
  if ('problem' in more) return more;
  return {
    ...more,
    litres: time.litres + (more.litres ?? 0),
    measure: more.measure ?? time.measure,
    asEntered: [time.asEntered, ...(more.asEntered ? [more.asEntered] : [])].join(' + ').slice(0, 60),
  };
}

function readPicking(
  {
    kilograms,
    count,
    asEntered,
    litres,
  }: Omit<SaidAmounts, 'rest' | 'count'> & { readonly count: number | undefined },
  {
    bags,
    share,
    base,
    command,
  }: {
    readonly bags: readonly NamedBag[];
    readonly share: number;
    base(bag: NamedBag): { readonly at: string; readonly containerId: string };
    command(drafts: readonly Draft[]): CommandReading;
  },
): CommandReading {
  if (kilograms === undefined && count === undefined)
    return unfinished(
      litres === undefined ? 'How much: a weight, or how many?' : 'A picking is weighed or counted.',
    );
  if (
    (kilograms ?? 1) <= 0 ||
    (kilograms ?? 0) / share > MOST.kilograms ||
    (count ?? 0) > MOST.count ||
    count === 0
  )
    return unfinished('No bag gives that at once: look at the amount.');
  return command(
    bags.flatMap((bag, i): readonly Draft[] => {
      const own =
        count === undefined ? 0 : Math.floor(count / share) + (i < count % share && share > 1 ? 1 : 0);
      if (kilograms === undefined && own === 0) return [];
      return [
        {
          kind: 'picking',
          ...base(bag),
          ...(kilograms === undefined ? {} : { kilograms: kilograms / share }),
          ...(own === 0 ? {} : { count: own }),
          ...(asEntered === undefined || share > 1 || kilograms === undefined ? {} : { asEntered }),
        },
      ];
    }),
  );
}

const unfinished = (problem: string): CommandReading => ({ kind: 'unfinished', problem });

/** Without a verb, a weight at a bag was picked and water at one was given: "7 450 g". */
function impliedKind(text: string, { bags, measures, system }: CommandContext): SaidKind | undefined {
  const time = readTime(text, measures);
  if (time && 'isNamed' in time && time.isNamed && readBags(time.rest, bags).bags.length > 0)
    return 'watering';
  const amounts = readAmounts(text, measures, system);
  if ('problem' in amounts || readBags(amounts.rest, bags).bags.length === 0) return undefined;
  if (amounts.kilograms !== undefined || amounts.count !== undefined) return 'picking';
  return amounts.litres === undefined ? undefined : 'watering';
}

function without(text: string, word: string): string {
  return text
    .replace(new RegExp(`(?<![\\p{L}\\d])${word}(?![\\p{L}\\d])`, 'u'), ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** A number without a unit, right at the beginning of what was picked, is how many: "picked 6 from 7". */
function bareCount(
  amounts: SaidAmounts,
  bags: readonly NamedBag[],
): { readonly count: number | undefined; readonly rest: string } {
  const { count, kilograms, rest } = amounts;
  if (count !== undefined || kilograms !== undefined) return { count, rest };
  const first = /^\s*(\d{1,4})(?= +(?:from|at|off|of|in|on|out)\b)/.exec(rest);
  if (first) return { count: Number(first[1]), rest: rest.slice(first[0].length) };
  const known = new Set(bags.map(({ label }) => label.toLowerCase()));
  const numbers = [...rest.matchAll(/(?<![\p{L}\d])\d{1,4}(?![\p{L}\d])/gu)];
  const strange = numbers.filter(([number]) => !known.has(number));
  const [only] = strange;
  return strange.length === 1 && only && (numbers.length > 1 || bags.length === 1)
    ? {
        count: Number(only[0]),
        rest: `${rest.slice(0, only.index)} ${rest.slice(only.index + only[0].length)}`,
      }
    : { count, rest };
}

type Finding = { readonly check: EntryOf<'check'>['check']; readonly rest: string };

/**
 * How a check found a bag, in plain words: "barely damp", "heavy", "wilted", "14.2 kg" on a scale, "41 %" on a probe.
 *
 * @example
 * findingOf('very dry', 'metric')
 * // => { method: 'finger', grade: 1 }
 */
export function findingOf(text: string, system: UnitSystem): EntryOf<'check'>['check'] | undefined {
  const amounts = readAmounts(text.toLowerCase(), [], system);
  return 'problem' in amounts ? undefined : readFinding(amounts)?.check;
}

/** How a check found the bag, and the text without it. */
function readFinding({ kilograms, percent, rest }: SaidAmounts): Finding | undefined {
  if (kilograms !== undefined) return { check: { method: 'scale', kilograms }, rest };
  if (percent !== undefined) return { check: { method: 'probe', reading: percent }, rest };
  const take = (words: readonly string[]) =>
    [...words]
      .sort((a, b) => b.length - a.length)
      .map((word) => ({ word, at: rest.search(new RegExp(`\\b${word}\\b`)) }))
      .find(({ at }) => at >= 0);
  const wilted = take(WILTED);
  if (wilted) return { check: { method: 'wilted' }, rest: without(rest, wilted.word) };
  const graded = (lists: readonly (readonly string[])[], method: 'finger' | 'lift'): Finding | undefined => {
    // "very dry" is not "dry": the longest words of all grades go first
    const all = lists.flatMap((list, i) => list.map((word) => ({ word, grade: i + 1 })));
    const found = all
      .sort((a, b) => b.word.length - a.word.length)
      .find(({ word }) => new RegExp(`(?<![\\p{L}-])${word}(?![\\p{L}-])`, 'u').test(rest));
    return found && { check: { method, grade: found.grade }, rest: without(rest, found.word) };
  };
  return graded(FINGER_WORDS, 'finger') ?? graded(LIFT_WORDS, 'lift');
}

/** "note on 7: …", "note 7 …": the bags, and then the words as they were written. */
function readNote(text: string, verb: string, { bags, now }: CommandContext): CommandReading {
  const behind = text.slice(text.toLowerCase().indexOf(verb) + verb.length).trim();
  const colon = behind.indexOf(':');
  const head =
    colon >= 0 ? behind.slice(0, colon) : (/^(?:on|at|for|of|bag)?\s*\S+/i.exec(behind)?.[0] ?? '');
  const when = readWhen(
    head.toLowerCase(),
    now,
    bags.map(({ label }) => label),
  );
  const found = readBags(when.rest, bags);
  const isHead = found.bags.length > 0 || (colon >= 0 && when.isSaid && strangeIn(when.rest).length === 0);
  const at = isHead ? when.at : now;
  const words = (isHead ? behind.slice(colon >= 0 ? colon + 1 : head.length) : behind)
    .replace(/^\s*:/, '')
    .trim();
  if (words === '') return unfinished('What is the note? Write it behind a colon: “note on 7: leaves curl”.');
  if (words.length > 2000) return unfinished('A note has at most 2000 letters.');
  const drafts: Draft[] =
    found.bags.length > 0
      ? found.bags.map(({ containerId }) => ({ kind: 'note', at, containerId, text: words }))
      : [{ kind: 'note', at, text: words }];
  return {
    kind: 'command',
    command: { kind: 'note', drafts, bags: found.bags, isShared: false, note: undefined },
  };
}

/** The words of which nothing was made. */
const strangeIn = (left: string) => left.split(/[\s,;]+/).filter((word) => word !== '' && !FILLERS.has(word));

/** Words behind which stands where something was. */
const WHERE =
  /\b(?:from|at|in|on|into|onto|off|of|to|bag|pot|number|nr)(?: (?:the|my|a|bag|pot|number|nr))* ([^\s,;]+)/gu;

/** Whether a text names a place or a bag, that is none: by a word behind "from" and the like, or by a number. */
const isNamedIn = (left: string) =>
  strangeIn(left).some((word) => /\d/.test(word)) ||
  [...left.matchAll(WHERE)].some(([, word = '']) => !FILLERS.has(word));

function noBag(left: string, bags: readonly NamedBag[]): string {
  if (bags.length === 0) return 'There is no bag yet.';
  const strange = strangeIn(left);
  const labels = bags
    .slice(0, 4)
    .map(({ label }) => label)
    .join(', ');
  return strange.length === 0
    ? `Which bag? They are called ${labels}${bags.length > 4 ? ' …' : ''}.`
    : `No bag or place here is called “${strange.join(' ')}”.`;
}

/** What of a line nothing was made of, in the grower's own letters. */
function leftover(left: string, text: string): string | undefined {
  const words = left
    .split(/[\s,;:]+/)
    .filter((word) => word !== '' && !FILLERS.has(word) && /[\p{L}\d]/u.test(word));
  if (words.length === 0) return undefined;
  const own = text.split(/[\s,;:]+/);
  return words
    .map((word) => own.find((each) => each.toLowerCase() === word) ?? word)
    .join(' ')
    .slice(0, 2000);
}
