import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Stack,
  Switch,
  TextField,
} from '@mui/material';
import { useState, type FormEvent, type ReactNode } from 'react';
import { wateringMeasure, measuresInUse, useGarden, useUnitFormat, type Bag } from '../store/index.ts';
import { AmountField } from './AmountField.tsx';
import { cropRule, waterRule } from '../text/amount-rules.ts';
import { readAmount } from '../text/amount-text.ts';
import { titleOf } from '../text/bag-text.ts';
import { useOnce } from './once.ts';
import { useWhen } from './When.tsx';

interface EntryDialogProps {
  readonly bag: Bag;
  readonly isOpen: boolean;
  onClose(): void;
  /** called after the entry is stored */
  onDone?(): void;
}

/** The frame of a small form for one entry: Enter stores it, Escape leaves everything as it was. */
export function FormDialog({
  title,
  isOpen,
  onClose,
  onSubmit,
  submitLabel,
  children,
}: {
  readonly title: string;
  readonly isOpen: boolean;
  readonly submitLabel: string;
  readonly children: ReactNode;
  onClose(): void;
  onSubmit(): unknown;
}) {
  const once = useOnce(onSubmit);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    // while it fades out it is no form any more
    if (isOpen) once();
  };
  return (
    <Dialog open={isOpen} onClose={onClose} fullWidth maxWidth="xs">
      <form onSubmit={submit} noValidate>
        <DialogTitle variant="h2">{title}</DialogTitle>
        <DialogContent>
          <Stack spacing={2} sx={{ paddingBlockStart: 1 }}>
            {children}
          </Stack>
        </DialogContent>
        <DialogActions sx={{ padding: 2 }}>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            {submitLabel}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

/** Fruit picked from a bag: a weight, a count, or both. */
export function PickDialog({ bag, isOpen, onClose, onDone }: EntryDialogProps) {
  const { record } = useGarden();
  const when = useWhen('picking', bag.container.id);
  const unitFormat = useUnitFormat();
  const [weight, setWeight] = useState('');
  const [count, setCount] = useState('');
  const [problems, setProblems] = useState<{ weight?: string; count?: string }>({});
  const close = () => {
    setWeight('');
    setCount('');
    setProblems({});
    when.reset();
    onClose();
  };
  const submit = async () => {
    const read = readAmount(weight, cropRule(unitFormat.system));
    const fruits = count.trim() === '' ? undefined : Number(count);
    if (read.kind === 'refused') return setProblems({ weight: read.problem });
    if (fruits !== undefined && !(Number.isInteger(fruits) && fruits >= 1 && fruits <= 5000)) {
      return setProblems({ count: 'A whole number of fruits, please.' });
    }
    if (read.kind === 'left-out' && fruits === undefined) {
      return setProblems({ weight: 'Give a weight, a count, or both.' });
    }
    setProblems({});
    const at = when.read();
    if (at === undefined) return undefined;
    const kilograms = read.kind === 'given' ? { kilograms: read.siValue, asEntered: read.text } : {};
    await record(
      [
        {
          kind: 'picking',
          at,
          containerId: bag.container.id,
          ...kilograms,
          ...(fruits ? { count: fruits } : {}),
        },
      ],
      `picking from ${bag.container.label}`,
    );
    close();
    onDone?.();
    return undefined;
  };
  return (
    <FormDialog
      title={`Picked from ${titleOf(bag)}`}
      isOpen={isOpen}
      onClose={close}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <AmountField
        purpose="crop"
        label="Weight"
        value={weight}
        autoFocus
        onChange={(e) => setWeight(e.target.value)}
        error={problems.weight !== undefined}
        helperText={problems.weight ?? 'As "0.45", "450 g" or "1 lb".'}
      />
      <TextField
        label="How many"
        value={count}
        onChange={(e) => setCount(e.target.value)}
        error={problems.count !== undefined}
        helperText={problems.count ?? 'If you counted them.'}
        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
      />
      {when.field}
    </FormDialog>
  );
}

/** A watering of any amount, when it was not the one proposed. */
export function WateringDialog({ bag, isOpen, onClose, onDone }: EntryDialogProps) {
  const { record, garden } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen('watering', bag.container.id);
  const measure = wateringMeasure(garden);
  const [amount, setAmount] = useState('');
  const [ranThrough, setRanThrough] = useState(false);
  const [isByEye, setByEye] = useState(false);
  const [problem, setProblem] = useState<string>();
  const close = () => {
    setAmount('');
    setRanThrough(false);
    setByEye(false);
    setProblem(undefined);
    when.reset();
    onClose();
  };
  const submit = async () => {
    const measures = [measure, ...measuresInUse(garden)];
    const read = readAmount(amount, waterRule(unitFormat.system, measures));
    if (read.kind !== 'given')
      return setProblem(read.kind === 'refused' ? read.problem : 'Please give an amount.');
    const litres = read.siValue;
    setProblem(undefined);
    const at = when.read();
    if (at === undefined) return undefined;
    await record(
      [
        {
          kind: 'watering',
          at,
          containerId: bag.container.id,
          litres,
          isMeasured: !isByEye,
          ranThrough,
          asEntered: amount.trim(),
        },
      ],
      `watering at ${bag.container.label}`,
    );
    close();
    onDone?.();
    return undefined;
  };
  return (
    <FormDialog
      title={`Water ${titleOf(bag)}`}
      isOpen={isOpen}
      onClose={close}
      onSubmit={submit}
      submitLabel="Given"
    >
      <AmountField
        purpose="water"
        label="How much"
        value={amount}
        autoFocus
        onChange={(e) => setAmount(e.target.value)}
        error={problem !== undefined}
        helperText={
          problem ??
          `As "5 L", "1 gal" or "½ can" (your ${measure.name} holds ${unitFormat.show(measure.litres, 'water')}).`
        }
      />
      <FormControlLabel
        control={<Switch checked={ranThrough} onChange={(_, on) => setRanThrough(on)} />}
        label="It ran through at the bottom"
      />
      <FormControlLabel
        control={<Switch checked={isByEye} onChange={(_, on) => setByEye(on)} />}
        label="Judged by eye"
      />
      {when.field}
    </FormDialog>
  );
}

/** A line in the diary of a bag. */
export function NoteDialog({ bag, isOpen, onClose, onDone }: EntryDialogProps) {
  const { record } = useGarden();
  const when = useWhen('note', bag.container.id);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const close = () => {
    setText('');
    setProblem(undefined);
    when.reset();
    onClose();
  };
  const submit = async () => {
    if (text.trim() === '') return setProblem('Write a word or two first.');
    setProblem(undefined);
    const at = when.read();
    if (at === undefined) return undefined;
    await record(
      [{ kind: 'note', at, containerId: bag.container.id, text: text.trim() }],
      `note on ${bag.container.label}`,
    );
    close();
    onDone?.();
    return undefined;
  };
  return (
    <FormDialog
      title={`A note on ${titleOf(bag)}`}
      isOpen={isOpen}
      onClose={close}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <TextField
        multiline
        minRows={3}
        label="What you saw or did"
        value={text}
        autoFocus
        onChange={(e) => setText(e.target.value.slice(0, 2000))}
        error={problem !== undefined}
        helperText={problem}
      />
      {when.field}
    </FormDialog>
  );
}
