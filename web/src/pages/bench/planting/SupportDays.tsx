import { FormField, numberField, useFields } from '../../../ui/form/index.ts';
import { told, useGarden } from '../../../store/index.ts';

const FIELDS = {
  days: numberField({
    label: 'Or so many days after planting',
    help: 'Empty: as the practice has it. A short stick against wind meanwhile.',
    low: 0,
    high: 90,
    isWhole: true,
    isOptional: true,
    problem: 'From 0 to 90 days.',
  }),
};

/** The grower's own days from planting to support, kept as they are typed. */
export function SupportDays() {
  const { garden, saveSettings } = useGarden();
  const { settings } = garden;
  const form = useFields(FIELDS, {
    ...(settings.supportAfterDays === undefined ? {} : { values: { days: settings.supportAfterDays } }),
    isLive: true,
  });
  const keep = (text: string) => {
    const read = FIELDS.days.read(text, form.context);
    if (!read.ok || read.value === settings.supportAfterDays) return;
    const { supportAfterDays: _, ...rest } = settings;
    told(saveSettings(read.value === undefined ? rest : { ...rest, supportAfterDays: read.value }));
  };
  return <FormField form={form} name="days" onTyped={keep} />;
}
