import { ASSUMPTIONS, type Assumed } from '../assumed/index.ts';
import type { Entry } from '../records/index.ts';
import { shrunkMean } from '../statistics/index.ts';
import type { MoistureCheck, Move } from '../water/index.ts';

/** How far a bag's own probe is off, learnt from what was expected at its readings. */
export interface LearntProbe {
  /** sd, share of available water */
  readonly noise: number;
  readonly readings: number;
}

/** Told no finer than this: a filter that hardly differs is not run again. */
const STEP = 0.02;

/**
 * Learns a probe's noise from its readings: a reading lies off what was expected by what was not known of the bag and by
 * what the probe is off, so that of the square of the difference the first is taken away and the second is left. Shrunk
 * towards what is assumed of probes, so that no readings change nothing, and kept within the range that is assumed.
 *
 * Source: the variance of a Kalman filter's innovations, S = HPH' + R, solved for R.
 *
 * @param here the bag's live entries
 * @param looks its readings as shares of available water
 * @param moves of a run of the filter, with what it expected
 */
export function learnProbe(
  here: readonly Entry[],
  checks: ReadonlyMap<string, MoistureCheck>,
  moves: readonly Move[],
  availableLitres: number,
  assumed: Pick<Assumed, 'probeNoise' | 'probePrior'>,
): LearntProbe {
  const probed = new Set(
    here.flatMap((e) => (e.kind === 'check' && e.check.method === 'probe' ? [e.id] : [])),
  );
  const excesses = moves.flatMap(({ entryId, beforeLitres, beforeSdLitres }) => {
    const check = probed.has(entryId) ? checks.get(entryId) : undefined;
    if (check?.method !== 'reading') return [];
    const off = check.share - beforeLitres / availableLitres;
    return [off ** 2 - (beforeSdLitres / availableLitres) ** 2];
  });
  const square = shrunkMean(excesses, assumed.probeNoise ** 2, assumed.probePrior);
  const told = Math.round(Math.sqrt(Math.max(0, square)) / STEP) * STEP;
  const { low, high } = ASSUMPTIONS.probeNoise;
  return { noise: Math.min(high, Math.max(low, told)), readings: excesses.length };
}
