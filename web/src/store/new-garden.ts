import { asBegun } from '@rundel/core/merge';
import { USUAL_SETTINGS, type Garden, type Settings } from '@rundel/core/records';
import { newId } from './ids.ts';
import { USUAL_SIGN } from './money.ts';

/** A new grower's garden: one place outdoors and a ten-litre can, both to be renamed. */
export function newGarden(
  now: string,
  chosen: Pick<Settings, 'gardenName' | 'latitudeDegrees' | 'units'> &
    Partial<Pick<Settings, 'currency' | 'seasonsId'>>,
): Garden {
  const stamps = { createdAt: now, changedAt: now };
  const can = { id: newId('measure'), kind: 'can' as const, name: 'can', litres: 10, ...stamps };
  return {
    settings: asBegun(
      {
        ...USUAL_SETTINGS,
        roundHours: [...USUAL_SETTINGS.roundHours],
        currency: USUAL_SIGN[chosen.units],
        ...chosen,
        wateringMeasureId: can.id,
        changedAt: now,
      },
      Object.keys(chosen),
    ),
    places: [{ id: newId('place'), name: 'Outside the door', cover: 'open', order: 0, ...stamps }],
    containers: [],
    varieties: [],
    batches: [],
    plants: [],
    measures: [can],
    mixes: [],
    products: [],
    packs: [],
    templates: [],
    plans: [],
    regimes: [],
    tanks: [],
    trials: [],
    entries: [],
  };
}
