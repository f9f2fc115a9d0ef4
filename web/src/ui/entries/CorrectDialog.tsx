import { Typography } from '@mui/material';
import type { Entry } from '@rundel/core/records';
import { useGarden, useUnitFormat } from '../../store/index.ts';
import { FormDialog, FormFields, useFields } from '../form/index.ts';
import { useWhen } from '../When.tsx';
import { formOf } from './correct-forms.ts';
import { checkOf, correctionOf } from './entry-form.ts';

/** Corrects one entry in all that it says: a new entry takes its place and the first stays on record. */
export function CorrectDialog({ entry, onClose }: { readonly entry: Entry; onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen(entry);
  const kind = formOf(entry.kind);
  const form = useFields(kind?.fields({ garden, unitFormat }, entry) ?? {}, {
    ...kind?.start(entry),
    ...checkOf(kind),
  });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    await record(
      [correctionOf(entry, at, kind?.facts(values, texts, entry) ?? {})],
      `${entry.kind} corrected`,
    );
    onClose();
  });
  return (
    <FormDialog
      title="Correct this entry"
      keepAs={`correct ${entry.id}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Correct it"
    >
      {when.field}
      <FormFields form={form} />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        The first version stays on record.
      </Typography>
    </FormDialog>
  );
}
