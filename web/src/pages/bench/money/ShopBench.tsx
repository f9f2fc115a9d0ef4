import { Box, Button, Typography } from '@mui/material';
import { IconCopy, IconDownload, IconPrinter } from '@tabler/icons-react';
import { findProduct, scoopsOf } from '@rundel/core/products';
import { needsOf, shoppingList, type ShoppingLine } from '@rundel/core/stock';
import { resolveAssumed } from '@rundel/core/assumed';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { DataTable, type Column } from '../../../ui/table/index.ts';
import { download } from '../../../ui/download.ts';
import { productAmount, productName } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { useGarden, useMoney, useUnitFormat } from '../../../store/index.ts';
import { useSupplies } from '../../../store/supplies.ts';
import { BuyDialog } from './BuyDialog.tsx';
import { fillsOf } from '../bags-and-mix/fill-plan.ts';
import { NoBags } from '../NoBags.tsx';
import { PacksDialog } from './PacksDialog.tsx';
import { listAsCsv, listAsText, packsWords } from './shop-text.ts';
import { useFillPlan } from '../bags-and-mix/use-fill-plan.ts';
import { midSentence } from '../../../text/text.ts';

/** What to buy for a set of bags: the shed first, then the cheapest packs that cover the rest. */
export default function ShopBench() {
  const { garden, live, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const { plan, bags, chosen, change } = useFillPlan();
  const { stocks, packs } = useSupplies();
  const [pricing, setPricing] = useState<string>();
  const [buying, setBuying] = useState<ShoppingLine>();
  const [said, say] = useState('');
  const list = useMemo(() => {
    const fills = fillsOf(chosen, plan, live, garden, garden.settings.units, scoopsOf(garden));
    const needs = new Map(
      needsOf(
        fills.map((fill) => ({
          mix: fill.mix,
          looseLitres: fill.newLitres,
          amendments: sumByProduct(fill.amendments.map((a) => [a.product.id, a.grams / 1000])),
        })),
        resolveAssumed(garden.settings.assumptions),
      ),
    );
    for (const { bag } of fills) {
      const mulch = (bag.properties.fill.mulchTopMillimetres - bag.properties.fill.mixMillimetres) / 1e6;
      const area = bag.properties.real.solid.areaAt(bag.properties.fill.mixMillimetres);
      if (mulch > 0) needs.set('mulch', (needs.get('mulch') ?? 0) + mulch * area);
    }
    return shoppingList(needs, packs, new Map(stocks.map((s) => [s.productId, s.left])));
  }, [chosen, garden, live, packs, plan, stocks]);
  if (bags.length === 0)
    return <NoBags label="Add the bags that you want to fill; then what to buy stands here." />;
  // without a single price there is no sum to show: nothing would be a lie
  const isPriced = list.lines.some((line) => line.plan.kind === 'packs');
  const unpriced = list.unpriced.map((id) => midSentence(productName(id, garden.products))).join(', ');
  const amountOf = (line: ShoppingLine, value: number) =>
    productAmount(findProduct(line.productId, garden.products), value, unitFormat);
  const columns: [Column<ShoppingLine>, ...Column<ShoppingLine>[]] = [
    {
      id: 'what',
      header: 'What',
      sort: (line) => productName(line.productId, garden.products),
      cell: (line) => productName(line.productId, garden.products),
    },
    { id: 'needed', header: 'Needed', isNumber: true, cell: (line) => amountOf(line, line.need) },
    {
      id: 'shed',
      header: 'In the shed',
      isNumber: true,
      cell: (line) => (line.fromShed > 0 ? amountOf(line, line.fromShed) : ''),
    },
    {
      id: 'buy',
      header: 'Buy',
      cell: (line) =>
        line.plan.kind === 'enough' ? (
          'nothing: it is there'
        ) : line.plan.kind === 'no-packs' ? (
          `${amountOf(line, line.toBuy)}, loose or in any pack`
        ) : (
          <strong>{packsWords(line, packs, garden.products, unitFormat)}</strong>
        ),
    },
    {
      id: 'price',
      header: 'Price',
      isNumber: true,
      sort: ({ plan: how }) => (how.kind === 'packs' ? how.cover.price : undefined),
      cell: ({ plan: how }) =>
        how.kind === 'packs' ? money.show(how.cover.price) : how.kind === 'unpriced' ? 'no price' : '',
    },
    {
      id: 'over',
      header: 'Left over',
      isNumber: true,
      cell: (line) =>
        (line.plan.kind === 'packs' || line.plan.kind === 'unpriced') && line.plan.cover.over > 0.005
          ? amountOf(line, line.plan.cover.over)
          : '',
    },
    {
      id: 'next',
      header: 'What next',
      isScreenOnly: true,
      cell: (line) => (
        <Box sx={{ whiteSpace: 'nowrap' }}>
          <Button size="small" onClick={() => setPricing(line.productId)}>
            Packs and prices
          </Button>
          {line.plan.kind !== 'enough' && (
            <Button size="small" onClick={() => setBuying(line)}>
              Bought
            </Button>
          )}
        </Box>
      ),
    },
  ];
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(listAsText(list, packs, garden.products, unitFormat, money));
      say('Copied.');
    } catch {
      say('The browser would not copy it; print it or save the CSV.');
    }
  };
  return (
    <Box>
      <Box sx={{ '@media print': { display: 'none' } }}>
        <BagChooser bags={bags} chosen={chosen} onChange={(ids) => change({ containerIds: [...ids] })} />
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
          Mix, old mix and what is worked in are as planned under{' '}
          <Link to="/bench/fill" style={{ color: 'inherit' }}>
            Fill and feed
          </Link>
          .
        </Typography>
      </Box>
      <Panel title="Shopping list">
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          {chosen.length === 0 ? 'Choose a bag above.' : ''}
          {chosen.length > 0 &&
            (isPriced ? (
              <>
                Cheapest cover: <strong data-testid="shopping-price">{money.show(list.price)}</strong>
                {unpriced !== '' && `, without ${unpriced}: no price is known, so by the amount.`}
              </>
            ) : unpriced !== '' ? (
              'No price is known yet, so everything is by the amount.'
            ) : (
              'All of it is in the shed.'
            ))}
        </Typography>
        <DataTable
          name="shopping"
          label="Line by line"
          rows={list.lines}
          columns={columns}
          idOf={(line) => line.productId}
        />
        <Box
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            gap: 1,
            marginBlockStart: 2,
            '@media print': { display: 'none' },
          }}
        >
          <Button variant="contained" startIcon={<IconPrinter aria-hidden />} onClick={() => window.print()}>
            Print the list
          </Button>
          <Button variant="outlined" startIcon={<IconCopy aria-hidden />} onClick={() => void copy()}>
            Copy as text
          </Button>
          <Button
            variant="outlined"
            startIcon={<IconDownload aria-hidden />}
            onClick={() =>
              download(
                `shopping-${clock.now().slice(0, 10)}.csv`,
                listAsCsv(list, packs, garden.products, unitFormat),
                'text/csv',
              )
            }
          >
            As CSV
          </Button>
          <Box aria-live="polite" sx={{ alignSelf: 'center' }}>
            {said}
          </Box>
        </Box>
      </Panel>
      {pricing && <PacksDialog productId={pricing} onClose={() => setPricing(undefined)} />}
      {buying && (
        <BuyDialog
          productId={buying.productId}
          amount={
            buying.plan.kind === 'packs' || buying.plan.kind === 'unpriced'
              ? buying.plan.cover.amount
              : buying.toBuy
          }
          paid={buying.plan.kind === 'packs' ? buying.plan.cover.price : undefined}
          onClose={() => setBuying(undefined)}
        />
      )}
    </Box>
  );
}

function sumByProduct(pairs: readonly (readonly [string, number])[]): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const [productId, amount] of pairs) sums.set(productId, (sums.get(productId) ?? 0) + amount);
  return sums;
}
