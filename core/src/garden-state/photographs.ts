import { dayOf, daysBetween } from '../calendar/index.ts';
import { entriesAt, type Entry } from '../records/index.ts';

/** A photograph in the life of a bag. */
export interface BagPhoto {
  readonly photoId: string;
  readonly entryId: string;
  readonly at: string;
  /** days since what stood there then was planted; undefined where nothing did, or nobody knows since when */
  readonly ageDays: number | undefined;
}

/**
 * The photographs of a bag, oldest first, each with the age of what it shows.
 *
 * @param live the garden's live entries, oldest first
 */
export function bagPhotos(live: readonly Entry[], containerId: string): readonly BagPhoto[] {
  const standing = new Map<string, string>();
  return entriesAt(live, containerId).flatMap((entry) => {
    if (entry.kind === 'planted') standing.set(entry.stationId, dayOf(entry.at));
    // what is cleared away is seen for the last time
    const since = plantedOn(entry, standing);
    if (entry.kind === 'cleared') standing.delete(entry.stationId);
    const ageDays = since === undefined ? undefined : daysBetween(since, dayOf(entry.at));
    return (entry.photoIds ?? []).map((photoId) => ({ photoId, entryId: entry.id, at: entry.at, ageDays }));
  });
}

/** When what an entry is about was planted: its own station, or the first of those that are taken. */
function plantedOn(entry: Entry, standing: ReadonlyMap<string, string>): string | undefined {
  const own =
    'stationId' in entry && entry.stationId !== undefined ? standing.get(entry.stationId) : undefined;
  return own ?? [...standing.values()].sort()[0];
}

/** Photographs at most so many days apart in age are of plants as old as one another. */
const SAME_AGE_WITHIN_DAYS = 10;

/**
 * The photograph of another bag that is nearest in age to one of this.
 *
 * @returns undefined where none is near
 * @example
 * atSameAge({ photoId: 'pho_a', entryId: '', at: '', ageDays: 30 }, [
 *   { photoId: 'pho_b', entryId: '', at: '', ageDays: 12 },
 *   { photoId: 'pho_c', entryId: '', at: '', ageDays: 33 },
 * ])?.photoId
 * // => 'pho_c'
 */
export function atSameAge(photo: BagPhoto, others: readonly BagPhoto[]): BagPhoto | undefined {
  const { ageDays } = photo;
  if (ageDays === undefined) return undefined;
  const apart = (other: BagPhoto) => Math.abs((other.ageDays ?? Infinity) - ageDays);
  const nearest = [...others].sort((a, b) => apart(a) - apart(b))[0];
  return nearest && apart(nearest) <= SAME_AGE_WITHIN_DAYS ? nearest : undefined;
}
