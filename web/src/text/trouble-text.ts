import type { EntryOf } from '@rundel/core/records';

/** Trouble by its plain name; it says what was seen and not what must be done. */
export const TROUBLE_WORDS: Record<EntryOf<'trouble'>['what'], string> = {
  'root-rot': 'rotting roots',
  wilt: 'wilting that water does not cure',
  blight: 'blight',
  pests: 'pests in the mix',
  unknown: 'something that nobody can explain',
};
