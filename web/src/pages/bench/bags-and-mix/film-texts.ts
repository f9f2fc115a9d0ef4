import type { OrderProblem, SleeveOrder } from '@rundel/core/bags';
import type { NamedMeasure, Purpose, UnitSystem } from '@rundel/core/units';
import { readAmount, readNumber } from '../../../text/amount-text.ts';
import type { UnitFormat } from '../../../store/index.ts';

/** An order for sleeves as typed. */
export interface OrderText {
  readonly film: 'flat' | 'tube';
  readonly base: 'open' | 'sealed';
  readonly filmWidth: string;
  readonly flatWidth: string;
  readonly stripLength: string;
  readonly seam: string;
  readonly rim: string;
  readonly count: string;
  /** sleeves side by side across a tube */
  readonly across: string;
  readonly hoped: string;
}

export function startOrder(unitFormat: UnitFormat): OrderText {
  return {
    film: 'tube',
    base: 'sealed',
    filmWidth: unitFormat.show(450, 'size'),
    flatWidth: unitFormat.show(450, 'size'),
    stripLength: unitFormat.show(600, 'size'),
    seam: unitFormat.show(20, 'depth'),
    rim: unitFormat.show(50, 'depth'),
    count: '6',
    across: '1',
    hoped: '',
  };
}

/** Lengths of an order: the field that takes it, its purpose (which decides the unit of a bare number) and its span, mm. */
const LENGTHS = [
  ['filmWidth', 'filmWidthMillimetres', 'size', 50, 12_000],
  ['flatWidth', 'flatMillimetres', 'size', 50, 6000],
  ['stripLength', 'stripMillimetres', 'size', 50, 5000],
  ['seam', 'seamMillimetres', 'depth', 0, 300],
  ['rim', 'rimMillimetres', 'depth', 0, 500],
] as const satisfies readonly (readonly [keyof OrderText, keyof SleeveOrder, Purpose, number, number])[];

/** The field in which what is wrong with a part of an order is told. */
export function fieldOf(part: OrderProblem['field']): keyof OrderText {
  if (part === 'count') return 'count';
  if (part === 'sideBySide') return 'across';
  return LENGTHS.find(([, of]) => of === part)?.[0] ?? 'hoped';
}

/**
 * Reads an order. Every field that does not read has its message; the order is given when all that matter do. A
 * negative seam is read as it stands, so that the plan itself can say what is wrong with it.
 */
export function readOrder(
  text: OrderText,
  system: UnitSystem,
  measures: readonly NamedMeasure[] = [],
): { readonly order?: SleeveOrder; readonly problems: Readonly<Partial<Record<keyof OrderText, string>>> } {
  const problems: Partial<Record<keyof OrderText, string>> = {};
  const lengths: Record<string, number> = {};
  for (const [field, part, purpose, low, high] of LENGTHS) {
    if (field === 'flatWidth' && text.film === 'tube') {
      lengths[part] = 0;
      continue;
    }
    const read = readAmount(text[field], { purpose, system, low: low === 0 ? -high : low, high });
    if (read.ok) lengths[part] = read.value.siValue;
    else problems[field] = read.problem;
  }
  // what is no number is the plan's own to refuse, with the span that it can cut
  const count = readNumber(text.count, { low: -Infinity, high: Infinity });
  const across = readNumber(text.across, { low: -Infinity, high: Infinity });
  const hoped = readAmount(text.hoped, {
    purpose: 'bag',
    system,
    low: 0.5,
    high: 1000,
    isOptional: true,
    measures,
  });
  if (!hoped.ok) problems.hoped = hoped.problem;
  if (Object.keys(problems).some((field) => field !== 'hoped')) return { problems };
  return {
    problems,
    order: {
      film: text.film,
      ...(lengths as Record<(typeof LENGTHS)[number][1], number>),
      isBaseSealed: text.base === 'sealed',
      count: count.ok ? count.value : NaN,
      ...(text.film === 'tube' ? { sideBySide: across.ok ? across.value : NaN } : {}),
      ...(hoped.ok && hoped.value ? { hopedLitres: hoped.value.siValue } : {}),
    },
  };
}
