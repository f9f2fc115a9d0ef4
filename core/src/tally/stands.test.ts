import { describe, expect, it } from 'vitest';
import {
  container,
  diary,
  noon,
  picked,
  plant,
  planted,
  smallGarden,
  variety,
} from '../../test/small-garden.ts';
import { addDays, type Day } from '../calendar/index.ts';
import { liveEntries, type Draft, type Garden } from '../records/index.ts';
import { comingOf, tallyContext } from './index.ts';

const bag = container('1');
const other = container('2');
const base = {
  containers: [bag, other],
  plants: [plant('one00001', 'var_redred'), plant('old00001', 'var_redred'), plant('two00001', 'var_bushy')],
  varieties: [variety('redred'), variety('bushy', { habitId: 'bush' })],
};
const contextOf = (drafts: readonly Draft[], more: Partial<Garden> = {}) => {
  const garden = smallGarden({ ...base, entries: [...diary(drafts)], ...more });
  return tallyContext(garden, liveEntries(garden.entries));
};
const begun = planted(bag, 'pla_one00001', '2026-05-20');
const coming = (drafts: readonly Draft[], today: Day, more: Partial<Garden> = {}) =>
  comingOf(contextOf(drafts, more), today);

/** Last summer in bag 2: a plant of the same variety, picked every four days. */
const lastSummer = (kilograms: number): readonly Draft[] => [
  planted(other, 'pla_old00001', '2025-05-20'),
  ...Array.from({ length: 16 }, (_, i) => picked(other, addDays('2025-08-01', 4 * i), { kilograms })),
  {
    kind: 'cleared',
    at: noon('2025-10-10'),
    containerId: other.id,
    stationId: 'stn_small02',
    plantId: 'pla_old00001',
  },
];

describe('what a bag is taken to bear before it has shown', () => {
  it('is what its variety gave in earlier seasons, drawn towards what is usual', () => {
    const [poor, usual, rich] = [lastSummer(0.05), [], lastSummer(0.8)].map(
      (before) => coming([...before, begun], '2026-06-20').rest.likely,
    );
    expect(poor).toBeLessThan(usual ?? 0);
    expect(rich).toBeGreaterThan(1.3 * (usual ?? 0));
    expect(rich).toBeLessThan(4 * (usual ?? 0));
  });

  it('ends with the first frost outdoors, and comes to more under cover', () => {
    const glass = smallGarden().places.map((p) => ({ ...p, cover: 'glass' as const }));
    const outdoors = coming([begun], '2026-06-20');
    const covered = coming([begun], '2026-06-20', { places: glass });
    expect(covered.rest.likely).toBeGreaterThan(outdoors.rest.likely);
    expect(outdoors.bags[0]?.until.slice(0, 4)).toBe('2026');
  });

  it('of a single flush is over after its weeks', () => {
    const flush = coming([planted(other, 'pla_two00001', '2026-05-20')], '2026-06-20');
    const season = coming([begun], '2026-06-20');
    expect((flush.bags[0]?.until ?? '') < (season.bags[0]?.until ?? '')).toBe(true);
  });
});

describe('a bag that has begun', () => {
  it('is foretold from its first picking, and one that is late from a few days on', () => {
    const early = coming([begun, picked(bag, '2026-07-10', { kilograms: 0.2 })], '2026-07-12');
    expect(early.week.likely).toBeGreaterThan(0.02);
    const late = coming([begun], '2026-09-10');
    expect(late.weeks[0]?.likely ?? 0).toBeLessThan(late.weeks[1]?.likely ?? 0);
  });

  it('that gives nothing for weeks is expected to give less', () => {
    const picks = (days: readonly Day[]) => days.map((day) => picked(bag, day, { kilograms: 0.25 }));
    const steady = coming(
      [begun, ...picks(['2026-07-20', '2026-07-24', '2026-07-28', '2026-08-01', '2026-08-05', '2026-08-09'])],
      '2026-08-10',
    );
    const stalled = coming([begun, ...picks(['2026-07-20', '2026-07-24'])], '2026-08-10');
    expect(stalled.week.likely).toBeLessThan(0.7 * steady.week.likely);
    expect(stalled.week.likely).toBeGreaterThan(0);
  });

  it('does not know what is picked tomorrow', () => {
    const known = [begun, picked(bag, '2026-07-20', { kilograms: 0.25 })];
    const later = [...known, picked(bag, '2026-07-29', { kilograms: 9 })];
    expect(coming(later, '2026-07-25').week).toEqual(coming(known, '2026-07-25').week);
  });
});
