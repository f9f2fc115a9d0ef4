import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import type { Entry, EntryOf } from '../records/index.ts';
import { drierPlant, effectiveChecks } from './index.ts';

const at = (day: number, minute: number) =>
  `2026-07-${String(day).padStart(2, '0')}T18:${String(minute).padStart(2, '0')}:00.000+01:00`;

let made = 0;
const base = (moment: string) => ({
  id: `ent_look${String(++made).padStart(4, '0')}`,
  at: moment,
  recordedAt: moment,
  containerId: 'con_longbag',
});

/** A check by finger, at the left or right plant, or at the whole bag. */
function felt(
  grade: number,
  where: 'left' | 'right' | undefined,
  moment: string,
): EntryOf<'check'> & { readonly check: { readonly grade: number } } {
  return {
    ...base(moment),
    kind: 'check',
    check: { method: 'finger', grade },
    ...(where ? { stationId: `stn_${where}` } : {}),
  };
}
const watering = (moment: string): Entry => ({
  ...base(moment),
  kind: 'watering',
  litres: 3,
  isMeasured: true,
  ranThrough: true,
});
const visit = (day: number, left: number, right: number) => [
  felt(left, 'left', at(day, 0)),
  felt(right, 'right', at(day, 2)),
];

describe('looks that stand for a bag', () => {
  it('are the last one when it was at the whole bag', () => {
    const last = felt(4, undefined, at(1, 9));
    expect(effectiveChecks([...visit(1, 1, 2), last])).toEqual([last]);
    expect(effectiveChecks([])).toEqual([]);
  });

  it('are the last at each plant otherwise, driest first', () => {
    const [left, right] = visit(1, 4, 2) as [EntryOf<'check'>, EntryOf<'check'>];
    expect(effectiveChecks([felt(1, undefined, at(1, 0)), left, right])).toEqual([right, left]);
    const again = felt(1, 'left', at(1, 5));
    expect(effectiveChecks([left, right, again])).toEqual([again, right]);
  });
});

describe('the plant that usually stands driest', () => {
  it('is told after three visits that agree, and how often it was', () => {
    const two = [...visit(1, 4, 2), ...visit(2, 3, 2)];
    expect(drierPlant(two, DEFAULT_ASSUMED)).toBeUndefined();
    expect(drierPlant(two, { drierVisits: 2, drierPart: 0.9 })).toMatchObject({ times: 2, visits: 2 });
    expect(drierPlant([...two, ...visit(3, 5, 3)], DEFAULT_ASSUMED)).toEqual({
      stationId: 'stn_right',
      times: 3,
      visits: 3,
    });
    expect(drierPlant([...two, ...visit(3, 5, 3), ...visit(4, 1, 2)], DEFAULT_ASSUMED)).toMatchObject({
      times: 3,
      visits: 4,
    });
  });

  it('is none when they take turns, feel alike, or were not felt on one visit', () => {
    expect(
      drierPlant(
        [...visit(1, 4, 2), ...visit(2, 2, 4), ...visit(3, 4, 2), ...visit(4, 1, 2)],
        DEFAULT_ASSUMED,
      ),
    ).toBeUndefined();
    expect(
      drierPlant(
        [1, 2, 3, 4].flatMap((day) => visit(day, 3, 3)),
        DEFAULT_ASSUMED,
      ),
    ).toBeUndefined();
    const apart = [1, 2, 3].flatMap((day) => [
      felt(4, 'left', at(day, 0)),
      felt(2, 'right', at(day + 10, 0)),
    ]);
    expect(
      drierPlant(
        apart.sort((a, b) => (a.at < b.at ? -1 : 1)),
        DEFAULT_ASSUMED,
      ),
    ).toBeUndefined();
  });

  it('a drink between two looks parts them', () => {
    const parted = [1, 2, 3].flatMap((day) => {
      const [left, right] = visit(day, 2, 4) as [Entry, Entry];
      return [left, watering(at(day, 1)), right];
    });
    expect(drierPlant(parted, DEFAULT_ASSUMED)).toBeUndefined();
  });
});
