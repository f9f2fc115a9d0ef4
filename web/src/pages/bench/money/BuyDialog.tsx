import type { Draft, Product } from '@rundel/core/records';
import { boughtFields, countedFields, pricedFields, productNamed } from '../../../ui/entries/stock-forms.ts';
import { FormDialog, FormFields, useFields, type Field } from '../../../ui/form/index.ts';
import { productName } from '../../../text/product-text.ts';
import { useGarden } from '../../../store/index.ts';
import { midSentence } from '../../../text/text.ts';

/** What happened to a product in the shed. */
export type ShedAct = 'bought' | 'used' | 'counted' | 'priced';

const WORDS: Record<ShedAct, { readonly title: string; readonly submit: string }> = {
  bought: { title: 'Bought', submit: 'Into the shed' },
  used: { title: 'Used', submit: 'Out of the shed' },
  counted: { title: 'Counted', submit: 'That is what is there' },
  priced: { title: 'A price seen for', submit: 'Keep the price' },
};

interface ActFields {
  readonly [name: string]: Field<number> | Field<number | undefined>;
}

/** What each act asks. */
function fieldsOf(act: ShedAct, product: Product): ActFields {
  if (act === 'bought') return boughtFields(product);
  return act === 'priced' ? pricedFields(product) : countedFields(product, act);
}

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
  const product = productNamed(productId, garden.products);
  const form = useFields(fieldsOf(act, product), { values: { amount: proposed, paid: proposedPrice } });
  const submit = form.submit(async ({ amount = 0, paid, price = 0 }) => {
    const base = { at: clock.now(), productId, amount };
    const draft: Draft =
      act === 'bought'
        ? { kind: act, ...base, ...(paid === undefined ? {} : { paid }) }
        : act === 'priced'
          ? { kind: act, ...base, price }
          : { kind: act, ...base };
    await record([draft], `${midSentence(productName(productId, garden.products))} ${act}`);
    onClose();
  });
  return (
    <FormDialog
      title={`${WORDS[act].title} ${midSentence(product.name)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel={WORDS[act].submit}
    >
      <FormFields form={form} autoFocus />
    </FormDialog>
  );
}
