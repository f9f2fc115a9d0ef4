import type { Assumed } from '../../assumed/index.ts';
import type { Stage, TendedTask } from '../../records/index.ts';

/** Training that is done with fingers or snips at the plant itself. */
export type TrainingTask = Extract<
  TendedTask,
  'pinched' | 'shoot-kept' | 'leaves-off' | 'flowers-off' | 'tipped' | 'stopped' | 'shaken'
>;

/** A place on a plant, as its drawing has it. */
export type CutAt =
  | 'axil'
  | 'low-axil'
  | 'tip'
  | 'low-leaf'
  | 'truss'
  | 'below-first-truss'
  | 'first-flower'
  | 'fork'
  | 'below-fork'
  | 'flower'
  | 'side-tip';

/** A mark in the drawing: pinch here, never here, this one stays. */
export interface CutMark {
  readonly at: CutAt;
  readonly kind: 'cut' | 'never' | 'keep' | 'shake';
}

/** A length or a time: a figure of the form's own, or one of the assumed table that the grower may change. */
export type Figure = number | ((assumed: Assumed) => number);

/** One rule of training, as data. Heights in mm above the mix, times in days since planting. */
export interface TrainingRule {
  readonly task: TrainingTask;
  /** what most growers do; the others are one practice, done where the grower asks for it */
  readonly isUsual: boolean;
  /** what is done, as one would say it, and why */
  readonly what: string;
  readonly why: string;
  /** how, and what must stay */
  readonly how: string;
  readonly marks: readonly CutMark[];
  /** it begins once all of these are reached */
  readonly from: { readonly days?: Figure; readonly height?: Figure; readonly stage?: Stage };
  /** it ends once all of these are reached; left out: with the plant */
  readonly until?: { readonly days?: Figure; readonly height?: Figure; readonly stage?: Stage };
  /** done once; or again after so much growth, within so many days; or every so many days */
  readonly rhythm:
    | { readonly by: 'once' }
    | {
        readonly by: 'growth';
        readonly millimetres: Figure;
        readonly leastDays: number;
        readonly mostDays: number;
      }
    | { readonly by: 'days'; readonly days: Figure };
  /** under a roof alone: outdoors the wind does it */
  readonly isUnderCover?: boolean;
  /** it is for flowers whose fruit still ripens before frost, and ends with them */
  readonly isForFruit?: boolean;
  /** it is due no later than so long before the first frost, and when the plant is at the top of what holds it */
  readonly isLast?: boolean;
  /** hours of the day at which it is best done */
  readonly hours?: { readonly from: number; readonly to: number };
}

/** Shaking, of every crop whose flowers hang: pollen is loose from late morning on, once it is dry. */
const shaken = (flowers: string): TrainingRule => ({
  task: 'shaken',
  isUsual: true,
  what: `Tap or shake ${flowers}`,
  why: 'under a roof no wind does it, and flowers drop unset',
  how: 'Tap the truss or the string about noon, when flowers are dry. Below {13 °C} or above {32 °C} it gains nothing.',
  marks: [{ at: 'flower', kind: 'shake' }],
  from: { stage: 'flowers' },
  until: { stage: 'last-flush' },
  rhythm: { by: 'days', days: (a) => a.shakeEvery },
  isUnderCover: true,
  isForFruit: true,
  hours: { from: 10, to: 15 },
});

const firstFlowersOff = (isUsual: boolean): TrainingRule => ({
  task: 'flowers-off',
  isUsual,
  what: 'Take the first flowers off',
  why: 'it is still small and young, and leaf and root come before fruit',
  how: 'Pinch the flower and leave its stalk. Not once it is both tall and old enough: then they stay.',
  marks: [
    { at: 'first-flower', kind: 'cut' },
    { at: 'tip', kind: 'never' },
  ],
  from: { stage: 'flowers' },
  until: { height: (a) => a.flowersOffHeight, days: (a) => a.flowersOffDays },
  rhythm: { by: 'days', days: 5 },
});

const touchingLeavesOff: TrainingRule = {
  task: 'leaves-off',
  isUsual: true,
  what: 'Take off leaves that touch the mix',
  why: 'wet leaf on wet mix is where rot begins',
  how: 'Only those that lie on it; all others feed the fruit. Dry day, clean snips, morning.',
  marks: [
    { at: 'low-leaf', kind: 'cut' },
    { at: 'axil', kind: 'never' },
  ],
  from: { height: 250, days: 14 },
  rhythm: { by: 'days', days: 21 },
};

const lowerLeavesOff: TrainingRule = {
  task: 'leaves-off',
  isUsual: true,
  what: 'Take lower leaves off',
  why: 'air under the plant keeps splash and mould off; the higher it stands, the more may go',
  how: 'At most two or three at a time, never above a truss that is still filling. Dry day, clean snips, morning.',
  marks: [
    { at: 'low-leaf', kind: 'cut' },
    { at: 'truss', kind: 'never' },
  ],
  from: { height: 600, days: 21 },
  rhythm: { by: 'growth', millimetres: (a) => a.lowerLeafGrowth, leastDays: 7, mostDays: 21 },
};

const sideShootsOut: TrainingRule = {
  task: 'pinched',
  isUsual: true,
  what: 'Take side shoots out',
  why: 'each becomes another stem; a thumb long they come out without a wound to speak of',
  how: 'They sit in the angle of leaf and stem. Snap them sideways on a dry morning. The growing tip and the trusses stay.',
  marks: [
    { at: 'axil', kind: 'cut' },
    { at: 'low-axil', kind: 'cut' },
    { at: 'tip', kind: 'never' },
    { at: 'truss', kind: 'never' },
  ],
  from: { height: 300, days: 10 },
  rhythm: { by: 'growth', millimetres: (a) => a.shootGrowth, leastDays: 3, mostDays: 12 },
};

const stop = (what: string): TrainingRule => ({
  task: 'stopped',
  isUsual: true,
  what,
  why: 'it is at the top of what holds it, or what flowers from now on will not ripen before frost',
  how: 'Two leaves above the last truss that is to stay. It makes more side shoots afterwards: go on taking them out.',
  marks: [{ at: 'tip', kind: 'cut' }],
  from: { days: 30 },
  rhythm: { by: 'once' },
  isLast: true,
});

/** The rules, by name: forms take from them. */
export const RULES = {
  shaken,
  firstFlowersOff,
  touchingLeavesOff,
  lowerLeavesOff,
  sideShootsOut,
  stop,
} as const;
