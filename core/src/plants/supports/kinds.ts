import type { SupportKindId } from '../../records/index.ts';

/** A kind of support as data; forms, advice, needs and the drawing follow from it. */
export interface SupportKind {
  readonly id: SupportKindId;
  readonly name: string;
  /** beside a height in the drawing: "cage, above ground" */
  readonly short: string;
  readonly description: string;
  /** stands on the mix itself (cane, stake, cage legs), in the ground, or hangs from above */
  readonly footing: 'in-mix' | 'on-floor' | 'from-above' | 'nowhere';
  /** the height above the mix that it usually holds, mm; a string holds as high as its wire */
  readonly holdsMillimetres: { readonly low: number; readonly high: number };
  /** habits for which it was made: upright leaders, or plants that branch */
  readonly suits: 'leader' | 'bush' | 'either';
  /** it goes on before the plant fills it: later it would break shoots or spear roots */
  readonly mustGoInAtPlanting: boolean;
  /** only until the plant is bigger */
  readonly isForNow: boolean;
  /** how a stem is kept to it, and so what recurs */
  readonly attachment: 'wound' | 'tied' | 'tucked' | 'left';
  /** how much work it is to put up, 1 to 3 */
  readonly work: number;
  /** weight at a plant, kg (*assumed*; a wire hangs from the house and not from the bag) */
  readonly kilograms: number;
  /** what one practice says of it */
  readonly practice?: string;
}

const kind = (
  id: SupportKindId,
  name: string,
  short: string,
  description: string,
  more: Omit<SupportKind, 'id' | 'name' | 'short' | 'description'>,
): SupportKind => ({ id, name, short, description, ...more });

/** Every kind, in the order in which forms offer them. */
export const SUPPORTS: readonly SupportKind[] = [
  kind('none', 'None', 'none', 'It stands by itself, or hangs over the rim.', {
    footing: 'nowhere',
    holdsMillimetres: { low: 0, high: 450 },
    suits: 'bush',
    mustGoInAtPlanting: false,
    isForNow: false,
    attachment: 'left',
    work: 0,
    kilograms: 0,
  }),
  kind('string', 'String to a wire', 'wire', 'A soft string down from a wire; the stem is wound round it.', {
    footing: 'from-above',
    holdsMillimetres: { low: 1200, high: 3000 },
    suits: 'leader',
    mustGoInAtPlanting: false,
    isForNow: false,
    attachment: 'wound',
    work: 1,
    kilograms: 0,
    practice: 'Knotted under the ball at planting, or in a loose loop at the foot later: both hold.',
  }),
  kind('stake', 'A stake for each leader', 'stake', 'One stout stake a leader, tied every hand or two.', {
    footing: 'in-mix',
    holdsMillimetres: { low: 600, high: 1800 },
    suits: 'leader',
    mustGoInAtPlanting: true,
    isForNow: false,
    attachment: 'tied',
    work: 2,
    kilograms: 0.5,
  }),
  kind('canes', 'Three canes tied at the top', 'canes', 'A wigwam: steady in wind, tied or tucked inside.', {
    footing: 'in-mix',
    holdsMillimetres: { low: 600, high: 1500 },
    suits: 'either',
    mustGoInAtPlanting: true,
    isForNow: false,
    attachment: 'tied',
    work: 2,
    kilograms: 0.6,
  }),
  kind('cage', 'A cage', 'cage', 'Over the plant at planting; branches rest on its rings.', {
    footing: 'in-mix',
    holdsMillimetres: { low: 450, high: 1000 },
    suits: 'bush',
    mustGoInAtPlanting: true,
    isForNow: false,
    attachment: 'tucked',
    work: 1,
    kilograms: 1.8,
    practice: 'Some call cages the easiest of all, some the worst: they are quick, and hard to pick through.',
  }),
  kind(
    'two-cages',
    'Two cages, one on the other',
    'cages',
    'The upper upside down on the lower, a stake through both.',
    {
      footing: 'in-mix',
      holdsMillimetres: { low: 900, high: 1800 },
      suits: 'either',
      mustGoInAtPlanting: true,
      isForNow: false,
      attachment: 'tucked',
      work: 3,
      kilograms: 4.1,
    },
  ),
  kind('tower', 'A tower', 'tower', 'A tall spiral or ladder of rings; the leader goes up inside.', {
    footing: 'in-mix',
    holdsMillimetres: { low: 1200, high: 2000 },
    suits: 'leader',
    mustGoInAtPlanting: true,
    isForNow: false,
    attachment: 'tucked',
    work: 2,
    kilograms: 2.4,
  }),
  kind(
    'frame',
    'A frame under the bag',
    'frame',
    'Its feet lie under the bag, so that its weight holds the uprights.',
    {
      footing: 'on-floor',
      holdsMillimetres: { low: 900, high: 1800 },
      suits: 'either',
      mustGoInAtPlanting: true,
      isForNow: false,
      attachment: 'tied',
      work: 3,
      kilograms: 1.5,
    },
  ),
  kind('planter-frame', "The planter's own frame", 'frame', 'Made for its planter and clipped into it.', {
    footing: 'on-floor',
    holdsMillimetres: { low: 700, high: 1500 },
    suits: 'either',
    mustGoInAtPlanting: true,
    isForNow: false,
    attachment: 'tied',
    work: 1,
    kilograms: 1.5,
  }),
  kind(
    'triangle',
    'Three short canes',
    'short canes',
    'Round a seedling, against wind, until it has its real support.',
    {
      footing: 'in-mix',
      holdsMillimetres: { low: 200, high: 450 },
      suits: 'either',
      mustGoInAtPlanting: true,
      isForNow: true,
      attachment: 'left',
      work: 1,
      kilograms: 0.2,
    },
  ),
];

/** The kind with an id. */
export function supportOf(id: SupportKindId): SupportKind {
  return SUPPORTS.find((s) => s.id === id) ?? (SUPPORTS[0] as SupportKind);
}

/** When supports go on, as practices. */
export const SUPPORT_PRACTICES = [
  {
    id: 'same-hour',
    name: 'In the same hour',
    description: 'A cage goes on before the plant fills it, and canes do not spear roots later.',
    fromDays: 0,
    toDays: 0,
  },
  {
    id: 'later',
    name: 'One to three weeks on',
    description: 'Fleece fits meanwhile and the stem thickens; a short stick holds it against wind.',
    fromDays: 7,
    toDays: 21,
  },
] as const;
export type SupportPracticeId = (typeof SUPPORT_PRACTICES)[number]['id'];
