import type { FactorId } from './factors.ts';
import type { Part } from './signs.ts';

/** How much likelier a cause is where a factor is plainly there, and where it is known to be absent. */
export type FactorWeight = readonly [present: number, absent: number];

/**
 * A cause of trouble, as data. To add one: a row in one of the files of `causes/`. The chances are judgements (*assumed*): how often
 * the sign is seen where this is the cause.
 */
export interface Cause {
  readonly id: string;
  readonly name: string;
  readonly part: Part;
  /** it passes by itself or with better care, and nothing has to go */
  readonly isHarmless: boolean;
  /** it may live on in the mix and on the bag */
  readonly livesInMix: boolean;
  /** it goes from plant to plant */
  readonly spreads: boolean;
  /** how common it is in bags, against the others */
  readonly weight: number;
  /** so much commoner or rarer by crop; 0: never */
  readonly crops?: Readonly<Record<string, number>>;
  readonly signs: Readonly<Record<string, number>>;
  readonly factors: Readonly<Partial<Record<FactorId, FactorWeight>>>;
  /** what it is, in a sentence */
  readonly means: string;
  readonly doNow: readonly string[];
  readonly dont: readonly string[];
  /** what is said only where nothing harmless explains it as well */
  readonly drastic?: string;
  /** when it is looked at again, and what shows that it is over */
  readonly lookAgainDays: number;
  readonly recovery: string;
  /** what may be sprayed or put out against it, if it is a pest */
  readonly isPest?: boolean;
}
