import type { Draft } from '../records/index.ts';
import { strangeIn } from './leftover.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { readWhen } from './when.ts';
import { readBags } from './which-bags.ts';

/** "note on 7: …", "note 7 …": the bags, and then the words as they were written. */
export function readNote(text: string, verb: string, { bags, now }: CommandContext): CommandReading {
  const behind = text.slice(text.toLowerCase().indexOf(verb) + verb.length).trim();
  const colon = behind.indexOf(':');
  const head =
    colon >= 0 ? behind.slice(0, colon) : (/^(?:on|at|for|of|bag)?\s*\S+/i.exec(behind)?.[0] ?? '');
  const when = readWhen(
    head.toLowerCase(),
    now,
    bags.all.map(({ label }) => label),
  );
  const found = readBags(when.rest, bags);
  const isHead = found.bags.length > 0 || (colon >= 0 && when.isSaid && strangeIn(when.rest).length === 0);
  const at = isHead ? when.at : now;
  const words = (isHead ? behind.slice(colon >= 0 ? colon + 1 : head.length) : behind)
    .replace(/^\s*:/, '')
    .trim();
  if (words === '') return unfinished('What is the note? Write it behind a colon: “note on 7: leaves curl”.');
  if (words.length > 2000) return unfinished('A note has at most 2000 letters.');
  const drafts: Draft[] =
    found.bags.length > 0
      ? found.bags.map(({ containerId }) => ({ kind: 'note', at, containerId, text: words }))
      : [{ kind: 'note', at, text: words }];
  return {
    kind: 'command',
    commands: [{ kind: 'note', drafts, bags: found.bags, isShared: false, note: undefined }],
  };
}
