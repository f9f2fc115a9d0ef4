import { draftOf } from '../../ui/entries/entry-form.ts';
import { findingOf, laterWatering } from '../../ui/entries/water-forms.ts';
import { FormDialog, FormFields, useFields } from '../../ui/form/index.ts';
import { titleOf } from '../../text/bag-text.ts';
import { useWhen } from '../../ui/When.tsx';
import { useGarden, type Bag } from '../../store/index.ts';

const FIELDS = { grade: findingOf('finger').field, litres: laterWatering('The watering that followed') };

/** A round that was walked without noting it: what a bag felt like then, and the watering that followed, if any. */
export function CheckDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { record } = useGarden();
  const containerId = bag.container.id;
  const when = useWhen({ kind: 'check', containerId }, true);
  const form = useFields(FIELDS, { values: { grade: 2 } });
  const submit = form.submit(async ({ grade, litres }, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const check = draftOf({ kind: 'check', at, containerId }, { check: findingOf('finger').check(grade) });
    const watering = {
      kind: 'watering' as const,
      // after the check, also where the two are sorted by their time alone
      at: at.replace('.000', '.001'),
      containerId,
      isMeasured: true,
      ranThrough: false,
      asEntered: texts.litres.trim(),
    };
    await record(
      [check, ...(litres === undefined ? [] : [{ ...watering, litres }])],
      `earlier check of ${bag.container.label}`,
    );
    onClose();
  });
  return (
    <FormDialog
      title={`An earlier check at ${titleOf(bag)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {when.field}
      <FormFields form={form} />
    </FormDialog>
  );
}
