import { RundelError } from '../../errors/index.ts';
import type { Crop, Habit } from './crop.ts';
import { aubergine, cucumber, pepper } from './others.ts';
import { tomato } from './tomato.ts';

/** Every crop, in the order in which forms offer them. */
export const CROPS: readonly Crop[] = [tomato, pepper, aubergine, cucumber];

/**
 * The crop with an id.
 *
 * @throws RundelError `unknown-name`
 */
export function cropOf(id: string): Crop {
  const crop = CROPS.find((c) => c.id === id);
  if (!crop) throw new RundelError('unknown-name', 'crop', id, CROPS.map((c) => c.id).join(', '));
  return crop;
}

/**
 * The crop with an id; one that is not known here (a file of a newer Rundel, a hand-made one) is worked out as a tomato and
 * says what it is.
 */
export function cropOrUnknown(id: string): Crop {
  return CROPS.find((c) => c.id === id) ?? { ...tomato, id, name: 'Unknown crop' };
}

/** The habit with an id of a crop; one that is not known is worked out as the crop's first and says what it is. */
export function habitOrUnknown(crop: Crop, habitId: string): Habit {
  const usual = crop.habits[0] as Habit;
  return crop.habits.find((h) => h.id === habitId) ?? { ...usual, id: habitId, name: 'Unknown growth' };
}

/**
 * A crop's habit with an id.
 *
 * @throws RundelError `unknown-name`
 */
export function habitOf(cropId: string, habitId: string): Habit {
  const { habits } = cropOf(cropId);
  const habit = habits.find((h) => h.id === habitId);
  if (!habit) throw new RundelError('unknown-name', 'habit', habitId, habits.map((h) => h.id).join(', '));
  return habit;
}
