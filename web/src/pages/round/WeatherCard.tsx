import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { weatherAsked } from '@rundel/core/garden-state';
import { weatherForm } from '../../ui/entries/weather-form.ts';
import { checkOf, draftOf } from '../../ui/entries/entry-form.ts';
import { FormField, InlineForm, useFields } from '../../ui/form/index.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** The numbers of a day, as far as somebody read them: asked for yesterday and today while nobody has given them. */
export default function WeatherCard() {
  const { clock, live } = useGarden();
  const today = dayOf(clock.now());
  const day = weatherAsked(live, today);
  if (day === undefined) return null;
  return <OneDay key={day} day={day} words={day === today ? 'today' : 'yesterday'} />;
}

function OneDay({ day, words }: { readonly day: string; readonly words: string }) {
  const { garden, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  // under a roof nobody minds the rain
  const isOpen = garden.places.some(({ cover, binnedAt }) => cover === 'open' && !binnedAt);
  const form = useFields(weatherForm.fields({ garden, unitFormat }), checkOf(weatherForm));
  const submit = form.submit(async (values, texts) => {
    const base = { kind: 'weather', at: clock.now(), day, source: 'typed' };
    await record([draftOf(base, weatherForm.facts(values, texts))], `weather of ${words}`);
  });
  return (
    <InlineForm
      onSubmit={submit}
      label={`Weather of ${words}`}
      sx={{ border: '1.5px dashed var(--muted)', borderRadius: '12px', padding: 1.5 }}
    >
      <Typography sx={{ fontWeight: 'fontWeightMedium', marginBlockEnd: 1 }}>
        {isOpen ? `How warm was it ${words}, and how wet?` : `How warm was it ${words}?`}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(96px, 1fr))', gap: 1 }}>
        <FormField form={form} name="min" />
        <FormField form={form} name="max" />
        {isOpen && <FormField form={form} name="rain" />}
      </Box>
      <Button type="submit" variant="outlined" sx={{ marginBlockStart: 1, width: '100%', minHeight: 48 }}>
        Add weather
      </Button>
      <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary', marginBlockStart: 0.5 }}>
        Leave empty what you do not know: I use what is usual here, with more doubt.
      </Typography>
    </InlineForm>
  );
}
