import type { Assumed } from '../assumed/index.ts';
import type { StripPracticeId } from './practices.ts';
import type { PlantingMethodId } from '../records/index.ts';

/** What is done at a bag on planting day, in working order. */
export const STEP_IDS = [
  'loosen',
  'holes',
  'slit',
  'moisten',
  'soak',
  'strip',
  'plant',
  'firm',
  'support',
  'label',
  'watering',
  'shade',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** The order of the work, as practices. */
export interface OrderPractice {
  readonly id: 'strip-first' | 'fill-first';
  readonly name: string;
  readonly description: string;
  readonly order: readonly StepId[];
}

/** Leaves come off only once the plant is firm in its hole. */
const FILL_FIRST: readonly StepId[] = STEP_IDS.flatMap((step): readonly StepId[] =>
  step === 'strip' ? [] : step === 'firm' ? ['firm', 'strip'] : [step],
);

export const ORDER_PRACTICES: readonly OrderPractice[] = [
  {
    id: 'strip-first',
    name: 'Strip first',
    description: 'Leaves off on the bench, then into the hole.',
    order: STEP_IDS,
  },
  {
    id: 'fill-first',
    name: 'Fill first, trim at the surface',
    description: 'Into the hole as it is, filled round, then what touches the mix comes off.',
    order: FILL_FIRST,
  },
];

/** The practice with an id, or the first. */
export function orderPracticeOf(id: string | undefined): OrderPractice {
  return ORDER_PRACTICES.find((s) => s.id === id) ?? (ORDER_PRACTICES[0] as OrderPractice);
}

/** What decides which steps a bag has. */
export interface SessionBag {
  /** comes pressed flat: it is stood up and kneaded first */
  readonly isCompressed: boolean;
  /** nothing drains from it yet */
  readonly hasNoHoles?: boolean;
  /** has no open top: each place is cut into it */
  readonly isClosed?: boolean;
  readonly plantingMethodId: PlantingMethodId;
  readonly leavesToStrip: number;
  readonly stripPractice: StripPracticeId;
  /** a support was chosen, and it goes on in the same hour */
  readonly isSupportedNow: boolean;
}

/**
 * The steps of a planting at one bag, in the practice's order; what does not apply to it is left out.
 *
 * @see docs/model.md, 3. Planting
 * @example
 * stepsFor({ isCompressed: false, plantingMethodId: 'seed', leavesToStrip: 0, stripSchool: 'at-once', isSupportedNow: false }, 'strip-first')
 * // => ['moisten', 'plant', 'firm', 'label', 'watering']
 */
export function stepsFor(bag: SessionBag, orderId: OrderPractice['id']): readonly StepId[] {
  const isSeed = bag.plantingMethodId === 'seed';
  const applies: Record<StepId, boolean> = {
    loosen: bag.isCompressed,
    holes: bag.hasNoHoles ?? false,
    slit: bag.isClosed ?? false,
    moisten: bag.plantingMethodId !== 'net-cup',
    soak: !isSeed,
    strip: bag.leavesToStrip > 0 && bag.stripPractice === 'at-once',
    plant: true,
    firm: bag.plantingMethodId !== 'net-cup',
    support: bag.isSupportedNow && !isSeed,
    label: true,
    watering: true,
    shade: !isSeed,
  };
  return orderPracticeOf(orderId).order.filter((step) => applies[step]);
}

/** How the mix is when the plant goes in. */
export type MixAtPlanting = 'moistened' | 'dry' | 'flooded';

/**
 * The first watering, L: for twenty litres of dry mix four, for moistened mix half of that (handbook 5); mix that was flooded in the
 * bag is full already, so that a quarter of it settles the roots in.
 *
 * @param mixLitres settled mix in the bag at planting
 * @example
 * firstWateringLitres(20, 'dry', DEFAULT_ASSUMED)
 * // => 4
 */
export function firstWateringLitres(mixLitres: number, mix: MixAtPlanting, assumed: Assumed): number {
  const share = {
    dry: assumed.firstWateringDry,
    moistened: assumed.firstWateringMoist,
    flooded: assumed.firstWateringMoist / 2,
  }[mix];
  return mixLitres * share;
}
