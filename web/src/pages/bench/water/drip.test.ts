import { addDays } from '@rundel/core/calendar';
import { describe, expect, it } from 'vitest';
import { dripFormOf, dripWeeks, readDripForm, type DripForm } from './drip-form.ts';

const form = (more: Partial<DripForm> = {}): DripForm => ({ ...dripFormOf(undefined), ...more });

describe('a drip setting as typed', () => {
  it('is read: 170 mL in five minutes are about 2 L an hour', () => {
    expect(readDripForm(form())).toEqual({
      kind: 'read',
      setting: {
        emitters: 2,
        litresPerHourEach: 2.04,
        minutes: 15,
        timesADay: 2,
        weekdays: [1, 2, 3, 4, 5, 6, 7],
      },
    });
  });

  it('goes there and back', () => {
    const setting = { emitters: 3, litresPerHourEach: 4.08, minutes: 7.5, timesADay: 1, weekdays: [1, 4] };
    expect(readDripForm(dripFormOf(setting))).toEqual({ kind: 'read', setting });
  });

  it.each([
    [{ emitters: '1.5' }, 'emitters'],
    [{ emitters: '' }, 'emitters'],
    [{ jarMillilitres: '0' }, 'jarMillilitres'],
    [{ minutes: 'ten' }, 'minutes'],
    [{ minutes: '500', timesADay: '4' }, 'minutes'],
    [{ timesADay: '0' }, 'timesADay'],
    [{ weekdays: [] }, 'weekdays'],
  ] as const)('is refused beside its field: %o', (more, field) => {
    const read = readDripForm(form(more));
    expect(read.kind === 'refused' && read.problems[field]?.length).toBeGreaterThan(10);
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
