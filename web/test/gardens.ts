import type { Garden } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { newGarden } from '../src/store/index.ts';

/** A May morning, on which a garden is begun. */
export const MAY_MORNING = '2026-05-02T10:00:00.000+01:00';
export { DEMO_EVENING };

/** A new grower's garden, with no bag in it. */
export const EMPTY = newGarden(MAY_MORNING, {
  gardenName: 'Back step',
  latitudeDegrees: 51,
  units: 'metric',
});

const demo = gannetSlip(1);

/** The demo with a few of its bags, by their labels. */
export function demoWith(...labels: readonly string[]): Garden {
  const containers = demo.containers.filter(({ label }) => labels.includes(label));
  const kept = new Set(containers.map(({ id }) => id));
  const isHere = (entry: object) =>
    !('containerId' in entry) || kept.has((entry as { readonly containerId: string }).containerId);
  return { ...demo, containers, entries: demo.entries.filter(isHere) };
}

/** The id of a bag by its label. */
export function idOf(garden: Garden, label: string): string {
  const found = garden.containers.find((c) => c.label === label);
  if (!found) throw new Error(`There is no bag ${label}.`);
  return found.id;
}
