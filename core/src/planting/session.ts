import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import type { StripSchoolId } from './schools.ts';
import type { WayId } from '../records/index.ts';

/** What is done at a bag on planting day. */
export const STEP_IDS = [
  'loosen',
  'moisten',
  'soak',
  'strip',
  'plant',
  'firm',
  'support',
  'label',
  'drink',
  'shade',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** The order of the work, as schools. */
export interface OrderSchool {
  readonly id: 'strip-first' | 'fill-first';
  readonly name: string;
  readonly words: string;
  readonly order: readonly StepId[];
}

export const ORDER_SCHOOLS: readonly OrderSchool[] = [
  {
    id: 'strip-first',
    name: 'Strip first',
    words: 'Leaves off on the bench, then into the hole.',
    order: ['loosen', 'moisten', 'soak', 'strip', 'plant', 'firm', 'support', 'label', 'drink', 'shade'],
  },
  {
    id: 'fill-first',
    name: 'Fill first, trim at the surface',
    words: 'Into the hole as it is, filled round, then what touches the mix comes off.',
    order: ['loosen', 'moisten', 'soak', 'plant', 'firm', 'strip', 'support', 'label', 'drink', 'shade'],
  },
];

/** The school with an id, or the first. */
export function orderSchoolOf(id: string | undefined): OrderSchool {
  return ORDER_SCHOOLS.find((s) => s.id === id) ?? (ORDER_SCHOOLS[0] as OrderSchool);
}

/** What decides which steps a bag has. */
export interface SessionBag {
  /** comes pressed flat: it is stood up and kneaded first */
  readonly isCompressed: boolean;
  readonly wayId: WayId;
  readonly leavesToStrip: number;
  readonly stripSchool: StripSchoolId;
  /** a support was chosen, and it goes on in the same hour */
  readonly isSupportedNow: boolean;
}

/**
 * The steps of a planting at one bag, in the school's order; what does not apply to it is left out.
 *
 * @example
 * stepsFor({ isCompressed: false, wayId: 'seed', leavesToStrip: 0, stripSchool: 'at-once', isSupportedNow: false }, 'strip-first')
 * // => ['moisten', 'plant', 'firm', 'label', 'drink']
 */
export function stepsFor(bag: SessionBag, orderId: OrderSchool['id']): readonly StepId[] {
  const isSeed = bag.wayId === 'seed';
  const applies: Record<StepId, boolean> = {
    loosen: bag.isCompressed,
    moisten: bag.wayId !== 'net-cup',
    soak: !isSeed,
    strip: bag.leavesToStrip > 0 && bag.stripSchool === 'at-once',
    plant: true,
    firm: bag.wayId !== 'net-cup',
    support: bag.isSupportedNow && !isSeed,
    label: true,
    drink: true,
    shade: !isSeed,
  };
  return orderSchoolOf(orderId).order.filter((step) => applies[step]);
}

/**
 * The first drink, L: for twenty litres of dry mix four, for moistened mix half of that (handbook 5).
 *
 * @param mixLitres settled mix in the bag at planting
 * @example
 * firstDrinkLitres(20, false)
 * // => 4
 */
export function firstDrinkLitres(
  mixLitres: number,
  isMoistened: boolean,
  assumed: Assumed = DEFAULT_ASSUMED,
): number {
  return mixLitres * (isMoistened ? assumed.firstDrinkMoist : assumed.firstDrinkDry);
}
