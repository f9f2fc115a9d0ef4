import { describe, expect, it } from 'vitest';
import { BAGS, bag, done, finger, read, short } from '../../test/command-line.ts';

describe('a picking that nobody measured', () => {
  it.each([
    ['picked some from 7', undefined],
    ['harvested 7, not weighed', undefined],
    ['picked from 7 but did not weigh them', undefined],
    ['picked a handful from 7', 'a handful'],
    ['picked two bowls of cherries from 7, splitting', 'two bowls of cherries splitting'],
  ] as const)('%s: it was picked, and nobody weighed it', (line, note) => {
    expect(short(line)).toEqual([['picking', '7', undefined, undefined]]);
    expect(done(line)[0]).toMatchObject({ isUnmeasured: true });
    expect(done(line)[0]?.note).toBe(note);
  });

  it('a weight or a count goes before a handful', () => {
    expect(short('picked some from 7, 450 g')).toEqual([['picking', '7', 0.45, undefined]]);
    expect(done('picked a handful, 6 tomatoes, from 7')[0]).toMatchObject({ count: 6, note: 'a handful' });
    expect(done('picked 6 tomatoes from 7')[0]).not.toHaveProperty('isUnmeasured');
  });
});

describe('several deeds in one line', () => {
  it('a finding behind a deed is one, whatever was done before it', () => {
    expect(short('picked 6 green from 3, stored; 4 dry')).toEqual([
      ['picking', '3', undefined, 6],
      ['check', '4', finger(2)],
    ]);
    expect(short('watered 3 2 L, 4 and 5 wet')).toEqual([
      ['watering', '3', 2],
      ['check', '4', finger(5)],
      ['check', '5', finger(5)],
    ]);
  });

  it('of several deeds is of when it says, once for all or for each', () => {
    const at = (line: string) => done(line).map((draft) => draft.at.slice(5, 16));
    expect(at('yesterday picked 450 g from 7, 300 g from 12')).toEqual(['07-15T18:30', '07-15T18:30']);
    expect(at('picked 450 g from 7, 300 g from 12 yesterday')).toEqual(['07-15T18:30', '07-15T18:30']);
    expect(at('picked 450 g from 7 this morning, 300 g from 12 yesterday')).toEqual([
      '07-16T08:00',
      '07-15T18:30',
    ]);
  });
});

describe('a garden of one bag', () => {
  const one = { bags: [bag('7', 'Slipway')] };

  it('needs no name for it, in several deeds either', () => {
    expect(short('felt dry, watered 1 can', one)).toEqual([
      ['check', '7', { method: 'finger', grade: 2 }],
      ['watering', '7', 9],
    ]);
    expect(short('picked 450 g, watered 2 L', one)).toEqual([
      ['picking', '7', 0.45, undefined],
      ['watering', '7', 2],
    ]);
    // two of one deed are one
    expect(short('picked 450 g and 3 tomatoes', one)).toEqual([['picking', '7', 0.45, 3]]);
    expect(short('watered 1 can and 2 L', one)).toEqual([['watering', '7', 11]]);
  });

  it('a count stands before what is said of it', () => {
    expect(short('picked 6, two split, rest fine', one)).toEqual([['picking', '7', undefined, 6]]);
    expect(done('picked 6, two split', one)[0]).toMatchObject({ note: 'two split' });
    expect(read('picked 450 g from 9', one)).toMatchObject({ kind: 'unfinished' });
  });
});

describe('an amount that is not exact', () => {
  it.each([
    ['picked about 450 g from 7', 'about 450 g'],
    ['picked roughly a pound from 7', 'about 1 pound'],
    ['watered 7 ~ 2 L', 'about 2 l'],
    ['watered 7 about 1 can', 'about 1 can'],
    ['watered 7 1 can about noon', '1 can'],
  ])('%s', (line, asEntered) => {
    expect(done(line)[0]).toMatchObject({ asEntered });
  });
});

describe('jobs', () => {
  const jobs = (line: string) =>
    done(line).map((d) =>
      d.kind === 'tended' ? [d.task, short(line).length, d.isNothingThere, d.note] : d.kind,
    );

  it.each([
    ['tied 3 and 4', 'tied', 2],
    ['pinched out 7', 'pinched', 1],
    ['took the side shoots off 7', 'pinched', 1],
    ['side shoots off 7 yesterday', 'pinched', 1],
    ['lower leaves off 7', 'leaves-off', 1],
    ['fleece on all', 'fleeced', BAGS.length],
    ['took the fleece off the terrace', 'unfleeced', 3],
    ['shaded slipway', 'shaded', 2],
    ['stopped 7', 'stopped', 1],
    ['shook the flowers on 7', 'shaken', 1],
    ['wound 12', 'wound', 1],
  ] as const)('%s', (line, task, many) => {
    expect(jobs(line)).toEqual(Array.from({ length: many }, () => [task, many, undefined, undefined]));
  });

  it('that were looked for and not there are that', () => {
    expect(jobs('no side shoots on 3')).toEqual([['pinched', 1, true, undefined]]);
    expect(jobs('nothing to tuck in on 3')).toEqual([['tucked', 1, true, undefined]]);
  });

  it('that are only spoken of are not done', () => {
    for (const line of ['side shoots growing on 7', 'topped up 7'])
      expect(read(line), line).not.toMatchObject({ kind: 'command' });
    expect(short('topped up 7 2 L')).toEqual([['watering', '7', 2]]);
  });

  it('stand beside other deeds, and ask for the bag', () => {
    expect(done('7 felt dry, tied 7 and 12, watered 7 1 can').map(({ kind }) => kind)).toEqual([
      'check',
      'tended',
      'tended',
      'watering',
    ]);
    expect(read('tied')).toMatchObject({ kind: 'unfinished', problem: expect.stringMatching(/^Which bag/) });
    expect(read('tied 99')).toMatchObject({ kind: 'unfinished' });
    expect(done('picked 450 g from 7, leaves curled')[0]).toMatchObject({
      kind: 'picking',
      note: 'leaves curled',
    });
  });
});

describe('what one says who writes up a weekend', () => {
  it('has each bag its own measure, and a helper at the end', () => {
    const line = 'on Saturday watered 3, 4 and 5 about a can each, 7 half a can, by Rosa';
    expect(short(line)).toEqual([
      ['watering', '3', 9],
      ['watering', '4', 9],
      ['watering', '5', 9],
      ['watering', '7', 4.5],
    ]);
    expect(done(line).map(({ who, at }) => [who, at.slice(8, 10)])).toEqual(
      Array.from({ length: 4 }, () => ['Rosa', '11']),
    );
    expect(read('watered 7 1 can with a half can more for luck')).toMatchObject({ kind: 'unfinished' });
  });

  it('each is of those that were named, and of all only where none is', () => {
    expect(short('watered 3, 4 and 5 a can each').map(([, at]) => at)).toEqual(['3', '4', '5']);
    expect(short('watered a can each')).toHaveLength(BAGS.length);
    expect(short('watered terrace 1 L each').map(([, at]) => at)).toEqual(['3', '4', '5']);
  });

  it('says the day first, and then what was found and done', () => {
    expect(short('Sunday: 3 dry, 4 moist, tied 3 and 4').map(([kind, at]) => [kind, at])).toEqual([
      ['check', '3'],
      ['check', '4'],
      ['tended', '3'],
      ['tended', '4'],
    ]);
    expect(done('Sunday: 3 dry, 4 moist').map(({ at }) => at.slice(8, 10))).toEqual(['12', '12']);
    expect(read('tied 3 and 4 dry moist')).toMatchObject({ kind: 'unfinished' });
  });

  it('is asked for the parts of what was sold in part', () => {
    expect(read('picked 2 kg from 3, sold half for 4, ate the rest')).toMatchObject({
      kind: 'unfinished',
      problem: expect.stringMatching(/^Sold in part/),
    });
  });
});

describe('what was seen', () => {
  it.each([
    ['first flowers on 7', 'flowers', undefined],
    ['7 is in flower', 'flowers', undefined],
    ['saw first flowers on 7 yesterday', 'flowers', undefined],
    ['12 has set fruit', 'set', undefined],
    ['first ripe fruit on 7', 'ripe', undefined],
    ['7 came up', 'up', undefined],
    ['no flowers on 7 yet', 'flowers', true],
    ['no ripe fruit on 7', 'ripe', true],
    ['no ripe ones on 7 yet', 'ripe', true],
  ] as const)('%s', (line, stage, isNotYet) => {
    const [seen, ...others] = done(line);
    expect(others).toEqual([]);
    expect(seen).toMatchObject({ kind: 'stage', stage });
    expect(seen?.kind === 'stage' && seen.isNotYet).toBe(isNotYet ?? undefined);
    expect(seen).not.toHaveProperty('note');
  });

  it.each([
    ['aphids on 7', 'sap-suckers', 1],
    ['found spider mites on 7 and 12', 'mites', 2],
    ['saw blight on the terrace', 'blight', 3],
    ['blossom end rot on 7', 'end-rot', 1],
  ] as const)('%s', (line, what, many) => {
    expect(done(line)).toMatchObject(
      Array.from({ length: many }, () => ({ kind: 'trouble', what, checkOn: expect.any(String) })),
    );
  });

  it('what is over, or no trouble but a word in a note, is not put down as trouble', () => {
    expect(read('no more aphids on 7')).toMatchObject({ kind: 'unfinished' });
    expect(done('note on 7: aphids on the neighbour')[0]?.kind).toBe('note');
    expect(done('picked 450 g from 7, slugs in two')[0]).toMatchObject({
      kind: 'picking',
      note: 'slugs two',
    });
    expect(read('flowers')).toMatchObject({ kind: 'other' });
    // two things that do not come apart are neither of them, with the other as its note
    expect(read('greenfly on 7 and 12, first ripe fruit on 7, tied both')).toMatchObject({
      kind: 'unfinished',
    });
    expect(read('aphids and first flowers on 7')).toMatchObject({ kind: 'unfinished' });
    expect(done('checked 7 wet, aphids on 12').map(({ kind }) => kind)).toEqual(['check', 'trouble']);
  });
});

describe('what is said of a deed beside how much', () => {
  it.each([
    ['picked 6 green from 7, stored', { count: 6, stage: 'green', use: 'stored' }, undefined],
    [
      'picked some green ones from 7 to ripen',
      { isUnmeasured: true, stage: 'green', use: 'stored' },
      undefined,
    ],
    ['picked 450 g at first blush from 7, gave them away', { stage: 'blush', use: 'given' }, undefined],
    ['picked 2 kg overripe from 7 and binned', { stage: 'over', use: 'lost' }, undefined],
    ['picked 3 green peppers from 7', { count: 3, stage: 'green' }, 'peppers'],
    // a price is no bag, and of several bags each has its own
    ['picked 2 kg from 7, sold for £3.50', { kilograms: 2, use: 'sold', soldFor: 3.5 }, undefined],
    // of what was left nothing is said of what was picked
    ['picked 2 from 7, rest not ripe', { count: 2 }, 'rest not ripe'],
  ] as const)('%s', (line, facts, note) => {
    const drafts = done(line);
    expect(drafts).toHaveLength(1);
    expect(drafts[0]).toMatchObject(facts);
    expect(drafts[0]?.note).toBe(note);
    if (!('stage' in facts)) expect(drafts[0]).not.toHaveProperty('stage');
  });

  it('what was got for it is for all of it', () => {
    const got = (line: string) => done(line).map((d) => d.kind === 'picking' && [d.kilograms, d.soldFor]);
    expect(got('picked 2 kg from 7 and 12 in all, sold for 3')).toEqual([
      [1, 1.5],
      [1, 1.5],
    ]);
    expect(got('picked 1 kg from 7 and 12, sold for 3')).toEqual([
      [1, 1.5],
      [1, 1.5],
    ]);
  });

  it('water that ran through is that', () => {
    const [, ...rest] = [
      'watered 7 1 can',
      'watered 7 1 can until it ran through',
      'watered 7 2 L, came out below',
    ].map((line) => done(line)[0]);
    expect(done('watered 7 1 can')[0]).toMatchObject({ ranThrough: false });
    for (const draft of rest) {
      expect(draft).toMatchObject({ ranThrough: true });
      expect(draft).not.toHaveProperty('note');
    }
  });
});

describe('words that look like a bag or a name', () => {
  it('a number in words is a bag only where it stands for one', () => {
    const one = { bags: [bag('1', 'Terrace'), bag('4', 'Terrace')] };
    expect(short('picked 3 from 4, one split', one)).toEqual([['picking', '4', undefined, 3]]);
    expect(done('picked 3 from 4, One split', one)[0]).toMatchObject({ note: 'One split' });
    expect(done('watered bag one 2 L', one).map((d) => 'containerId' in d && d.containerId)).toEqual([
      one.bags[0]?.containerId,
    ]);
    expect(done('watered one and 4 2 L', one)).toHaveLength(2);
  });

  it('says who did it, and not a bag or a variety', () => {
    const [picked] = done('picked 450 g from 7 by Nell');
    expect(picked).toMatchObject({ who: 'Nell' });
    expect(picked).not.toHaveProperty('note');
    expect(done('picked 1 lb from 7 and 2 lb from 12 by Nell').map(({ who }) => who)).toEqual([
      'Nell',
      'Nell',
    ]);
    expect(done('watered by Slipway 2 L')[0]).not.toHaveProperty('who');
    expect(done('picked 450 g from 7 by Tuesday')[0]).not.toHaveProperty('who');
  });

  it('a bag between two deeds belongs to the one that is said as its neighbour is', () => {
    const grades = (line: string) =>
      short(line).map(([, bag_, check]) => [bag_, (check as { readonly grade: number }).grade]);
    expect(grades('3 dry, 4 and 5 moist, 7 wet')).toEqual([
      ['3', 2],
      ['4', 4],
      ['5', 4],
      ['7', 5],
    ]);
    expect(grades('checked 3 and 4 dry and 5 and 7 moist').map(([, grade]) => grade)).toEqual([2, 2, 4, 4]);
    expect(short('picked 1 kg from 3 and 4, 2 kg from 5 and 7').map(([, , weight]) => weight)).toEqual([
      1, 1, 2, 2,
    ]);
    expect(short('450 g from 3, 4 and 300 g from 12').map(([, , weight]) => weight)).toEqual([
      0.45, 0.45, 0.3,
    ]);
  });

  it('a word more stays with its deed where the line makes no sense as one', () => {
    expect(done('picked 1 lb from 7 and 2 lb split from 12').map(({ note }) => note)).toEqual([
      undefined,
      'split',
    ]);
  });
});

describe('a feed in the line', () => {
  it.each([
    ['fed 3 and 4 tomato feed 1 can', ['3', '4'], 'tomato-liquid', '1 can', ''],
    ['fed 7 20 ml liquid tomato feed in 2 cans', ['7'], 'tomato-liquid', '2 cans', '20 ml'],
    ['watered 7 with tomato feed, 1 can', ['7'], 'tomato-liquid', '1 can', ''],
    ['fertilised terrace with 2 tbsp bonemeal', ['3', '4', '5'], 'bone-meal', '', '2 tbsp'],
    ['fed all with nettle tea, ½ l', ['3', '4', '5', '7', '12', 'A2'], 'nettle-tea', '½ l', ''],
    ['fed 7 organic tomato feed 5-4-6', ['7'], 'tomato-organic', '', ''],
    // two have tomato in their names, and no water is said: its form asks which
    ['fed 7 tomato 3 spoons', ['7'], undefined, '', '3 spoons'],
    ['fed 7 half a litre', ['7'], undefined, '½ litre', ''],
  ] as const)('%s: its form is filled in with what was said', (line, bags, productId, water, amount) => {
    const reading = read(line);
    if (reading.kind !== 'feed') throw new Error(JSON.stringify(reading));
    expect(reading.feed.bags.map(({ label }) => label)).toEqual(bags);
    expect(reading.feed).toMatchObject({ productId, water, amount, rest: '', at: undefined });
  });

  it('what is no feed here is handed on as it was said', () => {
    const reading = read('fed 7 comfrey tea half a litre');
    expect(reading.kind === 'feed' && reading.feed).toMatchObject({
      ...{ water: '½ litre', amount: '', rest: 'comfrey tea' },
    });
  });

  it('a feed is of when it says, and asks for its bag', () => {
    expect(read('fed 7 half a dose of tomato feed in 1 can')).toMatchObject({
      feed: { productId: 'tomato-liquid', water: '1 can', amount: '', doseShare: 0.5, rest: '' },
    });
    expect(read('fed 3 and 4 tomato feed at quarter strength')).toMatchObject({
      feed: { doseShare: 0.25, rest: '' },
    });
    const reading = read('fed 7 tomato feed yesterday evening');
    expect(reading.kind === 'feed' && reading.feed.at).toBe('2026-07-15T18:00:00.000+01:00');
    const unsaid = read('fed tomato feed');
    expect(unsaid.kind === 'unfinished' && unsaid.problem).toMatch(/Which bag/);
    expect(read('fed 7 1,250 ml of tomato feed')).toMatchObject({ kind: 'unfinished' });
  });
});
