import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/index.ts';
import type { Batch, Container, Entry, Plant, Variety } from '../records/index.ts';
import { varietySchema } from '../records/index.ts';
import { batchCourse, emergenceDays } from './batches.ts';
import { CROPS, cropOf, habitOf } from './crops/index.ts';
import { habitFigures } from './crops/growth.ts';
import { occupantsOf } from './occupants.ts';
import { STARTER_VARIETIES, varietiesIn } from './starter-varieties.ts';
import { stagesSeen } from './stages.ts';
import { daysToGreenOf, habitOfPlanned, habitOfVariety } from './varieties.ts';

const STAMPS = { createdAt: '2026-01-01T12:00:00.000+00:00', changedAt: '2026-01-01T12:00:00.000+00:00' };
const bush = { cropId: 'tomato', habitId: 'bush' };
const variety = (facts: Partial<Variety>): Variety => ({
  id: 'var_aaaaaa',
  name: 'Ned',
  ...bush,
  ...STAMPS,
  ...facts,
});

describe('how a variety grows', () => {
  it('is as usual for its growth where nothing is known of it', () => {
    expect(habitOfVariety(bush)).toBe(habitOf('tomato', 'bush'));
  });

  it('is what is known of it, before what was set for all of its growth', () => {
    const habit = habitOfVariety({ ...bush, heightMillimetres: 600 });
    const own = { 'tomato.bush.fullHeightMillimetres': 1300, 'tomato.bush.weeksToFull': 9 };
    expect(habitFigures('tomato', habit, own)).toMatchObject({ fullHeightMillimetres: 600, weeksToFull: 9 });
    // a smaller plant casts less shade
    expect(habit.canopySquareMetres.value).toBeLessThan(habitOf('tomato', 'bush').canopySquareMetres.value);
  });

  it('wants a bag by its height: a class smaller or bigger where it leaves the usual range, else as usual', () => {
    const tall = { cropId: 'tomato', habitId: 'tall' };
    const sizesAt = (heightMillimetres: number) => habitOfVariety({ ...tall, heightMillimetres }).bagSizes;
    const usual = habitOf('tomato', 'tall');
    expect(sizesAt(usual.fullHeightMillimetres.low)).toEqual(usual.bagSizes);
    expect(sizesAt(usual.fullHeightMillimetres.high)).toEqual(usual.bagSizes);
    expect(sizesAt(1200)).toEqual({ borderline: 3, from: 5, ease: 7, most: 15 });
    expect(sizesAt(3500)).toEqual({ borderline: 7, from: 10, ease: 15, most: 20 });
  });

  it('counts its days from sowing or from planting, whichever its packet says', () => {
    const days = { low: 100, high: 100, from: 'sowing' as const };
    const age = { sownOn: '2026-03-01', ageFrom: '2026-04-20' };
    expect(habitOfVariety({ ...bush, daysToRipe: days }, age).daysToPicking.value).toBe(50);
    // sown on no known day: a usual young plant is seven weeks old
    expect(habitOfVariety({ ...bush, daysToRipe: days }).daysToPicking.value).toBe(51);
    expect(
      habitOfVariety({ ...bush, daysToRipe: { ...days, from: 'planting' } }, age).daysToPicking.value,
    ).toBe(100);
  });

  it('bears as long as it is said to, whatever its growth', () => {
    expect(habitOfVariety({ ...bush, bearing: 'all-season' }).weeksOfPicking.value).toBe(12);
    expect(
      habitOfVariety({ cropId: 'tomato', habitId: 'tall', bearing: 'one-flush' }).weeksOfPicking.value,
    ).toBe(4);
  });

  it('is green before it is ripe, by its own days where they are known', () => {
    for (const { id, habits } of CROPS)
      for (const habit of habits)
        expect(daysToGreenOf(id, habit)).toBeLessThanOrEqual(habit.daysToPicking.value);
    const own = habitOfVariety({ ...bush, daysToGreen: { low: 33, high: 33, from: 'planting' } });
    expect(daysToGreenOf('tomato', own)).toBe(33);
  });

  it('of what is planned is found by its name, in whatever letters', () => {
    const own = [variety({ name: 'Old Ned', daysToRipe: { low: 40, high: 40, from: 'planting' } })];
    expect(habitOfPlanned(own, { ...bush, varietyName: 'old ned' }).daysToPicking.value).toBe(40);
    expect(habitOfPlanned(own, { ...bush, varietyName: 'another' })).toBe(habitOf('tomato', 'bush'));
  });
});

describe('varieties to begin with', () => {
  it('read as records, and each has a growth of its crop', () => {
    for (const starter of STARTER_VARIETIES) {
      expect(varietySchema.safeParse({ ...starter, ...STAMPS, id: 'var_aaaaaa' }).error).toBeUndefined();
      expect(cropOf(starter.cropId).habits.map((h) => h.id)).toContain(starter.habitId);
    }
  });

  it('give way to the grower’s own of the same name', () => {
    const [first] = STARTER_VARIETIES;
    const own = variety({ ...first, colour: 'as mine is' });
    const all = varietiesIn([own]);
    expect(all.filter((v) => v.name === first?.name)).toEqual([own]);
    expect(all).toHaveLength(STARTER_VARIETIES.length);
  });

  it.each([
    [5, 5],
    [500, 500],
    [70, 60],
  ])('days to a crop of %i to %i are no days to a crop', (low, high) => {
    const daysToRipe = { low, high, from: 'planting' };
    expect(varietySchema.safeParse({ ...variety({}), daysToRipe }).success).toBe(false);
  });
});

const container = {
  id: 'con_aaaaaa',
  stations: [{ id: 'stn_aaaaaa' }, { id: 'stn_bbbbbb' }],
} as unknown as Container;
const plants: readonly Plant[] = [
  { id: 'pla_aaaaaa', varietyId: 'var_aaaaaa', name: 'Ada', batchId: 'bat_aaaaaa', ...STAMPS },
  { id: 'pla_bbbbbb', varietyId: 'var_aaaaaa', ...STAMPS },
];
const batches: readonly Batch[] = [
  { id: 'bat_aaaaaa', varietyId: 'var_aaaaaa', sownOn: '2026-03-10', ...STAMPS },
];
const garden = { plants, varieties: [variety({})], batches };
let count = 0;
const entry = (day: string, facts: object): Entry => {
  const at = `${day}T12:00:00.000+01:00`;
  return {
    id: `ent_e${String(count++).padStart(5, '0')}`,
    at,
    recordedAt: at,
    containerId: 'con_aaaaaa',
    ...facts,
  } as Entry;
};
const planted = (day: string, station: 'a' | 'b', more: object = {}) =>
  entry(day, {
    kind: 'planted',
    stationId: `stn_${station.repeat(6)}`,
    plantId: `pla_${station.repeat(6)}`,
    seedling: { stemMillimetres: 200, ballMillimetres: 90 },
    ...more,
  });

describe('who stands in a bag', () => {
  it('knows when each was sown, and is as old as it was planted', () => {
    const [ada, other] = occupantsOf(
      container,
      [planted('2026-05-01', 'a'), planted('2026-05-02', 'b')],
      garden,
    );
    expect(ada).toMatchObject({ sownOn: '2026-03-10', ageFrom: '2026-05-01' });
    expect(other?.sownOn).toBeUndefined();
  });

  it('counts seed sown in place from when it would be a young plant, later if it came up late', () => {
    const sown = planted('2026-05-01', 'a', { plantingMethodId: 'seed', seeds: 3 });
    const usual = addDays('2026-05-01', 49);
    expect(occupantsOf(container, [sown], garden)[0]).toMatchObject({ sownOn: '2026-05-01', ageFrom: usual });
    // up after fifteen days, where nine are usual
    const up = entry('2026-05-16', { kind: 'stage', stage: 'up' });
    expect(occupantsOf(container, [sown, up], garden)[0]?.ageFrom).toBe(addDays(usual, 6));
  });

  it('keeps the age of a plant that was moved here, and says why it left there', () => {
    const there = { ...container, id: 'con_bbbbbb' } as Container;
    const live = [
      planted('2026-05-01', 'a'),
      entry('2026-06-01', { kind: 'cleared', stationId: 'stn_aaaaaa', plantId: 'pla_aaaaaa', why: 'moved' }),
      { ...planted('2026-06-01', 'a', { isMoved: true }), containerId: 'con_bbbbbb' } as Entry,
    ];
    expect(occupantsOf(container, live, garden)[0]).toMatchObject({
      clearedOn: '2026-06-01',
      leftBecause: 'moved',
    });
    expect(occupantsOf(there, live, garden)[0]).toMatchObject({
      plantedOn: '2026-06-01',
      ageFrom: '2026-05-01',
      clearedOn: undefined,
    });
  });
});

describe('stages', () => {
  const ada = { stationId: 'stn_aaaaaa', plantId: 'pla_aaaaaa' };
  const seenOf = (live: readonly Entry[]) => stagesSeen(live, ada, '2026-05-01', undefined);

  it('seen at the whole bag or at a plant are the plant’s; those of another are not', () => {
    const live = [
      entry('2026-06-01', { kind: 'stage', stage: 'flowers' }),
      entry('2026-06-10', { kind: 'stage', stage: 'set', plantId: 'pla_bbbbbb', stationId: 'stn_bbbbbb' }),
    ];
    expect(seenOf(live).seen).toEqual({ flowers: '2026-06-01' });
  });

  it('looked for and not there are not seen, until they are', () => {
    const not = entry('2026-06-01', { kind: 'stage', stage: 'flowers', isNotYet: true });
    expect(seenOf([not])).toEqual({ seen: {}, notYet: { flowers: '2026-06-01' } });
    const then = entry('2026-06-09', { kind: 'stage', stage: 'flowers' });
    expect(seenOf([not, then])).toEqual({ seen: { flowers: '2026-06-09' }, notYet: {} });
    // seen by mistake
    const mistaken = entry('2026-06-12', { kind: 'stage', stage: 'flowers', isNotYet: true });
    expect(seenOf([not, then, mistaken]).seen).toEqual({});
  });

  it('of a plant that stood there before are not its own, and a picking says that fruit was ripe', () => {
    const live = [
      entry('2026-04-20', { kind: 'stage', stage: 'flowers' }),
      entry('2026-07-20', { kind: 'picking', kilograms: 0.2 }),
      entry('2026-07-22', { kind: 'picking', kilograms: 0.2 }),
    ];
    expect(seenOf(live)).toEqual({ seen: { ripe: '2026-07-20' }, notYet: {} });
  });
});

describe('plants that were sown together', () => {
  it('come up sooner where it is warmer, and not at all in the cold', () => {
    for (const { sowing } of CROPS) {
      fc.assert(
        fc.property(fc.double({ min: 8, max: 34, noNaN: true }), (celsius) => {
          const cool = emergenceDays(sowing, celsius);
          const warm = emergenceDays(sowing, celsius + 1);
          if (cool && warm) expect(warm.low).toBeLessThanOrEqual(cool.low);
        }),
      );
      expect(emergenceDays(sowing, sowing.mixCelsius - 6)).toBeUndefined();
      expect(emergenceDays(sowing)).toEqual(sowing.daysToEmerge);
    }
  });

  it('are as many as came up, less those planted and given away', () => {
    const [batch] = batches;
    if (!batch) throw new Error('there is one');
    const course = batchCourse({ ...batch, seeds: 8, cameUp: 6, givenAway: 2 }, cropOf('tomato'), plants);
    expect(course).toMatchObject({ planted: 1, left: 3, ready: { from: '2026-04-14', to: '2026-05-12' } });
    expect(batchCourse(batch, cropOf('tomato'), plants).left).toBeUndefined();
  });
});
