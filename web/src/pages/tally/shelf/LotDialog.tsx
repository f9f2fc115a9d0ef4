import { dayOf } from '@rundel/core/calendar';
import type { ShelfLot } from '@rundel/core/pickings';
import { draftOf } from '../../../ui/entries/entry-form.ts';
import { lotFields, shelvedForm } from '../../../ui/entries/shelf-forms.ts';
import { FormDialog, FormFields, useFields } from '../../../ui/form/index.ts';
import { useWhen } from '../../../ui/When.tsx';
import { lotName } from '../../../text/shelf-text.ts';
import { newId, useGarden, useUnitFormat } from '../../../store/index.ts';

/** How a lot lies from now on; or a new one, of fruit that is in no picking. */
export default function LotDialog({ lot, onClose }: { readonly lot: ShelfLot | undefined; onClose(): void }) {
  return lot ? <ChangeLot lot={lot} onClose={onClose} /> : <NewLot onClose={onClose} />;
}

function ChangeLot({ lot, onClose }: { readonly lot: ShelfLot; onClose(): void }) {
  const { garden, clock, record } = useGarden();
  const name = lotName(lot, garden.varieties, dayOf(clock.now()));
  const when = useWhen({ kind: 'shelved' });
  const last = lot.entries.findLast((e) => e.kind === 'shelved');
  const form = useFields(lotFields, {
    values: {
      name: lot.name ?? '',
      celsius: lot.celsius,
      isWithFruit: lot.isWithFruit,
      fruitsAWeek: lot.fruitsAWeek,
      keepsMonths: last?.kind === 'shelved' ? last.keepsMonths : undefined,
    },
  });
  const submit = form.submit(async (values) => {
    const at = when.read();
    if (at === undefined) return;
    const facts = { ...values, name: values.name || undefined, isWithFruit: values.isWithFruit };
    await record([draftOf({ kind: 'shelved', at, lotId: lot.id }, facts)], `${name} on the shelf`);
    onClose();
  });
  return (
    <FormDialog title={name} keepAs={`lot ${lot.id}`} onClose={onClose} onSubmit={submit} submitLabel="Save">
      <FormFields form={form} autoFocus />
      {when.field}
    </FormDialog>
  );
}

function NewLot({ onClose }: { onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen({ kind: 'shelved' });
  const form = useFields(shelvedForm.fields({ garden, unitFormat }), {
    values: { cropId: 'tomato', varietyId: 'not-said', stage: 'green' },
  });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const facts = shelvedForm.facts(values, texts);
    if (facts.count === undefined && facts.kilograms === undefined) {
      form.refuse('count', 'How many, or how heavy?');
      return;
    }
    const variety = garden.varieties.find((v) => v.id === facts.varietyId);
    await record(
      [
        draftOf(
          { kind: 'shelved', at, lotId: newId('lot') },
          { ...facts, cropId: variety?.cropId ?? facts.cropId },
        ),
      ],
      'fruit on the shelf',
    );
    onClose();
  });
  return (
    <FormDialog title="On the shelf" onClose={onClose} onSubmit={submit} submitLabel="Put in the diary">
      <FormFields form={form} autoFocus />
      {when.field}
    </FormDialog>
  );
}
