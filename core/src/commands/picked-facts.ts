import type { EntryOf } from '../records/index.ts';

/** What a line may say of what was picked, beside how much. */
export type PickedFacts = Pick<EntryOf<'picking'>, 'stage' | 'use' | 'soldFor'>;

const word = (source: string) => new RegExp(`(?<![\\p{L}\\d-])(?:${source})(?![\\p{L}\\d-])`, 'u');

const STAGES = [
  ['over', word('over[- ]?ripe|gone over')],
  ['blush', word('(?:at )?(?:first )?blush|breaking|turning|half[- ]ripe')],
  ['green', word('(?:still )?green|unripe')],
  ['ripe', word('(?:fully |nice and )?ripe')],
] as const;
const USES = [
  ['stored', word('stored|put by|(?:on|onto|for|to) the shelf|to ripen|for storing')],
  ['sold', word('sold')],
  ['given', word('(?:gave|given)(?: them| it)? away|gave them to \\p{L}+')],
  ['lost', word('lost|(?:threw|thrown)(?: them| it)? (?:away|out)|binned|composted|compost')],
  ['eaten', word('eaten|ate(?: them| it)?')],
] as const;
/** "sold for 3.50" is what was got for it, and no bag. */
const PRICE = /(?<!\p{L})sold (?:it |them )?for (?:about )?[^\p{L}\d\s]?\s?(\d+(?:[.,]\d{1,2})?)(?! ?\p{L})/u;
/** What is of a part alone has no place in one picking. */
export const SOLD_IN_PART = word(
  '(?:sold|gave|ate|lost|stored) (?:half|some|most|part|a few|\\d+)(?: of)?(?: it| them)?',
);
/** What is said of fruit that is not what was picked. */
const OTHERS = word('rest|others?|still|not|none|left|remaining');

/** The price apart from the rest, so that it is taken for nothing else. */
export function withoutPrice(text: string): { readonly soldFor: number | undefined; readonly rest: string } {
  const found = PRICE.exec(text);
  const price = found?.[1];
  return price === undefined
    ? { soldFor: undefined, rest: text }
    : { soldFor: Number(price.replace(',', '.')), rest: text.replace(found?.[0] ?? '', 'sold') };
}

/**
 * Reads how ripe what was picked was, and what became of it: "picked 6 green from 7, stored".
 *
 * @param left in small letters, without the bags and the amounts
 */
export function readPickedFacts(left: string): { readonly facts: PickedFacts; readonly rest: string } {
  const parts = left.split(/([,;:])/);
  const facts: { -readonly [K in keyof PickedFacts]: PickedFacts[K] } = {};
  const rest = parts.map((part) => {
    if (OTHERS.test(part)) return part;
    let over = part;
    for (const [stage, pattern] of STAGES)
      if (facts.stage === undefined && pattern.test(over)) {
        facts.stage = stage;
        over = over.replace(pattern, ' ');
      }
    for (const [use, pattern] of USES)
      if (facts.use === undefined && pattern.test(over)) {
        facts.use = use;
        over = over.replace(pattern, ' ');
      }
    return over;
  });
  return { facts, rest: rest.join('') };
}
