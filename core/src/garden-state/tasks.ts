import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import { entriesAt, type Entry, type Container, type Settings } from '../records/index.ts';
import { plantingMethodOf, type TopUp } from '../planting/index.ts';
import { SUPPORT_PRACTICES, supportOf, tendingDue, type Tending, type Occupant } from '../plants/index.ts';
import type { BagBody } from './body.ts';
import { growthOf, levelOf } from './growth.ts';
import { plantingTaskOf } from './planting-site.ts';

/** Handwork that is due at a bag, or will be. */
export type BagTask =
  | {
      readonly kind: 'tend';
      readonly task: Tending;
      readonly dueOn: Day;
      readonly everyDays: number;
      readonly lastOn: Day;
      readonly grownMillimetres: number;
    }
  | { readonly kind: 'top-up'; readonly dueOn: Day; readonly earliestOn: Day; readonly topUp: TopUp }
  | { readonly kind: 'support'; readonly dueOn: Day; readonly latestOn: Day }
  | { readonly kind: 'unshade'; readonly dueOn: Day };

/** The last answer for each bag's entries, by what else it was worked out from: every screen of a round asks. */
const known = new WeakMap<
  readonly Entry[],
  { readonly from: readonly unknown[]; readonly tasks: readonly BagTask[] }
>();

/**
 * What a bag's planting, growth and support ask for, by its diary, the most urgent first: winding and tying by growth, the
 * next top-up when the plant is tall enough, the support that was to come later, the shade that goes off again.
 *
 * @param occupants who stand in it now
 * @param live the garden's live entries, oldest first
 */
export function tasksOf(
  container: Container,
  body: BagBody,
  occupants: readonly Occupant[],
  live: readonly Entry[],
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions' | 'supportPracticeId'>,
  today: Day,
): readonly BagTask[] {
  const all = entriesAt(live, container.id);
  const from = [container, body, settings, today, ...occupants.flatMap((o) => [o.planted, o.variety])];
  const last = known.get(all);
  if (last && last.from.length === from.length && last.from.every((part, i) => part === from[i]))
    return last.tasks;
  const tasks = workedOut(container, body, occupants, all, settings, today);
  known.set(all, { from, tasks });
  return tasks;
}

function workedOut(
  ...[container, body, occupants, live, settings, today]: Parameters<typeof tasksOf>
): readonly BagTask[] {
  const eldest = occupants[0];
  if (!eldest) return [];
  const here = live.filter((e) => dayOf(e.at) <= today);
  const tasks: BagTask[] = [];
  const supported = here.findLast(
    (e) => e.kind === 'supported' && e.supportId !== 'triangle' && dayOf(e.at) >= eldest.plantedOn,
  );
  const support = supportOf(container.support.kind);
  const growth = growthOf(eldest, body, live, settings);
  const last = here.findLast((e) => e.kind === 'tended' && e.task === support.kept);
  const lastOn = last ? dayOf(last.at) : eldest.plantedOn;
  const due = tendingDue(
    support,
    growth.belief,
    eldest.plantedOn,
    lastOn < eldest.plantedOn ? eldest.plantedOn : lastOn,
    container.support.heightMillimetres -
      (body.real.under?.heightMillimetres ?? 0) -
      body.fill.mixMillimetres,
    today,
    body.assumed,
  );
  if (due) tasks.push({ kind: 'tend', ...due, lastOn });
  const practice = SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId);
  if (practice && practice.fromDays > 0 && support.id !== 'none' && !supported) {
    const dueOn = addDays(eldest.plantedOn, practice.fromDays);
    tasks.push({ kind: 'support', dueOn, latestOn: addDays(eldest.plantedOn, practice.toDays) });
  }
  const topUp = nextTopUp(container, body, occupants, live, settings);
  if (topUp) tasks.push(topUp);
  const shade = here.findLast((e) => e.kind === 'tended' && (e.task === 'shaded' || e.task === 'unshaded'));
  if (shade?.kind === 'tended' && shade.task === 'shaded')
    tasks.push({ kind: 'unshade', dueOn: addDays(dayOf(shade.at), 1) });
  return tasks.sort((a, b) => daysBetween(b.dueOn, a.dueOn));
}

/** The next mix to add to a bag that was planted low. */
function nextTopUp(
  container: Container,
  body: BagBody,
  occupants: readonly Occupant[],
  live: readonly Entry[],
  settings: Pick<Settings, 'depthPracticeId'>,
): BagTask | undefined {
  const low = occupants.find((o) => o.planted.plantingMethodId === 'low-start' || o.planted.plantingMethodId === 'ring');
  if (!low?.planted.plantingMethodId) return undefined;
  const practiceId = low.planted.practiceId ?? settings.depthPracticeId;
  const task = plantingTaskOf(
    body,
    container.stations.length,
    practiceId,
    low.crop,
    low.habit,
    low.planted.seedling,
  );
  const outcome = plantingMethodOf(low.planted.plantingMethodId).plan(task);
  if (outcome.kind !== 'planned') return undefined;
  const level = levelOf(body, occupants, live);
  const topUp = outcome.plan.topUps.find((t) => t.toMillimetres > level + 1);
  if (topUp?.when.kind !== 'reaches') return undefined;
  return {
    kind: 'top-up',
    dueOn: addDays(low.plantedOn, Math.round(topUp.when.likely)),
    earliestOn: addDays(low.plantedOn, Math.floor(topUp.when.low)),
    topUp,
  };
}
