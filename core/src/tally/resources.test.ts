import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { container, diary, noon, smallGarden } from '../../test/small-garden.ts';
import { liveEntries, type Draft, type Garden } from '../records/index.ts';
import { moneyOf, waterOf } from './resources.ts';

const one = container('1');
const two = container('2');
const three = container('3', { binnedAt: noon('2026-03-01') });
const moneyIn = (drafts: readonly Draft[], more: Partial<Garden> = {}, year = 2026) => {
  const garden = smallGarden({ containers: [one, two, three], entries: [...diary(drafts)], ...more });
  return moneyOf(garden, liveEntries(garden.entries), year);
};
const worked = (minutes: number, containerIds: readonly string[], day = '2026-06-01'): Draft => ({
  kind: 'worked',
  at: noon(day),
  minutes,
  containerIds: [...containerIds],
});

describe('work', () => {
  it('is shared by the bags that it names, and by all in use where it names none', () => {
    const money = moneyIn([worked(30, [one.id]), worked(40, [one.id, two.id]), worked(100, [])]);
    expect(money.minutesOf(one.id)).toBe(30 + 20 + 50);
    expect(money.minutesOf(two.id)).toBe(20 + 50);
  });

  it('is of its season, which in the south runs over the new year', () => {
    const drafts = [worked(60, [one.id], '2026-12-01'), worked(30, [one.id], '2027-02-01')];
    expect(moneyIn(drafts).minutesOf(one.id)).toBe(60);
    const south = smallGarden({ latitudeDegrees: -35 }).settings;
    expect(moneyIn(drafts, { settings: south }).minutesOf(one.id)).toBe(90);
    expect(moneyIn(drafts, { settings: south }, 2027).minutesOf(one.id)).toBe(0);
  });
});

describe('money', () => {
  it('of a bag is its price over its seasons with what was spent on it, work only where an hour has a value', () => {
    const drafts: Draft[] = [
      { kind: 'spent', at: noon('2026-05-01'), on: 'seed', price: 3, containerIds: [one.id, two.id] },
      worked(60, [one.id]),
    ];
    expect(moneyIn(drafts).costOf(one, DEFAULT_ASSUMED)).toBeCloseTo(1.5 + 1.5, 10);
    const settings = { ...smallGarden().settings, hourValue: 10 };
    expect(moneyIn(drafts, { settings }).costOf(one, DEFAULT_ASSUMED)).toBeCloseTo(3 + 10, 10);
    // a bag whose record does not make sense costs nothing that can be told
    expect(moneyIn(drafts).costOf(one, undefined)).toBe(0);
  });

  it('that the shop asks is the variety’s before the crop’s', () => {
    const settings = { ...smallGarden().settings, shopPrices: { tomato: 4, var_redred: 6 } };
    const { priceOf } = moneyIn([], { settings });
    expect([priceOf('var_redred', 'tomato'), priceOf('var_other', 'tomato'), priceOf('x', 'pepper')]).toEqual(
      [6, 4, undefined],
    );
  });
});

describe('water', () => {
  const poured = (day: string, litres: number): Draft => ({
    kind: 'watering',
    at: noon(day),
    containerId: one.id,
    litres,
    isMeasured: true,
    ranThrough: false,
  });
  const drip = (day: string, minutes?: number): Draft => ({
    kind: 'drip',
    at: noon(day),
    containerId: one.id,
    ...(minutes === undefined
      ? {}
      : {
          setting: {
            emitters: 2,
            litresPerHourEach: 2,
            minutes,
            timesADay: 1,
            weekdays: [1, 3, 5],
          },
        }),
  });
  const water = (drafts: readonly Draft[]) =>
    waterOf(one, liveEntries([...diary(drafts)]), '2026-01-01', '2026-12-31', DEFAULT_ASSUMED);

  it('counts what was poured between two days, both of them, and within the season', () => {
    const between = water([poured('2026-06-01', 2), poured('2026-06-10', 3), poured('2026-06-20', 4)]);
    expect(between('2026-06-01', '2026-06-10')).toBe(5);
    expect(between('2025-01-01', '2027-01-01')).toBe(9);
  });

  it('counts a drip on its days of the week, from its setting until it was turned off', () => {
    // 2 L on Mondays, Wednesdays and Fridays: 1 June is a Monday
    const between = water([drip('2026-06-01', 30), drip('2026-06-15')]);
    expect(between('2026-06-01', '2026-06-07')).toBeCloseTo(6, 10);
    expect(between('2026-06-01', '2026-06-30')).toBeCloseTo(12, 10);
    expect(between('2026-07-01', '2026-07-31')).toBe(0);
  });
});
