import { MenuItem, TextField } from '@mui/material';
import type { Draft } from '@rundel/core/records';
import { FINGER_GRADES } from '@rundel/core/water';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { waterRule } from '../../text/amount-rules.ts';
import { readAmount } from '../../text/amount-text.ts';
import { titleOf } from '../../text/bag-text.ts';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { useWhen } from '../../ui/When.tsx';
import { wateringMeasure, measuresInUse, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** A round that was walked without noting it: what a bag felt like then, and the watering that followed, if any. */
export function CheckDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen('check', bag.container.id, true);
  const [grade, setGrade] = useState(2);
  const [amount, setAmount] = useState('');
  const [problem, setProblem] = useState<string>();
  const measure = wateringMeasure(garden);
  const submit = async () => {
    const read = readAmount(amount, {
      ...waterRule(unitFormat.system, [measure, ...measuresInUse(garden)]),
      isOptional: true,
    });
    setProblem(read.kind === 'refused' ? read.problem : undefined);
    const at = when.read();
    if (read.kind === 'refused' || at === undefined) return;
    const containerId = bag.container.id;
    const drafts: Draft[] = [{ kind: 'check', at, containerId, check: { method: 'finger', grade } }];
    if (read.kind === 'given')
      drafts.push({
        kind: 'watering',
        // after the check, also where the two are sorted by their time alone
        at: at.replace('.000', '.001'),
        containerId,
        litres: read.siValue,
        isMeasured: true,
        ranThrough: false,
        asEntered: read.text,
      });
    await record(drafts, `earlier check of ${bag.container.label}`);
    onClose();
  };
  return (
    <FormDialog
      title={`An earlier check at ${titleOf(bag)}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {when.field}
      <TextField
        select
        label="What it felt like"
        value={grade}
        onChange={(event) => setGrade(Number(event.target.value))}
      >
        {FINGER_GRADES.map((name, i) => (
          <MenuItem key={name} value={i + 1}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <AmountField
        purpose="water"
        label="The watering that followed"
        value={amount}
        onChange={(event) => setAmount(event.target.value)}
        error={problem !== undefined}
        helperText={problem ?? 'Empty for none.'}
      />
    </FormDialog>
  );
}
