import { describe, expect, it } from 'vitest';
import { chanceFrom, CLIMATES, HiddenBag, hiddenWeather } from './index.ts';

const make = {
  availableLitres: 8,
  canopySquareMetres: 0.5,
  weeksToFull: 10,
  ageDays: 80,
  isCovered: true,
  openSquareMetres: 0.1,
  breathes: true,
};
const bright = { day: '2026-07-10', minCelsius: 14, maxCelsius: 28, rainMillimetres: 0, clearness: 0.9 };

describe('chance', () => {
  it('is the same for the same seed, and even', () => {
    const a = chanceFrom(5);
    const b = chanceFrom(5);
    const draws = Array.from({ length: 4000 }, () => a.next());
    expect(draws.slice(0, 20)).toEqual(Array.from({ length: 20 }, () => b.next()));
    expect(draws.reduce((x, y) => x + y, 0) / draws.length).toBeCloseTo(0.5, 1);
  });

  it('has normal draws of mean 0 and spread 1', () => {
    const chance = chanceFrom(6);
    const draws = Array.from({ length: 6000 }, () => chance.normal());
    const mean = draws.reduce((x, y) => x + y, 0) / draws.length;
    const variance = draws.reduce((x, y) => x + (y - mean) ** 2, 0) / draws.length;
    expect(Math.abs(mean)).toBeLessThan(0.05);
    expect(Math.abs(variance - 1)).toBeLessThan(0.08);
  });
});

describe('hidden weather', () => {
  it('has nights colder than days, no negative rain, and a hot end', () => {
    const days = hiddenWeather(chanceFrom(9), '2026-05-17', 61, CLIMATES.boatyard, 6);
    for (const day of days) {
      expect(day.minCelsius).toBeLessThan(day.maxCelsius);
      expect(day.rainMillimetres).toBeGreaterThanOrEqual(0);
    }
    const mean = (from: number, to: number) =>
      days.slice(from, to).reduce((s, d) => s + d.maxCelsius, 0) / (to - from);
    expect(mean(58, 61)).toBeGreaterThan(mean(30, 50) + 2);
  });
});

describe('a hidden bag', () => {
  it('dries in the sun, and faster with more leaves', () => {
    const after = (canopy: number) => {
      const bag = new HiddenBag(chanceFrom(3), { ...make, canopySquareMetres: canopy });
      bag.pass(bright, 0, 18);
      return bag.share;
    };
    expect(after(0.6)).toBeLessThan(after(0.1));
    expect(after(0.1)).toBeLessThan(0.8);
  });

  it('accounts for every litre poured: kept or run through', () => {
    const bag = new HiddenBag(chanceFrom(3), make);
    const before = bag.share * 8;
    const ran = bag.pour(6);
    expect(bag.share * 8 - before + ran).toBeCloseTo(6, 9);
    expect(bag.share).toBeLessThanOrEqual(1 + 1e-9);
    expect(bag.pour(3)).toBeGreaterThan(2.9);
  });

  it('lets water past when it is dry', () => {
    const bag = new HiddenBag(chanceFrom(3), { ...make, canopySquareMetres: 2 });
    for (let day = 0; day < 6; day++) bag.pass(bright, 0, 24);
    expect(bag.share).toBeLessThan(0.22);
    expect(bag.pour(1)).toBeCloseTo(0.3, 9);
  });

  it('feels like what it holds, give or take a grade', () => {
    const bag = new HiddenBag(chanceFrom(3), make);
    bag.pour(20);
    const grades = Array.from({ length: 40 }, () => bag.finger());
    expect(Math.min(...grades)).toBeGreaterThanOrEqual(4);
  });

  it('a copy goes the same way and leaves the first as it was', () => {
    const bag = new HiddenBag(chanceFrom(3), make);
    const before = bag.share;
    const other = bag.copy();
    other.pass(bright, 0, 24);
    expect(bag.share).toBe(before);
    bag.pass(bright, 0, 24);
    expect(bag.share).toBe(other.share);
    expect(bag.finger()).toBe(other.finger());
  });

  it('drinks from its store, which catches what ran through', () => {
    const store = { litres: 6, perHour: 0.2, catchesDrained: true };
    const dry = new HiddenBag(chanceFrom(3), make);
    const wet = new HiddenBag(chanceFrom(3), { ...make, store });
    for (const bag of [dry, wet]) for (let day = 0; day < 2; day++) bag.pass(bright, 0, 24);
    expect(wet.share).toBeGreaterThan(dry.share);
    expect(wet.level).toBeLessThan(0.5);
    const before = wet.level;
    wet.pour(20);
    expect(wet.level).toBeGreaterThan(before);
    expect(wet.fillStore(50)).toBeGreaterThan(43);
    expect(wet.level).toBeCloseTo(1, 9);
  });

  it('weighs a kilogram less for every litre less, and a probe reads from dry to full', () => {
    const bag = new HiddenBag(chanceFrom(3), make);
    bag.pour(20);
    const mean = (read: () => number) => Array.from({ length: 300 }, read).reduce((a, b) => a + b, 0) / 300;
    const full = mean(() => bag.weigh(30));
    expect(full).toBeCloseTo(30, 0);
    expect(mean(() => bag.probe(10, 90))).toBeGreaterThan(80);
    for (let day = 0; day < 6; day++) bag.pass(bright, 0, 24);
    expect(full - mean(() => bag.weigh(30))).toBeCloseTo((1 - bag.share) * 8, 0);
    expect(mean(() => bag.probe(10, 90))).toBeLessThan(40);
  });
});
