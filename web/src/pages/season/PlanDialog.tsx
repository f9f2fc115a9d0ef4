import { resolveAssumed } from '@rundel/core/assumed';
import { Typography } from '@mui/material';
import { dayOf, isDay } from '@rundel/core/calendar';
import type { Plan } from '@rundel/core/records';
import { plantingWindow, secondCrop } from '@rundel/core/season';
import { titleOf } from '../../text/bag-text.ts';
import { shortDay } from '../../text/text.ts';
import { CROP_FIELDS, CropFields, cropIn } from '../../ui/CropFields.tsx';
import { choiceField, dayField, FormDialog, FormField, useFields } from '../../ui/form/index.ts';
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
  const form = useFields({
    bagId: choiceField({
      label: 'Bag',
      options: years.rows.map(({ bag }) => ({ id: bag.container.id, label: titleOf(bag) })),
    }),
    ...CROP_FIELDS,
    relay: choiceField<'after' | 'between'>({
      label: 'What stands in it',
      options: [
        { id: 'after', label: 'is cleared first' },
        { id: 'between', label: 'stays: it goes in between, and takes over' },
      ],
    }),
    day: dayField({ label: 'Plant on', isOptional: true }),
  });
  const { bagId, day } = form.texts;
  const row = years.rows.find((r) => r.bag.container.id === bagId);
  const { crop, habit } = cropIn(form, garden.varieties);
  const cover = row?.bag.place?.cover ?? 'open';
  const today = dayOf(clock.now());
  const standing = row?.years
    .map((y) => ({ name: y.name, until: y.bands.find((b) => b.kind === 'clear')?.from ?? y.dates.clear }))
    .filter(({ until }) => until > today)
    .sort((a, b) => (a.until < b.until ? -1 : 1));
  // an empty bag has nothing to wait for
  const freeOn = standing?.at(-1)?.until;
  const isRelay = form.texts.relay === 'between';
  // the window may have opened already; nothing is planned into the past
  const soonest = freeOn !== undefined && !isRelay ? freeOn : today;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const window = secondCrop(soonest, crop, habit, years.placeOf(cover), assumed);
  const nextWindow =
    window.kind === 'open' ? undefined : plantingWindow(crop, habit, years.nextPlaceOf(cover), assumed);
  const opening = [window, nextWindow].find((w) => w?.kind === 'open');
  const proposed = opening?.kind === 'open' ? opening.plant.from : soonest;
  const submit = form.submit(async ({ variety, isSown, day: chosen }) => {
    if (!row) return;
    const now = clock.now();
    const plan: Plan = {
      id: newId('plan'),
      containerId: bagId,
      cropId: crop.id,
      habitId: habit.id,
      ...(variety ? { varietyName: variety } : {}),
      ...(isSown === 'seed' ? { isSown: true } : {}),
      plantOn: chosen ?? proposed,
      ...(isRelay && freeOn !== undefined ? { isRelay: true } : {}),
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
  });
  if (!row) {
    return (
      <FormDialog title="Plan a crop" onClose={onClose} onSubmit={onClose} submitLabel="Close">
        <Typography>Add a bag first.</Typography>
      </FormDialog>
    );
  }
  return (
    <FormDialog title="Plan a crop" onClose={onClose} onSubmit={submit} submitLabel="Add to the plan">
      <FormField form={form} name="bagId" />
      <CropFields form={form} />
      {freeOn !== undefined && <FormField form={form} name="relay" />}
      <FormField form={form} name="day" {...(day === '' || isDay(day) ? { value: day || proposed } : {})} />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {openingWords(window, nextWindow, freeOn !== undefined && !isRelay, unitFormat)}
      </Typography>
      {freeOn !== undefined && !isRelay && (day || proposed) < freeOn && (
        <Typography variant="body2">
          {standing?.map(({ name }) => name).join(', ')} would have to be cleared by{' '}
          {shortDay(day || proposed)}; by itself it stands until about {shortDay(freeOn)}.
        </Typography>
      )}
    </FormDialog>
  );
}
