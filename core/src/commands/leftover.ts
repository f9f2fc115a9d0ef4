import { withFigures } from '../units/index.ts';
import { FILLERS } from './words.ts';
import type { NamedBag } from './which-bags.ts';

/** The words of which nothing was made. */
export const strangeIn = (left: string) =>
  left.split(/[\s,;:]+/).filter((word) => word !== '' && !FILLERS.has(word));

/** Words behind which stands where something was. */
const WHERE =
  /\b(?:from|at|in|on|into|onto|off|of|to|bag|pot|number|nr)(?: (?:the|my|a|bag|pot|number|nr))* ([^\s,;]+)/gu;

/**
 * Whether a text names a place or a bag, that is none: by a word behind "from" and the like, or by a number that was written as one.
 *
 * @param said the text as it was before words were made figures
 */
export const isNamedIn = (left: string, said: string) =>
  strangeIn(left).some((word) => /\d/.test(word) && said.includes(word)) ||
  [...left.matchAll(WHERE)].some(([, word = '']) => !FILLERS.has(word));

export function noBag(left: string, bags: readonly NamedBag[]): string {
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
export function leftover(left: string, text: string): string | undefined {
  const words = left
    .split(/[\s,;:]+/)
    .filter((word) => word !== '' && !FILLERS.has(word) && /[\p{L}\p{N}]/u.test(word));
  if (words.length === 0) return undefined;
  const own = text.split(/[\s,;:]+/);
  return words
    .map(
      (word) =>
        own.find((each) => each.toLowerCase() === word) ??
        // "one" has become a figure on the way
        own.find((each) => withFigures(each) === word) ??
        word,
    )
    .join(' ')
    .slice(0, 2000);
}

/** A text without a word of it. */
export function without(text: string, word: string): string {
  return text
    .replace(new RegExp(`(?<![\\p{L}\\d])${word}(?![\\p{L}\\d])`, 'u'), ' ')
    .replace(/\s+/g, ' ')
    .trim();
}
