import { beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED, resolveAssumed } from '../assumed/index.ts';
import { completeWeather, defaultNormals, fitWeather } from '../climate/index.ts';
import { runFilter, storeOf, timelineOf, type WaterBag } from '../water/index.ts';
import { CHANGES, planAway, type AwayBag, type AwayPlan, type AwayQuestion } from './index.ts';

const SITE = { latitudeDegrees: 51, normals: defaultNormals(51) };
const climate = { model: fitWeather([], SITE, 3.5), known: [] };

function bagOf(availableLitres: number, canopySquareMetres: number, more: Partial<WaterBag> = {}): AwayBag {
  const bag: WaterBag = {
    availableLitres,
    topSquareMetres: 0.1,
    breathingSquareMetres: 0,
    mulchMillimetres: 20,
    underCover: false,
    shade: 0,
    stores: [],
    drips: [],
    plants: [
      {
        plantedOn: '2026-04-20',
        kc: 1.15,
        depletion: 0.4,
        figures: { fullHeightMillimetres: 2000, canopySquareMetres, weeksToFull: 10 },
      },
    ],
    ...more,
  };
  const weather = completeWeather([], SITE, '2026-07-01', '2026-07-16', DEFAULT_ASSUMED);
  const steps = timelineOf(
    bag,
    weather,
    51,
    DEFAULT_ASSUMED,
  )([], '2026-07-01T08:00:00.000+01:00', '2026-07-16T18:00:00.000+01:00');
  const { belief } = runFilter(bag, steps, DEFAULT_ASSUMED);
  return { containerId: `con_${availableLitres}`, bag, belief, assumed: DEFAULT_ASSUMED };
}

const question: AwayQuestion = {
  leaveOn: '2026-07-16',
  leaveHour: 20,
  backOn: '2026-07-23',
  backHour: 20,
  helperDays: [],
  helperLitres: 36,
  acceptedRisk: 0.1,
  isSoaked: true,
  allowed: [],
};
const plan = (
  bags: readonly AwayBag[],
  more: Partial<AwayQuestion> = {},
  seed = 1,
  own: Partial<Record<string, number>> = {},
) => planAway(bags, { ...question, ...more }, climate, seed, undefined, resolveAssumed(own));
const only = (p: AwayPlan) => p.bags[0] as AwayPlan['bags'][number];

const thirsty = bagOf(6, 0.5);
const easy = bagOf(24, 0.15);
const helperDays = ['2026-07-17', '2026-07-18', '2026-07-19', '2026-07-20', '2026-07-21', '2026-07-22'];

describe('going away', () => {
  let week: AwayPlan;
  beforeAll(() => {
    week = plan([thirsty, easy]);
  });

  it('a big bag with a small plant comes through a week, a small one with a big plant does not', () => {
    const [small, big] = week.bags;
    expect(big?.asItIs.survives).toBeGreaterThan(0.95);
    expect(small?.asItIs.survives).toBeLessThan(0.35);
    expect(small?.isSafe).toBe(false);
    expect(big?.changes).toEqual([]);
  });

  it('the chance of having gone dry only grows from day to day', () => {
    for (const bag of week.bags)
      bag.asItIs.dryBy.forEach((chance, d, all) => expect(chance).toBeGreaterThanOrEqual(all[d - 1] ?? 0));
  });

  it('gives the same plan for the same seed', () => {
    expect(plan([thirsty, easy])).toEqual(week);
  });

  it('a weekend is easier than a week, and other dates change the plan', () => {
    const weekend = plan([thirsty], { backOn: '2026-07-18' });
    expect(weekend.days).toEqual(['2026-07-16', '2026-07-17', '2026-07-18']);
    expect(weekend.hours).toBe(48);
    expect(only(weekend).asItIs.survives).toBeGreaterThan(only(week).asItIs.survives + 0.3);
  });

  it('soaking before leaving does no harm', () => {
    const dry = plan([thirsty], { backOn: '2026-07-18', isSoaked: false });
    const wet = plan([thirsty], { backOn: '2026-07-18' });
    expect(only(wet).asItIs.survives).toBeGreaterThanOrEqual(only(dry).asItIs.survives);
  });

  it('a reservoir carries a bag on', () => {
    const kept = bagOf(6, 0.5, { stores: [{ ...storeOf('reservoir', 20, DEFAULT_ASSUMED), startShare: 1 }] });
    expect(only(plan([kept])).asItIs.survives).toBeGreaterThan(only(week).asItIs.survives + 0.5);
  });
});

describe('what is proposed', () => {
  it('is the cheapest set that keeps the risk: no subset of it does', () => {
    const middling = bagOf(9, 0.28);
    const result = only(plan([middling], { allowed: ['shade', 'mulch', 'saucer', 'clay-pots'] }));
    expect(result.isSafe).toBe(true);
    expect(result.changes.length).toBeGreaterThan(0);
    const minutes = result.changes.reduce((sum, id) => sum + CHANGES[id].minutes, 0);
    for (const left of result.changes) {
      const fewer = only(plan([middling], { allowed: result.changes.filter((id) => id !== left) }));
      const isDearer = fewer.changes.reduce((sum, id) => sum + CHANGES[id].minutes, 0) >= minutes;
      expect(fewer.isSafe === false || isDearer).toBe(true);
    }
  });

  it('changes only make a bag safer, and none that the grower has not allowed is proposed', () => {
    const result = only(plan([thirsty], { allowed: ['shade', 'drip'] }));
    expect(result.planned.survives).toBeGreaterThanOrEqual(result.asItIs.survives);
    expect(['shade', 'drip']).toEqual(expect.arrayContaining([...result.changes]));
    if (result.changes.includes('drip')) expect(result.drip?.litresADay).toBeGreaterThan(0.3);
  });

  it('a helper on some days saves the thirsty bag and leaves the easy one alone', () => {
    const helped = plan([thirsty, easy], { helperDays, acceptedRisk: 0.3 });
    expect(helped.visits.length).toBeGreaterThan(0);
    expect(helperDays).toEqual(expect.arrayContaining([...helped.visits]));
    expect(helped.bags.map((b) => b.isHelped)).toEqual([true, false]);
    expect(helped.bags[0]?.planned.survives).toBeGreaterThan(helped.bags[0]?.asItIs.survives ?? 1);
    const litres = helped.bags[0]?.planned.visitLitres[0];
    expect(litres?.likely).toBeGreaterThan(0.5);
    expect(litres?.high).toBeGreaterThanOrEqual(litres?.likely ?? 0);
  });

  it('goes by how far a helper can be relied on, and by what a visit takes', () => {
    // one day only, so that nothing can be mended by another visit
    const asked = { backOn: '2026-07-21', helperDays: ['2026-07-18'], acceptedRisk: 0.3 };
    const sure = plan([thirsty, easy], asked, 1, { missChance: 0, visitMinutes: 5, pourMinutes: 1 });
    expect(only(sure).isHelped).toBe(true);
    expect(sure.helperMinutes).toBe(5 + 1);
    const unsure = plan([thirsty, easy], asked, 1, { missChance: 0.3, visitMinutes: 5, pourMinutes: 1 });
    expect(only(unsure).isHelped).toBe(true);
    expect(only(unsure).planned.survives).toBeLessThan(only(sure).planned.survives - 0.05);
  });

  it('a helper who may come every day is asked to as often as it takes, and no more', () => {
    const fortnight = Array.from({ length: 13 }, (_, i) => `2026-07-${17 + i}`);
    const away = { backOn: '2026-07-30', helperDays: fortnight };
    const often = plan([thirsty], { ...away, acceptedRisk: 0.15 });
    expect(only(often).isSafe).toBe(true);
    expect(often.visits.length).toBeGreaterThan(4);
    const seldom = plan([thirsty], { ...away, acceptedRisk: 0.6 });
    expect(seldom.visits.length).toBeLessThan(often.visits.length);
    expect(only(seldom).isSafe).toBe(true);
    // the longest time without anybody is as even as so many visits allow
    const dates = [16, ...often.visits.map((day) => Number(day.slice(8))), 30];
    const gaps = dates.slice(1).map((d, i) => d - (dates[i] as number));
    expect(Math.max(...gaps)).toBe(Math.ceil(14 / (often.visits.length + 1)));
  });

  it('a helper who can carry next to nothing is not sent; it says how much more would do', () => {
    const { visits, beyondHelper } = plan([thirsty, easy], {
      helperDays,
      helperLitres: 0.5,
      acceptedRisk: 0.3,
    });
    expect(visits).toEqual([]);
    expect(beyondHelper?.containerIds).toEqual([thirsty.containerId]);
    const enough = plan([thirsty, easy], {
      helperDays,
      helperLitres: 0.5 + (beyondHelper?.litres ?? 0) + 0.01,
      acceptedRisk: 0.3,
    });
    expect(only(enough)).toMatchObject({ isHelped: true, isSafe: true });
    expect(enough.beyondHelper).toBeUndefined();
  });

  it('accepting less risk never takes less effort', () => {
    const effort = (acceptedRisk: number) => {
      const p = plan([bagOf(9, 0.28)], {
        allowed: ['shade', 'mulch', 'saucer', 'clay-pots', 'drip'],
        acceptedRisk,
      });
      return only(p).isSafe ? p.minutes : Infinity;
    };
    expect(effort(0.05)).toBeGreaterThanOrEqual(effort(0.3));
  });
});
