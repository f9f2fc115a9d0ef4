import { propertiesOf } from '../src/garden-state/index.ts';
import { momentAt } from '../src/calendar/index.ts';
import type { Garden, Draft, Entry, Container, IdOf, OwnProduct, Pack } from '../src/records/index.ts';
import { DEMO_EVENING } from './evening.ts';

/** Packs that the yard's supplier had, and what they cost that spring; litres, kilograms, pieces or metres. */
const PACKS: readonly (readonly [productId: string, amount: number, price: number])[] = [
  ['bought-mix', 20, 4.2],
  ['bought-mix', 40, 6.9],
  ['bought-mix', 60, 9.5],
  ['peat-free-mix', 40, 7.6],
  ['peat-free-mix', 50, 8.9],
  ['bark', 40, 6.5],
  ['coir', 9, 2.6],
  ['coir', 70, 13.5],
  ['garden-compost', 40, 0],
  ['perlite', 10, 5.4],
  ['perlite', 100, 29],
  ['loam', 20, 4.8],
  ['lime', 3, 5.2],
  ['balanced-organic', 2.5, 8.4],
  ['balanced-organic', 10, 24],
  ['bone-meal', 1.5, 5.1],
  ['tomato-liquid', 1, 4.5],
  ['tomato-liquid', 2.5, 8.9],
  ['balanced-soluble', 0.5, 5.6],
  ['tomato-organic', 2.5, 8.8],
  ['casts', 5, 7.5],
  ['slow-release', 1, 7.9],
  ['leafy-liquid', 1, 4.9],
  ['feed-spikes', 20, 4.4],
  ['rotted-manure', 25, 6],
  ['fish-liquid', 1, 7.4],
  ['nutrient-a', 1, 6.2],
  ['nutrient-b', 1, 6.2],
  ['cane-long', 20, 11],
  ['string', 50, 3.5],
];

/** What came into the shed: good, day, amount, money paid. */
const BOUGHT: readonly (readonly [productId: string, day: string, amount: number, paid: number])[] = [
  ['bought-mix', '2026-05-09', 480, 76],
  ['peat-free-mix', '2026-05-09', 150, 26.7],
  ['bark', '2026-05-10', 120, 19.5],
  ['coir', '2026-05-10', 149, 29.6],
  ['perlite', '2026-05-12', 100, 29],
  ['loam', '2026-05-14', 60, 14.4],
  ['balanced-organic', '2026-05-14', 2.5, 8.4],
  ['lime', '2026-05-14', 3, 5.2],
  ['tomato-liquid', '2026-06-06', 2.5, 8.9],
  ['balanced-soluble', '2026-05-16', 0.5, 5.6],
  ['nutrient-a', '2026-05-16', 1, 6.2],
  ['nutrient-b', '2026-05-16', 1, 6.2],
  ['cane-long', '2026-05-20', 20, 11],
  ['string', '2026-05-20', 50, 3.5],
];

/** Prices that somebody noticed: sacks are cheapest when the season ends. */
const SEEN: readonly (readonly [productId: string, day: string, amount: number, price: number])[] = [
  ['bought-mix', '2025-09-20', 60, 6.4],
  ['bought-mix', '2025-10-11', 60, 5.9],
  ['bought-mix', '2026-03-14', 60, 9.9],
  ['bought-mix', '2026-06-20', 60, 9],
  ['peat-free-mix', '2025-10-04', 50, 6.2],
];

/** Gannet Slip's shed: what was bought, how each bag was filled in the week before planting, and other money spent. */
export function shedOf(
  garden: Garden,
  stamps: { readonly createdAt: string; readonly changedAt: string },
  id: (of: IdOf) => string,
): {
  readonly products: readonly OwnProduct[];
  readonly packs: readonly Pack[];
  readonly entries: readonly Entry[];
} {
  const kelp: OwnProduct = {
    id: id('product'),
    name: 'Harbour kelp meal 1-1-4',
    kind: 'amendment',
    unit: 'kilogram',
    label: { n: 1, p2o5: 1, k2o: 4 },
    kilogramsPerLitre: 0.5,
    isOrganic: true,
    isDusty: true,
    ...stamps,
  };
  const packs = PACKS.map(([productId, amount, price]) => ({
    id: id('pack'),
    productId,
    amount,
    price,
    ...stamps,
  }));
  const on = (day: string, hour: number) => momentAt(day, hour, DEMO_EVENING);
  const drafts: Draft[] = [
    ...SEEN.map(([productId, day, amount, price]): Draft => ({
      kind: 'priced',
      at: on(day, 11),
      productId,
      amount,
      price,
    })),
    ...BOUGHT.map(([productId, day, amount, paid]): Draft => ({
      kind: 'bought',
      at: on(day, 11),
      productId,
      amount,
      paid,
    })),
    ...garden.containers.map((container) => filledDraft(container, garden, on('2026-05-16', 10))),
    { kind: 'counted', at: on('2026-04-02', 15), productId: 'garden-compost', amount: 300 },
    { kind: 'counted', at: on('2026-04-02', 15), productId: 'cage', amount: 6 },
    { kind: 'counted', at: on('2026-04-02', 15), productId: kelp.id, amount: 1.2 },
    { kind: 'spent', at: on('2026-03-28', 12), on: 'seed', price: 14.5, containerIds: [] },
    {
      kind: 'spent',
      at: on('2026-05-02', 12),
      on: 'current',
      price: 8.6,
      containerIds: [],
      asEntered: 'two lamps, six weeks',
    },
    { kind: 'worked', at: on('2026-05-16', 17), minutes: 190, containerIds: [] },
  ];
  const entries = drafts.map((draft) => ({ ...draft, id: id('entry'), recordedAt: draft.at }) as Entry);
  return { products: [kelp], packs, entries };
}

/** A pillow bag is bought full; everything else was filled that Saturday, some of it with last year's mix. */
function filledDraft(container: Container, garden: Garden, at: string): Draft {
  const { looseLitres } = propertiesOf(container, garden).fill;
  const attachment = container.label === '5' || container.label === '7' ? looseLitres / 2 : 0;
  const litres = Math.round((looseLitres - attachment) * 10) / 10;
  const isPillow = container.kindId === 'pillow';
  return {
    kind: 'filled',
    at,
    containerId: container.id,
    layers: [{ mixId: container.mixId, litres }],
    keptLitres: Math.round(attachment * 10) / 10,
    practiceId: 'moisten-first',
    amendments: isPillow
      ? []
      : [{ productId: 'balanced-organic', grams: 70, where: 'mixed', asEntered: '2 handfuls' }],
  };
}
