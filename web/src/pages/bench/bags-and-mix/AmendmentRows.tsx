import { Box, Button, IconButton, MenuItem, TextField, Typography } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import {
  asOxides,
  elementsIn,
  isWorkedIn,
  productsIn,
  substitute,
  type Element,
  type Elements,
  type Scoops,
} from '@rundel/core/products';
import type { FeedUnit, Product } from '@rundel/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { Caution } from '../../../ui/Caution.tsx';
import { amountText, nutrientText } from '../../../text/nutrient-text.ts';
import { grams } from '../../../text/product-text.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { ProductDialog } from '../ProductDialog.tsx';
import { useSupplies } from '../../../store/supplies.ts';
import { readDoseText, withoutDoubled, type BagFill, type DoseText, type FillPlan } from './fill-plan.ts';

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
      {isDusty && (
        <Caution>
          Meals and lime are dust: wear a mask and gloves, damp them, and keep dogs away until they are worked
          in. The label goes before what is worked out here.
        </Caution>
      )}
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
        <Swap
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

const BY: readonly { readonly id: Element; readonly label: string }[] = [
  { id: 'n', label: 'nitrogen' },
  { id: 'p', label: 'phosphate' },
  { id: 'k', label: 'potash' },
  { id: 'ca', label: 'calcium' },
];

/** A nutrient as labels count it: phosphate and potash as oxides. */
function asLabelled(brings: Elements, element: Element): number {
  const label = asOxides(brings);
  return { n: label.n, p: label.p2o5, k: label.k2o, ca: label.ca, mg: label.mg }[element] ?? 0;
}

/** Another label in place of the one asked for: what is in the shed comes first. */
function Swap({
  asked,
  gramsAsked,
  products,
  onTake,
}: {
  readonly asked: Product;
  readonly gramsAsked: number;
  readonly products: readonly Product[];
  /** how many times the asked mass of the other product */
  onTake(productId: string, factor: number): void;
}) {
  const unitFormat = useUnitFormat();
  const { stocks } = useSupplies();
  const wanted = elementsIn(gramsAsked, asked.label);
  const [by, setBy] = useState<Element>(BY.find(({ id }) => wanted[id] > 0)?.id ?? 'n');
  const inShed = (id: string) => (stocks.find((s) => s.productId === id)?.left ?? 0) > 0;
  const others = products
    .filter((p) => p.id !== asked.id)
    .map((product) => ({
      product,
      swap: product.label && wanted[by] > 0 ? substitute(wanted, product.label, by) : undefined,
    }))
    .filter((o) => o.swap !== undefined)
    .sort((a, b) => Number(inShed(b.product.id)) - Number(inShed(a.product.id)));
  const off = (value: number, words: string) =>
    Math.abs(value) < 0.05 ? '' : `${Math.abs(value).toFixed(1)} g ${value > 0 ? 'more' : 'less'} ${words}`;
  return (
    <Box sx={{ borderInlineStart: '3px solid var(--flower)', paddingInlineStart: 2, marginBlock: 1 }}>
      <TextField
        select
        size="small"
        label="Go by"
        value={by}
        onChange={(e) => setBy(e.target.value as Element)}
        sx={{ minWidth: 150, marginBlockEnd: 1 }}
      >
        {BY.filter(({ id }) => wanted[id] > 0).map(({ id, label }) => (
          <MenuItem key={id} value={id}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      {others.length === 0 && <Typography>No other label here has any of that.</Typography>}
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {others.slice(0, 6).map(({ product, swap }) =>
          swap ? (
            <Box
              component="li"
              key={product.id}
              sx={{ display: 'flex', gap: 1, alignItems: 'center', minHeight: 44 }}
            >
              <Box sx={{ flex: 1, fontSize: '0.92rem' }}>
                <strong>
                  {grams(swap.grams, unitFormat)} {product.name}
                </strong>
                {inShed(product.id) ? ' (in the shed)' : ''}
                {': '}
                {BY.filter((b) => b.id !== by)
                  .map(({ id, label }) => off(asLabelled(swap.off, id), label))
                  .filter(Boolean)
                  .join(', ') || 'the same in all'}
              </Box>
              <Button
                size="small"
                variant="outlined"
                onClick={() => onTake(product.id, swap.grams / gramsAsked)}
              >
                Take it
              </Button>
            </Box>
          ) : null,
        )}
      </Box>
    </Box>
  );
}
