import type { Garden } from '@rundel/core/records';
import { GardenInWorkers } from '../workers/garden.ts';
import type { OpenGarden } from './open-garden.ts';
import type { GardenId } from '../db/index.ts';
import { quarterOf } from './last-states.ts';
import { containersInUse } from './selectors.ts';

/** The garden that the workers hold: one at a time, as one is open at a time. */
let held: { readonly gardenId: GardenId; readonly inWorkers: GardenInWorkers } | undefined;

/** The garden of an id in the workers. */
export function inWorkers(gardenId: GardenId): GardenInWorkers {
  if (held?.gardenId !== gardenId) held = { gardenId, inWorkers: new GardenInWorkers() };
  return held.inWorkers;
}

/** Forgets what the workers hold; the next question hands the garden over whole. */
export function forgetWorkers(): void {
  held = undefined;
}

const versions = new WeakMap<Garden, number>();
let nextVersion = 1;

/** A number for each garden object: gardens are replaced whole, never changed, so identity is version. */
export function versionOf(garden: Garden): number {
  const found = versions.get(garden);
  if (found !== undefined) return found;
  versions.set(garden, nextVersion);
  return nextVersion++;
}

/** Every bag's state, as the workers derive it: the one question that screens ask, by the garden's version and the time. */
export function bagStatesQuery(
  { garden, clock, gardenId }: Pick<OpenGarden, 'garden' | 'clock' | 'gardenId'>,
  quarter = quarterOf(clock.now()),
) {
  return {
    queryKey: ['bag-states', gardenId, quarter, versionOf(garden)] as const,
    staleTime: Infinity,
    gcTime: 60_000,
    // a bag about which nothing has changed keeps its state as it is
    structuralSharing: false,
    queryFn: () => inWorkers(gardenId).statesOf(garden, containersInUse(garden), clock.now()),
  };
}
