import { cropOf, CROPS, habitOf, type Crop, type Habit } from '@rundel/core/plants';
import { choiceField, FormField, namedOptions, textField, type FieldsForm } from './form/index.ts';
import { habitIdOf } from './planting-form.ts';

/** What is asked of a crop that is planned: which, how it grows, and the variety. */
export const CROP_FIELDS = {
  cropId: choiceField({ label: 'Crop', options: namedOptions(CROPS) }),
  habitId: choiceField({ label: 'Growth', options: namedOptions(CROPS[0]?.habits ?? []) }),
  variety: textField({ label: 'Variety', longest: 60 }),
} as const;

type Form = FieldsForm<typeof CROP_FIELDS>;

/** The crop and habit that a form says; another crop has other habits, and until one is chosen it is its first. */
export function cropIn({ texts }: Pick<Form, 'texts'>): { readonly crop: Crop; readonly habit: Habit } {
  const crop = cropOf(texts.cropId);
  return { crop, habit: habitOf(crop.id, habitIdOf(texts)) };
}

/** The fields of a crop that is planned. */
export function CropFields({ form }: { readonly form: Form }) {
  const { crop, habit } = cropIn(form);
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
      <FormField form={form} name="variety" help={`Empty: just "${crop.name}".`} />
    </>
  );
}
