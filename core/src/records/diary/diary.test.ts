import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addedSince,
  correctionsThatGaveWay,
  entriesAt,
  entriesOfKind,
  liveEntries,
  liveWith,
} from './live.ts';
import { entrySchema, type Entry, type EntryOf } from './entry.ts';

const at = (minute: number) => `2026-07-16T18:${String(minute).padStart(2, '0')}:00.000+01:00`;
const check = (n: number, more: Partial<EntryOf<'check'>> = {}): Entry => ({
  id: `ent_look00${n}`,
  kind: 'check',
  at: at(n),
  recordedAt: at(n),
  containerId: 'con_abcdef',
  check: { method: 'finger', grade: 2 },
  ...more,
});
const removal = (n: number, removes: string): Entry => ({
  id: `ent_gone00${n}`,
  kind: 'removed',
  at: at(30 + n),
  recordedAt: at(30 + n),
  removes,
});
const ids = (entries: readonly Entry[]) => entries.map((e) => e.id);

describe('what counts in a diary', () => {
  it('what has come is counted as if all had been gone through anew, whatever names what', () => {
    const draw = fc.array(
      fc.record({
        minute: fc.nat(9),
        names: fc.option(fc.nat(9)),
        isRemoval: fc.boolean(),
        zone: fc.boolean(),
      }),
      { minLength: 1, maxLength: 10 },
    );
    fc.assert(
      fc.property(draw, fc.nat(10), (drawn, known) => {
        const entries = drawn.map(({ minute, names, isRemoval, zone }, n) => {
          const target = names === null ? undefined : `ent_look00${names}`;
          const entry = check(n, target === undefined || isRemoval ? {} : { replaces: target });
          // the same moment as it is written an hour further east
          const when = zone ? at(minute).replace('T18', 'T19').replace('+01', '+02') : at(minute);
          const row =
            target !== undefined && isRemoval ? { ...removal(n, target), id: `ent_look00${n}` } : entry;
          return { ...row, at: when };
        });
        const before = entries.slice(0, known);
        const added = addedSince(before, entries);
        expect(added).toBe(entries.length - before.length);
        expect(liveWith(liveEntries(before), entries, added ?? 0)).toEqual(liveEntries(entries));
        expect(addedSince(entries, before)).toBe(before.length === entries.length ? 0 : undefined);
      }),
      { numRuns: 500 },
    );
  });

  it('entries of a kind stand in the order of the diary', () => {
    const live = liveEntries([
      check(3),
      removal(1, 'ent_other'),
      check(1),
      { ...check(2), kind: 'note', text: 'x' } as Entry,
    ]);
    expect(ids(entriesOfKind(live, 'check'))).toEqual(['ent_look001', 'ent_look003']);
    expect(entriesOfKind(live, 'watering')).toEqual([]);
  });

  it('a tombstone takes an entry out, a tombstone of the tombstone brings it back', () => {
    const first = check(1);
    const gone = removal(1, first.id);
    const back = removal(2, gone.id);
    expect(ids(liveEntries([first, gone]))).toEqual([]);
    expect(ids(liveEntries([first, gone, back]))).toEqual([first.id]);
    expect(ids(liveEntries([first, gone, back, removal(3, back.id)]))).toEqual([]);
  });

  it('a correction takes the place of what it corrects, and gives it back when it is removed', () => {
    const first = check(1);
    const better = check(2, { replaces: first.id, check: { method: 'finger', grade: 4 } });
    expect(ids(liveEntries([first, better]))).toEqual([better.id]);
    expect(ids(liveEntries([first, better, removal(1, better.id)]))).toEqual([first.id]);
  });

  it('of two corrections made on two devices the later counts', () => {
    const first = check(1);
    const mine = check(2, { replaces: first.id });
    const theirs = check(3, { replaces: first.id });
    expect(ids(liveEntries([first, theirs, mine]))).toEqual([theirs.id]);
  });

  it('the correction that gave way is told beside the one that counts, unless it was taken back or put right itself', () => {
    const first = check(1);
    const mine = check(2, { replaces: first.id });
    const theirs = check(3, { replaces: first.id });
    const told = (entries: readonly Entry[]) =>
      [...correctionsThatGaveWay(entries, liveEntries(entries))].map(([id, all]) => [id, ids(all)]);
    expect(told([first, mine, theirs])).toEqual([[theirs.id, [mine.id]]]);
    expect(told([first, mine, theirs, removal(1, mine.id)])).toEqual([]);
    expect(told([first, mine, check(4, { replaces: mine.id })])).toEqual([]);
    expect(told([first, mine])).toEqual([]);
  });

  it('is in order of when things happened, not of when they were written down', () => {
    const late = check(1, { recordedAt: at(50) });
    expect(ids(liveEntries([check(5), late, check(3)]))).toEqual([
      'ent_look001',
      'ent_look003',
      'ent_look005',
    ]);
  });

  it('does not fall over entries that remove one another in a ring', () => {
    const a: Entry = { ...removal(1, 'ent_gone002') };
    const b: Entry = { ...removal(2, 'ent_gone001') };
    expect(ids(liveEntries([check(1), a, b]))).toEqual(['ent_look001']);
  });

  it('depends on the set of entries alone: order and repeats of the merge do not matter', () => {
    const target = fc.integer({ min: 0, max: 9 });
    const diary = fc
      .array(fc.record({ kind: fc.constantFrom('check', 'correct', 'remove'), target }), { maxLength: 10 })
      .map((steps) =>
        steps.map(({ kind, target: to }, n): Entry => {
          // only what is older can be corrected or removed
          const id = n === 0 ? undefined : `ent_step${String(to % n).padStart(3, '0')}`;
          const own = { id: `ent_step${String(n).padStart(3, '0')}`, at: at(n), recordedAt: at(n) };
          if (kind === 'remove' && id) return { ...own, kind: 'removed', removes: id };
          return {
            ...(check(n) as EntryOf<'check'>),
            ...own,
            ...(kind === 'correct' && id ? { replaces: id } : {}),
          };
        }),
      );
    fc.assert(
      fc.property(diary, fc.integer(), (entries, seed) => {
        const shuffled = [...entries].sort((a, b) => (a.id + seed < b.id + seed ? 1 : -1));
        expect(ids(liveEntries(shuffled))).toEqual(ids(liveEntries(entries)));
      }),
    );
  });
});

describe('the entries of one container', () => {
  const there = (n: number) => check(n, { containerId: 'con_other1' });

  it('are its own, in the order of the diary, and none for one that is not in it', () => {
    const live = [check(1), there(2), check(3), there(4)];
    expect(ids(entriesAt(live, 'con_abcdef'))).toEqual(['ent_look001', 'ent_look003']);
    expect(ids(entriesAt(live, 'con_other1'))).toEqual(['ent_look002', 'ent_look004']);
    expect(entriesAt(live, 'con_nobody')).toEqual([]);
  });

  it('are grouped again when the list that they come from has grown', () => {
    const growing = [check(1)];
    expect(entriesAt(growing, 'con_abcdef')).toHaveLength(1);
    growing.push(check(2));
    expect(entriesAt(growing, 'con_abcdef')).toHaveLength(2);
  });
});

describe('the schema of entries', () => {
  const product: Record<string, unknown>[] = [
    check(1),
    { ...check(2), check: { method: 'lift', grade: 3 } },
    {
      id: 'ent_drink1',
      kind: 'watering',
      at: at(1),
      recordedAt: at(1),
      containerId: 'con_abcdef',
      litres: 6.75,
      isMeasured: true,
      ranThrough: false,
      asEntered: '¾ can',
    },
    { id: 'ent_pick001', kind: 'picking', at: at(1), recordedAt: at(1), containerId: 'con_abcdef', count: 3 },
    {
      id: 'ent_weather',
      kind: 'weather',
      at: at(1),
      recordedAt: at(1),
      day: '2026-07-15',
      minCelsius: 12,
      maxCelsius: 29,
      source: 'typed',
    },
    removal(1, 'ent_look001'),
  ];
  it.each(product)('takes %o', (entry) => {
    expect(entrySchema.parse(entry)).toEqual(entry);
  });

  it.each([
    ['a grade that is not there', { ...check(1), check: { method: 'finger', grade: 6 } }],
    ['a lift of five', { ...check(1), check: { method: 'lift', grade: 5 } }],
    ['a drink of nothing', { ...product[2], litres: 0 }],
    ['a picking without weight or count', { ...product[3], count: undefined }],
    ['a night warmer than its day', { ...product[4], minCelsius: 30 }],
    ['a day that does not exist', { ...product[4], day: '2026-02-30' }],
    ['a time without its offset', { ...check(1), at: '2026-07-16T18:00:00' }],
    ['the id of something else', { ...check(1), containerId: 'ent_abcdef' }],
    ['a kind that nobody knows', { ...check(1), kind: 'sung-to' }],
  ])('refuses %s', (_, entry) => {
    expect(entrySchema.safeParse(entry).success).toBe(false);
  });
});

describe('a chain as long as a diary', () => {
  const base = { at: '2026-07-01T10:00:00.000+01:00', recordedAt: '2026-07-01T10:00:00.000+01:00' };
  const note: Entry = { ...base, id: 'ent_chain00000', kind: 'note', text: 'first' };
  const id = (n: number) => `ent_chain${String(n).padStart(5, '0')}`;

  it.each([8000, 8001])('of %d removals of removals is followed to its end', (count) => {
    const removals = Array.from({ length: count }, (_, n): Entry => ({
      ...base,
      id: id(n + 1),
      kind: 'removed',
      removes: id(n),
    }));
    // the last one counts, so that every second one before it does
    expect(liveEntries([note, ...removals])).toHaveLength(count % 2 === 0 ? 1 : 0);
  });

  it('a correction that is corrected does not bring the first back', () => {
    const corrected: Entry = { ...note, id: id(1), replaces: note.id, text: 'second' };
    const again: Entry = { ...note, id: id(2), replaces: corrected.id, text: 'third' };
    expect(liveEntries([note, corrected, again]).map((e) => e.id)).toEqual([again.id]);
    // and when it is taken back, the one before it counts again
    const back: Entry = { ...base, id: id(3), kind: 'removed', removes: again.id };
    expect(liveEntries([note, corrected, again, back]).map((e) => e.id)).toEqual([corrected.id]);
  });

  it('of 8,000 corrections leaves the last', () => {
    const corrections = Array.from({ length: 8000 }, (_, n): Entry => ({
      ...note,
      id: id(n + 1),
      replaces: id(n),
      text: `number ${n + 1}`,
    }));
    const live = liveEntries([note, ...corrections]);
    expect(live.map((e) => e.kind === 'note' && e.text)).toEqual(['number 8000']);
  });
});
