import { addDays, daysBetween, type Day } from '../../calendar/index.ts';
import type { Assumed } from '../../assumed/index.ts';
import { daysToReach, growthPerDay, type HeightBelief, type Reaching } from '../growth/height.ts';
import type { SupportKind } from './kinds.ts';

/** What recurs at a plant that is held up. */
export type Tending = 'wound' | 'tied' | 'tucked';

/** When a stem wants winding, tying or tucking in next. */
export interface TendingDue {
  readonly task: Tending;
  readonly dueOn: Day;
  readonly everyDays: number;
  /** new growth since it was last done, mm, likely */
  readonly grownMillimetres: number;
}

/** No oftener than this, and no rarer, days. */
const OFTENEST = 3;
const RAREST = 14;

/**
 * The next winding, tying or tucking in: every `windEvery` of new growth, so oftener in midsummer than in May.
 *
 * @param lastOn the day on which it was last done, the support went up, or the planting
 * @returns undefined where nothing recurs, and once the plant has reached the top of what holds it
 * @see docs/model.md, 4. Supports
 */
export function tendingDue(
  support: SupportKind,
  belief: HeightBelief,
  plantedOn: Day,
  lastOn: Day,
  topAboveMixMillimetres: number,
  today: Day,
  assumed: Assumed,
): TendingDue | undefined {
  if (support.attachment === 'left') return undefined;
  const top = daysToReach(belief, Math.max(1, topAboveMixMillimetres));
  const age = daysBetween(plantedOn, today);
  if (top.kind === 'reaches' && top.likely <= daysBetween(plantedOn, lastOn)) return undefined;
  const lastAge = Math.max(0, daysBetween(plantedOn, lastOn));
  const rate = growthPerDay(belief, lastAge);
  const everyDays = Math.round(Math.min(RAREST, Math.max(OFTENEST, assumed.windEvery / Math.max(rate, 0.1))));
  return {
    task: support.attachment,
    dueOn: addDays(lastOn, everyDays),
    everyDays,
    grownMillimetres: Math.max(0, rate * (age - lastAge)),
  };
}

/**
 * When the plant grows out at the top of what holds it, days since planting.
 *
 * @param topAboveMixMillimetres top of the support above the mix
 */
export function outgrows(belief: HeightBelief, topAboveMixMillimetres: number): Reaching {
  return daysToReach(belief, Math.max(1, topAboveMixMillimetres));
}
