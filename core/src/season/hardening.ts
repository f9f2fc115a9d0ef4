import type { Assumed } from '../assumed/index.ts';
import { addDays, type Day } from '../calendar/index.ts';
import type { Crop } from '../plants/index.ts';
import type { Cover } from './windows.ts';

/** One day of hardening off. */
export interface HardeningDay {
  readonly day: Day;
  /** 1 to the number of stages; the same as the day before when cold held it back */
  readonly stage: number;
  readonly hoursOutside: number;
  readonly isShaded: boolean;
  readonly staysOutOvernight: boolean;
  /** held back by a cold night or day */
  readonly isHeld: boolean;
  readonly minCelsius: number;
  /** entered by the grower, and not the month's normal */
  readonly isKnown: boolean;
}

/** A plan never runs on for longer than this. */
const LONGEST_DAYS = 42;

/**
 * Getting used to wind, sun and cold nights, day by day: a little longer each day, out overnight in the last third. A night
 * that is colder than the crop bears holds the plan: the plant comes in, the stage is done again, and the end moves on.
 *
 * @param weatherOf a day's minimum (the night before it) and maximum, °C, and whether they are known
 * @param stages days that it takes when nothing comes between
 * @see docs/model.md, 5. Timing
 */
export function hardeningPlan(
  startOn: Day,
  crop: Crop,
  weatherOf: (day: Day) => {
    readonly minCelsius: number;
    readonly maxCelsius: number;
    readonly isKnown: boolean;
  },
  stages: number,
): readonly HardeningDay[] {
  const count = Math.max(3, Math.round(stages));
  const limit = crop.nightCelsius.value - 3;
  const days: HardeningDay[] = [];
  let stage = 0;
  for (let i = 0; stage < count && i < LONGEST_DAYS; i++) {
    const day = addDays(startOn, i);
    const today = weatherOf(day);
    const tonight = weatherOf(addDays(day, 1));
    const wantsNight = stage + 1 > (count * 2) / 3;
    const isHeld = today.maxCelsius < limit + 3 || (wantsNight && tonight.minCelsius < limit);
    const next = isHeld ? Math.max(1, stage) : stage + 1;
    const isNightOut = !isHeld && wantsNight;
    days.push({
      day,
      stage: next,
      hoursOutside: isNightOut ? 24 : Math.round(2 + (8 * (next - 1)) / Math.max(1, (count * 2) / 3 - 1)),
      isShaded: next <= 2,
      staysOutOvernight: isNightOut,
      isHeld,
      minCelsius: tonight.minCelsius,
      isKnown: tonight.isKnown,
    });
    stage = isHeld ? stage : next;
  }
  return days;
}

/** What a night asks of a grower. */
export type ColdNightAdvice =
  | { readonly kind: 'not-tonight'; readonly minCelsius: number; readonly limitCelsius: number }
  | { readonly kind: 'fleece'; readonly minCelsius: number; readonly limitCelsius: number };

/** How a plant stands: still in its pot, planted so lately that it is tender, or settled. */
export type Hardiness = 'not-planted' | 'tender' | 'settled';

/**
 * What tonight asks: outdoors, not to plant into a night that is too cold for the crop, and fleece over what is planted: in the
 * nights in which growth stops while it is tender, and near frost once it has settled. Cold glass has rules of its own: fleece and less water, and never "not tonight". Heated: nothing.
 *
 * @param minCelsius outside, before dawn
 * @param stands how it stands
 * @example
 * coldNightAdvice(6, tomato, 'open', 'not-planted', DEFAULT_ASSUMED)
 * // => { kind: 'not-tonight', minCelsius: 6, limitCelsius: 8 }
 */
export function coldNightAdvice(
  minCelsius: number,
  crop: Crop,
  cover: Cover,
  stands: Hardiness,
  assumed: Assumed,
): ColdNightAdvice | undefined {
  if (cover === 'heated') return undefined;
  if (cover === 'glass') {
    const limitCelsius = crop.fleeceCelsius.value;
    return minCelsius + assumed.coldCoverGain < limitCelsius
      ? { kind: 'fleece', minCelsius, limitCelsius }
      : undefined;
  }
  if (stands !== 'not-planted') {
    const limitCelsius = stands === 'tender' ? crop.nightCelsius.value : crop.fleeceCelsius.value;
    return minCelsius < limitCelsius ? { kind: 'fleece', minCelsius, limitCelsius } : undefined;
  }
  const limitCelsius = crop.nightCelsius.value - assumed.nightShelter;
  return minCelsius < limitCelsius ? { kind: 'not-tonight', minCelsius, limitCelsius } : undefined;
}
