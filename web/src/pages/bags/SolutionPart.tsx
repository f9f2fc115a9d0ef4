import { Box, Button, Typography } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import type { Draft, EntryOf } from '@rundel/core/records';
import { daysLeft, solutionCourse } from '@rundel/core/feeding';
import { hasLevel } from '@rundel/core/water';
import { trimmed } from '@rundel/core/units';
import { useMemo, useState } from 'react';
import { CautionOf } from '../../ui/CautionOf.tsx';
import { draftOf } from '../../ui/entries/entry-form.ts';
import { solutionForm } from '../../ui/entries/feeding-forms.ts';
import { FormDialog, FormField, FormFields, switchField, useFields } from '../../ui/form/index.ts';
import { doseWords, SOLUTION_FAULT_WORDS, SOLUTION_WORDS } from '../../text/feed-text.ts';
import { STORE_WORDS } from '../../text/water-text.ts';
import { midSentence, shortDay } from '../../text/text.ts';
import { TankState } from '../../ui/tanks/TankState.tsx';
import { fedInto, useNutrient } from '../../ui/tanks/nutrient.ts';
import { useTanks } from '../../ui/tanks/use-tanks.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** The nutrient in a bag's reservoir, channel or drum, or in the tank that it shares with others. */
export default function SolutionPart({ bag }: { readonly bag: Bag }) {
  const view = useTanks().find(({ tank }) => tank.id === bag.container.tankId);
  if (!view) return <OwnSolution bag={bag} />;
  return (
    <Box sx={{ borderBlockStart: '1px solid var(--line)', marginBlockStart: 2, paddingBlockStart: 1.5 }}>
      <Typography variant="h3" sx={{ fontSize: '1.05rem', marginBlockEnd: 0.5 }}>
        {view.tank.name}, shared with{' '}
        {view.bags
          .filter((b) => b !== bag)
          .map((b) => b.container.label)
          .join(', ') || 'no other bag'}
      </Typography>
      <TankState view={view} />
    </Box>
  );
}

/** When a store of a bag's own was made up, EC and pH with their trend, and how long it lasts. */
function OwnSolution({ bag }: { readonly bag: Bag }) {
  const { clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const [isOpen, setOpen] = useState(false);
  const { properties, container, water } = bag;
  const course = useMemo(
    () =>
      solutionCourse(
        live.filter((e): e is EntryOf<'solution'> => e.kind === 'solution' && e.containerId === container.id),
        properties.assumed,
      ),
    [properties.assumed, container.id, live],
  );
  const store = water?.estimate.stores.find(({ kind }) => hasLevel(kind));
  if (!store || !water) return null;
  const today = dayOf(clock.now());
  const ahead = water.usePerDay.filter((d) => d.day > today).slice(0, 5);
  const use = ahead.reduce((sum, d) => sum + d.litres, 0) / Math.max(1, ahead.length);
  const left = daysLeft(store.likely * store.litres, use);
  const low = daysLeft(store.low * store.litres, use);
  const high = daysLeft(store.high * store.litres, use);
  const last = course.readings.at(-1);
  const perWeek = (n: number) => `${n >= 0 ? '+' : '−'}${trimmed(Math.abs(n) * 7, 2)} a week`;
  return (
    <Box sx={{ borderBlockStart: '1px solid var(--line)', marginBlockStart: 2, paddingBlockStart: 1.5 }}>
      <Typography variant="h3" sx={{ fontSize: '1.05rem', marginBlockEnd: 0.5 }}>
        Its {STORE_WORDS[store.kind]}
      </Typography>
      <Typography>
        {left === undefined
          ? 'Nothing has been used from it yet.'
          : `At the use of these days what is in it lasts about ${trimmed(left, 0) === '1' ? '1 day' : `${trimmed(left, 0)} days`} (${trimmed(low ?? 0, 0)} to ${trimmed(high ?? 0, 0)}).`}{' '}
        {course.changedOn
          ? `Its nutrient was made up new on ${shortDay(course.changedOn)}, ${daysBetween(course.changedOn, today)} days ago${course.toppedUpLitres > 0 ? `, and topped up with ${unitFormat.show(course.toppedUpLitres, 'water')} since` : ''}.`
          : 'No nutrient is on record for it.'}
      </Typography>
      {last && (
        <Typography>
          {last.ecMillisiemens === undefined ? '' : `EC ${trimmed(last.ecMillisiemens, 2)}\u00a0mS/cm`}
          {course.ec?.isSure ? ` (${perWeek(course.ec.perDay)})` : ''}
          {last.ph === undefined
            ? ''
            : `${last.ecMillisiemens === undefined ? '' : ', '}pH ${trimmed(last.ph, 1)}`}
          {course.ph?.isSure ? ` (${perWeek(course.ph.perDay)})` : ''}, read on {shortDay(last.day)}.
        </Typography>
      )}
      {course.setAside.map(({ day, what, value, fault }) => (
        <Typography key={`${day} ${what}`}>
          {what === 'ec' ? 'EC' : 'pH'} {trimmed(value, 2)} of {shortDay(day, today)} is set aside.{' '}
          {SOLUTION_FAULT_WORDS[fault]} It stays in the diary.
        </Typography>
      ))}
      {course.description.map((word) => (
        <Typography key={word}>{SOLUTION_WORDS[word]}</Typography>
      ))}
      <Button variant="outlined" sx={{ marginBlock: 1 }} onClick={() => setOpen(true)}>
        Measure, change or top up
      </Button>
      {course.readings.length > 0 && <CautionOf id="acids" />}
      {isOpen && <SolutionDialog bag={bag} onClose={() => setOpen(false)} />}
    </Box>
  );
}

function SolutionDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { clock, garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const nutrient = useNutrient(bag);
  const form = useFields(
    {
      ...solutionForm.fields({ garden, unitFormat }),
      withNutrient: switchField({ label: 'With the nutrient of its regime' }),
    },
    {
      values: { withNutrient: true },
      check: (values) => solutionForm.check?.(values) ?? [],
      isAsked: (name, { what }) => what !== 'reading' || (name !== 'litres' && name !== 'withNutrient'),
    },
  );
  const isPoured = form.texts.what !== 'reading';
  const submit = form.submit(async (values, texts) => {
    const base = { at: clock.now(), containerId: bag.container.id };
    const { litres } = values;
    const poured: Draft[] =
      litres === undefined
        ? []
        : [
            { kind: 'watering', ...base, litres, isMeasured: true, ranThrough: false, into: 'store' },
            ...(nutrient && values.withNutrient ? fedInto(nutrient, litres, base) : []),
          ];
    const solution = draftOf({ kind: 'solution', ...base }, solutionForm.facts(values, texts));
    await record([...poured, solution], `nutrient of ${bag.container.label}`);
    onClose();
  });
  return (
    <FormDialog
      title={`The nutrient of ${bag.container.label}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormField
        form={form}
        name="what"
        help={
          form.texts.what === 'changed'
            ? 'What was still in it is poured out: it counts as empty before this.'
            : undefined
        }
      />
      {isPoured && <FormField form={form} name="litres" />}
      {isPoured && nutrient && (
        <FormField
          form={form}
          name="withNutrient"
          label={`With ${doseWords(nutrient.dose, unitFormat.system)} of ${midSentence(nutrient.product.name)}${nutrient.partner ? `, and as much ${midSentence(nutrient.partner.name)}` : ''}`}
        />
      )}
      <FormFields form={form} names={['ec', 'ph']} />
    </FormDialog>
  );
}
