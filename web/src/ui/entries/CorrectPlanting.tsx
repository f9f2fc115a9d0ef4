import { dayOf } from '@rundel/core/calendar';
import { plantingMethodOf } from '@rundel/core/planting';
import { PLANTING_METHOD_IDS, type EntryOf, type PlantingMethodId } from '@rundel/core/records';
import { newId, useGarden, useUnitFormat, type RecordChange } from '../../store/index.ts';
import {
  amountField,
  choiceField,
  FormDialog,
  FormFields,
  useFields,
  type FieldsForm,
} from '../form/index.ts';
import {
  isPlantingAsked,
  plantingFields,
  plantingOf,
  plantingProblems,
  type PlantingFields as PlantingFieldsOf,
} from '../planting-form.ts';
import { batchFor, momentOfDay, plantedFacts, varietyFor } from '../planting-records.ts';
import { PlantingFields } from '../PlantingFields.tsx';
import { correctionOf } from './entry-form.ts';
import { useHome } from './Home.tsx';

/** The part of the form that every planting has. */
type PlantingForm = FieldsForm<PlantingFieldsOf>;

/** How it went in, as far as that has a name. */
const METHODS = PLANTING_METHOD_IDS.filter(
  (id): id is Exclude<PlantingMethodId, 'seed'> => id !== 'seed',
).map((id) => ({
  id,
  label: plantingMethodOf(id).name,
}));

/**
 * Corrects a planting in all that it says: what it was, its name, when and how it went in, into which bag. Plant and variety are
 * records; the entry's first version stays.
 */
export function CorrectPlanting({ entry, onClose }: { readonly entry: EntryOf<'planted'>; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const plant = garden.plants.find((p) => p.id === entry.plantId);
  const variety = garden.varieties.find((v) => v.id === plant?.varietyId);
  const batch = garden.batches.find((b) => b.id === plant?.batchId);
  const { plantingMethodId: method = 'upright' } = entry;
  const isSeed = method === 'seed';
  const { seedling } = entry;
  const home = useHome(entry);
  const form = useFields(
    (texts) => ({
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
    }),
    {
      values: {
        cropId: variety?.cropId ?? 'tomato',
        habitId: variety?.habitId ?? 'tall',
        isSown: isSeed ? 'seed' : 'plant',
        ...(variety ? { varietyName: variety.name } : {}),
        ...(plant?.name ? { plantName: plant.name } : {}),
        plantedOn: dayOf(entry.at),
        ...(batch?.sownOn ? { sownOn: batch.sownOn } : {}),
        ...(entry.seeds ? { seeds: entry.seeds } : {}),
        ...(isSeed
          ? {}
          : {
              ...(entry.isGuessed ? {} : { stem: seedling.stemMillimetres }),
              ball: seedling.ballMillimetres,
              ...(seedling.graftMillimetres === undefined ? {} : { graft: seedling.graftMillimetres }),
              ...(seedling.leafMillimetres ? { leaves: seedling.leafMillimetres } : {}),
            }),
        practiceId: entry.practiceId ?? garden.settings.depthPracticeId,
        methodId: method === 'seed' ? 'upright' : method,
        ...(entry.buriedMillimetres === undefined || isSeed ? {} : { buried: entry.buriedMillimetres }),
      },
      isAsked: (name, texts) =>
        ['methodId', 'buried'].includes(name) ? texts.isSown !== 'seed' : isPlantingAsked(name, texts),
      check: (values) => [
        ...plantingProblems(values),
        ...(values.buried !== undefined && values.stem !== undefined && values.buried > values.stem
          ? [{ at: 'buried' as const, problem: 'That is more than the whole plant.' }]
          : []),
      ],
    },
  );
  const save = form.submit(async ({ methodId, buried }) => {
    const said = plantingOf(form as unknown as PlantingForm);
    if (!said?.plantedOn || home.problem) return;
    const now = clock.now();
    const { variety: right, changes: newVariety } = varietyFor(said, garden.varieties, now);
    const { batchId, changes: newBatch } = batchFor(right.id, said.sownOn, garden.batches, now);
    const name = said.plantName;
    const changes: RecordChange[] = [...newVariety, ...newBatch];
    const plantId = plant?.id ?? newId('plant');
    const { name: _, batchId: __, ...kept } = plant ?? { id: plantId, createdAt: now };
    changes.push({
      table: 'plants',
      before: plant,
      after: {
        ...kept,
        varietyId: right.id,
        ...(batchId ? { batchId } : {}),
        ...(name ? { name } : {}),
        changedAt: now,
      },
    });
    const at = said.plantedOn === dayOf(entry.at) ? entry.at : momentOfDay(said.plantedOn, now);
    const { isGuessed, seeds, plantingMethodId, practiceId, ...facts } = {
      isGuessed: undefined,
      seeds: undefined,
      plantingMethodId: undefined,
      practiceId: undefined,
      ...plantedFacts({
        ...said,
        plantingMethod: {
          plantingMethodId: methodId,
          ...(buried === undefined ? {} : { buriedMillimetres: buried }),
        },
      }),
    };
    await saveRecords(
      changes,
      [
        correctionOf(entry, at, {
          ...facts,
          ...{ isGuessed, seeds, plantingMethodId, practiceId, plantId },
          ...home.facts,
        }),
      ],
      'planting corrected',
    );
    onClose();
  });
  return (
    <FormDialog
      title="Correct this planting"
      keepAs={`correct ${entry.id}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Correct it"
    >
      <PlantingFields form={form as unknown as PlantingForm} />
      <FormFields form={form} names={['methodId', 'buried']} />
      {home.field}
    </FormDialog>
  );
}
