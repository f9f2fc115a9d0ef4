import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { amountsIn } from './dosed.ts';
import { noBag, strangeIn } from './leftover.ts';
import { readWhen } from './when.ts';
import { readBags } from './which-bags.ts';

/** A shorter word of a product's name says nothing of which it is, and neither does "feed". */
const SHORTEST_WORD = 4;
const FILLING = /[,;]|(?<![\p{L}])(?:with|in|of|and|feed|water|was|were)(?![\p{L}])/gu;

const SHARES: readonly (readonly [RegExp, number])[] = [
  [/half|½|1\/2/, 0.5],
  [/quarter|¼|1\/4/, 0.25],
  [/third|⅓|1\/3/, 1 / 3],
  [/double|twice|2 ?(?:x|×|times)/, 2],
  [/full|whole|normal|usual/, 1],
];
/** "half a dose", "at quarter strength", "double the usual dose" */
const OF_DOSE = new RegExp(
  String.raw`(?<![\p{L}\d])(?:at |a )?(${SHARES.map(([said]) => said.source).join('|')})(?: of)?(?: (?:a|the|its|usual|normal|full|label))* ?-?(?:doses?|strength|rate)(?!\p{L})`,
  'u',
);

/** How much of a label's dose a text says, and the text without it. */
function doseShareIn(text: string): { readonly doseShare?: number; readonly rest: string } {
  const [all, words = ''] = OF_DOSE.exec(text) ?? [];
  const share = all === undefined ? undefined : SHARES.find(([said]) => said.test(words))?.[1];
  return all === undefined || share === undefined
    ? { rest: text }
    : { doseShare: share, rest: text.replace(all, ' ') };
}

/**
 * Reads what was fed: "fed 3 and 4 tomato feed, 20 ml in 1 can". What is not said is left to its form.
 *
 * @param said in small letters, without its verb
 */
export function readFeed(said: string, context: CommandContext): CommandReading {
  const { bags, now, feeds } = context;
  const when = readWhen(
    said,
    now,
    bags.all.map(({ label }) => label),
  );
  const { rest: dosed, ...share } = doseShareIn(when.rest);
  const whole = namedWholly(dosed, feeds);
  const amounts = amountsIn(whole?.rest ?? dosed, context);
  if ('problem' in amounts) return unfinished(amounts.problem);
  const { water, amount } = amounts;
  const byWords = namedByWords(amounts.rest.replace(FILLING, ' '), feeds, water !== '');
  const named = readBags(byWords.rest.trim(), bags, said);
  const meant = named.bags.length === 0 && bags.all.length === 1 ? bags.all : named.bags;
  if (meant.length === 0) return unfinished(noBag(named.rest, bags.all));
  const productId = whole?.id ?? byWords.id;
  return {
    kind: 'feed',
    feed: {
      ...{ bags: meant, productId, water, amount, ...share },
      rest: strangeIn(named.rest).join(' '),
      at: when.isSaid ? when.at : undefined,
    },
  };
}

/** Whether a text has the whole name of something that there is to feed with. */
export const namesFeed = (text: string, { feeds }: CommandContext): boolean =>
  namedWholly(text, feeds) !== undefined;

/** The feed whose whole name a text has, and the text without it; "bonemeal" is "Bone meal". */
function namedWholly(
  text: string,
  feeds: CommandContext['feeds'],
): { readonly id: string; readonly rest: string } | undefined {
  for (const { id, name } of [...feeds].sort((a, b) => b.name.length - a.name.length)) {
    const words = name.toLowerCase().match(/[\p{L}\d]+/gu);
    if (!words) continue;
    const called = new RegExp(`(?<![\\p{L}\\d])${words.join('[^\\p{L}\\d]*')}(?![\\p{L}\\d])`, 'u');
    if (called.test(text)) return { id, rest: text.replace(called, ' ') };
  }
  return undefined;
}

/**
 * The feed of whose name a text has more words than of any other's.
 *
 * @param isInWater water was said: it is one that is given in water, where such a one is among them
 */
function namedByWords(
  text: string,
  feeds: CommandContext['feeds'],
  isInWater: boolean,
): { readonly id: string | undefined; readonly rest: string } {
  const wordsOf = (name: string) =>
    name
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .filter((word) => word.length >= SHORTEST_WORD && word !== 'feed');
  const said = wordsOf(text);
  const alike = feeds
    .map((feed) => ({ feed, common: wordsOf(feed.name).filter((word) => said.includes(word)) }))
    .filter(({ common }) => common.length > 0);
  const wet = alike.filter(({ feed }) => feed.isInWater);
  const [best, second] = [...(isInWater && wet.length > 0 ? wet : alike)].sort(
    (a, b) => b.common.length - a.common.length,
  );
  const words = [...new Set(alike.flatMap(({ common }) => common))].join('|');
  return {
    id: best && best.common.length > (second?.common.length ?? 0) ? best.feed.id : undefined,
    rest: words === '' ? text : text.replace(new RegExp(`(?<![\\p{L}])(?:${words})(?![\\p{L}])`, 'gu'), ' '),
  };
}
