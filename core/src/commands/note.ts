import type { Draft } from '../records/index.ts';
import { strangeIn } from './leftover.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { readWhen } from './when.ts';
import { readBags } from './which-bags.ts';

/** "note on 7: …", "note 7 …": the bags, and then the words as they were written. */
export function readNote(text: string, verb: string, { bags, now }: CommandContext): CommandReading {
  const verbAt = text.toLowerCase().indexOf(verb);
  const behind = text.slice(verbAt + verb.length).trim();
  const colon = behind.indexOf(':');
  const head =
    colon >= 0 ? behind.slice(0, colon) : (/^(?:on|at|for|of|bag)?\s*\S+/i.exec(behind)?.[0] ?? '');
  const when = readWhen(
    head.toLowerCase(),
    now,
    bags.all.map(({ label }) => label),
  );
  // "7 note: leaves curl"
  const before = readBags(text.slice(0, verbAt).toLowerCase(), bags);
  const isBefore = before.bags.length > 0 && strangeIn(before.rest).length === 0;
  const found = isBefore ? before : readBags(when.rest, bags);
  const isHead =
    (!isBefore && found.bags.length > 0) || (colon >= 0 && when.isSaid && strangeIn(when.rest).length === 0);
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
