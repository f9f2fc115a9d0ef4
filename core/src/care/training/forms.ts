import { RundelError } from '../../errors/index.ts';
import type { Occupant } from '../../plants/index.ts';
import type { SupportKindId, TrainingFormId } from '../../records/index.ts';
import { RULES, type TrainingRule, type TrainingTask } from './rules.ts';

/** A form that a plant is trained to, as data. To add one: its id in `records/kinds.ts` and a row here. */
export interface TrainingForm {
  readonly id: TrainingFormId;
  readonly name: string;
  readonly description: string;
  readonly rules: readonly TrainingRule[];
}

const leaderRules: readonly TrainingRule[] = [
  RULES.sideShootsOut,
  RULES.lowerLeavesOff,
  RULES.shaken('the trusses in flower'),
  RULES.firstFlowersOff(false),
  RULES.stop('Take the growing tip out'),
];

export const TRAINING_FORMS: readonly TrainingForm[] = [
  {
    id: 'one-leader',
    name: 'One leader',
    description: 'A single stem up a string or stake; every side shoot comes out.',
    rules: leaderRules,
  },
  {
    id: 'two-leaders',
    name: 'Two leaders',
    description: 'The shoot below the first truss stays and is led up as a second stem.',
    rules: [
      {
        task: 'shoot-kept',
        isUsual: true,
        what: 'Keep the shoot below the first truss',
        why: 'it is the strongest, and becomes the second leader',
        how: 'Tie it to a string or stake of its own. All others come out.',
        marks: [
          { at: 'below-first-truss', kind: 'keep' },
          { at: 'low-axil', kind: 'cut' },
          { at: 'tip', kind: 'never' },
        ],
        from: { stage: 'flowers', height: 300 },
        until: { height: 1200 },
        rhythm: { by: 'once' },
      },
      ...leaderRules,
    ],
  },
  {
    id: 'bush',
    name: 'Bush',
    description: 'Side shoots bear the crop and stay; it stops by itself.',
    rules: [RULES.touchingLeavesOff, RULES.shaken('the trusses in flower'), RULES.firstFlowersOff(false)],
  },
  {
    id: 'dwarf',
    name: 'Dwarf',
    description: 'Short and dense: hardly anything is taken off.',
    rules: [RULES.touchingLeavesOff, RULES.shaken('the whole plant')],
  },
  {
    id: 'pepper',
    name: 'Branching pepper',
    description: 'Tip out when young, so that it forks low; then it is let be.',
    rules: [
      {
        task: 'tipped',
        isUsual: true,
        what: 'Take the tip out',
        why: 'it then branches low and bears on more stems',
        how: 'Above the fifth or sixth true leaf, once. A plant that has forked by itself needs none.',
        marks: [
          { at: 'tip', kind: 'cut' },
          { at: 'fork', kind: 'never' },
        ],
        from: { height: (a) => a.tipHeight },
        until: { height: 450 },
        rhythm: { by: 'once' },
      },
      RULES.firstFlowersOff(true),
      RULES.touchingLeavesOff,
      RULES.shaken('the whole plant'),
      {
        task: 'pinched',
        isUsual: false,
        what: 'Take out shoots below the fork',
        why: 'they shade the foot and bear late',
        how: 'Those below the first fork only; above it every branch bears.',
        marks: [
          { at: 'below-fork', kind: 'cut' },
          { at: 'fork', kind: 'never' },
        ],
        from: { height: 300, days: 21 },
        rhythm: { by: 'days', days: 14 },
      },
    ],
  },
  {
    id: 'aubergine',
    name: 'Branching aubergine',
    description: 'Tip out when young; three or four stems, a few large fruits.',
    rules: [
      {
        task: 'tipped',
        isUsual: true,
        what: 'Take the tip out',
        why: 'it then makes three or four stems and not one tall one',
        how: 'At about a hand and a half, once.',
        marks: [
          { at: 'tip', kind: 'cut' },
          { at: 'fork', kind: 'never' },
        ],
        from: { height: 300 },
        until: { height: 550 },
        rhythm: { by: 'once' },
      },
      RULES.firstFlowersOff(false),
      RULES.touchingLeavesOff,
      RULES.shaken('the whole plant'),
    ],
  },
  {
    id: 'cucumber-string',
    name: 'Cucumber up a string',
    description: 'One stem to the wire; foot kept bare, side shoots short.',
    rules: [
      {
        ...RULES.sideShootsOut,
        what: 'Shorten side shoots',
        why: 'long ones make a thicket, and fruit hides in it',
        how: 'Up to knee height take them right out; above that stop each beyond its second leaf. Tendrils may go, the tip stays.',
        marks: [
          { at: 'low-axil', kind: 'cut' },
          { at: 'side-tip', kind: 'cut' },
          { at: 'tip', kind: 'never' },
        ],
        from: { height: 350, days: 10 },
      },
      {
        ...RULES.firstFlowersOff(true),
        what: 'Take flowers and fruit off the foot',
        why: 'the lowest ones hold a young plant back, and lie on the mix',
        how: 'Up to knee height; what sets above that stays.',
        until: { height: 900 },
      },
      RULES.lowerLeavesOff,
      RULES.stop('Take the tip out at the wire'),
    ],
  },
  {
    id: 'cucumber-sprawl',
    name: 'Cucumber left to sprawl',
    description: 'Over the rim or along the ground; stopped once, then left.',
    rules: [
      {
        task: 'tipped',
        isUsual: true,
        what: 'Take the tip out',
        why: 'side shoots bear more than the first stem',
        how: 'Beyond the sixth or seventh leaf, once.',
        marks: [{ at: 'tip', kind: 'cut' }],
        from: { height: 300 },
        until: { height: 900 },
        rhythm: { by: 'once' },
      },
      RULES.touchingLeavesOff,
    ],
  },
  {
    id: 'left',
    name: 'Left to itself',
    description: 'Nothing is taken off, and nothing is asked.',
    rules: [],
  },
];

/**
 * A form by its id.
 *
 * @throws RundelError for an id that is none
 */
export function trainingForm(id: TrainingFormId): TrainingForm {
  const form = TRAINING_FORMS.find((f) => f.id === id);
  if (!form) throw new RundelError('unknown-name', 'trainingFormId', id, 'the id of a form');
  return form;
}

/**
 * The form that a plant is trained to: as the grower said, by its leaders, else as its crop and growth are usually led and what
 * holds it allows.
 *
 * @param support what holds the bag's plants
 */
export function formOfPlant(
  { crop, habit, plant }: Pick<Occupant, 'crop' | 'habit' | 'plant'>,
  support: SupportKindId,
): TrainingFormId {
  if (plant.trainingFormId) return plant.trainingFormId;
  if (plant.leaders !== undefined && crop.id === 'tomato')
    return plant.leaders > 1 ? 'two-leaders' : 'one-leader';
  if (crop.id === 'pepper') return 'pepper';
  if (crop.id === 'aubergine') return 'aubergine';
  if (crop.id === 'cucumber')
    return habit.id === 'climbing' && support !== 'none' ? 'cucumber-string' : 'cucumber-sprawl';
  if (habit.id === 'tall') return 'one-leader';
  return habit.id === 'bush' ? 'bush' : 'dwarf';
}

/** How the grower's settings name a rule of a form. */
export const ruleKey = (formId: TrainingFormId, task: TrainingTask): string => `${formId} ${task}`;

/** The rules that are followed for a form: what is usual, but for what the grower does otherwise. */
export function rulesFollowed(
  form: TrainingForm,
  own: Readonly<Record<string, boolean>> | undefined,
): readonly TrainingRule[] {
  return form.rules.filter((rule) => own?.[ruleKey(form.id, rule.task)] ?? rule.isUsual);
}
