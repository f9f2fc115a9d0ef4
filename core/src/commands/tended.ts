import type { TendedTask } from '../records/index.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { isNamedIn, leftover, noBag } from './leftover.ts';
import { readWhen } from './when.ts';
import { readBags } from './which-bags.ts';

const phrase = (source: string) => new RegExp(`(?<![\\p{L}\\d-])(?:${source})(?![\\p{L}\\d-])`, 'u');
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
      `(?:pinched|took|taken|cut|broke) (?:out |off )?(?:the |all )?(?:${SHOOTS})(?: out| off)?|(?:no )?(?:${SHOOTS})(?: out| off)?|(?:de)?suckered|pinched(?: out)?|nothing to pinch(?: out)?`,
    ),
  ],
  [
    'leaves-off',
    phrase(
      `(?:took |cut |stripped )?(?:off )?(?:the )?${LEAVES} off|(?:took|cut) off (?:the )?${LEAVES}|deleafed`,
    ),
  ],
  ['flowers-off', phrase('(?:took |pinched )?(?:the )?(?:first )?flowers off')],
  ['stopped', phrase('stopped|topped')],
  ['tipped', phrase('tipped|tip out')],
  ['shaken', phrase('(?:shook|shaken|tapped)(?: the)?(?: flowers| trusses)?')],
  ['wound', phrase('wound(?: round| up)?|twisted(?: round| up)?|nothing to wind')],
  ['tied', phrase('tied(?: in| up)?|nothing to tie(?: in)?')],
  ['tucked', phrase('tucked(?: in)?|nothing to tuck(?: in)?')],
];
const NOTHING = phrase('no|nothing to|none');

/** Whether a text without another verb says that a job was done. */
export const isTended = (text: string): boolean => JOBS.some(([, pattern]) => pattern.test(text));

/**
 * Reads a job that was done at bags: "tied 3 and 4", "side shoots off 7 yesterday", "fleece on all", "no side shoots on 3".
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readTended(said: string, text: string, { bags, now }: CommandContext): CommandReading {
  const found = JOBS.find(([, pattern]) => pattern.test(said));
  if (!found) return { kind: 'other' };
  const [task, pattern] = found;
  const isNothingThere = NOTHING.test(said);
  const rest = said.replace(pattern, ' ').replace(isNothingThere ? NOTHING : /^$/, ' ');
  const when = readWhen(
    rest,
    now,
    bags.all.map(({ label }) => label),
  );
  const named = readBags(when.rest, bags, said);
  const isOnlyOne = bags.all.length === 1 && !isNamedIn(named.rest, said);
  const meant = named.bags.length === 0 && isOnlyOne ? bags.all : named.bags;
  if (meant.length === 0) return unfinished(noBag(named.rest, bags.all));
  const note = leftover(named.rest, text);
  return {
    kind: 'command',
    commands: [
      {
        kind: 'tended',
        drafts: meant.map(({ containerId }) => ({
          kind: 'tended',
          at: when.at,
          containerId,
          task,
          ...(isNothingThere ? { isNothingThere } : {}),
          ...(note === undefined ? {} : { note }),
        })),
        bags: meant,
        isShared: false,
        note,
      },
    ],
  };
}
