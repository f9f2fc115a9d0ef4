import { addDays } from '@rundel/core/calendar';
import { describe, expect, it } from 'vitest';
import { litresPerHour, type DripLine } from '@rundel/core/water';
import { fieldsIn } from '../../../../test/field-context.ts';
import { readForm } from '../../../ui/form/index.ts';
import { DRIP_LINE_FIELDS, dripLineOf, dripLineStart, dripWeeks, EVERY_DAY } from './drip-form.ts';

const context = fieldsIn('metric');

/** What comes of typing over a line's form. */
function typed(line: DripLine | undefined, texts: Readonly<Record<string, string>> = {}, system?: 'us') {
  const read = readForm(DRIP_LINE_FIELDS, dripLineStart(line), texts, system ? fieldsIn(system) : context);
  return read.ok
    ? { line: dripLineOf(read.values, line?.weekdays ?? EVERY_DAY), problems: {} }
    : { line: undefined, problems: read.problems };
}

describe('a line of drip as typed', () => {
  it('is litres an hour as they stand on most drippers', () => {
    expect(typed(undefined).line).toEqual({
      emitters: 2,
      litresPerHourEach: 2,
      minutes: 15,
      timesADay: 2,
      weekdays: EVERY_DAY,
    });
    expect(typed(undefined, { each: '0.5 us gal' }).line?.litresPerHourEach).toBeCloseTo(1.893, 3);
  });

  it('is what a jar caught in any number of minutes: 170 mL in five are about 2 L an hour', () => {
    expect(typed(undefined, { by: 'jar', jar: '170 mL' }).line?.litresPerHourEach).toBeCloseTo(2.04, 6);
    expect(
      typed(undefined, { by: 'jar', jar: '6 fl oz', jarMinutes: '3' }, 'us').line?.litresPerHourEach,
    ).toBeCloseTo(3.549, 2);
  });

  it('is a length of line that drips all along', () => {
    const { line } = typed(undefined, { by: 'metre', metres: '60 cm', metreGives: '4 L', isOffInRain: 'on' });
    expect(line).toMatchObject({ emitters: 1, metres: 0.6, litresPerHourEach: 4, isOffInRain: true });
    expect(line && litresPerHour(line)).toBeCloseTo(2.4, 12);
  });

  it('goes there and back', () => {
    const each: DripLine = {
      emitters: 3,
      litresPerHourEach: 4.08,
      minutes: 7.5,
      timesADay: 1,
      weekdays: [1, 4],
    };
    const metre: DripLine = { ...each, emitters: 1, metres: 1.25, isOffInRain: true };
    expect(typed(each).line).toEqual(each);
    expect(typed(metre).line).toEqual(metre);
  });

  it.each([
    [{ emitters: '1.5' }, 'emitters'],
    [{ emitters: '' }, 'emitters'],
    [{ by: 'jar', jar: '0' }, 'jar'],
    [{ by: 'jar', jar: '170 mL', jarMinutes: '0' }, 'jarMinutes'],
    [{ by: 'metre', metres: '' }, 'metres'],
    [{ minutes: 'some' }, 'minutes'],
    [{ minutes: '500', timesADay: '4' }, 'minutes'],
    [{ timesADay: '0' }, 'timesADay'],
  ] as const)('is refused beside its field: %o', (texts, field) => {
    const { problems } = typed(undefined, texts);
    expect((problems as Record<string, string>)[field]?.length).toBeGreaterThan(10);
  });
});

describe('weeks of use and drip', () => {
  const days = Array.from({ length: 24 }, (_, i) => ({
    day: addDays('2026-07-01', i),
    litres: 2,
    dripLitres: i < 7 ? 0 : 1.5,
  }));
  const weeks = dripWeeks(days, '2026-07-16');

  it('end today, the first may be short, and one lies ahead', () => {
    expect(weeks.map((w) => [w.from, w.days, w.isAhead])).toEqual([
      ['2026-07-01', 2, false],
      ['2026-07-03', 7, false],
      ['2026-07-10', 7, false],
      ['2026-07-17', 7, true],
    ]);
  });

  it('sum what they hold', () => {
    expect(weeks[2]).toMatchObject({ useLitres: 14, dripLitres: 10.5 });
    expect(weeks.filter((w) => !w.isAhead).reduce((sum, w) => sum + w.useLitres, 0)).toBe(32);
  });

  it('of nothing are none', () => {
    expect(dripWeeks([], '2026-07-16')).toEqual([]);
  });
});
