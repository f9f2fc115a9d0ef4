import { resolveAssumed } from '@rundel/core/assumed';
import { MenuItem, TextField, Typography } from '@mui/material';
import { dayOf, isDay } from '@rundel/core/calendar';
import { cropOf, habitOf } from '@rundel/core/plants';
import type { Plan } from '@rundel/core/records';
import { plantingWindow, secondCrop } from '@rundel/core/season';
import { useState } from 'react';
import { titleOf } from '../../text/bag-text.ts';
import { CROP_CHOICES } from '../../ui/choices.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { newId, useGarden, useUnitFormat } from '../../store/index.ts';
import type { Years } from './use-years.ts';
import { openingWords } from './year-words.ts';

/** What is to go into a bag and when; the day is proposed from the window, and after what stands in the bag. */
export function PlanDialog({
  years,
  onPlanned,
  onClose,
}: {
  readonly years: Years;
  onPlanned(plan: Plan): void;
  onClose(): void;
}) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const [bagId, setBag] = useState(years.rows[0]?.bag.container.id ?? '');
  const [cropId, setCrop] = useState('tomato');
  const [habitId, setHabit] = useState(cropOf('tomato').habits[0]?.id ?? '');
  const [variety, setVariety] = useState('');
  const [day, setDay] = useState('');
  const row = years.rows.find((r) => r.bag.container.id === bagId);
  const crop = cropOf(cropId);
  const habit = habitOf(cropId, habitId);
  const cover = row?.bag.place?.cover ?? 'open';
  const freeOn = row?.years
    .map((y) => y.bands.find((b) => b.kind === 'clear')?.from ?? y.dates.clear)
    .sort()
    .at(-1);
  // the window may have opened already; nothing is planned into the past
  const today = dayOf(clock.now());
  const soonest = freeOn !== undefined && freeOn > today ? freeOn : today;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const window = secondCrop(soonest, crop, habit, years.placeOf(cover), assumed);
  const nextWindow =
    window.kind === 'open' ? undefined : plantingWindow(crop, habit, years.nextPlaceOf(cover), assumed);
  const opening = [window, nextWindow].find((w) => w?.kind === 'open');
  const proposed = opening?.kind === 'open' ? opening.plant.from : soonest;
  const plantOn = day === '' ? proposed : day;
  const problem = isDay(plantOn) ? undefined : 'This is not a whole date.';
  const submit = async () => {
    if (!row || problem) return;
    const now = clock.now();
    const plan: Plan = {
      id: newId('plan'),
      containerId: bagId,
      cropId,
      habitId,
      ...(variety.trim() ? { varietyName: variety.trim() } : {}),
      plantOn,
      createdAt: now,
      changedAt: now,
    };
    await saveRecords(
      [{ table: 'plans', before: undefined, after: plan }],
      [],
      `${crop.name.toLowerCase()} planned for bag ${row.bag.container.label}`,
    );
    onPlanned(plan);
    onClose();
  };
  if (!row) {
    return (
      <FormDialog title="Plan a crop" isOpen onClose={onClose} onSubmit={onClose} submitLabel="All right">
        <Typography>Add a bag first.</Typography>
      </FormDialog>
    );
  }
  return (
    <FormDialog title="Plan a crop" isOpen onClose={onClose} onSubmit={submit} submitLabel="Plan it">
      <TextField select label="Bag" value={bagId} onChange={(e) => setBag(e.target.value)}>
        {years.rows.map(({ bag }) => (
          <MenuItem key={bag.container.id} value={bag.container.id}>
            {titleOf(bag)}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Crop"
        value={cropId}
        onChange={(e) => {
          setCrop(e.target.value);
          setHabit(cropOf(e.target.value).habits[0]?.id ?? '');
        }}
      >
        {CROP_CHOICES}
      </TextField>
      <TextField
        select
        label="Habit"
        value={habitId}
        onChange={(e) => setHabit(e.target.value)}
        helperText={habit.description}
      >
        {crop.habits.map((each) => (
          <MenuItem key={each.id} value={each.id}>
            {each.name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Variety"
        value={variety}
        onChange={(e) => setVariety(e.target.value.slice(0, 60))}
        helperText={`Empty: just "${crop.name}".`}
      />
      <DayField label="Plant on" value={day === '' ? proposed : day} onChange={setDay} problem={problem} />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {openingWords(window, nextWindow, freeOn !== undefined, unitFormat)}
      </Typography>
    </FormDialog>
  );
}
