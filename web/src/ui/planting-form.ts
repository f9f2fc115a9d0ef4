import { addDays, dayOf, isDay } from '@rundel/core/calendar';
import { cropOf, CROPS } from '@rundel/core/plants';
import { DEPTH_PRACTICES } from '@rundel/core/planting';
import {
  type Draft,
  type EntryOf,
  type Variety,
  seedlingSchema,
  type Seedling,
  type Plan,
} from '@rundel/core/records';
import { readAmount, refused } from '../text/amount-text.ts';
import { newId, type RecordChange, type UnitFormat } from '../store/index.ts';
import {
  amountField,
  choiceField,
  dayField,
  isWhole,
  namedOptions,
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
 * @param needs what has to be said; the others may be left out
 */
export function plantingFields(
  texts: { readonly cropId?: string },
  unitFormat: UnitFormat,
  today: string,
  needs: readonly ('stem' | 'plantedOn')[] = ['stem'],
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
  return {
    cropId: choiceField({ label: 'Crop', options: namedOptions(CROPS) }),
    habitId: choiceField({ label: 'Habit', options: namedOptions(crop.habits) }),
    varietyName: textField({ label: 'Variety', help: `Empty: just "${crop.name}".`, longest: 60 }),
    plantName: textField({ label: 'A name of its own', help: 'If you like.', longest: 60 }),
    plantedOn: {
      ...day,
      read(text: string, context: FieldContext) {
        const problem = plantedOnProblem(text, today);
        return problem ? refused(problem) : day.read(text, context);
      },
    },
    stem: amountField({
      label: 'Height of the plant',
      help: 'From the top of its root ball to its tip.',
      purpose: 'height',
      low: 20,
      high: 1500,
      isOptional: !needs.includes('stem'),
    }) as Field<number | undefined>,
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

/** Whether a field is asked of a crop: one that roots from its stem alone has a depth to choose. */
export function isPlantingAsked(name: string, { cropId }: { readonly cropId: string }): boolean {
  return cropOf(cropId).depth === 'stem-roots' || !['graft', 'leaves', 'practiceId'].includes(name);
}

/** What a planting begins with: today, and as deep as the grower plants. */
export function plantingStart(today: string, practiceId: string) {
  return { plantedOn: today, practiceId };
}

/** A seedling as far as it was measured; undefined without a height. */
function seedlingOf(values: Partial<ValuesOf<PlantingFields>>): Seedling | undefined {
  const { cropId = '', stem, ball, graft, leaves } = values;
  if (stem === undefined) return undefined;
  return {
    stemMillimetres: stem,
    ballMillimetres: ball ?? cropOf(cropId).ball.heightMillimetres,
    ...(graft === undefined ? {} : { graftMillimetres: graft }),
    ...(leaves === undefined ? {} : { leafMillimetres: [...leaves] }),
  };
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
  const seedling = seedlingOf(values);
  const issues = seedling ? (seedlingSchema.safeParse(seedling).error?.issues ?? []) : [];
  return issues.map(({ path, message }) => ({ at: FIELD_OF[String(path[0])] ?? 'stem', problem: message }));
}

/** What a planting comes to: undefined while its fields do not read, or without a height. */
export function plantingOf(
  form: Pick<FieldsForm<PlantingFields>, 'values' | 'fields'>,
): PlantingFormResult | undefined {
  if (!isWhole(form)) return undefined;
  const { values } = form;
  const seedling = seedlingOf(values);
  if (!seedling || plantingProblems(values).length > 0) return undefined;
  return { ...plantOf(values), seedling };
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
  const { cropId, varietyName, plantName, plantedOn, practiceId } = values;
  const crop = cropOf(cropId);
  return {
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
  'varietyName',
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

/** What was said of a plant that is not in yet: it is kept as the plan of each bag. */
export function planChanges(
  result: Omit<PlantingFormResult, 'seedling'> & { readonly seedling: Seedling | undefined },
  homes: readonly {
    readonly containerId: string;
    readonly plantOn: string;
    /** the grower said the day; else it is one that was worked out */
    readonly isDaySaid?: boolean;
  }[],
  now: string,
): readonly RecordChange[] {
  const { cropId, habitId, varietyName, plantName, seedling, practiceId } = result;
  return homes.map(({ containerId, plantOn, isDaySaid }): RecordChange => {
    const after: Plan = {
      id: newId('plan'),
      containerId,
      cropId,
      habitId,
      varietyName,
      ...(plantName ? { plantName } : {}),
      ...(seedling ? { seedling } : {}),
      ...(practiceId ? { practiceId } : {}),
      plantOn,
      ...(isDaySaid ? {} : { isDayOpen: true }),
      createdAt: now,
      changedAt: now,
    };
    return { table: 'plans', before: undefined, after };
  });
}

/** What a planting that carries out a plan begins with. */
export function startOfPlan(plan: Plan): Partial<ValuesOf<PlantingFields>> {
  const { cropId, habitId, varietyName, plantName, practiceId, seedling } = plan;
  return {
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

/** Records and entries that put plants of one variety into some stations of one container or several. */
export function plantingChanges(
  result: PlantingFormResult,
  homes: readonly { readonly containerId: string; readonly stationIds: readonly string[] }[],
  varieties: readonly Variety[],
  now: string,
): { readonly changes: readonly RecordChange[]; readonly drafts: readonly Draft[] } {
  if (result.plantedOn === undefined) return { changes: [], drafts: [] };
  const stamps = { createdAt: now, changedAt: now };
  const same = (v: Variety) =>
    v.name === result.varietyName && v.cropId === result.cropId && v.habitId === result.habitId;
  const known = varieties.find((v) => !v.binnedAt && same(v));
  const variety = known ?? {
    id: newId('variety'),
    name: result.varietyName,
    cropId: result.cropId,
    habitId: result.habitId,
    ...stamps,
  };
  const changes: RecordChange[] = known ? [] : [{ table: 'varieties', before: undefined, after: variety }];
  const at = result.plantedOn === dayOf(now) ? now : `${result.plantedOn}T12:00:00.000${now.slice(23)}`;
  const stations = homes.flatMap(({ containerId, stationIds }) =>
    stationIds.map((stationId) => ({ containerId, stationId })),
  );
  const drafts = stations.map(({ containerId, stationId }): Draft => {
    const plant = {
      id: newId('plant'),
      varietyId: variety.id,
      ...(result.plantName ? { name: result.plantName } : {}),
      ...stamps,
    };
    changes.push({ table: 'plants', before: undefined, after: plant });
    return {
      kind: 'planted',
      at,
      containerId,
      stationId,
      plantId: plant.id,
      seedling: result.seedling,
      ...(result.practiceId ? { practiceId: result.practiceId } : {}),
      ...result.plantingMethod,
    };
  });
  return { changes, drafts };
}
