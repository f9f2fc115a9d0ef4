import { dayOf } from '@rundel/core/calendar';
import {
  diagnose,
  findSign,
  outcomesOf,
  troubleCases,
  withRecalled,
  type TroubleCase,
} from '@rundel/core/care';
import { bagRecord } from '@rundel/core/garden-state';
import { useDeferredValue, useMemo, useState } from 'react';
import { clockAheadHours } from '../../../store/clock-ahead.ts';
import { useGarden, type Bag } from '../../../store/index.ts';

/** What was marked so far. */
export interface Marks {
  readonly seen: readonly string[];
  readonly unseen: readonly string[];
  /** what went before, by the grower's memory */
  readonly recalled: Readonly<Record<string, boolean>>;
}

const NONE: Marks = { seen: [], unseen: [], recalled: {} };

/** What was marked at bags and not yet put in the diary, until the page is loaded again. */
const LEFT = new Map<string, Marks>();

/** What all that has been said of a case so far comes to: a later word on a sign goes before an earlier one. */
function marksOf({ entry, followUps }: TroubleCase): Marks {
  const said = new Map<string, boolean>();
  for (const e of [entry, ...followUps]) {
    for (const id of e.seen ?? []) {
      said.set(id, true);
      for (const other of findSign(id)?.excludes ?? []) said.delete(other);
    }
    for (const id of e.unseen ?? []) said.set(id, false);
  }
  const which = (isSeen: boolean) => [...said].flatMap(([id, is]) => (is === isSeen ? [id] : []));
  return { seen: which(true), unseen: which(false), recalled: entry.recalled ?? {} };
}

/**
 * An inspection of a bag: what is marked, and what is made of it with the bag's record of that day.
 *
 * @param caseId of a trouble that is looked at again: what was seen before counts as well
 */
export function useInspection(
  bag: Bag,
  caseId: string | undefined,
  plantId: string | undefined,
  onDay: string | undefined,
) {
  const { garden, live, clock } = useGarden();
  const key = `${bag.container.id} ${caseId ?? ''}`;
  const [marks, setMarks] = useState(() => LEFT.get(key) ?? NONE);
  const keep = (next: Marks) => {
    LEFT.set(key, next);
    setMarks(next);
  };
  const followed = useMemo(
    () => troubleCases(bag.container.id, live).find((t) => t.entry.caseId === caseId && caseId !== undefined),
    [bag.container.id, caseId, live],
  );
  const before = useMemo(() => (followed ? marksOf(followed) : NONE), [followed]);
  const on = onDay ?? dayOf(clock.now());
  const first = followed ? dayOf(followed.entry.at) : on;
  const record = useMemo(
    () =>
      bagRecord({
        bag,
        garden,
        live,
        on: first,
        plantId,
        clockAheadHours: clockAheadHours(`${first}T12:00:00.000${clock.now().slice(23)}`),
      }),
    [bag, clock, first, garden, live, plantId],
  );
  const outcomes = useMemo(
    () =>
      outcomesOf(
        garden.containers.map((c) => c.id),
        live,
      ),
    [garden.containers, live],
  );
  const all = useMemo((): Marks => {
    const isSaid = (id: string) => marks.seen.includes(id) || marks.unseen.includes(id);
    const isExcluded = (id: string) =>
      (findSign(id)?.excludes ?? []).some((other) => marks.seen.includes(other));
    return {
      seen: [...before.seen.filter((id) => !isSaid(id) && !isExcluded(id)), ...marks.seen],
      unseen: [...before.unseen.filter((id) => !isSaid(id)), ...marks.unseen],
      recalled: { ...before.recalled, ...marks.recalled },
    };
  }, [before, marks]);
  const asked = useDeferredValue(all);
  const diagnosis = useMemo(
    () => diagnose(asked, withRecalled(record, asked.recalled), outcomes, bag.properties.assumed),
    [asked, bag.properties.assumed, outcomes, record],
  );
  const without = (list: readonly string[], id: string) => list.filter((other) => other !== id);
  return {
    marks: all,
    /** what is new in this look */
    added: marks,
    followed,
    /** what the diary says */
    record,
    /** and with what the grower remembers */
    known: useMemo(() => withRecalled(record, all.recalled), [all.recalled, record]),
    diagnosis,
    /** says that something was so before, or was not; undefined: as the diary has it */
    recall: (id: string, was: boolean | undefined) => {
      const { [id]: _, ...rest } = marks.recalled;
      keep({ ...marks, recalled: was === undefined ? rest : { ...rest, [id]: was } });
    },
    /** marks a sign, or takes the mark off; one of an earlier look is said not to be there after all */
    toggle: (id: string) => {
      if (marks.seen.includes(id)) keep({ ...marks, seen: without(marks.seen, id) });
      else if (before.seen.includes(id) && !marks.unseen.includes(id))
        keep({ ...marks, unseen: [...marks.unseen, id] });
      else keep({ ...marks, seen: [...marks.seen, id], unseen: without(marks.unseen, id) });
    },
    /** answers the question that was asked */
    answer: (id: string, isThere: boolean) =>
      keep({
        ...marks,
        seen: isThere ? [...without(marks.seen, id), id] : without(marks.seen, id),
        unseen: isThere ? without(marks.unseen, id) : [...without(marks.unseen, id), id],
      }),
    forget: () => {
      LEFT.delete(key);
      setMarks(NONE);
    },
  };
}

export type Inspection = ReturnType<typeof useInspection>;

/** The likeliest cause, where one can be named: what a grower would enter. */
export const proposed = ({ diagnosis }: Pick<Inspection, 'diagnosis'>): string =>
  diagnosis.cannotTell ? 'unknown' : (diagnosis.ranked[0]?.id ?? 'unknown');
