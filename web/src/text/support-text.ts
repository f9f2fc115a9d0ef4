import type { SupportReason } from '@rundel/core/plants';
import type { SupportThing } from '@rundel/core/records';
import type { UnitFormat } from '../store/index.ts';

/** Things that a grower owns, several of them. */
export const THING_WORDS: Readonly<Record<SupportThing, string>> = {
  cane: 'canes',
  stake: 'stakes',
  cage: 'cages',
  tower: 'towers',
  frame: 'frames',
};

/** Why a support stands where it does, as a clause. */
export function reasonWords(reason: SupportReason, unitFormat: UnitFormat): string {
  const height = (mm: number) => unitFormat.show(mm, 'height');
  switch (reason.because) {
    case 'no-wire':
      return 'there is no wire overhead at its place';
    case 'cannot-hold-cane':
      return 'its mix is too shallow or too loose to hold it up';
    case 'not-flat':
      return 'it is for bags that lie flat';
    case 'no-frame-of-its-own':
      return 'this kind of bag has none';
    case 'wire-below-bag':
      return `the wire at ${height(reason.wireMillimetres)} is not above the bag, whose mix ends at ${height(reason.mixTopMillimetres)}`;
    case 'too-short':
      return `holds ${height(reason.holdsMillimetres)} of about ${height(reason.heightMillimetres)}`;
    case 'high-enough':
      return `high enough for about ${height(reason.heightMillimetres)}`;
    case 'suits-growth':
      return 'made for the way it grows';
    case 'wrong-growth':
      return 'not made for the way it grows';
    case 'owned': {
      const { thing, lengthMillimetres, free } = reason.owned;
      return `you have ${free} free: ${THING_WORDS[thing]} of ${height(lengthMillimetres)}`;
    }
    case 'in-shed':
      return 'you have what it takes';
    case 'little-work':
      return 'up in a minute';
    case 'for-now':
      return 'only until its real support';
    case 'too-much':
      return 'more than it needs';
  }
}
