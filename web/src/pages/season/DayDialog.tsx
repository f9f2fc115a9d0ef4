import { Typography } from '@mui/material';
import { knownWeather, weatherAnew } from '@rundel/core/garden-state';
import { checkOf } from '../../ui/entries/entry-form.ts';
import { weatherForm } from '../../ui/entries/weather-form.ts';
import { FormDialog, FormFields, useFields } from '../../ui/form/index.ts';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** The weather of one day, typed; it takes the place of what was known of it. */
export function DayDialog({ day, onClose }: { readonly day: string; onClose(): void }) {
  const { garden, record, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const { minCelsius, maxCelsius, rainMillimetres } =
    knownWeather(live).find((known) => known.day === day) ?? {};
  const form = useFields(weatherForm.fields({ garden, unitFormat }), {
    values: { min: minCelsius, max: maxCelsius, rain: rainMillimetres },
    ...checkOf(weatherForm),
  });
  const submit = form.submit(async (values, texts) => {
    const said = weatherForm.facts(values, texts);
    await record(weatherAnew(live, day, said, clock.now()), `weather of ${shortDay(day)}`);
    onClose();
  });
  return (
    <FormDialog
      title={`The weather of ${shortDay(day)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <Typography>What you do not know stays empty, and is reckoned as usual here.</Typography>
      <FormFields form={form} autoFocus />
    </FormDialog>
  );
}
