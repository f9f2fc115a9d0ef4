/** How near to the last frost a grower plants out, as practices. */
export interface TimingPractice {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  /** weeks after the usual last frost; below 0: before it */
  readonly weeksAfterFrost: number;
}

export const TIMING_PRACTICES: readonly TimingPractice[] = [
  {
    id: 'two-weeks',
    name: 'Two weeks after the last frost',
    description: 'Warm mix and warm nights: what is planted later often bears as soon.',
    weeksAfterFrost: 2,
  },
  {
    id: 'on-date',
    name: 'At the usual last frost',
    description: 'With fleece at hand for one cold night in two years.',
    weeksAfterFrost: 0,
  },
  {
    id: 'early',
    name: 'Two weeks before, and covered',
    description: 'Gains time in a short season, for who goes out with fleece every clear evening.',
    weeksAfterFrost: -2,
  },
];

/** The practice with an id, or the first. */
export function timingPracticeOf(id: string | undefined): TimingPractice {
  return TIMING_PRACTICES.find((s) => s.id === id) ?? (TIMING_PRACTICES[0] as TimingPractice);
}
