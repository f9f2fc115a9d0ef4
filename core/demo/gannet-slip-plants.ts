import { momentAt } from '../src/calendar/index.ts';
import type { KnownVariety } from '../src/plants/index.ts';
import type {
  Batch,
  Container,
  Draft,
  Entry,
  Garden,
  IdOf,
  Plan,
  Plant,
  Variety,
} from '../src/records/index.ts';
import { ID_PREFIXES } from '../src/records/index.ts';
import { chanceFrom } from '../hidden/index.ts';
import { DEMO_EVENING } from './evening.ts';

/** What the neighbours know of their varieties. */
const FACTS: Readonly<Record<string, Partial<KnownVariety>>> = {
  'Lantern Drop': {
    bearing: 'all-season',
    daysToRipe: { low: 52, high: 60, from: 'planting' },
    fruitGrams: 18,
    colour: 'orange',
    use: 'eaten on the spot',
    growAgain: 'yes',
  },
  'Pier Red': { bearing: 'all-season', fruitGrams: 110, colour: 'red', use: 'slicing', growAgain: 'perhaps' },
  'Bosun Short': {
    bearing: 'all-season',
    fruitGrams: 60,
    colour: 'red',
    seed: { source: 'saved', year: 2025, amount: 'a jar', germination: 0.85 },
    growAgain: 'yes',
  },
  'Brass Bell': {
    daysToGreen: { low: 60, high: 60, from: 'planting' },
    fruitGrams: 140,
    colour: 'green, then gold',
  },
  Longfinger: {
    fruitGrams: 120,
    colour: 'black',
    seed: { source: 'bought', year: 2026, amount: 'half a packet' },
  },
  'Salt Snap': { fruitGrams: 250, colour: 'green', use: 'salad' },
};

/** Varieties of which there is one plant each, in a bag with others. */
const OTHERS: readonly (Pick<Variety, 'name' | 'cropId' | 'habitId'> & Partial<KnownVariety>)[] = [
  { name: 'Lamp Yellow', cropId: 'tomato', habitId: 'tall', fruitGrams: 14, colour: 'yellow' },
  { name: 'Stout Ned', cropId: 'tomato', habitId: 'dwarf', fruitGrams: 120, colour: 'dark red' },
  {
    name: 'Tin Horn',
    cropId: 'pepper',
    habitId: 'bush',
    fruitGrams: 30,
    colour: 'red',
    use: 'hot, for drying',
  },
];

/** Bags in which each plant has a name, and the one that is of another variety, by its place from 0. */
const NAMED: Readonly<
  Record<string, { readonly names: readonly string[]; readonly other: readonly [number, string] }>
> = {
  '1': { names: ['Ada', 'Bet', 'Cy'], other: [1, 'Lamp Yellow'] },
  '14': { names: ['Nell', 'Bram', 'Ivo'], other: [2, 'Tin Horn'] },
  '22': { names: ['Sol', 'Fen', 'Wyn'], other: [0, 'Stout Ned'] },
};

/**
 * What the neighbours know of their plants: names and varieties of those that share a bag, seed sown in place beside an
 * aubergine, what is being raised for the next tier, and the crop that is to follow the first cucumber.
 */
export function plantsOfSlip(
  garden: Garden,
  seed: number,
  stamps: { readonly createdAt: string; readonly changedAt: string },
): Pick<Garden, 'varieties' | 'plants' | 'batches' | 'containers' | 'plans' | 'entries'> {
  // a source of its own, so that the rest of the diary does not depend on who has a name
  const chance = chanceFrom(seed + 9000);
  const id = (of: IdOf) => `${ID_PREFIXES[of]}_${chance.letters(12)}`;
  const known = garden.varieties.map((v): Variety => ({ ...v, ...FACTS[v.name] }));
  const others = OTHERS.map((v): Variety => ({ id: id('variety'), ...v, ...stamps }));
  const varieties = [...known, ...others];
  const idOf = (name: string) => varieties.find((v) => v.name === name)?.id ?? '';
  const called = new Map<string, Partial<Plant>>();
  for (const [label, { names, other }] of Object.entries(NAMED)) {
    const container = garden.containers.find((c) => c.label === label);
    container?.stations.forEach((station, i) => {
      const planted = garden.entries.find((e) => e.kind === 'planted' && e.stationId === station.id);
      const name = names[i];
      if (planted?.kind !== 'planted' || !name) return;
      called.set(planted.plantId, { name, ...(other[0] === i ? { varietyId: idOf(other[1]) } : {}) });
    });
  }
  const plants = garden.plants.map((plant): Plant => {
    const own = called.get(plant.id);
    if (!own?.varietyId) return { ...plant, ...own };
    // it was not sown with the others
    const { batchId: _, ...rest } = plant;
    return { ...rest, ...own };
  });
  const drafts: Draft[] = [];
  const seeds = sownAt(garden, idOf('Salt Snap'), id, stamps);
  if (seeds) {
    plants.push(seeds.plant);
    drafts.push(...seeds.drafts);
  }
  const batches: Batch[] = [
    ...garden.batches,
    {
      id: id('batch'),
      varietyId: idOf('Salt Snap'),
      sownOn: '2026-07-08',
      cameUpOn: '2026-07-14',
      seeds: 6,
      cameUp: 5,
      light: 'glass',
      ...stamps,
    },
    {
      id: id('batch'),
      varietyId: idOf('Bosun Short'),
      sownOn: '2026-07-12',
      seeds: 8,
      raisedAtCelsius: 22,
      light: 'sill',
      ...stamps,
    },
  ];
  const first = garden.containers.find((c) => c.label === '19');
  const plans: Plan[] = first
    ? [
        ...garden.plans,
        {
          id: id('plan'),
          containerId: first.id,
          cropId: 'tomato',
          habitId: 'dwarf',
          varietyName: 'Bosun Short',
          plantOn: '2026-08-04',
          isRelay: true,
          ...stamps,
        },
      ]
    : [...garden.plans];
  return {
    varieties,
    plants,
    batches,
    plans,
    containers: garden.containers.map((c) => (c.id === seeds?.container.id ? seeds.container : c)),
    entries: drafts.map((draft) => ({ ...draft, id: id('entry'), recordedAt: draft.at }) as Entry),
  };
}

/** Cucumber seed sown straight into a pot, beside its aubergine, and up after six days. */
function sownAt(
  garden: Garden,
  varietyId: string,
  id: (of: IdOf) => string,
  stamps: { readonly createdAt: string; readonly changedAt: string },
): { readonly container: Container; readonly plant: Plant; readonly drafts: readonly Draft[] } | undefined {
  const before = garden.containers.find((c) => c.label === '20');
  if (!before) return undefined;
  const station = { id: id('station') };
  const plant: Plant = { id: id('plant'), varietyId, ...stamps };
  const here = { containerId: before.id, stationId: station.id, plantId: plant.id };
  return {
    container: { ...before, stations: [...before.stations, station] },
    plant,
    drafts: [
      {
        kind: 'planted',
        at: momentAt('2026-07-03', 18, DEMO_EVENING),
        ...here,
        seedling: { stemMillimetres: 20, ballMillimetres: 20 },
        plantingMethodId: 'seed',
        seeds: 2,
      },
      { kind: 'stage', at: momentAt('2026-07-09', 8, DEMO_EVENING), ...here, stage: 'up' },
    ],
  };
}
