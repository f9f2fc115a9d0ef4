import { addDays, dayOf, type Day } from '../calendar/index.ts';
import type { Assumed } from '../assumed/index.ts';
import type { Entry, EntryOf } from '../records/index.ts';
import type { BagJob } from './jobs.ts';

/** A case's last word on when it is looked at again. */
type InCase = EntryOf<'trouble'> | EntryOf<'followed-up'> | EntryOf<'sprayed'>;

/** Trouble that nobody said a day for is looked at again after so many days. */
const LOOK_AGAIN_DAYS = 7;

/**
 * What follows from trouble that was seen and from what was sprayed: trouble looked at again, the leaf on which a spray was tried,
 * the spray that its label wants repeated.
 *
 * @param here the bag's live entries that are not ahead of today, oldest first
 */
export function careJobs(
  here: readonly Entry[],
  assumed: Pick<Assumed, 'testLeafHours'>,
  since: Day,
): readonly BagJob[] {
  const cases = new Map<string, InCase[]>();
  for (const e of here) {
    if (e.kind !== 'trouble' && e.kind !== 'followed-up' && e.kind !== 'sprayed') continue;
    const id = e.caseId;
    if (id === undefined || dayOf(e.at) < since) continue;
    const known = cases.get(id);
    if (known) known.push(e);
    else cases.set(id, [e]);
  }
  return [...cases].flatMap(([caseId, entries]): readonly BagJob[] => {
    const [first] = entries;
    const last = entries.at(-1);
    if (!first || !last) return [];
    if (first.kind === 'trouble') {
      if (last.kind === 'followed-up' && last.outcome === 'over') return [];
      const said = last.kind === 'sprayed' ? undefined : last.checkOn;
      const dueOn = said ?? addDays(dayOf(last.at), LOOK_AGAIN_DAYS);
      return [{ kind: 'look-again', caseId, what: first.what, since: dayOf(first.at), dueOn }];
    }
    const spray = entries.findLast((e): e is EntryOf<'sprayed'> => e.kind === 'sprayed');
    return spray ? sprayJobs(caseId, spray, last, assumed) : [];
  });
}

function sprayJobs(
  caseId: string,
  spray: EntryOf<'sprayed'>,
  last: InCase,
  { testLeafHours }: Pick<Assumed, 'testLeafHours'>,
): readonly BagJob[] {
  const { agent, name } = spray;
  const isLookedAt = last !== spray;
  if (spray.extent === 'test-leaf') {
    if (!isLookedAt) {
      const dueOn = addDays(dayOf(spray.at), Math.ceil(testLeafHours / 24));
      return [{ kind: 'test-leaf', caseId, agent, name, dueOn }];
    }
    const isClean = last.kind === 'followed-up' && last.outcome === 'leaf-clean';
    return isClean ? [{ kind: 'spray', caseId, agent, name, dueOn: dayOf(last.at), isAgain: false }] : [];
  }
  if (spray.repeatDays === undefined || (last.kind === 'followed-up' && last.outcome === 'over')) return [];
  return [
    { kind: 'spray', caseId, agent, name, dueOn: addDays(dayOf(spray.at), spray.repeatDays), isAgain: true },
  ];
}

/** The day from which fruit may be picked again after what was sprayed, by its label; undefined: nothing holds it back. */
export function harvestHeldUntil(
  here: readonly Entry[],
  today: Day,
): { readonly until: Day; readonly spray: EntryOf<'sprayed'> } | undefined {
  let held: { until: Day; spray: EntryOf<'sprayed'> } | undefined;
  for (const e of here) {
    // what one leaf had does not come near the fruit
    if (e.kind !== 'sprayed' || e.extent !== 'whole' || !e.harvestDays || dayOf(e.at) > today) continue;
    const until = addDays(dayOf(e.at), e.harvestDays);
    if (until > today && (!held || until > held.until)) held = { until, spray: e };
  }
  return held;
}
