import { describe, expect, it } from 'vitest';
import { bag, BAGS, done, finger, read, short } from '../../test/command-line.ts';

const problem = (line: string) => {
  const reading = read(line);
  return reading.kind === 'unfinished' ? reading.problem : reading.kind;
};

describe('an amount', () => {
  it('that is between bags is shared, and one that was given twice is twice as much', () => {
    expect(short('2 cans between 3, 4 and 5')).toEqual([
      ['watering', '3', 6],
      ['watering', '4', 6],
      ['watering', '5', 6],
    ]);
    expect(short('watered 3 and 4 6 L, split between them')).toEqual([
      ['watering', '3', 3],
      ['watering', '4', 3],
    ]);
    expect(short('watered 7 twice, 1 can each time')).toEqual([['watering', '7', 18]]);
    expect(short('7 1 can twice')).toEqual([['watering', '7', 18]]);
    expect(done('watered 7 three times 1 can')[0]).toMatchObject({ litres: 27, asEntered: '3 × 1 can' });
  });

  it('that was given morning and evening is two waterings', () => {
    const drafts = done('yesterday watered 7 morning and evening 1 can');
    expect(drafts.map(({ at }) => at.slice(5, 16))).toEqual(['07-15T08:00', '07-15T18:00']);
    expect(drafts).toMatchObject([{ litres: 9 }, { litres: 9 }]);
    expect(problem('watered 7 morning and night 1 can')).toMatch(/still to come/);
  });

  it('without its unit is in that of the one before, and is never left out', () => {
    expect(short('1 can on 7 and half on 12')).toEqual([
      ['watering', '7', 9],
      ['watering', '12', 4.5],
    ]);
    expect(short('2 L on 3, 1½ on 4 and 1 on 5')).toEqual([
      ['watering', '3', 2],
      ['watering', '4', 1.5],
      ['watering', '5', 1],
    ]);
    expect(problem('watered 7 a can and 12 half')).toMatch(/^Two amounts/);
  });

  it('at a bag is what its words say, and not a watering or a picking', () => {
    expect(short('7 weighs 14 kg')).toEqual([['check', '7', { method: 'scale', kilograms: 14 }]]);
    expect(problem('repotted 7 into 50 L')).toBe('other');
    expect(done('blossom end rot on 2 fruits of 7')).toMatchObject([{ kind: 'trouble', what: 'end-rot' }]);
  });

  it('of fruit may be the first one, or "toms"', () => {
    expect(short('picked the first tomato from 7')).toEqual([['picking', '7', undefined, 1]]);
    expect(short('picked 3 toms weighing 200 g from 7')).toEqual([['picking', '7', 0.2, 3]]);
  });
});

describe('what is easily taken for something else', () => {
  it.each([
    ['picked 450 g and 300 g from 7 and 12', /^Two amounts/],
    ['picked 6 from 7 and 4 from 12, 900 g in all', /^In all of what was said apart/],
    ['picked 400-500 g from 7', /^Between two figures/],
    ['picked 400 to 500 g from 7', /^Between two figures/],
    ['watered terrace 1 can, 4 none', /^Which got none/],
    ['watered terrace, 4 got 2 cans', /^These are several things/],
    ['watered 7 on 3/7 1 can', /^Is that a day/],
    ['watered 7 1 can last week', /^On which day/],
    ['7 died in May, nematodes', /^On which day/],
    ['7 dry on top', /^How was it deeper/],
    ['watered 3 1 can, sprayed 7 with soap', /^These are two things/],
    ['sprayed 3 with soap, 4 with neem', /^These are two/],
    ['sprayed with soap', /^Which bag/],
    ['sprayed 7 with 1,250 ml of soap', /^Is 1,250 a thousand/],
    ['checked 7: a bit dry at the surface', /^How was it deeper/],
    ['7 dry on top, 12 moist', /^How was it deeper/],
    ['gave 7 2 jugs this morning', /^How much a jug of yours holds/],
    ['a jug is 1.5 L', /^How much a jug of yours holds/],
    ['first flowers on 7, none on 12 yet', /^One has and another has not/],
    ['moved 7 to the terrace in early June', /^On which day/],
    ['aphids on 7 a few days ago', /^On which day/],
  ] as const)('%s: is asked', (line, words) => {
    expect(problem(line)).toMatch(words);
  });

  it('of so many fruits is of the bag, and keeps how many', () => {
    expect(done('12 has end rot on about 4 fruits, threw them away')).toMatchObject([
      { kind: 'trouble', containerId: 'con_12xxxx', note: 'about 4 fruits, threw away' },
    ]);
    expect(done('3 slugs on 7')).toMatchObject([{ kind: 'trouble', what: 'chewers', note: '3 slugs' }]);
  });

  it('of why a bag is so keeps that as its note', () => {
    expect(done('7 soaking wet after the storm')).toMatchObject([
      { kind: 'check', check: { grade: 5 }, note: 'after storm' },
    ]);
  });

  it('of the top beside what is below it is of what is below', () => {
    expect(done('7 dry on top but moist below')).toMatchObject([
      { kind: 'check', check: { method: 'finger', grade: 4 }, note: 'dry on top' },
    ]);
  });

  it.each([
    'watered 7 1 can tomorrow',
    'will water 7 1 can',
    'did not water 7, 1 can left',
    'is 7 dry',
    '7 dry?',
    '7 is not dry',
    'tie 3 tomorrow',
  ])('%s: is not done', (line) => {
    expect(problem(line)).toBe('other');
  });

  it.each([
    [
      '7: 450 g, 12: 300 g',
      [
        ['picking', '7', 0.45, undefined],
        ['picking', '12', 0.3, undefined],
      ],
    ],
    ['picked 4 from 12, 900 g', [['picking', '12', 0.9, 4]]],
    ['picked 1 lb 4 from 7', [['picking', '7', 0.567, undefined]]],
    ['picked 1lb4oz from 7', [['picking', '7', 0.567, undefined]]],
    ['picked 450 gr from 7', [['picking', '7', 0.45, undefined]]],
    ['watered 7 2 x 1 can', [['watering', '7', 18]]],
    ['watered 7 2x can', [['watering', '7', 18]]],
    ['7 a bit dry', [['check', '7', finger(2)]]],
    ['7 too wet', [['check', '7', finger(5)]]],
    ['7 14.2 kg on the scale', [['check', '7', { method: 'scale', kilograms: 14.2 }]]],
    ['probe 7 41%', [['check', '7', { method: 'probe', reading: 41 }]]],
  ] as const)('%s', (line, said) => {
    expect(short(line)).toEqual(said);
    expect(done(line).every((draft) => !('note' in draft))).toBe(true);
  });

  it.each([
    ['watered 7 on 3 July 1 can', '2026-07-03'],
    ['watered 7 July 3rd 1 can', '2026-07-03'],
    ['July 3: watered 7 1 can', '2026-07-03'],
    ['watered 7 1 can on the 2nd of September', '2025-09-02'],
    ['watered 7 1 can on 14 May 2024', '2024-05-14'],
  ] as const)('%s: is a day, and no bag', (line, day) => {
    expect(done(line).map((d) => ['containerId' in d && d.containerId, d.at.slice(0, 10)])).toEqual([
      ['con_7xxxxx', day],
    ]);
  });
});

describe('weather', () => {
  it('may be below nothing in words, and half an inch', () => {
    expect(done('low minus 2 last night')).toMatchObject([{ kind: 'weather', minCelsius: -2 }]);
    expect(done('it rained half an inch yesterday')).toMatchObject([
      { kind: 'weather', day: '2026-07-15', rainMillimetres: expect.closeTo(12.7, 6) },
    ]);
  });

  it('of which a figure is left over is of more than a day', () => {
    expect(problem('low 12 last night and 10 the night before')).toMatch(/^These are of two days/);
  });
});

describe('a job or a note', () => {
  it.each([
    ['stopped 7 at 5 trusses', '7', 'stopped', 'at 5 trusses'],
    ['removed suckers from 7', '7', 'pinched', undefined],
    ['removed the lower leaves from 12', '12', 'leaves-off', undefined],
  ] as const)('%s', (line, label, task, note) => {
    expect(short(line)).toEqual([['tended', label]]);
    expect(done(line)[0]).toMatchObject({ task });
    expect(done(line)[0]?.note).toBe(note);
  });

  it('is at the bag that stands before it', () => {
    for (const line of ['7 note: leaves curl', '7: note leaves curl'])
      expect(done(line), line).toMatchObject([
        { kind: 'note', containerId: 'con_7xxxxx', text: 'leaves curl' },
      ]);
    expect(done('note on 7: is it dry? Will feed tomorrow')).toMatchObject([
      { kind: 'note', text: 'is it dry? Will feed tomorrow' },
    ]);
    expect(done('note: 7 looks well')).toMatchObject([{ kind: 'note', text: '7 looks well' }]);
  });
});

describe('the rest', () => {
  it('is of the bags that the line does not name', () => {
    const wet = ['5', '7', '12', 'A2'].map((label) => ['check', label, finger(5)]);
    for (const line of [
      'checked all: 3 dry, 4 moist, rest wet',
      '3 dry, 4 moist, all the others wet',
      '3 dry; 4 moist; everything else wet',
    ])
      expect(short(line), line).toEqual([['check', '3', finger(2)], ['check', '4', finger(4)], ...wet]);
    expect(short('watered 3 1 can, the rest 2 L').map(([, label, litres]) => [label, litres])).toEqual([
      ['3', 9],
      ...BAGS.slice(1).map(({ label }) => [label, 2]),
    ]);
  });

  it('is of a bag too whose number stands in an amount', () => {
    expect(short('2 L on 7, the rest 3 L').map(([, label]) => label)).toEqual([
      '7',
      '3',
      '4',
      '5',
      '12',
      'A2',
    ]);
    expect(short('watered 7 1 can, the others 4 cans').map(([, label]) => label)).toContain('4');
  });

  it('two findings of several bags that do not come apart are refused', () => {
    expect(problem('checked 3 and 4 dry moist')).toMatch(/^These are several things/);
  });
});

describe('what was measured', () => {
  const plant = (id: string, ...names: string[]) => ({
    stationId: `sta_${id}`,
    plantId: `pla_${id}`,
    names,
  });
  const bags = [
    { ...bag('7', 'Slipway', 'Red Keel'), plants: [plant('seven1', 'Red Keel')] },
    { ...bag('4', 'Terrace', 'Ada'), plants: [plant('four01', 'Ada'), plant('four02', 'Bo')] },
    { ...bag('5', 'Terrace'), plants: [] },
  ];

  it.each([
    ['7 is 80 cm tall', 800],
    ['height of 7: 80 cm', 800],
    ['7 grew to 1.2 m', 1200],
    ['7 has grown to 2 ft 8 in', 813],
    ['measured 7, 95 cm', 950],
    ['7 is 50 cm', 500],
    ['7 now 1 ft 8 in', 508],
    ['7 is 3 ft 4', 1016],
    ['7 now 3 ft 4', 1016],
    ['7 is 1 m 20 tall', 1200],
    ['4 dry, 7 is 3 ft 4', 1016],
  ] as const)('%s', (line, heightMillimetres) => {
    expect(done(line, { bags }).at(-1)).toMatchObject({
      kind: 'height',
      plantId: 'pla_seven1',
      heightMillimetres,
    });
  });

  it('of several plants it is said of which; an empty bag has none', () => {
    expect(done('Bo in 4 is 60 cm tall', { bags })).toMatchObject([{ plantId: 'pla_four02' }]);
    const said = (line: string) => (read(line, { bags }) as { problem?: string }).problem;
    expect(said('4 is 60 cm tall')).toMatch(/^There are 2 plants in bag 4/);
    expect(said('5 is 60 cm tall')).toBe('No plant stands in bag 5.');
    expect(read('the cane in 7 is 150 cm', { bags }).kind).toBe('other');
    expect(read('the gap at 7 is 5 cm', { bags }).kind).toBe('other');
    expect(said('7 is 60 m tall')).toBe('How tall is it, as “7 is 80 cm tall”?');
  });

  it('may be how warm the mix is', () => {
    expect(done('mix of 7 is 18 degrees', { bags })).toMatchObject([{ kind: 'warmth', mixCelsius: 18 }]);
    expect(done('soil in 7 and 5 at 64 F', { bags, system: 'us' })).toMatchObject([
      { mixCelsius: expect.closeTo(17.8, 1) },
      { mixCelsius: expect.closeTo(17.8, 1) },
    ]);
  });
});

describe('one plant of several, by its number', () => {
  const plants = [1, 2].map((number) => ({
    stationId: `stn_plant${number}`,
    plantId: `pla_plant${number}`,
    names: [],
    number,
  }));
  const trough = { ...bag('1', 'Door'), plants };
  const two = { stationId: 'stn_plant2', plantId: 'pla_plant2' };

  it.each([
    ['first flowers on plant 2', { kind: 'stage', stage: 'flowers', ...two }],
    ['no flowers on plant 2 yet', { kind: 'stage', isNotYet: true, ...two }],
    ['plant 2 is 40 cm', { kind: 'height', heightMillimetres: 400, ...two }],
    ['plant 2 died', { kind: 'cleared', why: 'died', ...two }],
    ['picked 200 g from plant 2', { kind: 'picking', kilograms: 0.2, ...two }],
    ['plant 2 dry', { kind: 'check', stationId: 'stn_plant2' }],
    ['aphids on plant 2', { kind: 'trouble', what: 'sap-suckers', ...two }],
  ] as const)('%s', (line, entry) => {
    expect(done(line, { bags: [trough] })).toMatchObject([entry]);
    expect(done(line.replace('plant 2', 'plant 2 in 1'), { bags: [trough, bag('2', 'Door')] })).toMatchObject(
      [entry],
    );
  });

  it('is none where a bag is called so, or two are named', () => {
    const both = [trough, bag('2', 'Door')];
    expect(done('plant 2 dry', { bags: both })).toMatchObject([
      { containerId: bag('2', 'Door').containerId },
    ]);
    expect(read('plant 1 and 2 died', { bags: [trough] }).kind).not.toBe('command');
  });

  it('in a garden of one bag it is what "it" means', () => {
    expect(done('it is dry now', { bags: [trough] })).toMatchObject([{ kind: 'check', check: { grade: 2 } }]);
    expect(done('it felt dry on top but moist below', { bags: [trough] })).toMatchObject([
      { kind: 'check', check: { grade: 4 }, note: 'felt dry on top' },
    ]);
    expect(read('it is dry now').kind).toBe('other');
  });
});

describe('who did it', () => {
  it.each([
    ['Tom watered 7 1 can', 'Tom'],
    ['Mum has picked 450 g from 7', 'Mum'],
    ['Evening watered 7 1 can', undefined],
    ['Tomatoes watered 1 can on 7', undefined],
  ])('%s', (line, who) => {
    expect((done(line)[0] as { who?: string }).who).toBe(who);
  });
});
