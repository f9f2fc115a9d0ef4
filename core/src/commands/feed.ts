import { toSi, unitNamed, UNITS, withFigures } from '../units/index.ts';
import { NUMBER, numberOf } from './amounts.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { noBag } from './leftover.ts';
import { readWhen } from './when.ts';
import { readBags } from './which-bags.ts';

/** From here on a volume is water that a feed was in, and below it the feed itself, L. */
const LEAST_WATER_LITRES = 0.25;
/** A shorter word of a product's name says nothing of which it is. */
const SHORTEST_WORD = 4;

/**
 * Reads what was fed: "fed 3 and 4 tomato feed, 20 ml in 1 can". What is not said is left to its form.
 *
 * @param said in small letters, without its verb
 */
export function readFeed(said: string, context: CommandContext): CommandReading {
  const { bags, now, measures, system } = context;
  const when = readWhen(
    said,
    now,
    bags.map(({ label }) => label),
  );
  const product = productIn(when.rest, context.feeds);
  let rest = withFigures(product.rest);
  const found = { water: '', amount: '' };
  const names = measures.flatMap(({ name, kind }) => [name.toLowerCase(), kind as string]);
  const amount = new RegExp(`(?<![\\p{L}\\d.,/])(${NUMBER}) ?((?:us |imperial )?\\p{L}+(?: \\p{L}+)?)`, 'gu');
  for (const [all, figures = '', words = ''] of [...rest.matchAll(amount)]) {
    const number = numberOf(figures, system);
    if (typeof number !== 'number') return unfinished(number.problem);
    const [first = ''] = words.split(' ');
    const isMeasure = (word: string) => names.some((name) => word === name || word === `${name}s`);
    const word = [words, first].find((each) => isMeasure(each) || unitNamed(each, system) !== undefined);
    if (word === undefined) continue;
    const unit = isMeasure(word) ? undefined : unitNamed(word, system);
    const quantity = unit ? UNITS[unit].quantity : 'volume';
    if (quantity !== 'mass' && quantity !== 'volume') continue;
    const isWater = unit === undefined || (quantity === 'volume' && toSi(number, unit) >= LEAST_WATER_LITRES);
    found[isWater ? 'water' : 'amount'] = `${figures} ${word}`;
    rest = rest.replace(all.slice(0, all.indexOf(words) + word.length), ' ');
  }
  rest = rest.replace(/[,;]|(?<![\p{L}])(?:with|in|of|and|feed|water|was|were)(?![\p{L}])/gu, ' ').trim();
  const named = readBags(rest, bags);
  const meant = named.bags.length === 0 && bags.length === 1 ? bags : named.bags;
  if (meant.length === 0) return unfinished(noBag(named.rest, bags));
  return {
    kind: 'feed',
    feed: { bags: meant, productId: product.id, ...found, at: when.isSaid ? when.at : undefined },
  };
}

/** "bonemeal" is "Bone meal". */
const compact = (text: string) => text.toLowerCase().replace(/[^\p{L}\d]/gu, '');

/** The product that a text names: by its whole name, or by words of it that no other has. */
function productIn(
  text: string,
  feeds: CommandContext['feeds'],
): { readonly id: string | undefined; readonly rest: string } {
  const whole = [...feeds]
    .sort((a, b) => b.name.length - a.name.length)
    .find(({ name }) => compact(text).includes(compact(name)));
  if (whole) return { id: whole.id, rest: text.replace(whole.name.toLowerCase(), ' ') };
  const wordsOf = (name: string) =>
    name
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .filter((w) => w.length >= SHORTEST_WORD);
  const said = wordsOf(text);
  const scored = feeds
    .map((feed) => ({ feed, common: wordsOf(feed.name).filter((word) => said.includes(word)) }))
    .filter(({ common }) => common.length > 0)
    .sort((a, b) => b.common.length - a.common.length);
  const [best, second] = scored;
  const isOne = best !== undefined && best.common.length > (second?.common.length ?? 0);
  const words = (isOne ? best.common : (best?.common ?? [])).join('|');
  return {
    id: isOne ? best.feed.id : undefined,
    rest: words === '' ? text : text.replace(new RegExp(`(?<![\\p{L}])(?:${words})(?![\\p{L}])`, 'gu'), ' '),
  };
}
