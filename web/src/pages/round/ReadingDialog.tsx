import { TextField } from '@mui/material';
import type { EntryOf } from '@rundel/core/records';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { readAmount } from '../../text/amount-text.ts';
import { titleOf } from '../../text/bag-text.ts';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { useUnitFormat, type Bag } from '../../store/index.ts';

/** What a scale or a probe showed, typed. */
export default function ReadingDialog({
  bag,
  kind,
  onCheck,
  onClose,
}: {
  readonly bag: Bag;
  readonly kind: 'scale' | 'probe';
  onCheck(check: EntryOf<'check'>['check']): void;
  onClose(): void;
}) {
  const unitFormat = useUnitFormat();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const submit = () => {
    if (kind === 'scale') {
      const read = readAmount(text, { purpose: 'crop', system: unitFormat.system, low: 0.1, high: 500 });
      if (read.kind !== 'given')
        return setProblem(read.kind === 'refused' ? read.problem : 'What does the scale show?');
      onCheck({ method: 'scale', kilograms: read.siValue });
    } else {
      const reading = Number(text.trim().replace('%', '').replace(',', '.'));
      if (text.trim() === '' || !Number.isFinite(reading)) return setProblem('The number that it shows.');
      if (reading < 0 || reading > 100)
        return setProblem('From 0 to 100, as its bag is calibrated; is the probe in the mix?');
      onCheck({ method: 'probe', reading });
    }
    onClose();
    return undefined;
  };
  const field = { value: text, error: problem !== undefined, autoFocus: true } as const;
  return (
    <FormDialog
      title={`Reading at ${titleOf(bag)}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {kind === 'scale' ? (
        <AmountField
          purpose="crop"
          label="The whole bag weighs"
          {...field}
          onChange={(e) => setText(e.target.value)}
          helperText={problem ?? 'Slide it on with two people, or use a hanging scale: wet bags are heavy.'}
        />
      ) : (
        <TextField
          label="The probe shows"
          {...field}
          onChange={(e) => setText(e.target.value)}
          helperText={problem ?? 'From 0 to 100. Its two points are set on the bag’s page.'}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
      )}
    </FormDialog>
  );
}
