import { dayOf } from '@rundel/core/calendar';
import { lotIdOf } from '@rundel/core/pickings';
import { occupantsOf } from '@rundel/core/plants';
import type { Draft, Entry, Garden } from '@rundel/core/records';
import { newId } from './ids.ts';

/**
 * Drafts in which each picking that is stored has its lot: that of the same day, kind and ripeness where there is one, else a new one.
 * What names its lot keeps it.
 */
export function intoLots(
  drafts: readonly Draft[],
  garden: Pick<Garden, 'containers' | 'plants' | 'varieties'>,
  live: readonly Entry[],
): readonly Draft[] {
  if (!drafts.some((d) => d.kind === 'picking' && d.use === 'stored' && d.lotId === undefined)) return drafts;
  const kindOf = (picking: Draft<'picking'>) => {
    const container = garden.containers.find((c) => c.id === picking.containerId);
    const day = dayOf(picking.at);
    const there = container
      ? occupantsOf(container, live, garden).filter(
          (o) => o.plantedOn <= day && (picking.plantId === undefined || o.plant.id === picking.plantId),
        )
      : [];
    return [day, there.at(-1)?.variety.id ?? '', picking.stage ?? ''].join(' ');
  };
  const lots = new Map<string, string>();
  for (const e of live) if (e.kind === 'picking' && e.use === 'stored') lots.set(kindOf(e), lotIdOf(e));
  return drafts.map((draft) => {
    if (draft.kind !== 'picking' || draft.use !== 'stored' || draft.lotId !== undefined) return draft;
    const kind = kindOf(draft);
    const lotId = lots.get(kind) ?? newId('lot');
    lots.set(kind, lotId);
    return { ...draft, lotId };
  });
}
