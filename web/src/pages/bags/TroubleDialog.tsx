import { FormControlLabel, Switch, TextField, Typography } from '@mui/material';
import type { EntryOf } from '@rundel/core/records';
import { useState } from 'react';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { Select } from '../../ui/Select.tsx';
import { TROUBLE_WORDS } from '../../text/trouble-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';

type What = EntryOf<'trouble'>['what'];

const OPTIONS = (Object.keys(TROUBLE_WORDS) as What[]).map((id) => ({
  id,
  label: TROUBLE_WORDS[id].charAt(0).toUpperCase() + TROUBLE_WORDS[id].slice(1),
}));

/** Trouble put on record, so that a mix in which it may live on is not used again. */
export function TroubleDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { record, clock } = useGarden();
  const [what, setWhat] = useState<What>('root-rot');
  const [livesInMix, setLives] = useState(true);
  const [note, setNote] = useState('');
  const { container } = bag;
  const submit = async () => {
    await record(
      [
        {
          kind: 'trouble',
          at: clock.now(),
          containerId: container.id,
          what,
          livesInMix,
          ...(note.trim() === '' ? {} : { note: note.trim() }),
        },
      ],
      `trouble in ${container.label}`,
    );
    onClose();
  };
  return (
    <FormDialog
      title={`Trouble in bag ${container.label}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <Select label="What it looks like" value={what} onChange={setWhat} options={OPTIONS} />
      <FormControlLabel
        control={<Switch checked={livesInMix} onChange={(_, on) => setLives(on)} />}
        label="It may live on in the mix"
      />
      <TextField
        label="What you saw"
        multiline
        minRows={2}
        value={note}
        onChange={(e) => setNote(e.target.value.slice(0, 2000))}
      />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Brown edges after a cold night and wet mix look like disease and often are none. Nothing has to be
        thrown out because of this entry; the old mix is only kept from being used again.
      </Typography>
    </FormDialog>
  );
}
