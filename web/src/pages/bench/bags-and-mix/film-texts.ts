import type { SleeveOrder } from '@rundel/core/bags';
import type { NamedMeasure, Purpose, UnitSystem } from '@rundel/core/units';
import { readAmount } from '../../../text/amount-text.ts';
import type { UnitFormat } from '../../../store/index.ts';

/** An order for sleeves as typed. */
export interface OrderText {
  readonly film: 'flat' | 'tube';
  readonly base: 'open' | 'sealed';
  readonly filmWidthText: string;
  readonly flatMillimetres: string;
  readonly stripMillimetres: string;
  readonly seamMillimetres: string;
  readonly rimMillimetres: string;
  readonly count: string;
  readonly hopedLitres: string;
}

export function startOrder(unitFormat: UnitFormat): OrderText {
  return {
    film: 'tube',
    base: 'sealed',
    filmWidthText: unitFormat.show(450, 'size'),
    flatMillimetres: unitFormat.show(450, 'size'),
    stripMillimetres: unitFormat.show(600, 'size'),
    seamMillimetres: unitFormat.show(20, 'depth'),
    rimMillimetres: unitFormat.show(50, 'depth'),
    count: '6',
    hopedLitres: '',
  };
}

/** Lengths of an order, their purpose (which decides the unit of a bare number) and the span that reads, mm. */
const LENGTHS = [
  ['filmWidthText', 'size', 50, 12_000],
  ['flatMillimetres', 'size', 50, 6000],
  ['stripMillimetres', 'size', 50, 5000],
  ['seamMillimetres', 'depth', 0, 300],
  ['rimMillimetres', 'depth', 0, 500],
] as const satisfies readonly (readonly [keyof OrderText, Purpose, number, number])[];

/**
 * Reads an order. Every field that does not read has its message; the order is given when all that matter do. A
 * negative seam is read as it stands, so that the plan itself can say what is wrong with it.
 */
export function readOrder(
  text: OrderText,
  system: UnitSystem,
  measures: readonly NamedMeasure[] = [],
): { readonly order?: SleeveOrder; readonly problems: Readonly<Record<string, string>> } {
  const problems: Record<string, string> = {};
  const lengths: Record<string, number> = {};
  for (const [key, purpose, low, high] of LENGTHS) {
    if (key === 'flatMillimetres' && text.film === 'tube') {
      lengths[key] = 0;
      continue;
    }
    const read = readAmount(text[key], { purpose, system, low: low === 0 ? -high : low, high });
    if (read.kind === 'given') lengths[key] = read.siValue;
    else problems[key] = read.kind === 'refused' ? read.problem : 'Please measure it.';
  }
  const count = Number(text.count);
  const hoped = readAmount(text.hopedLitres, {
    purpose: 'bag',
    system,
    low: 0.5,
    high: 1000,
    isOptional: true,
    measures,
  });
  if (hoped.kind === 'refused') problems['hopedLitres'] = hoped.problem;
  if (Object.keys(problems).some((key) => key !== 'hopedLitres')) return { problems };
  const { filmWidthText, flatMillimetres, stripMillimetres, seamMillimetres, rimMillimetres } =
    lengths as Record<(typeof LENGTHS)[number][0], number>;
  return {
    problems,
    order: {
      film: text.film,
      filmWidthText,
      flatMillimetres,
      stripMillimetres,
      seamMillimetres,
      rimMillimetres,
      isBaseSealed: text.base === 'sealed',
      count: text.count.trim() === '' ? NaN : count,
      ...(hoped.kind === 'given' ? { hopedLitres: hoped.siValue } : {}),
    },
  };
}
