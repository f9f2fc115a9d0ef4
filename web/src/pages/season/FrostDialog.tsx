import { Typography } from '@mui/material';
import { FormDialog, FormFields, textField, useFields } from '../../ui/form/index.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden } from '../../store/index.ts';
import { frostDatesOf } from './frost-dates.ts';

const FIELDS = {
  last: textField({
    label: 'Usual last frost',
    help: 'In an ordinary spring, as "25 Apr". One of the two is enough.',
    longest: 30,
  }),
  first: textField({
    label: 'Usual first frost',
    help: 'In an ordinary autumn, as "20 Oct". Empty: worked out.',
    longest: 30,
  }),
};

/** The grower's own usual last and first frost, as people write them: "25 Apr". */
export function FrostDialog({ onClose }: { onClose(): void }) {
  const { garden, saveSettings } = useGarden();
  const { frost, latitudeDegrees } = garden.settings;
  const written = (monthDay: string | undefined) => monthDay && frostDatesOf.write(monthDay);
  const form = useFields(FIELDS, { texts: { last: written(frost?.last), first: written(frost?.first) } });
  const submit = form.submit(async (texts) => {
    const read = frostDatesOf.read(texts.last, texts.first, latitudeDegrees);
    if (read.kind === 'refused') {
      if (read.problems.first) form.refuse('first', read.problems.first);
      if (read.problems.last) form.refuse('last', read.problems.last);
      return;
    }
    const { last, first } = read;
    await saveSettings({
      ...garden.settings,
      frost: { ...(last ? { last } : {}), ...(first ? { first } : {}) },
    });
    onClose();
  });
  const forget = async () => {
    const { frost: _, ...rest } = garden.settings;
    await saveSettings(rest);
    onClose();
  };
  return (
    <FormDialog title="Frost here" onClose={onClose} onSubmit={submit} submitLabel="Save">
      <FormFields form={form} autoFocus />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        A neighbour who has gardened there for years knows better than any table.
      </Typography>
      {frost && (
        <OnceButton onPress={() => forget()} sx={{ alignSelf: 'flex-start' }}>
          Work them out for me again
        </OnceButton>
      )}
    </FormDialog>
  );
}
