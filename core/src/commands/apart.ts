import type { BagNames } from './which-bags.ts';
import { FINGER_WORDS, LIFT_WORDS, WILTED } from './words.ts';

const WORD = String.raw`[\p{L}\d]+`;
const FOUND = [...FINGER_WORDS, ...LIFT_WORDS, WILTED]
  .flat()
  .sort((a, b) => b.length - a.length)
  .join('|');
const LOOK = String.raw`(?:is |was |feels |felt )?(?:${FOUND})(?!\p{L})`;
/** "3 dry 4 moist" */
const TWO_LOOKS = new RegExp(String.raw`(?<!\p{L})(${WORD})( ${LOOK})(?= (${WORD}) ${LOOK})`, 'giu');
/** "7 - 450 g": no range where a bag is called 7, and nothing else is named */
const DASH = new RegExp(
  String.raw`(^|[,;]\s*|\b(?:picked|harvested|harvest:|watered)\s+)(${WORD}) [-–] (?=[\d½¼¾])`,
  'giu',
);
const PLACED = /(?<!\p{L})(?:from|off|on|at|in)(?!\p{L})/iu;
/** "3+4", and "3/4/7"; two of them alone are a part of one */
const SUM = new RegExp(String.raw`(?<![\p{L}\d.,])(${WORD}) ?\+ ?(?=(${WORD})(?![\p{L}\d.,]))`, 'gu');
const ROW = /(?<![\d/.]|\bon )\d{1,3}(?:\/\d{1,3}){2,}(?![\d/])/gu;
/** What ends no sentence. */
const SHORT = /(?<![\p{L}\d])(nr|no|approx|ca)\. (?=\d)/giu;

/** A line with commas and "and" between what is of several bags, where it was written without. */
export function apart(text: string, { all: bags }: BagNames): string {
  const labels = new Set(bags.map(({ label }) => label.toLowerCase()));
  const areBags = (...words: readonly string[]) => words.every((word) => labels.has(word.toLowerCase()));
  const dashed = PLACED.test(text)
    ? text
    : text.replace(DASH, (all, before: string, bag: string) => (areBags(bag) ? `${before}${bag}: ` : all));
  return dashed
    .replace(SHORT, '$1 ')
    .replace(SUM, (all, one: string, more: string) => (areBags(one, more) ? `${one} and ` : all))
    .replace(ROW, (row) => (areBags(...row.split('/')) ? row.split('/').join(', ') : row))
    .replace(TWO_LOOKS, (all, bag: string, _look: string, next: string) =>
      areBags(bag, next) ? `${all},` : all,
    );
}
