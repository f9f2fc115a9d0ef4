import { cropOf, CROPS, habitOfPlanned, varietiesIn, type Crop, type Habit } from '@rundel/core/plants';
import type { Variety } from '@rundel/core/records';
import { useGarden } from '../store/index.ts';
import { choiceField, FormField, namedOptions, textField, type FieldsForm } from './form/index.ts';
import { habitIdOf } from './planting-form.ts';

/** What is asked of a crop that is planned: which, how it grows, and the variety. */
export const CROP_FIELDS = {
  cropId: choiceField({ label: 'Crop', options: namedOptions(CROPS) }),
  habitId: choiceField({ label: 'Growth', options: namedOptions(CROPS[0]?.habits ?? []) }),
  variety: textField({ label: 'Variety', longest: 60 }),
  isSown: choiceField<'plant' | 'seed'>({
    label: 'It goes in as',
    options: [
      { id: 'plant', label: 'a young plant' },
      { id: 'seed', label: 'seed, sown in place' },
    ],
  }),
} as const;

type Form = FieldsForm<typeof CROP_FIELDS>;

/** The crop and growth that a form says, as its variety grows where that is known; another crop has other growths. */
export function cropIn(
  { texts }: Pick<Form, 'texts'>,
  varieties: readonly Variety[],
): { readonly crop: Crop; readonly habit: Habit } {
  const crop = cropOf(texts.cropId);
  const what = { cropId: crop.id, habitId: habitIdOf(texts), varietyName: texts.variety };
  return { crop, habit: habitOfPlanned(varieties, what) };
}

/** The fields of a crop that is planned. */
export function CropFields({ form }: { readonly form: Form }) {
  const { garden } = useGarden();
  const { crop, habit } = cropIn(form, garden.varieties);
  const known = varietiesIn(garden.varieties).filter((v) => v.cropId === crop.id);
  return (
    <>
      <FormField form={form} name="cropId" />
      <FormField
        form={form}
        name="habitId"
        value={habit.id}
        options={namedOptions(crop.habits)}
        help={habit.description}
      />
      <FormField
        form={form}
        name="variety"
        help={`Empty: just "${crop.name}".`}
        list="planned-varieties"
        onTyped={(name) => {
          const variety = known.find((v) => v.name === name.trim());
          if (variety) form.set('habitId', variety.habitId);
        }}
      />
      <datalist id="planned-varieties">
        {known.map(({ name }) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <FormField form={form} name="isSown" />
    </>
  );
}
