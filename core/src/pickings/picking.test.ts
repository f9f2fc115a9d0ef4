import { describe, expect, it } from 'vitest';
import type { EntryOf } from '../records/index.ts';
import { kilogramsOf, pickedYears, pickingsOf, tallyPickings } from './tally.ts';

const picking = (
  n: number,
  containerId: string,
  day: string,
  more: Partial<EntryOf<'picking'>>,
): EntryOf<'picking'> => ({
  id: `ent_pick00${n}`,
  kind: 'picking',
  at: `${day}T18:00:00.000+01:00`,
  recordedAt: `${day}T18:00:00.000+01:00`,
  containerId,
  ...more,
});

describe('the tally', () => {
  const tallies = tallyPickings([
    picking(1, 'con_aaaaaa', '2026-07-01', { kilograms: 0.2, count: 3 }),
    picking(2, 'con_bbbbbb', '2026-07-02', { kilograms: 0.9 }),
    picking(3, 'con_aaaaaa', '2026-07-04', { kilograms: 0.3 }),
    picking(4, 'con_aaaaaa', '2026-07-04', { kilograms: 0.1 }),
    picking(5, 'con_aaaaaa', '2026-07-09', { count: 4 }),
  ]);

  it('is by bag, heaviest first', () => {
    expect(tallies.map((t) => t.containerId)).toEqual(['con_bbbbbb', 'con_aaaaaa']);
  });

  it('has total, count, first and last day, and says what was not weighed', () => {
    expect(tallies[1]).toMatchObject({
      pickings: 4,
      count: 7,
      unweighed: 1,
      firstOn: '2026-07-01',
      lastOn: '2026-07-09',
    });
    expect(tallies[1]?.kilograms).toBeCloseTo(0.6, 10);
  });

  it('adds up day by day', () => {
    expect(tallies[1]?.cumulative.map((c) => [c.day, Math.round(c.kilograms * 10) / 10])).toEqual([
      ['2026-07-01', 0.2],
      ['2026-07-04', 0.6],
      ['2026-07-09', 0.6],
    ]);
  });

  it('of nothing is nothing', () => {
    expect(tallyPickings([])).toEqual([]);
  });
});

describe('pickings of several years', () => {
  const all = [
    picking(1, 'con_aaaaaa', '2025-07-04', { kilograms: 0.5 }),
    picking(2, 'con_aaaaaa', '2025-09-20', { kilograms: 1.5 }),
    picking(3, 'con_bbbbbb', '2026-07-04', { kilograms: 0.25 }),
    picking(4, 'con_aaaaaa', '2026-07-05', { count: 2 }),
  ];

  it('are told by their years, latest first', () => {
    expect(pickedYears(all)).toEqual([2026, 2025]);
    expect(pickedYears([...all].reverse())).toEqual([2026, 2025]);
    expect(pickedYears([])).toEqual([]);
  });

  it('are summed by year, and up to a day of it with that day in it', () => {
    expect(kilogramsOf(pickingsOf(all, 2025))).toBe(2);
    expect(kilogramsOf(pickingsOf(all, 2025, '07-04'))).toBe(0.5);
    expect(kilogramsOf(pickingsOf(all, 2025, '07-03'))).toBe(0);
    expect(tallyPickings(pickingsOf(all, 2026)).map((t) => [t.containerId, t.kilograms])).toEqual([
      ['con_bbbbbb', 0.25],
      ['con_aaaaaa', 0],
    ]);
  });

  it('of all years come to the same as all pickings', () => {
    const byYear = pickedYears(all).map((year) => kilogramsOf(pickingsOf(all, year)));
    expect(byYear.reduce((a, b) => a + b, 0)).toBe(kilogramsOf(all));
  });
});
