import { dayOf } from '@rundel/core/calendar';
import { weighedPickings, type WeighedPicking } from '@rundel/core/pickings';
import { occupantsOf, type Occupant } from '@rundel/core/plants';
import type { Entry, EntryOf, Garden } from '@rundel/core/records';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';

/** Who stood in a bag on a day, or the one plant that an entry names. */
function standingThen(
  { plantId, at }: Pick<EntryOf<'picking'>, 'plantId' | 'at'>,
  occupants: readonly Occupant[],
): readonly Occupant[] {
  const day = dayOf(at);
  return occupants.filter(
    (o) =>
      o.plantedOn <= day &&
      (o.clearedOn === undefined || o.clearedOn >= day) &&
      (plantId === undefined || o.plant.id === plantId),
  );
}

/** Pickings of a garden with a weight each: what was only counted is worth what such fruit usually weighs. */
export function pickingsWithWeights(garden: Garden, live: readonly Entry[]): readonly WeighedPicking[] {
  const pickings = live.filter((e): e is EntryOf<'picking'> => e.kind === 'picking');
  // who stood where is asked only where something was counted and not weighed
  if (pickings.every((p) => p.kilograms !== undefined)) return weighedPickings(pickings, () => undefined);
  const occupants = new Map(garden.containers.map((c) => [c.id, occupantsOf(c, live, garden)]));
  return weighedPickings(pickings, (picking) => {
    const [first] = standingThen(picking, occupants.get(picking.containerId) ?? []);
    return first && { crop: first.crop, variety: first.variety };
  });
}

export function usePickings(): readonly WeighedPicking[] {
  const { garden, live } = useGarden();
  return useMemo(() => pickingsWithWeights(garden, live), [garden, live]);
}
