/**
 * Identities. An id is a prefix that says what it names and a random part that no other device will draw, so that
 * two files can be merged without renumbering. Prefixes are part of the file format and never change.
 */
export const ID_PREFIXES = {
  place: 'std',
  container: 'con',
  station: 'stn',
  plant: 'pla',
  variety: 'var',
  batch: 'bat',
  measure: 'mea',
  mix: 'mix',
  product: 'goo',
  pack: 'pak',
  template: 'tpl',
  plan: 'pln',
  regime: 'reg',
  tank: 'tnk',
  trial: 'tri',
  entry: 'ent',
  /** a trouble or a spray, with all that follows it up */
  case: 'cas',
  /** fruit that lies on the shelf together */
  lot: 'lot',
  photo: 'pho',
} as const;

export type IdOf = keyof typeof ID_PREFIXES;
