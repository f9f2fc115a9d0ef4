import type { Occupant } from '@rundel/core/plants';
import { plantName } from '../../text/plant-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { trussForm } from '../entries/care-forms.ts';
import { draftOf } from '../entries/entry-form.ts';
import { FormDialog, FormFields, useFields } from '../form/index.ts';
import { useWhen } from '../When.tsx';

/** Any truss of a plant, at any stage, as of any day: of a plant that was not followed from its first. */
export default function TrussDialog({
  bag,
  occupant,
  number,
  onClose,
}: {
  readonly bag: Bag;
  readonly occupant: Occupant;
  readonly number: number;
  onClose(): void;
}) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen({ kind: 'truss', containerId: bag.container.id });
  const form = useFields(trussForm.fields({ garden, unitFormat }), {
    values: { number, stage: 'flowering' },
  });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const home = {
      containerId: bag.container.id,
      stationId: occupant.stationId,
      plantId: occupant.plant.id,
    };
    await record(
      [draftOf({ kind: 'truss', at, ...home }, trussForm.facts(values, texts))],
      `truss ${values.number} at ${bag.container.label}`,
    );
    onClose();
  });
  return (
    <FormDialog
      title={`A truss of ${plantName(occupant, bag.occupants)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormFields form={form} autoFocus />
      {when.field}
    </FormDialog>
  );
}
