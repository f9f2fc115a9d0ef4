import { addDays, type Day } from '../calendar/index.ts';
import type { Batch, Plant } from '../records/index.ts';
import type { Crop } from './crops/crop.ts';

/** The warmth at which a crop's usual days to come up are counted lies so much above its least, °C (*assumed*). */
const USUAL_ABOVE_LEAST = 4;
/** Below its least warmth by this much nothing comes up, °C (*assumed*). */
const BASE_BELOW_LEAST = 6;

/**
 * Days from sowing until a crop comes up, by how warm the mix is: its usual days at its usual warmth, and in proportion to the
 * warmth above what it needs at all (thermal time). Undefined where it is too cold to come up.
 *
 * @param celsius of the mix; left out: as usual
 * @see docs/model.md, 5. Timing
 * @example
 * emergenceDays({ mixCelsius: 16, daysToEmerge: { low: 6, high: 12 } }, 15)
 * // => { low: 12, high: 24 }
 */
export function emergenceDays(
  sowing: Pick<Crop['sowing'], 'mixCelsius' | 'daysToEmerge'>,
  celsius?: number,
): { readonly low: number; readonly high: number } | undefined {
  const { low, high } = sowing.daysToEmerge;
  if (celsius === undefined) return { low, high };
  const base = sowing.mixCelsius - BASE_BELOW_LEAST;
  const above = celsius - base;
  if (above < 2) return undefined;
  // warmer than half as much again does not hurry it
  const pace = Math.min(1.5, above / (USUAL_ABOVE_LEAST + BASE_BELOW_LEAST));
  return { low: Math.round(low / pace), high: Math.round(high / pace) };
}

/** Where plants that were sown together have got to. */
export interface BatchCourse {
  /** when they come up, or came up; undefined where they were sown on no known day, or it is too cold */
  readonly up: { readonly from: Day; readonly to: Day; readonly isSeen: boolean } | undefined;
  /** when they are ready to go out */
  readonly ready: { readonly from: Day; readonly to: Day } | undefined;
  readonly planted: number;
  /** plants still to be planted or given away; undefined where nobody counted */
  readonly left: number | undefined;
}

/** Where a batch has got to, by its record and by what was planted of it. */
export function batchCourse(batch: Batch, crop: Crop, plants: readonly Plant[]): BatchCourse {
  const { sownOn, cameUpOn } = batch;
  const planted = plants.filter((p) => p.batchId === batch.id && !p.binnedAt).length;
  const grown = batch.cameUp ?? batch.seeds;
  const days = emergenceDays(crop.sowing, batch.raisedAtCelsius);
  const up = cameUpOn
    ? { from: cameUpOn, to: cameUpOn, isSeen: true }
    : sownOn && days
      ? { from: addDays(sownOn, days.low), to: addDays(sownOn, days.high), isSeen: false }
      : undefined;
  const { low, high } = crop.seedlingWeeks;
  return {
    up,
    ready: sownOn
      ? { from: addDays(sownOn, Math.round(low * 7)), to: addDays(sownOn, Math.round(high * 7)) }
      : undefined,
    planted,
    left: grown === undefined ? undefined : Math.max(0, grown - planted - (batch.givenAway ?? 0)),
  };
}
