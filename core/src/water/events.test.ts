import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED, resolveAssumed } from '../assumed/index.ts';
import { at, watering, check, ONE_BAG as bag, steps } from '../../test/one-bag.ts';
import { runFilter, type WaterEvent } from './index.ts';

const UNTIL = at('2026-07-03', '18:40');
const after = (events: readonly WaterEvent[], own: Partial<Record<string, number>> = {}) => {
  const { share, contradictions } = runFilter(bag, steps(events, UNTIL), resolveAssumed(own)).estimate;
  return { ...share, width: share.high - share.low, contradictions };
};

describe('looks within an hour', () => {
  it('keeps two looks that contradict each other, says so, and is less sure than with either alone', () => {
    const dry = check('2026-07-03', 1, '18:00');
    const wet = check('2026-07-03', 5, '18:20');
    const both = after([dry, wet]);
    expect(both.contradictions).toEqual([[dry.id, wet.id]]);
    expect(both.width).toBeGreaterThan(after([dry]).width);
    expect(both.width).toBeGreaterThan(after([wet]).width);
    // a grade apart, or an hour and more, or with a watering between them, they agree well enough
    expect(after([dry, check('2026-07-03', 2, '18:20')]).contradictions).toEqual([]);
    expect(after([check('2026-07-03', 1, '17:00'), wet]).contradictions).toEqual([]);
    expect(after([dry, watering('2026-07-03', 6, '18:10'), wet]).contradictions).toEqual([]);
  });

  it('survives looks that contradict each other', () => {
    const { estimate } = runFilter(
      bag,
      steps([check('2026-07-03', 5, '18:00'), check('2026-07-03', 1, '18:01')]),
      DEFAULT_ASSUMED,
    );
    expect(Number.isFinite(estimate.share.likely)).toBe(true);
  });
});

describe('what is assumed of looks', () => {
  it('says how much two that contradict each other leave in doubt', () => {
    const both = [check('2026-07-03', 1, '18:00'), check('2026-07-03', 5, '18:20')];
    const widthFor = (contradictionForgetting: number) => after(both, { contradictionForgetting }).width;
    expect(widthFor(0.8)).toBeGreaterThan(widthFor(0.2));
  });

  it('says what a bag is taken for before it is looked at', () => {
    const moist = after([], { startWater: 0.9, startSpread: 0.1 });
    const dry = after([], { startWater: 0.4, startSpread: 0.1 });
    expect(moist.likely).toBeGreaterThan(dry.likely);
  });

  it('says when one is a surprise, and how far it then decides', () => {
    // full and run through at six, and bone dry by half past: something happened that nobody wrote down
    const odd = [watering('2026-07-03', 12, '18:00', true), check('2026-07-03', 1, '18:30')];
    const trusting = after(odd, { surprise: 0.05, surpriseForgetting: 0.6 });
    const wary = after(odd, { surprise: 0.001, surpriseForgetting: 0.1 });
    expect(trusting.likely).toBeLessThan(wary.likely);
  });
});

describe('a look at one plant of several', () => {
  const felt = (grade: number, stationId: string, hour: string): WaterEvent => ({
    ...(check('2026-07-03', grade, hour) as Extract<WaterEvent, { kind: 'check' }>),
    stationId,
  });
  const left = felt(1, 'stn_left', '18:00');
  const right = felt(4, 'stn_right', '18:05');

  it('may differ from the next plant: the bag lies between, and nothing is let go', () => {
    const both = after([left, right]);
    expect(both.contradictions).toEqual([]);
    expect(both.likely).toBeGreaterThan(after([left]).likely);
    expect(both.likely).toBeLessThan(after([right]).likely);
    expect(both.width).toBeLessThan(
      after([check('2026-07-03', 1, '18:00'), check('2026-07-03', 4, '18:05')]).width,
    );
  });

  it('says less of the bag than a look at the whole of it', () => {
    for (const grade of [2, 3, 4])
      expect(after([felt(grade, 'stn_left', '18:00')]).width).toBeGreaterThan(
        after([check('2026-07-03', grade, '18:00')]).width,
      );
  });

  it('contradicts another at the same plant', () => {
    expect(after([left, felt(4, 'stn_left', '18:05')]).contradictions).toHaveLength(1);
  });
});
