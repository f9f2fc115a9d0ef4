import { DEFAULT_ASSUMED } from '@rundel/core/assumed';
import type { ShelfLot } from '@rundel/core/pickings';
import type { TrialComparison, TrialResult } from '@rundel/core/tally';
import { powerTable, type Difference } from '@rundel/core/trials';
import { describe, expect, it } from 'vitest';
import { moneyIn } from '../store/money.ts';
import { unitFormatIn } from '../store/unit-format.ts';
import { roughWeights } from './amount-text.ts';
import { bagAdviceWords, changeWords, summaryWords } from './review-text.ts';
import { leftWords, lotAdvice, lotSentence, shelfCheckWords, shelvedWords } from './shelf-text.ts';
import { reasonWords, timesWords, weekWords } from './tally-text.ts';
import { differenceWords, flawWords, measured, oftenWords, powerWords, verdictWords } from './trial-text.ts';

const metric = unitFormatIn('metric');
const us = unitFormatIn('us');
const plain = (words: string) => words.replaceAll('\u00a0', ' ');

describe('a difference in words', () => {
  it.each([
    [Math.log(1.2), '20 % more'],
    [Math.log(0.6), '40 % less'],
    [Math.log(2.5), '2.5 times'],
    [0.005, 'the same'],
  ])('of %f on the scale of logarithms', (log, words) => {
    expect(timesWords(log)).toBe(words);
    expect(differenceWords(log, false)).toBe(words);
  });

  it('of days is sooner or later', () => {
    expect([3.2, -1.1, 0.2].map((days) => differenceWords(days, true))).toEqual([
      '3 days later',
      '1 day sooner',
      'the same day',
    ]);
  });
});

const difference = (more: Partial<Difference>): TrialComparison => ({
  from: 'a',
  to: 'b',
  byChance: undefined,
  difference: {
    raw: Math.log(1.3),
    likely: Math.log(1.25),
    low: Math.log(0.9),
    high: Math.log(1.7),
    standardError: 0.2,
    df: 8,
    spread: 0.3,
    chanceAbove: 0.9,
    isReal: false,
    confoundedBy: [],
    units: [4, 4],
    ...more,
  },
});
const names = { from: 'small bags', to: 'big bags' };
const verdict = (more: Partial<Difference>, isInDays = false) =>
  verdictWords(difference(more), names, isInDays);

describe('what is said of a trial', () => {
  it('is luck where it may be luck, with the range in the same breath', () => {
    const { headline, detail } = verdict({});
    expect(headline).toBe('It may well be luck.');
    expect(detail).toBe(
      'Big bags gave 30 % more than small bags here. Nine times in ten the true difference lies between 10 % less and 70 % more; my best guess, knowing how luck goes, is 25 % more.',
    );
  });

  it('of one each is too few, whatever they gave', () => {
    expect(verdict({ units: [1, 1], isReal: false }).headline).toBe('One each: too few to say.');
  });

  it('is likely where the range leaves none out, and real only where luck would hardly do it', () => {
    expect(verdict({ low: 0.02 }).headline).toBe('Likely, and not yet sure: 25 % more.');
    expect(verdict({ low: 0.02, isReal: true }).headline).toBe('Big bags really did differ: 25 % more.');
    expect(verdict({ low: 0.02, isReal: true, confoundedBy: ['place'] }).headline).toMatch(
      /^They differ, and I cannot say by what/,
    );
  });

  it('in days is told in days, and of nothing yet nothing is told', () => {
    expect(verdict({ raw: 4, likely: 4, low: -2, high: 9 }, true).detail).toMatch(
      /^Big bags came 4 days later than small bags here\. .* between 2 days sooner and 9 days later/,
    );
    const none = verdictWords(
      { from: 'a', to: 'b', difference: undefined, byChance: undefined },
      names,
      false,
    );
    expect(none.headline).toBe('Nothing to compare yet.');
  });

  it('so wide that it says nothing is not told in numbers', () => {
    const { headline, detail } = verdict({ low: -5, high: 6, units: [1, 2] });
    expect(headline).toBe('Too few to say.');
    expect(detail).toMatch(/almost anything\.$/);
    expect([3, -3].map(timesWords)).toEqual(['more than ten times', 'less than a tenth']);
  });

  it('more than twice is told in times', () => {
    expect(verdict({ raw: Math.log(2.4) }).detail).toMatch(/^Big bags gave 2\.4 times as much as small bags/);
  });
});

describe('what further bags would find', () => {
  const result = (known: { readonly sd: number; readonly df: number }): TrialResult => ({
    lines: [],
    comparisons: [difference({ units: [1, 1] })],
    flaws: [],
    known,
    plans: powerTable(known, DEFAULT_ASSUMED),
    isInDays: false,
  });

  it('is by this garden’s own spread, and never promises what that cannot keep', () => {
    const words = powerWords(result({ sd: 0.4, df: 8 }));
    expect(words).toMatch(
      /^With bags as unlike as yours \(they differ by 40 % where they had the same\), one each/,
    );
    expect(words).toMatch(/Or: four each over two seasons would find a difference of 20 % /);
    expect(powerWords(result({ sd: 0, df: 0 }))).toMatch(/^With bags as unlike as they usually are/);
  });

  it('grows in words with the chance', () => {
    const words = [0.02, 0.12, 0.22, 0.33, 0.5, 0.65, 0.8, 0.9, 0.99].map(oftenWords);
    expect(new Set(words).size).toBe(words.length);
    expect([words[0], words[3], words.at(-1)]).toEqual(['hardly ever', 'one time in three', 'nearly always']);
  });

  it.each([
    [{ id: 'places' as const }, /different places/],
    [{ id: 'varieties' as const }, /different varieties/],
    [{ id: 'seasons' as const }, /different seasons/],
    [{ id: 'starts' as const, days: 20 }, /20 days apart/],
    [{ id: 'uneven' as const, most: 7, least: 2 }, /7 of one and 2 of another/],
    [{ id: 'gone' as const, bags: 2 }, /2 of the bags/],
    [{ id: 'nothing' as const, bags: 1 }, /^One gave nothing, and counts as a tenth/],
  ])('a flaw is a sentence: %o', (flaw, words) => {
    expect(flawWords(flaw)).toMatch(words);
  });

  it.each([
    ['kilograms', 1.2, '1.2 kg'],
    ['fruit', 0.08, '80 g'],
    ['count', 7.4, '7 fruit'],
    ['first-picking', 61.3, '61 days'],
  ] as const)('measured by %s', (measure, value, words) => {
    expect(plain(measured(value, measure, metric))).toBe(words);
  });
});

describe('ranges that were reckoned', () => {
  it('are no finer than they are known', () => {
    expect(plain(roughWeights({ low: 9.8765, high: 21.17 }, metric))).toBe('9.9 to 21 kg');
    expect(plain(roughWeights({ low: 0, high: 0.1234 }, metric))).toBe('0 to 120 g');
  });

  it('a week is told by its ends', () => {
    expect(weekWords('2026-07-13', '2026-07-16')).toBe('13 to 19 Jul');
    expect(weekWords('2026-07-27', '2026-07-30')).toBe('27 Jul to 2 Aug');
  });
});

describe('why a bag did better or worse', () => {
  it.each([
    [{ id: 'found-dry' as const, times: 5, of: 20 }, 'found dry at 5 of 20 checks'],
    [{ id: 'found-wet' as const, times: 3, of: 9 }, 'found soaked at 3 of 9 checks'],
    [{ id: 'wilted' as const, times: 1 }, 'wilted once'],
    [{ id: 'feeds-left-out' as const, times: 3 }, '3 feeds left out'],
    [{ id: 'unfed' as const, times: 4 }, 'never fed, where the others were 4 times'],
    [{ id: 'cold-nights' as const, times: 3, celsius: 4 }, '3 cold nights in its first weeks, down to 4 °C'],
    [{ id: 'late' as const, days: 12 }, 'planted 12 days after the others'],
    [{ id: 'trouble' as const, what: 'mites' }, 'spider mites'],
    [{ id: 'left-early' as const, why: 'stolen' }, 'a plant left: stolen'],
  ])('%o', (reason, words) => {
    expect(plain(reasonWords(reason, metric))).toBe(words);
  });
});

const lot = (more: Partial<ShelfLot> = {}): ShelfLot => ({
  id: 'lot_a00001',
  name: undefined,
  cropId: 'tomato',
  varietyId: undefined,
  containerIds: [],
  since: '2026-10-03',
  stage: 'green',
  celsius: 15,
  isWithFruit: false,
  fruitsAWeek: undefined,
  put: 30,
  eaten: 0,
  given: 0,
  sold: 0,
  lost: 0,
  left: 30,
  isUncounted: false,
  ripe: undefined,
  lastLookedOn: '2026-10-03',
  ripeBy: { from: '2026-10-17', likely: '2026-10-24', to: '2026-11-04' },
  keepsUntil: '2026-11-01',
  lookOn: '2026-10-10',
  remark: undefined,
  entries: [],
  ...more,
});

describe('a lot in words', () => {
  const said = (more: Partial<ShelfLot>, today = '2026-10-04') =>
    lotSentence(lot(more), today, DEFAULT_ASSUMED);

  it('says between which days it is ripe, that it is ripe, or that it never will be', () => {
    expect(said({})).toBe('Ripe between 17 Oct and 4 Nov.');
    expect(said({}, '2026-10-20')).toBe('Ripe between 20 Oct and 4 Nov.');
    expect(said({}, '2026-11-06')).toMatch(/^Ripe by now, as a rule/);
    expect(said({ ripeBy: undefined, stage: 'ripe' })).toBe('Ripe: eat it by 1 Nov.');
    expect(said({ ripeBy: undefined, remark: 'will-not-ripen' })).toMatch(/^It does not ripen off the plant/);
    expect(said({ left: 0 })).toBe('All gone.');
    expect(said({ left: 0, isUncounted: true })).toBe('Ripe between 17 Oct and 4 Nov.');
    expect([true, false].map((isUncounted) => leftWords(lot({ isUncounted })))).toEqual([
      '30 left, and some that nobody counted',
      '30 left',
    ]);
  });

  it('of keepers says into which month they last, or that they must go faster', () => {
    expect(said({ fruitsAWeek: 2, keepsUntil: '2027-06-01' })).toMatch(
      /^30 at 2 a week last into \w+ (2026|2027)\./,
    );
    expect(said({ fruitsAWeek: 1, keepsUntil: '2026-12-01' })).toMatch(
      /will be past it on 1 Dec: draw them faster/,
    );
  });

  it('says what its warmth does, in the grower’s own degrees', () => {
    const advice = (more: Partial<ShelfLot>, format = metric) =>
      plain(lotAdvice(lot(more), format, DEFAULT_ASSUMED) ?? '');
    expect(advice({ remark: 'too-cold' })).toMatch(/^Too cold: below 10 °C/);
    expect(advice({ remark: 'too-cold' }, us)).toMatch(/^Too cold: below 50 °F/);
    expect(advice({ remark: 'too-warm' })).toMatch(/^Too warm/);
    expect(advice({ celsius: undefined })).toMatch(/^Say how warm/);
    expect(advice({})).toMatch(/ripe apple, at 20 °C/);
    expect(advice({ isWithFruit: true })).toMatch(/^To slow it/);
    expect(advice({ stage: 'ripe' })).toBe('');
  });

  it('and what was put down of it', () => {
    const base = { id: 'ent_a00001', at: '2026-10-03T12:00:00.000Z', recordedAt: '', lotId: 'lot_a00001' };
    expect(
      plain(
        shelvedWords(
          { ...base, kind: 'shelved', name: 'Crate', count: 12, stage: 'green', celsius: 15 },
          metric,
        ),
      ),
    ).toBe('Shelf, Crate: 12 fruit, green, at 15 °C');
    expect(shelfCheckWords({ ...base, kind: 'shelf-check', eaten: 2, lost: 1, lostTo: 'blight' })).toMatch(
      /^Looked through: 2 eaten, 1 thrown out \(.*blight.*\)$/,
    );
    expect(shelfCheckWords({ ...base, kind: 'shelf-check' })).toBe('Looked through: all well');
  });
});

describe('a review in words', () => {
  const advice = { containerId: 'con_a00001', bag: '7', seasonsUsed: 4, seasonsGiven: 4, isToRetire: true };

  it('says of a bag and its mix what they are good for', () => {
    expect(bagAdviceWords({ ...advice, mix: { id: 'spent', seasonsUsed: 2 } })).toBe(
      'Bag 7: used for 4 seasons of the 4 you give it: retire it. Its mix has had 2 seasons: on a bed, or as a part of new mix.',
    );
    expect(bagAdviceWords({ ...advice, isToRetire: false, mix: { id: 'again', seasonsUsed: 1 } })).toMatch(
      /can be used again/,
    );
    expect(bagAdviceWords({ ...advice, mix: { id: 'not-again', what: 'wilt' } })).toMatch(
      /not for this kind again/,
    );
  });

  it.each([
    [{ id: 'dry' as const, times: 5, of: 20 }, /^5 of 20 checks found a bag dry/],
    [{ id: 'wet' as const, times: 5, of: 20 }, /soaked/],
    [{ id: 'feeds' as const, times: 3, of: 9 }, /^3 of 9 feeds were left out/],
    [{ id: 'lost' as const, kilograms: 2, share: 0.12, to: 'slugs' }, /^12 in a hundred were lost, most to /],
    [{ id: 'trouble' as const, what: 'mites', bags: 3 }, /^Spider mites came to 3 bags/],
    [{ id: 'few-checks' as const, bags: 2 }, /^2 bags bore and were never checked/],
  ])('what to change is a sentence: %o', (change, words) => {
    expect(changeWords(change)).toMatch(words);
  });

  it('of a season without a picking says so', () => {
    const total = { kilograms: 0, plants: 1, bags: 1, unmeasured: 0 };
    const review = {
      season: { year: 2026, from: '2026-07-01', to: '2027-06-30' },
      isOver: true,
      total,
      before: undefined,
      crops: [],
    } as unknown as Parameters<typeof summaryWords>[0];
    expect(summaryWords(review, { unitFormat: metric, money: moneyIn('£'), latitudeDegrees: -35 })).toEqual([
      '1 plant in 1 bag, and nothing was picked in 2026/27.',
    ]);
    // what was picked and never weighed is not nothing
    const untold = { ...review, total: { ...review.total, unmeasured: 2 } };
    expect(summaryWords(untold, { unitFormat: metric, money: moneyIn('£'), latitudeDegrees: -35 })).toEqual([
      '1 plant in 1 bag: 2 pickings not weighed in 2026/27.',
    ]);
  });
});
