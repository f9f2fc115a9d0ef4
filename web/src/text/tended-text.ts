import type { EntryOf } from '@rundel/core/records';

/** A job at a bag, as a thing that was done. */
export const TENDED_WORDS: Record<EntryOf<'tended'>['task'], string> = {
  loosened: 'Mix loosened',
  moistened: 'Mix moistened',
  soaked: 'Root ball soaked',
  stripped: 'Leaves stripped',
  firmed: 'Firmed in',
  labelled: 'Labelled',
  shaded: 'Shaded',
  unshaded: 'Shade taken off',
  wound: 'Wound round its string',
  tied: 'Tied in',
  tucked: 'Branches tucked in',
  parted: 'Thinned to the best one',
  kneaded: 'Kneaded loose',
  holed: 'Holes made',
  slit: 'Slits cut for planting',
  fleeced: 'Covered with fleece',
  unfleeced: 'Fleece taken off',
  pinched: 'Side shoots out',
  'shoot-kept': 'A shoot kept as second leader',
  'leaves-off': 'Lower leaves off',
  'flowers-off': 'First flowers off',
  tipped: 'Tip out, to branch',
  stopped: 'Growing tip out: stopped',
  shaken: 'Flowers shaken',
};
