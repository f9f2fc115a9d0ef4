import { FormControlLabel, MenuItem, Switch, TextField, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import type { Draft, Entry, EntryOf } from '@rundel/core/records';
import { FINGER_GRADES, LIFT_GRADES } from '@rundel/core/water';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { cropRule, waterRule } from '../../text/amount-rules.ts';
import { readAmount, type AmountRule } from '../../text/amount-text.ts';
import { DayField } from '../../ui/DayField.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { LEVELS, levelShare } from '../../text/check-text.ts';
import { momentProblem } from '../../text/moment-problem.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** Corrects one entry: a new entry takes its place and the first stays on record. */
export function CorrectDialog({ entry, onClose }: { readonly entry: Entry; onClose(): void }) {
  const { garden, record, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const [day, setDay] = useState(dayOf(entry.at));
  const [time, setTime] = useState(entry.at.slice(11, 16));
  const [amount, setAmount] = useState(firstAmount(entry, unitFormat.show));
  const [count, setCount] = useState(entry.kind === 'picking' && entry.count ? String(entry.count) : '');
  const asked = askedOf(entry);
  const isProbe = entry.kind === 'check' && entry.check.method === 'probe';
  const graded = entry.kind === 'check' ? gradesOf(entry.check) : undefined;
  const [grade, setGrade] = useState(graded?.grade ?? 1);
  const [text, setText] = useState(entry.kind === 'note' ? entry.text : '');
  const [ranThrough, setRanThrough] = useState(entry.kind === 'watering' && entry.ranThrough);
  const [problems, setProblems] = useState<{ day?: string; amount?: string; text?: string; count?: string }>(
    {},
  );

  const submit = async () => {
    const isSame = day === dayOf(entry.at) && time === entry.at.slice(11, 16);
    const at = isSame ? entry.at : clock.at(day, time);
    const dayProblem = momentProblem(at, entry, live, clock.now());
    if (dayProblem) return setProblems({ day: dayProblem });
    const read = amountOf(amount, entry, unitFormat.system, garden.measures);
    if (read.problem !== undefined) return setProblems({ amount: read.problem });
    const fruits = count.trim() === '' ? undefined : Number(count);
    if (fruits !== undefined && !(Number.isInteger(fruits) && fruits > 0))
      return setProblems({ count: 'A whole number of fruits, please.' });
    if (entry.kind === 'picking' && read.siValue === undefined && fruits === undefined)
      return setProblems({ amount: 'Give a weight, a count, or both.' });
    if (entry.kind === 'note' && text.trim() === '')
      return setProblems({ text: 'Write a word, or remove the note instead.' });
    await record(
      [
        corrected(entry, {
          at,
          siValue: read.siValue,
          asEntered: amount.trim(),
          grade,
          ranThrough,
          text: text.trim(),
          count: fruits,
        }),
      ],
      `${entry.kind} corrected`,
    );
    onClose();
    return undefined;
  };

  return (
    <FormDialog
      title="Correct this entry"
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Correct it"
    >
      <DayField
        label="Day"
        value={day}
        onChange={setDay}
        latest={dayOf(clock.now())}
        problem={problems.day}
      />
      <TextField
        label="Time"
        type="time"
        value={time}
        onChange={(e) => setTime(e.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {graded && (
        <TextField
          select
          label="What it felt like"
          value={grade}
          onChange={(e) => setGrade(Number(e.target.value))}
        >
          {graded.names.map((name, i) => (
            <MenuItem key={name} value={i + 1}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {isProbe && (
        <TextField
          label="The probe shows"
          value={amount}
          onChange={(e) => setAmount(e.target.value)}
          error={problems.amount !== undefined}
          helperText={problems.amount}
        />
      )}
      {asked && (
        <AmountField
          purpose={asked.purpose}
          label={asked.label}
          value={amount}
          onChange={(e) => setAmount(e.target.value)}
          error={problems.amount !== undefined}
          helperText={problems.amount}
        />
      )}
      {entry.kind === 'picking' && (
        <TextField
          label="How many"
          value={count}
          onChange={(e) => setCount(e.target.value)}
          error={problems.count !== undefined}
          helperText={problems.count}
        />
      )}
      {entry.kind === 'watering' && (
        <FormControlLabel
          control={<Switch checked={ranThrough} onChange={(_, on) => setRanThrough(on)} />}
          label="It ran through at the bottom"
        />
      )}
      {entry.kind === 'note' && (
        <TextField
          multiline
          minRows={3}
          label="Note"
          value={text}
          onChange={(e) => setText(e.target.value.slice(0, 2000))}
          error={problems.text !== undefined}
          helperText={problems.text}
        />
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        The first version stays on record.
      </Typography>
    </FormDialog>
  );
}

/** The amount that an entry has, and how it is asked for. */
function askedOf(
  entry: Entry,
):
  | { readonly purpose: 'water' | 'crop' | 'height'; readonly label: string; readonly siValue?: number }
  | undefined {
  if (entry.kind === 'watering') return { purpose: 'water', label: 'How much', siValue: entry.litres };
  if (entry.kind === 'planted')
    return { purpose: 'height', label: 'Height of the plant', siValue: entry.seedling.stemMillimetres };
  if (entry.kind === 'picking')
    return {
      purpose: 'crop',
      label: 'Weight',
      ...(entry.kilograms === undefined ? {} : { siValue: entry.kilograms }),
    };
  if (entry.kind === 'check' && entry.check.method === 'scale')
    return { purpose: 'crop', label: 'The whole bag weighs', siValue: entry.check.kilograms };
  return undefined;
}

function firstAmount(
  entry: Entry,
  show: (siValue: number, purpose: 'water' | 'crop' | 'height') => string,
): string {
  if (entry.kind === 'check' && entry.check.method === 'probe') return String(entry.check.reading);
  const asked = askedOf(entry);
  return asked?.siValue === undefined ? '' : show(asked.siValue, asked.purpose);
}

function amountOf(
  text: string,
  entry: Entry,
  system: 'metric' | 'us' | 'uk',
  measures: AmountRule['measures'],
): { readonly siValue?: number; readonly problem?: string } {
  if (entry.kind === 'check' && entry.check.method === 'probe') {
    const reading = Number(text.trim().replace(',', '.'));
    const isNumber = text.trim() !== '' && reading >= 0 && reading <= 100;
    return isNumber ? { siValue: reading } : { problem: 'A number from 0 to 100.' };
  }
  const rules = {
    watering: waterRule(system, measures),
    picking: cropRule(system),
    planted: { purpose: 'height', system, low: 20, high: 1500 },
    check: { purpose: 'crop', system, low: 0.1, high: 500 },
  } as const;
  if (!askedOf(entry)) return {};
  const read = readAmount(text, rules[entry.kind as keyof typeof rules]);
  if (read.kind === 'refused') return { problem: read.problem };
  return read.kind === 'given' ? { siValue: read.siValue } : {};
}

interface Corrections {
  readonly at: string;
  readonly siValue: number | undefined;
  readonly asEntered: string;
  readonly grade: number;
  readonly ranThrough: boolean;
  readonly text: string;
  readonly count: number | undefined;
}

type CheckMade = EntryOf<'check'>['check'];

/** The grades of a check that has them, and which it was. */
function gradesOf(
  check: CheckMade,
): { readonly names: readonly string[]; readonly grade: number } | undefined {
  switch (check.method) {
    case 'finger':
      return { names: FINGER_GRADES, grade: check.grade };
    case 'lift':
      return { names: LIFT_GRADES, grade: check.grade };
    case 'level':
      return { names: LEVELS, grade: 1 + Math.round(check.share * (LEVELS.length - 1)) };
    default:
      return undefined;
  }
}

function correctedCheck(check: CheckMade, to: Corrections): CheckMade {
  switch (check.method) {
    case 'finger':
    case 'lift':
      return { ...check, grade: to.grade };
    case 'level':
      return { ...check, share: levelShare(to.grade) };
    case 'scale':
      return { ...check, kilograms: to.siValue ?? check.kilograms };
    case 'probe':
      return { ...check, reading: to.siValue ?? check.reading };
    case 'wilted':
      return check;
  }
}

/** The entry that replaces another; the store gives it an id of its own. */
function corrected(entry: Entry, to: Corrections): Draft {
  const { id, recordedAt: _, ...rest } = entry;
  const base = { ...rest, at: to.at, replaces: id } as Draft;
  switch (base.kind) {
    case 'check':
      return { ...base, check: correctedCheck(base.check, to) };
    case 'watering':
      return {
        ...base,
        litres: to.siValue ?? base.litres,
        ranThrough: to.ranThrough,
        asEntered: to.asEntered,
      };
    case 'picking': {
      const { kilograms: _weight, count: _count, asEntered: _text, ...picking } = base;
      return {
        ...picking,
        ...(to.siValue === undefined ? {} : { kilograms: to.siValue, asEntered: to.asEntered }),
        ...(to.count === undefined ? {} : { count: to.count }),
      };
    }
    case 'planted':
      return {
        ...base,
        seedling: { ...base.seedling, stemMillimetres: to.siValue ?? base.seedling.stemMillimetres },
      };
    case 'note':
      return { ...base, text: to.text };
    default:
      return base;
  }
}
