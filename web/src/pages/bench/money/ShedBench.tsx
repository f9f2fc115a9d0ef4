import { Box, Button, Menu, MenuItem, TextField, Typography } from '@mui/material';
import { IconDotsVertical } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import { findProduct, PRODUCTS, productsIn } from '@rundel/core/products';
import { PRODUCT_KINDS, type Product, type ProductKind, type OwnProduct } from '@rundel/core/records';
import type { PriceLog, Stock } from '@rundel/core/stock';
import { useState } from 'react';
import { productAmount, productName, priceUnit } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { MONTHS, shortDay } from '../../../text/text.ts';
import { useGarden, useMoney, useUnitFormat } from '../../../store/index.ts';
import { useSupplies } from '../../../store/supplies.ts';
import { BuyDialog, type ShedAct } from './BuyDialog.tsx';
import { ProductDialog } from '../ProductDialog.tsx';
import { PacksDialog } from './PacksDialog.tsx';
import { PriceDots } from './PriceDots.tsx';

const KIND_WORDS: Record<ProductKind, string> = {
  ingredient: 'For mixes',
  amendment: 'To work in',
  feed: 'Feeds',
  bag: 'Bags put by',
  support: 'Canes, string, cages, rings',
  other: 'Other',
};

type Open =
  | { readonly kind: 'act'; readonly act: ShedAct; readonly productId: string }
  | { readonly kind: 'packs'; readonly productId: string }
  | { readonly kind: 'product'; readonly product: OwnProduct | undefined };

/** What is in the shed by its diary, with what it cost and when that was cheap. */
export default function ShedBench() {
  const { garden, clock } = useGarden();
  const { stocks, logs } = useSupplies();
  const [open, setOpen] = useState<Open>();
  const close = () => setOpen(undefined);
  const known = (id: string) => findProduct(id, garden.products);
  const rows = new Set([...stocks.map((s) => s.productId), ...logs.map((l) => l.productId)]);
  return (
    <Box>
      <Panel>
        <PutIn
          onPut={(productId) => setOpen({ kind: 'act', act: 'bought', productId })}
          onNew={() => setOpen({ kind: 'product', product: undefined })}
        />
      </Panel>
      {rows.size === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          Nothing is in the shed yet. Put in what you have: open sacks, feeds, canes. It is used first, and
          counted down by what you record.
        </Typography>
      )}
      {PRODUCT_KINDS.map((kind) => {
        const ids = [...rows].filter((id) => (known(id)?.kind ?? 'other') === kind);
        if (ids.length === 0) return null;
        return (
          <Panel key={kind} title={KIND_WORDS[kind]}>
            <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
              {ids.map((id) => (
                <ShedRow
                  key={id}
                  product={known(id)}
                  productId={id}
                  stock={stocks.find((s) => s.productId === id)}
                  log={logs.find((l) => l.productId === id)}
                  onAct={(act) => setOpen({ kind: 'act', act, productId: id })}
                  onPacks={() => setOpen({ kind: 'packs', productId: id })}
                  onChange={() =>
                    setOpen({ kind: 'product', product: garden.products.find((g) => g.id === id) })
                  }
                />
              ))}
            </Box>
          </Panel>
        );
      })}
      {open?.kind === 'act' && <BuyDialog productId={open.productId} act={open.act} onClose={close} />}
      {open?.kind === 'packs' && <PacksDialog productId={open.productId} onClose={close} />}
      {open?.kind === 'product' && (
        <ProductDialog
          product={open.product}
          own={open.product}
          // it stands in the shed at once, with none of it there
          madeWith={({ id }) => [{ kind: 'counted', at: clock.now(), productId: id, amount: 0 }]}
          onClose={close}
        />
      )}
    </Box>
  );
}

function PutIn({ onPut, onNew }: { onPut(productId: string): void; onNew(): void }) {
  const { garden } = useGarden();
  const [productId, setProduct] = useState(PRODUCTS[0]?.id ?? '');
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
      <TextField
        select
        label="Put in the shed"
        value={productId}
        onChange={(e) => setProduct(e.target.value)}
        sx={{ minWidth: 280, flex: { xs: 1, sm: 'none' } }}
      >
        {productsIn(garden.products).map((product) => (
          <MenuItem key={product.id} value={product.id}>
            {product.name}
          </MenuItem>
        ))}
      </TextField>
      <Button variant="contained" sx={{ minHeight: 56 }} onClick={() => onPut(productId)}>
        How much?
      </Button>
      <Button variant="outlined" sx={{ minHeight: 56 }} onClick={onNew}>
        Something not in the list
      </Button>
    </Box>
  );
}

function ShedRow({
  product,
  productId,
  stock,
  log,
  onAct,
  onPacks,
  onChange,
}: {
  readonly product: Product | undefined;
  readonly productId: string;
  readonly stock: Stock | undefined;
  readonly log: PriceLog | undefined;
  onAct(act: ShedAct): void;
  onPacks(): void;
  onChange(): void;
}) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const today = dayOf(clock.now());
  const amount = (value: number) => productAmount(product, value, unitFormat);
  const act = (kind: ShedAct) => {
    setAnchor(null);
    onAct(kind);
  };
  const most = stock ? Math.max(...runningTotals(stock), 1e-9) : 1;
  const left = Math.max(0, stock?.left ?? 0);
  const oldest = stock?.lots[0];
  const unit = priceUnit(product, unitFormat);
  return (
    <Box component="li" sx={{ borderBlockEnd: '1px solid var(--line)', paddingBlock: 1 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 44px', md: '220px 1fr 200px 44px' },
          columnGap: 2,
          rowGap: 0.5,
          alignItems: 'center',
        }}
      >
        <Box>
          <strong>{product?.name ?? productName(productId, garden.products)}</strong>
          {product?.label && (
            <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
              N {product.label.n}, P₂O₅ {product.label.p2o5}, K₂O {product.label.k2o}
              {product.label.ca ? `, Ca ${product.label.ca}` : ''} %
            </Box>
          )}
        </Box>
        <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' }, gridRow: { xs: 2, md: 'auto' } }}>
          <Box
            sx={{
              height: 12,
              backgroundColor: 'var(--raised)',
              borderRadius: '4px',
              border: '1px solid var(--line)',
            }}
          >
            <Box
              sx={{
                height: '100%',
                width: `${Math.min(100, (left / most) * 100)}%`,
                backgroundColor: 'var(--action)',
                borderRadius: '3px',
              }}
            />
          </Box>
          <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
            {stock && stock.left < -1e-9
              ? 'more was used than was put in: count it once'
              : stock
                ? `${left < 1e-9 ? 'none' : amount(left)} left of ${amount(most)}${
                    oldest ? `, the oldest of ${shortDay(dayOf(oldest.boughtAt), today)}` : ''
                  }`
                : 'only its price is known'}
          </Box>
        </Box>
        <Box sx={{ fontSize: '0.88rem', gridColumn: { xs: '1 / -1', md: 'auto' } }}>
          {log ? `${money.show(log.latest.perUnit * unit.amount)} ${unit.label}` : 'no price yet'}
          {log?.cheapestMonth && log.cheapestMonth.perUnit < log.usualPerUnit * 0.95 && (
            <Box sx={{ color: 'text.secondary' }}>
              cheapest in {MONTHS[log.cheapestMonth.month - 1]}:{' '}
              {money.show(log.cheapestMonth.perUnit * unit.amount)}
            </Box>
          )}
        </Box>
        <Button
          aria-label={`What happened to ${product?.name ?? productId}`}
          aria-haspopup="menu"
          onClick={(e) => setAnchor(e.currentTarget)}
          sx={{
            minWidth: 44,
            width: 44,
            height: 44,
            gridColumn: { xs: 2, md: 'auto' },
            gridRow: { xs: 1, md: 'auto' },
          }}
        >
          <IconDotsVertical size={20} aria-hidden />
        </Button>
      </Box>
      {log && log.points.length > 1 && (
        <HowCalculated label={`${log.points.length} prices`}>
          <PriceDots log={log} unit={unit} />
        </HowCalculated>
      )}
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        <MenuItem onClick={() => act('bought')}>Bought more</MenuItem>
        <MenuItem onClick={() => act('used')}>Used some</MenuItem>
        <MenuItem onClick={() => act('counted')}>Counted what is there</MenuItem>
        <MenuItem onClick={() => act('priced')}>Saw a price</MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            onPacks();
          }}
        >
          Packs and prices
        </MenuItem>
        {garden.products.some((g) => g.id === productId) && (
          <MenuItem
            onClick={() => {
              setAnchor(null);
              onChange();
            }}
          >
            Change what it is
          </MenuItem>
        )}
      </Menu>
    </Box>
  );
}

function runningTotals(stock: Stock): readonly number[] {
  let left = 0;
  return stock.moves.map((move) => (left += move.change));
}
