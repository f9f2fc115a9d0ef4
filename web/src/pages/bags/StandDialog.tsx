import { Button, TextField, Typography } from '@mui/material';
import type { Stand } from '@rundel/core/records';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { readAmount } from '../../text/amount-text.ts';
import { COVER_CHOICES } from '../../ui/choices.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { newId, useGarden, useShown } from '../../store/index.ts';

/** A place where bags stand: its name, its roof, its turn in the walk. */
export function StandDialog({
  stand,
  hasBags,
  onClose,
}: {
  readonly stand: Stand | undefined;
  readonly hasBags: boolean;
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const [name, setName] = useState(stand?.name ?? '');
  const [cover, setCover] = useState<Stand['cover']>(stand?.cover ?? 'open');
  const shown = useShown();
  const [wire, setWire] = useState(
    stand?.wireMillimetres === undefined ? '' : shown.show(stand.wireMillimetres, 'height'),
  );
  const { system } = shown;
  const [shade, setShade] = useState(stand?.shade ? String(Math.round(stand.shade * 100)) : '');
  const percent = shade.trim() === '' ? 0 : Number(shade.replace('%', '').replace(',', '.'));
  const isShade = percent >= 0 && percent <= 90;
  const readWire = readAmount(wire, { purpose: 'height', system, low: 300, high: 5000, isOptional: true });
  const [problem, setProblem] = useState<string>();
  const submit = async () => {
    const trimmed = name.trim();
    if (trimmed === '') return setProblem('Give it a name.');
    if (garden.stands.some((s) => !s.binnedAt && s.id !== stand?.id && s.name === trimmed))
      return setProblem('There is a place of this name already.');
    if (readWire.kind === 'refused' || !isShade) return undefined;
    const now = clock.now();
    const { wireMillimetres: _, shade: _shade, ...known } = stand ?? { wireMillimetres: undefined };
    const made = {
      name: trimmed,
      cover,
      ...(readWire.kind === 'given' ? { wireMillimetres: Math.round(readWire.inner) } : {}),
      ...(percent > 0 ? { shade: percent / 100 } : {}),
    };
    const after: Stand = stand
      ? { ...(known as Omit<Stand, 'wireMillimetres' | 'shade'>), ...made, changedAt: now }
      : {
          id: newId('stand'),
          ...made,
          order: garden.stands.length,
          createdAt: now,
          changedAt: now,
        };
    await saveRecords(
      [{ table: 'stands', before: stand, after }],
      [],
      stand ? `${trimmed} changed` : `${trimmed} added`,
    );
    onClose();
    return undefined;
  };
  const bin = async () => {
    if (!stand) return;
    await putInBin('stands', [stand], stand.name);
    onClose();
  };
  return (
    <FormDialog
      title={stand ? `Change ${stand.name}` : 'Add a place'}
      isOpen
      onClose={onClose}
      onSubmit={() => void submit()}
      submitLabel={stand ? 'Change it' : 'Add it'}
    >
      <TextField
        label="Name"
        value={name}
        autoFocus
        onChange={(e) => setName(e.target.value.slice(0, 60))}
        error={problem !== undefined}
        helperText={problem}
      />
      <TextField
        select
        label="Roof"
        value={cover}
        onChange={(e) => setCover(e.target.value as Stand['cover'])}
        helperText="Under a roof no rain falls in and less sun comes through."
      >
        {COVER_CHOICES}
      </TextField>
      <AmountField
        purpose="height"
        label="A wire overhead, above the ground"
        value={wire}
        onChange={(e) => setWire(e.target.value)}
        error={readWire.kind === 'refused'}
        helperText={readWire.kind === 'refused' ? readWire.problem : 'For strings. Empty: there is none.'}
      />
      <TextField
        label="Shade cloth or whitewash, % of the sun"
        value={shade}
        onChange={(e) => setShade(e.target.value)}
        error={!isShade}
        helperText={isShade ? 'Empty: none. Its label says how much it takes.' : 'From 0 to 90 %.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      {stand &&
        (hasBags ? (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            It can be removed once no bag stands here.
          </Typography>
        ) : (
          <Button onClick={() => void bin()} sx={{ alignSelf: 'flex-start' }}>
            Put it in the bin
          </Button>
        ))}
    </FormDialog>
  );
}
