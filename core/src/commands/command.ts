import type { Draft, SprayAgent } from '../records/index.ts';
import type { NamedMeasure, UnitSystem } from '../units/index.ts';
import type { BagNames, NamedBag } from './which-bags.ts';
import type { SaidKind } from './words.ts';

/** What a line is read with. */
export interface CommandContext {
  readonly bags: BagNames;
  readonly places: readonly { readonly id: string; readonly name: string }[];
  readonly measures: readonly (NamedMeasure & { readonly id: string })[];
  /** what there is to feed with */
  readonly feeds: readonly { readonly id: string; readonly name: string; readonly isInWater: boolean }[];
  readonly system: UnitSystem;
  /** local time with its offset */
  readonly now: string;
}

/** Something that was done: entries to be put in the diary. */
export interface Command {
  readonly kind: Exclude<SaidKind, 'feed'>;
  readonly drafts: readonly Draft[];
  readonly bags: readonly NamedBag[];
  /** one amount for all of the bags, and not for each */
  readonly isShared: boolean;
  /** what nothing was made of; it is kept as the entries' note */
  readonly note: string | undefined;
  /** it stands in place of what was put down last of its kind there */
  readonly isCorrection?: boolean;
}

/** A feed that was given, as far as it was said: its form asks for the rest, and checks it against the label. */
export interface SaidFeed {
  readonly bags: readonly NamedBag[];
  /** undefined: it was not said, or fits several */
  readonly productId: string | undefined;
  /** in how much water, and how much of it, as they were said; '' where they were not */
  readonly water: string;
  readonly amount: string;
  /** so much of what its label asks for, where that was said: 0.5 of "half a dose" */
  readonly doseShare?: number;
  /** it was sprayed on leaves */
  readonly isOnLeaves?: boolean;
  /** what nothing was made of: a feed that is none here, or a word beside it */
  readonly rest: string;
  /** undefined: now */
  readonly at: string | undefined;
  readonly who?: string;
}

/** A spray or a bait, as far as it was said: its form asks for what its label wants. */
export interface SaidSpray {
  readonly bags: readonly NamedBag[];
  /** of which plant of several; undefined: of all, or it was not said */
  readonly plantId?: string;
  /** undefined: none that is known by its name */
  readonly agent: SprayAgent | undefined;
  /** what it is called otherwise, and what else was said; '' where nothing is left */
  readonly name: string;
  readonly note: string;
  readonly extent: 'test-leaf' | 'whole';
  /** the cause that it is against, by its id */
  readonly against: string | undefined;
  /** in how much water, and how much of it, as they were said; '' where they were not */
  readonly water: string;
  readonly amount: string;
  /** undefined: now */
  readonly at: string | undefined;
  readonly who?: string;
}

/** The bags of a deed, and what is made of it at each. */
export interface DeedAtBags {
  readonly bags: readonly NamedBag[];
  /** one amount for all of them, and not for each */
  readonly isShared: boolean;
  base(bag: NamedBag): { readonly at: string; readonly containerId: string };
  command(drafts: readonly Draft[]): CommandReading;
}

export type CommandReading =
  /** one deed, or several that were said in one line */
  | { readonly kind: 'command'; readonly commands: readonly [Command, ...Command[]] }
  | { readonly kind: 'feed'; readonly feed: SaidFeed }
  | { readonly kind: 'spray'; readonly spray: SaidSpray }
  /** it says what was done, but something is missing or cannot be */
  | { readonly kind: 'unfinished'; readonly problem: string }
  /** it says nothing of the kind; where it may be meant for the diary all the same, as a note in its own words */
  | { readonly kind: 'other'; readonly asNote?: Command | undefined };

/** No bag takes more at once, and no picking weighs more: as the diary has it. */
export const MOST = { litres: 200, kilograms: 100, count: 5000 };

export const unfinished = (problem: string): CommandReading => ({ kind: 'unfinished', problem });
