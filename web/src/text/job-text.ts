import { clearingOf, ruleOf, type BagJob, type PlantAt } from '@rundel/core/garden-state';
import { bareStem } from '@rundel/core/care';
import { daysBetween } from '@rundel/core/calendar';
import type { Draft, EntryOf, Plan } from '@rundel/core/records';
import { cropOf, supportOf } from '@rundel/core/plants';
import type { Bag, RecordChange, UnitFormat } from '../store/index.ts';
import { plantWords } from './plant-text.ts';
import { agentName, causeName } from './trouble-text.ts';
import { shortDay } from './text.ts';

const TENDING = {
  wound: 'Wind it round its string',
  tied: 'Tie it in',
  tucked: 'Tuck its branches inside',
} as const;

/** What is to be done and why, in a sentence each. */
export function jobWords(
  task: BagJob,
  bag: Bag,
  unitFormat: UnitFormat,
): { readonly what: string; readonly why: string } {
  switch (task.kind) {
    case 'tend': {
      const last = { done: 'last done', support: 'its support went up', planting: 'planted' }[task.since];
      const grown =
        task.grownMillimetres >= 20
          ? `about ${unitFormat.show(task.grownMillimetres, 'height')} of new growth since ${shortDay(task.lastOn)}`
          : `${last} ${shortDay(task.lastOn)}`;
      return {
        what: TENDING[task.task] + whose(task.plants, bag),
        why: `${grown}; every ${task.everyDays} days now${task.isHeldForCold ? '; tonight is cold, so tomorrow' : ''}`,
      };
    }
    case 'top-up':
      return {
        what: `Top up with ${unitFormat.show(task.topUp.litres, 'bag')} of mix`,
        why: `to ${unitFormat.show(task.topUp.toMillimetres, 'depth')}, once it stands well above that; by its growth between ${shortDay(task.earliestOn)} and later`,
      };
    case 'support':
      return {
        what: `Put up: ${supportOf(bag.container.support.kind).name.toLowerCase()}`,
        why: `by ${shortDay(task.latestOn)}; a short stick against wind meanwhile`,
      };
    case 'fleece':
      return {
        what: 'Fleece over it tonight',
        why: `${unitFormat.show(task.minCelsius, 'temperature')} is expected${task.nights > 1 ? `, ${task.nights} nights in a row` : ''}; weigh its edges down, keep it off the tips with a cane or two, and water in the morning, not tonight`,
      };
    case 'unfleece':
      return {
        what: 'Take the fleece off',
        why: 'no cold night follows, and under it plants cook in the sun',
      };
    case 'unshade':
      return { what: 'Take the shade off', why: 'it has had its day' };
    case 'train': {
      const rule = ruleOf(task);
      const upTo =
        task.task === 'leaves-off' && rule?.rhythm.by === 'growth'
          ? `, up to ${unitFormat.show(bareStem(task.heightMillimetres), 'depth')}`
          : '';
      const last = task.lastOn ? `; last done ${shortDay(task.lastOn)}` : '';
      const every = task.everyDays && task.lastOn ? `, every ${task.everyDays} days now` : '';
      const hours = rule?.hours ? `; best between ${rule.hours.from} and ${rule.hours.to} o’clock` : '';
      const asks = task.waitsFor ? '; by its kind it flowers about now' : '';
      return {
        what: `${rule?.what ?? 'Train it'}${upTo}${whose(task.plants, bag)}`,
        why: `${rule?.why ?? ''}${hours}${last}${every}${asks}`,
      };
    }
    case 'look-again':
      return {
        what: `Look again: ${causeName(task.what)}`,
        why: `seen on ${shortDay(task.since)}; new leaves tell most`,
      };
    case 'test-leaf':
      return {
        what: `Look at the test leaf: ${agentName(task)}`,
        why: 'without marks after two days, the whole plant may have it',
      };
    case 'spray':
      return {
        what: `${task.agent === 'bait' ? 'Put out' : 'Spray'}: ${agentName(task)}`,
        why: task.isAgain
          ? 'its label wants it again; at evening, early morning or on a dull day'
          : 'the test leaf is unmarked; at evening, early morning or on a dull day',
      };
    case 'holes':
      return {
        what: 'Make holes for the water',
        why: `nothing drains from it yet, and roots drown. ${bag.properties.kind.drainage.description.replace(/\.$/, '')}`,
      };
    case 'thin':
      return {
        what: `Thin to the best one${whose(task.plants, bag)}`,
        why: `${task.seeds} seeds went into each place; snip the others off, or part them and give them away`,
      };
    case 'clear':
      return {
        what: `Clear out: ${bag.name}`,
        why: `${plannedName(task.plan)} is to go in on ${shortDay(task.plan.plantOn)}`,
      };
    case 'plant':
      return {
        what: `${task.plan.isSown ? 'Sow' : 'Plant'}: ${plannedName(task.plan)}`,
        why: task.plan.isRelay
          ? `planned for ${shortDay(task.plan.plantOn)}, between what stands there`
          : `planned for ${shortDay(task.plan.plantOn)}`,
      };
  }
}

/** What is planned, as the grower calls it. */
const plannedName = ({ plantName, varietyName, cropId }: Plan): string =>
  plantName ?? varietyName ?? cropOf(cropId).name;

/** Which of the bag's plants a job is for, unless it is for all of them. */
const whose = (plants: readonly PlantAt[], { occupants }: Bag) =>
  plants.length === 0 ? '' : `: ${plants.map((p) => plantWords(p.stationId, occupants)).join(', ')}`;

/** Tells a bag's jobs apart: winding may be due for one plant today and for another in three days. */
export const jobKey = (task: BagJob): string =>
  [
    task.kind,
    'task' in task ? task.task : '',
    'caseId' in task ? task.caseId : '',
    ...('plants' in task ? task.plants.map((p) => p.plantId) : []),
  ].join(' ');

/** What kind of job it is, whichever bag it is at. */
export function jobGroupWords(task: BagJob): string {
  switch (task.kind) {
    case 'tend':
      return TENDING[task.task];
    case 'top-up':
      return 'Top up with mix';
    case 'support':
      return 'Put up supports';
    case 'fleece':
      return 'Fleece over it tonight';
    case 'unfleece':
      return 'Take the fleece off';
    case 'unshade':
      return 'Take the shade off';
    case 'train':
      return ruleOf(task)?.what ?? 'Training';
    case 'look-again':
      return 'Look again at what was seen';
    case 'test-leaf':
      return 'Look at the test leaf';
    case 'spray':
      return 'Spray';
    case 'holes':
      return 'Make holes for the water';
    case 'thin':
      return 'Thin to the best one';
    case 'clear':
      return 'Clear out for what is planned';
    case 'plant':
      return 'Plant what is planned';
  }
}

/** The entries that a task leaves when it is done: one, or one for each plant that it was for. */
export function taskDone(task: BagJob, bag: Bag, now: string): readonly Draft[] {
  const here = { at: now, containerId: bag.container.id };
  const tended = (work: EntryOf<'tended'>['task'], plants: readonly PlantAt[] = []): readonly Draft[] =>
    (plants.length > 0 ? plants : [{}]).map((plant) => ({ kind: 'tended', ...here, ...plant, task: work }));
  switch (task.kind) {
    case 'tend':
      return tended(task.task, task.plants);
    case 'top-up':
      return [
        {
          kind: 'topped-up',
          ...here,
          litres: task.topUp.litres,
          levelMillimetres: task.topUp.toMillimetres,
        },
      ];
    case 'support': {
      const { kind, heightMillimetres } = bag.container.support;
      return [{ kind: 'supported', ...here, supportId: kind, heightMillimetres }];
    }
    case 'fleece':
      return tended('fleeced');
    case 'unfleece':
      return tended('unfleeced');
    case 'unshade':
      return tended('unshaded');
    case 'holes':
      return tended('holed');
    case 'thin':
      return tended('parted', task.plants);
    case 'clear':
      return clearingOf(bag.container.id, bag.occupants, now);
    case 'train':
      return tended(task.task, task.plants);
    case 'plant':
    case 'look-again':
    case 'test-leaf':
    case 'spray':
      // by a form or a session of its own, which asks what came of it
      return [];
  }
}

/** What a task that is done changes of the bag itself: one with holes drains from then on. */
export function taskChanges(task: BagJob, { container }: Bag, now: string): readonly RecordChange[] {
  if (task.kind !== 'holes') return [];
  const { hasNoHoles: _, ...rest } = container;
  return [{ table: 'containers', before: container, after: { ...rest, changedAt: now } }];
}

/** Training that was looked at and not needed: it counts as done until it would come again. */
export function nothingThere(
  task: Extract<BagJob, { kind: 'train' }>,
  bag: Bag,
  now: string,
): readonly Draft[] {
  return taskDone(task, bag, now).map((draft) => ({ ...draft, isNothingThere: true }) as Draft);
}

/** Whether a job is told of by a form of its own, and not by one tap. */
export const asksMore = (task: BagJob): boolean =>
  task.kind === 'plant' || task.kind === 'look-again' || task.kind === 'test-leaf' || task.kind === 'spray';

/** Whether a task is due on a day. */
export function isDue(task: BagJob, today: string): boolean {
  return daysBetween(task.dueOn, today) >= 0;
}
