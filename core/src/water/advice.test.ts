import { describe, expect, it } from 'vitest';
import { at, watering, check, ONE_BAG, SITE, steps } from '../../test/one-bag.ts';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { completeWeather } from '../climate/index.ts';
import {
  adviseWatering,
  forecastWater,
  runFilter,
  storeOf,
  timelineOf,
  type UseStep,
  type WaterEvent,
} from './index.ts';

describe('looking ahead', () => {
  const spansFrom = (day: number) =>
    Array.from({ length: 10 }, (_, i) => {
      const date = (n: number) => `2026-07-${String(n).padStart(2, '0')}`;
      const weather = completeWeather([], SITE, '2026-07-01', '2026-07-31', DEFAULT_ASSUMED);
      const cut = timelineOf(
        ONE_BAG,
        weather,
        51,
        DEFAULT_ASSUMED,
      )([], at(date(day + i), '18:00'), at(date(day + i + 1), '18:00'));
      return {
        at: at(date(day + i + 1), '18:00'),
        hoursAhead: 24 * (i + 1),
        steps: cut.filter((s): s is UseStep => s.kind === 'use'),
      };
    });
  const beliefAfter = (events: readonly WaterEvent[]) =>
    runFilter(ONE_BAG, steps(events, at('2026-07-10', '18:00')), DEFAULT_ASSUMED).belief;

  it('the chance of being dry only grows while nobody waters, and a lower risk looks no later', () => {
    const belief = beliefAfter([watering('2026-07-10', 9, '17:50', true)]);
    const far = forecastWater(belief, ONE_BAG, spansFrom(10), { ...DEFAULT_ASSUMED, risk: 0.3 });
    const chances = far.rounds.map((r) => r.chanceDry);
    expect([...chances].sort((a, b) => a - b)).toEqual(chances);
    const index = (risk: number) => {
      const { nextCheck } = forecastWater(belief, ONE_BAG, spansFrom(10), { ...DEFAULT_ASSUMED, risk });
      return nextCheck.kind === 'now' ? 0 : nextCheck.kind === 'later' ? Infinity : Date.parse(nextCheck.at);
    };
    expect(index(0.05)).toBeLessThanOrEqual(index(0.3));
  });

  it('a bag felt dry is looked at now, and its hours to refill are none', () => {
    const ahead = forecastWater(
      beliefAfter([check('2026-07-10', 1, '17:50')]),
      ONE_BAG,
      spansFrom(10),
      DEFAULT_ASSUMED,
    );
    expect(ahead.nextCheck).toEqual({ kind: 'now' });
    expect(ahead.hoursToRefill.low).toBe(0);
  });

  it('the hours to refill come in order', () => {
    const { hoursToRefill } = forecastWater(
      beliefAfter([watering('2026-07-10', 9, '17:50', true)]),
      ONE_BAG,
      spansFrom(10),
      DEFAULT_ASSUMED,
    );
    expect(hoursToRefill.low).toBeLessThan(hoursToRefill.likely ?? 0);
    expect(hoursToRefill.likely).toBeLessThan(hoursToRefill.high ?? Infinity);
  });
});

describe('what follows a look', () => {
  const can = { kind: 'can', litres: 9 } as const;
  const advise = (grade: number, isDueAgainBeforeNextRound = false, isEstablishing = false) => {
    const { estimate } = runFilter(
      ONE_BAG,
      steps([watering('2026-07-14', 9, '18:05', true), check('2026-07-16', grade)]),
      DEFAULT_ASSUMED,
    );
    return adviseWatering(
      estimate,
      ONE_BAG,
      {
        check: { method: 'finger', grade },
        isDueAgainBeforeNextRound,
        isEstablishing,
        measure: can,
      },
      DEFAULT_ASSUMED,
    );
  };

  it('waters what feels dry, and what would not last to the next round', () => {
    expect(advise(2)).toMatchObject({ isWanted: true, because: 'felt-dry' });
    expect(advise(3, true)).toMatchObject({ isWanted: true, because: 'before-next-round' });
    expect(advise(4)).toMatchObject({ isWanted: false, because: 'enough' });
  });

  it('a drier bag takes more, in two pours when it may repel water', () => {
    expect(advise(1).litres.likely).toBeGreaterThan(advise(3).litres.likely);
    expect(advise(1).pours).toBe(2);
    expect(advise(4, true).pours).toBe(1);
  });

  it('a newly planted bag gets part of it', () => {
    const young = advise(2, false, true);
    expect(young.isEstablishing).toBe(true);
    expect(young.litres.likely).toBeCloseTo(advise(2).litres.likely * DEFAULT_ASSUMED.establishingShare, 9);
  });

  it('the level of a reservoir says nothing while roots are not down to it, and fills it up later', () => {
    const planter = { ...ONE_BAG, stores: [storeOf('reservoir', 10, DEFAULT_ASSUMED)] };
    const empty: WaterEvent = {
      kind: 'check',
      id: 'ent_level',
      at: at('2026-07-16', '18:00'),
      check: { method: 'level', share: 0 },
    };
    const { estimate } = runFilter(
      planter,
      steps([watering('2026-07-15', 9, '18:05', true), empty]),
      DEFAULT_ASSUMED,
    );
    const on = (isEstablishing: boolean) =>
      adviseWatering(
        estimate,
        planter,
        {
          check: { method: 'level', share: 0 },
          isDueAgainBeforeNextRound: false,
          isEstablishing,
          measure: can,
        },
        DEFAULT_ASSUMED,
      );
    expect(on(true)).toMatchObject({ isWanted: false, because: 'enough', into: 'top' });
    expect(on(false)).toMatchObject({ isWanted: true, because: 'felt-dry', into: 'store' });
    expect(on(false).litres.likely).toBeGreaterThan(8);
  });

  it('the range of litres is in order', () => {
    const { litres } = advise(2);
    expect(litres.low).toBeLessThanOrEqual(litres.likely);
    expect(litres.likely).toBeLessThanOrEqual(litres.high);
  });
});

describe('a look that nobody would have expected', () => {
  const can = { kind: 'can', litres: 9 } as const;
  const after = (events: readonly WaterEvent[]) =>
    runFilter(ONE_BAG, steps(events), DEFAULT_ASSUMED).estimate;
  const dry = [watering('2026-07-05', 9, '18:05', true), check('2026-07-12', 2), check('2026-07-14', 1)];
  const wet = [watering('2026-07-16', 9, '17:30', true)];

  it('wet where it was thought dust-dry: somebody watered, and it gets no drink', () => {
    expect(after(dry).share.high).toBeLessThan(0.2);
    const estimate = after([...dry, check('2026-07-16', 5)]);
    expect(estimate.share.likely).toBeGreaterThan(0.75);
    const advice = adviseWatering(
      estimate,
      ONE_BAG,
      {
        check: { method: 'finger', grade: 5 },
        isDueAgainBeforeNextRound: false,
        isEstablishing: false,
        measure: can,
      },
      DEFAULT_ASSUMED,
    );
    expect(advice.isWanted).toBe(false);
  });

  it('dust-dry an hour after it ran through: it is taken at its word too', () => {
    expect(after(wet).share.low).toBeGreaterThan(0.5);
    expect(after([...wet, check('2026-07-16', 1, '18:10')]).share.likely).toBeLessThan(0.3);
  });

  it('says nothing of the bag’s use, which nobody saw', () => {
    const [before, later] = [after(dry), after([...dry, check('2026-07-16', 5)])];
    expect(Math.abs(Math.log(later.useMultiplier.likely / before.useMultiplier.likely))).toBeLessThan(0.15);
  });

  it('a look that was to be expected lets go of nothing: the bag is known better after it', () => {
    const expected = after([...dry, check('2026-07-16', 1)]);
    expect(expected.share.high - expected.share.low).toBeLessThanOrEqual(
      after(dry).share.high - after(dry).share.low + 0.02,
    );
  });
});
