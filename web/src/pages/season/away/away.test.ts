import type { AwayBagPlan, AwayPlan } from '@rundel/core/away';
import { describe, expect, it } from 'vitest';
import { unitFormatIn } from '../../../store/index.ts';
import { daysBetweenOf, readAwayForm, usualAwayForm, type AwayForm } from './away-form.ts';
import {
  answerWords,
  changeWords,
  comeWords,
  helperWords,
  inHundred,
  takesWords,
  visitColumns,
} from './away-words.ts';

const TODAY = '2026-07-16';
const form = (more: Partial<AwayForm> = {}): AwayForm => ({ ...usualAwayForm(TODAY), ...more });
const problems = (more: Partial<AwayForm>) => {
  const read = readAwayForm(form(more), TODAY, 9);
  return read.kind === 'refused' ? read.problems : {};
};

describe('the question of a time away', () => {
  it('is asked as it stands: four days, no helper, a tenth of risk', () => {
    const read = readAwayForm(form(), TODAY, 9);
    expect(read).toMatchObject({
      kind: 'asked',
      question: { leaveOn: TODAY, backOn: '2026-07-20', helperDays: [], helperLitres: 0, acceptedRisk: 0.1 },
    });
  });

  it.each([
    [{ leaveOn: '2026-07-15' }, 'leaveOn', /past/],
    [{ leaveOn: '?' }, 'leaveOn', /Which day/],
    [{ leaveOn: '2026-08-16', backOn: '2026-08-20' }, 'leaveOn', /two weeks/],
    [{ backOn: TODAY }, 'backOn', /after leaving/],
    [{ backOn: '2026-09-01' }, 'backOn', /At most 21 days/],
    [{ hasHelper: true, cans: 'some' }, 'cans', /How many cans/],
    [{ hasHelper: true, cans: '0' }, 'cans', /How many cans/],
  ] as const)('is refused beside its field: %o', (more, field, words) => {
    expect(problems(more)[field]).toMatch(words);
  });

  it('a helper can come on the days between, but for those that they cannot', () => {
    expect(daysBetweenOf(form())).toEqual(['2026-07-17', '2026-07-18', '2026-07-19']);
    const read = readAwayForm(form({ hasHelper: true, cans: '2,5', busyDays: ['2026-07-18'] }), TODAY, 8);
    expect(read).toMatchObject({
      kind: 'asked',
      question: { helperDays: ['2026-07-17', '2026-07-19'], helperLitres: 20 },
    });
  });

  it('a half-typed date has no days between', () => {
    expect(daysBetweenOf({ leaveOn: '?', backOn: '2026-07-20' })).toEqual([]);
  });
});

describe('the answer', () => {
  const survival = { survives: 0.97, dryBy: [0, 0.03], visitLitres: [], usePerDayLitres: 1 };
  const row = (more: Partial<AwayBagPlan>): AwayBagPlan => ({
    containerId: 'con_1',
    changes: [],
    drip: undefined,
    isHelped: false,
    asItIs: survival,
    planned: survival,
    isSafe: true,
    ...more,
  });
  const plan = (bags: readonly AwayBagPlan[]): AwayPlan => ({
    days: ['2026-07-17', '2026-07-18'],
    visits: [],
    bags,
    beyondHelper: undefined,
    minutes: 0,
    helperMinutes: 0,
    weighed: 1,
  });
  const words = (...bags: AwayBagPlan[]) => answerWords(plan(bags), () => '7', 9);

  it('says who comes through, what helps, and what nothing helps', () => {
    expect(words(row({}), row({}))).toBe('All bags come through 2 days by themselves.');
    expect(words(row({}), row({ changes: ['shade'] }))).toBe(
      '1 bag of 2 comes through 2 days as it is. With what is below, 1 bag more does.',
    );
    expect(words(row({ isSafe: false }))).toMatch(
      /No bag comes through 2 days .*Nothing you allow is enough for bag 7:/,
    );
    const three = ['3', '12', '19'].map((containerId) => row({ containerId, isSafe: false }));
    expect(answerWords(plan(three), (id) => id, 9)).toContain('enough for bags 3, 12 and 19: ');
    const beyondHelper = { containerIds: ['3', '19'], litres: 10, visits: 6 };
    expect(answerWords({ ...plan(three), beyondHelper }, (id) => id, 9)).toMatch(
      /With 2 more fills on each of 6 visits a helper would bring bags 3 and 19 through too\. Nothing you allow is enough for bag 12:/,
    );
  });

  it('never says that all or none of a hundred do', () => {
    expect(inHundred(1)).toBe('over 99 in 100');
    expect(inHundred(0.001)).toBe('fewer than 1 in 100');
    expect(inHundred(0.5)).toBe('50 in 100');
  });

  it('has a column for each visit, or one for all after the first when there are many', () => {
    const days = (count: number) => Array.from({ length: count }, (_, i) => `2026-07-${17 + i}`);
    expect(comeWords(days(11))).toBe('every day from Friday 17 July to Monday 27 July');
    expect(comeWords(['2026-07-18', '2026-07-20'])).toBe('on Saturday 18 July and Monday 20 July');
    expect(visitColumns(days(2))).toEqual([
      { heading: 'Fri 17 Jul', from: 0, to: 1 },
      { heading: 'Sat 18 Jul', from: 1, to: 2 },
    ]);
    expect(visitColumns(days(9))).toEqual([
      { heading: 'Fri 17 Jul', from: 0, to: 1 },
      { heading: 'Every visit after', from: 1, to: 9 },
    ]);
  });

  it('says how far a helper is relied on', () => {
    expect(helperWords(0.05)).toBe('a helper who forgets 5 visits in 100');
    expect(helperWords(0.01)).toBe('a helper who forgets 1 visit in 100');
    expect(helperWords(0)).toBe('a helper who never fails to come');
  });

  it('says what a bag takes in cans and litres, over one visit or several', () => {
    const can = { kind: 'can', litres: 9, name: 'green can' } as const;
    const takes = (...likely: readonly number[]) =>
      takesWords(
        likely.map((l) => ({ likely: l, high: l + 1 })),
        can,
        unitFormatIn('metric'),
      );
    expect(takes(4.6)).toEqual({ fills: '½ green can', litres: '4.6\u00a0L, up to 5.6\u00a0L' });
    expect(takes(2, 9.1)).toEqual({
      fills: '¼ to 1 green can',
      litres: '2 to 9.1\u00a0L, up to 10.1\u00a0L',
    });
  });

  it('names the drip’s setting where it has one, and lengths in the grower’s units', () => {
    const drip = {
      minutes: 12,
      timesADay: 2,
      litresADay: 1.6,
      broughtLitresAWeek: 10,
      wantedLitresAWeek: 10,
      emittersWanted: undefined,
    };
    expect(changeWords('drip', row({ drip }), unitFormatIn('metric'))).toBe(
      'two drippers, 12 min 2 times a day',
    );
    expect(changeWords('mulch', row({}), unitFormatIn('us'))).toContain('in');
  });
});
