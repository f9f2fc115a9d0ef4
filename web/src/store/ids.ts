import { ID_PREFIXES, type IdOf } from '@rundel/core/records';
import { customAlphabet } from 'nanoid';

const random = customAlphabet('0123456789abcdefghijkmnpqrstuvwxyz', 16);

/** A new identity: its kind's prefix and 16 letters that no other device will draw. */
export function newId(of: IdOf): string {
  return `${ID_PREFIXES[of]}_${random()}`;
}
