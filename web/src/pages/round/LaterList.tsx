import { Box, Typography } from '@mui/material';
import { Link } from 'react-router';
import { nextCheckWords } from '../../text/bag-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';

/** Bags that need nothing now, with when they do. */
export function LaterList({
  bags,
  laterIds,
  walkIds,
}: {
  readonly bags: readonly Bag[];
  readonly laterIds: readonly string[];
  readonly walkIds: readonly string[];
}) {
  const { clock } = useGarden();
  const later = bags.filter((b) => laterIds.includes(b.container.id) && !walkIds.includes(b.container.id));
  if (later.length === 0) return null;
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <Typography sx={{ fontSize: '0.88rem', fontWeight: 'fontWeightMedium', color: 'text.secondary' }}>
        Not due yet
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {later.map((bag) => {
          return (
            <Box
              component="li"
              key={bag.container.id}
              sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: '0.92rem' }}
            >
              <Link to={`/round/${bag.container.id}`} style={{ color: 'inherit', paddingBlock: 6 }}>
                {bag.container.label} {bag.name}
              </Link>
              <Box component="span" sx={{ color: 'text.secondary', textAlign: 'end', paddingBlock: '6px' }}>
                {bag.water ? nextCheckWords(bag.water, clock.now()) : ''}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
