import { InputAdornment, TextField } from '@mui/material';
import { findProduct } from '@rundel/core/products';
import { useState } from 'react';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { productAmount, productName } from '../../../text/product-text.ts';
import { useGarden, useMoney, useUnitFormat } from '../../../store/index.ts';
import { productUnitSymbol, readProductAmount } from '../../../text/product-amount.ts';
import { midSentence } from '../../../text/text.ts';

/** What happened to a product in the shed. */
export type ShedAct = 'bought' | 'used' | 'counted' | 'priced';

const WORDS: Record<ShedAct, { readonly title: string; readonly amount: string; readonly submit: string }> = {
  bought: { title: 'Bought', amount: 'How much came in', submit: 'Into the shed' },
  used: { title: 'Used', amount: 'How much went out', submit: 'Out of the shed' },
  counted: { title: 'Counted', amount: 'How much is there', submit: 'That is what is there' },
  priced: { title: 'A price seen for', amount: 'In a pack of', submit: 'Keep the price' },
};

/** One act in the shed: bought, used, counted, or a price that was only seen. */
export function BuyDialog({
  productId,
  act = 'bought',
  amount: proposed,
  paid: proposedPrice,
  onClose,
}: {
  readonly productId: string;
  readonly act?: ShedAct;
  readonly amount?: number | undefined;
  readonly paid?: number | undefined;
  onClose(): void;
}) {
  const { garden, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const product = findProduct(productId, garden.products) ?? {
    id: productId,
    name: productId,
    kind: 'other',
    unit: 'piece',
  };
  const [amount, setAmount] = useState(
    proposed === undefined ? '' : productAmount(product, proposed, unitFormat),
  );
  const [paid, setPaid] = useState(proposedPrice === undefined ? '' : proposedPrice.toFixed(2));
  const [problems, setProblems] = useState<{ amount?: string; paid?: string }>({});
  const words = WORDS[act];
  const submit = async () => {
    const read = readProductAmount(amount, product, unitFormat.system, {
      low: act === 'counted' ? 0 : 0.001,
    });
    const price = money.read(paid);
    if (read.kind !== 'given')
      return setProblems({ amount: read.kind === 'refused' ? read.problem : 'Please give an amount.' });
    if (price.kind === 'refused') return setProblems({ paid: price.problem });
    if (act === 'priced' && price.kind !== 'given') return setProblems({ paid: 'What did it cost?' });
    const base = { at: clock.now(), productId, amount: read.siValue };
    await record(
      [
        act === 'bought'
          ? { kind: 'bought', ...base, ...(price.kind === 'given' ? { paid: price.amount } : {}) }
          : act === 'priced'
            ? { kind: 'priced', ...base, price: price.kind === 'given' ? price.amount : 0 }
            : { kind: act, ...base },
      ],
      `${midSentence(productName(productId, garden.products))} ${act === 'priced' ? 'priced' : act}`,
    );
    onClose();
    return undefined;
  };
  return (
    <FormDialog
      title={`${words.title} ${midSentence(product.name)}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel={words.submit}
    >
      <TextField
        label={words.amount}
        value={amount}
        autoFocus
        onChange={(e) => setAmount(e.target.value)}
        error={problems.amount !== undefined}
        helperText={problems.amount}
        slotProps={{
          htmlInput: { inputMode: 'decimal' },
          input: {
            endAdornment: (
              <InputAdornment position="end">{productUnitSymbol(product, unitFormat.system)}</InputAdornment>
            ),
          },
        }}
      />
      {(act === 'bought' || act === 'priced') && (
        <TextField
          label={act === 'bought' ? 'Paid for it' : 'Price'}
          value={paid}
          onChange={(e) => setPaid(e.target.value)}
          error={problems.paid !== undefined}
          helperText={problems.paid ?? (act === 'bought' ? 'Empty if it was given to you.' : undefined)}
          slotProps={{
            htmlInput: { inputMode: 'decimal' },
            input: { startAdornment: <InputAdornment position="start">{money.sign}</InputAdornment> },
          }}
        />
      )}
    </FormDialog>
  );
}
