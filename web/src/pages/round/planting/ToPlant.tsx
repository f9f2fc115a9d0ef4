import { Box, Button, IconButton, Typography } from '@mui/material';
import { IconX } from '@tabler/icons-react';
import type { SessionItem } from '@rundel/core/garden-state';
import { plantingMethodOf } from '@rundel/core/planting';
import { Panel } from '../../../ui/Page.tsx';
import { useUnitFormat, type Bag } from '../../../store/index.ts';

/** What was chosen for a planting so far, and the button that begins it. */
export function ToPlant({
  bags,
  items,
  onKeep,
}: {
  readonly bags: readonly Bag[];
  readonly items: readonly SessionItem[];
  onKeep(items: readonly SessionItem[], hasBegun: boolean): void;
}) {
  const unitFormat = useUnitFormat();
  const bagCount = new Set(items.map((i) => i.containerId)).size;
  return (
    <Panel
      title={
        items.length === 0 ? 'Nothing chosen yet' : `To plant: ${bagCount} ${bagCount === 1 ? 'bag' : 'bags'}`
      }
    >
      {items.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          Choose bags, say what the seedlings are like, and add them. Different seedlings can be added one
          after the other.
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {items.map((item) => {
          const bag = bags.find((b) => b.container.id === item.containerId);
          return (
            <Box
              component="li"
              key={`${item.containerId} ${item.stationIds?.join() ?? ''}`}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1,
                borderBlockEnd: '1px solid var(--line)',
              }}
            >
              <Box sx={{ flex: 1, paddingBlock: 1 }}>
                <strong>{bag?.container.label}</strong> {item.plantName ?? item.varietyName}
                {item.plantingMethodId === 'seed' || item.isGuessed
                  ? ''
                  : `, ${unitFormat.show(item.seedling.stemMillimetres, 'height')} tall`}
                : {plantingMethodOf(item.plantingMethodId).name.toLowerCase()}
                {bag && item.stationIds
                  ? `, at ${item.stationIds.map((id) => bag.container.stations.findIndex((s) => s.id === id) + 1).join(', ')}`
                  : ''}
              </Box>
              <IconButton
                aria-label={`Leave bag ${bag?.container.label ?? ''} out`}
                onClick={() =>
                  onKeep(
                    items.filter((i) => i !== item),
                    false,
                  )
                }
                sx={{ width: 48, height: 48 }}
              >
                <IconX aria-hidden />
              </IconButton>
            </Box>
          );
        })}
      </Box>
      {items.length > 0 && (
        <Button
          variant="contained"
          size="large"
          onClick={() => onKeep(items, true)}
          sx={{ marginBlockStart: 2, minHeight: 56 }}
        >
          Begin planting
        </Button>
      )}
    </Panel>
  );
}
