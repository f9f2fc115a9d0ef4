import { describe, expect, it } from 'vitest';
import type { Entry } from './entry.ts';
import { givenTogether } from './together.ts';

const AT = '2026-07-16T18:00:00.000+01:00';
const base = { at: AT, recordedAt: AT, containerId: 'con_abcdef' };
const water = (id: string, more: object = {}): Entry => ({
  ...{ kind: 'watering', id, ...base, litres: 2, isMeasured: true, ranThrough: false },
  ...more,
});
const feed = (id: string, productId: string): Entry => ({
  ...{ kind: 'fed', id, ...base, productId, amount: 8, unit: 'millilitre', litres: 2 },
});
const idsBeside = (live: readonly Entry[], entry: Entry) => givenTogether(live, entry).map(({ id }) => id);

describe('what was given in one go', () => {
  const [cans, partA, partB] = [
    water('ent_cans01'),
    feed('ent_parta1', 'part-a'),
    feed('ent_partb1', 'part-b'),
  ];
  const all = [cans, partA, partB];

  it('is a feed of two parts and the water that they were in', () => {
    expect(idsBeside(all, partA)).toEqual(['ent_cans01', 'ent_partb1']);
    expect(idsBeside(all, cans)).toEqual(['ent_parta1', 'ent_partb1']);
  });

  it('is not a watering at another bag, at another time, or put down at another', () => {
    const others = [
      water('ent_other1', { containerId: 'con_others' }),
      water('ent_later1', { at: '2026-07-16T19:00:00.000+01:00' }),
      water('ent_again1', { recordedAt: '2026-07-16T19:00:00.000+01:00' }),
    ];
    expect(idsBeside([...others, partA], partA)).toEqual([]);
  });

  it('is neither two waterings without a feed, nor a note beside one', () => {
    expect(idsBeside([cans, water('ent_cans02')], cans)).toEqual([]);
    const note: Entry = { kind: 'note', id: 'ent_note01', ...base, text: 'pale' };
    expect(idsBeside([cans, note], note)).toEqual([]);
  });
});
