import { describe, expect, it } from 'vitest';
import {
  CAUSES,
  RECALLED_FACTORS,
  SIGNS,
  type FactorId,
  type Reason,
  type WeatherAlert,
} from '@rundel/core/care';
import { ALERT_KINDS, OUTCOMES, SPRAY_AGENTS, type EntryOf } from '@rundel/core/records';
import { unitFormatIn } from '../store/unit-format.ts';
import { ALERT_NAMES, alertWords } from './alert-text.ts';
import { degreesBetween, inUnits, windWords } from './in-units.ts';
import {
  AGENT_WORDS,
  agentName,
  causeName,
  chanceWords,
  cleanedWords,
  factorWords,
  OUTCOME_WORDS,
  percent,
  RECALLED_WORDS,
  reasonWords,
  signName,
  sprayedWords,
  strengthWords,
  trussWords,
} from './trouble-text.ts';

const [metric, us, uk] = (['metric', 'us', 'uk'] as const).map((system) => unitFormatIn(system));
if (!metric || !us || !uk) throw new Error('three systems of units were expected');
const base = {
  id: 'ent_words0001',
  at: '2026-07-16T20:00:00.000+01:00',
  recordedAt: '2026-07-16T20:00:00.000+01:00',
  containerId: 'con_words0001',
} as const;
/** Figures and their units hang together by a space that does not break. */
const plain = (words: string) => words.replaceAll('\u00a0', ' ');

describe('temperatures in words of core', () => {
  it('are told in the grower’s units, and a difference has no freezing point', () => {
    expect(plain(inUnits('Above {32 °C} pollen dies; shade takes {5 degrees} off.', metric))).toBe(
      'Above 32 °C pollen dies; shade takes 5 °C off.',
    );
    expect(plain(inUnits('Above {32 °C} pollen dies; shade takes {5 degrees} off.', us))).toBe(
      'Above 90 °F pollen dies; shade takes 9 °F off.',
    );
    expect([metric, us, uk].map((f) => degreesBetween(10, f))).toEqual(['10 °C', '18 °F', '10 °C']);
    expect([metric, us, uk].map((f) => windWords(10, f))).toEqual(['10 m/s', '22 mph', '22 mph']);
  });

  it('leave none in a form that only one system reads', () => {
    const told = CAUSES.flatMap((c) => [c.means, c.recovery, ...c.doNow, ...c.dont]);
    for (const words of told) expect(inUnits(words, us), words).not.toMatch(/[{}]|°C/);
  });
});

describe('a warning', () => {
  const told = (alert: Partial<WeatherAlert>, format = metric) => {
    const whole = {
      kind: 'frost',
      placeId: 'std_words0001',
      from: '2026-07-17',
      to: '2026-07-17',
      value: 1,
      threshold: 2,
    };
    const { title, tasks } = alertWords({ ...whole, ...alert } as WeatherAlert, format, '2026-07-16');
    return { title: plain(title), tasks };
  };

  it('of a night is told from the evening on which it begins', () => {
    expect(told({}).title).toMatch(/^Frost in the night from .*16 Jul.* to .*17 Jul.*: 1 °C\.$/);
    expect(told({ to: '2026-07-19' }).title).toMatch(/^Frost in the nights from .* to .*19 Jul/);
    expect(told({}).tasks).toMatch(/weighted down/);
  });

  it.each([
    ['hot', { value: 33 }, /^Hot on .*: up to 33 °C\.$/, /Shade off in the evening/],
    [
      'heat-wave',
      { value: 35, to: '2026-07-19' },
      /^Heat from .* to .*, up to 35 °C\.$/,
      /look twice a day until it is over/,
    ],
    ['cold', { value: 6 }, /^Cold in the night/, /Brown edges some days later would be from this/],
    ['swing', { value: 20 }, /^From night to day 20 °C on/, /Close up before dusk/],
    ['wind', { value: 14 }, /^Wind on .*: about 14 m\/s\.$/, /Tie in/],
  ] as const)('of %s says what it asks and until when', (kind, more, title, tasks) => {
    const words = told({ kind, ...more });
    expect(words.title).toMatch(title);
    expect(words.tasks).toMatch(tasks);
  });

  it('is in the grower’s units', () => {
    expect(told({ kind: 'hot', value: 35 }, us).title).toMatch(/up to 95 °F/);
    expect(told({ kind: 'wind', value: 14 }, us).title).toMatch(/about 31 mph/);
    expect(told({ kind: 'swing', value: 20 }, us).title).toMatch(/36 °F/);
  });

  it('of every kind has a name', () => {
    for (const kind of ALERT_KINDS) expect(ALERT_NAMES[kind].length).toBeGreaterThan(3);
  });
});

describe('causes, signs and outcomes', () => {
  it('have a name each, and what a later version knows is told as unknown', () => {
    for (const { id, name } of CAUSES) expect(causeName(id)).toBe(name);
    for (const { id, name } of SIGNS) expect(signName(id)).toBe(name);
    for (const id of OUTCOMES) expect(OUTCOME_WORDS[id]).toBeTruthy();
    expect(causeName('not-yet-known')).toMatch(/does not know/);
    expect(signName('not-yet-known')).toMatch(/does not know/);
    // what earlier versions wrote keeps its name
    expect([causeName('pests'), causeName('unknown')]).toEqual([
      'pests in the mix',
      'something that nobody can explain',
    ]);
  });

  it('are as sure as they are', () => {
    expect([0.9, 0.6, 0.4, 0.2, 0.01].map(chanceWords)).toEqual([
      'very likely',
      'likely',
      'may well be',
      'could be',
      'hardly',
    ]);
    expect([0.001, 0.416, 0.999].map(percent)).toEqual(['under 1 %', '42 %', 'over 99 %']);
  });
});

describe('a reason', () => {
  const said = (id: FactorId, value: number, more: object = {}) =>
    plain(factorWords(id, { value, ...more }, metric));

  it('names what the record holds, with how often and when last', () => {
    expect(said('cold-nights', 1, { count: 3, celsius: 4.4, on: '2026-05-22' })).toBe(
      '3 cold nights in two weeks, down to 4 °C, last on 22 May',
    );
    expect(said('cold-nights', 0.4, { count: 1, celsius: 8 })).toBe(
      'one cold night in two weeks, down to 8 °C',
    );
    expect(said('dry-outs', 0)).toBe('did not go dry in three weeks');
    expect(said('unfed', 1)).toBe('never fed, and what the mix held is used up');
    expect(said('sprayed-in-sun', 1, { count: 13, on: '2026-06-18' })).toBe(
      'sprayed at 13 o’clock in the sun on 18 Jun',
    );
  });

  it('that is remembered is told as remembered, either way', () => {
    for (const id of RECALLED_FACTORS) {
      expect(said(id, 1, { isRecalled: true })).toBe(`you remember: ${RECALLED_WORDS[id]}`);
      expect(said(id, 0, { isRecalled: true })).toMatch(/was not so/);
    }
  });

  it('of every factor reads both where it is there and where it is not', () => {
    const ids = [...new Set(CAUSES.flatMap((c) => Object.keys(c.factors) as FactorId[]))];
    for (const id of ids) {
      expect(said(id, 1, { count: 2, celsius: 5, on: '2026-06-01' }), id).toMatch(/\w/);
      expect(said(id, 0, { count: 0 }), id).toMatch(/\w/);
      expect(said(id, 0, { count: 0 }), id).not.toBe(said(id, 1, { count: 2, celsius: 5, on: '2026-06-01' }));
    }
  });

  it('by a sign says whether it was seen or looked for, and by the neighbours which way it speaks', () => {
    const words = (by: Reason['by'], isFor: boolean) => reasonWords({ by, pull: 1 }, {}, metric, isFor);
    expect(words({ kind: 'sign', id: 'webs', how: 'seen' }, true)).toBe('seen: fine webs underneath');
    expect(words({ kind: 'sign', id: 'webs', how: 'unseen' }, false)).toMatch(/^looked for and not there/);
    expect(words({ kind: 'around' }, true)).toBe('others near it have it');
    expect(words({ kind: 'before' }, false)).toBe('this bag has not had it');
    // a factor of which the record no longer says anything is no line
    expect(words({ kind: 'factor', id: 'swings' }, true)).toBe('');
  });
});

describe('a spray in the diary', () => {
  const spray = (facts: Partial<EntryOf<'sprayed'>>, format = metric) =>
    plain(sprayedWords({ ...base, kind: 'sprayed', agent: 'soap', extent: 'whole', ...facts }, format));

  it('says what, how strong, how much, on what and how long it holds picking back', () => {
    expect(spray({ millilitresPerLitre: 4, litres: 5, harvestDays: 3 })).toBe(
      'Sprayed: soap for plants, 4 mL/L, 5 L, no picking for 3 days',
    );
    expect(spray({ name: 'Leaf friend', extent: 'test-leaf', harvestDays: 1 })).toBe(
      'Sprayed: Leaf friend, on one leaf, to try it, no picking for 1 day',
    );
    expect(spray({ agent: 'bait' })).toBe('Put out: bait');
    expect(spray({ agent: 'sulphur', gramsPerLitre: 3 })).toBe('Sprayed: sulphur, 3 g/L');
  });

  it('tells spoons and ounces to the gallon where those are usual', () => {
    expect(strengthWords({ millilitresPerLitre: 4 }, us)).toBe('1 tbsp/gal (4 mL/L)');
    expect(strengthWords({ gramsPerLitre: 3 }, us)).toBe('0.4 oz/gal (3 g/L)');
    expect(strengthWords({}, us)).toBe('');
  });

  it('of every kind has a name where its bottle was not named', () => {
    for (const agent of SPRAY_AGENTS) expect(agentName({ agent })).toBe(AGENT_WORDS[agent]);
  });
});

describe('cleaning and trusses in the diary', () => {
  it('say what was done', () => {
    const cleaned = (facts: Partial<EntryOf<'cleaned'>>) =>
      plain(cleanedWords({ ...base, kind: 'cleaned', what: 'bag', ...facts }, metric));
    expect(cleaned({ isWashed: true, heated: { celsius: 60, minutes: 40 } })).toBe(
      'Bag cleaned: washed, heated to 60 °C for 40 minutes',
    );
    expect(cleaned({ heated: { celsius: 60, minutes: 180 } })).toBe(
      'Bag cleaned: heated to 60 °C for 3 hours',
    );
    expect(cleaned({ what: 'tools', isDisinfected: true })).toBe('Tools cleaned: disinfected');
    const at = { ...base, stationId: 'stn_words0001', plantId: 'pla_words0001' };
    expect(trussWords({ ...at, kind: 'truss', number: 2, stage: 'set', count: 5 })).toBe(
      'Truss 2: fruit set, 5 fruit',
    );
    expect(trussWords({ ...at, kind: 'truss', number: 1, stage: 'flowering' })).toBe('Truss 1: in flower');
  });
});
