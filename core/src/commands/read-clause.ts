import type { Draft } from '../records/index.ts';
import { readAmounts, readTime, type SaidAmounts } from './amounts.ts';
import { MOST, unfinished, type CommandContext, type CommandReading } from './command.ts';
import { readFeed } from './feed.ts';
import { readFinding } from './finding.ts';
import { isGone, readGone } from './gone.ts';
import { isNamedIn, leftover, noBag, strangeIn, without } from './leftover.ts';
import { isMoved, readMoved } from './moved.ts';
import { readNote } from './note.ts';
import { readPickedFacts, SOLD_IN_PART, withoutPrice } from './picked-facts.ts';
import { bareCount, readPicking } from './picking.ts';
import { TOGETHER, UNMEASURED, VERBS, WEEKDAYS, type SaidKind } from './words.ts';
import { isStage, readStage } from './stage.ts';
import { isTended, readTended } from './tended.ts';
import { isTrouble, readTrouble } from './trouble.ts';
import { isRain, isWeather, readWeather } from './weather.ts';
import { readWhen } from './when.ts';
import { readBags, type NamedBag } from './which-bags.ts';

/**
 * Reads one deed.
 *
 * @param text without spaces about it
 */
export function readClause(text: string, context: CommandContext): CommandReading {
  // "Sunday: 1 dry"
  const small = text.toLowerCase().replace(DAY_BEFORE, '$1 ');
  const words = small.split(/[\s:,;]+/);
  const verb = words.flatMap((word) =>
    VERBS.filter(({ pattern }) => pattern.test(word)).map(({ kind }) => ({ kind, word })),
  )[0];
  const kind =
    verb?.kind === 'watering' && FEED_NOUN.test(small) ? 'feed' : (verb?.kind ?? impliedKind(small, context));
  const said = verb ? without(small, verb.word) : small;
  const other = saidWithout(kind, verb?.word, small);
  // "took" and "gave" are a part of what was done
  if (other) return other(other === readTended || other === readGone ? small : said, text, context);
  if (kind === undefined) return { kind: 'other' };
  if (kind === 'note') return readNote(text, verb?.word ?? '', context);
  // what does not come apart is not taken for one of the two, with the other as its note
  if (DEEDS.filter((deed) => deed.test(small)).length > 1)
    return unfinished('These are two things: say them one after another, each with its bag.');
  if (kind === 'watering' && !verb && TOPPED_UP.test(small))
    return unfinished(
      'Mix that was added: how far the bag is filled now is said there, under “Change this bag”.',
    );
  if (kind === 'feed') return /^f(?:eed|eeding)$/.test(small) ? { kind: 'other' } : readFeed(said, context);
  const labels = context.bags.all.map(({ label }) => label);
  const when = readWhen(said, context.now, labels);
  const isShared = TOGETHER.test(when.rest);
  if (kind === 'picking' && SOLD_IN_PART.test(when.rest))
    return unfinished('Sold in part: say each part by itself, with its weight or how many.');
  const { soldFor, rest: unpriced } =
    kind === 'picking' ? withoutPrice(when.rest) : { soldFor: undefined, rest: when.rest };
  const ranThrough = kind === 'watering' ? RAN_THROUGH.exec(unpriced)?.[0] : undefined;
  const unmeasured = kind === 'picking' ? UNMEASURED.exec(unpriced) : null;
  const measured = unpriced.replace(unmeasured?.[0] ?? ranThrough ?? '', ' ');
  const howMuch = apartFromBag(measured.replace(TOGETHER, ' '), labels);
  const amounts = readWater(kind, howMuch, context);
  if ('problem' in amounts) return unfinished(amounts.problem);
  if (kind === 'picking' && /\b(?:nothing|none)\b/.test(said))
    return unfinished(
      'Nothing picked is nothing to put down; that you looked can be a note: “note on 7: none ripe”.',
    );
  const found = kind === 'check' ? readFinding(amounts) : undefined;
  const { count, rest } = kind === 'picking' ? bareCount(amounts, context.bags.all) : { ...amounts };
  const named = readBags(found?.rest ?? rest, context.bags, said);
  const { facts, rest: left } =
    kind === 'picking' ? readPickedFacts(named.rest) : { facts: {}, rest: named.rest };
  // where there is but one, nobody calls it by its name
  const isOnlyOne = context.bags.all.length === 1 && !isNamedIn(left, said);
  const bags = named.bags.length === 0 && isOnlyOne ? context.bags.all : named.bags;
  if (bags.length === 0) return unfinished(noBag(left, context.bags.all));
  const over = leftover(left, text);
  // "a handful of cherries", and "a handful" where that is all
  const rough = roughly(over === undefined ? unmeasured?.[1] : unmeasured?.[0]);
  const note = [rough, over].filter((words) => words !== undefined).join(' ') || undefined;
  const base = (bag: NamedBag) => ({
    at: when.at,
    containerId: bag.containerId,
    ...(note === undefined ? {} : { note }),
  });
  const shared = isShared && bags.length > 1;
  const share = shared ? bags.length : 1;
  const command = (drafts: readonly Draft[]): CommandReading => ({
    kind: 'command',
    commands: [{ kind, drafts, bags, isShared: shared, note }],
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
        ranThrough: ranThrough !== undefined,
        ...(measureId === undefined ? {} : { measureId }),
        ...(asEntered === undefined || shared ? {} : { asEntered }),
      })),
    );
  }
  return readPicking(
    {
      ...amounts,
      count,
      isUnmeasured: unmeasured !== null,
      facts: { ...facts, ...(soldFor === undefined ? {} : { soldFor }) },
    },
    { bags, isShared: shared, base, command },
  );
}

/** What is said without a verb of its own, or behind one that says little: "got 12 mm of rain", "took the shoots off", "found aphids". */
function saidWithout(kind: SaidKind | undefined, verb: string | undefined, small: string) {
  if (kind === undefined) return speaksFor(small);
  if (kind === 'picking' && isRain(small)) return readWeather;
  if (verb === 'took' && isTended(small)) return readTended;
  if (verb === 'gave' && isGone(small)) return readGone;
  const isSeen = verb === 'saw' || verb === 'found' || verb === 'look' || verb === 'looked';
  return !isSeen ? undefined : isTrouble(small) ? readTrouble : isStage(small) ? readStage : undefined;
}

/** By what a text without a verb is read, if it speaks of anything. */
export function speaksFor(small: string) {
  if (isWeather(small)) return readWeather;
  if (isMoved(small)) return readMoved;
  if (isGone(small)) return readGone;
  if (isTended(small)) return readTended;
  return isTrouble(small) ? readTrouble : isStage(small) ? readStage : undefined;
}

const DAY_BEFORE = new RegExp(`^((?:on |last |this )?(?:yesterday|today|${WEEKDAYS.join('|')})):`);
const labelsOf = (bags: CommandContext['bags']) => bags.all.map(({ label }) => label);

const FEED_NOUN = /(?<![\p{L}])(?:feed|fertili[sz]er)(?![\p{L}])/u;
/** Words that say nothing else but that something was done. */
const DEEDS = [/\b(?:picked|harvested)\b/, /\b(?:watered|poured)\b/, /\b(?:fed|fertili[sz]ed)\b/];

const TOPPED_UP = /\btopped up\b.*\b(?:mix|compost|soil|coir|bark)\b/;

/** "until it ran through", "came out below": no more went in. */
const RAN_THROUGH =
  /(?<!\p{L})(?:until |till )?(?:it |they |both |all )?(?:ran|came|drained|dripped) (?:through|out)(?: (?:at the bottom|below|of the bottom))?(?!\p{L})/u;

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

/** "a handful" says something of how much there was, "some" and "not weighed" nothing. */
const roughly = (words: string | undefined) =>
  words === undefined || /^some\b|weigh/.test(words) ? undefined : words;

/** Without a verb, a weight at a bag was picked, water at one was given, and a grade was found: "7 450 g", "3 dry". */
function impliedKind(text: string, { bags, measures, system, now }: CommandContext): SaidKind | undefined {
  const time = readTime(text, measures);
  if (time && 'isNamed' in time && time.isNamed && readBags(time.rest, bags).bags.length > 0)
    return 'watering';
  const amounts = readAmounts(text, measures, system);
  if ('problem' in amounts || readBags(amounts.rest, bags).bags.length === 0) return undefined;
  if (amounts.kilograms !== undefined || amounts.count !== undefined) return 'picking';
  if (amounts.litres !== undefined) return 'watering';
  // "3 dry", and nothing else: a word more may be what is looked for
  const found = readFinding(amounts);
  const named = found && readBags(readWhen(found.rest, now, labelsOf(bags)).rest, bags);
  return named && named.bags.length > 0 && strangeIn(named.rest).length === 0 ? 'check' : undefined;
}
