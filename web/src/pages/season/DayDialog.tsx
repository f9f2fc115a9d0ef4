import type { Draft } from '@rundel/core/records';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { readWeather } from '../../text/weather-text.ts';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** The weather of one day, typed; it takes the place of what was known of it. */
export function DayDialog({ day, onClose }: { readonly day: string; onClose(): void }) {
  const { record, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const known = live.findLast((e) => e.kind === 'weather' && e.day === day);
  const before = known?.kind === 'weather' ? known : undefined;
  const [texts, setTexts] = useState({
    min: before ? unitFormat.show(before.minCelsius, 'temperature') : '',
    max: before ? unitFormat.show(before.maxCelsius, 'temperature') : '',
    rain: before?.rainMillimetres === undefined ? '' : unitFormat.show(before.rainMillimetres, 'rain'),
  });
  const [problems, setProblems] = useState<Partial<typeof texts>>({});
  const submit = async () => {
    const read = readWeather(texts, unitFormat.system);
    if (read.kind === 'refused') return setProblems(read.problems);
    const draft: Draft = {
      kind: 'weather',
      at: clock.now(),
      day,
      ...read.weather,
      source: 'typed',
      ...(before ? { replaces: before.id } : {}),
    };
    await record([draft], `weather of ${shortDay(day)}`);
    onClose();
    return undefined;
  };
  const set = (key: keyof typeof texts) => (event: { target: { value: string } }) =>
    setTexts((t) => ({ ...t, [key]: event.target.value }));
  return (
    <FormDialog
      title={`The weather of ${shortDay(day)}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Note it"
    >
      <AmountField
        purpose="temperature"
        label="Coldest"
        autoFocus
        value={texts.min}
        onChange={set('min')}
        error={problems.min !== undefined}
        helperText={problems.min}
      />
      <AmountField
        purpose="temperature"
        label="Warmest"
        value={texts.max}
        onChange={set('max')}
        error={problems.max !== undefined}
        helperText={problems.max}
      />
      <AmountField
        purpose="rain"
        label="Rain"
        value={texts.rain}
        onChange={set('rain')}
        error={problems.rain !== undefined}
        helperText={problems.rain ?? 'Empty if you do not know.'}
      />
    </FormDialog>
  );
}
