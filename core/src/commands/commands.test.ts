import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BAGS, done, finger, NOW, read, short } from '../../test/command-line.ts';
import { entrySchema } from '../records/index.ts';
import type { CommandContext } from './index.ts';

describe('a line in plain words', () => {
  it.each([
    ['picked 450 g from 7', [['picking', '7', 0.45, undefined]]],
    ['7 picked 450g', [['picking', '7', 0.45, undefined]]],
    ['450 g 7', [['picking', '7', 0.45, undefined]]],
    ['from 7 I picked 0,45 kg', [['picking', '7', 0.45, undefined]]],
    ['Picked 1 lb 4 oz from bag 12', [['picking', '12', 0.567, undefined]]],
    ['picked 6 tomatoes from 7', [['picking', '7', undefined, 6]]],
    ['picked 6 from 7', [['picking', '7', undefined, 6]]],
    ['picked from 7 1/2 kg', [['picking', '7', 0.5, undefined]]],
    ['picked 7 1/2 kg from 12', [['picking', '12', 7.5, undefined]]],
    ['picked 3 from 4', [['picking', '4', undefined, 3]]],
    ['picked 8 fruits, 1.2 kg, from A2', [['picking', 'A2', 1.2, 8]]],
    ['harvested half a kilo of red keel', [['picking', '7', 0.5, undefined]]],
    [
      'picked 900 g from 3 and 4 in all',
      [
        ['picking', '3', 0.45, undefined],
        ['picking', '4', 0.45, undefined],
      ],
    ],
    [
      'watered terrace 1 can',
      [
        ['watering', '3', 9],
        ['watering', '4', 9],
        ['watering', '5', 9],
      ],
    ],
    [
      'watered the terrace 1 can in all',
      [
        ['watering', '3', 3],
        ['watering', '4', 3],
        ['watering', '5', 3],
      ],
    ],
    ['water 7 two green cans', [['watering', '7', 18]]],
    ['gave 4 half a can', [['watering', '4', 4.5]]],
    [
      'poured 1½ cans on 3, 4 and 5',
      [
        ['watering', '3', 13.5],
        ['watering', '4', 13.5],
        ['watering', '5', 13.5],
      ],
    ],
    ['2 L 12', [['watering', '12', 2]]],
    [
      '3-5 2l',
      [
        ['watering', '3', 2],
        ['watering', '4', 2],
        ['watering', '5', 2],
      ],
    ],
    [
      'watered 3 to 5 with 500 ml',
      [
        ['watering', '3', 0.5],
        ['watering', '4', 0.5],
        ['watering', '5', 0.5],
      ],
    ],
    ['watered house 1 L', [['watering', 'A2', 1]]],
    ['picked 2 cucumbers from the keel', [['picking', '7', undefined, 2]]],
    ['watered everything', 'How much water, as “1 can” or “2 L”?'],
    ['check 3 dry', [['check', '3', finger(2)]]],
    ['3 felt barely damp', [['check', '3', finger(3)]]],
    [
      'checked 3, 4 very dry',
      [
        ['check', '3', finger(1)],
        ['check', '4', finger(1)],
      ],
    ],
    ['checked 12: dust-dry', [['check', '12', finger(1)]]],
    ['12 is dry now', [['check', '12', finger(2)]]],
    ['12 soaking wet', [['check', '12', finger(5)]]],
    ['lifted A2, heavy', [['check', 'A2', { method: 'lift', grade: 3 }]]],
    ['check 7 wilted', [['check', '7', { method: 'wilted' }]]],
    ['check 7 14.2 kg', [['check', '7', { method: 'scale', kilograms: 14.2 }]]],
    ['check 7 41 %', [['check', '7', { method: 'probe', reading: 41 }]]],
    ['check 7', /How was it/],
    ['picked from 7', /How much: a weight, or how many/],
    ['picked 450 g', /Which bag\? They are called 3, 4, 5, 7 …/],
    ['picked 450 g from 99', /No bag or place here is called “99”/],
    ['picked 450 kg from 7', /No bag gives that at once/],
    ['watered 7 900 L', /No bag takes 900 L/],
    ['picked 1,250 g from 7', /a thousand and more/],
    [
      'picked 1 lb from 7 and 2 lb from 12',
      [
        ['picking', '7', 0.454, undefined],
        ['picking', '12', 0.907, undefined],
      ],
    ],
    [
      'picked 3 tomatoes from 7, 4 tomatoes from 12',
      [
        ['picking', '7', undefined, 3],
        ['picking', '12', undefined, 4],
      ],
    ],
    [
      'watered 3 1 can and 4 2 L',
      [
        ['watering', '3', 9],
        ['watering', '4', 2],
      ],
    ],
    [
      '7 450 g, then 12 300 g',
      [
        ['picking', '7', 0.45, undefined],
        ['picking', '12', 0.3, undefined],
      ],
    ],
    [
      'checked 3 and 4 dry, 5 wet',
      [
        ['check', '3', finger(2)],
        ['check', '4', finger(2)],
        ['check', '5', finger(5)],
      ],
    ],
    [
      'picked 450 g from 7; watered 12 1 can',
      [
        ['picking', '7', 0.45, undefined],
        ['watering', '12', 9],
      ],
    ],
    [
      '7 felt dry, watered 1 can',
      [
        ['check', '7', finger(2)],
        ['watering', '7', 9],
      ],
    ],
    ['picked 1 lb from 7 and 2 lb', /Two amounts/],
    ['picked 450 g from 7 and watered', /two things: say them one after another/],
    ['watered 3 1 can and fed 4 tomato feed', /two things: say them one after another/],
    ['picked 1 lb and 4 oz from 12', [['picking', '12', 0.567, undefined]]],
    ['watered 7 1 can and 2 L', [['watering', '7', 11]]],
    [
      'watered terrace except 4 1 can',
      [
        ['watering', '3', 9],
        ['watering', '5', 9],
      ],
    ],
    [
      'watered all but the terrace, 2 L',
      [
        ['watering', '7', 2],
        ['watering', '12', 2],
        ['watering', 'A2', 2],
      ],
    ],
    ['picked 450 g from 7 but 12 had none', /nothing to put down/],
    ['watered 7 without the rose, 2 L', [['watering', '7', 2]]],
    ['picked about half a kilo from 7', [['picking', '7', 0.5, undefined]]],
    ['3 dry', [['check', '3', finger(2)]]],
    ['A2 heavy', [['check', 'A2', { method: 'lift', grade: 3 }]]],
    ['picked nothing from 7', /nothing to put down/],
    ['watered 7 2 L + 1 can', [['watering', '7', 11]]],
    ['watered 7 2 minutes of yard hose', [['watering', '7', 24]]],
    ['watered 7 for 40 s with the hose', [['watering', '7', 8]]],
    ['half a minute of hose on 12', [['watering', '12', 6]]],
    ['poured half a minute of hose on 12', [['watering', '12', 6]]],
    [
      'watered 3 and 4 twenty seconds',
      [
        ['watering', '3', 4],
        ['watering', '4', 4],
      ],
    ],
    ['hose on 7: watered 1 min 30 s', [['watering', '7', 18]]],
    ['watered 7 2 L in 20 minutes', [['watering', '7', 2]]],
    ['watered 7 2 L and 30 s of hose', [['watering', '7', 8]]],
  ] as const)('%s', (line, expected) => {
    if (Array.isArray(expected)) return expect(short(line)).toEqual(expected);
    const reading = read(line);
    expect(reading.kind === 'unfinished' && reading.problem).toMatch(expected as string | RegExp);
  });

  it.each([
    ['picked two and a half kg from 7', 2.5],
    ['picked a kg and a half from 7', 1.5],
    ['picked three quarters of a kg from 7', 0.75],
    ['picked half a kg from 7', 0.5],
  ] as const)('%s: no part of the amount is lost', (line, kilograms) => {
    expect(short(line)).toEqual([['picking', '7', kilograms, undefined]]);
  });

  it('asks which hose ran, and how much runs in that time where nobody has timed one', () => {
    const problem = (line: string, measures: CommandContext['measures']) => {
      const reading = read(line, { measures });
      return reading.kind === 'unfinished' ? reading.problem : reading.kind;
    };
    const two: CommandContext['measures'] = [
      { id: 'mea_hose01', kind: 'hose', name: 'yard hose', litres: 0.2 },
      { id: 'mea_drip01', kind: 'dripper', name: 'deck drip', litres: 0.2 },
    ];
    expect(problem('watered 7 20 minutes', two)).toBe('Which of them ran: yard hose or deck drip?');
    expect(short('watered 7 20 minutes of deck drip', { measures: two })).toEqual([['watering', '7', 4]]);
    expect(short('an hour and a half of deck drip on 7', { measures: two })).toEqual([['watering', '7', 18]]);
    expect(problem('watered 7 20 minutes', [])).toMatch(/^How much runs in that time\? Time your hose/);
    expect(short('watered 7 2 L in 20 minutes', { measures: [] })).toEqual([['watering', '7', 2]]);
  });

  it('need not name the only bag there is, but a name that is none is still asked about', () => {
    const only = { bags: BAGS.slice(3, 4) };
    expect(short('watered 1 3/4 L yesterday', only)).toEqual([['watering', '7', 1.75]]);
    expect(short('check dry', only)).toEqual([['check', '7', finger(2)]]);
    expect(short('picked 3', only)).toEqual([['picking', '7', undefined, 3]]);
    expect(done('picked 12 oz cracked', only)[0]).toMatchObject({ note: 'cracked' });
    expect(read('picked 450 g 12', only).kind).toBe('unfinished');
    const strange = read('picked 450 g from the loft', only);
    expect(strange.kind === 'unfinished' && strange.problem).toMatch(/No bag or place here is called “loft”/);
  });

  it('is read in the grower’s own units', () => {
    const us = { system: 'us' } as const;
    expect(short('watered 7 1 gal', us)).toEqual([['watering', '7', 3.785]]);
    expect(short('watered 7 1 gal', { system: 'uk' })).toEqual([['watering', '7', 4.546]]);
    expect(short('picked 1,250 g from 7', us)).toEqual([['picking', '7', 1.25, undefined]]);
  });

  it('“both” are the two that there are', () => {
    const two = { bags: BAGS.slice(0, 2) };
    expect(short('watered both 1 can in all', two)).toEqual([
      ['watering', '3', 4.5],
      ['watering', '4', 4.5],
    ]);
    expect(read('watered both 1 can').kind).toBe('unfinished');
  });

  it('is of when it says', () => {
    const at = (line: string) => done(line)[0]?.at.slice(0, 16);
    expect(at('picked 450 g from 7')).toBe('2026-07-16T18:30');
    expect(at('yesterday picked 450 g from 7')).toBe('2026-07-15T18:30');
    expect(at('watered 7 1 can this morning')).toBe('2026-07-16T08:00');
    expect(at('watered 7 1 can at 8:45')).toBe('2026-07-16T08:45');
    expect(at('watered 7 1 can at 6 pm yesterday')).toBe('2026-07-15T18:00');
    expect(at('check 3 dry on Monday evening')).toBe('2026-07-13T18:00');
    expect(at('picked 2 kg from 12 two days ago')).toBe('2026-07-14T18:30');
    expect(at('watered 3 1 can 20 minutes ago')).toBe('2026-07-16T18:10');
    expect(at('watered 3 1 can half an hour ago')).toBe('2026-07-16T18:00');
    expect(at('picked 450 g from 3 2 hours ago')).toBe('2026-07-16T16:30');
    // the last time that it was that hour, where no bag is called so
    expect(at('watered 3 1 can at 8')).toBe('2026-07-16T08:00');
    expect(at('watered 3 1 can at 6')).toBe('2026-07-16T18:00');
    expect(at('watered 3 1 can at 20')).toBe('2026-07-15T20:00');
    expect(done('watered 3 1 can at 9', { now: '2026-07-16T07:10:00.000+01:00' })[0]?.at).toBe(
      '2026-07-15T21:00:00.000+01:00',
    );
    expect(at('watered 3 1 can last night')).toBe('2026-07-15T21:00');
    expect(at('watered 3 1 can last night at 10')).toBe('2026-07-15T22:00');
    expect(at('watered 3 1 can yesterday at 9')).toBe('2026-07-15T09:00');
    expect(at('watered 3 1 can yesterday evening at 8')).toBe('2026-07-15T20:00');
    // not in the future, and "at 7" is the bag
    expect(at('watered 7 1 can tonight at 23:00')).toBe('2026-07-16T18:30');
    expect(short('picked 450 g at 7')).toEqual([['picking', '7', 0.45, undefined]]);
  });

  it('keeps what nothing was made of as the note, as it was written', () => {
    expect(done('picked 450 g from 7 for Anna, splitting')[0]).toMatchObject({ note: 'Anna splitting' });
    expect(done('picked 450 g from 7')[0]).not.toHaveProperty('note');
  });

  it('writes a note on a bag, a place or the whole garden', () => {
    expect(done('note on 7: Leaves curl, 3 of them')).toEqual([
      { kind: 'note', at: NOW, containerId: BAGS[3]?.containerId, text: 'Leaves curl, 3 of them' },
    ]);
    expect(done('note terrace: swept')).toHaveLength(3);
    expect(done('noted: frost on the roofs')).toEqual([
      { kind: 'note', at: NOW, text: 'frost on the roofs' },
    ]);
    expect(done('note on 7 yesterday evening: leaves curl')).toEqual([
      {
        kind: 'note',
        at: '2026-07-15T18:00:00.000+01:00',
        containerId: BAGS[3]?.containerId,
        text: 'leaves curl',
      },
    ]);
    expect(done('noted last night: slugs')).toMatchObject([
      { at: '2026-07-15T21:00:00.000+01:00', text: 'slugs' },
    ]);
    expect(done('noted this morning: frost on the roofs')).toMatchObject([
      { at: '2026-07-16T08:00:00.000+01:00', text: 'frost on the roofs' },
    ]);
    expect(read('note on 7').kind).toBe('unfinished');
  });

  it.each([
    'season',
    'costs of last year',
    'bag 7',
    '7',
    'terrace',
    '',
    'add a bag',
    'save',
    'feed',
    'feeding',
    'dry',
    'the driest of terrace is dry',
  ])('"%s" says nothing that was done', (line) => {
    expect(read(line).kind).toBe('other');
  });

  it('whatever is typed is answered, and what is read can be stored', () => {
    const word = fc.oneof(
      fc.constantFrom(
        'picked',
        'watered',
        'check',
        'note',
        '7',
        '3',
        'terrace',
        '450 g',
        '1 can',
        '½',
        'dry',
        'all',
        'yesterday',
        'at 8:30',
        'in all',
        ':',
        '-',
        '0',
        '1e9',
        '6 tomatoes',
        '%',
      ),
      fc.string({ maxLength: 8 }),
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 8 }), (words) => {
        const reading = read(words.join(' '));
        if (reading.kind !== 'command') return true;
        return reading.commands
          .flatMap(({ drafts }) => drafts)
          .every((draft) => entrySchema.safeParse({ ...draft, id: 'ent_aaaaaa', recordedAt: NOW }).success);
      }),
      { numRuns: 3000 },
    );
  });
});
