import type { Cause } from '../cause.ts';
import { DISEASE_CAUSES } from './diseases.ts';
import { FRUIT_CAUSES } from './fruit.ts';
import { PEST_CAUSES } from './pests.ts';
import { ROOT_CAUSES } from './roots.ts';
import { WEATHER_CAUSES } from './weather.ts';

/** Every cause that is told apart. Ids are part of the file format and never change. */
export const CAUSES: readonly Cause[] = [
  ...WEATHER_CAUSES,
  ...ROOT_CAUSES,
  ...DISEASE_CAUSES,
  ...PEST_CAUSES,
  ...FRUIT_CAUSES,
];

/** What nobody can explain, in the diary and in the ranking: something that is not in the list. */
export const UNKNOWN_CAUSE = 'unknown';

const BY_ID = new Map(CAUSES.map((cause) => [cause.id, cause]));

/** A cause by its id; undefined for what is not told apart, and for one that this version does not know. */
export function findCause(id: string): Cause | undefined {
  return BY_ID.get(id);
}
