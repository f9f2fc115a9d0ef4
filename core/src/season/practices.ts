/** How near to the last frost a grower plants out, as schools. */
export interface TimingPractice {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  /** weeks after the usual last frost; below 0: before it */
  readonly weeksAfterFrost: number;
}

export const TIMING_PRACTICES: readonly TimingPractice[] = [
  {
    id: 'two-weeks',
    name: 'Two weeks after the last frost',
    words: 'Warm mix and warm nights: what is planted later often bears as soon.',
    weeksAfterFrost: 2,
  },
  {
    id: 'on-date',
    name: 'At the usual last frost',
    words: 'With fleece at hand for one cold night in two years.',
    weeksAfterFrost: 0,
  },
  {
    id: 'early',
    name: 'Two weeks before, and covered',
    words: 'Gains time in a short season, for who goes out with fleece every clear evening.',
    weeksAfterFrost: -2,
  },
];

/** The school with an id, or the first. */
export function timingPracticeOf(id: string | undefined): TimingPractice {
  return TIMING_PRACTICES.find((s) => s.id === id) ?? (TIMING_PRACTICES[0] as TimingPractice);
}
