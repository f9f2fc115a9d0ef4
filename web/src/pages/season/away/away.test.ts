import type { AwayBagPlan, AwayPlan } from '@rundel/core/away';
import type { Settings } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { unitFormatIn } from '../../../store/index.ts';
import { fieldsIn } from '../../../../test/field-context.ts';
import { readForm } from '../../../ui/form/index.ts';
import {
  AWAY_FIELDS,
  awayStart,
  questionOf,
  USUAL_SETS,
  type AwaySets,
  type AwayValues,
} from './away-form.ts';
import {
  answerWords,
  changeWords,
  comeWords,
  helperWords,
  inHundred,
  takesWords,
  visitColumns,
} from './away-words.ts';

const METRIC = fieldsIn('metric');
const NOW = '2026-07-16T08:00:00.000+01:00';
const TODAY = '2026-07-16';
const SETTINGS = { roundHours: [8, 18], roundDays: undefined };
const WEEKENDS = {
  roundHours: [9],
  roundDays: { by: 'weekdays' as const, weekdays: [6, 7] },
};
type Texts = { readonly [K in keyof AwayValues]?: string };

function asked(
  typed: Texts = {},
  sets: Partial<AwaySets> = {},
  settings: Pick<Settings, 'roundHours' | 'roundDays'> = SETTINGS,
) {
  const read = readForm(AWAY_FIELDS, awayStart(NOW, settings), typed, METRIC);
  return read.ok
    ? { question: questionOf(read.values, { ...USUAL_SETS, ...sets }, 8, settings, NOW), problems: {} }
    : { question: undefined, problems: read.problems };
}

describe('the question of a time away', () => {
  it('is asked as it stands: four days from the last round on, no helper, a tenth of risk', () => {
    expect(asked().question).toMatchObject({
      leaveOn: TODAY,
      leaveHour: 18,
      backOn: '2026-07-20',
      backHour: 18,
      helperDays: [],
      helperLitres: 0,
      acceptedRisk: 0.1,
    });
  });

  it.each([
    [{ leaveOn: '2026-07-15' }, 'leaveOn', /past/],
    [{ leaveOn: '?' }, 'leaveOn', /whole date/],
    [{ leaveOn: '' }, 'leaveOn', /Which day/],
    [{ leaveAt: '5:00' }, 'leaveAt', /time is past/],
    [{ leaveAt: 'soon' }, 'leaveAt', /time of day/],
    [{ leaveOn: '2026-08-16', backOn: '2026-08-20' }, 'leaveOn', /two weeks/],
    [{ backOn: '2026-07-14' }, 'backOn', /after leaving/],
    [{ backOn: TODAY, backAt: '17' }, 'backAt', /after leaving/],
    [{ backOn: '2026-09-01' }, 'backOn', /At most 21 days/],
    [{ hasHelper: 'on', cans: 'some' }, 'cans', /read as a number/],
    [{ hasHelper: 'on', cans: '0' }, 'cans', /How many cans/],
  ] as const)('is refused beside its field: %o', (typed, field, words) => {
    expect((asked(typed).problems as Record<string, string>)[field]).toMatch(words);
  });

  it('takes hours as people write them, and a day from morning to night', () => {
    expect(asked({ leaveAt: '9.30', backOn: TODAY, backAt: '8 pm' }).question).toMatchObject({
      leaveHour: 9.5,
      backOn: TODAY,
      backHour: 20,
    });
  });

  it('a helper can come on the days between, but for those that they cannot', () => {
    const typed = { hasHelper: 'on', cans: '2,5' };
    expect(asked(typed).question?.helperDays).toEqual(['2026-07-17', '2026-07-18', '2026-07-19']);
    expect(asked(typed, { busyDays: ['2026-07-18'] }).question).toMatchObject({
      helperDays: ['2026-07-17', '2026-07-19'],
      helperLitres: 20,
    });
  });

  it('goes by what was kept on the device, and not by the usual', () => {
    const kept = { leaveOn: '2026-07-18', leaveAt: '7:30', risk: '25', isSoaked: '' };
    const read = readForm(AWAY_FIELDS, awayStart(NOW, SETTINGS, kept), { backOn: '2026-07-21' }, METRIC);
    if (!read.ok) throw new Error('It reads.');
    expect(questionOf(read.values, USUAL_SETS, 8, SETTINGS, NOW)).toMatchObject({
      leaveOn: '2026-07-18',
      leaveHour: 7.5,
      backOn: '2026-07-21',
      acceptedRisk: 0.25,
      isSoaked: false,
    });
  });

  it('who comes at weekends only is away from the last of them to the next', () => {
    const typed = { leaveOn: '2026-07-21', backOn: '2026-07-23' };
    expect(asked(typed, {}, WEEKENDS).question).toMatchObject({
      leaveOn: '2026-07-19',
      leaveHour: 9,
      backOn: '2026-07-25',
      backHour: 9,
      isSoaked: true,
    });
    expect(asked({ ...typed, comesBy: 'on' }, {}, WEEKENDS).question).toMatchObject(typed);
    // the last weekend is over, and nothing is poured before it
    expect(asked({}, {}, WEEKENDS).question).toMatchObject({ leaveOn: TODAY, leaveHour: 8, isSoaked: false });
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
    days: ['2026-07-16', '2026-07-17', '2026-07-18'],
    hours: 48,
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
