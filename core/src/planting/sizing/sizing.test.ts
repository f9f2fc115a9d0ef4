import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import { CROPS, cropOf, habitOf } from '../../plants/index.ts';
import { fitOf, hotDay, keptBy, pillowStations, plantsFor, spanFor, type Fit } from './advice.ts';

const tall = habitOf('tomato', 'tall');
const pepper = habitOf('pepper', 'bush');

describe('sizes as growers judge them', () => {
  it.each([
    [tall, 3, 'too-small'],
    [tall, 5, 'borderline'],
    // a label of 18 L is nearly five gallons: borderline all the same
    [tall, 18 / 3.785412, 'borderline'],
    [tall, 7, 'works'],
    [tall, 10, 'easy'],
    [tall, 20, 'easy'],
    [tall, 30, 'roomy'],
    [pepper, 5, 'works'],
    [habitOf('tomato', 'micro'), 3, 'easy'],
    [habitOf('aubergine', 'bush'), 5, 'works'],
  ] as const)('%#: %d gallons', (habit, gallons, fit) => {
    expect(fitOf(gallons, spanFor(habit))).toBe(fit);
  });

  it('an exception lets a bag be one size smaller, and two do not add up', () => {
    expect(fitOf(5, spanFor(tall, ['carried']))).toBe('works');
    expect(spanFor(tall, ['carried', 'short-late'])).toEqual(spanFor(tall, ['carried']));
  });

  it('schools aim for different parts of the span', () => {
    expect(spanFor(tall, [], 'bigger').recommended).toEqual({ low: 10, high: 20 });
    expect(spanFor(tall, [], 'smaller').recommended).toEqual({ low: 7, high: 10 });
  });

  it('a bigger bag never fits worse until it is roomy, for every habit', () => {
    const order: readonly Fit[] = ['too-small', 'borderline', 'works', 'easy', 'roomy'];
    const habits = CROPS.flatMap((c) => c.habits);
    fc.assert(
      fc.property(
        fc.constantFrom(...habits),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        (habit, gallons, more) => {
          const span = spanFor(habit);
          expect(order.indexOf(fitOf(gallons + more, span))).toBeGreaterThanOrEqual(
            order.indexOf(fitOf(gallons, span)),
          );
        },
      ),
    );
  });

  it('two peppers go in a ten, one in a five, and never none', () => {
    expect(plantsFor(10, pepper)).toBe(2);
    expect(plantsFor(5, pepper)).toBe(1);
    expect(plantsFor(1, tall)).toBe(1);
  });

  it('three plants to a pillow bag, two bigger ones or in a small bag', () => {
    expect(pillowStations(42, { canopySquareMetres: 0.28 }, DEFAULT_ASSUMED)).toBe(3);
    expect(pillowStations(42, { canopySquareMetres: 0.6 }, DEFAULT_ASSUMED)).toBe(2);
    expect(pillowStations(30, { canopySquareMetres: 0.28 }, DEFAULT_ASSUMED)).toBe(2);
    expect(pillowStations(8, { canopySquareMetres: 0.6 }, DEFAULT_ASSUMED)).toBe(1);
  });
});

describe('a hot day', () => {
  const bag = {
    availableLitres: 9,
    topSquareMetres: 0.11,
    breathingSquareMetres: 0.3,
    mulchMillimetres: 50,
    underCover: false,
    shade: 0,
    stores: [],
    drips: [],
  };
  const plant = { crop: cropOf('tomato'), canopySquareMetres: 0.6 };

  it('by hand: a grown tall tomato uses Kc × ETo × canopy and what the bag evaporates', () => {
    const day = hotDay(bag, [plant], DEFAULT_ASSUMED);
    // 1.15 × 6 × 0.6 = 4.14 L by the leaves; sides 0.3 × 0.3 × 6 = 0.54 L
    expect(day.usedLitres.likely).toBeGreaterThan(4.14 + 0.54);
    expect(day.usedLitres.likely).toBeLessThan(4.14 + 0.54 + 0.25);
    expect(day.givesLitres).toBeCloseTo(9 * 0.67, 9);
    expect(day.waterings.likely).toBeCloseTo(day.usedLitres.likely / day.givesLitres, 9);
  });

  it('asks less of a covered bag, and more of one with more plants or less mix', () => {
    const base = hotDay(bag, [plant], DEFAULT_ASSUMED).waterings.likely;
    expect(hotDay({ ...bag, underCover: true }, [plant], DEFAULT_ASSUMED).waterings.likely).toBeLessThan(
      base,
    );
    expect(hotDay(bag, [plant, plant], DEFAULT_ASSUMED).waterings.likely).toBeGreaterThan(base);
    expect(hotDay({ ...bag, availableLitres: 4 }, [plant], DEFAULT_ASSUMED).waterings.likely).toBeGreaterThan(
      base,
    );
  });

  it('is kept by enough rounds', () => {
    const waterings = { low: 0.6, likely: 0.9, high: 1.3 };
    expect(keptBy(waterings, 2)).toBe('kept');
    expect(keptBy(waterings, 1)).toBe('mostly');
    expect(keptBy(waterings, 0.5)).toBe('not-kept');
  });
});
