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
import { addElements, elementsIn, NO_ELEMENTS, type Elements } from '@rundel/core/products';
import { titleOf } from '../../../text/bag-text.ts';
import { nutrientText } from '../../../text/nutrient-text.ts';
import { grams } from '../../../text/product-text.ts';
import { shortDay } from '../../../text/text.ts';
import { useUnitFormat, type Bag } from '../../../store/index.ts';
import type { Product } from '@rundel/core/records';
import type { BagFill } from '@rundel/core/garden-state';

/** What the amendments of one bag bring in all. */
function broughtTo(fill: BagFill<Bag>): Elements {
  return fill.amendments.reduce(
    (sum, { product, grams: amount }) => addElements(sum, elementsIn(amount, product.label)),
    NO_ELEMENTS,
  );
}

/** Bag by bag: new and old mix, each product, and what it brings; with the sums at the foot. */
export function FillTable({ fills }: { readonly fills: readonly BagFill<Bag>[] }) {
  const unitFormat = useUnitFormat();
  if (fills.length === 0) return <Typography>Choose the bags above.</Typography>;
  // a row that comes to nothing in one bag (no old mix stays in it) still has its column
  const longest = fills.reduce(
    (a, b) => (b.amendments.length > a.amendments.length ? b : a),
    fills[0] as BagFill<Bag>,
  );
  const products = [...new Map(longest.amendments.map((a) => [a.product.id, a.product])).values()];
  const gramsOfProduct = (fill: BagFill, product: Product) =>
    fill.amendments.reduce((all, a) => all + (a.product.id === product.id ? a.grams : 0), 0);
  const sum = (of: (fill: BagFill<Bag>) => number) => fills.reduce((total, fill) => total + of(fill), 0);
  const keptOf = (fill: BagFill<Bag>) => (fill.reuse.kind === 'refresh' ? fill.reuse.keptLitres : 0);
  const refused = fills.filter((f) => f.reuse.kind === 'refused');
  return (
    <Box>
      {refused.map(({ bag, reuse }) => (
        <Typography key={bag.container.id} role="alert" sx={{ marginBlockEnd: 1 }}>
          <strong>Bag {bag.container.label}:</strong>{' '}
          {reuse.kind === 'refused' &&
            `${reuse.trouble.description} was recorded in this bag on ${shortDay(reuse.trouble.day)}, and it can live on in the mix. Start with new mix, and wash the bag first.`}
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
              {products.map((product) => (
                <TableCell key={product.id} align="right">
                  {product.name}
                </TableCell>
              ))}
              {products.length > 0 && <TableCell>Brings</TableCell>}
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
                  {products.map((product) => (
                    <TableCell key={product.id} align="right">
                      {grams(gramsOfProduct(fill, product), unitFormat)}
                    </TableCell>
                  ))}
                  {products.length > 0 && <TableCell>{nutrientText(brings)}</TableCell>}
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
                {products.map((product) => (
                  <TableCell key={product.id} align="right">
                    {grams(
                      sum((f) => gramsOfProduct(f, product)),
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
      {products.length > 0 && (
        <Typography sx={{ marginBlockStart: 1 }}>
          In all they bring {nutrientText(fills.map(broughtTo).reduce(addElements, NO_ELEMENTS))}.
        </Typography>
      )}
    </Box>
  );
}
