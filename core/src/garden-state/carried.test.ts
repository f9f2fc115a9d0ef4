import { describe, expect, it } from 'vitest';
import { liveEntries, type Container, type Entry } from '../records/index.ts';
import { carriedTo, movesOf, placeAt } from './carried.ts';

const at = (day: number) => `2026-07-${String(day).padStart(2, '0')}T12:00:00.000+01:00`;
const bag = { id: 'con_aaaaaa', placeId: 'plc_kitchen' } as Container;
const move = (id: string, day: number, fromPlaceId: string, toPlaceId: string, more = {}): Entry => ({
  kind: 'moved',
  id: `ent_move00${id}`,
  at: at(day),
  recordedAt: at(20),
  containerId: bag.id,
  fromPlaceId,
  toPlaceId,
  ...more,
});
const removed = (id: string): Entry => ({
  kind: 'removed',
  id: `ent_gone00${id}`,
  at: at(21),
  recordedAt: at(21),
  removes: `ent_move00${id}`,
});
const first = move('1', 5, 'plc_door', 'plc_garage');
const second = move('2', 9, 'plc_garage', 'plc_kitchen');
const carried = (before: readonly Entry[], after: readonly Entry[]) => [
  ...carriedTo([bag], liveEntries(before), liveEntries(after)),
];

describe('where a bag stood', () => {
  const moves = movesOf(bag.id, liveEntries([second, first]));

  it.each([
    [4, 'plc_door'],
    [5, 'plc_garage'],
    [8, 'plc_garage'],
    [9, 'plc_kitchen'],
    [30, 'plc_kitchen'],
  ] as const)('on the %s', (day, place) => {
    expect(placeAt(bag, moves, at(day))).toBe(place);
  });

  it('is where it stands, where it was never carried', () => {
    expect(placeAt(bag, [], at(1))).toBe('plc_kitchen');
  });
});

describe('where a bag stands when its moves are others', () => {
  it('is where the last one left brought it', () => {
    expect(carried([first, second], [first, second, removed('2')])).toEqual([[bag.id, 'plc_garage']]);
  });

  it('is where it was before the first, where none is left', () => {
    expect(carried([second], [second, removed('2')])).toEqual([[bag.id, 'plc_garage']]);
  });

  it('is the same for one that is put down late, before another', () => {
    expect(carried([second], [second, move('3', 7, 'plc_door', 'plc_roof')])).toEqual([]);
  });

  it('follows a correction, of the place or of the day', () => {
    const corrected = move('4', 9, 'plc_garage', 'plc_roof', { replaces: second.id });
    expect(carried([first, second], [first, second, corrected])).toEqual([[bag.id, 'plc_roof']]);
    const earlier = move('5', 3, 'plc_door', 'plc_kitchen', { replaces: second.id });
    expect(carried([first, second], [first, second, earlier])).toEqual([[bag.id, 'plc_garage']]);
  });

  it('is nothing new where other things were put down', () => {
    const note: Entry = { kind: 'note', id: 'ent_note01', at: at(22), recordedAt: at(22), text: 'windy' };
    expect(carried([first, second], [first, second, note])).toEqual([]);
  });
});
