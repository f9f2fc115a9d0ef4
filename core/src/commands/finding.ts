import type { EntryOf } from '../records/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { readAmounts, type SaidAmounts } from './amounts.ts';
import { without } from './leftover.ts';
import { FINGER_WORDS, LIFT_WORDS, WILTED } from './words.ts';

type Finding = { readonly check: EntryOf<'check'>['check']; readonly rest: string };

/**
 * How a check found a bag, in plain words: "barely damp", "heavy", "wilted", "14.2 kg" on a scale, "41 %" on a probe.
 *
 * @example
 * findingOf('very dry', 'metric')
 * // => { method: 'finger', grade: 1 }
 */
export function findingOf(text: string, system: UnitSystem): EntryOf<'check'>['check'] | undefined {
  const amounts = readAmounts(text.toLowerCase(), [], system);
  return 'problem' in amounts ? undefined : readFinding(amounts)?.check;
}

/** A finger does not tell "a bit dry" from "dry". */
const RATHER =
  /\b(?:a (?:little )?bit|a little|slightly|quite|rather|fairly|pretty|too|still) (?=dry|damp|moist|wet|light|heavy)/g;

const GRADE = '(?:dry|damp|moist|wet|light|crusty)';
const ON_TOP = new RegExp(
  String.raw`(?:(?:feels?|felt|is|was|a (?:little )?bit|a little|slightly|quite|rather|very|bone|dust)[ -])*${GRADE} (?:on|at) (?:the )?(?:top|surface)|(?<!\p{L})(?:the )?(?:top|surface)(?: layer)?(?: of (?:it|bag|pot))?(?: (?:is|was|feels?|felt|looks?|a bit|quite|very|bone))* ${GRADE}`,
  'u',
);
const BELOW =
  /(?<!\p{L})(?:(?:it )?(?:is |was |felt )?)(?:down )?(?:below|underneath|beneath|deeper|further down|lower down|inside|at the (?:bottom|base))(?: it)?(?: is| was| felt)?(?!\p{L})/u;

/**
 * What is said of the top of the mix, which dries first and tells little, and of what is below it; `below` is undefined where
 * nothing is. Undefined: of the top nothing is said.
 */
export function saidOfTop(
  text: string,
): { readonly top: string; readonly below: string | undefined } | undefined {
  const top = ON_TOP.exec(text)?.[0];
  if (top === undefined) return undefined;
  const rest = text.replace(top, ' ');
  const below = BELOW.test(rest)
    ? rest
        .replace(BELOW, ' ')
        .replace(/(?<!\p{L})but(?!\p{L})/gu, ' ')
        .replace(/[\s,]+/g, ' ')
        .trim()
    : undefined;
  return { top: top.trim(), below };
}

/** How a check found the bag, and the text without it. */
export function readFinding({ kilograms, percent, rest: said }: SaidAmounts): Finding | undefined {
  const rest = said.replace(RATHER, '');
  if (kilograms !== undefined) return { check: { method: 'scale', kilograms }, rest };
  if (percent !== undefined) return { check: { method: 'probe', reading: percent }, rest };
  const take = (words: readonly string[]) =>
    [...words]
      .sort((a, b) => b.length - a.length)
      .map((word) => ({ word, at: rest.search(new RegExp(`\\b${word}\\b`)) }))
      .find(({ at }) => at >= 0);
  const wilted = take(WILTED);
  if (wilted) return { check: { method: 'wilted' }, rest: without(rest, wilted.word) };
  const graded = (lists: readonly (readonly string[])[], method: 'finger' | 'lift'): Finding | undefined => {
    // "very dry" is not "dry": the longest words of all grades go first
    const all = lists.flatMap((list, i) => list.map((word) => ({ word, grade: i + 1 })));
    const found = all
      .sort((a, b) => b.word.length - a.word.length)
      .find(({ word }) => new RegExp(`(?<![\\p{L}-])${word}(?![\\p{L}-])`, 'u').test(rest));
    return found && { check: { method, grade: found.grade }, rest: without(rest, found.word) };
  };
  return graded(FINGER_WORDS, 'finger') ?? graded(LIFT_WORDS, 'lift');
}
