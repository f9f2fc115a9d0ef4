import { planSleeves, type OrderProblem, type SleeveOrder } from '@rundel/core/bags';
import {
  amountField,
  choiceField,
  numberField,
  type FieldProblem,
  type FormStart,
  type ValuesOf,
} from '../../../ui/form/index.ts';
import type { UnitFormat } from '../../../store/index.ts';

const length = (label: string, low: number, high: number, help?: string) =>
  amountField({ label, help, purpose: 'size', low, high });

/** What is asked of an order for sleeves. Spans are wide: what cannot be cut is the plan's own to refuse. */
export const FILM_FIELDS = {
  film: choiceField<SleeveOrder['film']>({
    label: 'The film is',
    options: [
      { id: 'tube', label: 'A tube, laid flat' },
      { id: 'flat', label: 'A flat sheet' },
    ],
  }),
  filmWidth: length('Width of the roll', 50, 12_000),
  flatWidth: length('Width of a sleeve, laid flat', 50, 6000),
  across: numberField({
    label: 'Side by side',
    help: 'More than one: cut along it, a seam at either side of a cut.',
    low: -Infinity,
    high: Infinity,
  }),
  stripLength: length('Length cut for one', 50, 5000),
  // a seam below nothing is read as it stands, so that the plan can say what is wrong with it
  seam: amountField({ label: 'A seam takes', purpose: 'depth', low: -300, high: 300 }),
  base: choiceField<'open' | 'sealed'>({
    label: 'Its base',
    options: [
      { id: 'open', label: 'Open, on soil' },
      { id: 'sealed', label: 'Sealed' },
    ],
  }),
  rim: amountField({ label: 'Free at the rim', purpose: 'depth', low: -500, high: 500 }),
  count: numberField({ label: 'How many', low: -Infinity, high: Infinity }),
  hoped: amountField({
    label: 'I hope each holds',
    help: 'Empty if you hope for nothing in particular.',
    purpose: 'bag',
    low: 0.5,
    high: 1000,
    inMeasures: true,
    isOptional: true,
  }),
};

type FilmValues = ValuesOf<typeof FILM_FIELDS>;
type FilmField = keyof FilmValues & string;

/** The field in which what is wrong with a part of an order is told. */
const FIELD_OF: Readonly<Record<OrderProblem['field'], FilmField>> = {
  filmWidthMillimetres: 'filmWidth',
  flatMillimetres: 'flatWidth',
  sideBySide: 'across',
  stripMillimetres: 'stripLength',
  seamMillimetres: 'seam',
  rimMillimetres: 'rim',
  count: 'count',
};

export function filmStart(unitFormat: Pick<UnitFormat, 'range'>): FormStart<typeof FILM_FIELDS> {
  return {
    isLive: true,
    values: {
      film: 'tube',
      base: 'sealed',
      filmWidth: 450,
      flatWidth: 450,
      stripLength: 600,
      seam: 20,
      rim: 50,
      count: 6,
      across: 1,
    },
    isAsked: (name, { film }) =>
      name === 'flatWidth' ? film === 'flat' : name !== 'across' || film === 'tube',
    check: (values) => problemsOf(values, unitFormat),
  };
}

/** What the plan refuses, each beside its field. */
function problemsOf(
  values: Partial<FilmValues>,
  unitFormat: Pick<UnitFormat, 'range'>,
): readonly FieldProblem<FilmField>[] {
  const order = orderOf(values);
  const result = order && planSleeves(order);
  if (result?.kind !== 'refused') return [];
  return result.problems.map(({ field, message, span }) => ({
    at: FIELD_OF[field],
    problem: span ? `${message} ${unitFormat.range(span.low, span.high, 'size')}.` : message,
  }));
}

/** The order, once all that it needs reads. */
export function orderOf(values: Partial<FilmValues>): SleeveOrder | undefined {
  const { film, filmWidth, flatWidth, across, stripLength, seam, base, rim, count, hoped } = values;
  if (film === undefined || base === undefined) return undefined;
  const needed = [filmWidth, stripLength, seam, rim, count, film === 'flat' ? flatWidth : across];
  if (needed.some((value) => value === undefined)) return undefined;
  return {
    film,
    filmWidthMillimetres: filmWidth as number,
    flatMillimetres: film === 'flat' ? (flatWidth as number) : 0,
    stripMillimetres: stripLength as number,
    seamMillimetres: seam as number,
    rimMillimetres: rim as number,
    isBaseSealed: base === 'sealed',
    count: count as number,
    ...(film === 'tube' ? { sideBySide: across as number } : {}),
    ...(hoped === undefined ? {} : { hopedLitres: hoped }),
  };
}
