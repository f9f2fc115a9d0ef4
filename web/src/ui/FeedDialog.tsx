import { Alert, Box, TextField, Typography } from '@mui/material';
import { feedFor } from '@rundel/core/feeding';
import { checkDose, findProduct, isFeed, productsIn, scoopsOf } from '@rundel/core/products';
import { FEED_UNITS, isGivenInWater, type FeedUnit, type Product } from '@rundel/core/records';
import { useMemo, useState } from 'react';
import { measuresInUse, useGarden, useUnitFormat, type Bag } from '../store/index.ts';
import { AmountField } from './AmountField.tsx';
import { waterRule } from '../text/amount-rules.ts';
import { readAmount } from '../text/amount-text.ts';
import { titleOf } from '../text/bag-text.ts';
import { FormDialog } from './EntryDialogs.tsx';
import { fedWithWatering } from '@rundel/core/garden-state';
import { CHECK_WORDS, doseWords, feedCaution, UNIT_WORDS } from '../text/feed-text.ts';
import { Select } from './Select.tsx';
import { midSentence } from '../text/text.ts';

const UNIT_CHOICES = FEED_UNITS.map((id) => ({ id, label: UNIT_WORDS[id][1] }));
const FEED_WATER_LITRES = 2;

/** A feed of any product and amount, with its check against the label. */
export default function FeedDialog({
  bag,
  productId,
  step,
  onClose,
}: {
  readonly bag: Bag;
  readonly productId?: string | undefined;
  /** the regime's step that it answers */
  readonly step?: { readonly regimeId: string; readonly stepId: string } | undefined;
  onClose(): void;
}) {
  const { clock, garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const feeds = useMemo(() => productsIn(garden.products).filter(isFeed), [garden.products]);
  const [chosen, setChosen] = useState(productId ?? 'tomato-liquid');
  const product = feeds.find((g) => g.id === chosen) ?? (feeds[0] as Product);
  const dose = product.feed?.dose;
  const partner = findProduct(product.feed?.partnerId ?? '', garden.products);
  const [water, setWater] = useState(() => unitFormat.show(FEED_WATER_LITRES, 'water'));
  const readWater = readAmount(water, waterRule(unitFormat.system, measuresInUse(garden)));
  const inWater = product.feed !== undefined && isGivenInWater(product.feed.form);
  const litres = readWater.kind === 'given' ? readWater.siValue : FEED_WATER_LITRES;
  const asLabel =
    dose &&
    feedFor(dose, {
      containerId: bag.container.id,
      waterLitres: litres,
      plants: Math.max(1, bag.occupants.length),
      mixLitres: bag.properties.fill.mixLitres,
    });
  const [typed, setTyped] = useState<{ amount: string; unit: FeedUnit }>();
  const amountText = typed?.amount ?? String(Math.round((asLabel?.amount ?? 1) * 10) / 10);
  const unit = typed?.unit ?? dose?.unit ?? 'gram';
  const [problems, setProblems] = useState<{ amount?: string; water?: string }>({});
  const amount = Number(amountText.replace(',', '.'));
  const check =
    dose && asLabel && amount > 0
      ? checkDose({ amount, unit, per: dose.per }, { ...asLabel, per: dose.per }, product, scoopsOf(garden))
      : undefined;
  const submit = async () => {
    if (!(amount > 0 && amount <= 100_000)) return setProblems({ amount: 'How much? A number above 0.' });
    if (inWater && readWater.kind !== 'given')
      return setProblems({ water: readWater.kind === 'refused' ? readWater.problem : 'In how much water?' });
    const at = clock.now();
    const given = { bag, product, partner, amount, unit, litres, step };
    await record(fedWithWatering(given, at), `feed at ${bag.container.label}`);
    onClose();
    return undefined;
  };
  return (
    <FormDialog
      title={`Fed ${titleOf(bag)}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <Select
        label="With what"
        value={product.id}
        onChange={(id) => {
          setChosen(id);
          setTyped(undefined);
        }}
        options={feeds.map((g) => ({ id: g.id, label: g.name }))}
        help={
          dose &&
          `Its label: ${doseWords(dose, unitFormat.system)}${partner ? `, and as much ${midSentence(partner.name)}` : ''}.`
        }
      />
      {inWater && (
        <AmountField
          purpose="water"
          label="In how much water"
          value={water}
          onChange={(e) => setWater(e.target.value)}
          error={problems.water !== undefined}
          helperText={problems.water ?? 'It counts as a watering too.'}
        />
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <TextField
          label="How much of it"
          value={amountText}
          onChange={(e) => setTyped({ amount: e.target.value, unit })}
          error={problems.amount !== undefined}
          helperText={problems.amount}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <Select
          label="Counted in"
          value={unit}
          onChange={(id) => setTyped({ amount: amountText, unit: id })}
          options={UNIT_CHOICES}
        />
      </Box>
      {check && check.kind !== 'as-label' && (
        <Alert severity={check.kind === 'weak' ? 'info' : 'warning'}>
          {CHECK_WORDS[check.kind](check.times)}
        </Alert>
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {feedCaution(product)}
      </Typography>
    </FormDialog>
  );
}
