import { Box, Typography } from '@mui/material';
import { addDays, dayOf, daysBetween } from '@rundel/core/calendar';
import type { TableName } from '@rundel/core/records';
import { productName } from '../../text/product-text.ts';
import { midSentence, shortDay } from '../../text/text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, type RecordChange } from '../../store/index.ts';

/** What is in the bin is offered this long; it stays on record after that, out of sight. */
const DAYS_KEPT = 30;
const TABLES = [
  'containers',
  'places',
  'measures',
  'plans',
  'templates',
  'mixes',
  'regimes',
  'tanks',
  'trials',
  'products',
  'packs',
] as const satisfies readonly TableName[];

/** What was put away, to be taken out again: bags, places, and whatever else the grower made. */
export function Bin() {
  const { garden, clock, saveRecords } = useGarden();
  const now = clock.now();
  const since = addDays(dayOf(now), -DAYS_KEPT);
  const binned = TABLES.flatMap((table) =>
    garden[table].flatMap((record) =>
      record.binnedAt && dayOf(record.binnedAt) >= since
        ? [{ table, record, binnedAt: record.binnedAt }]
        : [],
    ),
  );
  if (binned.length === 0)
    return (
      <Typography sx={{ color: 'text.secondary' }}>
        Empty. What you put here can be taken out for {DAYS_KEPT} days.
      </Typography>
    );
  const nameOf = (record: (typeof binned)[number]['record']) => {
    if ('plantOn' in record) {
      const bag = garden.containers.find((c) => c.id === record.containerId);
      return `Plan for bag ${bag?.label ?? ''}, ${shortDay(record.plantOn)}`;
    }
    if ('productId' in record)
      return `Pack of ${midSentence(productName(record.productId, garden.products))}${record.name ? `, ${record.name}` : ''}`;
    return 'kindId' in record && 'label' in record ? `Bag ${record.label}` : record.name;
  };
  const takeOut = async ({ table, record }: (typeof binned)[number]) => {
    const { binnedAt: _, ...rest } = record;
    const changes = [{ table, before: record, after: { ...rest, changedAt: now } } as RecordChange];
    // a bag whose place is in the bin too comes back with it
    const place =
      'placeId' in record ? garden.places.find((s) => s.id === record.placeId && s.binnedAt) : undefined;
    if (place) {
      const { binnedAt: _place, ...back } = place;
      changes.push({ table: 'places', before: place, after: { ...back, changedAt: now } });
    }
    await saveRecords(changes, [], `${nameOf(record)} restored`);
  };
  return (
    <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
      {binned.map((item) => (
        <Box
          component="li"
          key={item.record.id}
          sx={{ display: 'flex', alignItems: 'center', minHeight: 48 }}
        >
          <Box sx={{ flex: 1 }}>
            {nameOf(item.record)}, since {shortDay(dayOf(item.binnedAt))};{' '}
            {DAYS_KEPT - daysBetween(dayOf(item.binnedAt), dayOf(now))} days left
          </Box>
          <OnceButton onPress={() => takeOut(item)}>Restore</OnceButton>
        </Box>
      ))}
    </Box>
  );
}
