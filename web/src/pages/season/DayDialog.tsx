import { checkOf, draftOf } from '../../ui/entries/entry-form.ts';
import { weatherForm } from '../../ui/entries/weather-form.ts';
import { FormDialog, FormFields, useFields } from '../../ui/form/index.ts';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** The weather of one day, typed; it takes the place of what was known of it. */
export function DayDialog({ day, onClose }: { readonly day: string; onClose(): void }) {
  const { garden, record, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const known = live.findLast((e) => e.kind === 'weather' && e.day === day);
  const before = known?.kind === 'weather' ? known : undefined;
  const form = useFields(weatherForm.fields({ garden, unitFormat }), {
    ...(before ? weatherForm.start(before) : {}),
    ...checkOf(weatherForm),
  });
  const submit = form.submit(async (values, texts) => {
    const base = { kind: 'weather', at: clock.now(), day, source: 'typed', replaces: before?.id };
    await record([draftOf(base, weatherForm.facts(values, texts))], `weather of ${shortDay(day)}`);
    onClose();
  });
  return (
    <FormDialog
      title={`The weather of ${shortDay(day)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <FormFields form={form} autoFocus />
    </FormDialog>
  );
}
