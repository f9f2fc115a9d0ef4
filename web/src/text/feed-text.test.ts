import { FEEDING_PRACTICES, type StepState, type Verdict } from '@rundel/core/feeding';
import type { RegimeStep, Product } from '@rundel/core/records';
import { findProduct } from '@rundel/core/products';
import { describe, expect, it } from 'vitest';
import { feedAmountWords } from './feed-amount-text.ts';
import {
  baseWords,
  CHECK_WORDS,
  doseWords,
  feedCaution,
  ledgerSentence,
  remarkWords,
  stateSentence,
  stepSentence,
  stopWords,
  triggerWords,
} from './feed-text.ts';

const plain = (words: string) => words.replaceAll('\u00a0', ' ');
const step: RegimeStep = {
  id: 'liquid',
  start: { on: 'set' },
  productId: 'tomato-liquid',
  every: { fromDays: 7, toDays: 10 },
  shortensWithGrowth: true,
};
const product = findProduct('tomato-liquid') as Product;

describe('amounts and doses', () => {
  it.each([
    [{ amount: 44.6, unit: 'millilitre' }, '45 mL'],
    [{ amount: 3.25, unit: 'gram' }, '3.3 g'],
    [{ amount: 1, unit: 'spoon' }, '1 spoon'],
    [{ amount: 3, unit: 'spoon' }, '3 spoons'],
    [{ amount: 1450, unit: 'gram' }, '1.45 kg'],
    [{ amount: 1600, unit: 'millilitre' }, '1.6 L'],
  ] as const)('%o', (amount, words) => {
    expect(plain(feedAmountWords(amount))).toBe(words);
  });

  it('a dose says of what', () => {
    expect(plain(doseWords({ amount: 4, unit: 'millilitre', per: 'litre' }, 'metric'))).toBe(
      '4 mL in each litre of water',
    );
    expect(plain(doseWords({ amount: 4, unit: 'millilitre', per: 'litre' }, 'us'))).toBe(
      '15.1 mL in each gallon of water',
    );
    expect(plain(doseWords({ amount: 60, unit: 'gram', per: 'mix-litre' }, 'us'))).toBe(
      '227 g to each gallon of mix',
    );
    expect(plain(doseWords({ amount: 2, unit: 'handful', per: 'bag' }, 'us'))).toBe('2 handfuls to each bag');
  });
});

describe('a regime in sentences', () => {
  it('a step reads from when to until when', () => {
    expect(plain(stepSentence(step, product, [], 'metric'))).toBe(
      'When the first truss has set: tomato liquid 4-3-8, 4 mL in each litre of water, every 7 to 10 days, closer as it grows.',
    );
    expect(
      plain(
        stepSentence(
          { ...step, shortensWithGrowth: false, until: { on: 'times', times: 3 } },
          product,
          [],
          'metric',
        ),
      ),
    ).toMatch(/every 7 to 10 days, 3 times\.$/);
  });

  it.each([
    [{ on: 'weeks', weeks: 1 }, '1 week after planting'],
    [{ on: 'date', monthDay: '06-15' }, 'on 15 Jun'],
    [{ on: 'base-used-up' }, 'when what the mix brought is used up'],
  ] as const)('%o', (trigger, words) => {
    expect(triggerWords(trigger)).toBe(words);
  });

  it('an end reads on from the sentence', () => {
    expect(stopWords({ on: 'flowers' })).toBe('until the first flowers');
    expect(stopWords(undefined)).toBe('as long as the plant stands');
  });

  it('every step of every school is a whole sentence', () => {
    for (const { steps } of FEEDING_PRACTICES)
      for (const each of steps) {
        const words = stepSentence(each, findProduct(each.productId), [], 'us');
        expect(words).toMatch(/^[A-Z0-9].*\.$/);
        expect(words).not.toMatch(/undefined|null|NaN/);
      }
  });
});

describe('where a step stands, in one sentence', () => {
  const reason = {
    trigger: step.start,
    startedOn: '2026-06-24',
    isNoted: true,
    lastOn: '2026-07-08',
    intervalDays: 8,
    apartFrom: undefined,
    left: undefined,
  };
  const due = (more: Partial<Extract<StepState, { kind: 'due' }>> = {}): StepState => ({
    kind: 'due',
    step,
    earliest: '2026-07-15',
    target: '2026-07-16',
    latest: '2026-07-18',
    reason,
    ...more,
  });
  it.each([
    ['2026-07-16', due(), 'Tomato liquid 4-3-8 is due: 8 days since the last, and it wants one after 8.'],
    [
      '2026-07-15',
      due(),
      'Tomato liquid 4-3-8 is due tomorrow: 7 days since the last, and it wants one after 8.',
    ],
    [
      '2026-07-20',
      due(),
      'Tomato liquid 4-3-8 is 2 days late: 12 days since the last, and it wants one after 8.',
    ],
    [
      '2026-07-16',
      due({ reason: { ...reason, lastOn: undefined, intervalDays: undefined, isNoted: false } }),
      'Tomato liquid 4-3-8 is due: its first since the first set truss (worked out, not seen).',
    ],
    [
      '2026-07-16',
      due({ reason: { ...reason, left: { day: '2026-07-15', reason: 'no-time' } } }),
      'Tomato liquid 4-3-8 is due: 8 days since the last, and it wants one after 8. It was left on 15 Jul: no time.',
    ],
    [
      '2026-06-01',
      { kind: 'waits', step, expected: { day: '2026-06-24', isNoted: false } } as StepState,
      'Tomato liquid 4-3-8 waits for the first set truss, about 24 Jun.',
    ],
    [
      '2026-07-16',
      { kind: 'ended', step, why: 'expired', on: '2026-07-01' } as StepState,
      'Skipped: tomato liquid 4-3-8 was due before you started this regime.',
    ],
  ])('%s', (today, state, words) => {
    expect(plain(stateSentence(state, today, []))).toBe(words);
  });
});

describe('what the ledger says', () => {
  const verdict = (
    element: Verdict['element'],
    status: Verdict['status'],
    more: Partial<Verdict> = {},
  ): Verdict => ({
    element,
    status,
    isSure: true,
    lasts: { low: 10, likely: 20, high: 30 },
    milligramsPerLitre: { low: 50, likely: 100, high: 150 },
    shortFrom: { low: undefined, likely: undefined, high: undefined },
    ...more,
  });
  it.each([
    [[verdict('n', 'fine'), verdict('k', 'fine')], 'It is fine: nothing runs short in the weeks to come.'],
    [[verdict('n', 'short'), verdict('k', 'fine')], 'It is short of nitrogen.'],
    [
      [verdict('n', 'short', { isSure: false }), verdict('k', 'short')],
      'It is likely short of nitrogen and potassium.',
    ],
    [
      [verdict('n', 'short'), verdict('k', 'over')],
      'It is short of nitrogen, while there is more potassium than it can use.',
    ],
    [
      [verdict('n', 'fine', { shortFrom: { low: '2026-07-20', likely: '2026-07-28', high: '2026-08-05' } })],
      'It is fine now; without another feed nitrogen runs short about 28 Jul, between 20 Jul and 5 Aug.',
    ],
  ])('%#', (verdicts, words) => {
    expect(ledgerSentence(verdicts, true)).toBe(words);
  });

  it('calcium and magnesium alone do not make a bag short', () => {
    expect(ledgerSentence([verdict('n', 'fine'), verdict('ca', 'short')], true)).toMatch(/^It is fine/);
  });

  it('when the mix’s own feed is used up, with its range', () => {
    const used = { low: '2026-06-12', likely: '2026-06-16', high: undefined };
    expect(baseWords({ baseUsedUp: used, today: '2026-07-16' })).toBe(
      'ran out about 16 Jun (12 Jun to autumn)',
    );
    expect(baseWords({ baseUsedUp: { ...used, likely: undefined }, today: '2026-07-16' })).toMatch(
      /beyond the season/,
    );
  });
});

describe('slips and cautions', () => {
  it('ten times, a gallon, a spoon', () => {
    expect(CHECK_WORDS['ten-times'](10)).toMatch(/ten times the label/);
    expect(CHECK_WORDS.double(3.2)).toBe('That is 3.2 times the label’s dose.');
    expect(CHECK_WORDS.double(2)).toBe('That is double the label’s dose.');
  });

  it('a regime that never feeds is told why', () => {
    expect(remarkWords({ kind: 'never-fires', stepId: 'a', why: 'no-product' })).toMatch(/not in the list/);
    expect(remarkWords({ kind: 'never-fires', stepId: 'a', why: 'ends-before' })).toMatch(/ends before/);
  });

  it('a tea is never for leaves, and two parts are never mixed undiluted', () => {
    expect(feedCaution(findProduct('weed-tea') as Product)).toMatch(
      /never on leaves or fruit to be eaten soon/,
    );
    expect(feedCaution(findProduct('nutrient-a') as Product)).toMatch(/A first, stir, then B/);
    expect(feedCaution(findProduct('balanced-soluble') as Product)).toMatch(/dust/);
  });
});
