import type { Entry } from './entry.ts';

/** A feed in water is a watering too, and one of two parts is two feeds. */
const TOGETHER: readonly Entry['kind'][] = ['fed', 'watering'];

/**
 * What was put down in one go with a feed or its water: the other entries of that act, which stand for the same cans.
 *
 * @param live the entries that count
 */
export function givenTogether(live: readonly Entry[], entry: Entry): readonly Entry[] {
  const isOfSuch = (e: Entry) => TOGETHER.includes(e.kind);
  if (!isOfSuch(entry) || !('containerId' in entry)) return [];
  const beside = live.filter(
    (e) =>
      e.id !== entry.id &&
      isOfSuch(e) &&
      e.recordedAt === entry.recordedAt &&
      e.at === entry.at &&
      'containerId' in e &&
      e.containerId === entry.containerId,
  );
  // two waterings at one moment are two
  return [entry, ...beside].some(({ kind }) => kind === 'fed') ? beside : [];
}
