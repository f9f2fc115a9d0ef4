import { Alert, Box, Typography } from '@mui/material';
import type { SaidFeed } from '@rundel/core/commands';
import { canBeSprayed, feedFor, usualInto, type FedInto } from '@rundel/core/feeding';
import { checkDose, findProduct, isFeed, productsIn, scoopsOf } from '@rundel/core/products';
import { isGivenInWater, type FeedUnit, type Product } from '@rundel/core/records';
import { fedWithWatering, feedLitres } from '@rundel/core/garden-state';
import { trimmed } from '@rundel/core/units';
import { useMemo, useState } from 'react';
import { useGarden, useUnitFormat, type Bag } from '../store/index.ts';
import { readDose } from '../text/amount-text.ts';
import { bagsWords } from '../text/bag-text.ts';
import { feedAmountWords } from '../text/feed-amount-text.ts';
import { CHECK_WORDS, doseWords, feedCaution } from '../text/feed-text.ts';
import { midSentence } from '../text/text.ts';
import { FED_WAYS, FEED_UNIT_OPTIONS, wayOf, type FedWay } from './entries/feeding-forms.ts';
import { wateringAmount } from './entries/water-forms.ts';
import { useWhen } from './When.tsx';
import { choiceField, FormDialog, FormField, textField, useFields } from './form/index.ts';

const FEED_WATER_LITRES = 2;
/** What goes into a store is given there by its own product. */
const WAYS = FED_WAYS.filter(({ id }) => id !== 'store');
type Way = FedWay | '';

const FIELDS = {
  water: wateringAmount('In how much water', 'It counts as a watering too.'),
  // what is typed may name its own unit; left alone it is what the label asks for
  amount: textField({ label: 'How much of it', longest: 60 }),
};

/** A feed of any product and amount, with its check against the label. */
export default function FeedDialog({
  bags,
  productId,
  into,
  step,
  said,
  onClose,
  onDone = onClose,
}: {
  /** one, or several that get the same feed, each as much as its own size asks */
  readonly bags: readonly [Bag, ...Bag[]];
  readonly productId?: string | undefined;
  /** as the regime has it; left out: as its product is usually given */
  readonly into?: FedInto | undefined;
  /** the regime's step that it answers */
  readonly step?: { readonly regimeId: string; readonly stepId: string } | undefined;
  /** what was said of it in words already: the water and the amount as they were said, and when it was */
  readonly said?: Omit<SaidFeed, 'bags' | 'productId'>;
  onClose(): void;
  onDone?(): void;
}) {
  const [bag] = bags;
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  /** whether the amount is the grower's own; until then it follows the label, the product and the water */
  const [wasTyped, setTyped] = useState(false);
  const feeds = useMemo(() => productsIn(garden.products).filter(isFeed), [garden.products]);
  const form = useFields(
    {
      productId: choiceField({
        label: 'With what',
        options: feeds.map(({ id, name }) => ({ id, label: name })),
      }),
      way: choiceField<Way>({ label: 'How', options: WAYS }),
      ...FIELDS,
      unit: choiceField<FeedUnit | ''>({ label: 'Counted in', options: FEED_UNIT_OPTIONS }),
    },
    {
      values: {
        productId: productId ?? 'tomato-liquid',
        way: said?.isOnLeaves ? 'leaves' : '',
        ...(said?.water ? {} : { water: FEED_WATER_LITRES }),
        unit: '',
      },
      texts: {
        ...(said?.water ? { water: said.water } : {}),
        ...(said?.amount ? { amount: said.amount } : {}),
      },
      isAsked: (name, texts) => {
        const chosen = feeds.find((g) => g.id === texts.productId);
        return name === 'way' ? canBeSprayed(chosen) : name !== 'water' || isInWater(chosen);
      },
    },
  );
  const [first] = useState(said?.water ? undefined : form.texts.water);
  const when = useWhen({
    kind: 'fed',
    containerId: bag.container.id,
    ...(said?.at === undefined ? {} : { at: said.at }),
  });
  // what was half typed before the dialog was left is the grower's own too
  const isTyped = wasTyped || form.texts.amount !== '';
  const product = feeds.find((g) => g.id === form.texts.productId) ?? (feeds[0] as Product);
  const dose = product.feed?.dose;
  const partner = findProduct(product.feed?.partnerId ?? '', garden.products);
  const usual = into ?? usualInto(product);
  const way: Way = form.texts.way === '' ? wayOf(usual) : (form.texts.way as Way);
  const given: FedInto | undefined =
    usual === 'store' ? 'store' : canBeSprayed(product) && way === 'leaves' ? 'leaves' : undefined;
  // until an amount of water is typed it is what the way of giving it takes
  const litres =
    form.texts.water === first && given === 'leaves'
      ? feedLitres('leaves', bag, 0)
      : (form.values.water ?? FEED_WATER_LITRES);
  const labelled = (each: Bag) =>
    dose &&
    feedFor(dose, {
      containerId: each.container.id,
      waterLitres: litres,
      plants: Math.max(1, each.occupants.length),
      mixLitres: each.properties.fill.mixLitres,
    });
  const asLabel = labelled(bag);
  const share = said?.doseShare ?? 1;
  const amountText = isTyped ? form.texts.amount : trimmed((asLabel?.amount ?? 1) * share, share < 1 ? 2 : 1);
  const unit = (form.texts.unit || dose?.unit) ?? 'gram';
  const read = readDose(amountText, unit as FeedUnit, unitFormat.system);
  const check =
    dose && asLabel && read.ok
      ? checkDose({ ...read.value, per: dose.per }, { ...asLabel, per: dose.per }, product, scoopsOf(garden))
      : undefined;
  /** by the label each bag gets as much as its own mix and plants ask; a typed amount is for each */
  const ownAmount = (each: Bag) => {
    const amount = isTyped ? undefined : labelled(each)?.amount;
    return amount === undefined ? {} : { amount: amount * share };
  };
  const submit = form.submit(async () => {
    if (!read.ok) return form.refuse('amount', read.problem);
    const at = when.read();
    if (at === undefined) return undefined;
    const drafts = bags.flatMap((each) =>
      fedWithWatering(
        { bag: each, product, partner, ...read.value, ...ownAmount(each), litres, into: given, step },
        at,
      ),
    );
    const who = said?.who === undefined ? {} : { who: said.who };
    await record(
      drafts.map((draft) => ({ ...draft, ...who })),
      `feed at ${bags.length === 1 ? bag.container.label : `${bags.length} bags`}`,
    );
    return onDone();
  });
  const label = dose && `Its label: ${doseWords(dose, unitFormat.system)}`;
  return (
    <FormDialog
      title={`Fed ${bagsWords(bags)}`}
      // what was said goes before what was half typed here at another time
      {...(said ? { keepAs: `fed ${JSON.stringify([said, productId])}` } : {})}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormField
        form={form}
        name="productId"
        onTyped={() => {
          setTyped(false);
          form.set('amount', '');
          form.set('unit', '');
        }}
        help={label && `${label}${partner ? `, and as much ${midSentence(partner.name)}` : ''}.`}
      />
      {form.isAsked('way') && <FormField form={form} name="way" value={way} />}
      {isInWater(product) && (
        <FormField
          form={form}
          name="water"
          value={
            given === 'leaves' && form.texts.water === first
              ? unitFormat.show(litres, 'water')
              : form.texts.water
          }
          {...(given === 'leaves' ? { help: 'It wets the leaves, and counts as no watering.' } : {})}
        />
      )}
      {said && said.rest !== '' && (
        <Typography variant="body2">{unusedWords(said.rest, productId)}</Typography>
      )}
      {said?.water && !isInWater(product) && (
        <Typography variant="body2">
          It is given dry: the {said.water} of water is a watering of its own, to be put down beside it.
        </Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <FormField form={form} name="amount" value={amountText} onTyped={() => setTyped(true)} />
        <FormField
          form={form}
          name="unit"
          value={unit}
          onTyped={() => {
            // another unit is for the number that stands there
            form.set('amount', amountText);
            setTyped(true);
          }}
        />
      </Box>
      {check && check.kind !== 'as-label' && (
        <Alert severity={check.kind === 'weak' ? 'info' : 'warning'}>
          {CHECK_WORDS[check.kind](check.times)}
        </Alert>
      )}
      {bags.length > 1 && read.ok && (
        <Typography variant="body2">
          {bags
            .map(
              (each) => `${each.container.label}: ${feedAmountWords({ ...read.value, ...ownAmount(each) })}`,
            )
            .join(', ')}
          .
        </Typography>
      )}
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {feedCaution(product, given)}
      </Typography>
    </FormDialog>
  );
}

/** What was said in words and is nowhere in the form. */
const unusedWords = (rest: string, productId: string | undefined): string =>
  productId === undefined
    ? `“${rest}” is none of the feeds here: choose what it was, or add it in Feeds on the bench.`
    : `“${rest}” is not put down: a note can say it.`;

function isInWater(product: Product | undefined): boolean {
  return product?.feed !== undefined && isGivenInWater(product.feed.form);
}
