import { dayOf, momentAt } from '../calendar/index.ts';
import type { Draft } from '../records/index.ts';
import { readAmounts, readTime, type SaidAmounts } from './amounts.ts';
import { MOST, unfinished, type CommandContext, type CommandReading, type DeedAtBags } from './command.ts';
import { HOURS } from './words.ts';

/** "until it ran through", "came out below": no more went in. */
const RAN_THROUGH =
  /(?<!\p{L})(?:until |till )?(?:it |they |both |all )?(?:ran|came|drained|dripped) (?:through|out)(?: (?:at the bottom|below|of the bottom))?(?!\p{L})/u;
const OFTEN = /\b(?:(twice)|(two|three|four|[2-4])(?: times\b| ?[x×] ?(?=[\d¼½¾])))/;
/** "2x can" */
const COUNTED = /\b(\d+) ?[x×] ?(?=\p{L})/u;
const EACH_TIME = /\b(?:each|every) time\b/;
const PARTS_OF_DAY = /\b(?:this |in the )?(morning) and (?:this |in the )?(afternoon|evening|night)\b/;
const NUMBERS: Readonly<Record<string, number>> = { two: 2, three: 3, four: 4 };

/** What a text says of a watering beside how much it was, and the text without it. */
export interface SaidWatering {
  readonly ranThrough: boolean;
  /** so many times the amount */
  readonly times: number;
  /** parts of the day at each of which it was given, by their names; none: it was given once */
  readonly parts: readonly string[];
  readonly rest: string;
}

/**
 * Reads whether water ran through, and how often it was given: "twice", "morning and evening".
 *
 * @param text in small letters
 */
export function readHowWatered(text: string): SaidWatering {
  const [, twice, many] = OFTEN.exec(text) ?? [];
  const [, ...parts] = PARTS_OF_DAY.exec(text) ?? [];
  return {
    ranThrough: RAN_THROUGH.test(text),
    times: twice ? 2 : many === undefined ? 1 : (NUMBERS[many] ?? Number(many)),
    parts,
    rest: [RAN_THROUGH, OFTEN, EACH_TIME, PARTS_OF_DAY]
      .reduce((rest, each) => rest.replace(each, ' '), text)
      .replace(COUNTED, '$1 '),
  };
}

/** The water of a line; it may be said by how long it ran as well. */
export function readWater(
  text: string,
  { measures, system }: CommandContext,
): SaidAmounts | { readonly problem: string } {
  const plain = readAmounts(text, measures, system);
  const time = readTime(text, measures);
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

const VESSEL = String.raw`(jug|bottle|pot|cup|mug|glass|bowl|bucket|pail|pan|kettle|pitcher|jar|ladle|scoop|drum|butt|can)(?:s|es|fuls?)?(?!\p{L})`;
const SO_MANY = new RegExp(String.raw`(?:[\d½¼¾]|(?<!\p{L})(?:an?|half an?)) ${VESSEL}`, 'u');
const SAID_OF = new RegExp(String.raw`^(?:an?|my|the|one|our) (?:\p{L}+ )?${VESSEL}`, 'u');
const HOLDS = /(?<!\p{L})(?:is|holds|takes|has)(?: about)? [\d½¼¾]/u;

/** Whether a text says how much a vessel of the grower's holds, and of which nothing can be put in the diary. */
export const saysMeasure = (text: string): boolean => SAID_OF.test(text) && HOLDS.test(text);

/** What to do about a vessel that is none of the grower's measures; undefined: none is named. */
export function unknownVessel(text: string): string | undefined {
  const vessel = (SO_MANY.exec(text) ?? SAID_OF.exec(text))?.[1];
  return vessel === undefined
    ? undefined
    : `How much a ${vessel} of yours holds is not known here: put it down under Bench, Water, and the line reads “1 ${vessel}”. Or say litres, gallons or pints.`;
}

/** A watering of bags, as much as it was. */
export function readWatering(
  { litres: once, measure, asEntered: typed }: Omit<SaidAmounts, 'rest'>,
  { ranThrough, times, parts }: SaidWatering,
  { bags, isShared, base, command }: DeedAtBags,
  { measures, now }: CommandContext,
): CommandReading {
  if (once === undefined) return unfinished('How much water, as “1 can” or “2 L”?');
  const litres = (once * times) / (isShared ? bags.length : 1);
  if (!(litres > 0) || litres > MOST.litres)
    return unfinished(`No bag takes ${Math.round(litres)} L at once.`);
  const measureId = measure === undefined ? undefined : measures[measure]?.id;
  const asEntered = typed === undefined || times === 1 ? typed : `${times} × ${typed}`.slice(0, 60);
  const drafts = bags.flatMap((bag): readonly Draft<'watering'>[] => {
    const of = base(bag);
    const moments =
      parts.length === 0 ? [of.at] : parts.map((part) => momentAt(dayOf(of.at), HOURS[part] ?? 0, now));
    return moments.map((at) => ({
      kind: 'watering',
      ...of,
      at,
      litres,
      isMeasured: true,
      ranThrough,
      ...(measureId === undefined ? {} : { measureId }),
      ...(asEntered === undefined || isShared ? {} : { asEntered }),
    }));
  });
  if (drafts.some(({ at }) => Date.parse(at) > Date.parse(now)))
    return unfinished('The later of the two is still to come: say each when it was given.');
  return command(drafts);
}
