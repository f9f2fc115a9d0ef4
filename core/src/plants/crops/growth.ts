import { heightOnCurve } from '../growth/curve.ts';
import type { Habit } from './crop.ts';

/**
 * Share of its growth that a plant has done, by days since planting: a logistic curve that passes 0.06 at
 * planting, 0.5 half way and 0.9 at `weeksToFull` (shape *assumed*; heights that the grower records replace it).
 *
 * @param days since planting; negative for seed sown in place, before it is as large as a young plant
 * @see docs/model.md, 4. Supports
 * @example
 * grownShare(0, 10)
 * // ≈> 0.064
 */
export function grownShare(days: number, weeksToFull: number): number {
  const full = weeksToFull * 7;
  const half = full * 0.55;
  // logit(0.9) = 2.197 is reached at `full`
  const pace = (full - half) / Math.log(9);
  return 1 / (1 + Math.exp(-(days - half) / pace));
}

/**
 * Shade that a plant casts, m².
 *
 * @example
 * canopySquareMetres({ canopySquareMetres: 0.6, weeksToFull: 11 }, 77)
 * // ≈> 0.54
 */
export function canopySquareMetres(
  habit: { readonly canopySquareMetres: number; readonly weeksToFull: number },
  daysSincePlanting: number,
): number {
  return habit.canopySquareMetres * grownShare(daysSincePlanting, habit.weeksToFull);
}

/**
 * Height above the mix to expect, mm, from the height at planting and the habit's full height, on the curve of
 * `growth/curve.ts`.
 *
 * @example
 * expectedHeightMillimetres({ fullHeightMillimetres: 2000, weeksToFull: 10 }, 200, 0)
 * // ≈> 200
 */
export function expectedHeightMillimetres(
  habit: { readonly fullHeightMillimetres: number; readonly weeksToFull: number },
  heightAtPlantingMillimetres: number,
  daysSincePlanting: number,
): number {
  return heightOnCurve(
    {
      startMillimetres: heightAtPlantingMillimetres,
      fullMillimetres: habit.fullHeightMillimetres,
      weeksToFull: habit.weeksToFull,
    },
    daysSincePlanting,
  );
}

/** A habit's three figures in use: its priors, with the grower's own in place where given and in range. */
export interface HabitFigures {
  readonly fullHeightMillimetres: number;
  readonly canopySquareMetres: number;
  readonly weeksToFull: number;
}

/**
 * A habit's figures, overridden by the grower's own under keys such as `tomato.tall.canopySquareMetres`.
 *
 * @example
 * habitFigures('pepper', pepperBush, { 'pepper.bush.weeksToFull': 12 }).weeksToFull
 * // => 12
 */
export function habitFigures(
  cropId: string,
  habit: Habit,
  own: Partial<Record<string, number>> = {},
): HabitFigures {
  const pick = (key: keyof HabitFigures) => {
    const { value, low, high } = habit[key];
    // what is known of the variety goes before what was set for all of its growth
    if (habit.known?.some((known) => known === key)) return value;
    const mine = own[`${cropId}.${habit.id}.${key}`];
    return mine !== undefined && mine >= low && mine <= high ? mine : value;
  };
  return {
    fullHeightMillimetres: pick('fullHeightMillimetres'),
    canopySquareMetres: pick('canopySquareMetres'),
    weeksToFull: pick('weeksToFull'),
  };
}
