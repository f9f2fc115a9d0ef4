import type { Stage } from '../records/index.ts';
import { phrase, readAtBags } from './at-bags.ts';
import { COUNTED } from './words.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';

const SEEN = '(?:first |has |have |had |is |are |in |its )*';

/** What growers say of how far a plant is; what says more stands first. */
const SAID: readonly (readonly [Stage, RegExp])[] = [
  [
    'ripe',
    phrase(
      `${SEEN}(?:ripe (?:fruits?|ones?|tomato(?:es)?|peppers?|chill?ies|cucumbers?)|ripening)|first ripe`,
    ),
  ],
  [
    'set',
    phrase(
      `${SEEN}(?:first truss (?:has )?set|fruit (?:has )?set|set (?:its |some )?fruit|first fruits? (?:has |have )?set|set(?= ${COUNTED.source}))`,
    ),
  ],
  [
    'flowers',
    phrase(
      'first flowers?(?: open| seen| out)?|(?:is |are )?(?:in flower|flowering|in bloom|blooming)|flowers? (?:open|seen|out)|(?:has|have) flowers?|no flowers?',
    ),
  ],
  ['up', phrase('(?:has |have )?(?:come up|came up|germinated|sprouted)')],
  ['rooted', phrase('(?:has |have )?rooted|roots (?:are )?down')],
];
const NOT_YET = phrase('no|not|not yet|yet|none|nothing');

/** Whether a text without another verb says how far a plant is. */
export const isStage = (text: string): boolean => SAID.some(([, pattern]) => pattern.test(text));

/**
 * Reads a stage that was seen, or looked for and not there yet: "first flowers on 7", "12 has set fruit", "no ripe fruit on 7 yet".
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readStage(said: string, text: string, context: CommandContext): CommandReading {
  const found = SAID.find(([, pattern]) => pattern.test(said));
  if (!found) return { kind: 'other' };
  const [stage, pattern] = found;
  const isNotYet = NOT_YET.test(said);
  const parts = said.split(/[,;]|(?<!\p{L})(?:but|and|while)(?!\p{L})/u);
  if (isNotYet && parts.some((part) => pattern.test(part) && !NOT_YET.test(part)))
    return unfinished(
      'One has and another has not: say them one after another, each by its bag or its name.',
    );
  const [counted] = COUNTED.exec(said) ?? [];
  const rest = said
    .replace(pattern, ' ')
    .replace(COUNTED, ' ')
    .replace(/(?<!\p{L})(?:no|not|yet|none|nothing|seen|has|have|first)(?!\p{L})/gu, ' ');
  return readAtBags('stage', { rest, said, text }, context, (base) => ({
    kind: 'stage',
    ...base,
    ...(counted === undefined ? {} : { note: [counted, base.note].filter(Boolean).join(', ') }),
    stage,
    ...(isNotYet ? { isNotYet } : {}),
  }));
}
