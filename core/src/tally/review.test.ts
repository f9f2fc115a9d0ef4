import { describe, expect, it } from 'vitest';
import { gannetSlip } from '../../demo/index.ts';
import {
  container,
  diary,
  noon,
  picked,
  plant,
  planted,
  smallGarden,
  variety,
} from '../../test/small-garden.ts';
import { liveEntries, type Draft, type Garden, type Trial } from '../records/index.ts';
import {
  bagReview,
  bestAndWorst,
  compareGroups,
  groupUnits,
  nextSeasonPlans,
  seasonReview,
  tallyContext,
  tallyUnits,
  trialResult,
} from './index.ts';

const bags = ['1', '2', '3', '4'].map((label) => container(label, { order: Number(label) }));
const [first, second, third, fourth] = bags as [
  (typeof bags)[0],
  (typeof bags)[0],
  (typeof bags)[0],
  (typeof bags)[0],
];
const plants = bags.map((_, i) => plant(`pp${i + 1}`, i < 3 ? 'var_redred' : 'var_yellow'));
const base = { containers: bags, plants, varieties: [variety('redred'), variety('yellow')] };
const begun = bags.map((bag, i) => planted(bag, `pla_pp${i + 1}`, '2026-05-20'));
const yields = [3, 2, 0.5, 1];
const season = bags.map((bag, i) => picked(bag, '2026-08-01', { kilograms: yields[i] ?? 1 }));
const contextOf = (drafts: readonly Draft[], more: Partial<Garden> = {}) => {
  const garden = smallGarden({ ...base, entries: [...diary([...begun, ...season, ...drafts])], ...more });
  return tallyContext(garden, liveEntries(garden.entries));
};
const finger = (bag: (typeof bags)[0], day: string, grade: number): Draft => ({
  kind: 'check',
  at: noon(day),
  containerId: bag.id,
  check: { method: 'finger', grade },
});
const TODAY = '2026-09-30';
const days = (count: number, month = '06') =>
  Array.from({ length: count }, (_, i) => `2026-${month}-${String(i + 1).padStart(2, '0')}`);

describe('the best and the worst', () => {
  const dry = [
    ...days(8).map((day) => finger(third, day, 1)),
    ...days(8).map((day) => finger(first, day, 3)),
    ...days(8).map((day) => finger(second, day, 3)),
    ...days(8).map((day) => finger(fourth, day, 3)),
  ];
  const ranked = (drafts: readonly Draft[]) => {
    const context = contextOf(drafts);
    return bestAndWorst(groupUnits(tallyUnits(context, 2026, TODAY), 'bag'), context, TODAY);
  };

  it('stand beside the middle of their crop, with what only their own record says', () => {
    const { best, worst } = ranked(dry);
    expect(best[0]?.row.key).toBe(first.id);
    expect(best[0]?.aboveMiddle).toBeCloseTo(2, 6);
    expect(worst[0]?.row.key).toBe(third.id);
    expect(worst[0]?.reasons).toEqual([{ id: 'found-dry', times: 8, of: 8 }]);
  });

  it('without anything in the record have no reason made up for them', () => {
    expect(ranked([]).worst[0]?.reasons).toEqual([]);
  });

  it('are told of feeds left out, of being never fed, and of trouble', () => {
    const fed = [first, second, fourth].flatMap((bag) =>
      days(3, '07').map((day): Draft => ({
        kind: 'fed',
        at: noon(day),
        containerId: bag.id,
        productId: 'tomato-liquid',
        amount: 10,
        unit: 'millilitre',
      })),
    );
    const sick: Draft = {
      kind: 'trouble',
      at: noon('2026-07-10'),
      containerId: third.id,
      what: 'mites',
      livesInMix: false,
    };
    const ids = ranked([...fed, sick]).worst[0]?.reasons.map(({ id }) => id);
    expect(ids).toEqual(['unfed', 'trouble']);
  });

  it('of two bags there are none', () => {
    const context = contextOf([], { containers: [first, fourth] });
    const rows = groupUnits(tallyUnits(context, 2026, TODAY), 'bag');
    expect(bestAndWorst(rows, context, TODAY)).toEqual({ best: [], worst: [] });
  });
});

describe('a season’s review', () => {
  it('keeps the best variety and leaves the worst, unless there are too few plants or the grower has spoken', () => {
    const of = (more: Partial<Garden> = {}) =>
      Object.fromEntries(
        seasonReview(contextOf([], more), 2026, TODAY).varieties.map((v) => [
          v.row.units[0]?.variety,
          v.because,
        ]),
      );
    expect(of()).toEqual({ redred: 'best', yellow: 'too-few' });
    const said = { varieties: [variety('redred', { growAgain: 'no' }), variety('yellow')] };
    expect(of(said).redred).toBe('own-word');
    const even = plants.map((p, i) => ({ ...p, varietyId: i < 2 ? 'var_redred' : 'var_yellow' }));
    expect(of({ plants: even })).toEqual({ redred: 'best', yellow: 'worst' });
  });

  it('says what to change where the record speaks for it', () => {
    const drafts = [
      ...days(10).map((day, i) => finger(first, day, i < 4 ? 1 : 3)),
      picked(second, '2026-08-10', { kilograms: 1, use: 'lost', lostTo: 'slugs' }),
      ...[1, 2, 3].map((n): Draft => ({
        kind: 'feed-skipped',
        at: noon(`2026-07-0${n}`),
        containerId: first.id,
        productId: 'tomato-liquid',
        reason: 'no-time',
      })),
    ];
    const ids = seasonReview(contextOf(drafts), 2026, TODAY).changes.map(({ id }) => id);
    expect(ids).toEqual(['dry', 'feeds', 'lost', 'few-checks']);
    expect(seasonReview(contextOf([]), 2026, TODAY).changes).toEqual([]);
  });

  it('retires bags whose seasons are over, and says what mix is good for', () => {
    const sick: Draft = {
      kind: 'trouble',
      at: noon('2026-08-10'),
      containerId: second.id,
      what: 'wilt',
      livesInMix: true,
    };
    const old = { ...third, seasons: 1 };
    const review = seasonReview(contextOf([sick], { containers: [first, second, old, fourth] }), 2026, TODAY);
    const by = Object.fromEntries(review.bags.map((b) => [b.bag, b]));
    expect(by['3']?.isToRetire).toBe(true);
    expect(by['1']?.isToRetire).toBe(false);
    expect(by['1']?.mix).toEqual({ id: 'again', seasonsUsed: 1 });
    expect(by['2']?.mix).toEqual({ id: 'not-again', what: 'wilt' });
  });

  it('begins next season with what is kept, a year on to the day of the week', () => {
    const old = { ...third, seasons: 1 };
    const context = contextOf([], { containers: [first, second, old, fourth] });
    const plans = nextSeasonPlans(seasonReview(context, 2026, TODAY), context);
    expect(plans.map((p) => p.containerId).sort()).toEqual([first.id, second.id, fourth.id]);
    expect(plans[0]).toMatchObject({ plantOn: '2027-05-19', varietyName: 'redred', habitId: 'tall' });
    const made = plans.map((p, i) => ({
      ...p,
      id: `pln_made000${i}`,
      createdAt: noon(TODAY),
      changedAt: noon(TODAY),
    }));
    const again = contextOf([], { plans: made, containers: [first, second, old, fourth] });
    expect(nextSeasonPlans(seasonReview(again, 2026, TODAY), again)).toEqual([]);
  });

  it('of the demo’s last summer has its trial, and its forecasts checked', () => {
    const demo = gannetSlip(1);
    const review = seasonReview(tallyContext(demo, liveEntries(demo.entries)), 2025, '2026-07-16');
    expect(review.isOver).toBe(true);
    expect(review.trials.map(({ name }) => name)).toEqual(['Watered every evening or every other']);
    expect(review.forecasts).toBeDefined();
    expect(review.bags.find((b) => b.bag === '24')?.mix.id).toBe('not-again');
  });

  it('of one bag counts its checks, waterings, feeds and notes', () => {
    const context = contextOf([
      finger(first, '2026-06-01', 1),
      {
        kind: 'watering',
        at: noon('2026-06-02'),
        containerId: first.id,
        litres: 4,
        isMeasured: true,
        ranThrough: false,
      },
      { kind: 'note', at: noon('2026-06-03'), containerId: first.id, text: 'Strong.' },
    ]);
    expect(bagReview(context, first.id, 2026, TODAY)).toMatchObject({
      checks: 1,
      dry: 1,
      waterings: 1,
      feeds: 0,
      notes: [{ on: '2026-06-03', text: 'Strong.' }],
    });
    expect(bagReview(context, 'con_nothing1', 2026, TODAY)).toBeUndefined();
    expect(bagReview(context, first.id, 2024, TODAY)).toBeUndefined();
  });
});

describe('a trial', () => {
  const trial = (more: Partial<Trial> = {}): Trial => ({
    id: 'tri_tests001',
    name: 'Test',
    treatments: [
      { id: 'a', name: 'A' },
      { id: 'b', name: 'B' },
    ],
    units: [
      { containerId: first.id, treatmentId: 'b', season: 2026 },
      { containerId: second.id, treatmentId: 'a', season: 2026 },
      { containerId: third.id, treatmentId: 'a', season: 2026 },
    ],
    measure: 'kilograms',
    createdAt: noon('2026-05-20'),
    changedAt: noon('2026-05-20'),
    ...more,
  });

  it('has each bag with its value, and the ratio of the middles', () => {
    const { lines, comparisons } = trialResult(trial(), contextOf([]), TODAY);
    expect(lines.map((l) => [l.bag, l.value])).toEqual([
      ['1', 3],
      ['2', 2],
      ['3', 0.5],
    ]);
    expect(Math.exp(comparisons[0]?.difference?.raw ?? 0)).toBeCloseTo(3 / Math.sqrt(2 * 0.5), 8);
    expect(comparisons[0]?.byChance).toBeUndefined();
  });

  it('without a bag that is left out, up to a day, or by another measure is another', () => {
    const out = trial({
      units: trial().units.map((u) => (u.containerId === third.id ? { ...u, outBecause: 'stolen' } : u)),
    });
    const ratio = (of: Trial, drafts: readonly Draft[] = []) =>
      Math.exp(trialResult(of, contextOf(drafts), TODAY).comparisons[0]?.difference?.raw ?? NaN);
    expect(ratio(out)).toBeCloseTo(1.5, 8);
    const late = [picked(second, '2026-09-01', { kilograms: 4 })];
    expect(ratio(out, late)).toBeCloseTo(0.5, 8);
    expect(ratio({ ...out, untilDay: '2025-08-15' }, late)).toBeCloseTo(1.5, 8);
    const first_ = trialResult(trial({ measure: 'first-picking' }), contextOf([]), TODAY);
    expect(first_.isInDays).toBe(true);
    expect(first_.comparisons[0]?.difference?.raw).toBeCloseTo(0, 10);
  });

  it('says that a bag gave nothing, that some began late, and that varieties differ', () => {
    const nothing = contextOf([], { entries: [...diary([...begun, ...season.slice(0, 2)])] });
    expect(trialResult(trial(), nothing, TODAY).flaws).toContainEqual({ id: 'nothing', bags: 1 });
    // what was picked and never weighed is not nothing: it has no value, and the trial says so
    const untold = diary([
      ...begun,
      ...season.slice(0, 2),
      picked(third, '2026-08-01', { isUnmeasured: true }),
    ]);
    const { lines, flaws } = trialResult(trial(), contextOf([], { entries: [...untold] }), TODAY);
    expect(lines.map(({ value }) => value)).toEqual([3, 2, undefined]);
    expect(flaws).toContainEqual({ id: 'unmeasured', bags: 1 });
    expect(flaws.map(({ id }) => id)).not.toContain('nothing');
    const mixed = trial({
      units: [
        { containerId: first.id, treatmentId: 'a', season: 2026 },
        { containerId: fourth.id, treatmentId: 'b', season: 2026 },
      ],
    });
    expect(trialResult(mixed, contextOf([]), TODAY).flaws.map(({ id }) => id)).toEqual(['varieties']);
    const moved = diary([planted(third, 'pla_pp3', '2026-06-20'), ...begun.slice(0, 2), ...season]);
    expect(trialResult(trial(), contextOf([], { entries: [...moved] }), TODAY).flaws).toContainEqual({
      id: 'starts',
      days: 31,
    });
    const absent = trial({
      units: [...trial().units, { containerId: first.id, treatmentId: 'a', season: 2024 }],
    });
    expect(trialResult(absent, contextOf([]), TODAY).flaws).toContainEqual({ id: 'gone', bags: 1 });
  });

  it('by plants takes the plant’s own, and any two groups are compared by the same sums', () => {
    const result = compareGroups(
      contextOf([]),
      [2026],
      'variety',
      ['var_redred', 'var_yellow'],
      'kilograms',
      TODAY,
    );
    const { difference } = result.comparisons[0] ?? {};
    expect(difference?.units).toEqual([3, 1]);
    expect(difference?.raw).toBeCloseTo(0 - Math.log(3 * 2 * 0.5) / 3, 8);
    expect(difference?.confoundedBy).toEqual([]);
  });
});
