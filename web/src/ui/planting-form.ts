import { addDays, dayOf, isDay } from '@rundel/core/calendar';
import { cropOf, CROPS } from '@rundel/core/plants';
import {
  type Draft,
  type EntryOf,
  type Variety,
  seedlingSchema,
  type Seedling,
  type Plan,
} from '@rundel/core/records';
import { show, type UnitSystem } from '@rundel/core/units';
import * as z from '@rundel/core/schema';
import { readAmount } from '../text/amount-text.ts';
import { newId, type RecordChange } from '../store/index.ts';

/** What the planting part of a form holds: text as typed. */
export interface PlantingFormValues {
  cropId: string;
  habitId: string;
  varietyName: string;
  plantName: string;
  /** `YYYY-MM-DD`, or empty: not yet */
  plantedOn: string;
  stem: string;
  ball: string;
  graft: string;
  leaves: string;
  practiceId: string;
}

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

export function emptyPlantingForm(today: string, practiceId: string): PlantingFormValues {
  const crop = CROPS[0];
  return {
    cropId: crop?.id ?? '',
    habitId: crop?.habits[0]?.id ?? '',
    varietyName: '',
    plantName: '',
    plantedOn: today,
    stem: '',
    ball: '',
    graft: '',
    leaves: '',
    practiceId,
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
export function plantingQuery(values: Partial<PlantingFormValues>): string {
  const query = new URLSearchParams();
  for (const key of HANDED_OVER) {
    const value = values[key];
    if (value) query.set(key, value);
  }
  return query.toString();
}

/** A form with what a query hands over in place; a crop or habit that does not exist is left as it was. */
export function plantingFrom(query: URLSearchParams, values: PlantingFormValues): PlantingFormValues {
  const handed = Object.fromEntries(
    HANDED_OVER.flatMap((key) => (query.get(key) ? [[key, query.get(key)]] : [])),
  );
  const next = { ...values, ...handed } as PlantingFormValues;
  const crop = CROPS.find((c) => c.id === next.cropId) ?? CROPS[0];
  const habit = crop?.habits.find((h) => h.id === next.habitId) ?? crop?.habits[0];
  return { ...next, cropId: crop?.id ?? '', habitId: habit?.id ?? '' };
}

/** How far back a planting may be entered: further than this is a slip of the finger. */
const LONGEST_AGO_DAYS = 730;

/** The schema of the planting part; `today` is the last day that counts as past. */
export function plantingFormSchema(system: UnitSystem, today: string) {
  const form = z.object({
    cropId: z.string(),
    habitId: z.string(),
    varietyName: z.string(),
    plantName: z.string(),
    plantedOn: z.string(),
    stem: z.string(),
    ball: z.string(),
    graft: z.string(),
    leaves: z.string(),
    practiceId: z.string(),
  });
  return form.transform((values, context): PlantingFormResult => {
    const say = (path: string, message: string) => {
      context.addIssue({ code: 'custom', path: [path], message });
    };
    const crop = cropOf(values.cropId);
    const isDeep = crop.depth === 'stem-roots';
    const plantedProblem = plantedOnProblem(values.plantedOn, today);
    if (plantedProblem) say('plantedOn', plantedProblem);
    const height = (path: 'stem' | 'ball' | 'graft', low: number, high: number, isOptional: boolean) => {
      const read = readAmount(values[path], {
        purpose: path === 'stem' ? 'height' : 'depth',
        system,
        low,
        high,
        isOptional,
      });
      if (read.kind === 'refused') say(path, read.problem);
      return read.kind === 'given' ? read.siValue : undefined;
    };
    const stemMillimetres = height('stem', 20, 1500, false) ?? 300;
    const ballMillimetres = height('ball', 20, 400, true) ?? crop.ball.heightMillimetres;
    const graftMillimetres = isDeep ? height('graft', 10, 500, true) : undefined;
    const leafMillimetres = isDeep ? readLeaves(values.leaves, system, say) : undefined;
    const seedling: Seedling = {
      stemMillimetres,
      ballMillimetres,
      ...(graftMillimetres === undefined ? {} : { graftMillimetres }),
      ...(leafMillimetres === undefined ? {} : { leafMillimetres }),
    };
    const checked = seedlingSchema.safeParse(seedling);
    const field: Record<string, string> = {
      graftMillimetres: 'graft',
      leafMillimetres: 'leaves',
      stemMillimetres: 'stem',
      ballMillimetres: 'ball',
    };
    for (const issue of checked.error?.issues ?? [])
      say(field[String(issue.path[0])] ?? 'stem', issue.message);
    return {
      cropId: values.cropId,
      habitId: values.habitId,
      varietyName: values.varietyName.trim() || crop.name,
      plantName: values.plantName.trim() || undefined,
      plantedOn: values.plantedOn === '' ? undefined : values.plantedOn,
      seedling,
      practiceId: isDeep ? values.practiceId : undefined,
    };
  });
}

/** What was said of a plant that is not in yet: it is kept as the plan of each bag. */
export function planChanges(
  result: Omit<PlantingFormResult, 'seedling'> & { readonly seedling: Seedling | undefined },
  homes: readonly { readonly containerId: string; readonly plantOn: string }[],
  now: string,
): readonly RecordChange[] {
  const { cropId, habitId, varietyName, plantName, seedling, practiceId } = result;
  return homes.map(({ containerId, plantOn }): RecordChange => {
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
      isDayOpen: true,
      createdAt: now,
      changedAt: now,
    };
    return { table: 'plans', before: undefined, after };
  });
}

/** The form of a planting that carries out a plan. */
export function formOfPlan(plan: Plan, values: PlantingFormValues, system: UnitSystem): PlantingFormValues {
  const { seedling } = plan;
  const depth = (mm: number | undefined) => (mm === undefined ? '' : show(mm, 'depth', system));
  return {
    ...values,
    cropId: plan.cropId,
    habitId: plan.habitId,
    varietyName: plan.varietyName ?? '',
    plantName: plan.plantName ?? '',
    practiceId: plan.practiceId ?? values.practiceId,
    ...(seedling
      ? {
          stem: show(seedling.stemMillimetres, 'height', system),
          ball: depth(seedling.ballMillimetres),
          graft: depth(seedling.graftMillimetres),
          leaves: (seedling.leafMillimetres ?? []).map(depth).join('; '),
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

function readLeaves(
  text: string,
  system: UnitSystem,
  say: (path: string, message: string) => void,
): number[] | undefined {
  if (text.trim() === '') return undefined;
  const heights: number[] = [];
  for (const part of text.split(/[;,\s]+(?=[\d.])/).filter((p) => p.trim() !== '')) {
    const read = readAmount(part, { purpose: 'depth', system, low: 0, high: 1500 });
    if (read.kind !== 'given') {
      say('leaves', `"${part}" does not read as a height. Write them with spaces: 6 11 16.`);
      return undefined;
    }
    heights.push(read.siValue);
  }
  return heights;
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
