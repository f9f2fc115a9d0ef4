import type { Assumption } from './assumption.ts';
import { BAG_ASSUMPTIONS } from './bags.ts';
import { CARE_ASSUMPTIONS } from './care.ts';
import { FEEDING_ASSUMPTIONS } from './feeding.ts';
import { GROWTH_ASSUMPTIONS } from './growth.ts';
import { CHECK_ASSUMPTIONS } from './checks.ts';
import { PICKING_ASSUMPTIONS } from './pickings.ts';
import { PLANTING_ASSUMPTIONS } from './planting.ts';
import { ROUND_ASSUMPTIONS } from './rounds.ts';
import { TIMING_ASSUMPTIONS } from './timing.ts';
import { WATER_ASSUMPTIONS } from './water.ts';

/**
 * Every constant that is a judgement and not a published figure, in one table.
 *
 * Each has the value in use, the range in which it could honestly lie, its unit and the reason. A grower can
 * override any of them (Settings → Assumptions); core functions take the resolved numbers as an argument. What is a
 * property of a crop, a mix, a support or another kind of thing stands with that kind, as data.
 */
export const ASSUMPTIONS = {
  ...BAG_ASSUMPTIONS,
  ...PLANTING_ASSUMPTIONS,
  ...GROWTH_ASSUMPTIONS,
  ...TIMING_ASSUMPTIONS,
  ...WATER_ASSUMPTIONS,
  ...CHECK_ASSUMPTIONS,
  ...ROUND_ASSUMPTIONS,
  ...FEEDING_ASSUMPTIONS,
  ...CARE_ASSUMPTIONS,
  ...PICKING_ASSUMPTIONS,
} as const satisfies Record<string, Assumption>;

/** The same table in parts, for reading. */
export const ASSUMPTION_THEMES: readonly {
  readonly name: string;
  readonly assumptions: Readonly<Record<string, Assumption>>;
}[] = [
  { name: 'Bags, mixes and costs', assumptions: BAG_ASSUMPTIONS },
  { name: 'Planting', assumptions: PLANTING_ASSUMPTIONS },
  { name: 'Growth and supports', assumptions: GROWTH_ASSUMPTIONS },
  { name: 'Frost and the year', assumptions: TIMING_ASSUMPTIONS },
  { name: 'Weather and water', assumptions: WATER_ASSUMPTIONS },
  { name: 'What a check tells', assumptions: CHECK_ASSUMPTIONS },
  { name: 'Rounds, and going away', assumptions: ROUND_ASSUMPTIONS },
  { name: 'Feeding', assumptions: FEEDING_ASSUMPTIONS },
  { name: 'Training, trouble and protection', assumptions: CARE_ASSUMPTIONS },
  { name: 'Pickings, trials and the shelf', assumptions: PICKING_ASSUMPTIONS },
];

export type AssumptionName = keyof typeof ASSUMPTIONS;
export type Assumed = Readonly<Record<AssumptionName, number>>;

/**
 * The numbers in use: the table's, with the grower's own in place where they lie inside the stated range.
 * A number outside its range is ignored here; the form that takes it says so.
 *
 * @example
 * resolveAssumed({ headroom: 40, risk: 7 }).headroom
 * // => 40
 */
export function resolveAssumed(own: Partial<Record<string, number>> = {}): Assumed {
  const names = Object.keys(ASSUMPTIONS) as AssumptionName[];
  const pairs = names.map((name) => {
    const { value, low, high } = ASSUMPTIONS[name];
    const mine = own[name];
    return [name, mine !== undefined && mine >= low && mine <= high ? mine : value] as const;
  });
  return Object.fromEntries(pairs) as Assumed;
}

export const DEFAULT_ASSUMED: Assumed = resolveAssumed();
