import { describe, expect, it } from 'vitest';
import { done, finger, NOW, read, short } from '../../test/command-line.ts';

describe('a spray or a bait', () => {
  const spray = (line: string) => {
    const reading = read(line);
    if (reading.kind !== 'spray') throw new Error(`${line}: ${JSON.stringify(reading)}`);
    const { bags, ...said } = reading.spray;
    const told = Object.entries(said).filter(([, value]) => value !== undefined && value !== '');
    return { bags: bags.map(({ label }) => label).join(' '), ...Object.fromEntries(told) };
  };
  const whole = { extent: 'whole' };

  it.each([
    [
      'sprayed 7 against aphids with soap, 20 ml in 1 l',
      { bags: '7', agent: 'soap', against: 'sap-suckers', amount: '20 ml', water: '1 l', ...whole },
    ],
    [
      'sprayed one leaf of 7 with neem oil yesterday evening',
      { bags: '7', agent: 'oil', extent: 'test-leaf', at: '2026-07-15T18:00:00.000+01:00' },
    ],
    [
      'Red Keel sprayed with sulphur, 2 g per litre',
      { bags: '7', agent: 'sulphur', amount: '2 g', water: '1 litre', ...whole },
    ],
    ['slug pellets around 3 and 4', { bags: '3 4', agent: 'bait', against: 'chewers', ...whole }],
    ['put down slug pellets on the slipway', { bags: '7 12', agent: 'bait', against: 'chewers', ...whole }],
    ['sprayed the slipway with water', { bags: '7 12', agent: 'water', ...whole }],
    ['misted 7', { bags: '7', agent: 'water', ...whole }],
    ['sprayed 7 with Greenaway', { bags: '7', name: 'Greenaway', ...whole }],
    ['sprayed 7 with soap, underneath too', { bags: '7', agent: 'soap', note: 'underneath too', ...whole }],
    ['Bo sprayed 7 with soap', { bags: '7', agent: 'soap', who: 'Bo', ...whole }],
  ])('%s', (line, said) => {
    expect(spray(line)).toEqual(said);
  });

  it('of a feed is a feed on the leaves', () => {
    expect(read('sprayed the leaves of 7 with tomato feed, 2 ml per litre')).toMatchObject({
      feed: { productId: 'tomato-liquid', isOnLeaves: true, amount: '2 ml', water: '1 litre', rest: '' },
    });
    expect(read('sprayed 7 with tomato feed, 10 ml in 1 l')).toMatchObject({
      feed: { productId: 'tomato-liquid', isOnLeaves: true, amount: '10 ml', water: '1 l', rest: '' },
    });
  });

  it.each(['no slug pellets on 7', 'spray 7 tomorrow', 'did not spray 7'])('%s: was not', (line) => {
    expect(read(line).kind).toBe('other');
  });
});

describe('how people write it down', () => {
  it.each([
    ['picked 2 dozen from 7', [['picking', '7', undefined, 24]]],
    ['picked 3 x 150 g from 7', [['picking', '7', 0.45, undefined]]],
    ['picked 2 x 6 tomatoes from 7', [['picking', '7', undefined, 12]]],
    ['7: 150 g + 200 g', [['picking', '7', 0.35, undefined]]],
    [
      'picked 150 g + 90 g from 7 and 200 g from 12',
      [
        ['picking', '7', 0.24, undefined],
        ['picking', '12', 0.2, undefined],
      ],
    ],
    ['approx. 2 kg from 7', [['picking', '7', 2, undefined]]],
    ['7 gave 2 kg', [['picking', '7', 2, undefined]]],
    ['7 yielded 2 kg', [['picking', '7', 2, undefined]]],
    ['7 is at 12.4 kg on the scale', [['check', '7', { method: 'scale', kilograms: 12.4 }]]],
    [
      'lifted 7, 12 and A2, light except A2',
      [
        ['check', '7', { method: 'lift', grade: 1 }],
        ['check', '12', { method: 'lift', grade: 1 }],
      ],
    ],
    [
      'watered the lot, 2 cans each, except 3, 4 and A2',
      [
        ['watering', '5', 18],
        ['watering', '7', 18],
        ['watering', '12', 18],
      ],
    ],
    [
      '3 dry 4 moist 7 wet',
      [
        ['check', '3', finger(2)],
        ['check', '4', finger(4)],
        ['check', '7', finger(5)],
      ],
    ],
    [
      'dry: 3, 4. wet: 7',
      [
        ['check', '3', finger(2)],
        ['check', '4', finger(2)],
        ['check', '7', finger(5)],
      ],
    ],
    [
      '3/4/7 dry',
      [
        ['check', '3', finger(2)],
        ['check', '4', finger(2)],
        ['check', '7', finger(2)],
      ],
    ],
    [
      '3 dry but 4 wet',
      [
        ['check', '3', finger(2)],
        ['check', '4', finger(5)],
      ],
    ],
    [
      '3+4 dry',
      [
        ['check', '3', finger(2)],
        ['check', '4', finger(2)],
      ],
    ],
    [
      'harvested 7 - 450g, 12 - 300g',
      [
        ['picking', '7', 0.45, undefined],
        ['picking', '12', 0.3, undefined],
      ],
    ],
    ['watered 3 with 2 l warm water', [['watering', '3', 2]]],
    [
      '3 dusty, 4 drenched',
      [
        ['check', '3', finger(1)],
        ['check', '4', finger(5)],
      ],
    ],
    ['3 1 L by hand', [['watering', '3', 1]]],
    ['picked 3 dozen cherry tomatoes from 7', [['picking', '7', undefined, 36]]],
    ['nr. 3 dry', [['check', '3', finger(2)]]],
  ])('%s', (line, said) => {
    expect(short(line)).toEqual(said);
  });

  it.each([
    ['20 mm of rain since Friday', /^That is of several days/],
    ['picked half a kilo from 7 and gave half away', /^Sold in part/],
    ['gave a pound away from 7', /^Was it picked now/],
    ['sold 2 kg from 7 for 8', /^Was it picked now/],
    ['ate 3 tomatoes from 7', /^Was it picked now/],
    ['got 2 kg from 7 and 12, mostly from 7', /^How much from each/],
    ['watered 3 1 can yesterday and today', /^These are of two days/],
    ['1 L ran out of 7', /^How much was given/],
    ['07/07 picked 450 g from 7', /^Is that a day/],
    ['picked 450 g from 7 on 31 february', /^There is no such day/],
    ['2026-13-40 watered 7 1 can', /^There is no such day/],
    ['a month ago picked 1 kg from 7', /^On which day/],
    ['picked 7 - 8 kg from 12', /^Between two figures/],
    ['picked 3 ripe and 2 green from 7', /^Two kinds/],
    ['planted a tomato in 5', /^What is planted or sown is put down at its bag/],
    ['moved Red Keel from 7 to 12', /^A plant goes from one bag to another at the plant/],
    ['gave 7 bone meal and watered it 1 can', /^These are two things/],
  ])('%s: is asked', (line, words) => {
    expect(read(line)).toMatchObject({ kind: 'unfinished', problem: expect.stringMatching(words) });
  });

  it.each([
    '3 fruits fell off 7',
    'lost 2 fruits on 7 to birds',
    '12 flowers on 7',
    'pH of 7 is 6.2',
    'drained 2 L out of 7',
    'added 5 L of compost to 7',
    'took 7 inside, 45 F last night',
    '3 ripe on 7',
  ])('%s: is a note of that bag and nothing that was picked', (line) => {
    const reading = read(line);
    expect(reading).toMatchObject({ kind: 'other', asNote: { drafts: [{ kind: 'note', text: line }] } });
    expect(reading.kind === 'other' && reading.asNote?.bags.map(({ label }) => label)).toEqual(['7']);
  });

  it('is of the day before where a part of the day is still to come', () => {
    const early = (line: string) => done(line, { now: '2026-07-16T08:00:00.000+01:00' })[0]?.at.slice(0, 16);
    expect(early('7 wilted at noon')).toBe('2026-07-15T12:00');
    expect(early('watered 3 1 can in the evening')).toBe('2026-07-15T18:00');
    expect(early('watered 3 1 can at 21:30')).toBe('2026-07-15T21:30');
    expect(early('watered 3 1 can at 8:10')).toBe('2026-07-16T08:00');
    expect(early('watered 3 1 can this evening')).toBe('2026-07-16T08:00');
  });

  it.each([
    ['mon: picked 450 g from 7', '07-13T18:30'],
    ['picked 450 g from 7 sat', '07-11T18:30'],
    ['sun 7 dry', '07-12T18:30'],
    ['2026-07-12 7 dry', '07-12T18:30'],
    ['a fortnight ago picked 1 kg from 7', '07-02T18:30'],
    ['first thing this morning 3 dry', '07-16T08:00'],
    ['3 dry at lunchtime', '07-16T12:00'],
    ['watered 3 before breakfast 1 can', '07-16T08:00'],
    ['14:30 watered 3 1 can', '07-16T14:30'],
    ['watered 3 1 can 6pm', '07-16T18:00'],
    ['7 wilted in the sun', '07-16T18:30'],
    ['picked 450 g from 7 for dinner', '07-16T18:30'],
    ['watered 7 2.30 l', '07-16T18:30'],
  ])('%s: when it was', (line, at) => {
    const [draft] = done(line);
    expect(draft?.at.slice(5, 16)).toBe(at);
    expect(draft?.kind).not.toBe('note');
  });

  it('is of the last day of a month that is said so', () => {
    const day = (line: string) => done(line)[0]?.at.slice(0, 10);
    expect(day('picked 450 g from 7 on the 3rd')).toBe('2026-07-03');
    expect(day('20th: picked 450 g from 12')).toBe('2026-06-20');
    expect(day('picked 450 g from 7 off the 3rd truss')).toBe('2026-07-16');
  });

  it('is of no day in May for a “maybe 4”', () => {
    expect(read('fruit fell off 3, maybe 4 of them')).toMatchObject({ asNote: { drafts: [{ at: NOW }] } });
    expect(done('picked 450 g from 7 on May 4')[0]?.at).toMatch(/^2026-05-04/);
    expect(done('picked 450 g from 7 on 4 sept 2025')[0]?.at).toMatch(/^2025-09-04/);
  });

  it('of so many fruits is of no bag that has that number', () => {
    expect(done('threw away 5 split fruits from 7')).toMatchObject([
      { kind: 'trouble', containerId: 'con_7xxxxx', what: 'splits', note: '5 split fruits, threw away' },
    ]);
    expect(done('7 has set 5 fruits')).toMatchObject([
      { kind: 'stage', containerId: 'con_7xxxxx', stage: 'set', note: '5 fruits' },
    ]);
  });

  it('of water with a feed in it is a feed', () => {
    expect(read('watered 7 with nettle tea 1 l')).toMatchObject({
      feed: { productId: 'nettle-tea', water: '1 l' },
    });
  });

  it('of a feed that is put on is one too, by the handful as well', () => {
    for (const line of [
      'gave 7 a handful of bone meal',
      'put a handful of bone meal on 7',
      'fed 7 a handful of bone meal',
    ])
      expect(read(line)).toMatchObject({
        feed: { productId: 'bone-meal', amount: '1 handful', water: '', rest: '' },
      });
    // also where the grower has measured a handful
    const measures = [{ id: 'mea_hand01', kind: 'handful', name: 'my handful', litres: 0.06 }] as const;
    expect(read('fed 7 a handful of bone meal', { measures })).toMatchObject({
      feed: { amount: '1 handful', water: '' },
    });
  });
});
