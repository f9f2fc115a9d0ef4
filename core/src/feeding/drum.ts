import type { Assumed } from '../assumed/index.ts';
import { daysBetween, dayOf, type Day } from '../calendar/index.ts';

/** Why a reading of EC or pH is not believed; it stays in the diary. */
export type SolutionFault =
  /** no nutrient solution is like that */
  | 'out-of-span'
  /** the same to the last digit three times, on three days */
  | 'frozen'
  /** far from the reading before, with nothing poured in between */
  | 'jump';

/** A reading of a nutrient solution. */
export interface SolutionReading {
  readonly day: Day;
  readonly ecMillisiemens: number | undefined;
  readonly ph: number | undefined;
}

/** One of a reading's two figures that is set aside. */
export interface SetAsideFigure {
  readonly day: Day;
  readonly what: 'ec' | 'ph';
  readonly value: number;
  readonly fault: SolutionFault;
}

/** A change by the day, by a straight line through what is believed, and how surely it is one at all. */
export interface Trend {
  readonly perDay: number;
  /** sd of the slope, by what a meter is off */
  readonly sd: number;
  readonly isSure: boolean;
}

/** What a reservoir's or drum's nutrient has done since it was last made up new. */
export interface SolutionCourse {
  readonly changedOn: Day | undefined;
  /** as far as they are believed */
  readonly readings: readonly SolutionReading[];
  readonly setAside: readonly SetAsideFigure[];
  /** mS/cm and pH a day; undefined for fewer than two days of readings */
  readonly ec: Trend | undefined;
  readonly ph: Trend | undefined;
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

type Points = readonly (readonly [x: number, y: number])[];

/**
 * A straight line through points, by least squares; undefined for fewer than two different days.
 *
 * @param noise sd of one reading
 * @returns the slope and its sd, noise / √Σ(x − x̄)²
 */
function lineThrough(
  points: Points,
  noise: number,
): { readonly slope: number; readonly sd: number } | undefined {
  if (points.length < 2) return undefined;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  if (spread === 0) return undefined;
  const slope = points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
  return { slope, sd: noise / Math.sqrt(spread) };
}

/**
 * The slope of a straight line through points.
 *
 * @example
 * slopeOf([[0, 2], [1, 2.1], [3, 2.3]])
 * // ≈> 0.1
 */
export function slopeOf(points: Points): number | undefined {
  return lineThrough(points, 0)?.slope;
}

/** What was measured of a solution, or done to it, at one moment. */
export interface SolutionEntry {
  readonly at: string;
  readonly what: 'reading' | 'changed' | 'topped-up';
  readonly litres?: number | undefined;
  readonly ecMillisiemens?: number | undefined;
  readonly ph?: number | undefined;
}

/** What each of the two figures can be, and how far it can go in a day with nothing poured in. */
const FIGURES = {
  ec: { of: (e: SolutionEntry) => e.ecMillisiemens, low: 0.05, high: 8, jump: 0.8 },
  ph: { of: (e: SolutionEntry) => e.ph, low: 3.5, high: 9.5, jump: 1.2 },
} as const;

/** So many readings alike to the last digit are a meter that is stuck. */
const FROZEN_COUNT = 3;
/** A slope that is further from none than so many sds is one (one in ten by chance). */
const SURE_SDS = 1.645;

/**
 * The course of a nutrient since its last change. A figure that no solution has, that stands still to the last digit, or that
 * jumps with nothing poured in is set aside: trends and advice go by the others.
 *
 * @param entries oldest first
 * @see docs/model.md, 8. Feeding
 */
export function solutionCourse(entries: readonly SolutionEntry[], assumed: Assumed): SolutionCourse {
  const at = entries.findLastIndex((e) => e.what === 'changed');
  const since = entries.slice(Math.max(0, at));
  const changed = entries[at];
  const ec = believed(since, 'ec');
  const ph = believed(since, 'ph');
  const readings = since
    .map((e) => ({ day: dayOf(e.at), ecMillisiemens: ec.values.get(e), ph: ph.values.get(e) }))
    .filter((r) => r.ecMillisiemens !== undefined || r.ph !== undefined);
  const trend = (of: 'ecMillisiemens' | 'ph', noise: number): Trend | undefined => {
    const [first] = readings;
    const points = readings.flatMap((r) => {
      const value = r[of];
      return value === undefined || !first ? [] : [[daysBetween(first.day, r.day), value] as const];
    });
    const line = lineThrough(points, noise);
    return line && { perDay: line.slope, sd: line.sd, isSure: Math.abs(line.slope) > SURE_SDS * line.sd };
  };
  const ecTrend = trend('ecMillisiemens', assumed.ecNoise);
  const lastEc = readings.findLast((r) => r.ecMillisiemens !== undefined)?.ecMillisiemens;
  const lastPh = readings.findLast((r) => r.ph !== undefined)?.ph;
  const description: SolutionWord[] = [];
  if (lastEc !== undefined && lastEc > assumed.solutionMost) description.push('ec-high');
  if (lastPh !== undefined && lastPh > assumed.solutionAlkaline) description.push('ph-high');
  if (lastPh !== undefined && lastPh < assumed.solutionAcid) description.push('ph-low');
  if (ecTrend) {
    const { perDay, isSure } = ecTrend;
    const isChange = Math.abs(perDay) > assumed.solutionSteady;
    if (isChange && isSure) description.push(perDay > 0 ? 'ec-rising' : 'ec-falling');
    // two readings a day apart that differ by what a meter is off say neither
    else if (!isChange) description.push('ec-steady');
  }
  return {
    changedOn: changed && dayOf(changed.at),
    readings,
    setAside: [...ec.setAside, ...ph.setAside].sort((a, b) => (a.day < b.day ? -1 : 1)),
    ec: ecTrend,
    ph: trend('ph', assumed.phNoise),
    toppedUpLitres: since.reduce((sum, e) => sum + (e.what === 'topped-up' ? (e.litres ?? 0) : 0), 0),
    description,
  };
}

/** One figure of each entry, as far as it is believed, and the others with why they are not. */
function believed(
  entries: readonly SolutionEntry[],
  what: keyof typeof FIGURES,
): { readonly values: ReadonlyMap<SolutionEntry, number>; readonly setAside: readonly SetAsideFigure[] } {
  const { of, low, high, jump } = FIGURES[what];
  const values = new Map<SolutionEntry, number>();
  const setAside: SetAsideFigure[] = [];
  let last: { readonly value: number; readonly day: Day } | undefined;
  let same: { readonly value: number; readonly days: Set<Day> } | undefined;
  let isPoured = false;
  for (const entry of entries) {
    if (entry.what !== 'reading') isPoured = true;
    const value = of(entry);
    if (value === undefined) continue;
    const day = dayOf(entry.at);
    if (same?.value !== value) same = { value, days: new Set() };
    same.days.add(day);
    const days = last ? Math.max(1, daysBetween(last.day, day)) : 0;
    const fault: SolutionFault | undefined =
      value < low || value > high
        ? 'out-of-span'
        : same.days.size >= FROZEN_COUNT
          ? 'frozen'
          : last && !isPoured && Math.abs(value - last.value) > jump * days
            ? 'jump'
            : undefined;
    if (fault) setAside.push({ day, what, value, fault });
    else {
      values.set(entry, value);
      last = { value, day };
    }
    isPoured = false;
  }
  return { values, setAside };
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
