import { dayOf } from '@rundel/core/calendar';
import { plantingMethodOf } from '@rundel/core/planting';
import {
  PLANTING_METHOD_IDS,
  type Draft,
  type EntryOf,
  type Garden,
  type PlantingMethodId,
} from '@rundel/core/records';
import { newId, type RecordChange, type UnitFormat } from '../../store/index.ts';
import { amountField, choiceField, type FormStart, type ValuesOf } from '../form/index.ts';
import { isPlantingAsked, plantingFields, plantingOf, plantingProblems } from '../planting-form.ts';
import { batchFor, momentOfDay, plantedFacts, varietyFor } from '../planting-records.ts';
import { correctionOf } from './entry-form.ts';

type SomeMethod = Exclude<PlantingMethodId, 'seed'>;

/** How it went in, as far as that has a name. */
const METHODS = PLANTING_METHOD_IDS.filter((id): id is SomeMethod => id !== 'seed').map((id) => ({
  id,
  label: plantingMethodOf(id).name,
}));

/** What a planting that is put right can say. */
export function correctedPlantingFields(
  texts: { readonly cropId?: string },
  unitFormat: UnitFormat,
  today: string,
) {
  return {
    ...plantingFields(texts, unitFormat, today, ['plantedOn']),
    methodId: choiceField({ label: 'How it went in', options: METHODS }),
    buried: amountField({
      label: 'Stem that went under',
      help: 'Empty: as it was advised.',
      purpose: 'depth',
      low: 0,
      high: 1500,
      isOptional: true,
    }),
  };
}

type CorrectedFields = ReturnType<typeof correctedPlantingFields>;

/** What a planting says so far: its entry, and the plant, variety and batch that it names. */
export function correctedPlantingStart(
  entry: EntryOf<'planted'>,
  garden: Pick<Garden, 'plants' | 'varieties' | 'batches' | 'settings'>,
): FormStart<CorrectedFields> {
  const plant = garden.plants.find((p) => p.id === entry.plantId);
  const variety = garden.varieties.find((v) => v.id === plant?.varietyId);
  const batch = garden.batches.find((b) => b.id === plant?.batchId);
  const { plantingMethodId: method = 'upright', seedling } = entry;
  const isSeed = method === 'seed';
  return {
    values: {
      cropId: variety?.cropId ?? 'tomato',
      habitId: variety?.habitId ?? 'tall',
      isSown: isSeed ? 'seed' : 'plant',
      varietyName: variety?.name,
      plantName: plant?.name,
      plantedOn: dayOf(entry.at),
      sownOn: batch?.sownOn,
      seeds: entry.seeds,
      ...(isSeed
        ? {}
        : {
            stem: entry.isGuessed ? undefined : seedling.stemMillimetres,
            ball: seedling.ballMillimetres,
            graft: seedling.graftMillimetres,
            leaves: seedling.leafMillimetres,
            buried: entry.buriedMillimetres,
          }),
      practiceId: entry.practiceId ?? garden.settings.depthPracticeId,
      methodId: isSeed ? 'upright' : method,
    },
    isAsked: (name, texts) =>
      ['methodId', 'buried'].includes(name) ? texts.isSown !== 'seed' : isPlantingAsked(name, texts),
    check: (values) => [
      ...plantingProblems(values),
      ...(values.buried !== undefined && values.stem !== undefined && values.buried > values.stem
        ? [{ at: 'buried' as const, problem: 'That is more than the whole plant.' }]
        : []),
    ],
  };
}

/**
 * A planting put right in all that it says. Plant, variety and batch are records and are changed; the entry's first version stays.
 *
 * @returns undefined while the form does not read
 */
export function plantingCorrection(
  entry: EntryOf<'planted'>,
  form: { readonly fields: CorrectedFields; readonly values: Partial<ValuesOf<CorrectedFields>> },
  garden: Pick<Garden, 'plants' | 'varieties' | 'batches'>,
  now: string,
): { readonly changes: readonly RecordChange[]; readonly draft: Draft } | undefined {
  const said = plantingOf(form);
  if (!said?.plantedOn) return undefined;
  const { methodId, buried } = form.values;
  const plant = garden.plants.find((p) => p.id === entry.plantId);
  const { variety, changes: newVariety } = varietyFor(said, garden.varieties, now);
  const { batchId, changes: newBatch } = batchFor(variety.id, said.sownOn, garden.batches, now);
  const plantId = plant?.id ?? newId('plant');
  const { name: _, batchId: __, ...kept } = plant ?? { id: plantId, createdAt: now };
  const after = {
    ...kept,
    varietyId: variety.id,
    ...(batchId ? { batchId } : {}),
    ...(said.plantName ? { name: said.plantName } : {}),
    changedAt: now,
  };
  const facts = plantedFacts({
    ...said,
    plantingMethod: {
      plantingMethodId: methodId ?? 'upright',
      ...(buried === undefined ? {} : { buriedMillimetres: buried }),
    },
  });
  const at = said.plantedOn === dayOf(entry.at) ? entry.at : momentOfDay(said.plantedOn, now);
  return {
    changes: [...newVariety, ...newBatch, { table: 'plants', before: plant, after }],
    draft: correctionOf(entry, at, { ...NOTHING_SAID, ...facts, plantId }),
  };
}

/** What a planting said before and does not say any more is taken out of it. */
const NOTHING_SAID: Readonly<Partial<Record<keyof EntryOf<'planted'>, undefined>>> = {
  isGuessed: undefined,
  seeds: undefined,
  plantingMethodId: undefined,
  practiceId: undefined,
  buriedMillimetres: undefined,
};
