import { FRUITS, VERBS } from './words.ts';

/** A bag as it can be called. */
export interface NamedBag {
  readonly containerId: string;
  readonly label: string;
  readonly placeName: string;
  /** varieties and plants in it */
  readonly names: readonly string[];
  /** where it stands; left out: that is not known */
  readonly placeId?: string | undefined;
  /** what stands in it, each with its own name and its variety's */
  readonly plants?: readonly {
    readonly stationId: string;
    readonly plantId: string;
    readonly names: readonly string[];
    /** which of the bag's it is, counted from 1; left out: they have no order */
    readonly number?: number;
  }[];
}

/** The bags that a text names, and the text without them. */
export interface SaidBags {
  readonly bags: readonly NamedBag[];
  readonly rest: string;
  /** they are named by a fruit alone, which may be what was picked and no name */
  readonly isByFruit?: boolean;
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** A name by itself: no letter or figure right before or behind it. */
const alone = (name: string) => new RegExp(`(?<![\\p{L}\\d.,])${escaped(name)}(?![\\p{L}\\d]|[.,]\\d)`, 'u');

/** "all but 2", "terrace except 4 and 5" */
const EXCEPT = /\b(?:but not|except(?: for)?|apart from|other than|but|without|not)\b/;

const ALL = /\b(?:all|everything|everywhere|the (?:whole )?lot)\b/;

/** How a number is called, where a bag may be meant: "bag one", "on two", "one and two". */
const WORDS = [
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** Bags with all that they can be called, made ready once to be looked for in many texts. */
export interface BagNames {
  readonly all: readonly NamedBag[];
  /** what has letters before what is a label, and of each the longest first */
  readonly called: readonly {
    readonly by: 'place' | 'plant' | 'label' | 'rest';
    readonly pattern: RegExp;
    readonly bags: readonly NamedBag[];
    /** a label that is a number: how it stands in words for itself */
    readonly inWords?: RegExp | undefined;
  }[];
}

/** Makes the names of bags ready. */
export function bagNames(all: readonly NamedBag[]): BagNames {
  const places = groups(all, ({ placeName }) => [placeName]);
  const plants = groups(all, ({ names }) => names);
  const byLabel = new Map(all.map((bag) => [bag.label.toLowerCase(), bag]));
  const labels = [...byLabel].sort(([a], [b]) => b.length - a.length);
  return {
    all,
    // what has letters first: a place called "Bench 7" is not bag 7
    called: [
      ...[
        ...places.map(([name, bags]) => ({ by: 'place' as const, name, bags })),
        ...plants.map(([name, bags]) => ({ by: 'plant' as const, name, bags })),
      ].filter(({ name }) => name.length > 1),
      // and a word of a name by which nothing else is called: "terrace" for the Slipway terrace
      ...ownWords(places).map(([name, bags]) => ({ by: 'place' as const, name, bags })),
      ...ownWords(plants).map(([name, bags]) => ({ by: 'plant' as const, name, bags })),
    ]
      .map(({ name, ...of }): BagNames['called'][number] => ({ ...of, pattern: plural(name) }))
      .concat(
        labels.map(([label, bag]) => ({
          by: 'label',
          pattern: alone(label),
          bags: [bag],
          inWords: wordFor(label),
        })),
      ),
  };
}

/** "3 dry, 4 moist, the rest wet": the bags that a line does not name. */
const REST =
  /\b(?:all )?(?:the )?(?:rest|others?|remaining)(?: of them| bags?| pots?)?\b|\beverything else\b/u;

/**
 * Makes the names of bags ready for one line, in which "the rest" is of those that it does not name.
 *
 * @param line without amounts: in "the rest 3 L" the 3 is no bag
 */
export function withRest(names: BagNames, line: string): BagNames {
  const small = line.toLowerCase();
  if (!REST.test(small)) return names;
  const named = readBags(small.replace(REST, ' ').replace(/\ball\b/g, ' '), names).bags;
  const others = names.all.filter((bag) => !named.includes(bag));
  return named.length === 0 || others.length === 0
    ? names
    : { ...names, called: [{ by: 'rest', pattern: REST, bags: others }, ...names.called] };
}

/** In "3 from 4, one split" the one is no bag: a number in words is one behind "bag" and the like, or by itself. */
function wordFor(label: string): RegExp | undefined {
  const word = /^\d+$/.test(label) ? WORDS[Number(label) - 1] : undefined;
  return word === undefined
    ? undefined
    : new RegExp(`\\b(?:bag|pot|number|from|on|at|in) ${word}\\b|\\b${word}\\b *(?:$|[,;:\\d]|and )`);
}

/**
 * Finds the bags that a text names: by their labels ("7", "A2"), several ("3, 4 and 5"), a row ("3 to 6"), a place ("terrace"), all
 * of them, or by what grows in them; "all but 7" is all of them but that.
 *
 * @param text in small letters
 * @param said the text as it was before words were made figures; left out: it was the same
 */
export function readBags(text: string, names: BagNames, said = text): SaidBags {
  const except = EXCEPT.exec(text);
  if (except) {
    const named = readNamed(text.slice(0, except.index), names, said);
    const out = readNamed(text.slice(except.index + except[0].length), names, said);
    const bags = named.bags.filter((bag) => !out.bags.includes(bag));
    if (out.bags.length > 0 && bags.length > 0) return { bags, rest: `${named.rest} ${out.rest}` };
    // "dry except 4" says it of those that are not named
    const others = names.all.filter((bag) => !out.bags.includes(bag));
    if (out.bags.length > 0 && named.bags.length === 0 && /^(?:except|apart|other)/.test(except[0]))
      return { bags: others, rest: `${named.rest.replace(ALL, ' ')} ${out.rest}` };
  }
  return readNamed(text, names, said);
}

/** "3 and the terrace": both are meant, and not the 3 that stands there. */
const JOINED = { before: /(?:\band|&|\+|\bplus) (?:the )?$/, behind: /^ (?:and\b|&|\+|plus\b)/ };

function readNamed(text: string, { all, called }: BagNames, said: string): SaidBags {
  const labelled = new Set<NamedBag>();
  const groups: NamedGroup[] = [];
  let rest = text;
  const take = (
    pattern: RegExp,
    bagsOf: (match: RegExpExecArray) => readonly NamedBag[],
    by: BagNames['called'][number]['by'] = 'label',
  ) => {
    for (let match = pattern.exec(rest); match; match = pattern.exec(rest)) {
      const bags = bagsOf(match);
      if (bags.length === 0) return;
      const [before, behind] = [rest.slice(0, match.index), rest.slice(match.index + match[0].length)];
      const isJoined = JOINED.before.test(before) || JOINED.behind.test(behind);
      if (by === 'label') for (const bag of bags) labelled.add(bag);
      else groups.push({ by, bags, isJoined, isFruit: FRUITS.test(match[0]) });
      rest = `${before} ${behind}`;
    }
  };
  take(/\bboth(?: of them| bags?| pots?)?\b/, () => (all.length === 2 ? all : []));
  take(/(?<![\d.,])(\d{1,3}) ?(?:-|–|to|until|through) ?(\d{1,3})(?![\d.,])/, ([, from, to]) => {
    const [low, high] = [Number(from), Number(to)];
    return all.filter(({ label }) => /^\d+$/.test(label) && Number(label) >= low && Number(label) <= high);
  });
  for (const { by, pattern, bags, inWords } of called)
    if (inWords === undefined || pattern.test(said) || inWords.test(said)) take(pattern, () => bags, by);
  const found = meant(labelled, groups);
  // "everything on the terrace" is of the terrace
  take(
    /\beverything\b|\beverywhere\b|\bthe (?:whole )?lot\b|\b(?:all|every|each)(?: of)?(?: the| my)?(?: bags?| pots?|(?= of them)|(?= of the\b))|\b(?:all|every)(?= *$)/,
    () => (found.size === 0 ? all : [...found]),
  );
  // "3, 4 and 5 a can each" is of those that were named
  if (found.size === 0 && labelled.size === 0) take(/\beach(?= *$)/, () => all);
  const bags = found.size === 0 ? labelled : found;
  const isByFruit = labelled.size === 0 && groups.length > 0 && groups.every(({ isFruit }) => isFruit);
  return { bags: all.filter((bag) => bags.has(bag)), rest, isByFruit };
}

/** Bags that are called by something else than their labels. */
interface NamedGroup {
  readonly by: string;
  readonly bags: readonly NamedBag[];
  readonly isJoined: boolean;
  readonly isFruit: boolean;
}

/**
 * The bags that names, places and plants together mean. What grows in a bag that is called by its label, and where it stands, says
 * which that is: "the tomato in 2" is 2. A plant at a place is what stands there of it: "the tomatoes on the terrace".
 */
function meant(labelled: ReadonlySet<NamedBag>, groups: readonly NamedGroup[]): ReadonlySet<NamedBag> {
  const further = groups.filter(
    ({ bags, isJoined, isFruit }) =>
      labelled.size === 0 || isJoined || !(isFruit || bags.some((bag) => labelled.has(bag))),
  );
  const of = (by: string) => further.flatMap((group) => (group.by === by ? group.bags : []));
  const [places, plants] = [of('place'), of('plant')];
  const there = plants.filter((bag) => places.includes(bag));
  const isThere = there.length > 0 && !further.some(({ by, isJoined }) => by === 'place' && isJoined);
  return new Set([...labelled, ...of('rest'), ...(isThere ? there : [...places, ...plants])]);
}

/** A shorter word may be a unit, or a word about names. */
const SHORTEST_WORD = 4;

/** Words that stand in one of several names and in no other. */
function ownWords(
  named: readonly (readonly [string, readonly NamedBag[]])[],
): readonly (readonly [string, readonly NamedBag[]])[] {
  const wordsOf = (name: string) => name.split(/[^\p{L}]+/u).filter((word) => word.length >= SHORTEST_WORD);
  const counts = new Map<string, number>();
  for (const word of named.flatMap(([name]) => [...new Set(wordsOf(name))]))
    counts.set(word, (counts.get(word) ?? 0) + 1);
  return named.flatMap(([name, bags]) =>
    wordsOf(name).flatMap((word) => (counts.get(word) === 1 && !isVerb(word) ? [[word, bags] as const] : [])),
  );
}

const isVerb = (word: string) => VERBS.some(({ pattern }) => pattern.test(word));

const plural = (name: string) => new RegExp(`(?<![\\p{L}\\d])${escaped(name)}(?:s|es)?(?![\\p{L}\\d])`, 'u');

/** Bags by a name of theirs, the longest name first. */
function groups(
  all: readonly NamedBag[],
  namesOf: (bag: NamedBag) => readonly string[],
): readonly (readonly [string, readonly NamedBag[]])[] {
  const found = new Map<string, NamedBag[]>();
  for (const bag of all)
    for (const name of namesOf(bag)) {
      const key = name.toLowerCase();
      found.set(key, [...(found.get(key) ?? []), bag]);
    }
  return [...found].sort(([a], [b]) => b.length - a.length);
}
