import { Alert, Box, FormHelperText } from '@mui/material';
import type { Draft, FeedForm, OwnProduct, Product } from '@rundel/core/records';
import { productsIn } from '@rundel/core/products';
import { useState } from 'react';
import { doseInWater } from '../../text/dose-text.ts';
import { FEED_PROBLEM_WORDS } from '../../text/feed-text.ts';
import { midSentence } from '../../text/text.ts';
import { FormDialog, FormField, FormFields, useFields } from '../../ui/form/index.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { newId, useGarden, useUnitFormat, type RecordChange } from '../../store/index.ts';
import { shedUnit } from './feeding/feeds-csv.ts';
import {
  feedOf,
  isProductAsked,
  productFields,
  productProblems,
  startOfProduct,
  suiting,
  type ProductFields,
} from './product-form.ts';

const LABEL = ['n', 'p2o5', 'k2o', 'ca', 'mg'] as const;

/**
 * A product as its label has it, from wherever it is made: what feeds, in Feeds, while filling or in the shed, and what is only
 * bought. What is missing or cannot be is said while it is typed.
 */
export function ProductDialog({
  product,
  own,
  madeWith,
  onClose,
}: {
  /** what the form starts from */
  readonly product: Product | undefined;
  /** the record that is changed; left out: a new one is made */
  readonly own: OwnProduct | undefined;
  /** what else is put in the diary with a new product */
  madeWith?(product: OwnProduct): readonly Draft[];
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin } = useGarden();
  const { system } = useUnitFormat();
  const taken = garden.products.flatMap((g) => (g.binnedAt || g.id === own?.id ? [] : [g.name]));
  const partners = productsIn(garden.products).filter((g) => g.feed?.form === 'two-part' && g.id !== own?.id);
  const form = useFields<ProductFields>(
    (texts) => productFields(texts, { system, taken, partners, unit: own?.unit ?? product?.unit }),
    {
      values: {
        ...startOfProduct(product, system),
        ...(product && !own ? { name: `My ${midSentence(product.name)}`.slice(0, 60) } : {}),
      },
      isAsked: isProductAsked,
      check: productProblems,
    },
  );
  const [isTried, setTried] = useState(false);
  const { label, labelProblem, feed, remarks, isWhole } = feedOf(form.values, system, product?.feed?.steep);
  const submit = form.submit(
    async ({ name, use, density, countedIn, packAmount, packPrice, seasons, form: made }) => {
      setTried(true);
      if (!isWhole) return;
      const now = clock.now();
      const isFeed = use === 'feeds';
      const after: OwnProduct = {
        id: own?.id ?? newId('product'),
        name,
        kind: isFeed ? (own?.kind ?? product?.kind ?? 'feed') : use,
        unit: own?.unit ?? (isFeed ? (product?.unit ?? shedUnit(made)) : countedIn),
        ...(label ? { label } : {}),
        ...(density === undefined ? {} : { kilogramsPerLitre: density }),
        ...(seasons === undefined ? {} : { seasons }),
        ...(product?.isOrganic ? { isOrganic: true } : {}),
        ...(product?.isDusty ? { isDusty: true } : {}),
        ...(product?.description ? { description: product.description } : {}),
        ...(feed ? { feed } : {}),
        createdAt: own?.createdAt ?? now,
        changedAt: now,
      };
      const pack =
        packAmount !== undefined && packPrice !== undefined
          ? { amount: packAmount, price: packPrice }
          : undefined;
      const packs: RecordChange[] = pack
        ? [
            {
              table: 'packs',
              before: undefined,
              after: { id: newId('pack'), productId: after.id, ...pack, createdAt: now, changedAt: now },
            },
          ]
        : [];
      await saveRecords(
        [{ table: 'products', before: own, after }, ...packs],
        own ? [] : (madeWith?.(after) ?? []),
        `${after.name} kept`,
      );
      onClose();
    },
  );
  return (
    <FormDialog
      title={own ? `Change ${own.name}` : 'A product of your own'}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <FormFields form={form} names={['name', 'use']} />
      {form.isAsked('form') && (
        <>
          <FormField
            form={form}
            name="form"
            onTyped={(next) => {
              const { unit, per } = suiting(next as FeedForm, form.texts);
              form.set('unit', unit);
              form.set('per', per);
            }}
          />
          <Box
            role="group"
            aria-label="What its label says, per cent"
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: 'repeat(3, 1fr)', sm: 'repeat(5, 1fr)' },
              gap: 1,
            }}
          >
            <FormFields form={form} names={LABEL} />
          </Box>
          {labelProblem && <FormHelperText error>{labelProblem}</FormHelperText>}
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
            <FormField
              form={form}
              name="dose"
              onTyped={(typed) => {
                // "15 g in 5 L" says that it goes into water
                if (doseInWater(typed, system)) form.set('per', 'litre');
              }}
            />
            <FormField form={form} name="unit" />
          </Box>
        </>
      )}
      <FormFields
        form={form}
        names={['per', 'intervalDays', 'density', 'months', 'gramsEach', 'partnerId', 'countedIn']}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <FormFields form={form} names={['packAmount', 'packPrice', 'seasons']} />
      </Box>
      {remarks
        .filter(({ code, isFatal }) => (isTried && isFatal) || isNamed(form.texts, code))
        .map(({ code, isFatal }) => (
          <Alert key={code} severity={isFatal ? 'error' : 'info'}>
            {FEED_PROBLEM_WORDS[code]}
          </Alert>
        ))}
      {own && (
        <OnceButton
          onPress={() => bin('products', [own], own.name).then(onClose)}
          sx={{ alignSelf: 'flex-start' }}
        >
          Delete
        </OnceButton>
      )}
    </FormDialog>
  );
}

/** Whether enough has been typed for a remark to be fair: nobody is told of a missing label before typing one. */
function isNamed(
  texts: { readonly n: string; readonly p2o5: string; readonly k2o: string; readonly dose: string },
  code: keyof typeof FEED_PROBLEM_WORDS,
): boolean {
  if (code === 'promises-nothing') return [texts.n, texts.p2o5, texts.k2o].every((t) => t.trim() !== '');
  return texts.dose.trim() !== '';
}
