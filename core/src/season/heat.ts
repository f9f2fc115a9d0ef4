import type { Assumed } from '../assumed/index.ts';
import { addDays, type Day } from '../calendar/index.ts';

/** Hot days in a row. */
export interface HeatWave {
  readonly from: Day;
  readonly to: Day;
  readonly maxCelsius: number;
}

/**
 * The heat waves of some days: two hot days in a row, or more. A day that is not known ends one.
 *
 * @param days with their highest temperature as far as it is known, in order
 * @example
 * heatWaves([{ day: '2026-07-18', maxCelsius: 33 }, { day: '2026-07-19', maxCelsius: 35 }], { hotCelsius: 32 })
 * // => [{ from: '2026-07-18', to: '2026-07-19', maxCelsius: 35 }]
 */
export function heatWaves(
  days: readonly { readonly day: Day; readonly maxCelsius?: number | undefined }[],
  { hotCelsius }: Pick<Assumed, 'hotCelsius'>,
): readonly HeatWave[] {
  const waves: HeatWave[] = [];
  let wave: HeatWave | undefined;
  for (const { day, maxCelsius } of days) {
    if (maxCelsius === undefined || maxCelsius < hotCelsius) wave = undefined;
    else if (wave && addDays(wave.to, 1) === day) {
      const longer: HeatWave = { ...wave, to: day, maxCelsius: Math.max(wave.maxCelsius, maxCelsius) };
      if (waves.at(-1) === wave) waves.pop();
      waves.push(longer);
      wave = longer;
    } else wave = { from: day, to: day, maxCelsius };
  }
  return waves;
}
