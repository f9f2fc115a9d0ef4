import type { BagWater } from './bag-state.ts';

/** A point of a bag's water: litres at a moment, with bounds; `what` says whether it is past or expected. */
export interface CoursePoint {
  readonly at: string;
  readonly what: 'past' | 'expected';
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** Days back from now that the course shows, and rounds ahead. */
const DAYS_BACK = 12;
const ROUNDS_AHEAD = 10;

/** A bag's water over the last days and the rounds to come with nobody watering, litres. */
export function courseOf(water: BagWater): readonly CoursePoint[] {
  const since = Date.parse(water.now) - DAYS_BACK * 86_400_000;
  const litres = (
    point: { at: string; low: number; likely: number; high: number },
    what: CoursePoint['what'],
  ) => ({
    at: point.at,
    what,
    low: point.low * water.availableLitres,
    likely: point.likely * water.availableLitres,
    high: point.high * water.availableLitres,
  });
  return [
    ...water.estimate.path.filter((p) => Date.parse(p.at) >= since).map((p) => litres(p, 'past')),
    litres({ at: water.now, ...water.estimate.share }, 'past'),
    ...water.ahead.rounds.slice(0, ROUNDS_AHEAD).map((r) => litres(r, 'expected')),
  ];
}

/** A check or a watering on the course, at the litres that were likely after it. */
export interface ChartPoint {
  readonly at: string;
  readonly kind: 'check' | 'watering';
  readonly litres: number;
}

/** The checks and waterings of the days that the course shows. */
export function chartPointsOf(water: BagWater): readonly ChartPoint[] {
  const since = Date.parse(water.now) - DAYS_BACK * 86_400_000;
  // of the points of one moment the last is what was believed after it
  const after = new Map(water.estimate.path.map((point) => [point.at, point.likely]));
  return water.estimate.moves
    .filter((move) => Date.parse(move.at) >= since)
    .map(({ at, kind }) => ({ at, kind, litres: (after.get(at) ?? 0) * water.availableLitres }));
}

/** Spells in a course: how often it went below the refill point, whether it is there now, and how long it was likely nearly full. */
export function spellsOf(
  course: readonly CoursePoint[],
  availableLitres: number,
  refillPoint: number,
): { readonly dryOuts: number; readonly wetDays: number; readonly isDryNow: boolean } {
  const past = course.filter((p) => p.what === 'past');
  const dry = refillPoint * availableLitres;
  const wet = 0.85 * availableLitres;
  let dryOuts = 0;
  let wetMilliseconds = 0;
  past.forEach((point, i) => {
    const before = past[i - 1];
    if (!before) return;
    if (point.likely < dry && before.likely >= dry) dryOuts += 1;
    if (point.likely > wet && before.likely > wet)
      wetMilliseconds += Date.parse(point.at) - Date.parse(before.at);
  });
  const last = past.at(-1);
  return {
    dryOuts,
    wetDays: wetMilliseconds / 86_400_000,
    isDryNow: last !== undefined && last.likely < dry,
  };
}
