import { Box, Button, IconButton, MenuItem, TextField, Typography } from '@mui/material';
import { IconPencil, IconTrash } from '@tabler/icons-react';
import type { Measure } from '@rundel/core/records';
import { dripperLitresPerMinute, hoseLitresPerSecond, UNITS, type MeasureKind } from '@rundel/core/units';
import { useState } from 'react';
import { AmountField } from '../../../ui/AmountField.tsx';
import { readAmount } from '../../../text/amount-text.ts';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { measuresInUse, newId, useGarden, useUnitFormat, told } from '../../../store/index.ts';

const KINDS: Record<MeasureKind, { readonly name: string; readonly how: string }> = {
  can: { name: 'Can', how: 'What it holds when you call it full.' },
  bottle: { name: 'Bottle', how: 'What it holds when you call it full.' },
  hose: { name: 'Hose', how: 'Fill a bucket and count the seconds.' },
  dripper: { name: 'Dripper', how: 'Hold a jar under it for five minutes and measure what it caught.' },
  pot: { name: 'Sunk pot', how: 'Fill it to the rim from something that you have measured.' },
  handful: { name: 'Handful', how: 'Count your handful out in level tablespoons, once.' },
};

/** Things that give so much in a time, and the test that tells how much. */
const TESTED: Partial<
  Record<
    MeasureKind,
    {
      readonly caught: string;
      readonly time: string;
      readonly low: number;
      readonly high: number;
      readonly problem: string;
      rate(litres: number, time: number): number;
    }
  >
> = {
  hose: {
    caught: 'The bucket holds',
    time: 'Seconds to fill it',
    low: 1,
    high: 3600,
    problem: 'Seconds, from 1 to 3600.',
    rate: hoseLitresPerSecond,
  },
  dripper: {
    caught: 'The jar caught',
    time: 'Minutes under the dripper',
    low: 0.5,
    high: 240,
    problem: 'Minutes, from half a minute to 240.',
    rate: dripperLitresPerMinute,
  },
};

/** The grower's own measures; waterings are proposed in the one that is chosen. */
export default function MeasuresPanel() {
  const { garden, bin, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const [editing, setEditing] = useState<Measure | 'new'>();
  const measures = measuresInUse(garden);
  const pourable = measures.filter((m) => m.kind !== 'handful');
  return (
    <Box>
      {measures.length === 0 && (
        <Typography sx={{ marginBlockEnd: 1 }}>None yet: waterings are proposed in plain litres.</Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', padding: 0, margin: 0 }}>
        {measures.map((measure) => (
          <Box
            component="li"
            key={measure.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              borderBlockEnd: '1px solid var(--line)',
              minHeight: 52,
            }}
          >
            <Box sx={{ flex: 1 }}>
              <strong>{measure.name}</strong> ({KINDS[measure.kind].name.toLowerCase()}):{' '}
              {measure.kind === 'handful'
                ? `${(measure.litres / UNITS.tablespoon.factor).toFixed(1)} tablespoons`
                : measure.kind === 'dripper'
                  ? `${unitFormat.show(measure.litres * 60, 'water')} an hour`
                  : `${unitFormat.show(measure.litres, 'water')}${measure.kind === 'hose' ? ' a second' : ''}`}
            </Box>
            <IconButton
              aria-label={`Change ${measure.name}`}
              onClick={() => setEditing(measure)}
              sx={{ width: 44, height: 44 }}
            >
              <IconPencil size={20} aria-hidden />
            </IconButton>
            <IconButton
              aria-label={`Put ${measure.name} in the bin`}
              onClick={() => told(bin('measures', [measure], measure.name))}
              sx={{ width: 44, height: 44 }}
            >
              <IconTrash size={20} aria-hidden />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', marginBlockStart: 2, alignItems: 'center' }}>
        <Button variant="outlined" onClick={() => setEditing('new')}>
          Measure another
        </Button>
        {pourable.length > 0 && (
          <TextField
            select
            label="Propose waterings in"
            value={
              pourable.some((m) => m.id === garden.settings.wateringMeasureId)
                ? garden.settings.wateringMeasureId
                : pourable[0]?.id
            }
            onChange={(e) => told(saveSettings({ ...garden.settings, wateringMeasureId: e.target.value }))}
            sx={{ minWidth: 200 }}
          >
            {pourable.map((m) => (
              <MenuItem key={m.id} value={m.id}>
                {m.name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      {editing && (
        <MeasureDialog
          measure={editing === 'new' ? undefined : editing}
          onClose={() => setEditing(undefined)}
        />
      )}
    </Box>
  );
}

function MeasureDialog({ measure, onClose }: { readonly measure: Measure | undefined; onClose(): void }) {
  const { clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const [kind, setKind] = useState<MeasureKind>(measure?.kind ?? 'can');
  const [name, setName] = useState(measure?.name ?? '');
  const [amount, setAmount] = useState(
    measure && !TESTED[measure.kind] && measure.kind !== 'handful'
      ? unitFormat.show(measure.litres, 'water')
      : '',
  );
  const [second, setSecond] = useState(
    measure?.kind === 'handful'
      ? String(measure.litres / UNITS.tablespoon.factor)
      : kind === 'dripper'
        ? '5'
        : '',
  );
  const [problems, setProblems] = useState<{ name?: string; amount?: string; second?: string }>({});
  const submit = async () => {
    if (name.trim() === '') return setProblems({ name: 'Give it a name: "green can".' });
    const number = Number(second.replace(',', '.'));
    let litres: number;
    if (kind === 'handful') {
      if (!(number >= 0.2 && number <= 40)) return setProblems({ second: 'From 0.2 to 40 tablespoons.' });
      litres = number * UNITS.tablespoon.factor;
    } else {
      const read = readAmount(amount, { purpose: 'water', system: unitFormat.system, low: 0.005, high: 100 });
      if (read.kind !== 'given')
        return setProblems({ amount: read.kind === 'refused' ? read.problem : 'Please give an amount.' });
      const test = TESTED[kind];
      if (test && !(number >= test.low && number <= test.high)) return setProblems({ second: test.problem });
      litres = test ? test.rate(read.siValue, number) : read.siValue;
    }
    const now = clock.now();
    const after: Measure = {
      id: measure?.id ?? newId('measure'),
      kind,
      name: name.trim(),
      litres,
      createdAt: measure?.createdAt ?? now,
      changedAt: now,
    };
    await saveRecords([{ table: 'measures', before: measure, after }], [], `${after.name} measured`);
    onClose();
    return undefined;
  };
  return (
    <FormDialog
      title={measure ? `Measure ${measure.name} again` : 'Measure one of your things'}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <TextField
        select
        label="What is it?"
        value={kind}
        onChange={(e) => setKind(e.target.value as MeasureKind)}
        helperText={KINDS[kind].how}
      >
        {(Object.keys(KINDS) as MeasureKind[]).map((key) => (
          <MenuItem key={key} value={key}>
            {KINDS[key].name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value.slice(0, 60))}
        error={problems.name !== undefined}
        helperText={problems.name}
      />
      {kind !== 'handful' && (
        <AmountField
          purpose="water"
          label={TESTED[kind]?.caught ?? 'It holds'}
          value={amount}
          onChange={(e) => setAmount(e.target.value)}
          error={problems.amount !== undefined}
          helperText={problems.amount}
        />
      )}
      {(TESTED[kind] || kind === 'handful') && (
        <TextField
          label={TESTED[kind]?.time ?? 'Level tablespoons in it'}
          value={second}
          onChange={(e) => setSecond(e.target.value)}
          error={problems.second !== undefined}
          helperText={problems.second}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
      )}
    </FormDialog>
  );
}
