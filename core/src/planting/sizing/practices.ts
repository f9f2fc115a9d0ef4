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

/** How often the grower can come with water, rounds a day. */
export const WATERINGS = [
  { id: 'twice-daily', label: 'twice a day', perDay: 2 },
  { id: 'daily', label: 'once a day', perDay: 1 },
  { id: 'second-day', label: 'every second day', perDay: 0.5 },
  { id: 'third-day', label: 'every third day', perDay: 1 / 3 },
  { id: 'twice-weekly', label: 'twice a week', perDay: 2 / 7 },
  { id: 'weekly', label: 'once a week', perDay: 1 / 7 },
] as const;

export type WateringId = (typeof WATERINGS)[number]['id'];

/**
 * The choice that is nearest to how often somebody really comes, and not more often.
 *
 * @example
 * wateringFor(2 / 7)
 * // => 'twice-weekly'
 */
export function wateringFor(perDay: number): WateringId {
  return (
    (WATERINGS.find((w) => w.perDay <= perDay + 1e-9) ?? WATERINGS[WATERINGS.length - 1])?.id ?? 'weekly'
  );
}
