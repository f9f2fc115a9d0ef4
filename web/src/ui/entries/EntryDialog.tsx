import { Typography } from '@mui/material';
import { titleOf } from '../../text/bag-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { FormDialog, FormFields, useFields, type FormStart } from '../form/index.ts';
import { useWhen } from '../When.tsx';
import { formOf } from './correct-forms.ts';
import { checkOf, draftOf } from './entry-form.ts';

interface NewEntry {
  title(bag: Bag): string;
  /** what undo calls it, before the bag's label */
  readonly words: string;
  readonly submitLabel?: string;
  readonly start?: FormStart<Record<never, never>>['values'];
  readonly remark?: string;
}

/** What is put in the diary of a bag by a form of its own. */
const NEW_ENTRIES = {
  picking: { title: (bag) => `Picked from ${titleOf(bag)}`, words: 'picking from' },
  watering: { title: (bag) => `Water ${titleOf(bag)}`, words: 'watering at', submitLabel: 'Given' },
  note: { title: (bag) => `A note on ${titleOf(bag)}`, words: 'note on' },
  trouble: {
    title: (bag) => `Trouble in bag ${bag.container.label}`,
    words: 'trouble in',
    start: { livesInMix: true },
    remark:
      'Brown edges after a cold night and wet mix look like disease and often are none. Nothing has to be thrown out because of this entry; the old mix is only kept from being used again.',
  },
} as const satisfies Readonly<Record<string, NewEntry>>;

export type NewEntryKind = keyof typeof NEW_ENTRIES;

/** A new entry at a bag, by the form of its kind; the day and time come last, since it is nearly always of now. */
export function EntryDialog({
  bag,
  kind,
  onClose,
}: {
  readonly bag: Bag;
  readonly kind: NewEntryKind;
  onClose(): void;
}) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const { id: containerId, label } = bag.container;
  const entry: NewEntry = NEW_ENTRIES[kind];
  const when = useWhen({ kind, containerId });
  const entryForm = formOf(kind);
  const form = useFields(entryForm?.fields({ garden, unitFormat }) ?? {}, {
    values: entry.start ?? {},
    ...checkOf(entryForm),
  });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const draft = draftOf({ kind, at, containerId }, entryForm?.facts(values, texts) ?? {});
    await record([draft], `${entry.words} ${label}`);
    onClose();
  });
  return (
    <FormDialog
      title={entry.title(bag)}
      onClose={onClose}
      onSubmit={submit}
      submitLabel={entry.submitLabel ?? 'Put in the diary'}
    >
      <FormFields form={form} autoFocus />
      {when.field}
      {entry.remark && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {entry.remark}
        </Typography>
      )}
    </FormDialog>
  );
}
