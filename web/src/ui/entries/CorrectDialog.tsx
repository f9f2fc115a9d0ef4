import { Typography } from '@mui/material';
import type { Entry } from '@rundel/core/records';
import { useBags, useGarden, useUnitFormat } from '../../store/index.ts';
import { entryWords } from '../../text/entry-text.ts';
import { FormDialog, FormFields, textField, useFields, type Fields } from '../form/index.ts';
import { usePhotos } from '../photos/PhotoField.tsx';
import { useWhen } from '../When.tsx';
import { CorrectPlanting } from './CorrectPlanting.tsx';
import { formOf } from './correct-forms.ts';
import { checkOf, correctionOf } from './entry-form.ts';
import { pickingAsked } from './plant-forms.ts';
import { useHome } from './Home.tsx';

/** Corrects one entry in all that it says: a new entry takes its place and the first stays on record. */
export function CorrectDialog({ entry, onClose }: { readonly entry: Entry; onClose(): void }) {
  return entry.kind === 'planted' ? (
    <CorrectPlanting entry={entry} onClose={onClose} />
  ) : (
    <CorrectByForm entry={entry} onClose={onClose} />
  );
}

/** What any entry may have beside what its kind says. */
function besideFields(entry: Entry, hasNote: boolean): Fields {
  return {
    ...(hasNote || entry.kind === 'note'
      ? {}
      : { note: textField({ label: 'Note', longest: 2000, lines: 2 }) }),
    ...(entry.who === undefined ? {} : { who: textField({ label: 'Who did it', longest: 40 }) }),
  };
}

/** What stands in those fields; what is empty is taken out. */
const besideFacts = (values: Readonly<Record<string, unknown>>, beside: Fields) =>
  Object.fromEntries(
    Object.keys(beside).map((name) => [name, values[name] === '' ? undefined : values[name]]),
  );

function CorrectByForm({ entry, onClose }: { readonly entry: Entry; onClose(): void }) {
  const { garden, record } = useGarden();
  const { bags } = useBags();
  const unitFormat = useUnitFormat();
  const when = useWhen(entry);
  const home = useHome(entry);
  const photos = usePhotos(entry.photoIds);
  const kind = formOf(entry.kind);
  const asked = kind?.fields({ garden, unitFormat }, entry) ?? {};
  // a note that a form does not ask for may have come with the line or with a table
  const beside = besideFields(entry, 'note' in asked);
  const start = kind?.start(entry);
  const form = useFields(
    { ...asked, ...beside },
    {
      ...start,
      values: { ...start?.values, note: entry.note, who: entry.who },
      ...checkOf(kind),
      ...(entry.kind === 'picking'
        ? { isAsked: pickingAsked(bags.filter(({ container }) => container.id === entry.containerId)) }
        : {}),
    },
  );
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined || home.problem) return;
    await record(
      [
        correctionOf(entry, at, {
          ...(kind?.facts(values, texts, entry) ?? {}),
          ...besideFacts(values, beside),
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
