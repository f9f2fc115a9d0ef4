import { feedProblems, scoopsOf, type FeedProblem } from '@rundel/core/products';
import {
  feedFactsSchema,
  isGivenInWater,
  nutrientLabelSchema,
  type FeedFacts,
  type FeedForm,
  type FeedUnit,
  type Product,
  type ProductUnit,
  type LabelDose,
  type NutrientLabel,
} from '@rundel/core/records';
import { parseNumber, type UnitSystem } from '@rundel/core/units';
import { readDose, readNumber } from '../../text/amount-text.ts';
import { parseDose, displayDose } from '../../text/dose-text.ts';

/** What a product is for, as a grower would say. */
export type ProductUse = 'feeds' | 'support' | 'bag' | 'other';

/** A product's form as it is typed. */
export interface ProductForm {
  readonly name: string;
  readonly use: ProductUse;
  /** how one that does not feed is counted */
  readonly countedIn: ProductUnit;
  readonly form: FeedForm;
  readonly n: string;
  readonly p2o5: string;
  readonly k2o: string;
  readonly ca: string;
  readonly mg: string;
  readonly density: string;
  readonly dose: string;
  readonly unit: FeedUnit;
  readonly per: LabelDose['per'];
  readonly intervalDays: string;
  readonly months: string;
  readonly gramsEach: string;
  readonly partnerId: string;
  readonly packAmount: string;
  readonly packPrice: string;
}

export type ProductReading =
  | {
      readonly kind: 'read';
      readonly label: NutrientLabel | undefined;
      readonly kilogramsPerLitre: number | undefined;
      /** undefined for what does not feed */
      readonly feed: FeedFacts | undefined;
      readonly pack: { readonly amount: number; readonly price: number } | undefined;
      readonly remarks: readonly FeedProblem[];
    }
  | {
      readonly kind: 'refused';
      readonly problems: Partial<Record<keyof ProductForm, string>>;
      readonly remarks: readonly FeedProblem[];
    };

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

function purposeOf(product: Product | undefined): ProductUse {
  const kind = product?.kind;
  return kind === 'support' || kind === 'bag' || kind === 'other' ? kind : 'feeds';
}

/** The form of a product, or of a new one. */
export function productFormOf(product: Product | undefined, system: UnitSystem): ProductForm {
  const { feed, label } = product ?? {};
  return {
    name: product?.name ?? '',
    use: purposeOf(product),
    countedIn: product?.unit ?? 'piece',
    form: feed?.form ?? 'liquid',
    n: text(label?.n),
    p2o5: text(label?.p2o5),
    k2o: text(label?.k2o),
    ca: text(label?.ca),
    mg: text(label?.mg),
    density: text(product?.kilogramsPerLitre),
    dose: text(feed && displayDose(feed.dose, system)),
    unit: feed?.dose.unit ?? 'millilitre',
    per: feed?.dose.per ?? 'litre',
    intervalDays: text(feed?.intervalDays),
    months: text(feed?.months),
    gramsEach: text(feed?.gramsEach),
    partnerId: feed?.partnerId ?? '',
    packAmount: '',
    packPrice: '',
  };
}

/** The form when another kind of product is chosen: a dose in a unit and for a measure that suit it. */
export function withForm(now: ProductForm, form: FeedForm): ProductForm {
  if (isGivenInWater(form))
    return {
      ...now,
      form,
      per: 'litre',
      unit: form === 'soluble' ? 'gram' : now.unit === 'teaspoon' ? 'teaspoon' : 'millilitre',
    };
  const isWet = now.unit === 'millilitre' || now.unit === 'litre';
  return {
    ...now,
    form,
    per: now.per === 'litre' ? 'bag' : now.per,
    unit: form === 'spike' ? 'piece' : isWet || now.unit === 'piece' ? 'spoon' : now.unit,
  };
}

/** Reads the form; what is wrong is said beside its field, and remarks are what the grower should know. */
export function readProductForm(
  form: ProductForm,
  system: UnitSystem,
  steep?: FeedFacts['steep'],
): ProductReading {
  const problems: Partial<Record<keyof ProductForm, string>> = {};
  const number = (
    key: keyof ProductForm,
    low: number,
    high: number,
    words: string,
    isWhole = false,
  ): number | undefined => {
    const typed = form[key].trim();
    if (typed === '') return undefined;
    const read = readNumber(typed, { low, high, isWhole });
    if (read.kind === 'given') return read.siValue;
    problems[key] = parseNumber(typed)?.rest === '' ? words : read.kind === 'refused' ? read.problem : words;
    return undefined;
  };
  const percent = 'From 0 to 100 %.';
  const label = {
    n: number('n', 0, 100, percent) ?? 0,
    p2o5: number('p2o5', 0, 100, percent) ?? 0,
    k2o: number('k2o', 0, 100, percent) ?? 0,
    ...optional('ca', number('ca', 0, 100, percent)),
    ...optional('mg', number('mg', 0, 100, percent)),
  };
  const kilogramsPerLitre = number('density', 0.01, 5, 'Kilograms in a litre, from a little to 5.');
  // a unit that is typed goes before the one that was chosen
  const typed = form.dose.trim() === '' ? undefined : readDose(form.dose, form.unit, system);
  // a dry feed is stored in scoops: "2 us tablespoons" is a volume, told in the grower's own spoon
  const isScooped = typed?.ok && typed.value.unit === 'millilitre' && form.unit !== 'millilitre';
  const dose = !typed?.ok
    ? undefined
    : isScooped && !isGivenInWater(form.form)
      ? { amount: typed.value.amount / 1000 / spoonLitres(system), unit: 'spoon' as const }
      : typed.value;
  if (!typed) problems.dose = 'How much does its label ask for?';
  else if (!typed.ok) problems.dose = typed.problem;
  else if (typed.value.amount > 5000) problems.dose = 'No label asks for so much.';
  const intervalDays = number('intervalDays', 1, 365, 'Whole days, from 1 to 365.', true);
  const months = number('months', 0.1, 60, 'Months, from a few days (0.1) to 60.');
  const gramsEach = number('gramsEach', 0.1, 1000, 'Grams, from 0.1 to 1000.');
  const packAmount = number('packAmount', 0.001, 100_000, 'A number above 0.');
  const packPrice = number('packPrice', 0, 100_000, 'A number from 0.');
  if ((packAmount === undefined) !== (packPrice === undefined))
    problems[packAmount === undefined ? 'packAmount' : 'packPrice'] = 'A pack needs both, or neither.';
  if (form.name.trim() === '') problems.name = 'Give it a name.';
  const pack =
    packAmount !== undefined && packPrice !== undefined
      ? { amount: packAmount, price: packPrice }
      : undefined;
  if (form.use !== 'feeds') {
    const asked = ['name', 'density', 'packAmount', 'packPrice'] as const;
    const found = asked.filter((key) => problems[key] !== undefined);
    return found.length > 0
      ? {
          kind: 'refused',
          problems: Object.fromEntries(found.map((key) => [key, problems[key]])),
          remarks: [],
        }
      : { kind: 'read', label: undefined, kilogramsPerLitre, feed: undefined, pack, remarks: [] };
  }
  const isUnknown = form.form === 'tea' && [form.n, form.p2o5, form.k2o].every((t) => t.trim() === '');
  const feed = feedFactsSchema.safeParse({
    form: form.form,
    dose: {
      amount: parseDose(dose?.amount ?? 1, form.per, system),
      unit: dose?.unit ?? form.unit,
      per: form.per,
    },
    ...optional('intervalDays', intervalDays),
    ...optional('months', months),
    ...optional('gramsEach', gramsEach),
    ...(form.form === 'two-part' && form.partnerId ? { partnerId: form.partnerId } : {}),
    ...(form.form === 'tea' && steep ? { steep } : {}),
  });
  const remarks = feed.success
    ? feedProblems({ ...(isUnknown ? {} : { label }), kilogramsPerLitre, feed: feed.data })
    : [];
  const read = isUnknown ? undefined : nutrientLabelSchema.safeParse(label);
  const isFatal = remarks.some((r) => r.isFatal);
  if (Object.keys(problems).length > 0 || !feed.success || isFatal || (read && !read.success))
    return { kind: 'refused', problems, remarks };
  return {
    kind: 'read',
    label: read?.data,
    kilogramsPerLitre,
    feed: feed.data,
    pack,
    remarks,
  };
}

function spoonLitres(system: UnitSystem): number {
  return scoopsOf({ settings: { units: system, assumptions: {} }, measures: [] }).spoon;
}

function optional<K extends string>(key: K, value: number | undefined): Partial<Record<K, number>> {
  return value === undefined ? {} : ({ [key]: value } as Record<K, number>);
}
