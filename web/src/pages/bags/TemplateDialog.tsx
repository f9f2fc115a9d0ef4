import { Typography } from '@mui/material';
import type { Template } from '@rundel/core/records';
import { kindWords } from '../../text/bag-text.ts';
import { FormDialog, FormFields, textField, useFields } from '../../ui/form/index.ts';
import { newId, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** A bag's make kept under a name, to set up others like it. */
export function TemplateDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const taken = garden.templates.flatMap((t) => (t.binnedAt ? [] : [t.name]));
  const form = useFields(
    { name: textField({ label: 'Name', longest: 60, missing: 'Give it a name.', taken }) },
    { values: { name: kindWords(bag, unitFormat) } },
  );
  const submit = form.submit(async ({ name }) => {
    const now = clock.now();
    // what it is made like, without what makes it this one
    const {
      id: _,
      label: __,
      placeId: ___,
      order,
      gauges,
      assumptions,
      stations,
      binnedAt,
      ...make
    } = bag.container;
    const first = bag.occupants[0];
    const after: Template = {
      id: newId('template'),
      name,
      ...make,
      stations: stations.length,
      ...(first ? { cropId: first.crop.id, habitId: first.habit.id } : {}),
      createdAt: now,
      changedAt: now,
    };
    await saveRecords([{ table: 'templates', before: undefined, after }], [], `template ${name} kept`);
    onClose();
  });
  return (
    <FormDialog title="Keep as a template" onClose={onClose} onSubmit={submit} submitLabel="Save">
      <FormFields form={form} autoFocus />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Kind, size, mix, mulch, support and how many plants are kept; a new bag can start from it.
      </Typography>
    </FormDialog>
  );
}
