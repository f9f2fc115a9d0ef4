import { Box, Button, IconButton, MenuItem, TextField, Typography } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import { elementsIn, isWorkedIn, productsIn, type Scoops } from '@rundel/core/products';
import type { FeedUnit, Product } from '@rundel/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { amountText, nutrientText } from '../../../text/nutrient-text.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { ProductDialog } from '../ProductDialog.tsx';
import { OtherLabel } from './OtherLabel.tsx';
import type { BagFill } from '@rundel/core/garden-state';
import { readDoseText, withoutDoubled, type DoseText, type FillPlan } from './fill-plan.ts';

const UNIT_LABELS = {
  spoon: 'level tablespoons',
  teaspoon: 'level teaspoons',
  handful: 'handfuls',
  gram: 'grams',
  millilitre: 'millilitres',
  litre: 'litres',
  piece: 'pieces',
} as const satisfies Record<FeedUnit, string>;
const PER_LABELS = {
  bag: 'per bag',
  litre: 'per litre of mix',
  'old-litre': 'per litre of old mix',
  hole: 'per planting hole',
} as const;
const WHERE_WORDS = {
  mixed: 'mixed through',
  low: 'half way down',
  hole: 'in the hole',
  top: 'on top',
} as const;

/** Products to work in, each by spoon, handful or gram; another label can stand in for the one asked for. */
export function AmendmentRows({
  plan,
  fills,
  scoops,
  onChange,
}: {
  readonly plan: FillPlan;
  readonly fills: readonly BagFill[];
  readonly scoops: Scoops;
  onChange(patch: Partial<FillPlan>): void;
}) {
  const { garden } = useGarden();
  const products = productsIn(garden.products).filter(isWorkedIn);
  const handful = garden.measures.find((m) => m.kind === 'handful' && !m.binnedAt);
  const [isAdding, setAdding] = useState(false);
  const set = (i: number, patch: Partial<DoseText>) => {
    const doses = plan.doses.map((dose, at) => (at === i ? { ...dose, ...patch } : dose));
    onChange({ doses: patch.productId ? withoutDoubled(doses, garden.products) : doses });
  };
  const usesHandfuls = plan.doses.some((d) => d.unit === 'handful');
  const isDusty = plan.doses.some((d) => products.find((p) => p.id === d.productId)?.isDusty);
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      {plan.doses.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          Nothing but the mix: some growers leave it at that. Feed, lime, casts or meal can be added here.
        </Typography>
      )}
      {plan.doses.map((dose, i) => (
        <OneDose
          key={i}
          dose={dose}
          products={products}
          scoops={scoops}
          fill={fills[0]}
          onChange={(patch) => set(i, patch)}
          onRemove={() => onChange({ doses: plan.doses.filter((_, at) => at !== i) })}
        />
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button
          variant="outlined"
          disabled={plan.doses.length >= 8}
          onClick={() =>
            onChange({
              doses: [
                ...plan.doses,
                {
                  productId: products[0]?.id ?? 'lime',
                  amount: '',
                  unit: 'handful',
                  per: 'bag',
                  where: 'mixed',
                },
              ],
            })
          }
        >
          Add to the mix
        </Button>
        <Button onClick={() => setAdding(true)}>A product not in the list</Button>
        {usesHandfuls && (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {handful
              ? `Your handful is ${(handful.litres / scoops.spoon).toFixed(1)} tablespoons.`
              : `A handful is taken as ${(scoops.handful / scoops.spoon).toFixed(1)} tablespoons.`}{' '}
            <Link to="/bench/measures" style={{ color: 'inherit' }}>
              {handful ? 'Count it again' : 'Count yours'}
            </Link>
          </Typography>
        )}
      </Box>
      {isAdding && <ProductDialog product={undefined} own={undefined} onClose={() => setAdding(false)} />}
      {isDusty && <CautionOf id="dust" />}
    </Box>
  );
}

function OneDose({
  dose,
  products,
  scoops,
  fill,
  onChange,
  onRemove,
}: {
  readonly dose: DoseText;
  readonly products: readonly Product[];
  readonly scoops: Scoops;
  /** the first bag, for which it is said what the dose comes to */
  readonly fill: BagFill | undefined;
  onChange(patch: Partial<DoseText>): void;
  onRemove(): void;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const [isSwapping, setSwapping] = useState(false);
  const read = readDoseText(dose, garden.products, garden.settings.units);
  const problem = dose.amount.trim() !== '' && !read.ok ? read.problem : undefined;
  const inFirst = read.ok
    ? fill?.amendments.find((a) => a.product.id === read.product.id && a.where === dose.where)
    : undefined;
  const perBag = inFirst?.grams;
  const product = products.find((p) => p.id === dose.productId);
  const pick = <K extends string>(words: Readonly<Record<K, string>>) =>
    (Object.keys(words) as K[]).map((key) => (
      <MenuItem key={key} value={key}>
        {words[key]}
      </MenuItem>
    ));
  return (
    <Box sx={{ borderBlockEnd: '1px solid var(--line)', paddingBlockEnd: 1.5 }}>
      <Box
        sx={{
          display: 'grid',
          gap: 1,
          alignItems: 'start',
          gridTemplateColumns: { xs: '1fr 1fr', md: '2fr 90px 1.2fr 1.2fr 1.1fr 44px' },
        }}
      >
        <TextField
          select
          label="Product"
          value={product ? dose.productId : ''}
          onChange={(e) => onChange({ productId: e.target.value })}
          helperText={product?.description}
          sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}
        >
          {products.map((each) => (
            <MenuItem key={each.id} value={each.id}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label="How much"
          value={dose.amount}
          onChange={(e) => onChange({ amount: e.target.value })}
          error={problem !== undefined}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <TextField
          select
          label="Unit"
          value={dose.unit}
          onChange={(e) => onChange({ unit: e.target.value as DoseText['unit'] })}
        >
          {pick(UNIT_LABELS)}
        </TextField>
        <TextField
          select
          label="For each"
          value={dose.per}
          onChange={(e) => onChange({ per: e.target.value as DoseText['per'] })}
        >
          {pick(PER_LABELS)}
        </TextField>
        <TextField
          select
          label="Where"
          value={dose.where}
          onChange={(e) => onChange({ where: e.target.value as DoseText['where'] })}
        >
          {pick(WHERE_WORDS)}
        </TextField>
        <IconButton
          aria-label={`Leave out ${product?.name ?? 'it'}`}
          onClick={onRemove}
          sx={{ width: 44, height: 52 }}
        >
          <IconTrash size={20} aria-hidden />
        </IconButton>
      </Box>
      {problem && (
        <Typography role="alert" variant="body2" sx={{ color: 'error.main', marginBlockStart: 0.5 }}>
          {problem} The rest is worked out without it.
        </Typography>
      )}
      {perBag !== undefined && product && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'center' }}>
          <Typography variant="body2">
            {amountText(inFirst?.amount ?? { amount: perBag, unit: 'gram' }, product, scoops, unitFormat)} for
            the first bag: {nutrientText(elementsIn(perBag, product.label))}.
          </Typography>
          <Button size="small" onClick={() => setSwapping((open) => !open)} aria-expanded={isSwapping}>
            I have another label
          </Button>
        </Box>
      )}
      {isSwapping && product && perBag !== undefined && (
        <OtherLabel
          asked={product}
          gramsAsked={perBag}
          products={products}
          onTake={(productId, factor) => {
            const amount = read.ok ? read.dose.amount : 0;
            // the same unit of another product weighs otherwise: spoons and handfuls go by density
            const other = products.find((p) => p.id === productId);
            const density =
              (read.ok ? read.dose.unit : dose.unit) === 'gram'
                ? 1
                : (product.kilogramsPerLitre ?? 1) / (other?.kilogramsPerLitre ?? 1);
            onChange({
              productId,
              amount: String(Math.round(amount * factor * density * 100) / 100),
              ...(read.ok ? { unit: read.dose.unit } : {}),
            });
            setSwapping(false);
          }}
        />
      )}
    </Box>
  );
}
