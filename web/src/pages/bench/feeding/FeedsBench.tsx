import {
  Alert,
  Box,
  Button,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import type { OwnGood, Pack, Good } from '@rundel/core/records';
import { findGood, GOODS } from '@rundel/core/products';
import { useState } from 'react';
import { Caution } from '../../../ui/Caution.tsx';
import { download } from '../../../ui/download.ts';
import { doseWords, FORM_WORDS } from '../../../text/feed-text.ts';
import { feedsIn } from '../../../ui/FeedDialog.tsx';
import { FileButton } from '../../../ui/FileButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { newId, useGarden, useMoney, useShown, type RecordChange } from '../../../store/index.ts';
import { FeedEditor } from './FeedEditor.tsx';
import { feedsAsCsv, readFeedsCsv, type FeedsReading } from './feeds-csv.ts';

const labelWords = (good: Good) =>
  good.label
    ? [
        `${good.label.n}-${good.label.p2o5}-${good.label.k2o}`,
        good.label.ca ? `Ca ${good.label.ca}` : '',
        good.label.mg ? `Mg ${good.label.mg}` : '',
      ]
        .filter(Boolean)
        .join(', ')
    : 'unknown';

/** Everything that feeds: what its label says, how it is given, and the grower's own. */
export default function FeedsBench() {
  const { garden, clock, saveRecords } = useGarden();
  const shown = useShown();
  const money = useMoney();
  const [edited, setEdited] = useState<{ readonly good: Good | undefined }>();
  const [reading, setReading] = useState<FeedsReading>();
  const feeds = feedsIn(garden.goods);
  const isOwn = (good: Good): good is OwnGood => garden.goods.some((g) => g.id === good.id);
  const priceOf = (good: Good) => {
    const pack = garden.packs.find((p) => p.goodId === good.id && !p.binnedAt && p.price !== undefined);
    return pack?.price === undefined ? '' : money.show(pack.price);
  };
  const take = async (file: File) => {
    const read = readFeedsCsv(await file.text(), feeds);
    setReading(read);
    const now = clock.now();
    const known = new Set(feeds.map((f) => f.name));
    const fresh = read.feeds.filter((f) => !known.has(f.name));
    const changes = fresh.flatMap(({ pack, ...facts }): RecordChange[] => {
      const after: OwnGood = { id: newId('good'), ...facts, createdAt: now, changedAt: now };
      const packs: Pack[] = pack
        ? [{ id: newId('pack'), goodId: after.id, ...pack, createdAt: now, changedAt: now }]
        : [];
      return [
        { table: 'goods', before: undefined, after },
        ...packs.map((p) => ({ table: 'packs' as const, before: undefined, after: p })),
      ];
    });
    if (changes.length > 0)
      await saveRecords(changes, [], `${fresh.length} ${fresh.length === 1 ? 'product' : 'products'} read`);
  };
  const taken = reading?.feeds.length ?? 0;
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockEnd: 2 }}>
        <Button variant="contained" onClick={() => setEdited({ good: undefined })}>
          Add a product
        </Button>
        <Button
          variant="outlined"
          onClick={() => download('feeds.csv', feedsAsCsv(feeds, garden.packs), 'text/csv')}
        >
          Save as a table (CSV)
        </Button>
        <FileButton variant="outlined" accept=".csv,text/csv" onFile={(file) => void take(file)}>
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
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Products that feed">
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Product</TableCell>
                <TableCell>N-P₂O₅-K₂O, %</TableCell>
                <TableCell>What it is</TableCell>
                <TableCell>Dose by its label</TableCell>
                <TableCell align="right">Days between</TableCell>
                <TableCell align="right">Price</TableCell>
                <TableCell>Change</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {feeds.map((good) => (
                <TableRow key={good.id}>
                  <TableCell>
                    <strong>{good.name}</strong>
                    {good.words && (
                      <Box sx={{ fontSize: '0.85rem', color: 'text.secondary', maxWidth: 260 }}>
                        {good.words}
                      </Box>
                    )}
                  </TableCell>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>{labelWords(good)}</TableCell>
                  <TableCell>
                    {good.feed && FORM_WORDS[good.feed.form]}
                    {good.feed?.months ? `, over ${good.feed.months} months` : ''}
                    {good.feed?.partnerId
                      ? `, with ${findGood(good.feed.partnerId, garden.goods)?.name ?? 'its other part'}`
                      : ''}
                  </TableCell>
                  <TableCell>{good.feed && doseWords(good.feed.dose, shown.system)}</TableCell>
                  <TableCell align="right">{good.feed?.intervalDays ?? ''}</TableCell>
                  <TableCell align="right">{priceOf(good)}</TableCell>
                  <TableCell align="right">
                    <Button
                      size="small"
                      onClick={() => setEdited({ good })}
                      aria-label={`${isOwn(good) ? 'Change' : 'Make my own of'} ${good.name}`}
                    >
                      {isOwn(good) ? 'Change' : 'My own of it'}
                    </Button>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
        <Typography variant="body2" sx={{ marginBlockStart: 1.5, color: 'text.secondary' }}>
          {GOODS.filter((g) => g.feed).length} generic products ship with the app; nobody’s brand. Your own
          label goes before them: make your own of one and copy the sack.
        </Typography>
      </Panel>
      <Caution>
        The label is the law: its dose is the most. Gloves; meals and powders are dusty: mask, damp them, and
        keep dogs off. Only food-safe cans, kept for nothing else, and out of children’s reach.
      </Caution>
      {edited && (
        <FeedEditor
          good={edited.good}
          own={edited.good && isOwn(edited.good) ? edited.good : undefined}
          onClose={() => setEdited(undefined)}
        />
      )}
    </>
  );
}
