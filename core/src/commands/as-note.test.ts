import { describe, expect, it } from 'vitest';
import { NOW, read } from '../../test/command-line.ts';

const note = (line: string) => {
  const reading = read(line);
  if (reading.kind !== 'other' || !reading.asNote) return reading.kind;
  return reading.asNote.drafts.map((d) =>
    d.kind === 'note' ? [d.containerId, d.text, d.at.slice(5, 16)] : [d.kind],
  );
};

describe('a line of which nothing is made', () => {
  it('can be kept in its own words at the bags that it names', () => {
    expect(note('7 blew over')).toEqual([['con_7xxxxx', '7 blew over', '07-16T18:30']]);
    expect(note('Swapped 3 and 4 yesterday')).toEqual([
      ['con_3xxxxx', 'Swapped 3 and 4 yesterday', '07-15T18:30'],
      ['con_4xxxxx', 'Swapped 3 and 4 yesterday', '07-15T18:30'],
    ]);
    expect(read('7 blew over')).toMatchObject({ asNote: { drafts: [{ at: NOW }] } });
  });

  it('is of the garden where it names no bag', () => {
    expect(note('A fox was here last night')).toEqual([
      [undefined, 'A fox was here last night', '07-15T21:00'],
    ]);
  });

  it('is a note, and no water, where a word says what else was done with so much', () => {
    for (const line of [
      'topped up 7 with 10 L of compost',
      'repotted 7 into 50 L',
      'bought 3 bags of compost 60 L for 15',
    ])
      expect(read(line).kind, line).toBe('other');
  });

  it.each(['7', 'bag 7', '7 b', 'slipway', 'shopping list', 'fox', ''])(
    '%s may still be looked for',
    (line) => {
      expect(note(line)).toBe('other');
    },
  );

  it('is no note where a deed wants but a word more', () => {
    expect(note('watered 7')).toBe('unfinished');
  });
});
