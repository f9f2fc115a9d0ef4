import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canopySquareMetres, expectedHeightMillimetres, grownShare, habitFigures } from './growth.ts';
import { COMPANION_COVER } from './companions.ts';
import { COMPANION_SIZES } from '../../records/index.ts';
import { CROPS, cropOf, habitOf } from './index.ts';

const HABITS = CROPS.flatMap((crop) =>
  crop.habits.map((habit) => [`${crop.id}, ${habit.id}`, crop, habit] as const),
);

describe('crops as data', () => {
  // FAO-56 Table 12 (Kc mid and end) and Table 22 (p); for tomato the end is the upper of 0.70 to 0.90's middle
  it.each([
    ['tomato', 1.15, 0.8, 0.4],
    ['pepper', 1.05, 0.9, 0.3],
    ['aubergine', 1.05, 0.9, 0.45],
    ['cucumber', 1.0, 0.75, 0.5],
  ])('%s has the coefficients of FAO-56', (id, kcMid, kcEnd, depletion) => {
    expect(cropOf(id)).toMatchObject({ kcMid, kcEnd, depletion });
  });

  it('only the stem of a tomato roots when it is buried', () => {
    expect(CROPS.filter(({ depth }) => depth === 'stem-roots').map(({ id }) => id)).toEqual(['tomato']);
  });

  it.each(CROPS.map((crop) => [crop.id, crop] as const))('%s hangs together', (_, crop) => {
    const { ball, sowing, nightCelsius, fleeceCelsius, seedlingWeeks } = crop;
    expect(ball.heightMillimetres).toBeGreaterThan(sowing.depthMillimetres);
    expect(sowing.daysToEmerge.low).toBeLessThan(sowing.daysToEmerge.high);
    // it is put out when nights are warm, and covered long before they harm it
    expect(fleeceCelsius.value).toBeLessThan(nightCelsius.value);
    expect(sowing.mixCelsius).toBeGreaterThan(nightCelsius.value);
    // a seedling takes longer than its seed takes to show
    expect(seedlingWeeks.low * 7).toBeGreaterThan(sowing.daysToEmerge.high);
    expect(new Set(crop.habits.map(({ id }) => id)).size).toBe(crop.habits.length);
  });

  it.each(HABITS)('%s: every figure lies within its own doubt', (_, _crop, habit) => {
    const figures = [
      habit.fullHeightMillimetres,
      habit.canopySquareMetres,
      habit.weeksToFull,
      habit.daysToPicking,
      habit.weeksOfPicking,
    ];
    for (const { value, low, high, unit, reason } of figures) {
      expect(low).toBeLessThan(value);
      expect(value).toBeLessThan(high);
      expect(unit).not.toBe('');
      expect(reason).toMatch(/\.$/);
    }
  });

  it.each(HABITS)('%s: sizes of bag go from borderline to more than is of use', (_, _crop, { bagSizes }) => {
    expect(bagSizes.borderline).toBeLessThanOrEqual(bagSizes.from);
    expect(bagSizes.from).toBeLessThanOrEqual(bagSizes.ease);
    expect(bagSizes.ease).toBeLessThan(bagSizes.most);
  });

  it('a larger plant wants a larger bag, habit by habit of one crop', () => {
    for (const { habits } of CROPS)
      for (const a of habits)
        for (const b of habits)
          if (a.fullHeightMillimetres.value > 2 * b.fullHeightMillimetres.value)
            expect(a.bagSizes.ease).toBeGreaterThanOrEqual(b.bagSizes.ease);
  });

  it('one that is not known is worked out as another and says so', () => {
    expect(cropOf('turnip')).toMatchObject({ id: 'turnip', name: 'Unknown crop' });
    expect(habitOf('pepper', 'climbing')).toMatchObject({ id: 'climbing', name: 'Unknown growth' });
    expect(habitOf('cucumber', 'climbing').name).toBe('Climbing');
  });

  it('what stands beside a crop shades more the larger it is', () => {
    const covers = COMPANION_SIZES.map((size) => COMPANION_COVER[size]);
    expect(covers).toEqual([...covers].sort((a, b) => a - b));
    expect(covers[0]).toBe(0);
  });
});

describe('growth', () => {
  const weeks = fc.double({ min: 3, max: 20, noNaN: true });

  it('has done half at 0.55 of the way and nine tenths in full time, whatever the time', () => {
    fc.assert(
      fc.property(weeks, (full) => {
        expect(grownShare(full * 7 * 0.55, full)).toBeCloseTo(0.5, 9);
        expect(grownShare(full * 7, full)).toBeCloseTo(0.9, 9);
      }),
    );
  });

  it('never goes back, and is next to nothing for seed just sown', () => {
    fc.assert(
      fc.property(weeks, fc.double({ min: 0, max: 200, noNaN: true }), fc.nat(60), (full, day, more) => {
        expect(grownShare(day + more, full)).toBeGreaterThanOrEqual(grownShare(day, full));
      }),
    );
    expect(grownShare(-49, 8)).toBeLessThan(0.005);
  });

  it('shade is the grown plant’s times its growth', () => {
    const habit = { canopySquareMetres: 0.6, weeksToFull: 11 };
    for (const day of [0, 30, 77, 150])
      expect(canopySquareMetres(habit, day)).toBeCloseTo(0.6 * grownShare(day, 11), 12);
  });

  it.each(HABITS)('%s grows from its height at planting towards its full height', (_, _crop, habit) => {
    const figures = {
      fullHeightMillimetres: habit.fullHeightMillimetres.value,
      weeksToFull: habit.weeksToFull.value,
    };
    const heights = [0, 14, 40, 80, 140].map((day) => expectedHeightMillimetres(figures, 150, day));
    expect(heights[0]).toBeCloseTo(150, 6);
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    expect(heights.at(-1)).toBeLessThanOrEqual(figures.fullHeightMillimetres * 1.001);
    expect(heights.at(-1)).toBeGreaterThan(figures.fullHeightMillimetres * 0.9);
  });
});

describe('a grower’s own figures', () => {
  const tall = habitOf('tomato', cropOf('tomato').habits[0]?.id ?? '');

  it('take the place of a prior within its range, and only there', () => {
    const { low, high, value } = tall.weeksToFull;
    const key = `tomato.${tall.id}.weeksToFull`;
    expect(habitFigures('tomato', tall, { [key]: low }).weeksToFull).toBe(low);
    expect(habitFigures('tomato', tall, { [key]: high + 1 }).weeksToFull).toBe(value);
    expect(habitFigures('tomato', tall, { [key]: low - 1 }).weeksToFull).toBe(value);
    expect(habitFigures('tomato', tall, { [`pepper.${tall.id}.weeksToFull`]: low }).weeksToFull).toBe(value);
  });

  it('leave the others as they are', () => {
    const own = habitFigures('tomato', tall, {
      [`tomato.${tall.id}.canopySquareMetres`]: tall.canopySquareMetres.low,
    });
    expect(own.canopySquareMetres).toBe(tall.canopySquareMetres.low);
    expect(own.fullHeightMillimetres).toBe(tall.fullHeightMillimetres.value);
  });
});
