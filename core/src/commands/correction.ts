import type { Draft, Entry } from '../records/index.ts';

/** "actually 2 was moist": what was put down before was wrong. */
const CORRECTS =
  /^(?:(?:actually|correction|sorry|oops|i meant|i mean)(?:[,:!]+| )|no[,:] ?)\s*(?:(?:it|that) was |make that |rather )?/i;

/** What a line says in place of what was put down before; undefined: it says no such thing. */
export function saidInstead(line: string): string | undefined {
  const [words] = CORRECTS.exec(line) ?? [];
  return words === undefined ? undefined : line.slice(words.length);
}

const DAY_MS = 86_400_000;
/** So far back something is put right without a word of when it was, and so far from when it is said to have been, days. */
const WITHIN_DAYS = { untimed: 14, timed: 1.5 };

/** What these say stands in a bag's record too, or decides what stands in it. */
const ALSO_A_RECORD: readonly Draft['kind'][] = ['moved', 'cleared'];

/** What an entry has beside what it says: it stays when that is put right. */
const BESIDE = ['note', 'who', 'photoIds', 'caseId', 'stationId', 'plantId'] as const;

/**
 * Entries in place of the last ones of their kind at the same bags. Where it is not said when it was, it was when those were.
 *
 * @param drafts as they were said
 * @param live the entries that count, oldest first
 * @param now at which drafts stand of which nothing else was said
 */
export function inPlaceOfLast(
  drafts: readonly Draft[],
  live: readonly Entry[],
  now: string,
): { readonly drafts: readonly Draft[]; readonly before: readonly Entry[] } | { readonly problem: string } {
  const before: Entry[] = [];
  const made: Draft[] = [];
  for (const draft of drafts) {
    const isTimed = draft.at !== now;
    const within = (isTimed ? WITHIN_DAYS.timed : WITHIN_DAYS.untimed) * DAY_MS;
    const last = live.findLast(
      (e) => isOfSame(e, draft) && Math.abs(Date.parse(e.at) - Date.parse(draft.at)) <= within,
    );
    if (!last || before.includes(last) || ALSO_A_RECORD.includes(draft.kind))
      return {
        problem:
          'Nothing of the kind was put down there lately that this could put right. In a bag’s diary each entry has “Correct”.',
      };
    before.push(last);
    const kept = Object.fromEntries(
      BESIDE.flatMap((field) => (field in last ? [[field, last[field as keyof Entry]]] : [])),
    );
    made.push({ ...kept, ...draft, at: isTimed ? draft.at : last.at, replaces: last.id } as Draft);
  }
  return { drafts: made, before };
}

function isOfSame(entry: Entry, draft: Draft): boolean {
  if (entry.kind !== draft.kind) return false;
  if (entry.kind === 'weather' && draft.kind === 'weather') return entry.day === draft.day;
  // what was wrong of a stage or a job is when, or whether, and not which
  if (entry.kind === 'stage' && draft.kind === 'stage' && entry.stage !== draft.stage) return false;
  if (entry.kind === 'tended' && draft.kind === 'tended' && entry.task !== draft.task) return false;
  const of = (each: object, field: string) => (each as Readonly<Record<string, unknown>>)[field];
  // of one plant it is that plant's, else the bag's
  return ['containerId', 'plantId', 'stationId'].every(
    (field) => of(draft, field) === undefined || of(draft, field) === of(entry, field),
  );
}
