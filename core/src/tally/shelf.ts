import { resolveAssumed } from '../assumed/index.ts';
import type { Day } from '../calendar/index.ts';
import { shelfLots, usualFruit, type ShelfLot } from '../pickings/index.ts';
import type { TallyContext } from './context.ts';
import { standingThen } from './context.ts';

/** What lies on the garden's shelf as of a day. */
export function shelfOf(context: TallyContext, today: Day): readonly ShelfLot[] {
  const { garden, live, pickings } = context;
  const weighed = new Map<string, (typeof pickings)[number][]>();
  const stood = (p: (typeof pickings)[number]) => standingThen(p, context.occupants(p.containerId))[0];
  const stored = pickings.filter((p) => p.use === 'stored');
  for (const p of stored) {
    const id = stood(p)?.variety.id;
    if (id !== undefined && !p.isByCount && p.count !== undefined)
      weighed.set(id, [...(weighed.get(id) ?? []), p]);
  }
  return shelfLots(
    live,
    pickings,
    (p) => {
      const first = stood(p);
      if (!first) return undefined;
      const { variety, crop } = first;
      return {
        cropId: crop.id,
        varietyId: variety.id,
        keepsMonths: variety.keepsMonths,
        fruitKilograms: usualFruit(crop, variety, weighed.get(variety.id) ?? []).kilograms,
      };
    },
    (varietyId) => garden.varieties.find((v) => v.id === varietyId)?.keepsMonths,
    today,
    resolveAssumed(garden.settings.assumptions),
  );
}
