import type { Assumed, Assumption } from '../../assumed/index.ts';
import { RundelError } from '../../errors/index.ts';
import type { Solid } from '../solid.ts';

/** One measured length that a kind of container asks for, with the span in which it makes sense (mm). */
export interface Dimension {
  readonly key: string;
  readonly label: string;
  readonly low: number;
  readonly high: number;
}

/** The measured lengths of a container, mm, by the keys of its kind's dimensions. */
export type Dimensions = Readonly<Record<string, number>>;

/** Where water that is too much leaves, and whether the grower may set the holes higher to keep a reserve. */
export interface Drainage {
  readonly by: 'walls' | 'base-holes' | 'slits' | 'open-base' | 'overflow';
  /** where and why, in a sentence */
  readonly description: string;
  /** holes can be made up the side, which keeps a wet reserve below them */
  readonly canBeRaised: boolean;
}

/** What stands under the mix: a reservoir that it takes water from, or a channel with nutrient. */
export interface Under {
  readonly kind: 'reservoir' | 'channel';
  readonly heightMillimetres: number;
  readonly widthMillimetres: number;
  /** what it holds when full, L; undefined for a channel that runs on past the bag */
  readonly litres: number | undefined;
  /** top of the pipe that it is filled through, above the ground, mm */
  readonly pipeMillimetres?: number;
}

/** A bottomless ring that stands in the top of a bag, one at each station; heights above the bag's base, mm. */
export interface Ring {
  readonly widthMillimetres: number;
  readonly fromMillimetres: number;
  readonly toMillimetres: number;
  /** top of the bag that it stands in */
  readonly bagTopMillimetres: number;
}

/**
 * A kind of container as data. To add one: write it in a file beside this one and list it in `kinds/index.ts`;
 * forms, volumes, advice and the section drawing follow from it.
 */
export interface ContainerKind {
  readonly id: string;
  readonly name: string;
  /** after a size, in lists: "38 L round fabric" */
  readonly short: string;
  /** what it is, in the words of a person who has one */
  readonly description: string;
  readonly type: 'bag' | 'pot' | 'trough' | 'bed';
  readonly wall: 'fabric' | 'plastic' | 'film' | 'boards';
  readonly corners: 'square' | 'rounded';
  /** a closed bag planted through slits in its top: no headroom, and hardly any evaporation */
  readonly isClosed: boolean;
  /** its sides bulge when it is filled, so that it holds more than the box that was measured */
  readonly isSoft?: boolean;
  /** whether a stake or cane stands up in it without a frame */
  readonly holdsCane: boolean;
  readonly stations: { readonly usual: number; readonly most: number };
  /** whether growers speak of it by trade class ("10 gallon") */
  readonly hasTradeClass: boolean;
  readonly drainage: Drainage;
  readonly seasons: Assumption;
  /** the empty container, kg per litre that it holds */
  readonly emptyKilogramsPerLitre: Assumption;
  readonly dimensions: readonly Dimension[];
  /** extra conditions between the dimensions; the text names the field and what is wrong */
  check?(size: Dimensions): { readonly key: string; readonly message: string } | undefined;
  /** the room for mix, from the lowest mix upwards */
  solid(size: Dimensions, stations: number, assumed: Assumed): Solid;
  /** what stands under the mix, if anything does */
  under?(size: Dimensions, assumed: Assumed): Under;
  /** the rings in its top, if it has them */
  ring?(size: Dimensions): Ring;
  /** a likely shape for a bag of which only the litres are known */
  likelyDimensions(litres: number, assumed: Assumed, reservoirLitres?: number): Dimensions;
}

/**
 * Measured lengths that suit a kind.
 *
 * @throws RundelError that names the length, what was given and what would do
 */
export function checkedDimensions(kind: ContainerKind, size: Dimensions): Dimensions {
  const refused = (key: string, label: string, allowed: string): RundelError => {
    const given = size[key] === undefined ? 'nothing' : `${Math.round(size[key])} mm`;
    return new RundelError('out-of-range', `${label} of a ${kind.name.toLowerCase()}`, given, allowed);
  };
  const labelOf = (key: string) => kind.dimensions.find((d) => d.key === key)?.label.toLowerCase() ?? key;
  for (const { key, low, high } of kind.dimensions)
    if (!((size[key] ?? NaN) >= low && (size[key] ?? NaN) <= high))
      throw refused(key, labelOf(key), `from ${low} to ${high} mm`);
  const checked = Object.fromEntries(kind.dimensions.map(({ key }) => [key, size[key] ?? NaN]));
  const wrong = kind.check?.(checked);
  if (wrong) throw refused(wrong.key, labelOf(wrong.key), wrong.message);
  return checked;
}

/** A length of a size that the schema has already checked. */
export function length(size: Dimensions, key: string): number {
  const value = size[key];
  if (value === undefined) throw new TypeError(`a size without ${key} got past its schema`);
  return value;
}

/** Dimensions that several kinds ask for. */
export const DIMENSIONS = {
  rim: { key: 'rimMillimetres', label: 'Across the top', low: 80, high: 1500 },
  base: { key: 'baseMillimetres', label: 'Across the base', low: 60, high: 1500 },
  height: { key: 'heightMillimetres', label: 'Height', low: 80, high: 1200 },
  length: { key: 'lengthMillimetres', label: 'Length', low: 80, high: 4000 },
  width: { key: 'widthMillimetres', label: 'Width', low: 80, high: 2000 },
  flat: { key: 'flatMillimetres', label: 'Width, laid flat', low: 100, high: 1500 },
} as const satisfies Record<string, Dimension>;
