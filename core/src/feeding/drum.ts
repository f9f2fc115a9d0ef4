import type { Assumed } from '../assumed/index.ts';
import { daysBetween, dayOf, type Day } from '../calendar/index.ts';
import type { EntryOf } from '../records/index.ts';

/** A reading of a nutrient solution. */
export interface SolutionReading {
  readonly day: Day;
  readonly ecMillisiemens: number | undefined;
  readonly ph: number | undefined;
}

/** What a reservoir's or drum's nutrient has done since it was last made up new. */
export interface SolutionCourse {
  readonly changedOn: Day | undefined;
  readonly readings: readonly SolutionReading[];
  /** by a straight line through the readings since the change, mS/cm and pH a day; undefined for fewer than two days */
  readonly ecPerDay: number | undefined;
  readonly phPerDay: number | undefined;
  /** topped up since, L */
  readonly toppedUpLitres: number;
  /** what that says, most pressing first */
  readonly description: readonly SolutionWord[];
}

export type SolutionWord =
  /** plants take water and leave feed: top up with plain water, or weaker */
  | 'ec-rising'
  /** they take feed faster than water: top up at full strength */
  | 'ec-falling'
  | 'ec-steady'
  | 'ec-high'
  | 'ph-high'
  | 'ph-low';

/** The slope of a straight line through points, by least squares; undefined for fewer than two different days. */
export function slopeOf(points: readonly (readonly [x: number, y: number])[]): number | undefined {
  if (points.length < 2) return undefined;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  if (spread === 0) return undefined;
  return points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
}

/**
 * The course of a bag's nutrient since its last change.
 *
 * @param entries the bag's `solution` entries, oldest first
 * @see docs/model.md, 8. Feeding
 */
export function solutionCourse(entries: readonly EntryOf<'solution'>[], assumed: Assumed): SolutionCourse {
  const at = entries.findLastIndex((e) => e.what === 'changed');
  const since = entries.slice(Math.max(0, at));
  const changed = entries[at];
  const changedOn = changed && dayOf(changed.at);
  const readings = since
    .filter((e) => e.ecMillisiemens !== undefined || e.ph !== undefined)
    .map((e) => ({ day: dayOf(e.at), ecMillisiemens: e.ecMillisiemens, ph: e.ph }));
  const slope = (of: (reading: SolutionReading) => number | undefined) => {
    const [first] = readings;
    if (!first) return undefined;
    return slopeOf(
      readings.flatMap((r) => {
        const value = of(r);
        return value === undefined ? [] : [[daysBetween(first.day, r.day), value] as const];
      }),
    );
  };
  const ecPerDay = slope((r) => r.ecMillisiemens);
  const ec = readings.findLast((r) => r.ecMillisiemens !== undefined)?.ecMillisiemens;
  const ph = readings.findLast((r) => r.ph !== undefined)?.ph;
  const description: SolutionWord[] = [];
  if (ec !== undefined && ec > assumed.solutionMost) description.push('ec-high');
  if (ph !== undefined && ph > assumed.solutionAlkaline) description.push('ph-high');
  if (ph !== undefined && ph < assumed.solutionAcid) description.push('ph-low');
  if (ecPerDay !== undefined)
    description.push(
      ecPerDay > assumed.solutionSteady
        ? 'ec-rising'
        : ecPerDay < -assumed.solutionSteady
          ? 'ec-falling'
          : 'ec-steady',
    );
  return {
    changedOn,
    readings,
    ecPerDay,
    phPerDay: slope((r) => r.ph),
    toppedUpLitres: since.reduce((sum, e) => sum + (e.what === 'topped-up' ? (e.litres ?? 0) : 0), 0),
    description,
  };
}

/**
 * Days that a drum lasts at the use of late; undefined where nothing is used.
 *
 * @example
 * daysLeft(30, 4)
 * // => 7.5
 */
export function daysLeft(litres: number, litresPerDay: number): number | undefined {
  return litresPerDay > 1e-6 ? litres / litresPerDay : undefined;
}
