import { describe, expect, it } from 'vitest';
import { unitFormatIn } from '../store/unit-format.ts';
import { readAmount } from './amount-text.ts';
import { readPlace } from './place-text.ts';
import {
  dayAndTime,
  fillsWords,
  hoursRangeWords,
  hoursWords,
  midSentence,
  thirstWords,
  whenWords,
} from './text.ts';

const NOW = '2026-07-16T18:00:00.000+01:00';

describe('times as a person says them', () => {
  it.each([
    ['2026-07-16T08:05:00.000+01:00', 'today 08:05'],
    ['2026-07-15T23:59:00.000+01:00', 'yesterday'],
    ['2026-07-14T08:00:00.000+01:00', 'Tuesday'],
    ['2026-07-03T08:00:00.000+01:00', '3 Jul'],
    ['2025-12-03T08:00:00.000+00:00', '3 Dec 2025'],
    ['2026-07-17T08:00:00.000+01:00', 'tomorrow morning'],
    ['2026-07-19T18:00:00.000+01:00', 'Sunday evening'],
  ])('%s is %s', (at, words) => {
    expect(whenWords(at, NOW)).toBe(words);
  });

  it('are by the local clock of the entry and not of the reader', () => {
    expect(dayAndTime('2026-07-16T23:30:00.000-10:00')).toBe('Thursday evening');
    expect(dayAndTime('2026-07-16T02:30:00.000+12:00')).toBe('Thursday night');
  });

  it.each([
    [undefined, 'over a week'],
    [0, 'under 1 h'],
    [17.2, '17 h'],
    [50, '2 days'],
    [61, '2.5 days'],
  ])('%s hours', (hours, words) => {
    expect(hoursWords(hours)).toBe(words);
  });
});

describe('a span of hours', () => {
  it.each([
    [2, 5, '2 h to 5 h'],
    [3, 3, '3 h'],
    [50, undefined, '2 days to over a week'],
    [264, undefined, '11 days or more'],
    [undefined, undefined, 'over a week'],
  ])('from %s to %s', (low, high, words) => {
    expect(hoursRangeWords(low, high)).toBe(words);
  });
});

describe('thirst', () => {
  it.each([
    [1.05, undefined],
    [1.2, 'a fifth more than is usual for its kind'],
    [1 / 1.27, 'a quarter less than is usual for its kind'],
    [2, 'about twice as much as is usual for its kind'],
    [0.5, 'about half of what is usual for its kind'],
  ])('%d', (multiplier, words) => {
    expect(thirstWords(multiplier)).toBe(words);
  });
});

describe('cans', () => {
  const can = { kind: 'can', name: 'green can' };
  it.each([
    [0.75, '¾ green can'],
    [1, '1 green can'],
    [2.5, '2½ green cans'],
    [0, '0 green can'],
    [0.4375, '½ green can'],
    [0.03, '⅛ green can'],
    [1.97, '2 green cans'],
  ])('%d', (count, words) => {
    expect(fillsWords(count, can)).toBe(words);
  });

  it('a hose is in seconds', () => {
    expect(fillsWords(24, { kind: 'hose', name: 'yard hose' })).toBe('24 s of yard hose');
  });
});

describe('ranges', () => {
  it('name the unit once, and a range of nothing is one number', () => {
    const unitFormat = unitFormatIn('metric');
    expect(unitFormat.range(2.61, 4.72, 'water')).toBe('2.6 to 4.7\u00a0L');
    expect(unitFormat.range(0.2, 1.2, 'water')).toBe('0.2 to 1.2\u00a0L');
    expect(unitFormat.range(3, 3.01, 'water')).toBe('3\u00a0L');
  });
});

describe('amounts that are refused', () => {
  const rule = { purpose: 'bag', system: 'metric', low: 1, high: 1000 } as const;
  it.each([
    ['', 'Please give a number.'],
    ['-1', 'It must be more than nothing.'],
    ['5000', '5000 L cannot be right here: it must be from 1 L to 1000 L.'],
    ['3 cm', 'This unit measures something else.'],
    ['0x10', 'I do not know this unit.'],
  ])('"%s"', (text, problem) => {
    expect(readAmount(text, rule)).toEqual({ ok: false, problem });
  });

  it('is how long a hose ran, once it has been timed', () => {
    const hose = { kind: 'hose', name: 'yard hose', litres: 0.25 } as const;
    const drip = { kind: 'dripper', name: 'deck drip', litres: 0.03 } as const;
    const given = (text: string, measures: readonly (typeof hose | typeof drip)[]) =>
      readAmount(text, { ...rule, measures });
    expect(given('2 min', [hose])).toEqual({ ok: true, value: { siValue: 30, text: '2 min' } });
    expect(given('2 min of yard hose', [hose, drip])).toMatchObject({ value: { siValue: 30 } });
    expect(given('2 min', [hose, drip])).toMatchObject({
      problem: 'Which of them ran: yard hose or deck drip?',
    });
    expect(given('2 min', [])).toMatchObject({
      problem: expect.stringMatching(/^How much runs in that time/),
    });
  });

  it('may be left out where that is allowed', () => {
    expect(readAmount(' ', { ...rule, isOptional: true })).toEqual({ ok: true, value: undefined });
  });
});

describe('a place as typed', () => {
  it('needs a name and a latitude with a sunset every day', () => {
    expect(readPlace(' Quay ', '-33,5')).toEqual({
      kind: 'read',
      gardenName: 'Quay',
      latitudeDegrees: -33.5,
    });
    expect(readPlace('Quay', '33½° S')).toMatchObject({ latitudeDegrees: -33.5 });
    expect(readPlace('Quay', '51 north by west').kind).toBe('refused');
    expect(readPlace('', '80')).toMatchObject({
      kind: 'refused',
      problems: { name: expect.stringContaining('name') as string },
    });
    expect(readPlace('Quay', ' ')).toMatchObject({
      problems: { latitude: expect.stringContaining('66') as string },
    });
  });
});

describe('a name within a sentence', () => {
  it.each([
    ['Tomato liquid 4-3-8', 'tomato liquid 4-3-8'],
    ['Nutrient part A 5-0-1', 'nutrient part A 5-0-1'],
    ['EC drops', 'EC drops'],
    ['', ''],
  ])('%s becomes %s', (name, within) => expect(midSentence(name)).toBe(within));
});
