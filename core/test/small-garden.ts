import type { Container, Draft, Entry, Garden, Plant, Variety } from '../src/records/index.ts';

const STAMPS = { createdAt: '2026-01-01T12:00:00.000+00:00', changedAt: '2026-01-01T12:00:00.000+00:00' };

export const noon = (day: string) => `${day}T12:00:00.000+01:00`;

/** A container of 38 litres on the terrace; its label is in its id. */
export function container(label: string, more: Partial<Container> = {}): Container {
  return {
    id: `con_small0${label}`,
    label,
    kindId: 'round-fabric',
    size: { by: 'label', litres: 38 },
    mixId: 'bought',
    mulchMillimetres: 30,
    support: { kind: 'string', heightMillimetres: 2000 },
    placeId: 'std_terrace1',
    stations: [{ id: `stn_small0${label}` }],
    order: Number(label) || 0,
    price: 6,
    seasons: 4,
    ...STAMPS,
    ...more,
  };
}

export const variety = (id: string, more: Partial<Variety> = {}): Variety => ({
  id: `var_${id}`,
  name: id,
  cropId: 'tomato',
  habitId: 'tall',
  ...STAMPS,
  ...more,
});

/** A garden of a few bags, put together by hand: each number in it can be checked by hand as well. */
export function smallGarden(more: Partial<Garden> & { readonly latitudeDegrees?: number } = {}): Garden {
  const { latitudeDegrees = 51, ...parts } = more;
  return {
    settings: {
      gardenName: 'Small',
      latitudeDegrees,
      units: 'metric',
      roundHours: [18],
      depthPracticeId: 'first-leaves',
      assumptions: {},
      changedAt: STAMPS.changedAt,
    },
    places: [
      { id: 'std_terrace1', name: 'Terrace', cover: 'open', order: 0, ...STAMPS },
      { id: 'std_yard0001', name: 'Yard', cover: 'open', order: 1, ...STAMPS },
    ],
    containers: [],
    varieties: [variety('redred')],
    batches: [],
    plants: [],
    measures: [],
    mixes: [],
    products: [],
    packs: [],
    templates: [],
    plans: [],
    regimes: [],
    tanks: [],
    trials: [],
    entries: [],
    ...parts,
  };
}

/** A plant of a variety, by a name that its id holds. */
export const plant = (id: string, varietyId: string): Plant => ({
  id: `pla_${id}`,
  varietyId,
  ...STAMPS,
});

/** A planting in a bag's first station, or in another. */
export function planted(bag: Container, plantId: string, day: string, station = 0): Draft {
  return {
    kind: 'planted',
    at: noon(day),
    containerId: bag.id,
    stationId: bag.stations[station]?.id ?? '',
    plantId,
    seedling: { stemMillimetres: 200, ballMillimetres: 90 },
  };
}

export const picked = (bag: Container, day: string, more: Partial<Draft<'picking'>>): Draft => ({
  kind: 'picking',
  at: noon(day),
  containerId: bag.id,
  ...more,
});

/** Drafts as a diary has them, oldest first. */
export function diary(drafts: readonly Draft[]): readonly Entry[] {
  return [...drafts]
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .map((d, i) => ({ ...d, id: `ent_small${String(i).padStart(5, '0')}`, recordedAt: d.at }) as Entry);
}
