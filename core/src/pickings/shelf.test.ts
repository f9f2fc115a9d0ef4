import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import type { Draft, Entry } from '../records/index.ts';
import { daysToRipeOnShelf, drawdown, isGone, lotIdOf, shelfLots } from './shelf.ts';
import type { WeighedPicking } from './usual-weight.ts';

const LOT = 'lot_crate001';
const noon = (day: string) => `${day}T12:00:00.000+01:00`;
const entries = (drafts: readonly Draft[]): readonly Entry[] =>
  drafts.map((d, i) => ({ ...d, id: `ent_shelf${String(i).padStart(3, '0')}`, recordedAt: d.at }) as Entry);
const picking = (day: string, more: Partial<WeighedPicking> = {}): WeighedPicking => ({
  kind: 'picking',
  id: `ent_pick${day.replaceAll('-', '')}`,
  at: noon(day),
  recordedAt: noon(day),
  containerId: 'con_shelf001',
  count: 10,
  kilograms: 0.8,
  isByCount: false,
  stage: 'green',
  use: 'stored',
  lotId: LOT,
  ...more,
});
const kind = { cropId: 'tomato', varietyId: 'var_shelf001', keepsMonths: undefined, fruitKilograms: 0.08 };
const lots = (
  pickings: readonly WeighedPicking[],
  drafts: readonly Draft[] = [],
  today = '2026-10-20',
  of: Partial<typeof kind> | { keepsMonths: number } = {},
) =>
  shelfLots(
    entries(drafts),
    pickings,
    () => ({ ...kind, ...of }),
    () => (of as { keepsMonths?: number }).keepsMonths,
    today,
    DEFAULT_ASSUMED,
  );
const shelved = (day: string, more: Partial<Draft<'shelved'>>): Draft => ({
  kind: 'shelved',
  at: noon(day),
  lotId: LOT,
  ...more,
});
const looked = (day: string, more: Partial<Draft<'shelf-check'>>): Draft => ({
  kind: 'shelf-check',
  at: noon(day),
  lotId: LOT,
  ...more,
});

describe('ripening on a shelf', () => {
  const days = (
    celsius: number,
    withFruit = false,
    cropId = 'tomato',
    stage: 'green' | 'blush' | 'ripe' = 'green',
  ) => daysToRipeOnShelf(cropId, stage, celsius, withFruit, DEFAULT_ASSUMED);

  it('takes two weeks at 20 °C from green, and more than twice as long ten degrees colder', () => {
    expect(days(20)).toBeCloseTo(14, 10);
    expect(days(10)).toBeCloseTo(14 * DEFAULT_ASSUMED.ripeningQ10, 10);
    expect(days(20, true)).toBeLessThan(14);
    expect(days(20, false, 'tomato', 'blush')).toBe(6);
    expect(days(20, false, 'tomato', 'ripe')).toBe(0);
  });

  it('no warmer than it bears goes faster, and what does not ripen off the plant never does', () => {
    expect(days(38)).toBe(days(30));
    expect(days(20, false, 'aubergine')).toBeUndefined();
    expect(days(20, false, 'pepper')).toBeUndefined();
    expect(days(20, false, 'pepper', 'blush')).toBe(6);
  });
});

describe('a lot', () => {
  it('is all that was picked into it, less what was taken and thrown out', () => {
    const [lot] = lots(
      [picking('2026-10-03'), picking('2026-10-04', { count: 5, kilograms: 0.4 })],
      [
        looked('2026-10-10', { eaten: 3, lost: 1, lostTo: 'blight' }),
        looked('2026-10-17', { given: 2, ripe: 4 }),
      ],
    );
    expect(lot).toMatchObject({
      put: 15,
      eaten: 3,
      given: 2,
      lost: 1,
      left: 9,
      ripe: 4,
      since: '2026-10-03',
    });
    expect(lot?.lastLookedOn).toBe('2026-10-17');
  });

  it('counted goes before what was worked out, and what came or went since changes it', () => {
    const [lot] = lots(
      [picking('2026-10-03'), picking('2026-10-12', { count: 4, kilograms: 0.3 })],
      [looked('2026-10-10', { left: 7 }), looked('2026-10-14', { eaten: 2 })],
    );
    expect(lot?.left).toBe(7 + 4 - 2);
  });

  it('that was only weighed has as many fruits as that is usually', () => {
    const { count: _, ...weighed } = picking('2026-10-03', { kilograms: 1.6 });
    expect(lots([weighed])[0]?.put).toBe(20);
  });

  it('weighed in after a count is added to it by its usual fruit', () => {
    const { count: _, ...weighed } = picking('2026-10-12', { kilograms: 0.8 });
    expect(lots([picking('2026-10-03'), weighed], [looked('2026-10-10', { left: 7 })])[0]?.left).toBe(17);
  });

  it('of which nobody counted a picking is there until somebody counts what is left', () => {
    const { count: _, ...some } = picking('2026-10-12', { kilograms: 0, isUnmeasured: true });
    const [only] = lots([some]);
    expect(only).toMatchObject({ put: 0, left: 0, isUncounted: true });
    expect(only && isGone(only)).toBe(false);
    const beside = lots([picking('2026-10-03'), some], [looked('2026-10-13', { eaten: 4 })])[0];
    expect(beside).toMatchObject({ left: 6, isUncounted: true });
    const counted = lots([some], [looked('2026-10-14', { left: 5 }), looked('2026-10-15', { eaten: 5 })])[0];
    expect(counted).toMatchObject({ put: 5, eaten: 5, left: 0, isUncounted: false });
    expect(counted && isGone(counted)).toBe(true);
  });

  it('brought in from elsewhere stands beside the picked ones', () => {
    const [lot] = lots(
      [],
      [shelved('2026-10-12', { count: 30, cropId: 'tomato', stage: 'blush', name: 'Cousin' })],
    );
    expect(lot).toMatchObject({ put: 30, left: 30, name: 'Cousin', stage: 'blush', containerIds: [] });
  });

  it('ripens by where it lay: warmer for a while is sooner', () => {
    const cool = lots([picking('2026-10-03')], [shelved('2026-10-03', { celsius: 13 })])[0]?.ripeBy;
    const moved = lots(
      [picking('2026-10-03')],
      [shelved('2026-10-03', { celsius: 13 }), shelved('2026-10-10', { celsius: 21, isWithFruit: true })],
    )[0]?.ripeBy;
    expect(cool && moved && moved.likely < cool.likely).toBe(true);
    expect(moved && moved.from < moved.likely && moved.likely < moved.to).toBe(true);
  });

  it('too cold, too warm or of a kind that does not ripen says so', () => {
    const remark = (celsius: number, of = {}) =>
      lots([picking('2026-10-03')], [shelved('2026-10-03', { celsius })], '2026-10-04', of)[0]?.remark;
    expect(remark(6)).toBe('too-cold');
    expect(remark(31)).toBe('too-warm');
    expect(remark(15)).toBeUndefined();
    expect(remark(15, { cropId: 'cucumber' })).toBe('will-not-ripen');
  });

  it('is looked through weekly, and ripe fruit every three days', () => {
    expect(lots([picking('2026-10-03')], [], '2026-10-04')[0]?.lookOn).toBe('2026-10-10');
    expect(lots([picking('2026-10-03', { stage: 'ripe' })], [], '2026-10-04')[0]?.lookOn).toBe('2026-10-06');
    expect(lots([picking('2026-10-03')], [], '2026-10-04', { keepsMonths: 4 })[0]?.keepsUntil).toBe(
      '2027-02-02',
    );
  });

  it('that is empty comes last, and nothing of a later day counts', () => {
    const other = picking('2026-10-05', { lotId: 'lot_other001' });
    const found = lots([picking('2026-10-03'), other], [looked('2026-10-06', { eaten: 10 })], '2026-10-07');
    expect(found.map(({ left }) => left)).toEqual([10, 0]);
    expect(lots([picking('2026-10-03')], [], '2026-10-02')).toEqual([]);
  });

  it('without a name of its own is named by its picking', () => {
    const { lotId: _, ...alone } = picking('2026-10-03');
    expect(lotIdOf(alone)).toBe('lot_pick20261003');
    expect(lots([alone])[0]?.id).toBe('lot_pick20261003');
  });
});

describe('keepers', () => {
  it('thirty at two a week last into February', () => {
    expect(drawdown(30, 2, '2026-10-25', '2027-06-01', { shelfLossAWeek: 0 }).until.slice(0, 7)).toBe(
      '2027-02',
    );
  });

  it('end sooner by what goes over, and say what will be past it', () => {
    const none = drawdown(30, 2, '2026-10-25', '2027-06-01', { shelfLossAWeek: 0 });
    const some = drawdown(30, 2, '2026-10-25', '2027-06-01', { shelfLossAWeek: 0.05 });
    expect(some.until < none.until).toBe(true);
    expect(some.lost).toBeGreaterThan(3);
    const slow = drawdown(30, 1, '2026-10-25', '2026-12-20', { shelfLossAWeek: 0 });
    expect(slow.leftOver).toBe(22);
  });
});
