import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays, daysBetween, type Day } from '../calendar/index.ts';
import { grownShare } from '../plants/index.ts';
import { findProduct } from '../products/index.ts';
import {
  adviseFeed,
  FEEDING_PRACTICES,
  findRegime,
  intervalOn,
  plannedFeeds,
  regimeRemarks,
  stepStates,
  type FeedGiven,
  type FeedingCase,
  type FeedLeft,
  type StageDate,
} from './index.ts';
import { type Regime, type RegimeStep } from '../records/index.ts';

const noted = (day: Day): StageDate => ({ day, isNoted: true });
/** A tomato planted on 20 May: flowers on 14 June, a set truss on 24 June, the first ripe one on 1 August. */
const MARKS = {
  planting: noted('2026-05-20'),
  'base-used-up': { day: '2026-06-28', isNoted: false },
  flowers: noted('2026-06-14'),
  set: noted('2026-06-24'),
  picking: noted('2026-08-01'),
} as const;

const caseOf = (regime: Regime, more: Partial<FeedingCase> = {}): FeedingCase => ({
  regime,
  since: '2026-05-20',
  stageDates: MARKS,
  given: [],
  left: [],
  grownOn: (day) => grownShare(daysBetween('2026-05-20', day), 11),
  ...more,
});
const practice = (id: string) => findRegime(id) as Regime;
const potash = practice('potash-from-set');

describe('the dates of each school on one diary, from planting to the end of August', () => {
  // on the growth curve a third is grown on day 31, three quarters on day 60: intervals that close do so by it
  // planted 05-20, flowers 06-14, set 06-24, picking 08-01
  it.each([
    ['potash-from-set', 'liquid 06-24 07-03 07-11 07-19 07-27 08-03 08-10 08-17 08-24 08-31'],
    ['soluble-throughout', 'soluble 05-20 06-03 06-16 06-29 07-11 07-22 08-02 08-12 08-22 | dry 06-14'],
    [
      'leaf-then-fruit',
      'leafy 06-03 | fruit 06-14 06-23 07-02 07-10 07-18 07-26 08-03 08-10 08-17 08-24 08-31',
    ],
    ['grains-and-fortnight', 'grains 05-20 | liquid 06-24 07-08 07-22 08-05 08-19'],
    ['dry-monthly', 'dry 06-17 07-17 08-16 | casts 06-19 07-19 08-18'],
    ['steeped-weeds', 'tea 06-14 06-26 07-08 07-20 08-01 08-13 08-25'],
    ['nutrient-drum', 'change 05-20 06-10 06-30 07-18 08-03 08-18'],
    ['heavy-manuring', 'manure 05-20'],
    ['compost-then-spikes', 'spikes 06-14 08-02'],
    ['meals-and-fish', 'hole 05-20 | fish 06-03 06-16 06-28 07-09 07-19 07-28 08-05 08-13 08-20 08-27'],
  ])('%s: %s', (id, wanted) => {
    const planned = plannedFeeds(caseOf(practice(id)), '2026-05-20', '2026-08-31', DEFAULT_ASSUMED);
    const lines = practice(id).steps.map(({ id: stepId }) =>
      [stepId, ...planned.filter((p) => p.stepId === stepId).map((p) => p.day.slice(5))].join(' '),
    );
    expect(lines.join(' | ')).toBe(wanted);
  });

  it('there are thirteen, each with two lines, a reader and products that are there', () => {
    expect(FEEDING_PRACTICES).toHaveLength(13);
    for (const { description, suits, steps } of FEEDING_PRACTICES) {
      expect(description.length).toBeGreaterThan(40);
      expect(suits.length).toBeGreaterThan(15);
      expect(regimeRemarks(steps, (productId) => findProduct(productId)?.feed)).toEqual([]);
    }
  });
});

describe('where a step stands', () => {
  it('waits for its trigger, with the day that is expected', () => {
    const [state] = stepStates(
      caseOf(potash, { stageDates: { ...MARKS, set: { day: '2026-06-24', isNoted: false } } }),
      '2026-06-20',
      DEFAULT_ASSUMED,
    );
    expect(state).toMatchObject({ kind: 'waits', expected: { day: '2026-06-24', isNoted: false } });
  });

  it.each(['flowers', 'set', 'picking'] as const)(
    'bound to %s is never due before that is seen: it is asked',
    (on) => {
      const regime = { ...potash, steps: potash.steps.map((step) => ({ ...step, start: { on } })) };
      const reckoned = { ...MARKS, [on]: { day: '2026-06-24', isNoted: false } };
      const stateOn = (day: Day, more: Partial<FeedingCase> = {}) =>
        stepStates(caseOf(regime, { stageDates: reckoned, ...more }), day, DEFAULT_ASSUMED)[0];
      expect(stateOn('2026-06-20')).toMatchObject({ kind: 'waits', asks: undefined });
      for (const day of ['2026-06-24', '2026-07-20', '2026-09-01'])
        expect(stateOn(day)).toMatchObject({ kind: 'waits', asks: on });
      // who gives the step's feed has answered the question
      const given = [
        { day: '2026-06-26', productId: 'tomato-liquid', regimeId: regime.id, stepId: 'liquid' },
      ];
      expect(stateOn('2026-07-05', { given })?.kind).toBe('due');
      expect(stateOn('2026-07-05', { stageDates: { ...MARKS, [on]: noted('2026-06-30') } })?.kind).toBe(
        'due',
      );
    },
  );

  it('ends by a stage only once that is seen, and is planned as if it were', () => {
    const step = { ...potash.steps[0], start: { on: 'planting' }, until: { on: 'set' } } as RegimeStep;
    const regime = { ...potash, steps: [step] };
    const stageDates = { ...MARKS, set: { day: '2026-06-24', isNoted: false } };
    expect(stepStates(caseOf(regime, { stageDates }), '2026-07-01', DEFAULT_ASSUMED)[0]?.kind).toBe('due');
    expect(stepStates(caseOf(regime), '2026-07-01', DEFAULT_ASSUMED)[0]?.kind).toBe('ended');
    const planned = plannedFeeds(caseOf(potash, { stageDates }), '2026-06-01', '2026-07-10', DEFAULT_ASSUMED);
    expect(planned.map((p) => p.day)).toEqual(['2026-06-24', '2026-07-03']);
  });

  it('is counted from the last feed, whoever asked for it', () => {
    const given = [{ day: '2026-07-02', productId: 'tomato-liquid' }];
    const [state] = stepStates(caseOf(potash, { given }), '2026-07-05', DEFAULT_ASSUMED);
    expect(state).toMatchObject({
      kind: 'due',
      earliest: '2026-07-09',
      target: '2026-07-10',
      latest: '2026-07-12',
    });
  });

  it('what was left for want of time is asked for again the next day, with its reason', () => {
    const left = [{ day: '2026-06-25', productId: 'tomato-liquid', reason: 'no-time' }];
    const [state] = stepStates(caseOf(potash, { left }), '2026-06-25', DEFAULT_ASSUMED);
    expect(state).toMatchObject({
      kind: 'due',
      earliest: '2026-06-26',
      reason: { left: { reason: 'no-time' } },
    });
  });

  it('what was left because it had enough counts as if given', () => {
    const left = [{ day: '2026-06-25', productId: 'tomato-liquid', reason: 'enough' }];
    const [state] = stepStates(caseOf(potash, { left }), '2026-06-26', DEFAULT_ASSUMED);
    expect(state).toMatchObject({ kind: 'due', earliest: '2026-07-02' });
  });

  it('a single feed that was due long before the regime was taken up is let go, and said', () => {
    const [grains, liquid] = stepStates(
      caseOf(practice('grains-and-fortnight'), { since: '2026-07-10' }),
      '2026-07-12',
      DEFAULT_ASSUMED,
    );
    expect(grains).toMatchObject({ kind: 'ended', why: 'expired' });
    expect(liquid).toMatchObject({ kind: 'due', target: '2026-07-10' });
  });

  it('a change of regime in mid-season keeps to the feeds that were given before it', () => {
    const given = [
      { day: '2026-07-08', productId: 'balanced-soluble', regimeId: 'soluble-throughout', stepId: 'soluble' },
    ];
    const [state] = stepStates(caseOf(potash, { since: '2026-07-09', given }), '2026-07-09', DEFAULT_ASSUMED);
    expect(state).toMatchObject({
      kind: 'due',
      earliest: '2026-07-10',
      reason: { apartFrom: { productId: 'balanced-soluble', day: '2026-07-08' } },
    });
  });

  it('a step of another regime with the same id is another feed', () => {
    const given = [
      { day: '2026-07-08', productId: 'balanced-soluble', regimeId: 'reg_another', stepId: 'liquid' },
    ];
    const [state] = stepStates(caseOf(potash, { since: '2026-07-09', given }), '2026-07-09', DEFAULT_ASSUMED);
    expect(state).toMatchObject({ kind: 'due', earliest: '2026-07-10', reason: { lastOn: undefined } });
  });

  it('a single feed that was left because it had enough says so', () => {
    const left = [{ day: '2026-05-21', productId: 'rotted-manure', reason: 'enough' }];
    const [state] = stepStates(caseOf(practice('heavy-manuring'), { left }), '2026-06-01', DEFAULT_ASSUMED);
    expect(state).toMatchObject({ kind: 'ended', why: 'enough', on: '2026-05-21' });
  });

  it('a step of three times ends after the third', () => {
    const three = {
      ...potash,
      steps: [{ ...(potash.steps[0] as RegimeStep), until: { on: 'times', times: 3 } }],
    } as Regime;
    expect(plannedFeeds(caseOf(three), '2026-05-20', '2026-09-01', DEFAULT_ASSUMED)).toHaveLength(3);
  });
});

describe('a step between two triggers', () => {
  const from = (start: RegimeStep['start'], until: RegimeStep['until']) =>
    ({ ...potash, steps: [{ ...(potash.steps[0] as RegimeStep), start, until }] }) as Regime;

  it.each([
    [{ on: 'picking' }, { on: 'flowers' }],
    [{ on: 'weeks', weeks: 6 }, { on: 'flowers' }],
    [
      { on: 'date', monthDay: '07-01' },
      { on: 'date', monthDay: '05-10' },
    ],
  ] as const)('that ends before it starts never feeds: %o until %o', (start, until) => {
    const stageDates = { ...MARKS, flowers: noted('2026-06-20') };
    expect(
      plannedFeeds(caseOf(from(start, until), { stageDates }), '2026-05-20', '2026-10-01', DEFAULT_ASSUMED),
    ).toEqual([]);
  });

  it('goes over the new year where the season does', () => {
    const planting = noted('2026-10-05');
    const regime = from({ on: 'date', monthDay: '11-20' }, { on: 'date', monthDay: '02-10' });
    const days = plannedFeeds(
      caseOf(regime, { stageDates: { planting }, since: planting.day }),
      planting.day,
      '2027-04-01',
      DEFAULT_ASSUMED,
    ).map((feed) => feed.day);
    expect(days[0]).toBe('2026-11-20');
    expect(days.at(-1)?.slice(0, 7)).toMatch(/2027-0[12]/);
    expect(days.every((day) => day < '2027-02-10')).toBe(true);
    expect(regimeRemarks(regime.steps, (id) => findProduct(id)?.feed).map((r) => r.kind)).not.toContain(
      'never-fires',
    );
  });
});

const step = (more: Partial<RegimeStep>): RegimeStep => ({
  id: 'a',
  start: { on: 'set' },
  productId: 'tomato-liquid',
  every: { fromDays: 7, toDays: 10 },
  shortensWithGrowth: false,
  ...more,
});

describe('at the bag', () => {
  const due = {
    step: step({}),
    earliest: '2026-07-08',
    target: '2026-07-10',
    latest: '2026-07-12',
  } as const;
  const water = { share: 0.4, isWatered: true, nextOn: '2026-07-12' };
  it.each([
    ['its day has not come', '2026-07-07', water, 'not-yet'],
    ['the next watering is in time', '2026-07-08', water, 'not-yet'],
    ['the next watering would be too late', '2026-07-08', { ...water, nextOn: '2026-07-14' }, 'feed'],
    ['its day, with a drink', '2026-07-10', water, 'feed'],
    ['its day, without one', '2026-07-10', { ...water, isWatered: false }, 'feed'],
    ['dust-dry: water first', '2026-07-11', { ...water, share: 0.08 }, 'too-dry'],
    [
      'felt dry: fed at the next stop, although it was watered since',
      '2026-07-11',
      { ...water, share: 0.9, foundDry: true },
      'too-dry',
    ],
    ['sodden: wait', '2026-07-11', { ...water, share: 0.97, isWatered: false }, 'too-wet'],
    ['sodden and overdue: it cannot wait for ever', '2026-07-14', { ...water, share: 0.97 }, 'feed'],
  ] as const)('%s', (_, today, found, kind) => {
    expect(adviseFeed(due, today, found, DEFAULT_ASSUMED).kind).toBe(kind);
  });

  it('what goes over leaves waits for a low sun, and does not mind a wet mix', () => {
    const spray = { ...due, step: step({ into: 'leaves' }) };
    const wet = { ...water, share: 0.97, isWatered: false };
    expect(adviseFeed(spray, '2026-07-10', { ...wet, isSunny: true }, DEFAULT_ASSUMED).kind).toBe('in-sun');
    expect(adviseFeed(spray, '2026-07-10', wet, DEFAULT_ASSUMED).kind).toBe('feed');
    expect(adviseFeed(spray, '2026-07-10', { ...wet, share: 0.05 }, DEFAULT_ASSUMED).kind).toBe('too-dry');
  });
});

describe('a little with every watering', () => {
  const weak = step({ every: undefined, withWatering: { share: 0.25 } });
  const bag = (given: readonly FeedGiven[]): FeedingCase => ({
    regime: { id: 'own', name: 'Own', description: '', suits: '', steps: [weak] },
    since: '2026-06-01',
    stageDates: { planting: { day: '2026-05-20', isNoted: true }, set: { day: '2026-06-20', isNoted: true } },
    given,
    left: [],
    grownOn: () => 1,
  });
  const feed = (day: string, isFull: boolean): FeedGiven => ({
    day,
    productId: 'tomato-liquid',
    regimeId: 'own',
    stepId: 'a',
    isFull,
  });
  const on = (today: string, ...given: FeedGiven[]) => {
    const [state] = stepStates(bag(given), today, DEFAULT_ASSUMED);
    if (state?.kind !== 'due') throw new Error('It is due from its start on.');
    const water = { share: 0.4, isWatered: true, nextOn: '2026-07-01' };
    return [
      adviseFeed(state, today, water, DEFAULT_ASSUMED).kind,
      adviseFeed(state, today, { ...water, isWatered: false }, DEFAULT_ASSUMED).kind,
    ];
  };

  it('goes with a watering, every time, and by itself never', () => {
    expect(on('2026-06-19')).toEqual(['not-yet', 'not-yet']);
    expect(on('2026-06-25')).toEqual(['feed', 'not-yet']);
    expect(on('2026-06-25', feed('2026-06-25', false))).toEqual(['feed', 'not-yet']);
    expect(on('2026-08-30', feed('2026-06-25', false))).toEqual(['feed', 'not-yet']);
  });

  it('is as safe on dry mix as the water that it is in', () => {
    const [state] = stepStates(bag([]), '2026-06-25', DEFAULT_ASSUMED);
    if (state?.kind !== 'due') throw new Error('It is due.');
    const dry = { share: 0.05, foundDry: true, isWatered: true, nextOn: undefined };
    expect(adviseFeed(state, '2026-06-25', dry, DEFAULT_ASSUMED).kind).toBe('feed');
    const strong = { ...state, step: { ...weak, withWatering: { share: 0.8 } } };
    expect(adviseFeed(strong, '2026-06-25', dry, DEFAULT_ASSUMED).kind).toBe('too-dry');
  });

  it('leaves a week of plain water after a full dose', () => {
    expect(on('2026-07-01', feed('2026-06-25', true))).toEqual(['not-yet', 'not-yet']);
    expect(on('2026-07-02', feed('2026-06-25', true))).toEqual(['feed', 'not-yet']);
  });

  it('keeps no other feed off', () => {
    const dry = step({ id: 'dry', productId: 'tomato-organic', every: { fromDays: 28, toDays: 32 } });
    const both = bag([feed('2026-06-25', false)]);
    const regime = { ...both.regime, steps: [weak, dry] };
    const [, state] = stepStates({ ...both, regime }, '2026-06-26', DEFAULT_ASSUMED);
    expect(state).toMatchObject({ kind: 'due', earliest: '2026-06-20' });
  });

  it('is planned once, since nobody knows the days of waterings to come', () => {
    expect(plannedFeeds(bag([]), '2026-06-01', '2026-08-01', DEFAULT_ASSUMED)).toHaveLength(1);
  });
});

describe('properties of the due engine', () => {
  const day = fc.integer({ min: 0, max: 150 }).map((n) => addDays('2026-05-20', n));
  const regime = fc.constantFrom(...FEEDING_PRACTICES);
  const feeds = (steps: readonly RegimeStep[]) =>
    fc.array(
      fc.record({
        day,
        step: fc.constantFrom(...steps),
        named: fc.boolean(),
      }),
      { maxLength: 12 },
    );
  const history = regime.chain((r) =>
    fc.record({ regime: fc.constant(r), feeds: feeds(r.steps), today: day, seed: fc.integer() }),
  );
  const given = (r: Regime, all: readonly { day: Day; step: RegimeStep; named: boolean }[]): FeedGiven[] =>
    all.map(({ day: on, step, named }) => ({
      day: on,
      productId: step.productId,
      ...(named ? { regimeId: r.id, stepId: step.id } : {}),
    }));

  it('never puts two feeds inside the minimum, whatever was given before', () => {
    fc.assert(
      fc.property(history, ({ regime: r, feeds: all, today }) => {
        const before = given(r, all).filter((g) => g.day < today);
        const planned = plannedFeeds(
          caseOf(r, { given: before }),
          today,
          addDays(today, 60),
          DEFAULT_ASSUMED,
        );
        for (const step of r.steps) {
          const own = [
            ...before
              .filter((g) => (g.stepId ?? g.productId) === (g.stepId ? step.id : step.productId))
              .map((g) => g.day),
            ...planned.filter((p) => p.stepId === step.id).map((p) => p.day),
          ].sort();
          const fresh = own.findIndex((d) => d >= today);
          for (let i = Math.max(1, fresh); fresh >= 0 && i < own.length; i++)
            expect(daysBetween(own[i - 1] as Day, own[i] as Day)).toBeGreaterThanOrEqual(
              step.every?.fromDays ?? 0,
            );
        }
        const days = planned.map((p) => p.day);
        days
          .slice(1)
          .forEach((d, i) =>
            expect(daysBetween(days[i] as Day, d)).toBeGreaterThanOrEqual(DEFAULT_ASSUMED.feedsApart),
          );
      }),
    );
  });

  it('says of every step on every day where it stands: nothing is dropped in silence', () => {
    fc.assert(
      fc.property(history, ({ regime: r, feeds: all, today }) => {
        const states = stepStates(caseOf(r, { given: given(r, all) }), today, DEFAULT_ASSUMED);
        expect(states.map((s) => s.step.id)).toEqual(r.steps.map((s) => s.id));
        for (const state of states) {
          if (state.kind !== 'due') continue;
          expect(state.earliest <= state.target && state.target <= state.latest).toBe(true);
        }
      }),
    );
  });

  it('does not depend on the order in which things were entered', () => {
    fc.assert(
      fc.property(history, ({ regime: r, feeds: all, today, seed }) => {
        const entered = given(r, all);
        const shuffled = entered
          .map((g, i) => ({ g, key: Math.sin(seed + i * 12.9898) }))
          .sort((a, b) => a.key - b.key)
          .map(({ g }) => g);
        const left = entered.map((g): FeedLeft => ({ ...g, reason: 'no-time' }));
        expect(
          stepStates(caseOf(r, { given: shuffled, left: [...left].reverse() }), today, DEFAULT_ASSUMED),
        ).toEqual(stepStates(caseOf(r, { given: entered, left }), today, DEFAULT_ASSUMED));
      }),
    );
  });

  it('the interval only ever closes as a plant grows', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 20 }),
        share,
        share,
        (from, more, a, b) => {
          const every = { fromDays: from, toDays: from + more };
          const [young, old] = [Math.min(a, b), Math.max(a, b)];
          expect(intervalOn(every, true, old)).toBeLessThanOrEqual(intervalOn(every, true, young));
          expect(intervalOn(every, true, a)).toBeGreaterThanOrEqual(from);
          expect(intervalOn(every, true, a)).toBeLessThanOrEqual(from + more);
        },
      ),
    );
  });
});

describe('what is said of a regime while it is edited', () => {
  it.each([
    ['stops before it starts', { until: { on: 'flowers' } }, { kind: 'never-fires', why: 'ends-before' }],
    ['stops where it starts', { until: { on: 'set' } }, { kind: 'never-fires', why: 'ends-before' }],
    ['of a product that is gone', { productId: 'nothing' }, { kind: 'never-fires', why: 'no-product' }],
    [
      'into every watering, of what does not dissolve',
      { productId: 'slow-release', every: undefined, withWatering: { share: 0.25 } },
      { kind: 'not-in-water' },
    ],
    ['daily', { every: { fromDays: 1, toDays: 1 } }, { kind: 'daily' }],
    ['closer than the label', { every: { fromDays: 4, toDays: 6 } }, { kind: 'inside-label', labelDays: 7 }],
  ] as const)('%s', (_, more, remark) => {
    expect(regimeRemarks([step(more as Partial<RegimeStep>)], (id) => findProduct(id)?.feed)).toContainEqual(
      expect.objectContaining(remark),
    );
  });
});
