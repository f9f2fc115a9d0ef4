import * as z from '../schema/index.ts';
import { ID_PREFIXES, type IdOf } from './id-prefixes.ts';

/** Checks an id of a kind: its prefix, an underscore and 6 to 30 letters or digits. */
export function idSchema(of: IdOf): z.ZodMiniString {
  return z
    .string()
    .check(z.regex(new RegExp(`^${ID_PREFIXES[of]}_[0-9A-Za-z]{6,30}$`), `not the id of a ${of}`));
}
