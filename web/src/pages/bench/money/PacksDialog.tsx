import { Box, Button, IconButton, Typography } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import type { Draft, Pack } from '@rundel/core/records';
import { useState } from 'react';
import { productAmountField, productNamed } from '../../../ui/entries/stock-forms.ts';
import {
  FormDialog,
  FormField,
  priceField,
  useAsBegun,
  useFields,
  type Field,
} from '../../../ui/form/index.ts';
import { newId, useGarden, type RecordChange } from '../../../store/index.ts';
import { midSentence } from '../../../text/text.ts';

/** The packs in which a product is sold, and what they cost now; a changed price goes into the price log. */
export function PacksDialog({ productId, onClose }: { readonly productId: string; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const product = productNamed(productId, garden.products);
  const before = useAsBegun(garden.packs.filter((p) => !p.binnedAt && p.productId === productId));
  const [ids, setIds] = useState<readonly string[]>(() =>
    before.length > 0 ? before.map((p) => p.id) : [newId('pack')],
  );
  const fields = Object.fromEntries(
    ids.flatMap((id, i): [string, Field<number | undefined>][] => [
      [
        `${id} amount`,
        productAmountField(product, {
          label: `Pack ${i + 1} holds`,
          missing: 'A pack needs a size: what does it hold?',
        }) as Field<number | undefined>,
      ],
      [`${id} price`, priceField({ label: `Pack ${i + 1} costs` })],
    ]),
  );
  const form = useFields(fields, {
    values: Object.fromEntries(
      before.flatMap(({ id, amount, price }) => [
        [`${id} amount`, amount],
        [`${id} price`, price],
      ]),
    ),
  });
  const submit = form.submit(async (values) => {
    const now = clock.now();
    const changes: RecordChange[] = [];
    const drafts: Draft[] = [];
    for (const id of ids) {
      const [amount = 0, price] = [values[`${id} amount`], values[`${id} price`]];
      const known = before.find((p) => p.id === id);
      if (known && known.amount === amount && known.price === price) continue;
      const { price: _, ...rest } = known ?? { id, productId, createdAt: now };
      const after: Pack = { ...rest, amount, ...(price === undefined ? {} : { price }), changedAt: now };
      changes.push({ table: 'packs', before: known, after });
      if (price !== undefined && price !== known?.price)
        drafts.push({ kind: 'priced', at: now, productId, amount, price });
    }
    for (const gone of before.filter((p) => !ids.includes(p.id)))
      changes.push({ table: 'packs', before: gone, after: { ...gone, binnedAt: now, changedAt: now } });
    if (changes.length > 0) await saveRecords(changes, drafts, `packs of ${midSentence(product.name)} kept`);
    onClose();
  });
  return (
    <FormDialog
      title={`Packs of ${midSentence(product.name)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      {ids.map((id, i) => (
        <Box
          key={id}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 44px', gap: 1, alignItems: 'start' }}
        >
          <FormField form={form} name={`${id} amount`} autoFocus={i === 0} />
          <FormField form={form} name={`${id} price`} />
          <IconButton
            aria-label={`Take pack ${i + 1} out`}
            onClick={() => setIds((now) => now.filter((each) => each !== id))}
            sx={{ width: 44, height: 52 }}
          >
            <IconTrash size={20} aria-hidden />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="outlined"
        onClick={() => setIds((now) => [...now, newId('pack')])}
        sx={{ alignSelf: 'flex-start' }}
      >
        Another pack
      </Button>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        A pack without a price is planned by what it holds. A new price is kept in the price log.
      </Typography>
    </FormDialog>
  );
}
