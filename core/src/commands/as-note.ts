import { withoutAmounts } from './amounts.ts';
import { strangeIn } from './leftover.ts';
import type { Command, CommandContext } from './command.ts';
import { readWhen } from './when.ts';
import { COUNTED } from './words.ts';
import { readBags } from './which-bags.ts';

/** A word; what is shorter may still become one. */
const WORD = /\p{L}{3}/u;
/** So many words are a sentence of the garden, where they name no bag. */
const SENTENCE = 4;

/**
 * A line of which nothing is made, as a note in its own words: at the bags that it names, or of the garden.
 *
 * @returns undefined where it is no more than a few words that may be looked for
 */
export function asNote(text: string, { bags, now, measures, system }: CommandContext): Command | undefined {
  const small = text.toLowerCase();
  const labels = bags.all.map(({ label }) => label);
  const when = readWhen(small, now, labels);
  const bare = withoutAmounts(when.rest.replace(COUNTED, ' '), measures, system);
  const named = readBags(bare, bags, small);
  const words = strangeIn(named.rest).filter((word) => WORD.test(word));
  const isLong = text.split(/\s+/).length >= SENTENCE;
  // "pH of 7 is 6.2"
  const isFigure = isLong && named.bags.length > 0 && (bare !== when.rest || /\d/.test(named.rest));
  if (!(isFigure || (words.length > 0 && (isLong || named.bags.length > 0))) || text.length > 2000)
    return undefined;
  const base = { kind: 'note', at: when.at, text } as const;
  const drafts =
    named.bags.length > 0 ? named.bags.map(({ containerId }) => ({ ...base, containerId })) : [base];
  return { kind: 'note', drafts, bags: named.bags, isShared: false, note: undefined };
}
