import type { TendedTask } from '../records/index.ts';
import { phrase, readAtBags } from './at-bags.ts';
import type { CommandContext, CommandReading } from './command.ts';

const SHOOTS = 'side ?-?shoots?|suckers?';
const LEAVES = '(?:lower |bottom |old )?leaves';

/** What growers say of jobs at a bag; what says more stands first. */
const JOBS: readonly (readonly [TendedTask, RegExp])[] = [
  ['unfleeced', phrase('(?:took |taken )?(?:the )?fleece (?:off|away)|unfleeced|uncovered')],
  ['fleeced', phrase('(?:put )?(?:the )?fleece (?:on|over)|fleeced|covered(?: with fleece)?')],
  ['unshaded', phrase('(?:took |taken )?(?:the )?shade (?:off|away)|unshaded')],
  ['shaded', phrase('(?:put )?(?:the )?shade on|shaded')],
  [
    'pinched',
    phrase(
      `(?:pinched|took|taken|cut|broke|removed|pulled) (?:out |off )?(?:the |all )?(?:${SHOOTS})(?: out| off)?|no (?:${SHOOTS})|(?:${SHOOTS}) (?:out|off)|(?:de)?suckered|side-?shooted|pinched(?: out)?|nothing to pinch(?: out)?`,
    ),
  ],
  [
    'leaves-off',
    phrase(
      `(?:took |cut |stripped )?(?:off )?(?:the )?${LEAVES} off|(?:took|cut) off (?:the )?${LEAVES}|(?:removed|stripped) (?:the )?${LEAVES}|deleafed`,
    ),
  ],
  ['flowers-off', phrase('(?:took |pinched )?(?:the )?(?:first )?flowers off')],
  ['stopped', phrase('stopped|topped(?! up)')],
  ['tipped', phrase('tipped|tip out')],
  ['shaken', phrase('(?:shook|shaken|tapped)(?: the)?(?: flowers| trusses)?')],
  ['wound', phrase('wound(?: round| up)?|twisted(?: round| up)?|nothing to wind')],
  ['tied', phrase('tied(?: in| up)?|nothing to tie(?: in)?')],
  ['tucked', phrase('tucked(?: in)?|nothing to tuck(?: in)?')],
];
/** A number of trusses or leaves is no bag. */
const PARTS =
  /\b((?:at|above|after|over)? ?(?:the )?\d+(?:st|nd|rd|th)? (?:truss(?:es)?|leaf|leaves|nodes?|flowers?))\b/;
const NOTHING = phrase('no|nothing to|none');

/** Whether a text without another verb says that a job was done. */
export const isTended = (text: string): boolean => JOBS.some(([, pattern]) => pattern.test(text));

/**
 * Reads a job that was done at bags: "tied 3 and 4", "side shoots off 7 yesterday", "fleece on all", "no side shoots on 3".
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readTended(said: string, text: string, context: CommandContext): CommandReading {
  const found = JOBS.find(([, pattern]) => pattern.test(said));
  if (!found) return { kind: 'other' };
  const [task, pattern] = found;
  const isNothingThere = NOTHING.test(said);
  const [, parts] = PARTS.exec(said) ?? [];
  const rest = said
    .replace(pattern, ' ')
    .replace(isNothingThere ? NOTHING : /^$/, ' ')
    .replace(PARTS, ' ');
  return readAtBags('tended', { rest, said, text }, context, (base) => ({
    kind: 'tended',
    ...base,
    ...(parts === undefined ? {} : { note: [parts, base.note].filter(Boolean).join(', ') }),
    task,
    ...(isNothingThere ? { isNothingThere } : {}),
  }));
}
