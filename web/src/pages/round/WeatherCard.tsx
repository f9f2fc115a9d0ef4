import { Box, Button, Typography } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { useState, type FormEvent } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { readWeather } from '../../text/weather-text.ts';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';

/** Two numbers for a day: asked for yesterday and today while nobody has given them. */
export default function WeatherCard() {
  const { clock, live, record } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const isKnown = (day: string) => live.some((e) => e.kind === 'weather' && e.day === day);
  const day = [addDays(today, -1), today].find((d) => !isKnown(d));
  const [texts, setTexts] = useState({ min: '', max: '' });
  const [problems, setProblems] = useState<{ min?: string; max?: string }>({});
  if (day === undefined) return null;
  const words = day === today ? 'today' : 'yesterday';
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const read = readWeather({ ...texts, rain: '' }, unitFormat.system);
    if (read.kind === 'refused') return setProblems(read.problems);
    await record(
      [
        {
          kind: 'weather',
          at: clock.now(),
          day,
          ...read.weather,
          source: 'typed',
        },
      ],
      `weather of ${words}`,
    );
    setTexts({ min: '', max: '' });
    setProblems({});
    return undefined;
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => told(submit(event))}
      sx={{ border: '1.5px dashed var(--muted)', borderRadius: '12px', padding: 1.5 }}
      aria-label={`Weather of ${words}`}
    >
      <Typography sx={{ fontWeight: 'fontWeightMedium', marginBlockEnd: 1 }}>
        How warm was it {words}?
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <AmountField
          purpose="temperature"
          label="Coldest"
          value={texts.min}
          onChange={(e) => setTexts((t) => ({ ...t, min: e.target.value }))}
          error={problems.min !== undefined}
          helperText={problems.min}
        />
        <AmountField
          purpose="temperature"
          label="Warmest"
          value={texts.max}
          onChange={(e) => setTexts((t) => ({ ...t, max: e.target.value }))}
          error={problems.max !== undefined}
          helperText={problems.max}
        />
      </Box>
      <Button type="submit" variant="outlined" sx={{ marginBlockStart: 1, width: '100%', minHeight: 48 }}>
        Note it
      </Button>
      <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary', marginBlockStart: 0.5 }}>
        Until then I use what is usual here, with more doubt.
      </Typography>
    </Box>
  );
}
