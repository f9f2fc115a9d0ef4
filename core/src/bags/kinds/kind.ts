import * as z from '../../schema/index.ts';
import type { Assumed } from '../../assumed/index.ts';
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

/**
 * A kind of container as data. To add one: write a file beside this one and list it in `kinds/index.ts`;
 * forms, volumes and the section drawing follow from it.
 */
export interface ContainerKind {
  readonly id: string;
  readonly name: string;
  /** what it is, in the words of a person who has one */
  readonly words: string;
  readonly type: 'bag' | 'pot' | 'trough' | 'bed';
  readonly wall: 'fabric' | 'plastic' | 'film';
  readonly corners: 'square' | 'rounded';
  /** whether a stake or cane stands up in it without a frame */
  readonly holdsCane: boolean;
  readonly stations: { readonly usual: number; readonly most: number };
  /** whether growers speak of it by trade class ("10 gallon") */
  readonly hasTradeClass: boolean;
  readonly dimensions: readonly Dimension[];
  /** extra conditions between the dimensions; the text names the field and what is wrong */
  check?(size: Dimensions): { readonly key: string; readonly message: string } | undefined;
  solid(size: Dimensions): Solid;
  /** a likely shape for a bag of which only the litres are known */
  likelyDimensions(litres: number, assumed: Assumed): Dimensions;
}

/** Measured lengths checked against a kind: every field present, finite and inside its span. */
export function dimensionsSchema(kind: ContainerKind): z.ZodType<Dimensions> {
  const fields = Object.fromEntries(kind.dimensions.map((d) => [d.key, z.number().min(d.low).max(d.high)]));
  return z.object(fields).superRefine((size, context) => {
    const wrong = kind.check?.(size as Dimensions);
    if (wrong) context.addIssue({ code: 'custom', path: [wrong.key], message: wrong.message });
  }) as z.ZodType<Dimensions>;
}

/** A length of a size that the schema has already checked. */
export function length(size: Dimensions, key: string): number {
  const value = size[key];
  if (value === undefined) throw new TypeError(`a size without ${key} got past its schema`);
  return value;
}
