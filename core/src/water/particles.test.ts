import { describe, expect, it } from 'vitest';
import { chanceFrom, type Chance } from '../../hidden/index.ts';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { completeWeather } from '../climate/index.ts';
import { afterGain, afterLoss, chanceOfCheck, runFilter, timelineOf, type WaterEvent } from './index.ts';
import { ONE_BAG, SITE } from '../../test/one-bag.ts';

const at = (day: number, hour: string) => `2026-07-${String(day).padStart(2, '0')}T${hour}:00.000+01:00`;
const stepsOf = timelineOf(
  ONE_BAG,
  completeWeather([], SITE, '2026-07-01', '2026-07-20', DEFAULT_ASSUMED),
  51,
  DEFAULT_ASSUMED,
);

/** The same model with twenty thousand drawn bags in place of a grid: slow, plain, and of another make. */
function byParticles(chance: Chance, events: readonly WaterEvent[], to: string) {
  const count = 20_000;
  const a = DEFAULT_ASSUMED;
  const cut = (draw: () => number, low: number, high: number) => {
    for (;;) {
      const x = draw();
      if (x >= low && x <= high) return x;
    }
  };
  let water = Float64Array.from({ length: count }, () => cut(() => 0.65 + 0.22 * chance.normal(), 0, 1));
  let logUse = Float64Array.from({ length: count }, () =>
    cut(() => a.useSpread * chance.normal(), -1.5, 1.5),
  );
  for (const step of stepsOf(events, at(1, '08:00'), to)) {
    const weights = new Float64Array(count).fill(1);
    for (let n = 0; n < count; n++) {
      const w = water[n] as number;
      if (step.kind === 'use') {
        const spread = Math.min(0.55, (step.doubt * a.filledDemandSpread) / Math.sqrt(step.share));
        const asked = step.transpirationLitres * Math.exp(logUse[n] as number) + step.evaporationLitres;
        water[n] = afterLoss(w, (Math.max(0, 1 + spread * chance.normal()) * asked) / 8, 0.4);
        logUse[n] = (logUse[n] as number) + a.useDrift * Math.sqrt(step.days) * chance.normal();
      } else if (step.event.kind === 'emptied') throw new Error('not followed here');
      else if (step.event.kind === 'check') weights[n] = chanceOfCheck(step.event.check, w, a);
      else {
        const amount = (step.event.litres / 8) * (1 + a.measuredWatering * chance.normal());
        water[n] = afterGain(w, Math.max(0, amount), a).w;
        if (step.event.ranThrough)
          weights[n] = Math.exp(-(((1 - (water[n] as number)) / a.ranThroughNoise) ** 2) / 2) + 1e-4;
      }
    }
    if (step.kind === 'use') continue;
    // systematic resampling
    const sum = weights.reduce((x, y) => x + y, 0);
    const chosen = new Int32Array(count);
    let [i, reached] = [-1, 0];
    const first = chance.next() / count;
    for (let n = 0; n < count; n++) {
      while (reached < first + n / count && i < count - 1) reached += (weights[++i] as number) / sum;
      chosen[n] = i;
    }
    water = Float64Array.from(chosen, (k) => water[k] as number);
    logUse = Float64Array.from(chosen, (k) => logUse[k] as number);
  }
  const quantiles = (values: Float64Array) => {
    const sorted = [...values].sort((x, y) => x - y);
    return [0.1, 0.5, 0.9].map((p) => sorted[Math.floor(p * count)] as number);
  };
  return { water: quantiles(water), use: quantiles(logUse).map(Math.exp) };
}

describe('the grid', () => {
  const check = (day: number, grade: number): WaterEvent => ({
    kind: 'check',
    id: `ent_look${day}`,
    at: at(day, '18:00'),
    check: { method: 'finger', grade },
  });
  const watering = (day: number): WaterEvent => ({
    kind: 'watering',
    id: `ent_drink${day}`,
    at: at(day, '18:05'),
    litres: 9,
    isMeasured: true,
    ranThrough: true,
    // in goes it had time to soak in: what ran through says that the bag is full
    isInGoes: true,
  });

  it.each([
    ['looks that come out dry', [4, 6, 8, 10].flatMap((d) => [check(d, 1), watering(d)]), at(12, '10:00')],
    [
      'looks that come out moist',
      [watering(2), check(3, 4), watering(5), check(6, 4), check(7, 3)],
      at(8, '08:00'),
    ],
    ['time alone', [watering(2)], at(5, '18:00')],
  ])('gives what drawn bags give, within 0.05 of water and a tenth of use: %s', (_, events, to) => {
    const drawn = byParticles(chanceFrom(7), events, to);
    const { share, useMultiplier } = runFilter(
      ONE_BAG,
      stepsOf(events, at(1, '08:00'), to),
      DEFAULT_ASSUMED,
    ).estimate;
    [share.low, share.likely, share.high].forEach((value, i) =>
      expect(Math.abs(value - (drawn.water[i] as number))).toBeLessThan(0.05),
    );
    [useMultiplier.low, useMultiplier.likely, useMultiplier.high].forEach((value, i) =>
      expect(value / (drawn.use[i] as number)).toBeCloseTo(1, 0.9),
    );
  });
});
