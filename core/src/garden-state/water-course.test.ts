import { bagWater } from './bag-state.ts';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import type { Container } from '../records/index.ts';
import { describe, expect, it } from 'vitest';
import { courseOf, chartPointsOf, spellsOf, type CoursePoint } from './water-course.ts';

const garden = gannetSlip(3);
const water = bagWater(garden, garden.containers[0] as Container, DEMO_EVENING);
const course = courseOf(water);

describe('the course of a bag’s water', () => {
  it('is in order of time, past before expected, with now between them', () => {
    const times = course.map((p) => Date.parse(p.at));
    expect([...times].sort((a, b) => a - b)).toEqual(times);
    const first = course.findIndex((p) => p.what === 'expected');
    expect(course[first - 1]?.at).toBe(water.now);
    expect(course.slice(first).every((p) => p.what === 'expected')).toBe(true);
  });

  it('keeps its bounds in order and inside the bag', () => {
    for (const p of course) {
      expect(p.low).toBeLessThanOrEqual(p.likely);
      expect(p.likely).toBeLessThanOrEqual(p.high);
      expect(p.high).toBeLessThanOrEqual(water.availableLitres + 1e-9);
    }
  });

  it('has a mark for each look and drink, on a point of the course and inside the bag', () => {
    const marks = chartPointsOf(water);
    const moments = new Set(course.filter((p) => p.what === 'past').map((p) => p.at));
    expect(marks.length).toBeGreaterThan(4);
    expect(new Set(marks.map((mark) => mark.kind))).toEqual(new Set(['check', 'watering']));
    for (const mark of marks) {
      expect(moments.has(mark.at)).toBe(true);
      expect(mark.litres).toBeLessThanOrEqual(water.availableLitres);
    }
  });

  it('only falls when nobody waters it', () => {
    const expected = course.filter((p) => p.what === 'expected').map((p) => p.likely);
    expect([...expected].sort((a, b) => b - a)).toEqual(expected);
  });
});

describe('spells', () => {
  const point = (hour: number, likely: number, what: CoursePoint['what'] = 'past'): CoursePoint => ({
    at: new Date(Date.UTC(2026, 6, 10, hour)).toISOString(),
    what,
    low: likely,
    likely,
    high: likely,
  });

  it('counts each time that it goes below, once', () => {
    const points = [point(0, 5), point(6, 2), point(12, 1), point(18, 6), point(24, 2)];
    expect(spellsOf(points, 10, 0.33).dryOuts).toBe(2);
  });

  it('counts the days nearly full, and nothing that has not happened', () => {
    const points = [point(0, 9.5), point(24, 9), point(48, 4), point(72, 1, 'expected')];
    expect(spellsOf(points, 10, 0.33)).toEqual({ dryOuts: 0, wetDays: 1, isDryNow: false });
  });
});
