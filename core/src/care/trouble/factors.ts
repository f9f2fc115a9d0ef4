/**
 * What a bag's record says for or against a cause, from 0 (it is known that there was none) to 1 (plainly there). What the record
 * cannot say is left out, and counts neither way.
 */
export type FactorId =
  | 'cold-nights'
  | 'standing-out'
  | 'hot-days'
  | 'swings'
  | 'dry-outs'
  | 'wet-spell'
  | 'sprayed-in-sun'
  | 'fed-much'
  | 'unfed'
  | 'calcium-given'
  | 'mild-wet-nights'
  | 'dry-heat'
  | 'under-cover'
  | 'leaves-taken-off'
  | 'old-plant'
  | 'bearing'
  | 'not-shaken'
  | 'small-bag'
  | 'manure-in-mix';

/** One factor as read from the record, with the facts that it was read from, for the reasons. */
export interface FactorReading {
  readonly value: number;
  /** how often, or how many days; undefined where that says nothing */
  readonly count?: number | undefined;
  /** the coldest or hottest that it was, °C */
  readonly celsius?: number | undefined;
  /** the grower remembers it, and no entry says so */
  readonly isRecalled?: boolean | undefined;
  /** on which day last */
  readonly on?: string | undefined;
}

/** All that the record says of one bag. */
export interface BagRecord {
  readonly cropId: string | undefined;
  readonly factors: Readonly<Partial<Record<FactorId, FactorReading>>>;
  /** causes recorded at other bags of the same place, or next door, in the last weeks */
  readonly around: readonly string[];
  /** causes that this bag has had before, since it was last cleaned */
  readonly before: readonly string[];
}

/** A bag of which nothing is known. */
export const NO_RECORD: BagRecord = { cropId: undefined, factors: {}, around: [], before: [] };

/** What a grower is likely to remember, in the order in which it is asked. */
export const RECALLED_FACTORS = [
  'cold-nights',
  'standing-out',
  'hot-days',
  'dry-outs',
  'wet-spell',
  'sprayed-in-sun',
  'fed-much',
  'unfed',
  'mild-wet-nights',
  'leaves-taken-off',
] as const satisfies readonly FactorId[];

/** A record with what the grower remembers in place of what the diary says or leaves out. */
export function withRecalled(record: BagRecord, recalled: Readonly<Record<string, boolean>>): BagRecord {
  const said = RECALLED_FACTORS.flatMap((id) =>
    recalled[id] === undefined ? [] : [[id, { value: recalled[id] ? 1 : 0, isRecalled: true }] as const],
  );
  return { ...record, factors: { ...record.factors, ...Object.fromEntries(said) } };
}
