import { addDays, momentAt } from '../src/calendar/index.ts';
import { chanceFrom } from '../hidden/index.ts';
import {
  ID_PREFIXES,
  type Container,
  type Draft,
  type Entry,
  type Garden,
  type IdOf,
  type Trial,
} from '../src/records/index.ts';
import { DEMO_EVENING } from './evening.ts';

/** Bosun Short on the roof deck last summer: who was watered every evening, and who every other. */
const EVENINGS = { every: ['11', '15', '20'], other: ['10', '12', '24'] };
/** This summer: home-made bark and coir against the others. */
const MIXES = { bark: ['12'], others: ['11', '15'] };

/** What the shop in the harbour asks for a kilogram. */
const SHOP_PRICES = { tomato: 4.6, pepper: 6.2, aubergine: 5.1, cucumber: 2.8 };

/** Green fruit that came in before the end last October, by bag. */
const GREEN = [
  ['5', 9],
  ['6', 7],
  ['18', 11],
] as const;

/** How the green ones went: eaten and thrown out, week by week. */
const GREEN_WEEKS = [
  [0, 1],
  [6, 1],
  [8, 0],
  [7, 1],
  [3, 0],
] as const;

/** Minutes on the round, a week at a time. */
const WEEKLY_MINUTES = [95, 110, 120, 150, 140, 165, 180, 170];

/**
 * What the neighbours made of their harvest: two trials, fruit on the shelf last autumn and now, keepers through the winter, what was
 * given away, the shop's prices and the time that it took.
 */
export function harvestOfSlip(
  garden: Garden,
  seed: number,
): {
  readonly trials: readonly Trial[];
  readonly settings: Garden['settings'];
  readonly entries: readonly Entry[];
} {
  const chance = chanceFrom(seed + 61_000);
  const id = (of: IdOf) => `${ID_PREFIXES[of]}_${chance.letters(12)}`;
  const bag = (label: string): Container => {
    const found = garden.containers.find((c) => c.label === label);
    if (!found) throw new Error(`the harvest names what is not there: ${label}`);
    return found;
  };
  const noon = (day: string) => momentAt(day, 12.25, DEMO_EVENING);
  const autumn = (day: string) => momentAt(day, 17, `${day}T12:00:00.000+01:00`);
  const stamps = { createdAt: autumn('2025-05-30'), changedAt: autumn('2025-05-30') };
  const units = (labels: readonly string[], treatmentId: string, season: number) =>
    labels.map((label) => ({ containerId: bag(label).id, treatmentId, season }));
  const trials: Trial[] = [
    {
      id: id('trial'),
      name: 'Watered every evening or every other',
      treatments: [
        { id: 'a', name: 'every other evening' },
        { id: 'b', name: 'every evening' },
      ],
      units: [...units(EVENINGS.other, 'a', 2025), ...units(EVENINGS.every, 'b', 2025)],
      measure: 'kilograms',
      note: 'Dwarf tomatoes on the deck, drawn out of a hat.',
      ...stamps,
    },
    {
      id: id('trial'),
      name: 'Bark and coir, or the rest',
      treatments: [
        { id: 'a', name: 'other mixes' },
        { id: 'b', name: 'bark and coir' },
      ],
      units: [...units(MIXES.others, 'a', 2026), ...units(MIXES.bark, 'b', 2026)],
      measure: 'kilograms',
      createdAt: noon('2026-05-26'),
      changedAt: noon('2026-05-26'),
    },
  ];
  const green = id('lot');
  const keepers = id('lot');
  const blush = id('lot');
  const drafts: Draft[] = [
    ...GREEN.map(([label, count]): Draft => ({
      kind: 'picking',
      at: autumn('2025-10-03'),
      containerId: bag(label).id,
      count,
      stage: 'green',
      use: 'stored',
      lotId: green,
    })),
    { kind: 'shelved', at: autumn('2025-10-03'), lotId: green, name: 'Crate in the sail loft', celsius: 15 },
    ...GREEN_WEEKS.map(([eaten, lost], i): Draft => ({
      kind: 'shelf-check',
      at: autumn(addDays('2025-10-10', 7 * i)),
      lotId: green,
      ...(eaten > 0 ? { eaten } : {}),
      ...(lost > 0 ? { lost } : {}),
    })),
    {
      kind: 'shelved',
      at: autumn('2025-10-12'),
      lotId: keepers,
      name: 'Keepers from the cousin',
      cropId: 'tomato',
      celsius: 12,
      count: 24,
      stage: 'blush',
      fruitsAWeek: 2,
      keepsMonths: 4,
    },
    ...Array.from({ length: 11 }, (_, i): Draft => {
      const at = autumn(addDays('2025-10-26', 7 * i));
      const lost = i % 5 === 3 ? 1 : 0;
      return { kind: 'shelf-check', at, lotId: keepers, eaten: 2, ...(lost > 0 ? { lost } : {}) };
    }),
    {
      kind: 'picking',
      at: noon('2026-07-12'),
      containerId: bag('13').id,
      count: 8,
      kilograms: 0.49,
      stage: 'blush',
      use: 'stored',
      lotId: blush,
    },
    { kind: 'shelved', at: noon('2026-07-12'), lotId: blush, celsius: 19 },
    ...WEEKLY_MINUTES.map((minutes, i): Draft => ({
      kind: 'worked',
      at: noon(addDays('2026-05-24', 7 * i)),
      minutes,
      containerIds: [],
      during: 'round',
    })),
  ];
  return {
    trials,
    settings: { ...garden.settings, shopPrices: SHOP_PRICES },
    entries: drafts.map((draft) => ({ ...draft, id: id('entry'), recordedAt: draft.at }) as Entry),
  };
}
