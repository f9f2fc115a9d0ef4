import { addDays, isDay } from '@rundel/core/calendar';
import { cropOf, CROPS } from '@rundel/core/plants';
import { DEPTH_PRACTICES } from '@rundel/core/planting';
import { type EntryOf, seedlingSchema, type Seedling, type Plan } from '@rundel/core/records';
import { readAmount, refused } from '../text/amount-text.ts';
import type { UnitFormat } from '../store/index.ts';
import {
  amountField,
  choiceField,
  dayField,
  isWhole,
  namedOptions,
  numberField,
  textField,
  type Field,
  type FieldContext,
  type FieldProblem,
  type FieldsForm,
  type Texts,
  type ValuesOf,
} from './form/index.ts';

/** What a planting comes to once its form reads. */
export interface PlantingFormResult {
  readonly cropId: string;
  readonly habitId: string;
  readonly varietyName: string;
  readonly plantName: string | undefined;
  readonly plantedOn: string | undefined;
  readonly seedling: Seedling;
  /** nobody measured it: it is taken to be a usual one */
  readonly isGuessed: boolean;
  /** seed, sown where it stays, and how many in each place */
  readonly isSown: boolean;
  readonly seeds: number | undefined;
  readonly sownOn: string | undefined;
  readonly practiceId: string | undefined;
  /** how it goes in, where that was worked out; upright otherwise */
  readonly plantingMethod?: Pick<
    EntryOf<'planted'>,
    'plantingMethodId' | 'levelMillimetres' | 'buriedMillimetres'
  >;
}

/** Heights of leaves above the ball, mm, typed one after the other. */
const LEAVES: Field<readonly number[] | undefined> = {
  label: 'Heights of the leaves',
  help: 'As "6 11 16", from below; empty: I guess.',
  input: { kind: 'text', longest: 200 },
  read(text, { unitFormat: { system } }) {
    const heights: number[] = [];
    for (const part of text.split(/[;,\s]+(?=[\d.])/).filter((p) => p.trim() !== '')) {
      const read = readAmount(part, { purpose: 'depth', system, low: 0, high: 1500 });
      if (!read.ok) return refused(`"${part}" does not read as a height. Write them with spaces: 6 11 16.`);
      heights.push(read.value.siValue);
    }
    return { ok: true, value: heights.length > 0 ? heights : undefined };
  },
  write: (heights, { unitFormat }) => heights.map((mm) => unitFormat.show(mm, 'depth')).join('; '),
};

/**
 * The fields of a planting: crop, habit, day, and the seedling as measured.
 *
 * @param today the last day that counts as past
 * @param needs what has to be said; all else may be left out
 */
export function plantingFields(
  texts: { readonly cropId?: string },
  unitFormat: UnitFormat,
  today: string,
  needs: readonly 'plantedOn'[] = [],
) {
  const crop = cropOf(texts.cropId || (CROPS[0]?.id ?? ''));
  const isDated = needs.includes('plantedOn');
  const day = dayField({
    label: 'Planted on',
    help: isDated ? undefined : 'Empty: not yet; the advice shows all the same.',
    missing: isDated ? 'On which day did it go in?' : undefined,
    latest: today,
    isOptional: !isDated,
  }) as Field<string | undefined>;
  const names = textField({
    label: 'Name of the plant',
    help: 'If you like; for several "Ada, Bet, Cy".',
    longest: 400,
  });
  return {
    cropId: choiceField({ label: 'Crop', options: namedOptions(CROPS) }),
    habitId: choiceField({ label: 'Growth', options: namedOptions(crop.habits) }),
    isSown: choiceField<'plant' | 'seed'>({
      label: 'It goes in as',
      options: [
        { id: 'plant', label: 'a young plant' },
        { id: 'seed', label: 'seed, sown in place' },
      ],
    }),
    seeds: numberField({
      label: 'Seeds in each place',
      help: `Empty: ${crop.sowing.perStation}. The best one stays.`,
      low: 1,
      high: 50,
      isWhole: true,
      isOptional: true,
      problem: 'From 1 to 50 seeds.',
    }),
    sownOn: dayField({
      label: 'Sown on',
      help: 'If you know it: its age is counted from then.',
      latest: today,
      isOptional: true,
    }) as Field<string | undefined>,
    varietyName: textField({ label: 'Variety', help: `Empty: just "${crop.name}".`, longest: 60 }),
    plantName: {
      ...names,
      read(text: string, context: FieldContext) {
        const isTooLong = text.split(',').some((name) => name.trim().length > 60);
        return isTooLong ? refused('A name has at most 60 letters.') : names.read(text, context);
      },
    },
    plantedOn: {
      ...day,
      read(text: string, context: FieldContext) {
        const problem = plantedOnProblem(text, today);
        return problem ? refused(problem) : day.read(text, context);
      },
    },
    stem: amountField({
      label: 'Height of the plant',
      help: `From root ball to tip. Empty: as usual, about ${unitFormat.show(crop.usualSeedlingMillimetres, 'height')}.`,
      purpose: 'height',
      low: 20,
      high: 1500,
      isOptional: true,
    }),
    ball: amountField({
      label: 'Height of the root ball',
      help: `Empty: ${unitFormat.show(crop.ball.heightMillimetres, 'depth')}, as from a usual pot.`,
      purpose: 'depth',
      low: 20,
      high: 400,
      isOptional: true,
    }),
    graft: amountField({
      label: 'Graft above the ball',
      help: 'Empty: not grafted.',
      purpose: 'depth',
      low: 10,
      high: 500,
      isOptional: true,
    }),
    leaves: LEAVES,
    practiceId: choiceField({ label: 'How deep', options: namedOptions(DEPTH_PRACTICES) }),
  };
}

export type PlantingFields = ReturnType<typeof plantingFields>;

/** Whether a field is asked: seed has no height, and a crop that roots from its stem alone has a depth to choose. */
export function isPlantingAsked(
  name: string,
  { cropId, isSown }: { readonly cropId: string; readonly isSown?: string },
): boolean {
  if (name === 'seeds') return isSown === 'seed';
  if (['stem', 'ball', 'sownOn', 'graft', 'leaves', 'practiceId'].includes(name) && isSown === 'seed')
    return false;
  return cropOf(cropId).depth === 'stem-roots' || !['graft', 'leaves', 'practiceId'].includes(name);
}

/** What a planting begins with: today, and as deep as the grower plants. */
export function plantingStart(today: string, practiceId: string) {
  return { plantedOn: today, practiceId, isSown: 'plant' as const };
}

/** What seed is taken for where a seedling is asked: nothing stands above the mix. */
const SEED: Seedling = { stemMillimetres: 20, ballMillimetres: 20 };

/** A seedling as it was measured; what nobody measured is as usual for its crop. */
function seedlingOf(values: Partial<ValuesOf<PlantingFields>>): Seedling {
  const { cropId = '', isSown, stem, ball, graft, leaves } = values;
  if (isSown === 'seed') return SEED;
  const crop = cropOf(cropId);
  return {
    stemMillimetres: stem ?? usualStem(crop.usualSeedlingMillimetres, graft, leaves),
    ballMillimetres: ball ?? crop.ball.heightMillimetres,
    ...(graft === undefined ? {} : { graftMillimetres: graft }),
    ...(leaves === undefined ? {} : { leafMillimetres: [...leaves] }),
  };
}

/** A plant is taller than its graft and as tall as its highest leaf, where those are known and its height is not. */
function usualStem(usual: number, graft: number | undefined, leaves: readonly number[] | undefined): number {
  return Math.max(usual, ...(graft === undefined ? [] : [graft + 50]), ...(leaves ?? []));
}

const FIELD_OF: Readonly<Record<string, keyof PlantingFields>> = {
  graftMillimetres: 'graft',
  leafMillimetres: 'leaves',
  stemMillimetres: 'stem',
  ballMillimetres: 'ball',
};

/** What does not go together in a seedling, at its field. */
export function plantingProblems(
  values: Partial<ValuesOf<PlantingFields>>,
): readonly FieldProblem<keyof PlantingFields>[] {
  const issues = seedlingSchema.safeParse(seedlingOf(values)).error?.issues ?? [];
  return issues.map(({ path, message }) => ({ at: FIELD_OF[String(path[0])] ?? 'stem', problem: message }));
}

/** What a planting comes to: undefined while its fields do not read. */
export function plantingOf(
  form: Pick<FieldsForm<PlantingFields>, 'values' | 'fields'>,
): PlantingFormResult | undefined {
  if (!isWhole(form)) return undefined;
  const { values } = form;
  if (plantingProblems(values).length > 0) return undefined;
  return { ...plantOf(values), seedling: seedlingOf(values) };
}

/** The habit that is chosen; another crop has other habits, and until one is chosen it is its first. */
export function habitIdOf({
  cropId,
  habitId,
}: {
  readonly cropId: string;
  readonly habitId: string;
}): string {
  const { habits } = cropOf(cropId);
  return habits.some((h) => h.id === habitId) ? habitId : (habits[0]?.id ?? '');
}

/** What is to grow, whether or not it has a height yet. */
export function plantOf(values: ValuesOf<PlantingFields>): Omit<PlantingFormResult, 'seedling'> {
  const { cropId, varietyName, plantName, plantedOn, practiceId, sownOn, stem, seeds } = values;
  const crop = cropOf(cropId);
  const isSown = values.isSown === 'seed';
  return {
    isSown,
    seeds: isSown ? (seeds ?? crop.sowing.perStation) : undefined,
    sownOn: isSown ? undefined : sownOn,
    isGuessed: !isSown && stem === undefined,
    cropId,
    habitId: habitIdOf(values),
    varietyName: varietyName || crop.name,
    plantName: plantName || undefined,
    plantedOn,
    practiceId: crop.depth === 'stem-roots' ? practiceId : undefined,
  };
}

/** The fields of a planting that one screen hands to another in an address. */
const HANDED_OVER = [
  'cropId',
  'habitId',
  'isSown',
  'varietyName',
  'plantName',
  'sownOn',
  'stem',
  'ball',
  'graft',
  'leaves',
  'practiceId',
] as const;

/** A planting's fields as a query, for a link to the screen where it is done. */
export function plantingQuery(texts: Partial<Texts<PlantingFields>>): string {
  const query = new URLSearchParams();
  for (const key of HANDED_OVER) {
    const text = texts[key];
    if (text) query.set(key, text);
  }
  return query.toString();
}

/** The texts that a query hands over; a crop or habit that does not exist is left out. */
export function plantingFrom(query: URLSearchParams): Partial<Texts<PlantingFields>> {
  const { cropId, habitId, ...rest } = Object.fromEntries(
    HANDED_OVER.flatMap((key) => (query.get(key) ? [[key, query.get(key)]] : [])),
  ) as Partial<Texts<PlantingFields>>;
  const crop = CROPS.find((c) => c.id === cropId);
  const isHabit = crop?.habits.some((h) => h.id === habitId);
  return { ...rest, ...(crop ? { cropId: crop.id } : {}), ...(isHabit && habitId ? { habitId } : {}) };
}

/** How far back a planting may be entered: further than this is a slip of the finger. */
const LONGEST_AGO_DAYS = 730;

/** What a planting that carries out a plan begins with. */
export function startOfPlan(plan: Plan): Partial<ValuesOf<PlantingFields>> {
  const { cropId, habitId, varietyName, plantName, practiceId, seedling, isSown } = plan;
  return {
    isSown: isSown ? 'seed' : 'plant',
    cropId,
    habitId,
    ...(varietyName ? { varietyName } : {}),
    ...(plantName ? { plantName } : {}),
    ...(practiceId ? { practiceId } : {}),
    ...(seedling
      ? {
          stem: seedling.stemMillimetres,
          ball: seedling.ballMillimetres,
          graft: seedling.graftMillimetres,
          leaves: seedling.leafMillimetres,
        }
      : {}),
  };
}

/** What is wrong with a planting day, or undefined. */
export function plantedOnProblem(day: string, today: string): string | undefined {
  if (day === '') return undefined;
  if (!isDay(day)) return 'This is not a whole date.';
  if (day > today) return 'That is in the future. Leave it empty until the plant is in.';
  if (day < addDays(today, -LONGEST_AGO_DAYS)) return 'That is more than two years ago. Is the year right?';
  return undefined;
}
