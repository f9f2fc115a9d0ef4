import type { Draft } from '../records/index.ts';
import { readAmounts, readTime, TWO } from './amounts.ts';
import { askedOf } from './asked.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { namesFeed, readFeed } from './feed.ts';
import { readFinding, saidOfTop } from './finding.ts';
import { isFruitGiven, isGone, readGone } from './gone.ts';
import { isNamedIn, leftover, noBag, strangeIn, without } from './leftover.ts';
import { isHeight, isMixWarmth, readHeight, readMixWarmth } from './measured.ts';
import { isMoved, readMoved } from './moved.ts';
import { readNote } from './note.ts';
import { onePlant } from './one-plant.ts';
import { readPickedFacts, SOLD_IN_PART, withoutPrice } from './picked-facts.ts';
import { bareCount, readPicking } from './picking.ts';
import { TOGETHER, UNMEASURED, VERBS, WEEKDAYS, type SaidKind } from './words.ts';
import { isSprayed, readSpray } from './spray.ts';
import { isStage, readStage } from './stage.ts';
import { isTended, readTended } from './tended.ts';
import { isTrouble, readTrouble } from './trouble.ts';
import { readHowWatered, readWater, readWatering, saysMeasure, unknownVessel } from './watering.ts';
import { isRain, isWeather, readWeather } from './weather.ts';
import { MONTH, readWhen, saysNoDay } from './when.ts';
import { readBags, type NamedBag } from './which-bags.ts';

/**
 * Reads one deed.
 *
 * @param text without spaces about it
 */
export function readClause(text: string, context: CommandContext): CommandReading {
  const plant = onePlant(text, context);
  if (plant) {
    const reading = readClause(plant.text, plant.context);
    if (reading.kind === 'spray')
      return { kind: 'spray', spray: { ...reading.spray, plantId: plant.plantId } };
    return reading.kind === 'command' ? eachDraft(reading, (draft) => plant.of(draft)) : reading;
  }
  // "Sunday: 1 dry"
  const small = text
    .toLowerCase()
    .replace(DAY_BEFORE, '$1 ')
    .replace(/\bminus (?=\d)/g, '-');
  const words = small.split(/[\s:,;]+/);
  const hasSprayed = isSprayed(small);
  const verb = words.flatMap((word) =>
    VERBS.filter(({ pattern }) => pattern.test(word) && !(hasSprayed && SPRAYED_WITH.test(word))).map(
      ({ kind }) => ({ kind, word }),
    ),
  )[0];
  // "picked 450 g from 7, was not ripe" was done
  const [begin = ''] = verb ? small.split(verb.word) : small.split(/[,;]/);
  const isDone = !(NOT_DONE.test(begin) || TO_COME.test(small) || QUESTION.test(small));
  if (!isDone && verb?.kind !== 'note')
    return isWeather(small) ? readWeather(small, text, context) : { kind: 'other' };
  const gave = verb === undefined || verb.word === 'gave' ? GAVE.exec(small)?.[0] : undefined;
  if (gave !== undefined && !hasSprayed && namesFeed(small, context))
    return DEEDS.some((deed) => deed.test(small))
      ? unfinished(TWO_THINGS)
      : readFeed(without(small, gave), context);
  // "took it inside, 45 F last night" was carried, and not picked
  if (verb?.word === 'took' && CARRIED.test(small)) return { kind: 'other' };
  // what was bought, and for how much, is more than a line says
  if (BOUGHT.test(small)) return { kind: 'other' };
  if ((verb?.word === 'gave' && isFruitGiven(small)) || (USED.test(small) && isFruit(small, context)))
    return unfinished(
      'Was it picked now? Then say so: “picked 2 kg from 7, sold for 8”. What lay on the shelf is put down there, on Tally.',
    );
  const kind = hasSprayed ? verb?.kind : kindOf(verb, small, context);
  const said = verb ? without(small, verb.word) : small;
  const other = saidWithout(kind, verb?.word, small);
  const onTop = kind === 'check' || (kind === undefined && !other) ? saidOfTop(small) : undefined;
  if (onTop) {
    const deeper = onTop.below === undefined ? undefined : readClause(onTop.below, context);
    const isFound = deeper?.kind === 'command' && deeper.commands[0].kind === 'check';
    return isFound
      ? noted(deeper, onTop.top)
      : unfinished('How was it deeper, two knuckles down? The top dries first and says little.');
  }
  const isNoted = kind === 'note' || (kind === undefined && other === undefined);
  if (!isNoted && VAGUE.test(small))
    return unfinished('On which day was that? Say “on Monday” or “on 3 July”; one near it will do.');
  // "took" and "gave" are a part of what was done
  if (other) return other(other === readTended || other === readGone ? small : said, text, context);
  if (kind === undefined) return { kind: 'other' };
  if (kind === 'note') return readNote(text, verb?.word ?? '', context);
  const question = saysNoDay(small, context.now) ? 'There is no such day.' : askedOf(kind, small);
  if (question !== undefined) return unfinished(question);
  // what does not come apart is not taken for one of the two, with the other as its note
  if (DEEDS.filter((deed) => deed.test(small)).length > 1) return unfinished(TWO_THINGS);
  if (kind === 'feed') return /^f(?:eed|eeding)$/.test(small) ? { kind: 'other' } : readFeed(said, context);
  const labels = context.bags.all.map(({ label }) => label);
  const watered = kind === 'watering' ? readHowWatered(said) : undefined;
  const when = readWhen(watered?.rest ?? said, context.now, labels);
  const isShared = TOGETHER.test(when.rest);
  if (kind === 'picking' && SOLD_IN_PART.test(when.rest))
    return unfinished('Sold in part: say each part by itself, with its weight or how many.');
  const { soldFor, rest: unpriced } =
    kind === 'picking' ? withoutPrice(when.rest) : { soldFor: undefined, rest: when.rest };
  const counted = kind === 'picking' ? unpriced.replace(ONE_MORE, '1 $1') : unpriced;
  const unmeasured = kind === 'picking' ? UNMEASURED.exec(counted) : null;
  const measured = counted.replace(unmeasured?.[0] ?? '', ' ');
  const howMuch = apartFromBag(measured.replace(TOGETHER, ' '), labels);
  const amounts = watered
    ? readWater(howMuch, context)
    : readAmounts(howMuch, context.measures, context.system);
  if ('problem' in amounts) return unfinished(amounts.problem);
  const found = kind === 'check' ? readFinding(amounts) : undefined;
  const { count, rest } = kind === 'picking' ? bareCount(amounts, context.bags.all) : { ...amounts };
  const named = readBags(found?.rest ?? rest, context.bags, said);
  const { facts, rest: left } =
    kind === 'picking' ? readPickedFacts(named.rest) : { facts: {}, rest: named.rest };
  // where there is but one, nobody calls it by its name
  const isOnlyOne = context.bags.all.length === 1 && !isNamedIn(left, said);
  const bags = named.bags.length === 0 && isOnlyOne ? context.bags.all : named.bags;
  const vessel = watered && amounts.litres === undefined ? unknownVessel(left) : undefined;
  if (vessel !== undefined) return unfinished(vessel);
  if (bags.length === 0) return unfinished(noBag(left, context.bags.all));
  if (kind === 'picking' && named.isByFruit && bags.length > 1 && !isShared)
    return unfinished(`From which bag? “In all” is from all ${bags.length} of them together.`);
  // "1 can on 7 and half on 12"
  if (kind !== 'check' && FRACTION.test(left)) return unfinished(TWO.problem);
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
  const command = (drafts: readonly Draft[]): CommandReading => ({
    kind: 'command',
    commands: [{ kind, drafts, bags, isShared: shared, note }],
  });
  // "terrace 1 can, 4 none"
  if (watered && /\b(?:none|nothing)\b/.test(left)) return unfinished('Which got none? Say “terrace but 4”.');
  if (kind === 'check') {
    if (!found)
      return unfinished(
        'How was it: dust-dry, dry, barely damp, moist or wet? Or light or heavy when lifted?',
      );
    return command(bags.map((bag) => ({ kind: 'check', ...base(bag), check: found.check })));
  }
  const of = { bags, isShared: shared, base, command };
  if (watered) return readWatering(amounts, watered, of, context);
  return readPicking(
    {
      ...amounts,
      count,
      isUnmeasured: unmeasured !== null,
      facts: { ...facts, ...(soldFor === undefined ? {} : { soldFor }) },
    },
    of,
  );
}

type Done = CommandReading & { readonly kind: 'command' };

/** A reading of one deed with its entries made otherwise. */
function eachDraft(reading: Done, made: (draft: Draft) => Draft): Done {
  const [command] = reading.commands;
  return { ...reading, commands: [{ ...command, drafts: command.drafts.map(made) }] };
}

/** A reading whose entries have something more said of them. */
function noted(reading: Done, more: string): Done {
  const note = [more, reading.commands[0].note].filter((words) => words !== undefined).join(', ');
  const { commands } = eachDraft(reading, (draft) => ({ ...draft, note }));
  return { ...reading, commands: [{ ...commands[0], note }] };
}

/** What is told by a verb, which of some depends on what was given; without one, by what is said. */
function kindOf(
  verb: { readonly kind: SaidKind; readonly word: string } | undefined,
  small: string,
  context: CommandContext,
): SaidKind | undefined {
  if (verb?.kind !== 'watering') return verb?.kind ?? impliedKind(small, context);
  if (FEED_NOUN.test(small) || namesFeed(small, context)) return 'feed';
  // "7 gave 2 kg"
  return verb.word === 'gave' && isFruit(small, context) ? 'picking' : 'watering';
}

/** Whether a text says a weight or so many fruits, and no water. */
function isFruit(text: string, { measures, system }: CommandContext): boolean {
  const said = readAmounts(text, measures, system);
  if ('problem' in said) return false;
  return (said.kilograms !== undefined || said.count !== undefined) && said.litres === undefined;
}

/** What is said without a verb of its own, or behind one that says little: "got 12 mm of rain", "took the shoots off", "found aphids". */
function saidWithout(kind: SaidKind | undefined, verb: string | undefined, small: string) {
  if (kind === undefined) return speaksFor(small);
  if (kind === 'picking' && isRain(small)) return readWeather;
  if (verb === 'took' && isTended(small)) return readTended;
  if ((verb === 'gave' || verb === 'got') && isGone(small)) return readGone;
  const isSeen = verb === 'saw' || verb === 'found' || verb === 'look' || verb === 'looked';
  return !isSeen ? undefined : isTrouble(small) ? readTrouble : isStage(small) ? readStage : undefined;
}

/** By what a text without a verb is read, if it speaks of anything. */
export function speaksFor(small: string) {
  if (saysMeasure(small)) return () => unfinished(unknownVessel(small) ?? '');
  if (isSprayed(small)) return readSpray;
  if (PLANTED.test(small))
    return () =>
      unfinished(
        'What is planted or sown is put down at its bag, by “Record planting”; for several bags, on Bags under “Several at once”.',
      );
  if (isMixWarmth(small)) return readMixWarmth;
  if (isWeather(small)) return readWeather;
  if (isHeight(small)) return readHeight;
  if (isMoved(small)) return readMoved;
  if (isGone(small)) return readGone;
  if (isTended(small)) return readTended;
  return isTrouble(small) ? readTrouble : isStage(small) ? readStage : undefined;
}

/** "the first tomato" is one. */
const ONE_MORE =
  /(?<!\d )\b(?:the )?(?:very )?(?:first|last) (?:ripe |red )?(fruit|tomato|pepper|chill?i|cucumber|aubergine|eggplant)\b/;
/** These are things when something is sprayed, and no deeds. */
const SPRAYED_WITH = /^(?:water|feed|fertili[sz]er)$/;
const BECAUSE =
  /(?<!\p{L})(?:after|because|since|due to|thanks to|from) (?:the |last |a |of |so much )*(?:rain|storm|night|shower|heat|wind|sun|weekend|holiday|downpour|watering)(?!\p{L}).*$|(?<!\p{L})in (?:the |full |hot |strong )*(?:sun|heat|wind)(?!\p{L}).*$/u;
const IT = /^(?:it|mine)(?!\p{L})/u;
/** What is not fed in water is put on. */
const GAVE = /\b(?:gave|put|sprinkled|scattered|added|spread|worked in)\b/;
/** What is said of fruit that was not picked. */
const NOT_PICKED =
  /(?<!\p{L})(?:fell|fallen|dropped|dropping|lost|planted|sown|sowed|set|left|hang(?:s|ing)?|growing|swelling|form(?:ed|ing))(?!\p{L})/u;
/** What was picked is told by what became of it alone. */
const USED =
  /^(?:i |we )?(?:sold|ate|froze|stored|bottled|threw|gave (?!it|them|half|an?\b|the\b)\p{L}+) .*\b(?:from|off|of)\b/u;
const CARRIED = /\b(?:inside|indoors|outside|outdoors|under cover)\b/;
const BOUGHT = /^(?:i |we )?bought\b/;
const PICKED_FROM = /\b(?:from|off|out of)\b/;
/** "basil planted beside 7" may be a note */
const PLANTED = /^(?:i |we )?(?:planted|sowed|transplanted)\b/;
const GAUGE = /\b(?:scales?|probe|meter)\b/;
const FRACTION = /[¼½¾⅓⅔⅛⅜⅝⅞]|(?<!\p{L})half(?!\p{L})/u;
/** What is meant to be done, was not done or is asked is no deed. */
const NOT_DONE =
  /\b(?:will|shall|going to|must|should|ought to|needs?(?: to)?|have to|has to|want to|remember to|forgot(?: to)?|(?:did not|didn[’']?t)(?! (?:weigh|count|measure))|do not|don[’']?t|have not|haven[’']?t|was not|wasn[’']?t|were not|weren[’']?t|not yet)\b|\b(?:no|never) $/;
const TO_COME = /\btomorrow\b/;
const QUESTION = /\?\s*$|^(?:is|are|was|were|how|when|why|what|which|who|does|do|did|can|could|has|have)\b/;
const VAGUE = new RegExp(
  String.raw`\b(?:last|this) (?:week(?:end)?|month|spring|summer|autumn|fall)\b|\bthe other day\b|\b(?:some|a few) (?:days|weeks) ago\b|\b(?:an?|\w+) (?:months?|years?) ago\b|\brecently\b|\b(?:in|early|mid|late|during|end of|beginning of)[ -](?:early |mid |late )?${MONTH}(?![\p{L}]| \d)`,
  'u',
);
const DAY_BEFORE = new RegExp(`^((?:on |last |this )?(?:yesterday|today|${WEEKDAYS.join('|')})):`);
/** Of what holds water it is water; the mix is named. */
const TOPPED_UP =
  /\b(?:re)?(?:topped up|filled)(?: the)?(?: reservoir| saucer| tray| base)?(?: of| at| in)?\b/;
const labelsOf = (bags: CommandContext['bags']) => bags.all.map(({ label }) => label);

const FEED_NOUN = /(?<![\p{L}])(?:feed|fertili[sz]er)(?![\p{L}])/u;
/** Words that say nothing else but that something was done. */
const TWO_THINGS = 'These are two things: say them one after another, each with its bag.';
const DEEDS = [
  /\b(?:picked|harvested)\b/,
  /\b(?:watered|poured)\b/,
  /\b(?:fed|fertili[sz]ed)\b/,
  /\bsprayed\b/,
];

/** "from 2 3/4 lb" where a bag is called 2: the bag, and then three quarters of a pound. */
const apartFromBag = (text: string, labels: readonly string[]) =>
  text.replace(
    /\b(from|at|on|off|in|bag|pot) (\d+) (?=\d+\/\d|[¼½¾])/gu,
    (all, word: string, label: string) => (labels.includes(label) ? `${word} ${label}, ` : all),
  );

/** "a handful" says something of how much there was, "some" and "not weighed" nothing. */
const roughly = (words: string | undefined) =>
  words === undefined || /^some\b|weigh/.test(words) ? undefined : words;

/** Without a verb, a weight at a bag was picked, water at one was given, and a grade was found: "7 450 g", "3 dry". */
function impliedKind(text: string, { bags, measures, system, now }: CommandContext): SaidKind | undefined {
  // where there is but one, "it" is it
  const isIt = bags.all.length === 1 && IT.test(text);
  const hasBag = (rest: string) => isIt || readBags(rest, bags).bags.length > 0;
  const time = readTime(text, measures);
  if (time && 'isNamed' in time && time.isNamed && hasBag(time.rest)) return 'watering';
  const amounts = readAmounts(text, measures, system);
  if ('problem' in amounts || !hasBag(amounts.rest)) return undefined;
  // "repotted 7 into 50 L", "7 weighs 14 kg": a word more may be what was done, or what is looked for
  const isWhole = (rest: string) => {
    const named = readBags(readWhen(rest, now, labelsOf(bags)).rest, bags);
    return (isIt || named.bags.length > 0) && strangeIn(named.rest).length === 0;
  };
  if (amounts.count !== undefined && !isTrouble(text) && !NOT_PICKED.test(text))
    return PICKED_FROM.test(text) || isWhole(amounts.rest.replace(TOGETHER, ' ')) ? 'picking' : undefined;
  const isGauge = amounts.percent !== undefined || (amounts.kilograms !== undefined && GAUGE.test(text));
  if (isGauge && isWhole(amounts.rest)) return 'check';
  if (amounts.kilograms !== undefined && isWhole(amounts.rest.replace(TOGETHER, ' '))) return 'picking';
  if (
    amounts.litres !== undefined &&
    isWhole(readHowWatered(amounts.rest).rest.replace(TOPPED_UP, ' ').replace(TOGETHER, ' '))
  )
    return 'watering';
  const found = readFinding(amounts);
  // why it is so is a note
  return found && isWhole(found.rest.replace(BECAUSE, ' ')) ? 'check' : undefined;
}
