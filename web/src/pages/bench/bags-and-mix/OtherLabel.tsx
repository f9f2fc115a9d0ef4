import { Box, Button, MenuItem, TextField, Typography } from '@mui/material';
import { asOxides, elementsIn, substitute, type Element, type Elements } from '@rundel/core/products';
import type { Product } from '@rundel/core/records';
import { useState } from 'react';
import { useUnitFormat } from '../../../store/index.ts';
import { useSupplies } from '../../../store/supplies.ts';
import { grams } from '../../../text/product-text.ts';

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
export function OtherLabel({
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
