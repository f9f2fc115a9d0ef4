import type { RoundDays } from '../../calendar/index.ts';
import type { SizeException } from '../../records/index.ts';
/** A practice of bag sizes: which part of the span that works it aims for. */
export interface SizingPractice {
  readonly id: 'even' | 'bigger' | 'smaller';
  readonly name: string;
  readonly description: string;
}

export const SIZING_PRACTICES: readonly SizingPractice[] = [
  {
    id: 'even',
    name: 'What works',
    description: 'From the size that works to the size beyond which more is of no use.',
  },
  {
    id: 'bigger',
    name: 'Bigger',
    description: 'Because I forget to water: a big bag forgives a missed round.',
  },
  {
    id: 'smaller',
    name: 'Smaller',
    description: 'Because fabric prunes the roots at the wall, and I want to carry it.',
  },
];

/** Why a bag may be a size smaller than is usual for the plant. */
export const EXCEPTIONS = [
  { id: 'short-late', description: 'a short, late crop' },
  { id: 'picked-green', description: 'picked green' },
  { id: 'carried', description: 'it must be carried' },
] as const satisfies readonly { readonly id: SizeException; readonly description: string }[];

export type ExceptionId = SizeException;

/** How often a grower may come with water. */
export const WATERINGS = [
  { id: 'twice-daily', label: 'twice a day', hours: [8, 18] },
  { id: 'daily', label: 'once a day', hours: [8] },
  { id: 'second-day', label: 'every second day', hours: [8], days: 2 },
  { id: 'third-day', label: 'every third day', hours: [8], days: 3 },
  { id: 'weekends', label: 'at weekends', hours: [9], weekdays: [6, 7] },
  { id: 'twice-weekly', label: 'twice a week', hours: [8], weekdays: [3, 6] },
  { id: 'weekly', label: 'once a week', hours: [8], days: 7 },
] as const satisfies readonly {
  readonly id: string;
  readonly label: string;
  readonly hours: readonly number[];
  readonly days?: number;
  readonly weekdays?: readonly number[];
}[];

export type WateringId = (typeof WATERINGS)[number]['id'];

/** Rounds as one of the usual ways has them: their hours, and their days where that is not every day. */
export function roundsOf(id: WateringId): {
  readonly hours: readonly number[];
  readonly days: RoundDays | undefined;
} {
  const way = WATERINGS.find((w) => w.id === id) ?? WATERINGS[1];
  const { hours } = way;
  if ('weekdays' in way) return { hours, days: { by: 'weekdays', weekdays: way.weekdays } };
  return { hours, days: 'days' in way ? { by: 'every', days: way.days, from: '2000-01-01' } : undefined };
}

/**
 * Hours of the longest time between two rounds in days of 24, as waterings a day: what a bag has to bridge.
 *
 * @example
 * // at weekends nobody comes for six days on end
 * leastPerDay({ hours: [9], days: { by: 'weekdays', weekdays: [6, 7] } })
 * // ≈> 0.1667
 * @example
 * leastPerDay({ hours: [8, 18], days: undefined })
 * // => 2
 */
export function leastPerDay({
  hours,
  days,
}: {
  readonly hours: readonly number[];
  readonly days: RoundDays | undefined;
}): number {
  if (!days) return hours.length;
  if (days.by === 'every') return 1 / days.days;
  const on = [...days.weekdays].sort((a, b) => a - b);
  const gaps = on.map((day, i) => (on[i + 1] ?? (on[0] as number) + 7) - day);
  return 1 / Math.max(...gaps);
}
