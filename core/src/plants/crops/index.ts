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
