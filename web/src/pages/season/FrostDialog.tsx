import { TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden } from '../../store/index.ts';
import { frostDatesOf } from './frost-dates.ts';

/** The grower's own usual last and first frost, as people write them: "25 Apr". */
export function FrostDialog({ onClose }: { onClose(): void }) {
  const { garden, saveSettings } = useGarden();
  const { frost, latitudeDegrees } = garden.settings;
  const written = (monthDay: string | undefined) => (monthDay ? frostDatesOf.write(monthDay) : '');
  const [last, setLast] = useState(written(frost?.last));
  const [first, setFirst] = useState(written(frost?.first));
  const [isTried, setTried] = useState(false);
  const read = frostDatesOf.read(last, first, latitudeDegrees);
  const problem = (field: 'last' | 'first') =>
    isTried && read.kind === 'refused' ? read.problems[field] : undefined;
  const submit = async () => {
    setTried(true);
    if (read.kind === 'refused') return;
    await saveSettings({ ...garden.settings, frost: { last: read.last, first: read.first } });
    onClose();
  };
  const forget = async () => {
    const { frost: _, ...rest } = garden.settings;
    await saveSettings(rest);
    onClose();
  };
  return (
    <FormDialog title="Frost here" isOpen onClose={onClose} onSubmit={submit} submitLabel="Save">
      <TextField
        label="Usual last frost"
        autoFocus
        value={last}
        onChange={(e) => setLast(e.target.value)}
        error={problem('last') !== undefined}
        helperText={problem('last') ?? 'In an ordinary spring, as "25 Apr".'}
      />
      <TextField
        label="Usual first frost"
        value={first}
        onChange={(e) => setFirst(e.target.value)}
        error={problem('first') !== undefined}
        helperText={problem('first') ?? 'In an ordinary autumn, as "20 Oct".'}
      />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        A neighbour who has gardened there for years knows better than any table.
      </Typography>
      {frost && (
        <OnceButton onPress={() => forget()} sx={{ alignSelf: 'flex-start' }}>
          Reckon them for me again
        </OnceButton>
      )}
    </FormDialog>
  );
}
