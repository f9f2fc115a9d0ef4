import type { ReadingFault } from '@rundel/core/garden-state';
import type { EntryOf } from '@rundel/core/records';
import { FINGER_GRADES, LIFT_GRADES } from '@rundel/core/water';
import type { UnitFormat } from '../store/index.ts';
import { plantWords } from './plant-text.ts';

/** Levels of a reservoir, drum or channel as one sees them, from empty upwards. */
export const LEVELS = [
  'empty, or nearly',
  'a quarter full',
  'half full',
  'three quarters full',
  'full',
] as const;

/** The share that each of them stands for. */
export const levelShare = (grade: number) => (grade - 1) / (LEVELS.length - 1);

/** What a check found, in a few words: "barely damp", "half full", "24.3 kg". */
export function checkWords(check: EntryOf<'check'>['check'], unitFormat: Pick<UnitFormat, 'show'>): string {
  switch (check.method) {
    case 'finger':
      return FINGER_GRADES[check.grade - 1] ?? '?';
    case 'lift':
      return `${LIFT_GRADES[check.grade - 1] ?? '?'} when lifted`;
    case 'level':
      return LEVELS[Math.round(check.share * (LEVELS.length - 1))] ?? '?';
    case 'wilted':
      return 'wilted';
    case 'scale':
      return `${unitFormat.show(check.kilograms, 'crop')} on the scale`;
    case 'probe':
      return `${Math.round(check.reading * 10) / 10} on the probe`;
  }
}

/** What was found, plant by plant where it was felt so: "dry at plant 2, moist at plant 1". */
export function foundWords(
  checks: readonly EntryOf<'check'>[],
  occupants: Parameters<typeof plantWords>[1],
  unitFormat: Pick<UnitFormat, 'show'>,
): string {
  return checks
    .map(({ check, stationId }) =>
      stationId === undefined
        ? checkWords(check, unitFormat)
        : `${checkWords(check, unitFormat)} at ${plantWords(stationId, occupants)}`,
    )
    .join(', ');
}

/** Why a reading does not count. */
export const FAULT_WORDS: Record<ReadingFault, string> = {
  'out-of-span': 'That is beyond what this bag can be, wet or dry.',
  frozen: 'It has read the same to the last digit for half a day: it is stuck.',
  uncalibrated: 'This probe has not been calibrated for this bag.',
};
