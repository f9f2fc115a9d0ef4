import type { Occupant } from '../plants/index.ts';
import type { Container, Place } from '../records/index.ts';
import type { BagWater } from './bag-state.ts';
import type { FeedingState } from './derive-bag.ts';
import type { BagProperties } from './properties.ts';

/** A bag with what is known of it, as decisions about it are made: its record, what it is, who stands in it, its state. */
export interface BagView {
  readonly container: Container;
  readonly place: Place | undefined;
  readonly properties: BagProperties;
  readonly occupants: readonly Occupant[];
  /** undefined until it has been worked out */
  readonly water: BagWater | undefined;
  readonly feeding: FeedingState | undefined;
}
