import { describe, expect, it } from 'vitest';
import { heatWaves } from './heat.ts';

const days = (...max: number[]) =>
  max.map((maxCelsius, i) => ({ day: `2026-07-${String(10 + i)}`, maxCelsius }));
const at = { hotCelsius: 32 };

describe('heat waves', () => {
  it('are two hot days in a row, or more, each told once', () => {
    expect(heatWaves(days(30, 33, 34, 36, 31, 33, 29, 32, 32), at)).toEqual([
      { from: '2026-07-11', to: '2026-07-13', maxCelsius: 36 },
      { from: '2026-07-17', to: '2026-07-18', maxCelsius: 32 },
    ]);
  });

  it('are none where a hot day stands alone, or the day between two is not known', () => {
    expect(heatWaves(days(33, 20, 33), at)).toEqual([]);
    expect(
      heatWaves(
        days(33, 20, 33).filter(({ maxCelsius }) => maxCelsius > 30),
        at,
      ),
    ).toEqual([]);
    expect(heatWaves([], at)).toEqual([]);
  });
});
