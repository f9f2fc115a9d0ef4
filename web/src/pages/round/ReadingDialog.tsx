import type { EntryOf } from '@rundel/core/records';
import { titleOf } from '../../text/bag-text.ts';
import { findingOf } from '../../ui/entries/water-forms.ts';
import { FormDialog, FormFields, useFields } from '../../ui/form/index.ts';
import type { Bag } from '../../store/index.ts';

/** What a scale or a probe showed, typed. */
export default function ReadingDialog({
  bag,
  kind,
  onCheck,
  onClose,
}: {
  readonly bag: Bag;
  readonly kind: 'scale' | 'probe';
  onCheck(check: EntryOf<'check'>['check']): void;
  onClose(): void;
}) {
  const finding = findingOf(kind);
  const form = useFields({ found: finding.field });
  const submit = form.submit(({ found }) => {
    onCheck(finding.check(found));
    onClose();
  });
  return (
    <FormDialog
      title={`Reading at ${titleOf(bag)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormFields form={form} autoFocus />
    </FormDialog>
  );
}
