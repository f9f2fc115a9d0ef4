import { describe, expect, it } from 'vitest';
import type { Entry } from '../records/index.ts';
import { missedRounds } from './missed-rounds.ts';

const check = (containerId: string, day: number, grade: number): Entry => {
  const at = `2026-07-${String(day).padStart(2, '0')}T18:00:00.000+01:00`;
  const id = `ent_${containerId}${day}`;
  return { kind: 'check', id, at, recordedAt: at, containerId, check: { method: 'finger', grade } };
};
const days = (containerId: string, list: readonly (readonly [number, number])[]) =>
  list.map(([day, grade]) => check(containerId, day, grade));

describe('rounds that were missed', () => {
  it('show in bags that were found dry after longer than is usual for them', () => {
    const entries = [
      ...days('con_a', [
        [1, 3],
        [2, 3],
        [3, 3],
        [4, 3],
        [7, 1],
        [8, 3],
      ]),
      ...days('con_b', [
        [1, 3],
        [3, 4],
        [5, 3],
        [9, 2],
        [11, 4],
      ]),
    ];
    expect(missedRounds(['con_a', 'con_b'], entries, '2026-07-12')).toEqual([
      { day: '2026-07-07', containerIds: ['con_a'] },
      { day: '2026-07-09', containerIds: ['con_b'] },
    ]);
  });

  it('are none where bags were found well, are dry at their usual days, or have hardly a habit yet', () => {
    const well = days('con_a', [
      [1, 3],
      [2, 3],
      [3, 3],
      [4, 3],
      [7, 4],
    ]);
    const usual = days('con_b', [
      [1, 2],
      [3, 2],
      [5, 2],
      [7, 2],
      [9, 1],
    ]);
    const fresh = days('con_c', [
      [1, 3],
      [2, 3],
      [9, 1],
    ]);
    expect(missedRounds(['con_a', 'con_b', 'con_c'], [...well, ...usual, ...fresh], '2026-07-12')).toEqual(
      [],
    );
  });

  it('are let go after three weeks', () => {
    const entries = days('con_a', [
      [1, 3],
      [2, 3],
      [3, 3],
      [4, 3],
      [7, 1],
    ]);
    expect(missedRounds(['con_a'], entries, '2026-07-12')).toHaveLength(1);
    expect(missedRounds(['con_a'], entries, '2026-08-02')).toEqual([]);
  });
});
