import { dayOf } from '@rundel/core/calendar';
import type { ShelfLot } from '@rundel/core/pickings';
import { Typography } from '@mui/material';
import { draftOf } from '../../../ui/entries/entry-form.ts';
import { shelfCheckForm } from '../../../ui/entries/shelf-forms.ts';
import { FormDialog, FormFields, useFields } from '../../../ui/form/index.ts';
import { useWhen } from '../../../ui/When.tsx';
import { lotName } from '../../../text/shelf-text.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

/** A lot looked through: what was taken, and what was thrown out. Nothing filled in means that all is well. */
export default function LookThrough({ lot, onClose }: { readonly lot: ShelfLot; onClose(): void }) {
  const { garden, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const name = lotName(lot, garden.varieties, dayOf(clock.now()));
  const when = useWhen({ kind: 'shelf-check' });
  const form = useFields(shelfCheckForm.fields({ garden, unitFormat }), {
    isAsked: (field, texts) => field !== 'lostTo' || (texts.lost ?? '').trim() !== '',
  });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const gone = (values.eaten ?? 0) + (values.given ?? 0) + (values.sold ?? 0) + (values.lost ?? 0);
    if (values.left === undefined && gone > lot.left && !lot.isUncounted) {
      form.refuse(
        'eaten',
        `Only ${lot.left} were left. If there were more, count what is left now and put it below.`,
      );
      return;
    }
    await record(
      [draftOf({ kind: 'shelf-check', at, lotId: lot.id }, shelfCheckForm.facts(values, texts))],
      `looking through ${name}`,
    );
    onClose();
  });
  return (
    <FormDialog
      title={`Look through: ${name}`}
      keepAs={`look through ${lot.id}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <Typography variant="body2">
        {lot.isUncounted
          ? 'Nobody counted all of them: say how many are left, if you do.'
          : `${lot.left} should be there.`}{' '}
        Leave all empty if nothing was taken and nothing has gone over.
      </Typography>
      <FormFields form={form} autoFocus />
      {when.field}
    </FormDialog>
  );
}
