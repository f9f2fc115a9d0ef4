import { TextField, Typography } from '@mui/material';
import type { Place } from '@rundel/core/records';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { readAmount } from '../../text/amount-text.ts';
import { COVER_CHOICES } from '../../ui/choices.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { newId, useGarden, useUnitFormat } from '../../store/index.ts';

/** A place where bags stand: its name, its roof, its turn in the walk. */
export function PlaceDialog({
  place,
  hasBags,
  onClose,
}: {
  readonly place: Place | undefined;
  readonly hasBags: boolean;
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const [name, setName] = useState(place?.name ?? '');
  const [cover, setCover] = useState<Place['cover']>(place?.cover ?? 'open');
  const unitFormat = useUnitFormat();
  const [wire, setWire] = useState(
    place?.wireMillimetres === undefined ? '' : unitFormat.show(place.wireMillimetres, 'height'),
  );
  const { system } = unitFormat;
  const [shade, setShade] = useState(place?.shade ? String(Math.round(place.shade * 100)) : '');
  const percent = shade.trim() === '' ? 0 : Number(shade.replace('%', '').replace(',', '.'));
  const isShade = percent >= 0 && percent <= 90;
  const readWire = readAmount(wire, { purpose: 'height', system, low: 300, high: 5000, isOptional: true });
  const [problem, setProblem] = useState<string>();
  const submit = async () => {
    const trimmed = name.trim();
    if (trimmed === '') return setProblem('Give it a name.');
    if (garden.places.some((s) => !s.binnedAt && s.id !== place?.id && s.name === trimmed))
      return setProblem('There is a place of this name already.');
    if (readWire.kind === 'refused' || !isShade) return undefined;
    const now = clock.now();
    const { wireMillimetres: _, shade: _shade, ...known } = place ?? { wireMillimetres: undefined };
    const made = {
      name: trimmed,
      cover,
      ...(readWire.kind === 'given' ? { wireMillimetres: Math.round(readWire.siValue) } : {}),
      ...(percent > 0 ? { shade: percent / 100 } : {}),
    };
    const after: Place = place
      ? { ...(known as Omit<Place, 'wireMillimetres' | 'shade'>), ...made, changedAt: now }
      : {
          id: newId('place'),
          ...made,
          order: garden.places.length,
          createdAt: now,
          changedAt: now,
        };
    await saveRecords(
      [{ table: 'places', before: place, after }],
      [],
      place ? `${trimmed} changed` : `${trimmed} added`,
    );
    onClose();
    return undefined;
  };
  const bin = async () => {
    if (!place) return;
    await putInBin('places', [place], place.name);
    onClose();
  };
  return (
    <FormDialog
      title={place ? `Change ${place.name}` : 'Add a place'}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel={place ? 'Change it' : 'Add it'}
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
        onChange={(e) => setCover(e.target.value as Place['cover'])}
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
      {place &&
        (hasBags ? (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            It can be removed once no bag stands here.
          </Typography>
        ) : (
          <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
            Delete
          </OnceButton>
        ))}
    </FormDialog>
  );
}
