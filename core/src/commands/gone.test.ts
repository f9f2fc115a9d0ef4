import { describe, expect, it } from 'vitest';
import { bag, done, NOW, read } from '../../test/command-line.ts';

const plant = (id: string, ...names: string[]) => ({ stationId: `sta_${id}`, plantId: `pla_${id}`, names });
const bags = [
  { ...bag('3', 'Terrace', 'Bosun Short'), placeId: 'plc_terrac', plants: [plant('three1', 'Bosun Short')] },
  {
    ...bag('4', 'Terrace', 'Ada', 'Red Keel'),
    placeId: 'plc_terrac',
    plants: [plant('four01', 'Ada', 'Red Keel'), plant('four02', 'Red Keel')],
  },
  { ...bag('5', 'Terrace'), placeId: 'plc_terrac', plants: [] },
  { ...bag('7', 'Slipway', 'Red Keel'), placeId: 'plc_slipwa', plants: [plant('seven1', 'Red Keel')] },
];
const gone = (line: string) =>
  done(line, { bags }).map((d) => (d.kind === 'cleared' ? [d.plantId.slice(4), d.why, d.note] : [d.kind]));
const problem = (line: string) => {
  const reading = read(line, { bags });
  return reading.kind === 'unfinished' ? reading.problem : reading.kind;
};

describe('plants that stand no longer', () => {
  it.each([
    ['7 died', [['seven1', 'died', undefined]]],
    [
      '3 and 7 died of frost',
      [
        ['three1', 'died', 'frost'],
        ['seven1', 'died', 'frost'],
      ],
    ],
    ['the plant in 3 is dead', [['three1', 'died', undefined]]],
    ['gave 7 away', [['seven1', 'given-away', undefined]]],
    ['3 got stolen', [['three1', 'stolen', undefined]]],
    ['3 was stolen', [['three1', 'stolen', undefined]]],
    ['7 is finished', [['seven1', undefined, undefined]]],
    ['pulled up 3', [['three1', undefined, undefined]]],
    [
      'both plants in 4 died',
      [
        ['four01', 'died', undefined],
        ['four02', 'died', undefined],
      ],
    ],
    [
      'all in 4 died',
      [
        ['four01', 'died', undefined],
        ['four02', 'died', undefined],
      ],
    ],
  ] as const)('%s', (line, plants) => {
    expect(gone(line)).toEqual(plants);
  });

  it('of several in a bag it is said which; a name stands for the one that has it', () => {
    expect(problem('4 died')).toBe(
      'There are 2 plants in bag 4. All of them is “all in 4”; one is said by its name, or at the plant on the bag’s page.',
    );
    // Red Keel is in bag 7 too
    expect(gone('Ada in 4 died yesterday')).toEqual([['four01', 'died', undefined]]);
    expect(done('Ada in 4 died yesterday', { bags })[0]?.at).toBe('2026-07-15T18:30:00.000+01:00');
  });

  it('a bag in which nothing stands is told', () => {
    expect(problem('5 died')).toBe('No plant stands in bag 5.');
  });

  it.each(['dead leaves on 7', 'finished weeding by 7', 'pulled out the tags at 7', 'watered 7 2 L'])(
    '%s is of something else',
    (line) => {
      const reading = read(line, { bags });
      const kinds = reading.kind === 'command' ? reading.commands.map(({ kind }) => kind) : [];
      expect(kinds).not.toContain('gone');
    },
  );

  it('stands in a row with other deeds', () => {
    expect(gone('watered 3 2 L, 7 died')).toEqual([['watering'], ['seven1', 'died', undefined]]);
  });
});

describe('bags that were carried', () => {
  const moved = (line: string) =>
    done(line, { bags }).map((d) =>
      d.kind === 'moved' ? [d.containerId, d.fromPlaceId, d.toPlaceId] : [d.kind],
    );

  it.each([
    'moved 3 to the glass house',
    'carried bag 3 into the glass house',
    'moved 3 back to the house',
    'brought 3 in to the Glass house',
    'moved 3 back glass house',
  ])('%s', (line) => {
    expect(moved(line)).toEqual([['con_3xxxxx', 'plc_terrac', 'plc_glass1']]);
  });

  it('several at once, on a day, from a place', () => {
    expect(moved('moved 3 and 4 to the slipway yesterday')).toEqual([
      ['con_3xxxxx', 'plc_terrac', 'plc_slipwa'],
      ['con_4xxxxx', 'plc_terrac', 'plc_slipwa'],
    ]);
    expect(moved('moved everything from the terrace to the slipway')).toHaveLength(3);
    expect(done('moved 3 to the slipway', { bags })[0]?.at).toBe(NOW);
  });

  it('what was moved and is no bag is something else', () => {
    expect(problem('moved the date on')).toBe('other');
    expect(problem('moved 3 from the terrace')).toBe('other');
  });

  it('where to is asked where it is not said, and where a bag stands there already', () => {
    expect(problem('moved 3 to the attic')).toBe(
      'Where to? The places here are Terrace, Slipway, Glass house.',
    );
    expect(problem('moved 7 to the slipway')).toBe('Bag 7 stands there already.');
  });

  it('everything at a place is what stands there, whatever is done', () => {
    expect(done('watered everything on the terrace 2 L', { bags })).toHaveLength(3);
    expect(done('watered everything 2 L', { bags })).toHaveLength(4);
    expect(done('watered everything but 7 2 L', { bags })).toHaveLength(3);
  });
});
