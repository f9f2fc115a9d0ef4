import { Alert, Box, Button, Typography } from '@mui/material';
import type { OwnProduct, Pack, Product } from '@rundel/core/records';
import { findProduct, PRODUCTS, isFeed, productsIn } from '@rundel/core/products';
import { useState } from 'react';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { download } from '../../../ui/download.ts';
import { doseWords, FORM_WORDS } from '../../../text/feed-text.ts';
import { DataTable, type Column } from '../../../ui/table/index.ts';
import { FileButton } from '../../../ui/FileButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { newId, useGarden, useMoney, useUnitFormat, type RecordChange, told } from '../../../store/index.ts';
import { ProductDialog } from '../ProductDialog.tsx';
import { feedsAsCsv, readFeedsCsv, type FeedsReading } from './feeds-csv.ts';

const labelWords = (product: Product) =>
  product.label
    ? [
        `${product.label.n}-${product.label.p2o5}-${product.label.k2o}`,
        product.label.ca ? `Ca ${product.label.ca}` : '',
        product.label.mg ? `Mg ${product.label.mg}` : '',
      ]
        .filter(Boolean)
        .join(', ')
    : 'unknown';

/** Everything that feeds: what its label says, how it is given, and the grower's own. */
export default function FeedsBench() {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const [edited, setEdited] = useState<{ readonly product: Product | undefined }>();
  const [reading, setReading] = useState<FeedsReading>();
  const feeds = productsIn(garden.products).filter(isFeed);
  const isOwn = (product: Product): product is OwnProduct => garden.products.some((g) => g.id === product.id);
  const priceOf = (product: Product) => {
    const pack = garden.packs.find((p) => p.productId === product.id && !p.binnedAt && p.price !== undefined);
    return pack?.price === undefined ? '' : money.show(pack.price);
  };
  const take = async (file: File) => {
    const read = readFeedsCsv(await file.text(), feeds);
    setReading(read);
    const now = clock.now();
    const known = new Set(feeds.map((f) => f.name));
    const fresh = read.feeds.filter((f) => !known.has(f.name));
    const changes = fresh.flatMap(({ pack, ...facts }): RecordChange[] => {
      const after: OwnProduct = { id: newId('product'), ...facts, createdAt: now, changedAt: now };
      const packs: Pack[] = pack
        ? [{ id: newId('pack'), productId: after.id, ...pack, createdAt: now, changedAt: now }]
        : [];
      return [
        { table: 'products', before: undefined, after },
        ...packs.map((p) => ({ table: 'packs' as const, before: undefined, after: p })),
      ];
    });
    if (changes.length > 0)
      await saveRecords(changes, [], `${fresh.length} ${fresh.length === 1 ? 'product' : 'products'} read`);
  };
  const columns: [Column<Product>, ...Column<Product>[]] = [
    {
      id: 'product',
      header: 'Product',
      sort: (product) => product.name,
      cell: (product) => (
        <Box>
          <strong>{product.name}</strong>
          {product.description && (
            <Box
              sx={{
                fontSize: '0.85rem',
                fontWeight: 'fontWeightRegular',
                color: 'text.secondary',
                maxWidth: 300,
              }}
            >
              {product.description}
            </Box>
          )}
        </Box>
      ),
    },
    { id: 'label', header: 'N-P₂O₅-K₂O, %', isNumber: true, cell: (product) => labelWords(product) },
    {
      id: 'form',
      header: 'What it is',
      sort: ({ feed }) => feed && FORM_WORDS[feed.form],
      cell: ({ feed }) =>
        feed &&
        `${FORM_WORDS[feed.form]}${feed.months ? `, over ${feed.months} months` : ''}${
          feed.partnerId
            ? `, with ${findProduct(feed.partnerId, garden.products)?.name ?? 'its other part'}`
            : ''
        }`,
    },
    {
      id: 'dose',
      header: 'Dose by its label',
      cell: ({ feed }) => feed && doseWords(feed.dose, unitFormat.system),
    },
    {
      id: 'days',
      header: 'Days between',
      isNumber: true,
      sort: ({ feed }) => feed?.intervalDays,
      cell: ({ feed }) => feed?.intervalDays,
    },
    { id: 'price', header: 'Price', isNumber: true, cell: (product) => priceOf(product) },
    {
      id: 'change',
      header: 'Change',
      cell: (product) => (
        <Button
          size="small"
          onClick={() => setEdited({ product })}
          aria-label={`${isOwn(product) ? 'Change' : 'Make my own of'} ${product.name}`}
          sx={{ whiteSpace: 'nowrap' }}
        >
          {isOwn(product) ? 'Change' : 'My own of it'}
        </Button>
      ),
    },
  ];
  const taken = reading?.feeds.length ?? 0;
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockEnd: 2 }}>
        <Button variant="contained" onClick={() => setEdited({ product: undefined })}>
          Add a product
        </Button>
        <Button
          variant="outlined"
          onClick={() => download('feeds.csv', feedsAsCsv(feeds, garden.packs), 'text/csv')}
        >
          Save as a table (CSV)
        </Button>
        <FileButton variant="outlined" accept=".csv,text/csv" onFile={(file) => told(take(file))}>
          Read a table (CSV)
        </FileButton>
      </Box>
      {reading && (
        <Alert
          severity={reading.refused.length > 0 ? 'warning' : 'success'}
          onClose={() => setReading(undefined)}
          sx={{ marginBlockEnd: 2 }}
        >
          {taken === 0
            ? 'Nothing new was read, and what you had stays as it is.'
            : `${taken === 1 ? '1 product was' : `${taken} products were`} read; those whose name is in the list already were left as they are.`}
          {reading.refused.map((r) => (
            <Box key={r.line}>
              Line {r.line}
              {r.name ? ` (${r.name})` : ''} was not taken: {r.problem}
            </Box>
          ))}
        </Alert>
      )}
      <Panel title="Products">
        <DataTable
          name="feeds"
          label="Products that feed"
          rows={feeds}
          columns={columns}
          idOf={(product) => product.id}
        />
        <Typography variant="body2" sx={{ marginBlockStart: 1.5, color: 'text.secondary' }}>
          {PRODUCTS.filter((g) => g.feed).length} generic products ship with the app; nobody’s brand. Your own
          label goes before them: make your own of one and copy the sack.
        </Typography>
      </Panel>
      <CautionOf id="feeds" />
      {edited && (
        <ProductDialog
          product={edited.product}
          own={edited.product && isOwn(edited.product) ? edited.product : undefined}
          onClose={() => setEdited(undefined)}
        />
      )}
    </>
  );
}
