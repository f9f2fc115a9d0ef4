import { DEFAULT_ASSUMED } from '@rundel/core/assumed';
import { addDays } from '@rundel/core/calendar';
import { frostYear } from '@rundel/core/season';
import { defaultNormals } from '@rundel/core/climate';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unitFormatIn } from '../../store/unit-format.ts';
import { frostDatesOf } from './frost-dates.ts';
import { dayAt, frostGradient, monthsOf, percentOf } from './year-axis.ts';
import { chanceWords, openingWords, windowWords } from './year-words.ts';

describe('frost dates as people write them', () => {
  it.each([
    ['25 Apr', '20 October', '04-25', '10-20'],
    ['25.4.', '20/10', '04-25', '10-20'],
    ['Apr 25', 'October 20', '04-25', '10-20'],
    ['29 Feb', '01-12', '02-29', undefined],
  ])('reads %s and %s', (last, first, wantedLast, wantedFirst) => {
    const read = frostDatesOf.read(last, first, 51);
    if (wantedFirst === undefined) expect(read.kind).toBe('refused');
    else expect(read).toEqual({ kind: 'read', last: wantedLast, first: wantedFirst });
  });

  it('names the field that does not read', () => {
    expect(frostDatesOf.read('soon', '20 Oct', 51)).toMatchObject({
      kind: 'refused',
      problems: { last: expect.any(String) },
    });
    expect(frostDatesOf.read('', '', 51)).toMatchObject({ problems: { last: expect.any(String) } });
  });

  it('are enough by one of the two', () => {
    expect(frostDatesOf.read('25 Apr', '', 51)).toEqual({ kind: 'read', last: '04-25', first: undefined });
    expect(frostDatesOf.read(' ', '20 Oct', 51)).toEqual({ kind: 'read', last: undefined, first: '10-20' });
  });

  it('says when nothing can grow between them, or when they are the wrong way round', () => {
    expect(frostDatesOf.read('20 Aug', '1 Sep', 51)).toMatchObject({ problems: { first: /12 days/ } });
    expect(frostDatesOf.read('20 Oct', '25 Apr', 51)).toMatchObject({
      problems: { first: /wrong way round/ },
    });
    // in the south the season runs over the turn of the year
    expect(frostDatesOf.read('20 Sep', '15 May', -38).kind).toBe('read');
  });

  it('writes what it reads', () => {
    expect(frostDatesOf.write('04-25')).toBe('25 Apr');
    expect(frostDatesOf.read(frostDatesOf.write('05-03'), '1 Nov', 51)).toMatchObject({ last: '05-03' });
  });
});

describe('the axis of the year', () => {
  it('a day and its place on the axis go back and forth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 363 }), (n) => {
        const day = addDays('2026-01-01', n);
        expect(
          Math.abs(Date.parse(dayAt(percentOf(day, '2026-01-01') / 100, '2026-01-01')) - Date.parse(day)),
        ).toBeLessThanOrEqual(86_400_000);
      }),
    );
  });

  it('begins with July in the south', () => {
    expect(monthsOf('2026-07-01').map((m) => m.name)).toEqual([
      'Jul',
      'Aug',
      'Sep',
      'Oct',
      'Nov',
      'Dec',
      'Jan',
      'Feb',
      'Mar',
      'Apr',
      'May',
      'Jun',
    ]);
    const places = monthsOf('2026-07-01').map((m) => m.percent);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
  });

  it('holds what lies outside the year to its ends', () => {
    expect(percentOf('2025-11-01', '2026-01-01')).toBe(0);
    expect(percentOf('2027-11-01', '2026-01-01')).toBeCloseTo(100, 0);
  });

  it('is bluest in winter', () => {
    const site = { latitudeDegrees: 51, normals: defaultNormals(51) };
    const shares = [
      ...frostGradient(frostYear(site, undefined, [], '2026-06-01', DEFAULT_ASSUMED)).matchAll(
        /cold\) (\d+)%/g,
      ),
    ].map((m) => Number(m[1]));
    expect(shares[0]).toBe(45);
    expect(shares[18]).toBe(0);
    expect(shares.at(-1)).toBeGreaterThan(40);
  });
});

describe('timing in words', () => {
  const unitFormat = unitFormatIn('metric');

  it.each([
    [0.005, 'hardly any'],
    [0.16, '1 in 6'],
    [0.5, '5 in 10'],
    [0.99, 'almost certain'],
  ])('a chance of %f is %s', (chance, words) => {
    expect(chanceWords(chance)).toBe(words);
  });

  it('a window that is closed says the numbers that close it', () => {
    const needs = { cropDays: 70, shorteningDays: 14, pickingDays: 14 };
    expect(
      windowWords({ kind: 'no-season', why: 'too-short', has: 69, needs, green: undefined }, unitFormat),
    ).toBe(
      'too short: 69 days are left, it takes 70 days to its first fruit + 14 as days shorten + 14 of picking',
    );
    expect(windowWords({ kind: 'no-season', why: 'nights-too-cold', has: 9, needs: 11 }, unitFormat)).toMatch(
      /9.°C.*11.°C/,
    );
  });

  it('a plan is told this season’s window, or why there is none and the next one', () => {
    const open = (from: string, to: string) => ({
      kind: 'open' as const,
      plant: { from, to },
      sow: { from, to },
      sowInPlace: undefined,
      latestForGreen: addDays(to, 20),
      limit: 'frost' as const,
      needs,
    });
    const needs = { cropDays: 70, shorteningDays: 14, pickingDays: 14 };
    const takes = '70 days to its first fruit + 14 as days shorten + 14 of picking';
    const late = { kind: 'no-season', why: 'too-short', has: 0, needs, green: undefined } as const;
    const next = open('2027-05-18', '2027-07-18');
    expect(openingWords(open('2026-06-20', '2026-07-02'), undefined, true, unitFormat)).toBe(
      `After what stands in it: 20 Jun to 2 Jul, for green fruit by 22 Jul. It takes ${takes}.`,
    );
    expect(openingWords(late, next, true, unitFormat)).toBe(
      `After what stands in it this season is too short: 0 days are left, it takes ${takes}. Next season: 18 May to 18 Jul.`,
    );
    expect(openingWords(late, late, false, unitFormat)).toBe(
      `This season is too short: 0 days are left, it takes ${takes}.`,
    );
  });
});
