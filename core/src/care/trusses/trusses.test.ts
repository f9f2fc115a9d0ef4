import { describe, expect, it } from 'vitest';
import { stagesSeen } from '../../plants/stages.ts';
import type { Entry, TrussStage } from '../../records/index.ts';
import { learntRipeDays, ripeDays } from './ripe-days.ts';
import { nextTrussSteps, ripeSpan, trussesOf } from './trusses.ts';

const plant = { stationId: 'stn_truss001', plantId: 'pla_truss001' };
const noon = (day: string) => `${day}T12:00:00.000+01:00`;
const truss = (number: number, stage: TrussStage, day: string, count?: number): Entry => ({
  kind: 'truss',
  id: `ent_truss${number}${stage}`,
  at: noon(day),
  recordedAt: noon(day),
  containerId: 'con_truss001',
  ...plant,
  number,
  stage,
  ...(count === undefined ? {} : { count }),
});
const here = [
  truss(1, 'flowering', '2026-06-20'),
  truss(1, 'set', '2026-07-01', 6),
  truss(2, 'flowering', '2026-07-04'),
];

describe('a plant’s trusses', () => {
  it('are told lowest first, with the days on which each stage was seen', () => {
    expect(trussesOf(here, plant.plantId)).toMatchObject([
      { number: 1, stage: 'set', floweredOn: '2026-06-20', setOn: '2026-07-01', count: 6 },
      { number: 2, stage: 'flowering', setOn: undefined },
    ]);
    expect(trussesOf(here, 'pla_another1')).toEqual([]);
  });

  it('offer what is likely seen next: set, picked, and the next in flower', () => {
    expect(nextTrussSteps(trussesOf(here, plant.plantId))).toEqual([
      { number: 2, stage: 'set' },
      { number: 1, stage: 'picked' },
      { number: 3, stage: 'flowering' },
    ]);
  });

  it('say how far the plant is: flowers, set fruit, ripe', () => {
    const seen = (live: readonly Entry[]) => stagesSeen(live, plant, '2026-05-01', undefined).seen;
    expect(seen(here)).toEqual({ flowers: '2026-06-20', set: '2026-07-01' });
    expect(seen([...here, truss(1, 'picked', '2026-08-20')])).toMatchObject({ ripe: '2026-08-20' });
  });
});

describe('when a truss is ripe', () => {
  const [first, second] = trussesOf(here, plant.plantId);
  if (!first || !second) throw new Error('two trusses were expected');

  it('large fruit 45 to 60 days after it set, small fruit 35 to 45', () => {
    expect(ripeSpan(first, ripeDays('tomato', { fruitGrams: 120 }), 10)).toMatchObject({
      from: '2026-08-15',
      to: '2026-08-30',
      by: 'set',
    });
    expect(ripeSpan(first, ripeDays('tomato', { fruitGrams: 15 }), 10)).toMatchObject({
      from: '2026-08-05',
      to: '2026-08-15',
    });
  });

  it('from flowers it is less sure, and once picked nothing is said', () => {
    const [byFlowers, bySet] = [second, first].map((t) =>
      ripeSpan(t, ripeDays('tomato', { fruitGrams: 120 }), 10),
    );
    const days = (span: typeof bySet) => Date.parse(span?.to ?? '') - Date.parse(span?.from ?? '');
    expect(byFlowers?.by).toBe('flowers');
    expect(days(byFlowers)).toBeGreaterThan(days(bySet));
    expect(ripeSpan({ ...first, pickedOn: '2026-08-20' }, ripeDays('tomato', {}), 10)).toBeUndefined();
  });

  it('as the grower says of the variety, and sooner the more of the own trusses were sooner', () => {
    expect(ripeDays('tomato', { setToRipe: { low: 40, high: 44 } })).toEqual({
      low: 40,
      likely: 42,
      high: 44,
    });
    const usual = ripeDays('tomato', { fruitGrams: 120 });
    const some = learntRipeDays(usual, [42]);
    const many = learntRipeDays(
      usual,
      Array.from({ length: 12 }, () => 42),
    );
    expect(learntRipeDays(usual, [])).toEqual(usual);
    expect(some.likely).toBeLessThan(usual.likely);
    expect(many.likely).toBe(44);
    expect(many.high - many.low).toBeLessThan(some.high - some.low);
  });
});
