import { Box, Button, IconButton, MenuItem, TextField, Typography } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import { nutrientsIn, substitute, type Nutrient, AMENDMENTS } from '@rundel/core/products';
import type { Measure, Product } from '@rundel/core/records';
import { UNITS } from '@rundel/core/units';
import { useState } from 'react';
import { Link } from 'react-router';
import { Caution } from '../../../ui/Caution.tsx';
import { grams } from '../../../text/product-text.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { useSupplies } from '../../../store/supplies.ts';
import { readDose, type BagFill, type DoseText, type FillPlan } from './fill-plan.ts';

const UNIT_WORDS = {
  spoon: 'level tablespoons',
  teaspoon: 'level teaspoons',
  handful: 'handfuls',
  gram: 'grams',
} as const;
const PER_WORDS = { bag: 'per bag', litre: 'per litre of mix', hole: 'per planting hole' } as const;
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
  handful,
  onChange,
}: {
  readonly plan: FillPlan;
  readonly fills: readonly BagFill[];
  readonly handful: Measure | undefined;
  onChange(patch: Partial<FillPlan>): void;
}) {
  const { garden } = useGarden();
  const products = [...garden.products.filter((g) => !g.binnedAt && g.kind === 'amendment'), ...AMENDMENTS];
  const set = (i: number, patch: Partial<DoseText>) =>
    onChange({ doses: plan.doses.map((dose, at) => (at === i ? { ...dose, ...patch } : dose)) });
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
          perBag={fills[0]?.amendments[validBefore(plan, garden.products, i)]?.grams}
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
        {usesHandfuls && (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {handful
              ? `Your handful is ${(handful.litres / UNITS.tablespoon.factor).toFixed(1)} tablespoons.`
              : 'A handful is taken as 3 tablespoons.'}{' '}
            <Link to="/bench/measures" style={{ color: 'inherit' }}>
              {handful ? 'Count it again' : 'Count yours'}
            </Link>
          </Typography>
        )}
      </Box>
      {isDusty && (
        <Caution>
          Meals and lime are dust: wear a mask and gloves, damp them, and keep dogs away until they are worked
          in. The label goes before what is worked out here.
        </Caution>
      )}
    </Box>
  );
}

/** The doses that read, before one: what does not read is not among a fill's amendments. */
function validBefore(plan: FillPlan, own: readonly Product[], at: number): number {
  if (readDose(plan.doses[at] as DoseText, own).kind === 'refused') return -1;
  return plan.doses.slice(0, at).filter((dose) => readDose(dose, own).kind === 'read').length;
}

function OneDose({
  dose,
  products,
  perBag,
  onChange,
  onRemove,
}: {
  readonly dose: DoseText;
  readonly products: readonly Product[];
  /** grams for the first bag */
  readonly perBag: number | undefined;
  onChange(patch: Partial<DoseText>): void;
  onRemove(): void;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const [isSwapping, setSwapping] = useState(false);
  const read = readDose(dose, garden.products);
  const problem = dose.amount.trim() !== '' && read.kind === 'refused' ? read.problem : undefined;
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
          {pick(UNIT_WORDS)}
        </TextField>
        <TextField
          select
          label="For each"
          value={dose.per}
          onChange={(e) => onChange({ per: e.target.value as DoseText['per'] })}
        >
          {pick(PER_WORDS)}
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
          <Typography variant="body2">{grams(perBag, unitFormat)} for the first bag.</Typography>
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
            const amount = Number(dose.amount.replace(',', '.'));
            // the same unit of another product weighs otherwise: spoons and handfuls go by density
            const other = products.find((p) => p.id === productId);
            const density =
              dose.unit === 'gram' ? 1 : (product.kilogramsPerLitre ?? 1) / (other?.kilogramsPerLitre ?? 1);
            onChange({ productId, amount: String(Math.round(amount * factor * density * 100) / 100) });
            setSwapping(false);
          }}
        />
      )}
    </Box>
  );
}

const BY: readonly { readonly id: Nutrient; readonly label: string }[] = [
  { id: 'n', label: 'nitrogen' },
  { id: 'p2o5', label: 'phosphate' },
  { id: 'k2o', label: 'potash' },
  { id: 'ca', label: 'calcium' },
];

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
  const wanted = nutrientsIn(gramsAsked, asked.label);
  const [by, setBy] = useState<Nutrient>(BY.find(({ id }) => wanted[id] > 0)?.id ?? 'n');
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
        onChange={(e) => setBy(e.target.value as Nutrient)}
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
                  .map(({ id, label }) => off(swap.off[id], label))
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
