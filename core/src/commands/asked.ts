import { daysIn } from './weather.ts';
import type { SaidKind } from './words.ts';

/** "3 ripe and 2 green" */
const TWO_KINDS =
  /\d+ (?:ripe|green|red|unripe|split) (?:ones )?(?:and|,|&|\+) ?\d+ (?:ripe|green|red|unripe|split)\b/;
/** "1 L ran out of 7" */
const RAN_OFF =
  /^(?!.*(?:watered|poured|gave)).*\d ?(?:l|litres?|liters?|ml|cups?|pints?)\b (?:ran|came|drained|dripped) (?:out|through)/u;
const MOSTLY = /\b(?:mostly|mainly|most of (?:it|them)) (?:from|off)\b/;
const FIGURES =
  /^\d{1,2}[/.]\d{1,2}(?:[/.]\d{2,4})?:? (?=(?:picked|harvested|watered|poured|fed|checked|felt|found|got|gave|weighed)\b)|\bon \d{1,2}[/.]\d{1,2}(?:[/.]\d{2,4})?(?![\d/.]| ?\p{L}*(?:can|l|litres?|kg|g|lb|oz)\b)/u;

/** What leaves open how much it was, of which bag or when, and what is to be said of it. */
const ASKED: readonly {
  /** left out: of any deed */
  readonly of?: SaidKind;
  readonly pattern: RegExp;
  readonly question: string;
}[] = [
  {
    of: 'watering',
    pattern: RAN_OFF,
    question: 'How much was given? Say “watered 7 3 L, it ran through”.',
  },
  {
    of: 'picking',
    pattern: MOSTLY,
    question: 'How much from each? Say “1.5 kg from 7 and 500 g from 12”, or “in all” for even shares.',
  },
  {
    of: 'picking',
    pattern: TWO_KINDS,
    question: 'Two kinds: say each with its bag, as “picked 3 ripe from 7”, and then the other.',
  },
  {
    of: 'picking',
    pattern: /\b(?:nothing|none)\b/,
    question: 'Nothing picked is nothing to put down; that you looked can be a note: “note on 7: none ripe”.',
  },
  { pattern: FIGURES, question: 'Is that a day? Write its month as a word: “on 3 July”.' },
];

/**
 * What has to be asked about a deed, whatever else it says; undefined: nothing.
 *
 * @param small in small letters
 */
export function askedOf(kind: SaidKind, small: string): string | undefined {
  if (daysIn(small) > 1) return 'These are of two days: say them one after another, each with its day.';
  return ASKED.find(({ of, pattern }) => (of === undefined || of === kind) && pattern.test(small))?.question;
}
