import { describe, expect, it } from 'vitest';
import { done, read, short } from '../../test/command-line.ts';

/** What was said of which day: coldest, warmest, rain. */
const said = (line: string, more: Parameters<typeof done>[1] = {}) =>
  done(line, more).flatMap((d) => {
    const rounded = (x: number | undefined) => (x === undefined ? undefined : Math.round(x * 100) / 100);
    return d.kind === 'weather'
      ? [[d.day.slice(5), rounded(d.minCelsius), rounded(d.maxCelsius), rounded(d.rainMillimetres)]]
      : [];
  });

describe('the weather in a line', () => {
  it.each([
    ['rain 12 mm', '07-16', undefined, undefined, 12],
    ['rained 12 yesterday', '07-15', undefined, undefined, 12],
    ['yesterday 0.5 in of rain', '07-15', undefined, undefined, 12.7],
    ['it rained about 1/2 inch on Monday', '07-13', undefined, undefined, 12.7],
    ['got 8 mm of rain', '07-16', undefined, undefined, 8],
    ['rain gauge 1.2 cm', '07-16', undefined, undefined, 12],
    ['rain in the night, gauge says 4', '07-16', undefined, undefined, 4],
    ['heavy rain overnight, gauge says 22 mm', '07-16', undefined, undefined, 22],
    ['rained overnight, 4 mm', '07-16', undefined, undefined, 4],
    ['gauge 0.5 in yesterday', '07-15', undefined, undefined, 12.7],
    ['no rain yesterday', '07-15', undefined, undefined, 0],
    ['low 4, high 21', '07-16', 4, 21, undefined],
    ['min 39 F max 70 F yesterday', '07-15', 3.89, 21.11, undefined],
    ['8 to 21 °C', '07-16', 8, 21, undefined],
    ['-2 - 9 degrees, rain 3 mm', '07-16', -2, 9, 3],
    ['high was 31', '07-16', undefined, 31, undefined],
    // the night into a day is told with that day
    ['-2 C last night', '07-16', -2, undefined, undefined],
    ['last night low −1', '07-16', -1, undefined, undefined],
    ['tonight 3 °C', '07-17', 3, undefined, undefined],
    ['tomorrow high 33, low 19', '07-17', 19, 33, undefined],
    ['tomorrow night 2 °C', '07-18', 2, undefined, undefined],
  ])('%s', (line, day, ...parts) => {
    expect(said(line)).toEqual([[day, ...parts]]);
  });

  it('is in the units of the grower', () => {
    expect(said('rain 0.5', { system: 'us' })).toEqual([['07-16', undefined, undefined, 12.7]]);
    expect(said('high 86', { system: 'us' })).toEqual([['07-16', undefined, 30, undefined]]);
  });

  it('keeps what is left over as its note, and who read the gauge', () => {
    expect(done('rain 12 mm, hail too')[0]).toMatchObject({ rainMillimetres: 12, note: 'hail too' });
    expect(done('rain 12 mm by Nell')[0]).toMatchObject({ rainMillimetres: 12, who: 'Nell' });
  });

  it('stands beside other deeds, before and behind them, and of another day', () => {
    const both = [
      ['weather', undefined],
      ['watering', '7', 9],
    ];
    expect(short('rain 2 mm, watered 7 1 can')).toEqual(both);
    expect(short('watered 7 1 can and rain 2 mm')).toEqual([...both].reverse());
    expect(said('yesterday rain 2 mm, watered 7 1 can')).toEqual([['07-15', undefined, undefined, 2]]);
    // of when it rained, or of all of it
    const at = (line: string) =>
      done(line).flatMap((d) => (d.kind === 'watering' ? [d.at.slice(8, 10)] : []));
    expect(at('rain 12 mm yesterday, watered 7 1 can')).toEqual(['16']);
    expect(at('yesterday rain 2 mm, watered 7 1 can')).toEqual(['15']);
    expect(said('rain 14 mm last night, watered 7 1 can')).toEqual([['07-16', undefined, undefined, 14]]);
    expect(at('rain 14 mm last night, about 2 L on 7')).toEqual(['16']);
    expect(at('2 days ago rain 2 mm, watered 7 1 can')).toEqual(['14']);
    expect(said('rain 2 mm, watered 7 1 can yesterday')).toEqual([['07-15', undefined, undefined, 2]]);
    expect(said('rain 12 mm yesterday and 3 mm rain today')).toEqual([
      ['07-15', undefined, undefined, 12],
      ['07-16', undefined, undefined, 3],
    ]);
  });

  it('of two days is of each its own, and never of one of them', () => {
    expect(said('low was 58 f last night, tomorrow high 97 f')).toEqual([
      ['07-16', 14.44, undefined, undefined],
      ['07-17', undefined, 36.11, undefined],
    ]);
    expect(said('rain 12 mm yesterday and 3 mm today')).toEqual([
      ['07-15', undefined, undefined, 12],
      ['07-16', undefined, undefined, 3],
    ]);
    expect(said('rained 12 mm on Monday, 3 mm on Tuesday').map(([day]) => day)).toEqual(['07-13', '07-14']);
    expect(read('rained 12 mm on Monday, 3 mm on Tuesday, nothing since')).toMatchObject({
      kind: 'unfinished',
    });
    expect(read('low 4 tonight high 33 tomorrow night')).toMatchObject({ kind: 'unfinished' });
  });

  it.each([
    ['12 °C', /coldest or the warmest/],
    ['rained yesterday', /How much/],
    ['rain 900 mm', /No day has such weather/],
    ['low 20 high 12', /cannot be colder/],
    ['high 99 °C', /No day has such weather/],
    ['low -30 high 40', /No day has such weather/],
  ])('asks: %s', (line, problem) => {
    const reading = read(line);
    expect(reading.kind === 'unfinished' && reading.problem).toMatch(problem);
  });

  it.each(['rain', 'rain butt', '7 f', 'weather', 'note on 7: rain 12 mm split the fruit'])(
    'is not what %s says',
    (line) => {
      const reading = read(line);
      expect(reading.kind === 'command' ? reading.commands[0].kind : reading.kind).not.toBe('weather');
      expect(reading.kind).not.toBe('unfinished');
    },
  );
});
