import { Typography } from '@mui/material';
import { choiceField, FormDialog, FormField, namedOptions, useFields } from '../../ui/form/index.ts';
import { useWhen } from '../../ui/When.tsx';
import { Caution } from '../../ui/Caution.tsx';
import { placesInUse, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { movedDrafts } from '../../ui/moved-drafts.ts';

/** A bag is carried to another place on a day, for a week or for good: what it stood under before stays true of the days before. */
export function CarryDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const { container } = bag;
  const when = useWhen({ kind: 'moved', containerId: container.id });
  const others = placesInUse(garden).filter(({ id }) => id !== container.placeId);
  const form = useFields({ placeId: choiceField({ label: 'Where it goes', options: namedOptions(others) }) });
  const save = form.submit(async ({ placeId }) => {
    const at = when.read();
    if (at === undefined) return;
    // the bag's record follows
    const after = { ...container, placeId };
    await record(movedDrafts([{ before: container, after }], at), `bag ${container.label} moved`);
    onClose();
  });
  return (
    <FormDialog
      title={`Move bag ${container.label} to another place`}
      onClose={onClose}
      onSubmit={others.length === 0 ? onClose : save}
      submitLabel={others.length === 0 ? 'Close' : 'Move it'}
    >
      {others.length === 0 ? (
        <Typography>There is no other place yet. Add one on the Bags page.</Typography>
      ) : (
        <>
          <FormField form={form} name="placeId" />
          {when.field}
        </>
      )}
      {bag.properties.drainedKilograms > 20 && (
        <Caution>
          Wet it weighs about {unitFormat.show(bag.properties.drainedKilograms, 'weight')}: slide it, or lift
          it with two people.
        </Caution>
      )}
    </FormDialog>
  );
}
