import { Box, Button, FormControlLabel, Switch, TextField, Typography } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import type { Draft, EntryOf } from '@rundel/core/records';
import { daysLeft, solutionCourse } from '@rundel/core/feeding';
import { findProduct } from '@rundel/core/products';
import { hasLevel } from '@rundel/core/water';
import { trimmed } from '@rundel/core/units';
import { useMemo, useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { waterRule } from '../../text/amount-rules.ts';
import { readAmount } from '../../text/amount-text.ts';
import { Caution } from '../../ui/Caution.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { doseWords, SOLUTION_WORDS } from '../../text/feed-text.ts';
import { STORE_WORDS } from '../../text/water-text.ts';
import { midSentence, shortDay } from '../../text/text.ts';
import { Select } from '../../ui/Select.tsx';
import { measuresInUse, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** The nutrient in a bag's reservoir, channel or drum: when it was made up, EC and pH with their trend, and how long it lasts. */
export default function SolutionPart({ bag }: { readonly bag: Bag }) {
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
          : 'No nutrient has been put down for it.'}
      </Typography>
      {last && (
        <Typography>
          {last.ecMillisiemens === undefined ? '' : `EC ${trimmed(last.ecMillisiemens, 2)}\u00a0mS/cm`}
          {course.ecPerDay === undefined ? '' : ` (${perWeek(course.ecPerDay)})`}
          {last.ph === undefined
            ? ''
            : `${last.ecMillisiemens === undefined ? '' : ', '}pH ${trimmed(last.ph, 1)}`}
          {course.phPerDay === undefined ? '' : ` (${perWeek(course.phPerDay)})`}, read on{' '}
          {shortDay(last.day)}.
        </Typography>
      )}
      {course.description.map((word) => (
        <Typography key={word}>{SOLUTION_WORDS[word]}</Typography>
      ))}
      <Button variant="outlined" sx={{ marginBlock: 1 }} onClick={() => setOpen(true)}>
        Measure, change or top up
      </Button>
      {course.readings.length > 0 && (
        <Caution>
          Acids and alkalis that correct pH burn: goggles, gloves, product into water, by its label.
        </Caution>
      )}
      {isOpen && <SolutionDialog bag={bag} onClose={() => setOpen(false)} />}
    </Box>
  );
}

const WHAT = [
  { id: 'reading', label: 'Measured' },
  { id: 'changed', label: 'Made up new' },
  { id: 'topped-up', label: 'Topped up' },
] as const;

/** The nutrient that a bag's regime has in its drum, if any. */
function useNutrient(bag: Bag) {
  const { garden } = useGarden();
  const regime = bag.feeding?.regime;
  for (const step of regime?.steps ?? []) {
    const product = findProduct(step.productId, garden.products);
    const dose = step.dose ?? product?.feed?.dose;
    if (product?.feed?.form !== 'two-part' || dose?.per !== 'litre') continue;
    const partner = product.feed.partnerId && findProduct(product.feed.partnerId, garden.products);
    return { product, dose, partner: partner || undefined, regimeId: regime?.id, stepId: step.id };
  }
  return undefined;
}

function SolutionDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { clock, garden, record } = useGarden();
  const nutrient = useNutrient(bag);
  const [isWithNutrient, setWithNutrient] = useState(true);
  const unitFormat = useUnitFormat();
  const [what, setWhat] = useState<(typeof WHAT)[number]['id']>('reading');
  const [litres, setLitres] = useState('');
  const [ec, setEc] = useState('');
  const [ph, setPh] = useState('');
  const [problems, setProblems] = useState<{ litres?: string; ec?: string; ph?: string }>({});
  const submit = async () => {
    const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
    const [readEc, readPh] = [number(ec), number(ph)];
    if (readEc !== undefined && !(readEc >= 0 && readEc <= 20))
      return setProblems({
        ec: readEc > 20 ? 'Above 20 it is in µS/cm: divide by 1000.' : 'A number in mS/cm, as 2.1.',
      });
    if (readPh !== undefined && !(readPh >= 0 && readPh <= 14))
      return setProblems({ ph: 'pH goes from 0 to 14.' });
    const read = readAmount(litres, {
      ...waterRule(unitFormat.system, measuresInUse(garden)),
      isOptional: what === 'reading',
    });
    if (what !== 'reading' && read.kind !== 'given')
      return setProblems({ litres: read.kind === 'refused' ? read.problem : 'How much went in?' });
    if (what === 'reading' && readEc === undefined && readPh === undefined)
      return setProblems({ ec: 'Give an EC, a pH, or both.' });
    const at = clock.now();
    const poured = what !== 'reading' && read.kind === 'given' ? read.siValue : undefined;
    const solution: Draft<'solution'> = {
      kind: 'solution',
      at,
      containerId: bag.container.id,
      what,
      ...(poured === undefined ? {} : { litres: poured }),
      ...(readEc === undefined ? {} : { ecMillisiemens: readEc }),
      ...(readPh === undefined ? {} : { ph: readPh }),
    };
    const waterings: Draft<'watering'>[] =
      poured === undefined
        ? []
        : [
            {
              kind: 'watering',
              at,
              containerId: bag.container.id,
              litres: poured,
              isMeasured: true,
              ranThrough: false,
              into: 'store',
            },
          ];
    const feeds =
      poured === undefined || !nutrient || !isWithNutrient
        ? []
        : [nutrient.product, ...(nutrient.partner ? [nutrient.partner] : [])].map(
            (product): Draft<'fed'> => ({
              kind: 'fed',
              at,
              containerId: bag.container.id,
              productId: product.id,
              amount: nutrient.dose.amount * poured,
              unit: nutrient.dose.unit,
              litres: poured,
              into: 'store',
              ...(nutrient.regimeId ? { regimeId: nutrient.regimeId, stepId: nutrient.stepId } : {}),
            }),
          );
    await record([...waterings, ...feeds, solution], `nutrient of ${bag.container.label}`);
    onClose();
    return undefined;
  };
  return (
    <FormDialog
      title={`The nutrient of ${bag.container.label}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <Select
        label="What was done"
        value={what}
        onChange={setWhat}
        options={WHAT}
        help={
          what === 'changed'
            ? 'What was still in it is poured out: it counts as empty before this.'
            : undefined
        }
      />
      {what !== 'reading' && (
        <AmountField
          purpose="water"
          label="How much went in"
          value={litres}
          onChange={(e) => {
            setLitres(e.target.value);
            setProblems({});
          }}
          error={problems.litres !== undefined}
          helperText={problems.litres}
        />
      )}
      {what !== 'reading' && nutrient && (
        <FormControlLabel
          control={<Switch checked={isWithNutrient} onChange={(_, on) => setWithNutrient(on)} />}
          label={`With ${doseWords(nutrient.dose, unitFormat.system)} of ${midSentence(nutrient.product.name)}${nutrient.partner ? `, and as much ${midSentence(nutrient.partner.name)}` : ''}`}
        />
      )}
      <TextField
        label="EC, mS/cm"
        value={ec}
        onChange={(e) => {
          setEc(e.target.value);
          setProblems({});
        }}
        error={problems.ec !== undefined}
        helperText={problems.ec ?? 'If you measured it.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <TextField
        label="pH"
        value={ph}
        onChange={(e) => {
          setPh(e.target.value);
          setProblems({});
        }}
        error={problems.ph !== undefined}
        helperText={problems.ph}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
    </FormDialog>
  );
}
