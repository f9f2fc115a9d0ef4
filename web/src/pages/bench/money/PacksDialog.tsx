import { Box, Button, IconButton, InputAdornment, TextField, Typography } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import type { Draft, Pack } from '@rundel/core/records';
import { findProduct } from '@rundel/core/products';
import { useState } from 'react';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { productAmount, productName } from '../../../text/product-text.ts';
import { newId, useGarden, useMoney, useUnitFormat, type RecordChange } from '../../../store/index.ts';
import { productUnitSymbol, readProductAmount } from '../../../text/product-amount.ts';
import { midSentence } from '../../../text/text.ts';

interface PackText {
  readonly id: string;
  readonly amount: string;
  readonly price: string;
}

/** The packs in which a product is sold, and what they cost now; a changed price goes into the price log. */
export function PacksDialog({ productId, onClose }: { readonly productId: string; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const product = findProduct(productId, garden.products) ?? {
    id: productId,
    name: productId,
    kind: 'other',
    unit: 'piece',
  };
  const before = garden.packs.filter((p) => !p.binnedAt && p.productId === productId);
  const [rows, setRows] = useState<readonly PackText[]>(() =>
    before.length > 0
      ? before.map((p) => ({
          id: p.id,
          amount: productAmount(product, p.amount, unitFormat),
          price: p.price === undefined ? '' : String(p.price),
        }))
      : [{ id: newId('pack'), amount: '', price: '' }],
  );
  const [isTried, setTried] = useState(false);
  const read = rows.map((row) => ({
    row,
    amount: readProductAmount(row.amount, product, unitFormat.system),
    price: money.read(row.price),
  }));
  const set = (id: string, patch: Partial<PackText>) =>
    setRows((now) => now.map((row) => (row.id === id ? { ...row, ...patch } : row)));
  const submit = async () => {
    setTried(true);
    const now = clock.now();
    const changes: RecordChange[] = [];
    const drafts: Draft[] = [];
    for (const { row, amount, price } of read) {
      if (amount.kind !== 'given' || price.kind === 'refused') return;
      const known = before.find((p) => p.id === row.id);
      const after: Pack = {
        id: row.id,
        productId,
        amount: amount.siValue,
        ...(known?.name ? { name: known.name } : {}),
        ...(price.kind === 'given' ? { price: price.amount } : {}),
        createdAt: known?.createdAt ?? now,
        changedAt: now,
      };
      if (known && known.amount === after.amount && known.price === after.price) continue;
      changes.push({ table: 'packs', before: known, after });
      if (after.price !== undefined && after.price !== known?.price) {
        drafts.push({ kind: 'priced', at: now, productId, amount: after.amount, price: after.price });
      }
    }
    for (const gone of before.filter((p) => !rows.some((row) => row.id === p.id))) {
      changes.push({ table: 'packs', before: gone, after: { ...gone, binnedAt: now, changedAt: now } });
    }
    if (changes.length > 0) await saveRecords(changes, drafts, `packs of ${midSentence(product.name)} kept`);
    onClose();
  };
  return (
    <FormDialog
      title={`Packs of ${midSentence(productName(productId, garden.products))}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      {read.map(({ row, amount, price }, i) => (
        <Box
          key={row.id}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 44px', gap: 1, alignItems: 'start' }}
        >
          <TextField
            label={`Pack ${i + 1} holds`}
            value={row.amount}
            autoFocus={i === 0}
            onChange={(e) => set(row.id, { amount: e.target.value })}
            error={isTried && amount.kind === 'refused'}
            helperText={
              isTried && amount.kind === 'refused' ? 'A pack needs a size: what does it hold?' : undefined
            }
            slotProps={{
              htmlInput: { inputMode: 'decimal' },
              input: {
                endAdornment: (
                  <InputAdornment position="end">
                    {productUnitSymbol(product, unitFormat.system)}
                  </InputAdornment>
                ),
              },
            }}
          />
          <TextField
            label={`Pack ${i + 1} costs`}
            value={row.price}
            onChange={(e) => set(row.id, { price: e.target.value })}
            error={price.kind === 'refused'}
            helperText={price.kind === 'refused' ? price.problem : undefined}
            slotProps={{
              htmlInput: { inputMode: 'decimal' },
              input: { startAdornment: <InputAdornment position="start">{money.sign}</InputAdornment> },
            }}
          />
          <IconButton
            aria-label={`Take pack ${i + 1} out`}
            onClick={() => setRows((now) => now.filter((each) => each.id !== row.id))}
            sx={{ width: 44, height: 52 }}
          >
            <IconTrash size={20} aria-hidden />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="outlined"
        onClick={() => setRows((now) => [...now, { id: newId('pack'), amount: '', price: '' }])}
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
