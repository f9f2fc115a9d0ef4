import { describe, expect, it } from 'vitest';
import { dryWords, hourOf, hoursOf, readWeekdays, roundsWords, worstWords } from './rounds-text.ts';

describe('rounds as they are typed', () => {
  it.each([
    ['18', 18],
    ['7:30', 7.5],
    ['7.30', 7.5],
    ['6 pm', 18],
    ['12 am', 0],
    ['12pm', 12],
    ['25', undefined],
    ['8:75', undefined],
    ['noon', 12],
    ['soon', undefined],
  ])('%s', (text, hour) => {
    expect(hourOf(text)).toBe(hour);
  });

  it.each([
    ['8:00, 18:00', [8, 18]],
    ['8 am; 12:30pm', [8, 12.5]],
    ['7 am and noon', [7, 12]],
    ['8 18', [8, 18]],
    ['8, x', [8, undefined]],
  ])('several: %s', (text, hours) => {
    expect(hoursOf(text)).toEqual(hours);
  });

  it.each([
    ['Mon, Thu', [1, 4]],
    ['saturday and wednesday', [3, 6]],
    ['sun sun', [7]],
  ])('%s', (text, weekdays) => {
    expect(readWeekdays(text)).toEqual({ ok: true, value: weekdays });
  });

  it.each(['', 'someday', 'Mon, x'])('"%s" is asked about again', (text) => {
    expect(readWeekdays(text)).toMatchObject({ ok: false, problem: expect.stringContaining('Mon, Thu') });
  });
});

describe('rounds in words', () => {
  it.each([
    [undefined, 'every day, at 8:00 and 18:00'],
    [{ by: 'every', days: 3, from: '2026-07-01' }, 'every third day, at 8:00 and 18:00'],
    [{ by: 'every', days: 10, from: '2026-07-01' }, 'every 10 days, at 8:00 and 18:00'],
    [{ by: 'weekdays', weekdays: [7, 6] }, 'at weekends, at 8:00 and 18:00'],
    [{ by: 'weekdays', weekdays: [3, 6] }, 'on Wed and Sat, at 8:00 and 18:00'],
  ] as const)('%o', (days, words) => {
    expect(roundsWords([18, 8], days)).toBe(words);
  });

  const month = (name: string, likely: number, low = likely, high = likely) => ({
    month: `2026-${name}`,
    days: 30,
    dryDays: { low, likely, high },
    chance: 0.5,
  });

  it('what they leave dry, by month and at worst', () => {
    const months = [month('06', 0.2), month('07', 8.6, 5, 12), month('08', 1)];
    expect(dryWords(months)).toBe(
      'It gets too dry between two rounds on about 9 days of July (5 to 12) and a day of August.',
    );
    expect(worstWords(months)).toBe('too dry on 9 days of July');
    expect(dryWords([month('06', 0.2)])).toMatch(/hardly ever/);
    expect(worstWords([month('06', 0.2)])).toBe('hardly ever too dry');
    expect(dryWords(undefined)).toBe('');
  });
});
