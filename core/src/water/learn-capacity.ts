import type { Assumed } from '../assumed/index.ts';
import type { Move } from './estimate.ts';
import type { WaterEvent } from './timeline.ts';

/** What a bag seems to hold against what was reckoned. */
export interface LearntCapacity {
  /** times the reckoned one; 1 until something speaks against it */
  readonly factor: number;
  /** sd of its log */
  readonly logSd: number;
  /** waterings that it was learnt from */
  readonly waterings: number;
}

/** A watering into mix that had less room than this share says little of the whole. */
const LEAST_ROOM = 0.3;
/** Told no finer than this: a filter that hardly differs is not run again. */
const STEP = 0.04;

/**
 * Learns how much water a bag holds from waterings that were poured in goes until they ran through: what went in filled the room
 * that was left and a little more (`throughShare`, of what the bag holds), so that litres by those two are what it holds. How
 * much more is known badly, and alike each time (`throughShared`), so that many waterings are never surer than that.
 *
 * Method: a normal prior on the log of the factor (`capacitySpread`), each watering a normal observation of it.
 *
 * @param moves of a run of the filter with the reckoned capacity: what it expected before each watering
 * @param availableLitres the reckoned capacity, L
 * @see docs/model.md, 7. Water
 */
export function learnCapacity(
  events: readonly WaterEvent[],
  moves: readonly Move[],
  availableLitres: number,
  assumed: Pick<
    Assumed,
    'capacitySpread' | 'throughShare' | 'throughShared' | 'throughEach' | 'measuredWatering' | 'looseWatering'
  >,
): LearntCapacity {
  const expected = new Map(moves.map((move) => [move.entryId, move]));
  let [precision, weighted, waterings] = [0, 0, 0];
  for (const event of events) {
    if (event.kind !== 'watering' || !event.ranThrough || !event.isInGoes) continue;
    if (event.into === 'store' || event.through === 'most') continue;
    const before = expected.get(event.id);
    if (!before) continue;
    const room = 1 - before.beforeLitres / availableLitres;
    if (room < LEAST_ROOM) continue;
    const poured = event.isMeasured ? assumed.measuredWatering : assumed.looseWatering;
    const taken = room + assumed.throughShare;
    const variance =
      ((before.beforeSdLitres / availableLitres) ** 2 + assumed.throughEach ** 2) / taken ** 2 + poured ** 2;
    precision += 1 / variance;
    weighted += Math.log(event.litres / (taken * availableLitres)) / variance;
    waterings += 1;
  }
  const prior = assumed.capacitySpread ** 2;
  if (waterings === 0) return { factor: 1, logSd: assumed.capacitySpread, waterings };
  const mean = weighted / precision;
  const variance = 1 / precision + assumed.throughShared ** 2;
  const shrunk = (mean * prior) / (prior + variance);
  const told = Math.round(shrunk / STEP) * STEP;
  return {
    factor: Math.exp(told),
    logSd: Math.sqrt((prior * variance) / (prior + variance)),
    waterings,
  };
}
