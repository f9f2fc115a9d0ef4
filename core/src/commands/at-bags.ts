import type { Draft } from '../records/index.ts';
import { unfinished, type Command, type CommandContext, type CommandReading } from './command.ts';
import { isNamedIn, leftover, noBag } from './leftover.ts';
import { readWhen } from './when.ts';
import { readBags, type NamedBag } from './which-bags.ts';

/** Words that stand by themselves, at none of whose ends another word goes on. */
export const phrase = (source: string) => new RegExp(`(?<![\\p{L}\\d-])(?:${source})(?![\\p{L}\\d-])`, 'u');

/** What every entry at a bag has. */
export interface AtBag {
  readonly at: string;
  readonly containerId: string;
  readonly note?: string;
}

/**
 * Reads of which bags something is said, and when; what is left over becomes the note.
 *
 * @param rest in small letters, without the words that say what it is
 * @param said in small letters, with them
 * @param text as it was written
 * @param draftsOf what is put down of a bag, or why it cannot be
 */
export function readAtBags(
  kind: Command['kind'],
  { rest, said, text }: { readonly rest: string; readonly said: string; readonly text: string },
  { bags, now }: CommandContext,
  draftsOf: (base: AtBag, bag: NamedBag) => Draft | readonly Draft[] | string,
): CommandReading {
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
  const drafts: Draft[] = [];
  for (const bag of meant) {
    const { containerId } = bag;
    const made = draftsOf({ at: when.at, containerId, ...(note === undefined ? {} : { note }) }, bag);
    if (typeof made === 'string') return unfinished(made);
    drafts.push(...[made].flat());
  }
  return { kind: 'command', commands: [{ kind, drafts, bags: meant, isShared: false, note }] };
}
