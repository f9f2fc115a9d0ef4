import { Box, Button, Checkbox } from '@mui/material';
import { BagIcon } from '../section/index.ts';
import type { Bag } from '../store/index.ts';

/** Several bags chosen by their marks. */
export function BagChooser({
  bags,
  chosen,
  onChange,
  label = 'For which bags',
}: {
  readonly bags: readonly Bag[];
  readonly chosen: readonly Bag[];
  onChange(containerIds: readonly string[]): void;
  readonly label?: string;
}) {
  const ids = chosen.map((b) => b.container.id);
  const places = [...new Map(bags.map((b) => [b.container.placeId, b.place?.name ?? ''])).entries()];
  return (
    <Box role="group" aria-label={label}>
      {places.map(([placeId, name]) => (
        <Box
          key={placeId}
          sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5, marginBlockEnd: 0.5 }}
        >
          <Box sx={{ width: { xs: '100%', sm: 120 }, fontSize: '0.88rem', color: 'text.secondary' }}>
            {name}
          </Box>
          {bags
            .filter((b) => b.container.placeId === placeId)
            .map((bag) => {
              const { id, label: number } = bag.container;
              const isOn = ids.includes(id);
              return (
                <Box
                  key={id}
                  component="label"
                  sx={{
                    display: 'flex',
                    alignItems: 'center',
                    minHeight: 48,
                    paddingInlineEnd: 1,
                    borderRadius: '10px',
                    border: '2px solid',
                    borderColor: isOn ? 'var(--action)' : 'var(--line)',
                    backgroundColor: isOn ? 'var(--action-wash)' : 'transparent',
                    cursor: 'pointer',
                  }}
                >
                  <Checkbox
                    size="small"
                    checked={isOn}
                    onChange={(_, on) => onChange(on ? [...ids, id] : ids.filter((each) => each !== id))}
                    slotProps={{ input: { 'aria-label': `Bag ${number}` } }}
                  />
                  <BagIcon properties={bag.properties} water={undefined} plants={0} size={30} />
                  <Box component="strong" sx={{ marginInlineStart: 0.5 }}>
                    {number}
                  </Box>
                </Box>
              );
            })}
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={() => onChange(bags.map((b) => b.container.id))}>All</Button>
        <Button onClick={() => onChange([])}>None</Button>
      </Box>
    </Box>
  );
}
