import { feedProblems, scoopsOf, type FeedProblem } from '@rundel/core/products';
import {
  FEED_FORMS,
  FEED_UNITS,
  feedFactsSchema,
  isGivenInWater,
  nutrientLabelSchema,
  type FeedAmount,
  type FeedFacts,
  type FeedForm,
  type FeedUnit,
  type Product,
  type ProductUnit,
  type LabelDose,
  type NutrientLabel,
} from '@rundel/core/records';
import type { UnitSystem } from '@rundel/core/units';
import { displayDose, displayFactor, doseInWater, parseDose, perWords } from '../../text/dose-text.ts';
import { UNIT_WORDS } from '../../text/feed-amount-text.ts';
import { FORM_WORDS } from '../../text/feed-text.ts';
import {
  choiceField,
  numberField,
  optionalField,
  optionsOf,
  priceField,
  textField,
  type Field,
  type FieldProblem,
  type Texts,
  type ValuesOf,
} from '../../ui/form/index.ts';
import { doseField, type TypedDose } from '../../ui/entries/feeding-forms.ts';
import { productAmountField, seasonsField } from '../../ui/entries/stock-forms.ts';
import { shedUnit } from './feeding/feeds-csv.ts';

/** What a product is for, as a grower would say. */
type ProductUse = 'feeds' | 'support' | 'bag' | 'other';

const PER = ['litre', 'bag', 'plant', 'mix-litre'] as const;

const percent = (label: string) =>
  numberField({
    label,
    spoken: `${label}, per cent`,
    sign: '%',
    low: 0,
    high: 100,
    isOptional: true,
    problem: 'From 0 to 100 %.',
  });

/** What a product's form is made for. */
export interface ProductFormContext {
  readonly system: UnitSystem;
  /** names of other products */
  readonly taken: readonly string[];
  /** what it may be the other part of */
  readonly partners: readonly Pick<Product, 'id' | 'name'>[];
  /** the unit that it is counted in already */
  readonly unit?: ProductUnit | undefined;
}

/** The fields of a product as its label has it, by what is said of it so far. */
export function productFields(
  texts: {
    readonly unit?: string;
    readonly use?: string;
    readonly form?: string;
    readonly countedIn?: string;
  },
  { system, taken, partners, unit }: ProductFormContext,
) {
  const counted =
    (texts.use || 'feeds') === 'feeds'
      ? (unit ?? shedUnit((texts.form || 'liquid') as FeedForm))
      : (texts.countedIn as ProductUnit);
  return {
    name: textField({ label: 'Name', longest: 60, missing: 'Give it a name.', taken }),
    use: choiceField<ProductUse>({
      label: 'What it is for',
      options: [
        { id: 'feeds', label: 'Feeds plants, or goes into the mix' },
        { id: 'support', label: 'Canes, string, cages' },
        { id: 'bag', label: 'Bags' },
        { id: 'other', label: 'Something else' },
      ],
    }),
    form: choiceField<FeedForm>({
      label: 'What it is',
      options: FEED_FORMS.map((id) => ({ id, label: FORM_WORDS[id] })),
    }),
    n: percent('N'),
    p2o5: percent('P₂O₅'),
    k2o: percent('K₂O'),
    ca: percent('Ca'),
    mg: percent('Mg'),
    dose: labelDoseField(system),
    unit: choiceField<FeedUnit>({
      label: 'Counted in',
      options: FEED_UNITS.map((id) => ({ id, label: UNIT_WORDS[id][1] })),
    }),
    per: choiceField<LabelDose['per']>({
      label: 'Given',
      options: PER.map((id) => ({ id, label: perWords(system)[id] })),
    }),
    intervalDays: numberField({
      label: 'Days between two, at the least',
      help: 'If the label says.',
      low: 1,
      high: 365,
      isWhole: true,
      isOptional: true,
      problem: 'Whole days, from 1 to 365.',
    }),
    density: numberField({
      label: 'A litre of it weighs, kg',
      help: 'From the label, or weigh a jar of it.',
      low: 0.01,
      high: 5,
      isOptional: true,
      problem: 'Kilograms in a litre, from a little to 5.',
    }),
    months: numberField({
      label: 'Months over which it feeds',
      help: 'Left out: it is there at once.',
      low: 0.1,
      high: 60,
      isOptional: true,
      problem: 'Months, from a few days (0.1) to 60.',
    }),
    gramsEach: numberField({
      label: 'One weighs, g',
      low: 0.1,
      high: 1000,
      isOptional: true,
      problem: 'Grams, from 0.1 to 1000.',
    }),
    partnerId: choiceField({
      label: 'Other part',
      options: partners.map(({ id, name }) => ({ id, label: name })),
    }),
    countedIn: choiceField<ProductUnit>({
      label: 'Counted',
      options: optionsOf({
        piece: 'In pieces',
        kilogram: 'By weight',
        litre: 'By volume',
        metre: 'By length',
      }),
    }),
    packAmount: optionalField(
      productAmountField({ unit: counted }, { label: 'A pack holds', help: 'If you know a price.' }),
    ),
    packPrice: priceField({ label: 'Price' }),
    seasons: seasonsField('Seasons that one lasts', 'Empty: used up in one.'),
  };
}

/** What a label asks for; with water behind it, in each litre or gallon of it. */
function labelDoseField(system: UnitSystem): Field<TypedDose> {
  const field = doseField({
    label: 'Dose by its label',
    missing: 'How much does its label ask for?',
    most: 5000,
    tooMuch: 'No label asks for so much.',
  });
  return {
    ...field,
    help: 'As it stands there: "15\u00a0g in 5\u00a0L", "1\u00a0tbsp per gal", "1:200".',
    read(text, context) {
      const inWater = doseInWater(text, system);
      const read = field.read(inWater?.dose ?? text, context);
      if (!read.ok || !inWater) return read;
      const amount = (read.value.amount / inWater.litres) * displayFactor('litre', system);
      return { ok: true, value: { ...read.value, amount } };
    },
  };
}

export type ProductFields = ReturnType<typeof productFields>;
type Values = ValuesOf<ProductFields>;

const NOT_OVER_MONTHS: readonly string[] = ['soluble', 'tea', 'two-part'] satisfies FeedForm[];

/** Whether a field is asked of a product by what is said of it so far. */
export function isProductAsked(name: string, { use, form }: Readonly<Texts<ProductFields>>): boolean {
  if (['name', 'use', 'density', 'packAmount', 'packPrice'].includes(name)) return true;
  if (name === 'countedIn' || name === 'seasons') return use !== 'feeds';
  if (use !== 'feeds') return false;
  if (name === 'months') return !NOT_OVER_MONTHS.includes(form);
  if (name === 'gramsEach') return form === 'spike';
  return name === 'partnerId' ? form === 'two-part' : true;
}

function purposeOf(product: Product | undefined): ProductUse {
  const kind = product?.kind;
  return kind === 'support' || kind === 'bag' || kind === 'other' ? kind : 'feeds';
}

/** What the form of a product, or of a new one, begins with. */
export function startOfProduct(product: Product | undefined, system: UnitSystem): Partial<Values> {
  const { feed, label } = product ?? {};
  return {
    ...label,
    ...(product ? { name: product.name, countedIn: product.unit } : {}),
    use: purposeOf(product),
    form: feed?.form ?? 'liquid',
    unit: feed?.dose.unit ?? 'millilitre',
    per: feed?.dose.per ?? 'litre',
    ...(feed ? { dose: { amount: displayDose(feed.dose, system) } } : {}),
    ...(product?.seasons === undefined ? {} : { seasons: product.seasons }),
    ...(product?.kilogramsPerLitre === undefined ? {} : { density: product.kilogramsPerLitre }),
    ...(feed?.intervalDays === undefined ? {} : { intervalDays: feed.intervalDays }),
    ...(feed?.months === undefined ? {} : { months: feed.months }),
    ...(feed?.gramsEach === undefined ? {} : { gramsEach: feed.gramsEach }),
    ...(feed?.partnerId ? { partnerId: feed.partnerId } : {}),
  };
}

/** What suits another kind of product that is chosen: a unit for its dose, and what the dose is for. */
export function suiting(
  form: FeedForm,
  now: { readonly unit: string; readonly per: string },
): { readonly unit: FeedUnit; readonly per: LabelDose['per'] } {
  const [unit, per] = [now.unit as FeedUnit, now.per as LabelDose['per']];
  if (isGivenInWater(form))
    return {
      per: 'litre',
      unit: form === 'soluble' ? 'gram' : unit === 'teaspoon' ? 'teaspoon' : 'millilitre',
    };
  const isWet = unit === 'millilitre' || unit === 'litre';
  return {
    per: per === 'litre' ? 'bag' : per,
    unit: form === 'spike' ? 'piece' : isWet || unit === 'piece' ? 'spoon' : unit,
  };
}

/** What does not go together in a product, at its field. */
export function productProblems({
  packAmount,
  packPrice,
}: Values): readonly FieldProblem<keyof ProductFields>[] {
  const problem = 'A pack needs both, or neither.';
  if ((packAmount === undefined) === (packPrice === undefined)) return [];
  return [{ at: packAmount === undefined ? 'packAmount' : 'packPrice', problem }];
}

export interface ProductReading {
  readonly label: NutrientLabel | undefined;
  /** undefined for what does not feed */
  readonly feed: FeedFacts | undefined;
  /** what the grower should know; with a fatal one it is no product yet */
  readonly remarks: readonly FeedProblem[];
  /** what cannot be of the label as a whole */
  readonly labelProblem?: string | undefined;
  readonly isWhole: boolean;
}

/** What feeds, as the form has it so far, with what there is to remark. */
export function feedOf(
  values: Partial<Values>,
  system: UnitSystem,
  steep?: FeedFacts['steep'],
): ProductReading {
  if (values.use !== 'feeds') return { label: undefined, feed: undefined, remarks: [], isWhole: true };
  const { form = 'liquid', per = 'litre', partnerId, intervalDays, months, gramsEach } = values;
  const { n, p2o5, k2o, ca, mg } = values;
  const isUnknown = form === 'tea' && [n, p2o5, k2o].every((share) => share === undefined);
  const label = {
    n: n ?? 0,
    p2o5: p2o5 ?? 0,
    k2o: k2o ?? 0,
    ...(ca === undefined ? {} : { ca }),
    ...(mg === undefined ? {} : { mg }),
  };
  const dose = scooped(values, system);
  const feed = feedFactsSchema.safeParse({
    form,
    dose: { amount: parseDose(dose.amount, per, system), unit: dose.unit, per },
    ...(intervalDays === undefined ? {} : { intervalDays }),
    ...(months === undefined ? {} : { months }),
    ...(gramsEach === undefined ? {} : { gramsEach }),
    ...(form === 'two-part' && partnerId ? { partnerId } : {}),
    ...(form === 'tea' && steep ? { steep } : {}),
  });
  const read = isUnknown ? undefined : nutrientLabelSchema.safeParse(label);
  const remarks = feed.success
    ? feedProblems({
        ...(isUnknown ? {} : { label }),
        kilogramsPerLitre: values.density,
        feed: feed.data,
      })
    : [];
  return {
    label: read?.data,
    feed: feed.data,
    remarks,
    labelProblem: read?.error?.issues[0]?.message,
    isWhole: feed.success && (read?.success ?? true) && !remarks.some((remark) => remark.isFatal),
  };
}

/** The dose as it is stored: a dry feed in scoops, since "2 us tablespoons" is a volume told in the grower's own spoon. */
function scooped(
  { dose, unit = 'millilitre', form = 'liquid' }: Partial<Values>,
  system: UnitSystem,
): FeedAmount {
  const typed = { amount: dose?.amount ?? 1, unit: dose?.unit ?? unit };
  const isVolume = typed.unit === 'millilitre' && unit !== 'millilitre';
  if (!isVolume || isGivenInWater(form)) return typed;
  const { spoon } = scoopsOf({ settings: { units: system, assumptions: {} }, measures: [] });
  return { amount: typed.amount / 1000 / spoon, unit: 'spoon' };
}
