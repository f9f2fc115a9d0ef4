import { Box, Typography } from '@mui/material';
import { addElements, elementsIn, NO_ELEMENTS, type Elements } from '@rundel/core/products';
import { titleOf } from '../../../text/bag-text.ts';
import { nutrientText } from '../../../text/nutrient-text.ts';
import { grams } from '../../../text/product-text.ts';
import { shortDay } from '../../../text/text.ts';
import { DataTable, type Column } from '../../../ui/table/index.ts';
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
  const ofAll = (words: string) => (fills.length > 1 ? words : undefined);
  const columns: [Column<BagFill<Bag>>, ...Column<BagFill<Bag>>[]] = [
    { id: 'bag', header: 'Bag', cell: ({ bag }) => titleOf(bag), foot: ofAll(`All ${fills.length}`) },
    { id: 'mix', header: 'Mix', sort: ({ mix }) => mix.name, cell: ({ mix }) => mix.name },
    {
      id: 'new',
      header: 'New',
      isNumber: true,
      sort: (fill) => fill.newLitres,
      cell: (fill) => unitFormat.show(fill.newLitres, 'bag'),
      foot: ofAll(
        unitFormat.show(
          sum((fill) => fill.newLitres),
          'bag',
        ),
      ),
    },
    {
      id: 'kept',
      header: 'Old, kept',
      isNumber: true,
      sort: (fill) => keptOf(fill) || undefined,
      cell: (fill) => (keptOf(fill) > 0 ? unitFormat.show(keptOf(fill), 'bag') : ''),
      foot: sum(keptOf) > 0 ? ofAll(unitFormat.show(sum(keptOf), 'bag')) : undefined,
    },
    ...products.map((product): Column<BagFill<Bag>> => ({
      id: product.id,
      header: product.name,
      isNumber: true,
      cell: (fill) => grams(gramsOfProduct(fill, product), unitFormat),
      foot: ofAll(
        grams(
          sum((fill) => gramsOfProduct(fill, product)),
          unitFormat,
        ),
      ),
    })),
    ...(products.length > 0
      ? [{ id: 'brings', header: 'Brings', cell: (fill: BagFill<Bag>) => nutrientText(broughtTo(fill)) }]
      : []),
  ];
  return (
    <Box>
      {refused.map(({ bag, reuse }) => (
        <Typography key={bag.container.id} role="alert" sx={{ marginBlockEnd: 1 }}>
          <strong>Bag {bag.container.label}:</strong>{' '}
          {reuse.kind === 'refused' &&
            `${reuse.trouble.description} was recorded in this bag on ${shortDay(reuse.trouble.day)}, and it can live on in the mix. Start with new mix, and wash the bag first.`}
        </Typography>
      ))}
      <DataTable
        name="fill"
        label="Bag by bag"
        rows={fills}
        columns={columns}
        idOf={(fill) => fill.bag.container.id}
      />
      {products.length > 0 && (
        <Typography sx={{ marginBlockStart: 1 }}>
          In all they bring {nutrientText(fills.map(broughtTo).reduce(addElements, NO_ELEMENTS))}.
        </Typography>
      )}
    </Box>
  );
}
