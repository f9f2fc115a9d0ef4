import { Typography } from '@mui/material';
import type { Entry } from '@rundel/core/records';
import { useGarden, useUnitFormat } from '../../store/index.ts';
import { entryWords } from '../../text/entry-text.ts';
import { FormDialog, FormFields, useFields } from '../form/index.ts';
import { usePhotos } from '../photos/PhotoField.tsx';
import { useWhen } from '../When.tsx';
import { CorrectPlanting } from './CorrectPlanting.tsx';
import { formOf } from './correct-forms.ts';
import { checkOf, correctionOf } from './entry-form.ts';
import { useHome } from './Home.tsx';

/** Corrects one entry in all that it says: a new entry takes its place and the first stays on record. */
export function CorrectDialog({ entry, onClose }: { readonly entry: Entry; onClose(): void }) {
  return entry.kind === 'planted' ? (
    <CorrectPlanting entry={entry} onClose={onClose} />
  ) : (
    <CorrectByForm entry={entry} onClose={onClose} />
  );
}

function CorrectByForm({ entry, onClose }: { readonly entry: Entry; onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen(entry);
  const home = useHome(entry);
  const photos = usePhotos(entry.photoIds);
  const kind = formOf(entry.kind);
  const form = useFields(kind?.fields({ garden, unitFormat }, entry) ?? {}, {
    ...kind?.start(entry),
    ...checkOf(kind),
  });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined || home.problem) return;
    await record(
      [
        correctionOf(entry, at, {
          ...(kind?.facts(values, texts, entry) ?? {}),
          ...home.facts,
          ...photos.facts,
        }),
      ],
      `${entry.kind} corrected`,
    );
    onClose();
  });
  const first = entry.replaces && garden.entries.find((e) => e.id === entry.replaces);
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
      {home.field}
      {photos.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {first ? `It said before: ${entryWords(first, unitFormat, garden)}. ` : ''}The first version stays on
        record.
      </Typography>
    </FormDialog>
  );
}
