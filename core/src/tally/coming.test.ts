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
import { addDays, type Day } from '../calendar/index.ts';
import { learntRipening, setToRipeSeen } from '../garden-state/index.ts';
import { liveEntries, type Draft, type Garden } from '../records/index.ts';
import { checkForecasts, comingOf, isRipeThisWeek, tallyContext } from './index.ts';

const bag = container('1');
const base = { containers: [bag], plants: [plant('one00001', 'var_redred')] };
const contextOf = (drafts: readonly Draft[], more: Partial<Garden> = {}) => {
  const garden = smallGarden({ ...base, entries: [...diary(drafts)], ...more });
  return tallyContext(garden, liveEntries(garden.entries));
};
const at = { containerId: bag.id, stationId: 'stn_small01', plantId: 'pla_one00001' };
const truss = (number: number, stage: 'flowering' | 'set' | 'picked', day: Day): Draft => ({
  kind: 'truss',
  at: noon(day),
  ...at,
  number,
  stage,
  ...(stage === 'set' ? { count: 5 } : {}),
});
const begun = planted(bag, 'pla_one00001', '2026-05-20');

describe('ripe dates', () => {
  it('of a truss run from its set, of flowers later, and of a plant of which nothing was seen from its planting', () => {
    const [bySet, byFlowers] = comingOf(
      contextOf([begun, truss(1, 'set', '2026-06-20'), truss(2, 'flowering', '2026-06-25')]),
      '2026-07-01',
    ).ripe;
    expect(bySet).toMatchObject({ truss: 1, fruit: 5, by: 'set', from: '2026-08-04', to: '2026-08-19' });
    expect(byFlowers).toMatchObject({ truss: 2, by: 'flowers' });
    const [reckoned] = comingOf(contextOf([begun]), '2026-07-01').ripe;
    expect(reckoned).toMatchObject({ truss: undefined, by: 'planting' });
    const [seen] = comingOf(
      contextOf([begun, { kind: 'stage', at: noon('2026-06-20'), containerId: bag.id, stage: 'set' }]),
      '2026-07-01',
    ).ripe;
    expect(seen).toMatchObject({ truss: undefined, by: 'set', from: '2026-08-04' });
  });

  it('end with the picking, and a plant that bears has no first fruit to come', () => {
    const picked1 = [begun, truss(1, 'set', '2026-06-10'), truss(1, 'picked', '2026-08-05')];
    expect(comingOf(contextOf(picked1), '2026-08-10').ripe).toEqual([]);
    const bearing = [begun, picked(bag, '2026-08-01', { kilograms: 0.3 })];
    expect(comingOf(contextOf(bearing), '2026-08-10').ripe).toEqual([]);
    const green = [begun, picked(bag, '2026-08-01', { kilograms: 0.3, stage: 'green' as const })];
    expect(comingOf(contextOf(green), '2026-08-02').ripe).toHaveLength(1);
  });

  it('are held back by a spray, and are of this week when they are near', () => {
    const sprayed: Draft = {
      kind: 'sprayed',
      at: noon('2026-08-01'),
      containerId: bag.id,
      agent: 'sulphur',
      extent: 'whole',
      harvestDays: 10,
    };
    const [ripe] = comingOf(contextOf([begun, truss(1, 'set', '2026-06-15'), sprayed]), '2026-08-03').ripe;
    expect(ripe?.heldUntil).toBe('2026-08-11');
    const span = { from: '2026-08-01', likely: '2026-08-06', to: '2026-08-12' };
    expect(isRipeThisWeek(span, '2026-08-01')).toBe(true);
    expect(isRipeThisWeek(span, '2026-07-20')).toBe(false);
  });
});

describe('days from set to ripe', () => {
  const drafts = [
    begun,
    ...[1, 2, 3, 4, 5, 6].flatMap((n) => [
      truss(n, 'set', addDays('2026-06-01', 6 * n)),
      truss(n, 'picked', addDays('2026-06-01', 6 * n + 42)),
    ]),
  ];
  const { garden, live } = contextOf(drafts);

  it('are learnt from the garden’s own trusses, drawn towards what is usual', () => {
    const seen = setToRipeSeen(garden, live).get('var_redred');
    expect(seen).toHaveLength(6);
    const learnt = learntRipening(garden, live)['var_redred'];
    expect(learnt && learnt.low > 30 && learnt.low < 45).toBe(true);
    expect(learnt && learnt.high < 60).toBe(true);
  });

  it('are not where the grower has said them', () => {
    const own = { ...garden, varieties: [variety('redred', { setToRipe: { low: 50, high: 55 } })] };
    expect(learntRipening(own, live)).toEqual({});
  });
});

describe('what is still to come', () => {
  it('is more for a bag that has given more, and nothing once it is cleared', () => {
    const picks = (kilograms: number) =>
      Array.from({ length: 8 }, (_, i) => picked(bag, addDays('2026-07-30', 3 * i), { kilograms }));
    const coming = (kilograms: number) => comingOf(contextOf([begun, ...picks(kilograms)]), '2026-08-21');
    expect(coming(0.4).rest.likely).toBeGreaterThan(1.5 * coming(0.1).rest.likely);
    expect(coming(0.4).week.low).toBeLessThan(coming(0.4).week.likely);
    const cleared: Draft = { kind: 'cleared', at: noon('2026-08-20'), ...at };
    expect(comingOf(contextOf([begun, ...picks(0.4), cleared]), '2026-08-21').bags).toEqual([]);
  });

  it('adds up by week, and by crop', () => {
    const demo = gannetSlip(3);
    const { weeks, rest, byCrop, bags } = comingOf(
      tallyContext(demo, liveEntries(demo.entries)),
      '2026-07-16',
    );
    expect(weeks.reduce((sum, w) => sum + w.likely, 0)).toBeCloseTo(rest.likely, 6);
    expect(Object.values(byCrop).reduce((sum, c) => sum + c.likely, 0)).toBeCloseTo(rest.likely, 6);
    expect(bags.reduce((sum, b) => sum + b.rest.likely, 0)).toBeCloseTo(rest.likely, 6);
    for (const bagComing of bags) expect(bagComing.until >= '2026-07-16').toBe(true);
  });

  it('of a garden in which nothing stands is nothing', () => {
    expect(comingOf(contextOf([]), '2026-08-01')).toMatchObject({ ripe: [], bags: [], weeks: [] });
  });
});

describe('forecasts checked backwards', () => {
  it.each([20_260_716, 1, 2, 3])(
    'of the demo’s last season (%d) are better than "the same as last week"',
    (seed) => {
      const demo = gannetSlip(seed);
      const check = checkForecasts(tallyContext(demo, liveEntries(demo.entries)), 2025, '2026-07-16');
      expect(check?.weeks.length).toBeGreaterThan(10);
      expect(check?.error).toBeLessThan(check?.errorOfLastWeek ?? 0);
      expect(check?.bagError).toBeLessThan(check?.bagErrorOfLastWeek ?? 0);
      expect(check?.held).toBeGreaterThan(0.7);
    },
  );

  it('do not know what came later', () => {
    const demo = gannetSlip(1);
    const known = (entries: Garden['entries']) => {
      const garden = { ...demo, entries };
      return checkForecasts(tallyContext(garden, liveEntries(garden.entries)), 2025, '2025-08-10');
    };
    const cut = demo.entries.filter((e) => e.at < '2025-08-11');
    expect(known(demo.entries)?.weeks.map((w) => w.likely)).toEqual(known(cut)?.weeks.map((w) => w.likely));
  });

  it('of a few weeks say nothing', () => {
    const few = [
      begun,
      picked(bag, '2026-08-01', { kilograms: 1 }),
      picked(bag, '2026-08-12', { kilograms: 1 }),
    ];
    expect(checkForecasts(contextOf(few), 2026, '2026-08-31')).toBeUndefined();
    expect(checkForecasts(contextOf([]), 2025, '2026-08-31')).toBeUndefined();
  });
});
