import {
  Box,
  Table,
  TableBody,
  TableCell,
  TableFooter,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { addNutrients, NO_NUTRIENTS, nutrientsIn, type NutrientGrams } from '@rundel/core/products';
import { titleOf } from '../../../text/bag-text.ts';
import { grams } from '../../../text/product-text.ts';
import { useUnitFormat } from '../../../store/index.ts';
import type { BagFill } from './fill-plan.ts';

/** What the amendments of one bag bring in all. */
function broughtTo(fill: BagFill): NutrientGrams {
  return fill.amendments.reduce(
    (sum, { product, grams: amount }) => addNutrients(sum, nutrientsIn(amount, product.label)),
    NO_NUTRIENTS,
  );
}

/** Bag by bag: new and old mix, each product, and what it brings; with the sums at the foot. */
export function FillTable({ fills }: { readonly fills: readonly BagFill[] }) {
  const unitFormat = useUnitFormat();
  if (fills.length === 0) return <Typography>Choose the bags above.</Typography>;
  const products = fills[0]?.amendments.map((a) => a.product) ?? [];
  const sum = (of: (fill: BagFill) => number) => fills.reduce((total, fill) => total + of(fill), 0);
  const keptOf = (fill: BagFill) => (fill.reuse.kind === 'refresh' ? fill.reuse.keptLitres : 0);
  const refused = fills.filter((f) => f.reuse.kind === 'refused');
  const feed = sum((f) => (f.reuse.kind === 'refresh' ? f.reuse.feedGrams : 0));
  const lime = sum((f) => (f.reuse.kind === 'refresh' ? f.reuse.limeGrams : 0));
  return (
    <Box>
      {refused.map(({ bag, reuse }) => (
        <Typography key={bag.container.id} role="alert" sx={{ marginBlockEnd: 1 }}>
          <strong>Bag {bag.container.label}:</strong> {reuse.kind === 'refused' ? reuse.why : ''}
        </Typography>
      ))}
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Bag by bag">
        <Table size="small" sx={{ '& td, & th': { whiteSpace: { xs: 'nowrap', md: 'normal' } } }}>
          <TableHead>
            <TableRow>
              <TableCell>Bag</TableCell>
              <TableCell>Mix</TableCell>
              <TableCell align="right">New</TableCell>
              <TableCell align="right">Old, kept</TableCell>
              {products.map((product, i) => (
                <TableCell key={`${product.id}${i}`} align="right">
                  {product.name}
                </TableCell>
              ))}
              {products.length > 0 && <TableCell align="right">Brings N, P₂O₅, K₂O, Ca</TableCell>}
            </TableRow>
          </TableHead>
          <TableBody>
            {fills.map((fill) => {
              const brings = broughtTo(fill);
              return (
                <TableRow key={fill.bag.container.id}>
                  <TableCell>{titleOf(fill.bag)}</TableCell>
                  <TableCell>{fill.mix.name}</TableCell>
                  <TableCell align="right">{unitFormat.show(fill.newLitres, 'bag')}</TableCell>
                  <TableCell align="right">
                    {keptOf(fill) > 0 ? unitFormat.show(keptOf(fill), 'bag') : ''}
                  </TableCell>
                  {fill.amendments.map((a, i) => (
                    <TableCell key={`${a.product.id}${i}`} align="right">
                      {grams(a.grams, unitFormat)}
                    </TableCell>
                  ))}
                  {products.length > 0 && (
                    <TableCell align="right">
                      {[brings.n, brings.p2o5, brings.k2o, brings.ca].map((g) => g.toFixed(1)).join(', ')} g
                    </TableCell>
                  )}
                </TableRow>
              );
            })}
          </TableBody>
          {fills.length > 1 && (
            <TableFooter>
              <TableRow sx={{ '& td': { fontWeight: 700, color: 'text.primary', fontSize: '0.9rem' } }}>
                <TableCell colSpan={2}>All {fills.length}</TableCell>
                <TableCell align="right">
                  {unitFormat.show(
                    sum((f) => f.newLitres),
                    'bag',
                  )}
                </TableCell>
                <TableCell align="right">
                  {sum(keptOf) > 0 ? unitFormat.show(sum(keptOf), 'bag') : ''}
                </TableCell>
                {products.map((product, i) => (
                  <TableCell key={`${product.id}${i}`} align="right">
                    {grams(
                      sum((f) => f.amendments[i]?.grams ?? 0),
                      unitFormat,
                    )}
                  </TableCell>
                ))}
                {products.length > 0 && <TableCell />}
              </TableRow>
            </TableFooter>
          )}
        </Table>
      </Box>
      {feed > 0 && (
        <Typography sx={{ marginBlockStart: 1 }}>
          The old mix is refreshed with {grams(feed, unitFormat)} of balanced feed and{' '}
          {grams(lime, unitFormat)} of lime in all; the label of yours goes before that.
        </Typography>
      )}
    </Box>
  );
}
