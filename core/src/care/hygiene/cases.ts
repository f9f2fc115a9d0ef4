import { dayOf, type Day } from '../../calendar/index.ts';
import { entriesAt, type Entry, type EntryOf } from '../../records/index.ts';
import { findCause } from '../trouble/causes/index.ts';
import type { Outcomes } from '../trouble/network.ts';

/** A trouble with all that was seen of it since. */
export interface TroubleCase {
  readonly entry: EntryOf<'trouble'>;
  readonly followUps: readonly EntryOf<'followed-up'>[];
  /** what it is taken for by the last word on it */
  readonly what: string;
  readonly isOver: boolean;
  readonly livesInMix: boolean;
  readonly lastOn: Day;
}

/**
 * The troubles of a bag, oldest first, each with what was seen of it since. The last word on what it was counts: what turned out
 * to be cold does not live on in the mix, whatever it was taken for.
 *
 * @param live the garden's live entries
 */
export function troubleCases(containerId: string, live: readonly Entry[]): readonly TroubleCase[] {
  const here = entriesAt(live, containerId);
  return here.flatMap((entry): readonly TroubleCase[] => {
    if (entry.kind !== 'trouble') return [];
    const followUps = here.filter(
      (e): e is EntryOf<'followed-up'> =>
        e.kind === 'followed-up' && e.caseId === entry.caseId && entry.caseId !== undefined,
    );
    const last = followUps.at(-1);
    const named = followUps.findLast((e) => e.what !== undefined)?.what;
    const cause = named === undefined ? undefined : findCause(named);
    return [
      {
        entry,
        followUps,
        what: named ?? entry.what,
        isOver: last?.outcome === 'over',
        livesInMix: cause ? cause.livesInMix : entry.livesInMix,
        lastOn: dayOf((last ?? entry).at),
      },
    ];
  });
}

/** Whether a trouble goes on to other plants: by its cause, where that is known. */
export const spreads = ({ what }: Pick<TroubleCase, 'what'>): boolean => findCause(what)?.spreads ?? false;

/**
 * How often each cause turned out to be the one in a garden: cases that were followed to their end, or that the grower named
 * when looking again.
 */
export function outcomesOf(containerIds: readonly string[], live: readonly Entry[]): Outcomes {
  const outcomes: Record<string, number> = {};
  for (const id of containerIds)
    for (const { what, isOver, followUps } of troubleCases(id, live)) {
      const isNamed = followUps.some((e) => e.what !== undefined);
      if ((isOver || isNamed) && findCause(what)) outcomes[what] = (outcomes[what] ?? 0) + 1;
    }
  return outcomes;
}
