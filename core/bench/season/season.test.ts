import { describe, expect, it } from 'vitest';
import { compare } from './compare.ts';

/** A small season test (docs/season-test.md has the whole one): few bags, two months, the same rules. */
const trial = { seeds: [31, 32], bagsEach: 5, days: 60 };

describe('a season against hidden bags', () => {
  const cool = compare('coolWet', trial);
  const line = (name: RegExp) => {
    const found = cool.lines.find((l) => name.test(l.name));
    if (!found) throw new Error(`no line ${String(name)}`);
    return found;
  };

  it('looks less than half as often as somebody who looks daily, with no more dry-outs', () => {
    expect(line(/Rundel/).checks).toBeLessThan(0.5 * line(/water when dry/).checks);
    expect(line(/Rundel/).dry).toBeLessThanOrEqual(line(/water when dry/).dry);
  });

  it('has fewer dry-outs than a habit by millimetres that looks as often', () => {
    const habit = line(/mm of ETo/);
    expect(habit.checks).toBeGreaterThanOrEqual(line(/Rundel/).checks);
    // a single bag-day of six hundred says nothing
    expect(line(/Rundel/).dry).toBeLessThanOrEqual(habit.dry + 0.002);
  });

  it('an oracle needs the fewest looks, and goes dry no more often than anybody', () => {
    for (const other of cool.lines) {
      expect(line(/oracle/).checks).toBeLessThanOrEqual(other.checks + 1e-9);
      expect(line(/oracle/).dry).toBeLessThanOrEqual(other.dry + 0.005);
    }
  });

  it('a perfect forecast of the weather changes what is said of the hours, and spares few looks', () => {
    const { truth, lines } = compare('coolWet', { ...trial, only: 'Rundel', foresees: true });
    expect(truth.hoursError).not.toBe(cool.truth.hoursError);
    expect((lines[0]?.checks ?? 0) / line(/Rundel/).checks).toBeGreaterThan(0.85);
    expect((lines[0]?.checks ?? 9) / line(/Rundel/).checks).toBeLessThan(1.15);
  });

  it('is the same at every run', () => {
    const again = compare('coolWet', { ...trial, seeds: [31], bagsEach: 2, days: 20 });
    expect(compare('coolWet', { ...trial, seeds: [31], bagsEach: 2, days: 20 })).toEqual(again);
  });
});

describe('the stated ranges', () => {
  it('hold 70 to 90 % of the time over two hundred simulated bags', () => {
    // forty years of five bags for a month: short, since the question is whether the first words of the app are honest
    const seeds = Array.from({ length: 40 }, (_, i) => 100 + i);
    const climates = [
      compare('coolWet', { seeds: seeds.slice(0, 20), bagsEach: 5, days: 32, only: 'Rundel' }),
      compare('hot', { seeds: seeds.slice(20), bagsEach: 5, days: 32, only: 'Rundel' }),
    ];
    expect(climates.reduce((sum, { bags }) => sum + bags, 0)).toBe(200);
    const mean = climates.reduce((sum, { truth }) => sum + truth.coverage, 0) / climates.length;
    expect(mean).toBeGreaterThan(0.7);
    expect(mean).toBeLessThan(0.9);
  }, 90_000);
});
