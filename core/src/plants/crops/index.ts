import type { Crop, Habit } from './crop.ts';
import { aubergine, cucumber, pepper } from './others.ts';
import { tomato } from './tomato.ts';

/** Every crop, in the order in which forms offer them. */
export const CROPS: readonly Crop[] = [tomato, pepper, aubergine, cucumber];

/**
 * The crop with an id; one that is not known here (a file of a newer Rundel, a hand-made one) is worked out as a tomato and
 * says what it is.
 *
 * @example
 * cropOf('pepper').name
 * // => 'Pepper'
 */
export function cropOf(id: string): Crop {
  return CROPS.find((c) => c.id === id) ?? { ...tomato, id, name: 'Unknown crop' };
}

/** The habit with an id of a crop; one that is not known is worked out as the crop's first and says what it is. */
export function habitOf(cropId: string, habitId: string): Habit {
  const { habits } = cropOf(cropId);
  return (
    habits.find((h) => h.id === habitId) ?? { ...(habits[0] as Habit), id: habitId, name: 'Unknown growth' }
  );
}
